import { sql } from 'drizzle-orm';
import { bigint, customType, pgSequence, text } from 'drizzle-orm/pg-core';
import type { Origin } from '@cordel/core';

/** The order in which evidence was recorded, over all kinds. */
export const evidenceSeq = pgSequence('evidence_seq');

export const nextSeq = () =>
  bigint({ mode: 'number' })
    .notNull()
    .default(sql`nextval('evidence_seq')`);

/** Where a figure comes from. */
export const originOf = () => text().$type<Origin>().notNull();

export const bytea = customType<{ data: Uint8Array; driverData: Uint8Array }>({
  dataType: () => 'bytea',
  toDriver: (bytes) => Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength),
  fromDriver: (bytes) => new Uint8Array(bytes.buffer, bytes.byteOffset, bytes.byteLength),
});
