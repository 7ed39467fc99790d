import { inArray, sql } from 'drizzle-orm';
import { type Evidence, modeFieldOf, spliceStateOf } from '@cordel/core';
import { type CircuitRoute, writeSor } from '@cordel/core/otdr';
import { trueLoops, trueSplices } from '@cordel/demo';
import {
  type OtdrShot,
  type TruePlant,
  type TrueSplice,
  fiberMeters,
  fieldOf,
  seeded,
  shootPlant,
} from '@cordel/standin';
import type { Db } from '../db/client.ts';
import { splices, standinJoints } from '../db/schema.ts';
import { bySplice, evidenceOf, idArray } from '../evidence/queries.ts';
import { forPractice } from '../projects/practice.ts';
import { getProject } from '../projects/queries.ts';
import { type Plant, loadPlant } from './plant.ts';

/** What somebody got wrong, to try what Cordel makes of it. */
export const OTDR_FAULTS = [
  'launchFiberIncluded',
  'wrongGroupIndex',
  'rangeTooShort',
  'unplugged',
  'brokenHalfway',
] as const;

/** How the simulated OTDR is set, and into what it is plugged. */
export interface OtdrTask {
  cableId: string;
  fiber: number;
  direction: 'AB' | 'BA';
  wavelengthNm: number;
  pulseNs: number;
  averages: number;
  /** The cable is on its reel yet: its fiber alone is shot. */
  isOnReel: boolean;
  faults: readonly (typeof OTDR_FAULTS)[number][];
}

const USUAL_FIELD = 9.2;
/** Cable beyond a closure whose length nobody has said, m. */
const UNSAID = 400;

/**
 * Shoots a circuit with the simulated OTDR, through the joints as they really lie: as the stand-in splicer
 * made them, as traces or typed readings already showed them, else as the estimate has it, give or take.
 */
export async function shoot(db: Db, projectId: string, task: OtdrTask) {
  await forPractice(db, projectId);
  const { name } = await getProject(db, projectId);
  const plant = await loadPlant(db, projectId);
  const route = plant.circuitOf(task.cableId, task.fiber);
  const whole = task.isOnReel
    ? onReel(plant, task.cableId, task.fiber)
    : await plantOf(db, route, plant, projectId);
  const length = whole.spans.reduce((sum, { meters }) => sum + meters, 0);
  const has = (fault: (typeof OTDR_FAULTS)[number]) => task.faults.includes(fault);
  const broken = has('brokenHalfway')
    ? { ...whole, breakAt: length * (0.4 + 0.2 * seeded(hashOf(route.key)).uniform()) }
    : whole;
  const range = has('rangeTooShort') ? 0.6 * length : roundUp(1.25 * length + 600);
  const at = Math.floor(Date.now() / 1000);
  const ends = task.isOnReel
    ? ['reel', 'reel']
    : [route.points[0]!.name, route.points.at(-1)!.name];
  const [from, to] = task.direction === 'AB' ? ends : ends.reverse();
  const shot: OtdrShot = {
    // A crew has one, and keeps it.
    instrument: hashOf(name),
    seed: hashOf(`${route.key} ${task.direction} ${task.wavelengthNm} ${at}`),
    direction: task.direction,
    wavelengthNm: task.wavelengthNm,
    pulseNs: task.pulseNs,
    averages: task.averages,
    // As many samples as instruments store, and not more.
    spacing: Math.max(0.5, range / 30_000),
    range,
    launch: has('launchFiberIncluded') ? 502 : 0,
    groupIndex: has('wrongGroupIndex') ? 150_100 : undefined,
    unplugged: has('unplugged'),
    cableId: task.isOnReel ? plant.setting.cables.get(task.cableId)!.name : route.spans[0]!.cable,
    fiberId: String(task.isOnReel ? task.fiber : route.spans[0]!.fiber),
    from: from!,
    to: to!,
    at,
  };
  const number = String(shot.fiberId).padStart(3, '0');
  return {
    name: `${shot.cableId}-${number}_${task.direction}_${task.wavelengthNm}.sor`,
    bytes: writeSor(shootPlant(broken, shot)),
  };
}

const roundUp = (meters: number): number => Math.ceil(meters / 1000) * 1000;

function hashOf(text: string): number {
  let hash = 17;
  for (const letter of text) hash = Math.imul(hash ^ letter.charCodeAt(0), 16777619);
  return hash >>> 0;
}

