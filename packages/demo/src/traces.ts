import { createHash } from 'node:crypto';
import {
  type Cable,
  type KeptTrace,
  type Splice,
  type TracePlace,
  modeFieldOf,
} from '@cordel/core';
import { writeSor } from '@cordel/core/otdr';
import {
  type TruePlant,
  type TrueSplice,
  countedIds,
  fiberMeters,
  fieldOf,
  shootPlant,
} from '@cordel/standin';
import type { Network } from './network.ts';
import type { Later } from './later.ts';
import { SLIPS } from './opening.ts';

/** The line that is spliced through: its cables in order, and where they meet. */
const LINE = ['L', 'M', 'N', 'P'];
const MEETINGS = ['Ferry steps', 'Kiln yard', 'Osier bank'];
/** Fibers of the line that are shot. */
export const SHOT_FIBERS = 24;
const SHOT = '2026-04-30T18:00:00.000Z';
/** The test crew's launch fiber at the far end, m. */
const LAUNCH = 502;
/** Usual loop of an end cable at a closure, m. */
const LOOP = 6;

/** What else is on the way of some fibers, by number. */
const MISHAPS: Record<number, Partial<TruePlant>> = {
  // Squeezed by a staple half way along cable M.
  3: { extras: [{ at: 5200, loss: 0.03, bend: 0.28 }] },
  // Broken by a fence post.
  20: { breakAt: 8050 },
};
/** Traces that nobody has shot yet. */
const MISSING = new Set(['7 BA 1550']);

/**
 * Traces of the line from both ends at both wavelengths, shot into the joints as they really lie.
 * @param truths true losses by splice
 * @param later moves the story's moments to where the demo has them
 * @param fibers how many fibers are shot, at most 24: four traces each take most of the time of a demo
 */
export function demoTraces(
  projectId: string,
  { cables, closures, splices }: Network,
  truths: ReadonlyMap<string, TrueSplice>,
  later: Later,
  fibers: number,
): { traces: KeptTrace[]; tracePlaces: TracePlace[] } {
  const id = countedIds(Date.parse(SHOT));
  const line = LINE.map((name) => cables.find((cable) => cable.name === name)!);
  const sites = MEETINGS.map((name) => closures.find((closure) => closure.name === name)!);
  const places = [
    line[0]!.run.end!.distance!,
    ...sites.map(({ distance }) => distance!),
    line[3]!.run.end!.distance!,
  ];
  const meters = (cable: Cable, index: number): number => {
    const loops = [sites[index - 1], sites[index]].reduce(
      (sum, site) =>
        sum + (site ? (SLIPS[`${cable.name} ${site.name}`]?.true ?? LOOP * 10_000) / 10_000 : 0),
      0,
    );
    return ((places[index + 1]! - places[index]!) / 10_000 + loops) * (cable.run.helix / 10_000);
  };
  const jointAt = (closureId: string, fiber: number): TrueSplice | null => {
    const splice = splices.find(
      (own: Splice) => own.closureId === closureId && own.fiberA === fiber,
    )!;
    return truths.get(splice.id) ?? null;
  };
  const shots: { trace: KeptTrace; place: TracePlace }[] = [];
  for (let fiber = 1; fiber <= fibers; fiber++) {
    const plant: TruePlant = {
      spans: line.map((cable, index) => ({
        meters: fiberMeters(meters(cable, index), cable.name, fiber),
        mfd: fieldOf(modeFieldOf(cable.glass)!, cable.name, fiber),
      })),
      joints: sites.map((site) => jointAt(site.id, fiber)),
      ...MISHAPS[fiber],
    };
    for (const direction of ['AB', 'BA'] as const)
      for (const nm of [1310, 1550]) {
        if (MISSING.has(`${fiber} ${direction} ${nm}`)) continue;
        const at = new Date(Date.parse(later(SHOT)) + shots.length * 40_000);
        const ends = ['Upper hut', 'Mill loft'];
        const [from, to] = direction === 'AB' ? ends : ends.reverse();
        const bytes = writeSor(
          shootPlant(plant, {
            // The crews at both ends have their own.
            instrument: direction === 'AB' ? 4101 : 4102,
            seed: 9000 + fiber * 16 + nm + (direction === 'AB' ? 0 : 7),
            direction,
            wavelengthNm: nm,
            pulseNs: 100,
            averages: 32_768,
            spacing: 2.5,
            range: 15_500,
            launch: direction === 'BA' ? LAUNCH : 0,
            cableId: 'L',
            fiberId: String(fiber),
            from: from!,
            to: to!,
            at: Math.round(at.getTime() / 1000),
          }),
        );
        const traceId = id();
        shots.push({
          trace: {
            id: traceId,
            projectId,
            name: `L${String(fiber).padStart(2, '0')}_${direction}_${nm}.sor`,
            digest: createHash('sha256').update(bytes).digest('hex'),
            receivedAt: at.toISOString(),
            origin: 'simulated',
            bytes: Buffer.from(bytes).toString('base64'),
          },
          place: {
            id: id(),
            traceId,
            by: 'Test crew',
            at: at.toISOString(),
            cableId: line[0]!.id,
            fiber,
            direction,
            wavelengthNm: nm,
            stage: null,
            why: null,
          },
        });
      }
  }
  return {
    traces: shots.map(({ trace }) => trace),
    tracePlaces: shots.map(({ place }) => place),
  };
}
