import {
  type Closure,
  type ClosureRow,
  type Evidence,
  type FiberRow,
  GRADES,
  type Project,
  type RollUp,
  type Ruling,
  SPLICE_STAGES,
  formatDistance,
  formatHalf,
  formatLoss,
  formatMean,
  meanMdb,
  spliceStage,
} from '@cordel/core';
import { spliceStateText } from '@cordel/text/loss/states';
import type { PackageSplice, RetiredSplice } from '../handover/messages.ts';
import type { DescribeFiber } from './describer.ts';

/** A column of a sheet: what stands over it, and its cells as text, figure or moment. */
export interface Column<Row> {
  title: string;
  /** Width in characters. */
  width?: number;
  /** How a figure is shown: `0.000`. */
  format?: string;
  /** What joins files, and nobody reads in a workbook. */
  onlyCsv?: true;
  cell(row: Row): string | number | boolean | Date | null;
}

const dB = '0.0000';

const ROLL_UP: Column<RollUp>[] = [
  { title: 'splices', cell: (row) => row.total },
  { title: 'done', cell: (row) => row.done },
  ...SPLICE_STAGES.map((state): Column<RollUp> => ({
    title: spliceStateText(state),
    cell: (row) => row[state],
  })),
  { title: 'simulated figures', cell: (row) => row.simulated },
  {
    title: 'worst dB',
    format: dB,
    cell: (row) => (row.maxHalfMdb === null ? null : row.maxHalfMdb / 2000),
  },
  {
    // As the page shows it: rounded up to thousandths.
    title: 'mean dB',
    format: dB,
    cell: (row) => (row.figures === 0 ? null : meanMdb(row.sumHalfMdb, row.figures) / 1000),
  },
  { title: 'evidence grade', width: 12, cell: (row) => row.grade },
  { title: 'verdict', width: 12, cell: (row) => row.verdict },
];

export const closureColumns = (
  { units }: Project,
  closures: readonly Closure[],
): Column<ClosureRow>[] => {
  const names = new Map(closures.map(({ id, name }) => [id, name]));
  return [
    { title: 'closure', width: 22, cell: (row) => row.name },
    { title: 'distance m', cell: (row) => (row.distance === null ? null : row.distance / 10_000) },
    {
      title: 'distance',
      width: 12,
      cell: (row) => (row.distance === null ? null : formatDistance(row.distance, units.distance)),
    },
    {
      title: 'branch of',
      width: 18,
      cell: (row) => (row.branchOf ? (names.get(row.branchOf) ?? null) : null),
    },
    { title: 'trays', cell: (row) => row.trayCount },
    { title: 'closed', cell: (row) => (row.closing === 'done' ? 'signed' : row.closing) },
    ...ROLL_UP,
  ];
};

export const TRAYS: Column<RollUp & { closure: string; tray: number }>[] = [
  { title: 'closure', width: 22, cell: (row) => row.closure },
  { title: 'tray', cell: (row) => row.tray },
  ...ROLL_UP,
];

export const fiberColumns = (describe: DescribeFiber): Column<FiberRow>[] => {
  const of = (row: FiberRow) => describe(row.headCable, row.headFiber);
  return [
    { title: 'cable', cell: (row) => of(row).cable },
    { title: 'fiber', cell: (row) => row.headFiber },
    { title: 'place', width: 18, cell: (row) => of(row).place },
    { title: 'colour', width: 12, cell: (row) => of(row).colour },
    ...ROLL_UP,
  ];
};

/** What counts of a splice at a wavelength: the figure of the strongest grade. Figures stand strongest first. */
const strongestOf = (row: PackageSplice, nm: number) =>
  row.figures.find(({ wavelengthNm }) => wavelengthNm === nm);

/** What a person's word makes of a splice. */
export const RULING_TITLES: Record<Ruling['kind'], string> = {
  dead: 'dead',
  skip: 'skipped',
  redo: 'to redo',
  waive: 'accepted',
  reopen: 'taken back',
  retire: 'removed',
};

