import { BUILT_IN_SCHEMES, type Evidence, METRIC, US_CUSTOMARY, newRuling } from '@cordel/core';
import type { ProjectDocument } from '@cordel/core/document';
import { v7 as uuid } from 'uuid';
import { Draw, DrawnPlant } from './drawnPlant.ts';
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
  done: ReadonlyMap<string, Done>;
}

const WAVELENGTHS = [1310, 1550];

/**
 * Seeds of the networks that tests draw: five that stay. `CORDEL_NETWORKS=200` draws as many, others each day;
 * `CORDEL_NETWORKS_SEED` repeats a draw.
 */
export function drawnSeeds(): number[] {
  const count = Number(process.env['CORDEL_NETWORKS'] ?? 5);
  const ofToday = Math.floor(Date.now() / 86_400_000);
  const first = Number(process.env['CORDEL_NETWORKS_SEED'] ?? (count === 5 ? 1 : ofToday));
  return Array.from({ length: count }, (_, index) => first + index);
}

/** A network by the grammar of {@link DrawnPlant}, with everything done to its splices that can be. */
export function drawnNetwork(seed: number): DrawnNetwork {
  const draw = new Draw(seed);
  const base = smallDocument();
  const { project } = base;
  const units = {
    ...draw.oneOf([METRIC, US_CUSTOMARY]),
    timeZone: draw.oneOf(['UTC', 'America/Denver']),
  };
  const { closures, cables, splices } = new DrawnPlant(draw, project.id);
  const done = new Map<string, Done>();
  const evidence: Evidence[] = [];
  for (const { id, end } of splices) {
    const drawn: Done = end === null ? drawnDone(draw) : { state: 'open' };
    done.set(id, drawn);
    evidence.push(...evidenceFor(id, drawn));
  }
  return {
    seed,
    done,
    document: {
      ...base,
      project: {
        ...project,
        name: `Drawn ${seed}`,
        units,
        schemeId: draw.oneOf(BUILT_IN_SCHEMES).id,
      },
      closures,
      cables,
      splices,
      evidence,
    },
  };
}

function drawnDone(draw: Draw): Done {
  const dice = draw.chance();
  if (dice < 0.2) return { state: 'open' };
  if (dice < 0.25) return { state: 'skipped' };
  if (dice < 0.3) return { state: 'dead' };
  if (dice < 0.6) return { state: 'estimate', loss: draw.upTo(120) };
  const isBoth = dice > 0.75;
  const loss = () => draw.upTo(200) - 40;
  const losses = Object.fromEntries(
    WAVELENGTHS.map((nm) => [nm, isBoth ? [loss(), loss()] : [loss()]]),
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
