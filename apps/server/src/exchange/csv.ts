import {
  GRADES,
  addressOf,
  formatHalf,
  formatMean,
  spellDistance,
  type RollUp,
  type SpliceRow,
} from '@cordel/core';
import { writeCsv } from '@cordel/core/csv';
import type { Db } from '../db/client.ts';
import { closureRows, fiberRows, spliceRows, trayRows } from '../ledger/queries.ts';
import { getCables, getProject } from '../projects/queries.ts';
import { allSchemes } from '../schemes/queries.ts';
import { and, eq } from 'drizzle-orm';
import { splices } from '../db/schema.ts';

export const CSV_KINDS = ['fibers', 'trays', 'closures', 'splices'] as const;
export type CsvKind = (typeof CSV_KINDS)[number];

const ALL = { sort: 'route', offset: 0, limit: Number.MAX_SAFE_INTEGER } as const;

const ROLL_UP = [
  'splices',
  'done',
  'pass',
  'fail',
  'waived',
  'provisional',
  'open',
  'to redo',
  'worst dB',
  'mean dB',
  'evidence grade',
  'verdict',
];

/** Figures in CSV use a plain hyphen for a minus sign, as programs read it. */
const plain = (text: string): string => text.replace('\u2212', '-');

const rollUpCells = (row: RollUp): (string | number)[] => [
  row.total,
  row.done,
  row.pass,
  row.fail,
  row.waived,
  row.provisional,
  row.open,
  row.redo,
  row.maxHalf === null ? '' : plain(formatHalf(row.maxHalf)),
  row.figures === 0 ? '' : plain(formatMean(row.sumHalf, row.figures)),
  row.grade ?? '',
  row.verdict,
];

/** One matter of a project as CSV (RFC 4180). */
export async function csvOf(db: Db, projectId: string, kind: CsvKind): Promise<string> {
  const { units } = await getProject(db, projectId);
  switch (kind) {
    case 'closures': {
      const { closures } = await closureRows(db, projectId);
      const names = new Map(closures.map((row) => [row.closureId, row.name]));
      return writeCsv(
        ['closure', 'distance', 'branch of', 'trays', ...ROLL_UP],
        closures.map((row) => [
          row.name,
          row.distance === null ? '' : spellDistance(row.distance, units.distance),
          row.branchOf === null ? '' : (names.get(row.branchOf) ?? ''),
          row.trayCount,
          ...rollUpCells(row),
        ]),
      );
    }
    case 'trays': {
      const { rows } = await trayRows(db, projectId, ALL);
      return writeCsv(
        ['closure', 'tray', ...ROLL_UP],
        rows.map((row) => [row.closure, row.tray, ...rollUpCells(row)]),
      );
    }
    case 'fibers': {
      const { rows } = await fiberRows(db, projectId, ALL);
      const describe = await describer(db, projectId);
      return writeCsv(
        ['cable', 'fiber', 'place', 'colour', ...ROLL_UP],
        rows.map((row) => [...describe(row.headCable, row.headFiber), ...rollUpCells(row)]),
      );
    }
    case 'splices':
      return splicesCsv(db, projectId);
  }
}

async function describer(db: Db, projectId: string) {
  const schemes = await allSchemes(db);
  const cables = new Map((await getCables(db, projectId)).map((cable) => [cable.id, cable]));
  return (cableId: string, fiber: number): [string, number, string, string] => {
    const cable = cables.get(cableId)!;
    const address = addressOf(cable.makeUp, schemes.get(cable.schemeId)!, fiber);
    return [cable.name, fiber, address.unitWords, address.fiber.words];
  };
}

async function splicesCsv(db: Db, projectId: string): Promise<string> {
  const { rows } = await spliceRows(db, projectId, ALL);
  const describe = await describer(db, projectId);
  const extras = await db
    .select({ id: splices.id, extra: splices.extra })
    .from(splices)
    .where(and(eq(splices.projectId, projectId), eq(splices.live, true)));
  const extraOf = new Map(extras.map(({ id, extra }) => [id, extra]));
  const titles = [...new Set(extras.flatMap(({ extra }) => Object.keys(extra)))];
  const side = (name: 'A' | 'B') => [
    `cable ${name}`,
    `fiber ${name}`,
    `place ${name}`,
    `colour ${name}`,
  ];
  const cells = (row: SpliceRow) => [
    row.closure,
    row.tray,
    row.slot,
    ...describe(row.cableA, row.fiberA),
    ...describe(row.cableB, row.fiberB),
    row.method === 'mass' ? 'ribbon' : 'single',
    row.tries,
    row.half === null ? '' : plain(formatHalf(row.half)),
    row.grade === null ? '' : (GRADES[row.grade] ?? ''),
    row.wavelengthNm ?? '',
    row.verdict,
    row.redo ? 'yes' : 'no',
    row.missing.join(' '),
    ...titles.map((title) => extraOf.get(row.id)?.[title] ?? ''),
  ];
  return writeCsv(
    [
      'closure',
      'tray',
      'slot',
      ...side('A'),
      ...side('B'),
      'method',
      'tries',
      'loss dB',
      'evidence grade',
      'wavelength nm',
      'verdict',
      'redo',
      'missing nm',
      ...titles,
    ],
    rows.map(cells),
  );
}
