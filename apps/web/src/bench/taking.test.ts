import { BUILT_IN_LIMITS, type SplicerRecord, judgeSplice, standingOf } from '@cordel/core';
import type { BenchSplice } from './benchSplices';
import { fusedTogether } from './benchSplices';
import { positionOf, typedFrom } from './taking';

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
  const standing = standingOf(evidence);
  return {
    id,
    projectId: 'p',
    closureId: 'k',
    tray: 1,
    slot: 1,
    cableA: 'a',
    fiberA: fiber,
    cableB: 'b',
    fiberB: fiber,
    method: 'mass',
    extra: {},
    evidence,
    standing,
    judgement: judgeSplice(standing, 'mass', BUILT_IN_LIMITS[0]!),
  };
};
const recordOf = (estimates: (number | null)[]): SplicerRecord => ({
  id: 'record',
  projectId: 'p',
  splicerId: 'ribbon-splicer',
  number: 1,
  at: '2026-05-04T20:15:00.000Z',
  label: null,
  program: 'SM ribbon',
  heater: null,
  fibers: estimates.map((estimateMdb, index) => ({
    position: index + 1,
    cleaveLeft: null,
    cleaveRight: null,
    offset: null,
    gap: null,
    image: null,
    estimateMdb,
    error: null,
  })),
  fused: true,
  tension: null,
  arcs: 1,
  glass: 125,
  temperature: null,
  pressure: null,
  humidity: null,
  origin: 'instrument',
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
