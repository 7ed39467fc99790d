import type { Splice } from '@cordel/core';
import type { DrawnNetwork } from './drawnNetwork.ts';

/**
 * What a drawn network comes to, reckoned in plain steps that share nothing with the code. Losses are doubled, as means of
 * two ways may end in a half.
 */

/** Twice the loss that speaks for a splice, thousandths of a dB: both ways before one way before the estimate, and the worst wavelength. */
export function speaking({ done }: DrawnNetwork, spliceId: string): number | null {
  const drawn = done.get(spliceId)!;
  if (drawn.state === 'estimate') return 2 * drawn.loss;
  if (drawn.state === 'one-way')
    return Math.max(...Object.values(drawn.losses).map(([one]) => 2 * one!));
  if (drawn.state === 'two-way')
    return Math.max(...Object.values(drawn.losses).map(([one, back]) => one! + back!));
  return null;
}

/** Counts and losses of some splices; ends have no splice loss. */
export function plainTally(network: DrawnNetwork, splices: readonly Splice[]) {
  const halves = splices.flatMap(({ id, end }) =>
    end === null ? (speaking(network, id) ?? []) : [],
  );
  const count = (state: string) =>
    splices.filter(({ id }) => network.done.get(id)!.state === state).length;
  return {
    total: splices.length,
    open: count('open'),
    skipped: count('skipped'),
    dead: count('dead'),
    figures: halves.length,
    sumHalfMdb: halves.reduce((sum, half) => sum + half, 0),
    maxHalfMdb: halves.length === 0 ? null : Math.max(...halves),
  };
}

/** Splices by the light that passes them: ends that touch are one, and a fiber that is cut by a leg is two from there. */
export function chains({ document: { splices, closures } }: DrawnNetwork): Splice[][] {
  const placeOf = new Map(closures.map(({ id, distance }) => [id, distance!]));
  const sides = splices.flatMap((splice) => {
    const at = placeOf.get(splice.closureId)!;
    return [
      { splice, at, fiber: `${splice.cableA} ${splice.fiberA}`, leg: splice.legA },
      { splice, at, fiber: `${splice.cableB} ${splice.fiberB}`, leg: splice.legB },
    ];
  });
  const cutsOf = (fiber: string) =>
    new Set(sides.filter((side) => side.fiber === fiber && side.leg).map((side) => side.at));
  const parent = new Map<string, string>();
  const root = (key: string): string => {
    const up = parent.get(key) ?? key;
    return up === key ? key : root(up);
  };
  const pieceOf = ({ fiber, at, leg }: (typeof sides)[number]): string => {
    const before = [...cutsOf(fiber)].filter((cut) => cut < at || (cut === at && leg === 'out'));
    return `${fiber} ${before.length}`;
  };
  for (let index = 0; index < sides.length; index += 2)
    parent.set(root(pieceOf(sides[index]!)), root(pieceOf(sides[index + 1]!)));
  const found = new Map<string, Splice[]>();
  for (let index = 0; index < sides.length; index += 2) {
    const key = root(pieceOf(sides[index]!));
    found.set(key, [...(found.get(key) ?? []), sides[index]!.splice]);
  }
  return [...found.values()];
}
