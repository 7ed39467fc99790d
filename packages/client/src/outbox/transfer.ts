import { canonicalText, digestOf } from '@cordel/core/close';
import { z } from 'zod';
import type { Command } from '../commands/command.ts';
import { type CarriedFile, base64Of } from './files.ts';
import type { Write } from './write.ts';

/** The format of a file that hands waiting work from one device to another, without a server. */
const FORMAT = 'cordel work';
const VERSION = 1;

const uploadSchema = z.object({ digest: z.string(), size: z.int() });

const writeSchema = z.object({
  id: z.uuid(),
  command: z.string(),
  input: z.unknown(),
  files: z.array(uploadSchema).optional(),
  person: z.string(),
  personId: z.string().optional(),
  madeAt: z.iso.datetime(),
  label: z.string(),
});

const workSchema = z.object({
  format: z.literal(FORMAT),
  version: z.literal(VERSION),
  madeAt: z.iso.datetime(),
  /** Who gives it on. */
  from: z.string(),
  /** In the order in which they were made. */
  writes: z.array(writeSchema).min(1),
  /** Files that the writes carry, in base 64, by their digests. */
  files: z.record(z.string(), z.base64()),
});

/** Why a file of work is not taken in. */
export class TransferError extends Error {
  override name = 'TransferError';
  readonly code: 'noWork' | 'newerWork' | 'damagedWork';

  constructor(code: TransferError['code']) {
    super(code);
    this.code = code;
  }
}

/** Work from another device. */
export interface TransferredWork {
  from: string;
  madeAt: string;
  writes: Write[];
  files: CarriedFile[];
}

/**
 * Writes that wait, as a file for another device. The last field is the SHA-256 digest of the others in canonical form
 * (RFC 8785).
 * @param fileOf gives a file that a write carries; null where the device does not have it any more
 */
export async function packWork(
  waiting: readonly Write[],
  from: string,
  fileOf: (digest: string) => Promise<Uint8Array | null>,
): Promise<string> {
  const files: Record<string, string> = {};
  for (const { digest } of waiting.flatMap((write) => write.files ?? [])) {
    const bytes = files[digest] === undefined ? await fileOf(digest) : null;
    if (bytes) files[digest] = base64Of(bytes);
  }
  const work = {
    format: FORMAT,
    version: VERSION,
    madeAt: new Date().toISOString(),
    from,
    writes: waiting.map(
      ({ id, command, input, files: carried, person, personId, madeAt, label }) => ({
        id,
        command,
        input,
        ...(carried && { files: carried.map(({ digest, size }) => ({ digest, size })) }),
        person,
        ...(personId !== undefined && { personId }),
        madeAt,
        label,
      }),
    ),
    files,
  };
  return JSON.stringify({ ...work, digest: digestOf(canonicalText(work)) });
}

/**
 * Reads such a file.
 * @param commands what this page knows to send; others are kept for a newer page
 * @throws TransferError where it is another file, of a newer version, or not as it was written
 */
export function readWork(text: string, commands: ReadonlyMap<string, Command>): TransferredWork {
  const { digest, ...work } = parsed(text);
  if (work.format !== FORMAT) throw new TransferError('noWork');
  if (typeof work.version === 'number' && work.version > VERSION)
    throw new TransferError('newerWork');
  if (digestOf(canonicalText(work)) !== digest) throw new TransferError('damagedWork');
  const read = workSchema.safeParse(work);
  if (!read.success) throw new TransferError('damagedWork');
  const { from, madeAt, writes } = read.data;
  for (const { command, input } of writes)
    if (commands.get(command)?.schema.safeParse(input).success === false)
      throw new TransferError('damagedWork');
  const files = Object.entries(read.data.files).map(([named, base64]) => {
    const bytes = Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0));
    if (digestOf(bytes) !== named) throw new TransferError('damagedWork');
    return { digest: named, size: bytes.length, bytes };
  });
  return {
    from,
    madeAt,
    files,
    writes: writes.map((write): Write => ({ ...write, state: 'waiting', transferredBy: from })),
  };
}

function parsed(text: string): Record<string, unknown> {
  try {
    const value: unknown = JSON.parse(text);
    if (typeof value === 'object' && value !== null) return value as Record<string, unknown>;
  } catch {
    // Said below.
  }
  throw new TransferError('noWork');
}
