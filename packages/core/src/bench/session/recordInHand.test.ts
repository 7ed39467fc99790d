import { BUILT_IN_LIMITS, judgeSplice, spliceStateOf } from '../../loss/index.ts';
import type { SplicerRecord } from '../../record/splicerRecord.ts';
import { seenFiber, splicerRecord } from '../records.testing.ts';
import { type BenchSplice, fusedTogether } from './benchSplices.ts';
import { positionOf, typedFrom } from './recordInHand.ts';

const splice = (fiber: number, dead = false): BenchSplice => {
  const id = `s${fiber}`;
  const evidence = dead
    ? [
        {
          type: 'ruling' as const,
          id: 'r',
          spliceId: id,
          by: 'M.',
          at: '',
          tryId: null,
          kind: 'dead' as const,
          why: 'Dead.',
        },
      ]
    : [];
  const spliceState = spliceStateOf(evidence);
  return {
    id,
    projectId: 'p',
    closureId: 'k',
    tray: 1,
    slot: 1,
    cableA: 'a',
    fiberA: fiber,
    legA: null,
    cableB: 'b',
    fiberB: fiber,
    legB: null,
    end: null,
    method: 'mass',
    extra: {},
    evidence,
    spliceState,
    judgement: judgeSplice(spliceState, { method: 'mass', end: null }, BUILT_IN_LIMITS[0]!),
  };
};
const recordOf = (estimates: (number | null)[]): SplicerRecord =>
  splicerRecord({
    fibers: estimates.map((estimateMdb, index) => seenFiber(index + 1, { estimateMdb })),
  });

describe('a ribbon’s record taken in hand', () => {
  it('stands as if it were typed, fiber by fiber; what is no estimate stays empty', () =>
    expect(typedFrom(recordOf([20, 15, 99_000]), [splice(1), splice(2), splice(3)])).toEqual({
      s1: '0.02',
      s2: '0.015',
    }));

  it('a dead fiber lies in the holder all the same: the others keep their places', () => {
    const sleeve = [splice(1), splice(2, true), splice(3)];
    expect(typedFrom(recordOf([10, 20, 30]), sleeve)).toEqual({ s1: '0.01', s3: '0.03' });
    expect(positionOf(recordOf([10, 20, 30]), sleeve, fusedTogether(sleeve), sleeve[2]!)).toBe(3);
  });

  it('or was left out of it: those that are spliced follow each other', () => {
    const sleeve = [splice(1), splice(2, true), splice(3)];
    expect(typedFrom(recordOf([10, 30]), sleeve)).toEqual({ s1: '0.01', s3: '0.03' });
    expect(positionOf(recordOf([10, 30]), sleeve, fusedTogether(sleeve), sleeve[2]!)).toBe(2);
  });
});
