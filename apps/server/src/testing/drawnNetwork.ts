import {
  AT_PORT,
  BUILT_IN_SCHEMES,
  type Cable,
  type Evidence,
  type MakeUp,
  METRIC,
  type Splice,
  US_CUSTOMARY,
  USUAL_GLASS,
  USUAL_RUN,
  newRuling,
} from '@cordel/core';
import type { ProjectDocument } from '@cordel/core/document';
import { v7 as uuid } from 'uuid';
import { attemptOn, readingOn, smallDocument } from './small.ts';

/** What was done to a splice, as it was drawn; losses in thousandths of a dB. */
type Done =
  | { state: 'open' | 'skipped' | 'dead' }
  | { state: 'estimate'; loss: number }
  /** By wavelength, in nm: from A to B, and where it was read, back. */
  | { state: 'one-way' | 'two-way'; losses: Record<number, readonly number[]> };

export interface DrawnNetwork {
  seed: number;
  document: ProjectDocument;
  done: Map<string, Done>;
}

/** A stream of numbers from 0 to 1, by a seed. Source: mulberry32, public domain. */
function streamOf(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), state | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
}

const WAVELENGTHS = [1310, 1550];
/** A kilometer, in tenths of a millimeter. */
const KM = 10_000_000;

/**
 * A network by a grammar: a row of closures, between them cables of loose tubes, groups or ribbons, some of which pass a
 * closure as express cables with a tube cut for a drop; outer ends of cable or ports; a splitter with its drops; a
 * branch. Everything is done to its splices that can be.
 */