/** Columns of a splice; what its list brought along comes behind them. */
export const spliceColumns = (
  describe: DescribeFiber,
  extras: readonly string[],
  wavelengths: readonly number[],
): Column<PackageSplice>[] => [
  { title: 'closure', width: 22, cell: (row) => row.closure },
  { title: 'tray', cell: (row) => row.tray },
  { title: 'slot', cell: (row) => row.slot },
  ...(['A', 'B'] as const).flatMap((side): Column<PackageSplice>[] => {
    const of = (row: PackageSplice) => describe(row[`cable${side}`], row[`fiber${side}`]);
    return [
      { title: `cable ${side}`, cell: (row) => of(row).cable },
      { title: `leg ${side}`, cell: (row) => row[`leg${side}`] },
      { title: `fiber ${side}`, cell: (row) => row[`fiber${side}`] },
      { title: `place ${side}`, width: 18, cell: (row) => of(row).place },
      { title: `colour ${side}`, width: 12, cell: (row) => of(row).colour },
    ];
  }),
  { title: 'method', cell: (row) => (row.method === 'mass' ? 'ribbon' : 'single') },
  { title: 'end', width: 12, cell: (row) => row.end },
  { title: 'state', width: 18, cell: (row) => spliceStateText(spliceStage(row)) },
  { title: 'spliced by', width: 14, cell: (row) => row.madeBy },
  {
    title: 'spliced at (UTC)',
    width: 22,
    format: 'yyyy-mm-dd hh:mm:ss',
    cell: (row) => row.madeAt,
  },
  { title: 'tries', cell: (row) => row.tries },
  {
    title: 'loss dB',
    format: dB,
    cell: (row) => (row.lossHalfMdb === null ? null : row.lossHalfMdb / 2000),
  },
  {
    title: 'evidence grade',
    width: 12,
    cell: (row) => (row.grade === null ? null : (GRADES[row.grade] ?? null)),
  },
  { title: 'wavelength nm', cell: (row) => row.wavelengthNm },
  { title: 'origin', width: 12, cell: (row) => row.origin },
  ...wavelengths.flatMap((nm): Column<PackageSplice>[] => [
    {
      title: `${nm} nm dB`,
      format: dB,
      cell: (row) => {
        const figure = strongestOf(row, nm);
        return figure ? figure.lossHalfMdb / 2000 : null;
      },
    },
    { title: `${nm} nm grade`, width: 12, cell: (row) => strongestOf(row, nm)?.grade ?? null },
  ]),
  { title: 'missing nm', cell: (row) => row.missing.join(' ') },
  { title: 'decided', cell: (row) => (row.ruling ? RULING_TITLES[row.ruling.kind] : null) },
  { title: 'decided by', width: 14, cell: (row) => row.ruling?.by ?? null },
  {
    title: 'decided at (UTC)',
    width: 22,
    format: 'yyyy-mm-dd hh:mm:ss',
    cell: (row) => (row.ruling ? new Date(row.ruling.at) : null),
  },
  { title: 'reason', width: 40, cell: (row) => row.ruling?.why ?? null },
  ...extras.map((title): Column<PackageSplice> => ({
    title,
    width: 14,
    cell: (row) => row.extra[title] ?? null,
  })),
];

/** Columns of splices that were removed: what they were, and who says so when and why. */
export const retiredColumns = (
  columns: readonly Column<PackageSplice>[],
): Column<RetiredSplice>[] => [
  ...columns,
  {
    title: 'removed at (UTC)',
    width: 22,
    format: 'yyyy-mm-dd hh:mm:ss',
    cell: ({ retirement }) => new Date(retirement.at),
  },
  { title: 'removed by', width: 14, cell: ({ retirement }) => retirement.by },
  { title: 'why removed', width: 40, cell: ({ retirement }) => retirement.why },
];

/** An entry of evidence with the place of its splice. */
export interface PlacedEvidence {
  entry: Evidence;
  closure: string;
  tray: number;
  slot: number;
}

export const EVIDENCE: Column<PlacedEvidence>[] = [
  { title: 'closure', width: 22, cell: (row) => row.closure },
  { title: 'tray', cell: (row) => row.tray },
  { title: 'slot', cell: (row) => row.slot },
  { title: 'entry', cell: ({ entry }) => entry.type },
  {
    title: 'at (UTC)',
    width: 22,
    format: 'yyyy-mm-dd hh:mm:ss',
    cell: ({ entry }) => new Date(entry.at),
  },
  { title: 'by', width: 14, cell: ({ entry }) => entry.by },
  {
    title: 'grade',
    cell: ({ entry }) => {
      switch (entry.type) {
        case 'reading':
          return entry.grade;
        case 'attempt':
          return 'estimate';
        case 'inspection':
          return null;
        case 'ruling':
          return entry.kind;
      }
    },
  },
  { title: 'end face', cell: ({ entry }) => (entry.type === 'inspection' ? entry.face : null) },
  {
    title: 'cleanings',
    cell: ({ entry }) => (entry.type === 'inspection' ? entry.cleanings : null),
  },
  {
    title: 'light',
    cell: ({ entry }) => (entry.type === 'inspection' ? entry.light : null),
  },
  {
    title: 'origin',
    width: 12,
    cell: ({ entry }) => (entry.type === 'ruling' ? null : entry.origin),
  },
  { title: 'direction', cell: ({ entry }) => (entry.type === 'reading' ? entry.direction : null) },
  {
    title: 'wavelength nm',
    cell: ({ entry }) => (entry.type === 'reading' ? entry.wavelengthNm : null),
  },
  {
    title: 'loss dB',
    cell: ({ entry }) => {
      if (entry.type === 'reading') return entry.lossMdb / 1000;
      return entry.type === 'attempt' && entry.estimateMdb !== null
        ? entry.estimateMdb / 1000
        : null;
    },
  },
  {
    title: 'correction',
    cell: ({ entry }) =>
      entry.type === 'ruling' || entry.supersedes === null
        ? null
        : entry.void
          ? 'taken back'
          : 'corrected',
  },
  { title: 'why', width: 40, cell: ({ entry }) => entry.why },
  { title: 'splice', onlyCsv: true, cell: ({ entry }) => entry.spliceId },
  { title: 'id', onlyCsv: true, cell: ({ entry }) => entry.id },
];

/** Figures as CSV has them: plain digits, the same for every reader. */
export function csvCell(value: string | number | boolean | Date | null): string | number | null {
  if (value instanceof Date) return value.toISOString();
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'number' && !Number.isInteger(value)) return Number(value.toFixed(6));
  return value;
}

/** Losses in words for the printed record. */
export const lossText = (row: Pick<PackageSplice, 'lossHalfMdb'>): string =>
  row.lossHalfMdb === null ? '' : formatHalf(row.lossHalfMdb);
export const meanText = (row: RollUp): string =>
  row.figures === 0 ? '' : formatMean(row.sumHalfMdb, row.figures);
export const limitText = (limit: number | null): string =>
  limit === null ? 'none' : `${formatLoss(limit)} dB`;
