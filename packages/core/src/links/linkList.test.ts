import Papa from 'papaparse';
import { readCsv } from '../record/csv.ts';
import { linkEntrySchema } from '../record/link.ts';
import { startAtTitles } from '../record/titles.ts';
import { CABLE, PROJECT, newReference, stamper } from './links.testing.ts';
import { matchLinkColumns, missingLinkColumns } from './linkColumns.ts';
import { type LinkListSetting, readLinkList } from './linkList.ts';
import { lossBy } from './meter.ts';
import { referencesOf } from './linkState.ts';

const settingOf = (part: Partial<LinkListSetting> = {}): LinkListSetting => ({
  projectId: PROJECT,
  cables: [{ id: CABLE, name: 'A', fibers: 12 }],
  cableId: CABLE,
  direction: 'AB',
  endsOf: () => ['Hut', 'Mill'],
  references: new Map(),
  stamp: stamper(),
  ...part,
});

function read(text: string, setting = settingOf()) {
  const table = readCsv(text);
  if (!table.ok) throw new Error(table.error.code);
  const titled = startAtTitles(table.value, matchLinkColumns);
  return readLinkList(titled, matchLinkColumns(titled.header), setting);
}

describe('a list of link measurements', () => {
  it('brings its reference along, once for rows alike', () => {
    const list = read(
      [
        'Meter report',
        'Fibre No;From;Wavelength (nm);Ref (dBm);Power (dBm);Source;Power meter;Cal due',
        '1;Hut;1310;-6,95;-9,40;S 11;M 22;2026-12-31',
        '1;Mill;1310 nm;-6,95;-9,50;S 11;M 22;2026-12-31',
        '2;hut;1550;-7,00;-8,10;S 11;M 22;2026-12-31',
      ].join('\n'),
    );
    expect(list.problems).toEqual([]);
    expect(list).toMatchObject({ losses: 3, returnLosses: 0 });
    expect(list.entries.map(({ kind }) => kind)).toEqual([
      ...Array<string>(2).fill('reference'),
      ...Array<string>(3).fill('loss'),
    ]);
    expect(list.entries.every((entry) => linkEntrySchema.safeParse(entry).success)).toBe(true);
    const references = referencesOf(list.entries);
    const losses = list.entries.flatMap((entry) =>
      entry.kind === 'loss'
        ? [[entry.fiber, entry.direction, lossBy(entry, references.get(entry.referenceId)!)]]
        : [],
    );
    expect(losses).toEqual([
      [1, 'AB', 2450],
      [1, 'BA', 2550],
      [2, 'AB', 1100],
    ]);
  });

  it('takes what a meter shows of a dark fiber for no light, and not for a loss', () => {
    const setting = settingOf({
      references: new Map([[1550, newReference(stamper(), 1550)]]),
    });
    const list = read('fiber,nm,loss\n7,1550,LO\n8,1550,no light\n9,1550,2.31\n', setting);
    expect(list).toMatchObject({ losses: 1, returnLosses: 0, dark: 2, problems: [] });
    expect(list.entries).toMatchObject([
      { kind: 'continuity', fiber: 7, seen: 'none', seenFiber: null },
      { kind: 'continuity', fiber: 8, seen: 'none' },
      { kind: 'loss', fiber: 9 },
    ]);
    expect(list.entries.every((entry) => linkEntrySchema.safeParse(entry).success)).toBe(true);
  });

  it('goes by the reference that was taken, where it brings none, and has return losses', () => {
    const reference = newReference(stamper(), 1550);
    const setting = settingOf({ references: new Map([[1550, reference]]) });
    const list = read('fiber,nm,loss,ORL\n7,1550,2.31,41.5\n', setting);
    expect(list).toMatchObject({
      losses: 1,
      returnLosses: 1,
      problems: [],
      entries: [
        { kind: 'loss', referenceId: reference.id, lossMdb: 2310, powerMdbm: null },
        { kind: 'return loss', lossMdb: 41_500, meter: 'Meter 1' },
      ],
    });
  });

  it.each([
    ['1,1310,2.5', 'noReference', 'loss (dB)'],
    ['1,1550,-9.4', 'dbmForDb', 'loss (dB)'],
    ['13,1550,2.5', 'fiberUnknown', 'fiber'],
    ['one,1550,2.5', 'fiberUnknown', 'fiber'],
    ['1,155,2.5', 'noWavelength', 'wavelength (nm)'],
    ['1,1550,', 'nothingMeasured', 'loss (dB)'],
  ])('says at its row and column what is wrong with %p: %s', (row, code, column) => {
    const references = new Map([[1550, newReference(stamper(), 1550)]]);
    const list = read(`fiber,nm,loss\n5,1550,2.4\n${row}\n`, settingOf({ references }));
    expect(list.problems).toMatchObject([{ row: 3, column, message: { code } }]);
    // All or nothing.
    expect(list.entries).toEqual([]);
  });

  it.each([
    ['power,-2.1', 'overReference'],
    ['power,2.4', 'dbForDbm'],
  ])('takes no %s over the reference', (cell, code) => {
    const [title, value] = cell.split(',');
    const references = new Map([[1550, newReference(stamper(), 1550, { powerMdbm: -2500 })]]);
    const list = read(`fiber,nm,${title}\n1,1550,${value}\n`, settingOf({ references }));
    expect(list.problems).toMatchObject([{ message: { code } }]);
  });

  it('is asked for what it lacks', () => {
    const match = matchLinkColumns(['Fiber', 'Remarks']);
    expect(missingLinkColumns(match)).toEqual(['wavelength', 'loss']);
  });

  it('reads what a general-purpose library writes', () => {
    const references = new Map([[1310, newReference(stamper(), 1310)]]);
    const rows = Array.from({ length: 12 }, (_, index) => ({
      Cable: 'a',
      Fiber: index + 1,
      Direction: index % 2 ? 'B > A' : 'A-B',
      'Wavelength [nm]': 1310,
      'Loss [dB]': (2 + index / 100).toFixed(3),
    }));
    const list = read(Papa.unparse(rows), settingOf({ references }));
    expect(list.problems).toEqual([]);
    expect(list.entries.map((entry) => 'direction' in entry && entry.direction)).toEqual(
      rows.map((_, index) => (index % 2 ? 'BA' : 'AB')),
    );
  });
});
