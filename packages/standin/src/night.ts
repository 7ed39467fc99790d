import { type Limits, type RedoTask, acceptingLimit, jointLoss } from '@cordel/core';
import { type Random, seeded } from './random.ts';
import { type LoadedPair, type StandinState, newStandin, runStandin } from './splicer.ts';

/** What a crew does about an estimate: true to make the joint again. */
export type RedoRule = (task: RedoTask, over: boolean) => boolean;

export interface NightSetting {
  joints: number;
  /** Fibers in one arc. */
  fibers: number;
  limits: Limits;
  /** Share of joints at which fibers of unlike fields meet. */
  unlike: number;
  seed: number;
}

/** What came of a night whose truth is known. */
export interface NightCount {
  arcs: number;
  redos: number;
  /** Fibers over the limit at the two-way test. */
  failed: number;
  fibers: number;
}

/**
 * A night on the simulated splicer with a rule for redos. Each joint and each try has chance of its own,
 * so that two rules meet the same night: try k of joint j is the same joint whatever was done before.
 */
export function spliceNight(setting: NightSetting, rule: RedoRule): NightCount {
  const { limits, fibers } = setting;
  const method = fibers > 1 ? 'mass' : 'single';
  const accepting = acceptingLimit(limits, method)!;
  const line = limits.splice.estimate[method]!;
  const world = seeded(setting.seed);
  const count: NightCount = { arcs: 0, redos: 0, failed: 0, fibers: 0 };
  const history: number[] = [];
  for (let joint = 0; joint < setting.joints; joint++) {
    const pairs = Array.from({ length: fibers }, () => drawPair(world, setting.unlike));
    // What the reels say: the cables' fields, not each fiber's.
    const floors = pairs.map((pair) =>
      Math.round(1000 * jointLoss({ mfdA: nominal(pair.mfdLeft), mfdB: nominal(pair.mfdRight) })),
    );
    const before: number[][] = pairs.map(() => []);
    const start: StandinState = {
      ...newStandin(setting.seed * 8191 + joint),
      arcs: joint,
      cleaves: joint * 2 * fibers,
      power: 0.05 * Math.sin(joint / 60 + setting.seed),
    };
    for (let attempt = 1; ; attempt++) {
      const { record, truth } = fuse(start, attempt, pairs);
      count.arcs++;
      const estimates = record.fibers.map(({ estimateMdb }) => estimateMdb!);
      history.push(...estimates);
      const task: RedoTask = {
        fibers: record.fibers.map((fiber, index) => ({
          estimate: estimates[index]!,
          cleave: Math.max(fiber.cleaveLeft!, fiber.cleaveRight!),
          before: before[index]!,
          floor: floors[index]!,
        })),
        method,
        limits,
        history,
        measured: [],
        slack: null,
        time: null,
      };
      const over = estimates.some((estimate) => estimate > line);
      if (attempt < limits.maxTries && rule(task, over)) {
        count.redos++;
        estimates.forEach((estimate, index) => before[index]!.push(estimate));
        continue;
      }
      count.fibers += fibers;
      count.failed += truth.filter((loss) => loss! > accepting).length;
      break;
    }
  }
  return count;
}

/** Loads again until the splicer fires: bad ends are cleaved anew before the arc, by either rule. */
function fuse(start: StandinState, attempt: number, pairs: readonly LoadedPair[]) {
  for (let load = 0; ; load++) {
    const run = runStandin({
      state: { ...start, number: attempt * 100 + load },
      fibers: pairs,
      program: 'SM',
      heater: null,
      at: '2026-05-04T20:15:00.000Z',
      label: null,
      air: { temperature: null, humidity: null, pressure: null },
    });
    if (run.record.fused) return run;
  }
}

const FIELDS = [9.2, 8.6, 10.2];
const nominal = (mfd: number): number =>
  FIELDS.reduce((best, field) => (Math.abs(field - mfd) < Math.abs(best - mfd) ? field : best));

function drawPair(random: Random, unlike: number): LoadedPair {
  const other = random.uniform() < unlike ? (random.uniform() < 0.5 ? 8.6 : 10.2) : 9.2;
  return { mfdLeft: 9.2 + 0.06 * random.normal(), mfdRight: other + 0.06 * random.normal() };
}
