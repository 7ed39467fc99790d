import { sql } from 'drizzle-orm';
import type { ProjectDocument } from '@cordel/core/document';
import { v7 as uuid } from 'uuid';
import { rowsOf } from '../db/client.ts';
import { startWithAccounts } from '../testing/people.ts';
import { smallDocument } from '../testing/small.ts';

let world: Awaited<ReturnType<typeof startWithAccounts>>;
let document: ProjectDocument;
let path: string;

beforeAll(async () => {
  world = await startWithAccounts();
  document = smallDocument({ practiceOnly: true });
  document.cables[0]!.run = {
    ...document.cables[0]!.run,
    end: { name: 'Exchange', distance: 0, mark: null, coil: 0 },
  };
  expect((await world.owner.post('/documents', document)).status).toBe(200);
  path = `/projects/${document.project.id}`;
});
afterAll(() => world.api.close());

/** A server that ends when it is about to write into a table: nothing of what it was at is kept, or all of it is. */
async function cutOffAt<Result>(table: string, work: () => Promise<Result>): Promise<Result> {
  await rowsOf(
    world.api.db,
    sql`create function cut_off() returns trigger language plpgsql as $$ begin raise exception 'cut off'; end $$`,
  );
  await rowsOf(
    world.api.db,
    sql.raw(
      `create trigger cut_off before insert on ${table} for each row execute function cut_off()`,
    ),
  );
  const result = await work();
  await rowsOf(world.api.db, sql.raw(`drop trigger cut_off on ${table}`));
  await rowsOf(world.api.db, sql`drop function cut_off()`);
  return result;
}

const countOf = async (table: string, column: string, id: string): Promise<number> => {
  const [row] = await rowsOf<{ count: number }>(
    world.api.db,
    sql`select count(*)::int as count from ${sql.identifier(table)} where ${sql.identifier(column)} = ${id}`,
  );
  return row!.count;
};

// What a file of JPEG begins and ends with (ITU-T T.81, annex B).
const JPEG = Buffer.from([0xff, 0xd8, 0xff, 0xe0, 1, 2, 3, 0xff, 0xd9]).toString('base64');

describe('a command that was cut off is sent again, and nothing of it is missing:', () => {
  it('a trace, its place and from whom they came', async () => {
    const shot = (
      await world.owner.post(`${path}/standin/otdr`, {
        cableId: document.cables[0]!.id,
        fiber: 1,
        direction: 'AB',
        wavelengthNm: 1550,
        pulseNs: 30,
        averages: 4096,
      })
    ).body as { name: string; bytes: string };
    const id = uuid();
    const place = {
      id: uuid(),
      traceId: id,
      by: 'M.',
      at: new Date().toISOString(),
      cableId: document.cables[0]!.id,
      fiber: 1,
      direction: 'AB',
      wavelengthNm: 1550,
      stage: null,
      why: null,
    };
    const send = () => world.owner.post(`${path}/traces`, { id, ...shot, place });
    for (const table of ['traces', 'trace_places', 'receipts']) {
      expect((await cutOffAt(table, send)).status).toBe(500);
      expect(await countOf('traces', 'id', id)).toBe(0);
    }
    expect((await send()).body).toEqual({ id, known: false });
    expect((await send()).body).toEqual({ id, known: true });
    expect(await countOf('trace_places', 'trace_id', id)).toBe(1);
    expect(await countOf('receipts', 'entry_id', id)).toBe(1);
    expect(await countOf('receipts', 'entry_id', place.id)).toBe(1);
  });

  it('a photo and from whom it came', async () => {
    const closureId = document.closures[0]!.id;
    const photo = {
      id: uuid(),
      closureId,
      by: 'M.',
      at: new Date().toISOString(),
      width: 8,
      height: 6,
      bytes: JPEG,
    };
    const send = () => world.owner.post('/photos', photo);
    for (const table of ['photos', 'receipts']) {
      expect((await cutOffAt(table, send)).status).toBe(500);
      expect(await countOf('photos', 'id', photo.id)).toBe(0);
    }
    expect((await send()).status).toBe(200);
    expect(await countOf('receipts', 'entry_id', photo.id)).toBe(1);
  });

  it('an entry of closing and from whom it came', async () => {
    const closureId = document.closures[0]!.id;
    const entry = {
      kind: 'leave',
      id: uuid(),
      closureId,
      by: 'M.',
      at: new Date().toISOString(),
      done: 'Hung on the strand.',
    };
    const send = () => world.owner.post(`/closures/${closureId}/closing`, { entries: [entry] });
    for (const table of ['closing_entries', 'receipts']) {
      expect((await cutOffAt(table, send)).status).toBe(500);
      expect(await countOf('closing_entries', 'id', entry.id)).toBe(0);
    }
    expect((await send()).status).toBe(200);
    expect(await countOf('receipts', 'entry_id', entry.id)).toBe(1);
  });
});
