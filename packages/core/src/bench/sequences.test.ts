import { USUAL_PRACTICE } from '../record/practice.ts';
import type { Splicer } from '../record/instrument.ts';
import { BUILT_IN_INSTRUMENTS } from './instruments.ts';
import { type SequenceTask, stepsOf } from './sequences.ts';
import { type BenchSetup, WAYS, type Way, usualSleeve, isFusedWay } from './setup.ts';

const splicer = BUILT_IN_INSTRUMENTS[0] as Splicer;
const setup = (way: Way): BenchSetup => ({
  splicerId: splicer.id,
  program: 'SM',
  heaterProgram: '60 mm',
  cleaverId: null,
  cleaveLength: 160,
  holder: 1,
  way,
  sleeve: usualSleeve(way, { sleeve: '60 mm' }),
});
const steps = (
  way: Way,
  practice = USUAL_PRACTICE,
  coatings: SequenceTask['coatings'] = [250, 250],
) => stepsOf({ practice, setup: setup(way), splicer, coatings });
const codes = (way: Way) => steps(way).map(({ message }) => message.code);
const keys = (way: Way) => steps(way).map(({ key }) => key);

describe('the steps of each way (common practice, no source)', () => {
  it.each(WAYS)('%s: what goes on the fiber is on before the first strip', (way) => {
    const order = keys(way);
    expect(order.indexOf('sleeve')).toBeGreaterThanOrEqual(0);
    expect(order.indexOf('sleeve')).toBeLessThan(order.indexOf('strip'));
    expect(new Set(order).size).toBe(order.length);
  });

  it.each(WAYS.filter(isFusedWay))('%s: cut to its working length before it is stripped', (way) =>
    expect(keys(way).indexOf('length')).toBeLessThan(keys(way).indexOf('strip')),
  );

  it('single: sleeve, strip, clean, cleave, load, check, splice, tension, center, shrink, seat', () =>
    expect(keys('single').filter((key) => key !== 'length' && key !== 'holders')).toEqual([
      ...['sleeve', 'strip', 'clean', 'cleave', 'load', 'check', 'fuse', 'tension', 'center'],
      ...['shrink', 'seat'],
    ]));

  it.each([
    [[250, 250], 'stripCoating'],
    [[200, 250], 'stripCoating'],
    [[900, 900], 'stripBuffer'],
    [[250, 900], 'stripMixed'],
  ] as const)('%p um: %s', (coatings, code) => {
    const own = steps('single', USUAL_PRACTICE, coatings);
    expect(own.find(({ key }) => key === 'strip')!.message).toEqual({ code });
    expect(own.find(({ key }) => key === 'holders')!.message).toEqual({
      code: 'holders',
      leftUm: coatings[0],
      rightUm: coatings[1],
    });
  });

  it('ribbonizing, act by act: cleaned before the sleeve, no pause from the bead on', () =>
    expect(codes('ribbonize').slice(0, 14)).toEqual([
      ...['looseLength', 'cleanLoose', 'ribbonizeSleeve', 'pads', 'colourOrder', 'equalLengths'],
      ...['shims', 'clampBoth', 'bead', 'press', 'adhesive', 'trimRibbon', 'turnPads'],
      'countColours',
    ]));

  it('splice-on: its own holder, cap and protector off before it is loaded', () => {
    const order = codes('splice-on');
    expect(order.indexOf('connectorHolder')).toBeLessThan(order.indexOf('stripCoating'));
    expect(order.indexOf('capsOff') + 1).toBe(order.indexOf('loadConnector'));
    expect(order.indexOf('connectorProgram')).toBeLessThan(order.indexOf('fuse'));
  });

  it('mechanical: nothing is fused; light through it, visible light, tells', () => {
    const own = steps('mechanical');
    expect(codes('mechanical')).not.toContain('fuse');
    expect(own.at(-1)).toMatchObject({
      message: { code: 'lightThrough' },
      caution: 'visibleLight',
    });
  });

  it.each(['splice-on', 'pigtail', 'breakout'] as const)(
    '%s: its end face is inspected, never with light on the fiber',
    (way) =>
      expect(steps(way).find(({ key }) => key === 'face')).toMatchObject({
        message: { code: 'inspectFace' },
        caution: 'laser',
      }),
  );

  it('breakout: tubing and block before the connector, and nothing is fused', () => {
    const order = codes('breakout');
    expect(order.slice(0, 2)).toEqual(['breakoutTubing', 'breakoutBlock']);
    expect(order).not.toContain('fuse');
    expect(order.indexOf('mountConnector')).toBeGreaterThan(order.indexOf('clean'));
  });

  it('cautions stand where shards, alcohol, heat and light are', () => {
    const caution = (key: string, way: Way = 'single') =>
      steps(way).find((step) => step.key === key)!.caution;
    expect(caution('cleave')).toBe('shards');
    expect(caution('clean')).toBe('alcohol');
    expect(caution('shrink')).toBe('hot');
    expect(caution('load', 'splice-on')).toBe('laser');
    expect(caution('shrink', 'splice-on')).toBe('hotMetal');
  });

  it('timers are the heater program’s and the project’s own', () => {
    expect(steps('single').find(({ key }) => key === 'shrink')!.timer).toEqual({
      kind: 'heater',
      seconds: 35,
    });
    const quick = { ...USUAL_PRACTICE, adhesiveWait: 30 };
    expect(steps('ribbonize', quick).find(({ key }) => key === 'adhesive')!.timer).toEqual({
      kind: 'adhesive',
      seconds: 30,
    });
  });

  it('the tension test is off for splice-on connectors only with a reason', () => {
    expect(keys('splice-on')).toContain('tension');
    const off = { ...USUAL_PRACTICE, noTension: 'The sheet of the connector says so.' };
    expect(steps('splice-on', off).map(({ message }) => message)).toContainEqual({
      code: 'noTension',
      why: 'The sheet of the connector says so.',
    });
    expect(steps('single', off).map(({ key }) => key)).toContain('tension');
  });
});
