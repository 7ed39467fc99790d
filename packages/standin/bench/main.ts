import { BUILT_IN_LIMITS, adviseRedo } from '@cordel/core';
import { ShiftRuns, type ShiftUnit, USUAL_SHIFT } from '@cordel/core/shift';
import { type NightCount, type NightSetting, type RedoRule, spliceNight } from '../src/night.ts';
import { seeded } from '../src/random.ts';
import { batchFigures } from './batch.ts';
import { chartFigures } from './charts.ts';
import { leakFigures } from './leak.ts';
import { causeFigures } from './jobs.ts';
import { regimeFigures } from './regimes.ts';
import { type TraceFigure, proofFigures, traceSpeed } from './traces.ts';

/** Nights by default; a thousand with `npm run bench -- --long`. */
const NIGHTS = process.env['CORDEL_LONG'] ? 1000 : 300;

const byLine: RedoRule = (_, over) => over;
const byAdvice: RedoRule = (task) => {
  const { code } = adviseRedo(task);
  return code === 'redo' || code === 'last-attempt';
};

function nights(setting: Omit<NightSetting, 'seed'>, rule: RedoRule): NightCount {
  const sum: NightCount = { arcs: 0, redos: 0, failed: 0, fibers: 0 };
  for (let seed = 1; seed <= NIGHTS; seed++) {
    const night = spliceNight({ ...setting, seed }, rule);
    for (const key of Object.keys(sum) as (keyof NightCount)[]) sum[key] += night[key];
  }
  return sum;
}

function print(name: string, ratio: number, limit: string, ok: boolean, note: string): boolean {
  console.log(`${name}  ${ratio.toFixed(2)}  limit ${limit}  ${ok ? 'ok' : 'MISS'}  (${note})`);
  return ok;
}

/**
 * Redos by the advice against redos by the rule “whatever is above the redo line”, over nights with
 * known truth; it counts only where no more splices fail at the two-way test.
 */
function advice(name: string, setting: Omit<NightSetting, 'seed'>): boolean {
  const plain = nights(setting, byLine);
  const advised = nights(setting, byAdvice);
  const ratio = advised.redos / plain.redos;
  const fails = advised.failed / plain.failed;
  return print(
    name,
    ratio,
    '1',
    ratio < 1 && fails <= 1,
    `redos ${advised.redos} for ${plain.redos}; failed at the two-way test ${advised.failed} for ${plain.failed}, ratio ${fails.toFixed(2)}, of ${plain.fibers} fibers in ${NIGHTS} nights`,
  );
}

/** A night of 288 singles, run after run, against a bare loop that only draws the same numbers. */
function shiftModel(): boolean {
  const units = Array.from({ length: 24 }, (_, index): ShiftUnit => ({
    label: `tube ${index + 1}`,
    sleeves: 12,
    fibers: 1,
    way: 'single',
  }));
  const runs = 2000;
  // Counted while a run is made, so that the loop draws just as many.
  const counts = { uniform: 0, normal: 0 };
  const counted = seeded(1);
  new ShiftRuns(USUAL_SHIFT, units, {
    uniform: () => (counts.uniform++, counted.uniform()),
    normal: () => (counts.normal++, counted.normal()),
  }).add(runs);
  const bare = () => {
    const random = seeded(1);
    let sum = 0;
    for (let draw = 0; draw < counts.normal; draw++)
      sum += Math.exp(USUAL_SHIFT.spread * random.normal());
    for (let draw = 0; draw < counts.uniform; draw++) sum += random.uniform();
    return sum;
  };
  const ours = () => {
    const model = new ShiftRuns(USUAL_SHIFT, units, seeded(1));
    model.add(runs);
    return model;
  };
  const ratios = Array.from({ length: 5 }, () => {
    const start = performance.now();
    ours();
    const middle = performance.now();
    bare();
    return (middle - start) / (performance.now() - middle);
  }).sort((a, b) => a - b);
  return print(
    'shift-model',
    ratios[2]!,
    '10',
    ratios[2]! <= 10,
    `${runs} nights of 288 splices against drawing their numbers only`,
  );
}

/** False alarms and delays of the charts against published run lengths, a tenth either way. */
function charts(): boolean {
  return chartFigures()
    .map(({ name, measured, published, source }) => {
      const ratio = measured / published;
      return print(
        name,
        ratio,
        '0.90 to 1.10',
        ratio >= 0.9 && ratio <= 1.1,
        `${measured.toFixed(2)} figures on average, published ${published}: ${source}`,
      );
    })
    .every(Boolean);
}

const printAll = (figures: readonly TraceFigure[]): boolean =>
  figures
    .map(({ name, ratio, limit, ok = true, note }) =>
      print(name, ratio, String(limit), ratio <= limit && ok, note),
    )
    .every(Boolean);

/** Drawn anew each time; what was seen once is seen again by its seed. */
const SEED = Number(process.env['CORDEL_SEED'] ?? Date.now() % 1_000_000);
const limits = BUILT_IN_LIMITS[0]!;
const FIGURES: Record<string, () => boolean> = {
  'advice-single': () => advice('advice-single', { joints: 144, fibers: 1, limits, unlike: 0.05 }),
  'advice-ribbon': () => advice('advice-ribbon', { joints: 24, fibers: 12, limits, unlike: 0.05 }),
  'shift-model': shiftModel,
  charts,
  'trace-speed': () => printAll(traceSpeed()),
  'trace-batch': () => printAll(batchFigures()),
  'joint-loss': () => printAll(proofFigures()),
  leak: () => printAll(leakFigures()),
  'trace-regimes': () => printAll(regimeFigures(SEED)),
  'trace-causes': () => printAll(causeFigures(SEED)),
};

const wanted = process.argv.slice(2);
let missed = false;
for (const [name, measure] of Object.entries(FIGURES))
  if (wanted.length === 0 || wanted.includes(name)) missed = !measure() || missed;
process.exit(missed ? 3 : 0);
