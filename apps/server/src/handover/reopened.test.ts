import ExcelJS from 'exceljs';
import type JSZip from 'jszip';
import Papa from 'papaparse';
import type { ClosureRecord } from '@cordel/core/close';
import type { ProjectDocument } from '@cordel/core/document';
import { v7 as uuid } from 'uuid';
import { type Handover, jsonOf, pagesOf, startHandover, textOf } from '../testing/handover.ts';

let handover: Handover;
let document: ProjectDocument;
const call: Handover['call'] = (...asked) => handover.call(...asked);
const ask: Handover['ask'] = (...asked) => handover.ask(...asked);
const unzipped: Handover['unzipped'] = (id) => handover.unzipped(id);

beforeAll(async () => {
  handover = await startHandover();
  document = handover.document;
});
afterAll(() => handover.close());

describe('a splice that was removed', () => {
  let zip: JSZip;
  let gone: ProjectDocument['splices'][number];
  beforeAll(async () => {
    const signed = new Set(document.signed.map(({ closureId }) => closureId));
    const made = new Set(document.evidence.map(({ spliceId }) => spliceId));
    gone = document.splices.find(({ id, closureId }) => made.has(id) && !signed.has(closureId))!;
    await handover.api.record([
      {
        type: 'ruling',
        id: uuid(),
        spliceId: gone.id,
        by: 'M. Reyes',
        at: '2026-06-03T20:00:00.000Z',
        tryId: null,
        kind: 'retire',
        why: '=cut-over',
      },
    ]);
    const entry = (kind: string, clock: string, part: object) => ({
      kind,
      id: uuid(),
      closureId: gone.closureId,
      by: 'M. Reyes',
      at: `2026-06-03T${clock}:00.000Z`,
      ...part,
    });
    const cutOver = entry('cut-over', '19:50', {
      sleeves: [{ fibers: [gone.fiberA], minutes: 5 }],
      circuits: [{ name: 'clinic', fibers: [gone.fiberA], weight: 1 }],
      start: '2026-06-03T20:00:00.000Z',
    });
    const word = (state: string, clock: string) =>
      entry('circuit', clock, { cutOverId: cutOver.id, circuit: 'clinic', state });
    const answer = await call('POST', `/closures/${gone.closureId}/closing`, {
      entries: [cutOver, word('down', '20:01'), word('up', '20:09')],
    });
    expect(answer.status).toBe(200);
    zip = await unzipped(await ask());
  });

  it('stands by itself, with who says so and why, and not among those that live', async () => {
    const rows = Papa.parse<Record<string, string>>((await textOf(zip, 'csv/removed.csv')).trim(), {
      header: true,
    }).data;
    expect(rows).toHaveLength(1);
    expect(rows[0]).toMatchObject({
      tray: String(gone.tray),
      slot: String(gone.slot),
      'fiber A': String(gone.fiberA),
      'removed at (UTC)': '2026-06-03T20:00:00.000Z',
      'removed by': 'M. Reyes',
    });
    // No spreadsheet runs a reason.
    expect(rows[0]!['why removed']).toBe("'=cut-over");
    const live = Papa.parse<string[]>((await textOf(zip, 'csv/splices.csv')).trim()).data;
    expect(live).toHaveLength(document.splices.length);
    const book = new ExcelJS.Workbook();
    await book.xlsx.load((await zip.file('as-built.xlsx')!.async('arraybuffer')) as never);
    expect(book.getWorksheet('removed')!.rowCount).toBe(2);
  });

  it('is in the project’s document with its evidence, which names its place', async () => {
    const kept = await jsonOf<ProjectDocument>(zip, 'project.json');
    expect(kept.splices).toHaveLength(document.splices.length);
    expect(kept.evidence.filter(({ spliceId }) => spliceId === gone.id).length).toBeGreaterThan(1);
    const evidence = Papa.parse<Record<string, string>>(
      (await textOf(zip, 'csv/evidence.csv')).trim(),
      { header: true },
    ).data;
    const own = evidence.filter(({ splice }) => splice === gone.id);
    expect(new Set(own.map(({ tray, slot }) => `${tray} ${slot}`))).toEqual(
      new Set([`${gone.tray} ${gone.slot}`]),
    );
    expect((await pagesOf(zip)).words.join('\n')).toMatch(
      /Removed .*M\. Reyes, 2026-06-03 21:00 UTC\+1/,
    );
  });

  it('stands beside the cut-over that it was cut for, with the time its circuit was down', async () => {
    const words = (await pagesOf(zip)).words.join('\n');
    expect(words).toMatch(/Cut-over .*1 sleeve, first break planned for 2026-06-03 21:00 UTC\+1/);
    expect(words).toMatch(/clinic +5 min +2026-06-03 21:01 UTC\+1 +2026-06-03 21:09 UTC\+1 +8 min/);
    const closing = await textOf(zip, 'csv/closing.csv');
    expect(closing).toMatch(/cut-over,.*1 sleeve/);
    expect(closing).toMatch(/circuit,.*clinic: down/);
  });

  it('stands in its closure’s record, under what is signed', async () => {
    const own = await unzipped(await ask(gone.closureId));
    const record = await jsonOf<ClosureRecord>(own, 'closure.json');
    expect(record.retired.map(({ id }) => id)).toEqual([gone.id]);
    expect(record.splices.map(({ id }) => id)).not.toContain(gone.id);
  });
});

describe('a closure that is opened again', () => {
  it('keeps its tests and signatures from before on paper', async () => {
    const { closureId } = document.signed[1]!;
    const visit = {
      kind: 'visit',
      id: uuid(),
      closureId,
      by: 'M. Reyes',
      at: '2026-06-05T08:00:00.000Z',
      purpose: 'look',
      why: 'water in the hand hole',
      crew: ['M. Reyes'],
      air: { temperature: 12, humidity: null, pressure: null },
      sky: 'dry',
      instruments: [],
    };
    const path = `/closures/${closureId}/closing`;
    expect((await call('POST', path, { entries: [visit] })).status).toBe(200);
    const words = (await pagesOf(await unzipped(await ask(closureId)))).words.join('\n');
    expect(words).toMatch(/Not signed\./);
    expect(words).toMatch(/Pressure test of \d{4}-\d\d-\d\d, before it was opened again/);
    expect(words).toMatch(/Test 1, readings simulated: failed/);
    expect(words).toMatch(/Test 2, readings simulated: passed/);
    expect(words).toMatch(/Signed on \d{4}-\d\d-\d\d, before it was opened again .*Technician: /);
    expect(words).toContain(document.signed[1]!.digest);
  });
});
