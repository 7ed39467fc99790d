import { groupBy } from '../groupBy.ts';
import type { InstrumentEntry } from '../record/instrumentLog.ts';
import type { Loss } from '../record/message.ts';
import type { SplicerRecord } from '../record/splicerRecord.ts';
import { BASELINE_COUNT, type ControlChart, baselineOf, controlChart } from './charts.ts';
import { countedEstimate, worstCleave } from './records.ts';

/** What a series is of; `place` of a ribbon. */
export type SeriesName = { code: 'estimates' | 'cleaves' } | { code: 'place'; place: number };

/** What is charted of a splicer: its estimates, its cleave angles, and each place of its ribbons. */
export interface HealthSeries {
  key: string;
  name: SeriesName;
  unit: 'dB' | 'degrees';
  /** Of each figure: what it is and when, for the one who looks. */
  values: { at: string; value: number }[];
  /** Null until there are figures enough for a baseline. */
  chart: ControlChart | null;
  /** Turns a charted figure into one in the unit. */
  back(charted: number): number;
}

export type Cause = 'blade' | 'arc' | 'groove' | 'holder' | 'dirt' | 'tray bend';

/** A figure of a series in its unit: a loss, or degrees with one decimal. */
export type SeriesFigure = Loss | string;

/** The likely cause of what a series shows, with its evidence. */
export type TroubleMessage =
  | { code: 'blade' | 'arc'; now: SeriesFigure; usual: SeriesFigure }
  /** Places of the ribbon that are high. */
  | { code: 'groove' | 'holder'; count: number; places: readonly string[] }
  | { code: 'dirt'; loss: Loss }
  | { code: 'tray bend'; tray: number; bent: number; splices: number; excess: Loss };

/** Trouble seen early: the likely cause with its evidence. What to do next follows from the cause. */
export interface Trouble {
  cause: Cause;
  message: TroubleMessage;
  /** The series that shows it. */
  series: string;
}

/** Figures are charted as logarithms, for they cannot fall below nothing and have a long tail. */
const LOSS_SHIFT = 10;
const ANGLE_SHIFT = 0.1;

const lossLog = (mdb: number): number => Math.log(mdb + LOSS_SHIFT);
const angleLog = (degrees: number): number => Math.log(degrees + ANGLE_SHIFT);

/**
 * The series of a splicer's records, oldest first. Cleave angles begin anew when the blade is turned,
 * estimates when the arc was checked or electrodes were touched: from there it is another process.
 */
export function healthSeries(
  records: readonly SplicerRecord[],
  log: readonly InstrumentEntry[] = [],
): HealthSeries[] {
  const bladeAt = log.findLast(({ kind }) => kind === 'blade')?.at ?? '';
  const arcAt =
    log.findLast(
      (entry) => entry.kind === 'electrodes' || (entry.kind === 'arc check' && entry.passed),
    )?.at ?? '';
  const estimates: HealthSeries['values'] = [];
  const angles: HealthSeries['values'] = [];
  const places = new Map<number, HealthSeries['values']>();
  for (const record of records) {
    const counted = record.fibers.map((fiber) => countedEstimate(fiber));
    const read = counted.filter((estimate): estimate is number => estimate !== null);
    if (record.fused && read.length > 0 && record.at > arcAt)
      estimates.push({ at: record.at, value: meanOf(read) });
    const cleaves = record.fibers.flatMap((fiber) => worstCleave(fiber) ?? []);
    if (cleaves.length > 0 && record.at > bladeAt)
      angles.push({ at: record.at, value: meanOf(cleaves) });
    if (record.fibers.length > 1)
      record.fibers.forEach(({ position }, index) => {
        const estimate = counted[index];
        if (estimate == null || record.at <= arcAt) return;
        const list = places.get(position);
        if (list) list.push({ at: record.at, value: estimate });
        else places.set(position, [{ at: record.at, value: estimate }]);
      });
  }
  return [
    seriesOf('estimates', { code: 'estimates' }, 'dB', estimates),
    seriesOf('cleaves', { code: 'cleaves' }, 'degrees', angles),
    ...[...places]
      .sort(([a], [b]) => a - b)
      .map(([position, values]) =>
        seriesOf(`place ${position}`, { code: 'place', place: position }, 'dB', values),
      ),
  ];
}

