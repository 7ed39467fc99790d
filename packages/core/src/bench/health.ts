import { groupBy } from '../groupBy.ts';
import { plural } from '../measure/count.ts';
import { formatLoss } from '../measure/loss.ts';
import type { InstrumentEntry } from '../record/instrumentLog.ts';
import type { SplicerRecord } from '../record/splicerRecord.ts';
import { BASELINE_COUNT, type ControlChart, baselineOf, controlChart } from './charts.ts';
import { countedEstimate, worstCleave } from './records.ts';

/** What is charted of a splicer: its estimates, its cleave angles, and each place of its ribbons. */
export interface HealthSeries {
  key: string;
  name: string;
  unit: 'dB' | 'degrees';
  /** Of each figure: what it is and when, for the one who looks. */
  values: { at: string; value: number }[];
  /** Null until there are figures enough for a baseline. */
  chart: ControlChart | null;
  /** Turns a charted figure into one in the unit. */
  back(charted: number): number;
}

export type Cause = 'blade' | 'arc' | 'groove' | 'holder' | 'dirt' | 'tray bend';

/** Trouble seen early: the likely cause, its evidence in a line, and what to do next. */
export interface Trouble {
  cause: Cause;
  words: string;
  next: string;
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
    seriesOf('estimates', 'Estimates', 'dB', estimates),
    seriesOf('cleaves', 'Cleave angles', 'degrees', angles),
    ...[...places]
      .sort(([a], [b]) => a - b)
      .map(([position, values]) =>
        seriesOf(`place ${position}`, `Ribbon place ${position}`, 'dB', values),
      ),
  ];
}

function seriesOf(
  key: string,
  name: string,
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
      words: `Cleave angles rise: about ${shown(blade)} degrees now, ${usual(blade)} at first.`,
      next: 'Turn the blade one place and log it; wipe anvil and clamps.',
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
    trouble.push({
      cause: edges ? 'holder' : 'groove',
      series: places[0]!.key,
      words: `${plural(numbers.length, 'place')} of the ribbon high, ${numbers.join(' and ')}, the others steady.`,
      next: edges
        ? 'Edge fibers: seat the ribbon flat in its holder; look at stripper and holder edges.'
        : 'The same groove again: brush it out, and lift the lens cover for dirt.',
    });
  }
  const last = estimates?.chart?.points.at(-1);
  // One figure can throw the running mean out: only the next ones tell a jump from a rise.
  const jumped = last?.single === 'above' && risingFor(estimates!) <= 1;
  if (estimates && risingFor(estimates) > 0 && !jumped && !blade && !some)
    trouble.push({
      cause: 'arc',
      series: estimates.key,
      words: `Estimates rise: about ${shown(estimates)} dB now, ${usual(estimates)} at first; cleaves are steady.`,
      next: 'Run an arc check; if it does not pass, the electrodes are due.',
    });
  if (estimates && jumped && !some)
    trouble.push({
      cause: 'dirt',
      series: estimates.key,
      words: `One figure jumped to ${formatLoss(Math.round(estimates.values.at(-1)!.value))} dB, its neighbours are steady.`,
      next: 'Most likely dirt or a chip: clean the groove and make this one again. Nothing else needs doing.',
    });
  return trouble;
}

const shown = (series: HealthSeries): string => figureOf(series, series.chart!.points.at(-1)!.ewma);
const usual = (series: HealthSeries): string => figureOf(series, series.chart!.baseline.center);
const figureOf = (series: HealthSeries, charted: number): string =>
  series.unit === 'dB'
    ? formatLoss(Math.round(series.back(charted)))
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
        words: `Tray ${tray}: ${bent.length} of ${list.length} splices lose ${formatLoss(mean)} dB more at the long wavelength.`,
        next: 'Lift the tray and lay its fibers wider; look for a pinch at its entrance. Do not redo the splices.',
      },
    ];
  });
}
