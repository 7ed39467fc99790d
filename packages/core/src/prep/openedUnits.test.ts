import { enteringCable } from './assembly.ts';
import { openedUnits } from './openedUnits.ts';

const TUBES = { kind: 'loose-tube', tubes: 12, fibersPerTube: 12 } as const;
const entry = (part = {}) => ({ ...enteringCable('entry', 'F', 'express'), ...part });
type AnyLeg = 'in' | 'out' | null;
const joint = (fiberA: number, fiberB: number, cableB = 'S', legA: AnyLeg = null) => ({
  cableA: 'F',
  fiberA,
  legA,
  cableB,
  fiberB,
  legB: null,
});

describe('what of an express cable is opened', () => {
  test('the tubes that the plan splices, cut where nothing else was chosen', () => {
    const chosen = entry({ tubes: [{ unit: 3, way: 'window' }] });
    // Fibers 25 and 36 are of tube 3, 40 is of tube 4.
    expect(openedUnits(chosen, TUBES, [joint(40, 1), joint(25, 2), joint(36, 3)])).toEqual([
      { unit: 3, way: 'window', leg: 'in' },
      { unit: 4, way: 'dedicate', leg: 'in' },
    ]);
  });

  test('never a tube that the plan leaves alone', () => {
    const chosen = entry({ tubes: [{ unit: 7, way: 'dedicate' }] });
    expect(openedUnits(chosen, TUBES, [joint(1, 1)])).toEqual([
      { unit: 1, way: 'dedicate', leg: 'in' },
    ]);
  });

  test('for the leg whose fibers are spliced', () => {
    const legsOf = (...legs: AnyLeg[]) =>
      openedUnits(
        entry(),
        TUBES,
        legs.map((leg, index) => joint(1, index + 1, 'S', leg)),
      )[0]!.leg;
    expect([legsOf('out'), legsOf('in'), legsOf(null), legsOf('in', 'out')]).toEqual([
      'out',
      'in',
      'in',
      'both',
    ]);
  });

  test('tubes on both sides of a splice', () => {
    expect(openedUnits(entry(), TUBES, [joint(1, 144, 'F')]).map(({ unit }) => unit)).toEqual([
      1, 12,
    ]);
  });

  test('what was chosen, until anything of it is planned', () => {
    const tubes = [{ unit: 2, way: 'window' as const }];
    expect(openedUnits(entry({ tubes }), TUBES, [])).toEqual(tubes);
  });

  test('nothing of a cable that is cut', () => {
    expect(openedUnits(entry({ kind: 'end' }), TUBES, [joint(1, 1)])).toEqual([]);
  });
});
