import { expose } from 'comlink';
import {
  type Gain,
  type ShiftOutcome,
  ShiftRuns,
  type ShiftSetting,
  type ShiftUnit,
  type Timeline,
  type WayFigures,
  timelineOf,
  unitsAs,
  wayFigures,
  withOneMore,
} from '@cordel/core/shift';
import { seeded } from '@cordel/standin';

/** What a planned shift comes to. */
export interface ShiftAnswer {
  outcome: ShiftOutcome;
  gains: Gain[];
  /** Both ways of working loose tubes; empty where there are none. */
  ways: WayFigures[];
  timeline: Timeline;
}

const RUNS = 10_000;
/** Runs for each question “what if”. */
const ASIDE = 1500;
const CHUNK = 250;
const SEED = 20260504;

let stopped = false;

/** Lets messages in between, so that a stop is heard. */
const breathe = () => new Promise((resolve) => setTimeout(resolve, 0));

const shiftPlanner = {
  /**
   * Plans a shift: so many runs by chance, with a report after each chunk.
   * @param onProgress called with the share that is done and what is known by then
   * @returns null where it was stopped
   */
  async plan(
    setting: ShiftSetting,
    units: ShiftUnit[],
    onProgress: (share: number, outcome: ShiftOutcome) => void,
  ): Promise<ShiftAnswer | null> {
    stopped = false;
    const runs = new ShiftRuns(setting, units, seeded(SEED));
    for (let done = 0; done < RUNS; done += CHUNK) {
      runs.add(CHUNK);
      onProgress(((done + CHUNK) / RUNS) * 0.7, runs.outcome());
      await breathe();
      if (stopped) return null;
    }
    const outcome = runs.outcome();
    const aside = async (other: ShiftSetting, list: readonly ShiftUnit[]) => {
      const more = new ShiftRuns(other, list, seeded(SEED));
      for (let done = 0; done < ASIDE && !stopped; done += CHUNK) {
        more.add(CHUNK);
        await breathe();
      }
      return more.outcome();
    };
    const gains: Gain[] = [];
    for (const what of ['person', 'splicer', 'heater'] as const) {
      const { finish } = await aside(withOneMore(setting, what), units);
      gains.push({ what, minutes: (outcome.finish.p50 - finish.p50) / 60 });
      onProgress(0.7 + 0.06 * gains.length, outcome);
    }
    const ways: WayFigures[] = [];
    if (units.some(({ isRibbon }) => !isRibbon))
      for (const way of ['single', 'ribbonized'] as const)
        ways.push(wayFigures(units, way, setting, await aside(setting, unitsAs(units, way))));
    if (stopped) return null;
    // The picture is of a run that ends about where most do.
    const picture = new ShiftRuns(setting, units, seeded(SEED + 1));
    let best = picture.traced();
    for (let index = 0; index < 8; index++) {
      const other = picture.traced();
      const off = (finish: number) => Math.abs(finish - outcome.finish.p50);
      if (off(other.finish) < off(best.finish)) best = other;
    }
    const timeline = timelineOf(best.line, best.stretches, best.finish);
    return { outcome, gains, ways, timeline };
  },
  stop(): void {
    stopped = true;
  },
};

export type ShiftPlanner = typeof shiftPlanner;

expose(shiftPlanner);