/** One fiber of a cable on its reel, as it was made. */
function onReel({ setting }: Plant, cableId: string, fiber: number): TruePlant {
  const { name, run, glass } = setting.cables.get(cableId)!;
  const sheathM = run.reel?.length == null ? UNSAID : run.reel.length / 10_000;
  return {
    spans: [
      {
        meters: fiberMeters((sheathM * run.helix) / 10_000, name, fiber),
        mfd: fieldOf(modeFieldOf(glass) ?? USUAL_FIELD, name, fiber),
      },
    ],
    joints: [],
  };
}

/** The circuit as it really is. */
async function plantOf(
  db: Db,
  route: CircuitRoute,
  plant: Plant,
  projectId: string,
): Promise<TruePlant> {
  const ids = route.points.flatMap(({ spliceId }) => spliceId ?? []);
  const evidence = bySplice(await evidenceOf(db, inArray(splices.id, ids)));
  const truths = await madeByStandin(db, ids, evidence);
  const loops = trueLoops(projectId);
  const story = trueSplices(projectId);
  return {
    spans: route.spans.map((span, index) => {
      const sides = ([0, 1] as const).map((side) => {
        const { closureId } = route.points[index + side]!;
        const really = closureId === null ? undefined : loops.get(`${span.cableId} ${closureId}`);
        return really === undefined ? 0 : really - span.coilsM[side];
      });
      const sheath = (span.sheathM ?? UNSAID) + sides[0]! + sides[1]!;
      const { glass } = plant.setting.cables.get(span.cableId)!;
      return {
        meters: fiberMeters(sheath * span.helix, span.cable, span.fiber),
        mfd: fieldOf(modeFieldOf(glass) ?? USUAL_FIELD, span.cableId, span.fiber),
      };
    }),
    joints: ids.map((id) =>
      jointOf(evidence.get(id) ?? [], truths.get(id) ?? null, story.get(id) ?? null),
    ),
  };
}

/** True losses of last tries that the stand-in splicer made, thousandths of a dB. */
async function madeByStandin(
  db: Db,
  ids: readonly string[],
  evidence: ReadonlyMap<string, Evidence[]>,
): Promise<Map<string, number>> {
  const takes = ids.flatMap((id) => {
    const last = spliceStateOf(evidence.get(id) ?? []).tries.at(-1);
    return last?.recordId ? [{ id, recordId: last.recordId, position: last.recordPosition! }] : [];
  });
  const rows = await db
    .select()
    .from(standinJoints)
    .where(
      sql`${standinJoints.recordId} = any(${idArray(takes.map(({ recordId }) => recordId))}::uuid[])`,
    );
  const byRecord = new Map(rows.map(({ recordId, truth }) => [recordId, truth]));
  return new Map(
    takes.flatMap(({ id, recordId, position }) => {
      const truth = byRecord.get(recordId)?.[position - 1];
      return truth == null ? [] : [[id, truth] as const];
    }),
  );
}

/** A joint as it lies, by what is known of it; null where nothing is fused, or the fiber is dead. */
function jointOf(
  evidence: readonly Evidence[],
  made: number | null,
  story: (TrueSplice & { tryId: string }) | null,
): TrueSplice | null {
  const spliceState = spliceStateOf(evidence);
  const last = spliceState.tries.at(-1);
  if (!last || spliceState.ruling?.kind === 'dead') return null;
  // As the demo has it, until somebody fuses it again.
  if (story && story.tryId === last.tryId) return { loss: story.loss, bend: story.bend };
  const both = spliceState.directions.filter(({ AB, BA }) => AB !== null && BA !== null);
  const at = (nm: number) => {
    const found = both.find(({ wavelengthNm }) => wavelengthNm === nm);
    return found ? (found.AB! + found.BA!) / 2000 : null;
  };
  const [short, long] = [at(1310), at(1550)];
  if (made === null && long !== null) {
    const bend = short === null ? 0 : Math.max(0, long - short * 0.78 - 0.01);
    return { loss: Math.max(0.002, long - bend), bend };
  }
  const estimate = last.estimateMdb ?? 20;
  const error = seeded(hashOf(last.tryId)).normal() * (8 + 0.15 * estimate);
  return { loss: Math.max(2, made ?? estimate + error) / 1000 };
}