function seriesOf(
  key: string,
  name: SeriesName,
  unit: HealthSeries['unit'],
  values: HealthSeries['values'],
): HealthSeries {
  const log = unit === 'dB' ? lossLog : angleLog;
  const back = (charted: number): number =>
    unit === 'dB'
      ? Math.max(0, Math.exp(charted) - LOSS_SHIFT)
      : Math.max(0, Math.exp(charted) - ANGLE_SHIFT);
  const logs = values.map(({ value }) => log(value));
  const start = logs.slice(0, BASELINE_COUNT);
  if (start.length < BASELINE_COUNT) return { key, name, unit, values, chart: null, back };
  const baseline = baselineOf(start);
  // Splicers show hundredths of a dB: figures that are all the same still have that much of a spread.
  const least = unit === 'dB' ? 0.2 : 0.1;
  const safe = { ...baseline, deviation: Math.max(baseline.deviation, least) };
  return { key, name, unit, values, chart: controlChart(logs, safe), back };
}

const meanOf = (list: readonly number[]): number =>
  list.reduce((sum, value) => sum + value, 0) / list.length;

/** Points at the end of a series over its running limit, one after the other. */
function risingFor({ chart }: HealthSeries): number {
  if (!chart) return 0;
  const calm = chart.points.findLastIndex(({ running }) => running !== 'above');
  return chart.points.length - 1 - calm;
}

/** Names the likely cause of what a splicer's series show now; nothing where all is steady. */
export function findTrouble(series: readonly HealthSeries[]): Trouble[] {
  const trouble: Trouble[] = [];
  const of = (key: string) => series.find((own) => own.key === key);
  const estimates = of('estimates');
  const cleaves = of('cleaves');
  const blade = cleaves && risingFor(cleaves) > 0 ? cleaves : null;
  if (blade)
    trouble.push({
      cause: 'blade',
      series: blade.key,
      message: { code: 'blade', now: shown(blade), usual: usual(blade) },
    });
  const places = series
    .filter(({ key }) => key.startsWith('place '))
    .filter((own) => risingFor(own) > 0);
  const all = series.filter(({ key }) => key.startsWith('place '));
  const some = places.length > 0 && places.length * 2 < all.length;
  if (some) {
    const last = all.length;
    const numbers = places.map(({ key }) => Number(key.slice(6)));
    const edges = numbers.every((place) => place === 1 || place === last);
    const cause = edges ? 'holder' : 'groove';
    trouble.push({
      cause,
      series: places[0]!.key,
      message: { code: cause, count: numbers.length, places: numbers.map(String) },
    });
  }
  const last = estimates?.chart?.points.at(-1);
  // One figure can throw the running mean out: only the next ones tell a jump from a rise.
  const jumped = last?.single === 'above' && risingFor(estimates!) <= 1;
  if (estimates && risingFor(estimates) > 0 && !jumped && !blade && !some)
    trouble.push({
      cause: 'arc',
      series: estimates.key,
      message: { code: 'arc', now: shown(estimates), usual: usual(estimates) },
    });
  if (estimates && jumped && !some)
    trouble.push({
      cause: 'dirt',
      series: estimates.key,
      message: {
        code: 'dirt',
        loss: { lossMdb: Math.round(estimates.values.at(-1)!.value) },
      },
    });
  return trouble;
}

const shown = (series: HealthSeries): SeriesFigure =>
  figureOf(series, series.chart!.points.at(-1)!.ewma);
const usual = (series: HealthSeries): SeriesFigure =>
  figureOf(series, series.chart!.baseline.center);
const figureOf = (series: HealthSeries, charted: number): SeriesFigure =>
  series.unit === 'dB'
    ? { lossMdb: Math.round(series.back(charted)) }
    : series.back(charted).toFixed(1);

/** A measured splice of a tray at two wavelengths, thousandths of a dB. */
export interface TrayLoss {
  tray: number;
  short: number;
  long: number;
}

/** Loss at the long wavelength over that at the short one that points to a bend, thousandths of a dB. */
const BEND = 30;

/**
 * Trays of which most fibers lose more at the long wavelength than at the short one: the tray bends
 * them, not the fusion (common practice, no source).
 */
export function bentTrays(losses: readonly TrayLoss[]): Trouble[] {
  return [...groupBy(losses, ({ tray }) => tray)].flatMap(([tray, list]): Trouble[] => {
    const bent = list.filter(({ short, long }) => long - short >= BEND);
    if (list.length < 3 || bent.length * 2 <= list.length) return [];
    const mean = Math.round(meanOf(bent.map(({ short, long }) => long - short)));
    return [
      {
        cause: 'tray bend',
        series: `tray ${tray}`,
        message: {
          code: 'tray bend',
          tray,
          bent: bent.length,
          splices: list.length,
          excess: { lossMdb: mean },
        },
      },
    ];
  });
}
