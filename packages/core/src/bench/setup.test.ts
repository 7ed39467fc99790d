import type { Cleaver, Splicer } from '../record/instrument.ts';
import { BUILT_IN_INSTRUMENTS } from './instruments.ts';
import { type JointNeeds, proposeSetup, setupWarnings, usualWay, waysFor } from './setup.ts';

const [single, ribbon, cleaver] = BUILT_IN_INSTRUMENTS as [Splicer, Splicer, Cleaver];
const SM = ['single-mode', 'single-mode'] as const;
const fiber: JointNeeds = {
  fibers: 1,
  glass: SM,
  coatings: [250, 250],
  sleeve: '60 mm',
  drop: false,
  ends: false,
  end: null,
  loose: true,
};
const twelve: JointNeeds = {
  fibers: 12,
  glass: SM,
  coatings: [250, 250],
  sleeve: '60 mm',
  drop: false,
  ends: false,
  end: null,
  loose: false,
};

describe('what fits a joint', () => {
  it('proposes program, heater, holder and cleave that fit, so that nothing is warned of', () => {
    const setup = proposeSetup(fiber, single, cleaver);
    expect(setup).toMatchObject({
      program: 'SM',
      heaterProgram: '60 mm',
      holder: 1,
      way: 'single',
      sleeve: '60 mm',
    });
    expect(setupWarnings(setup, fiber, single, cleaver)).toEqual([]);
    const mass = proposeSetup(twelve, ribbon, cleaver);
    expect(mass).toMatchObject({
      program: 'SM ribbon',
      heaterProgram: 'Ribbon',
      holder: 12,
      sleeve: 'ribbon',
    });
    expect(setupWarnings(mass, twelve, ribbon, cleaver)).toEqual([]);
  });

  // 900 um in a common holder: 16 to 18 mm, or it does not reach the chuck (common practice, no source).
  it('cleaves a tight buffer longer than a coating, and says where it is too short', () => {
    const buffered: JointNeeds = { ...fiber, coatings: [250, 900] };
    expect(proposeSetup(fiber, single, cleaver).cleaveLength).toBe(100);
    const setup = proposeSetup(buffered, single, cleaver);
    expect(setup.cleaveLength).toBe(160);
    expect(setupWarnings(setup, buffered, single, cleaver)).toEqual([]);
    expect(setupWarnings({ ...setup, cleaveLength: 100 }, buffered, single, cleaver)).toEqual([
      { about: 'cleave', message: { code: 'cleaveShort', cleaveMm: 10, leastMm: 16 } },
    ]);
  });

  it('takes the sleeve that the trays of the closure hold, and its heater program', () =>
    expect(proposeSetup({ ...fiber, sleeve: '40 mm' }, single, cleaver)).toMatchObject({
      sleeve: '40 mm',
      heaterProgram: '40 mm',
    }));

  it.each(['splice-on', 'pigtail', 'mechanical'] as const)(
    'ends a drop as the project ends drops: %s',
    (dropEnd) => {
      const ended = { ...fiber, drop: true, ends: true };
      expect(usualWay(ended, { dropEnd })).toBe(dropEnd);
      // A drop that is spliced on is a splice like any other.
      expect(usualWay({ ...ended, ends: false }, { dropEnd })).toBe('single');
      expect(usualWay({ ...twelve, ends: true }, { dropEnd })).toBe('ribbon');
    },
  );

  it('knows the ways of drops, ribbons and loose fibers', () => {
    expect(waysFor({ ...fiber, drop: true })).toEqual([
      'single',
      'splice-on',
      'pigtail',
      'mechanical',
    ]);
    expect(waysFor(twelve)).toEqual(['ribbon']);
    expect(waysFor({ ...twelve, loose: true })[0]).toBe('ribbonize');
  });
});

describe('what does not fit is said, with what would', () => {
  const about = (change: object, needs = fiber, splicer: Splicer = single) =>
    setupWarnings(
      { ...proposeSetup(needs, splicer, cleaver), ...change },
      needs,
      splicer,
      cleaver,
    ).map(({ message }) => message);

  it('a heater set for 60 mm with 40 mm sleeves', () =>
    expect(about({ sleeve: '40 mm' })[0]).toEqual({
      code: 'heaterBurns',
      heater: '60 mm',
      sleeve: '40 mm',
    }));

  it('a single-mode program on multimode', () => {
    const glass = ['multimode', 'multimode'] as const;
    expect(about({ program: 'SM' }, { ...fiber, glass })).toEqual([
      { code: 'programGlass', program: 'SM', made: 'single-mode', glass: 'multimode' },
    ]);
  });

  it('a ribbon holder of the wrong count', () => {
    expect(about({ holder: 4 }, twelve, ribbon)[0]).toEqual({
      code: 'holderSmall',
      holder: 4,
      fibers: 12,
    });
    expect(about({ holder: 12 }, { ...twelve, fibers: 4 }, ribbon)[0]).toEqual({
      code: 'holderLarge',
      holder: 12,
      fibers: 4,
    });
  });

  it('a cleave the holder or the cleaver does not take, and unlike glass', () => {
    expect(about({ cleaveLength: 140 })).toHaveLength(2);
    expect(about({}, { ...fiber, glass: ['single-mode', 'multimode'] })[0]).toEqual({
      code: 'glassDiffers',
      left: 'single-mode',
      right: 'multimode',
    });
  });
});
