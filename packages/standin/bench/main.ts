import { BUILT_IN_LIMITS, adviseRedo } from '@cordel/core';
import { type NightCount, type NightSetting, type RedoRule, spliceNight } from '../src/night.ts';

const NIGHTS = 1000;

const byLine: RedoRule = (_, over) => over;
const byAdvice: RedoRule = (task) => {
  const { word } = adviseRedo(task);
  return word === 'Redo' || word === 'Last try';
};

function nights(setting: Omit<NightSetting, 'seed'>, rule: RedoRule, count: number): NightCount {
  const sum: NightCount = { arcs: 0, redos: 0, failed: 0, fibers: 0 };
  for (let seed = 1; seed <= count; seed++) {
    const night = spliceNight({ ...setting, seed }, rule);
    for (const key of Object.keys(sum) as (keyof NightCount)[]) sum[key] += night[key];
  }
  return sum;
}

/**
 * Redos by the advice against redos by the rule “whatever is above the redo line”, over nights with
 * known truth; it counts only where no more splices fail at the two-way test.
 */
function advice(name: string, setting: Omit<NightSetting, 'seed'>): boolean {
  const plain = nights(setting, byLine, NIGHTS);
  const advised = nights(setting, byAdvice, NIGHTS);
  const ratio = advised.redos / plain.redos;
  const fails = advised.failed / plain.failed;
  const ok = ratio < 1 && fails <= 1;
  console.log(
    `${name}  ${ratio.toFixed(2)}  limit 1  ${ok ? 'ok' : 'MISS'}  (redos ${advised.redos} for ${plain.redos}; failed at the two-way test ${advised.failed} for ${plain.failed}, ratio ${fails.toFixed(2)}, of ${plain.fibers} fibers in ${NIGHTS} nights)`,
  );
  return ok;
}

const limits = BUILT_IN_LIMITS[0]!;
const FIGURES: Record<string, () => boolean> = {
  'advice-single': () => advice('advice-single', { joints: 144, fibers: 1, limits, unlike: 0.05 }),
  'advice-ribbon': () => advice('advice-ribbon', { joints: 24, fibers: 12, limits, unlike: 0.05 }),
};

const wanted = process.argv.slice(2);
let missed = false;
for (const [name, measure] of Object.entries(FIGURES))
  if (wanted.length === 0 || wanted.includes(name)) missed = !measure() || missed;
process.exit(missed ? 1 : 0);
