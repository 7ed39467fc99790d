import { sql } from 'drizzle-orm';
import type { ProjectDocument } from '@cordel/core/document';
import { v7 as uuid } from 'uuid';
import { rowsOf } from '../db/client.ts';
import { type TestApi, startApi } from '../testing/api.ts';
import { attemptOn, provenBy, smallDocument } from '../testing/small.ts';
import { sealChain } from './chain.ts';

let api: TestApi;
let document: ProjectDocument;
let id: string;

beforeAll(async () => {
  api = await startApi();
});
afterAll(() => api.close());
beforeEach(async () => {
  document = smallDocument();
  id = document.project.id;
  await api.post('/documents', document);
});

interface Check {
  links: number;
  checkpoint: { number: number; hash: string; signature: string } | null;
  problems: { code: string; number: number; entryId?: string }[];
}
const check = async () => (await api.get(`/projects/${id}/chain`)).body as Check;

/** As somebody could who has the database in their hands. */
const tamper = async (table: string, statement: ReturnType<typeof sql>) =>
  api.db.transaction(async (tx) => {
    await tx.execute(sql.raw(`alter table ${table} disable trigger user`));
    await tx.execute(statement);
    await tx.execute(sql.raw(`alter table ${table} enable trigger user`));
  });

describe('the chain of a record', () => {
  it('has every entry once, goes on with what is new, and stays as it is where nothing is', async () => {
    expect(await check()).toEqual({ links: 0, checkpoint: null, problems: [], problemCount: 0 });
    await api.record(provenBy(document.splices[0]!.id, 30));
    const first = await check();
    expect(first).toMatchObject({ links: 5, checkpoint: { number: 5 }, problems: [] });
    const entry = {
      kind: 'leave',
      id: uuid(),
      closureId: document.closures[0]!.id,
      by: 'M.',
      at: '2026-05-04T20:15:00.000Z',
      done: 'Tray 1 is spliced.',
    };
    const answer = await api.post(`/closures/${entry.closureId}/closing`, { entries: [entry] });
    expect(answer.status).toBe(200);
    await api.record([attemptOn(document.splices[1]!.id, 20)]);
    const second = await check();
    expect(second.problems).toEqual([]);
    expect(second.links).toBeGreaterThan(first.links);
    expect(await check()).toEqual(second);
  });

  it('has an entry whose id was sent in capitals under the id that the database gives it', async () => {
    const leave = () => ({
      kind: 'leave',
      id: uuid().toUpperCase(),
      closureId: document.closures[0]!.id.toUpperCase(),
      by: 'M.',
      at: '2026-05-04T20:15:00.000Z',
      done: 'Tray 1 is spliced.',
    });
    const path = `/closures/${document.closures[0]!.id}/closing`;
    const entry = leave();
    expect((await api.post(path, { entries: [entry] })).status).toBe(200);
    const { entries } = (await api.get(path)).body as { entries: { id: string }[] };
    expect(entries.map(({ id: own }) => own)).toEqual([entry.id.toLowerCase()]);
    expect(await check()).toMatchObject({ links: 1, problems: [] });
    // One that was kept in capitals before ids were written alike.
    const old = leave();
    await rowsOf(
      api.db,
      sql`insert into closing_entries (id, closure_id, kind, entry)
          values (${old.id}, ${old.closureId}, 'leave', ${JSON.stringify(old)}::jsonb)`,
    );
    expect(await check()).toMatchObject({ links: 2, problems: [] });
  });

  it('has what came in by a document too, and no other project’s', async () => {
    const other = smallDocument();
    await api.post('/documents', { ...other, evidence: provenBy(other.splices[0]!.id, 20) });
    const links = ((await api.get(`/projects/${other.project.id}/chain`)).body as Check).links;
    expect(links).toBe(5);
    expect((await check()).links).toBe(0);
  });

  it('is made once where several servers go on with it at the same moment', async () => {
    await api.record(document.splices.flatMap((splice) => provenBy(splice.id, 30)));
    await Promise.all([...api.dbs, ...api.dbs].map((db) => sealChain(db, id)));
    expect(await check()).toMatchObject({ links: 16 * 5, problems: [] });
  });

  it('tells of a figure that was changed, an entry that was dropped, and one that was put in', async () => {
    const evidence = provenBy(document.splices[0]!.id, 30);
    await api.record(evidence);
    const whole = await check();
    const [attempt, reading] = [evidence[0]!.id, evidence[1]!.id];
    await tamper('attempts', sql`update attempts set estimate_mdb = 1 where id = ${attempt}::uuid`);
    await tamper('readings', sql`delete from readings where id = ${reading}::uuid`);
    expect((await check()).problems).toEqual([
      { code: 'entryChanged', number: 1, kind: 'attempt', entryId: attempt },
      { code: 'entryMissing', number: 2, kind: 'reading', entryId: reading },
    ]);
    // Whoever changes the chain with it is held to what was signed.
    await tamper(
      'attempts',
      sql`update attempts set estimate_mdb = 20 where id = ${attempt}::uuid`,
    );
    await tamper('chain', sql`delete from chain where project_id = ${id}::uuid and number >= 2`);
    const codes = (await check()).problems.map(({ code }) => code);
    expect(codes).toContain('chainCutShort');
    expect(whole.problems).toEqual([]);
  });

  it('tells of one byte of a hash', async () => {
    await api.record(provenBy(document.splices[0]!.id, 30));
    await check();
    await tamper(
      'chain',
      sql`update chain set hash = translate(left(hash, 1), '0123456789abcdef', '123456789abcdef0') || substr(hash, 2)
          where project_id = ${id}::uuid and number = 3`,
    );
    expect((await check()).problems.map(({ code, number }) => [code, number])).toEqual([
      ['linkBroken', 3],
      ['linkBroken', 4],
    ]);
    await expect(rowsOf(api.db, sql`delete from chain`)).rejects.toThrow();
    await expect(rowsOf(api.db, sql`update checkpoints set hash = 'x'`)).rejects.toThrow();
  });
});