export function drawnNetwork(seed: number): DrawnNetwork {
  const random = streamOf(seed);
  const upTo = (most: number) => Math.floor(random() * most);
  const oneOf = <T>(list: readonly T[]): T => list[upTo(list.length)]!;
  const base = smallDocument();
  const { project } = base;
  const units = { ...oneOf([METRIC, US_CUSTOMARY]), timeZone: oneOf(['UTC', 'America/Denver']) };
  const closures = Array.from({ length: 2 + upTo(4) }, (_, ordinal) => ({
    ...base.closures[0]!,
    id: uuid(),
    name: `Pole ${ordinal + 1}`,
    ordinal,
    distance: (ordinal + 1) * KM + upTo(KM / 2),
    trays: [] as { number: number; single: number; mass: number }[],
  }));
  const cables: Cable[] = [];
  const addCable = (name: string, makeUp: MakeUp, part: Partial<Cable> = {}): Cable => {
    const cable: Cable = {
      id: uuid(),
      projectId: project.id,
      name,
      makeUp,
      closureId: null,
      schemeId: oneOf(BUILT_IN_SCHEMES).id,
      glass: USUAL_GLASS,
      run: USUAL_RUN,
      ...part,
    };
    cables.push(cable);
    return cable;
  };
  const makeUpOf = (twelves: number): MakeUp =>
    oneOf<MakeUp>([
      { kind: 'loose-tube', tubes: twelves, fibersPerTube: 12 },
      { kind: 'grouped-tube', tubes: 1, groupsPerTube: twelves },
      { kind: 'ribbon', ribbons: twelves },
    ]);
  const splices: Splice[] = [];
  const fill = new Map<string, { tray: number; slot: number; room: number; method: string }>();
  /** The next place in a closure: single and ribbon sleeves lie on trays of their own. */
  const place = (closureId: string, method: Splice['method']) => {
    const key = `${closureId} ${method}`;
    const closure = closures.find(({ id }) => id === closureId)!;
    let at = fill.get(key);
    if (!at || at.slot === at.room) {
      const tray = { number: closure.trays.length + 1, single: 12, mass: 4 };
      closure.trays.push(tray);
      at = { tray: tray.number, slot: 0, room: tray[method], method };
      fill.set(key, at);
    }
    at.slot++;
    return { tray: at.tray, slot: at.slot };
  };
  type End = { cable: Cable; fiber: number; leg?: 'in' | 'out' };
  const join = (
    closureId: string,
    a: End,
    b: End,
    where: { tray: number; slot: number },
    method: Splice['method'],
    end: Splice['end'] = null,
  ) =>
    splices.push({
      id: uuid(),
      projectId: project.id,
      closureId,
      ...where,
      cableA: a.cable.id,
      fiberA: a.fiber,
      legA: a.leg ?? null,
      cableB: b.cable.id,
      fiberB: b.fiber,
      legB: b.leg ?? null,
      method,
      end,
      extra: {},
    });

  const twelves = 1 + upTo(3);
  const fibers = 12 * twelves;
  const endAt = (name: string, distance: number): Partial<Cable> => ({
    run: { ...USUAL_RUN, end: { name, distance, mark: null, coil: 0 } },
  });
  /** Ends all fibers of a cable at ports of a closure. */
  const portsAt = (closureId: string, name: string, cable: Cable, stubs: Set<number>) => {
    const makeUp: MakeUp = {
      kind: 'ports',
      place: 'panel',
      ports: fibers,
      connector: 'SC',
      polish: 'APC',
    };
    const ports = addCable(name, makeUp, { closureId });
    const end = oneOf(['pigtail', 'splice-on', 'mechanical'] as const);
    for (let fiber = 1; fiber <= fibers; fiber++) {
      if (stubs.has(fiber)) continue;
      const where = end === 'pigtail' ? place(closureId, 'single') : { tray: AT_PORT, slot: fiber };
      join(closureId, { cable, fiber }, { cable: ports, fiber }, where, 'single', end);
    }
  };

  const hasPorts = [random() < 0.4, random() < 0.4];
  const first = closures[0]!;
  const last = closures.at(-1)!;
  let feed: Cable | null = hasPorts[0]
    ? null
    : addCable('C0', makeUpOf(twelves), endAt('Office', 0));
  /** Fibers of the feeding cable that were cut for a drop: behind it they are stubs. */
  let cut = new Set<number>();
  for (const [index, closure] of closures.entries()) {
    const isLast = closure === last;
    // An express cable goes on; a tube of it is cut for a drop.
    if (feed && !isLast && index > 0 && feed.makeUp.kind === 'loose-tube' && random() < 0.4) {
      const drop = addCable(`D${index}`, { kind: 'drop', fibers: 12 });
      const tube = 12 * upTo(twelves);
      if (cut.has(tube + 1)) continue;
      for (let fiber = 1; fiber <= 12; fiber++) cut.add(tube + fiber);
      for (let fiber = 1; fiber <= 12; fiber++)
        if (fiber % 3 !== 0)
          join(
            closure.id,
            { cable: feed, fiber: tube + fiber, leg: 'in' },
            { cable: drop, fiber },
            place(closure.id, 'single'),
            'single',
          );
      continue;
    }
    const next: Cable | null =
      isLast && hasPorts[1]
        ? null
        : addCable(
            `C${index + 1}`,
            makeUpOf(twelves),
            isLast ? endAt('Far hut', last.distance + 2 * KM) : {},
          );
    if (feed && next) {
      const isMass = random() < 0.4;
      // A splitter takes the last fiber, which goes no further.
      const outputs = random() < 0.4 ? oneOf([2, 4]) : 0;
      const straight = outputs > 0 ? fibers - 12 : fibers;
      for (let fiber = 1; fiber <= straight; fiber += isMass ? 12 : 1) {
        if (cut.has(fiber)) continue;
        const where = place(closure.id, isMass ? 'mass' : 'single');
        for (let at = fiber; at < fiber + (isMass ? 12 : 1); at++)
          join(
            closure.id,
            { cable: feed, fiber: at },
            { cable: next, fiber: at },
            where,
            isMass ? 'mass' : 'single',
          );
      }
      if (outputs > 0 && !cut.has(fibers)) {
        const splitter = addCable(
          `S${index}`,
          { kind: 'splitter', outputs },
          { closureId: closure.id },
        );
        const drop = addCable(`W${index}`, { kind: 'drop', fibers: 4 });
        const single = () => [place(closure.id, 'single'), 'single'] as const;
        join(
          closure.id,
          { cable: feed, fiber: fibers },
          { cable: splitter, fiber: outputs + 1 },
          ...single(),
        );
        for (let fiber = 1; fiber <= outputs; fiber++)
          join(closure.id, { cable: splitter, fiber }, { cable: drop, fiber }, ...single());
      }
    } else if (feed) portsAt(closure.id, 'P end', feed, cut);
    else if (next) portsAt(first.id, 'P head', next, new Set());
    feed = next;
    cut = new Set();
  }

  const done = new Map<string, Done>();
  const evidence: Evidence[] = [];
  for (const splice of splices) {
    const drawn: Done = splice.end === null ? drawDone(random, upTo) : { state: 'open' };
    done.set(splice.id, drawn);
    evidence.push(...evidenceFor(splice.id, drawn));
  }
  return {
    seed,
    done,
    document: {
      ...base,
      project: { ...project, name: `Drawn ${seed}`, units, schemeId: oneOf(BUILT_IN_SCHEMES).id },
      closures,
      cables,
      splices,
      evidence,
    },
  };
}

function drawDone(random: () => number, upTo: (most: number) => number): Done {
  const dice = random();
  if (dice < 0.2) return { state: 'open' };
  if (dice < 0.25) return { state: 'skipped' };
  if (dice < 0.3) return { state: 'dead' };
  if (dice < 0.6) return { state: 'estimate', loss: upTo(120) };
  const isBoth = dice > 0.75;
  const losses = Object.fromEntries(
    WAVELENGTHS.map((nm) => [nm, isBoth ? [upTo(200) - 40, upTo(200) - 40] : [upTo(200) - 40]]),
  );
  return { state: isBoth ? 'two-way' : 'one-way', losses };
}

function evidenceFor(spliceId: string, drawn: Done): Evidence[] {
  const stamp = { id: uuid(), by: 'M.', at: '2026-05-04T20:15:00.000Z' };
  switch (drawn.state) {
    case 'open':
      return [];
    case 'skipped':
      return [newRuling(stamp, spliceId, null, 'skip', 'Later.')];
    case 'dead':
      return [newRuling(stamp, spliceId, null, 'dead', 'Nicked.')];
    case 'estimate':
      return [attemptOn(spliceId, drawn.loss)];
    default: {
      const attempt = attemptOn(spliceId, 20);
      const readings = Object.entries(drawn.losses).flatMap(([nm, both]) =>
        both.map((loss, index) => readingOn(attempt, index === 0 ? 'AB' : 'BA', Number(nm), loss)),
      );
      return [attempt, ...readings];
    }
  }
}
