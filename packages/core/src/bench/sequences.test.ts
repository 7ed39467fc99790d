import { USUAL_PRACTICE } from '../record/practice.ts';
import type { Splicer } from '../record/instrument.ts';
import { BUILT_IN_INSTRUMENTS } from './instruments.ts';
import { stepsOf } from './sequences.ts';
import { type BenchSetup, WAYS, type Way, usualSleeve } from './setup.ts';

const splicer = BUILT_IN_INSTRUMENTS[0] as Splicer;
const setup = (way: Way): BenchSetup => ({
  splicerId: splicer.id,
  program: 'SM',
  heaterProgram: '60 mm',
  cleaverId: null,
  cleaveLength: 160,
  holder: 1,
  way,
  sleeve: usualSleeve(way),
});
const steps = (way: Way, practice = USUAL_PRACTICE) =>
  stepsOf({ practice, setup: setup(way), splicer });
const keys = (way: Way) => steps(way).map(({ key }) => key);

describe('the steps of each way (common practice, no source)', () => {
  it.each(WAYS)('%s: what goes on first is asked for before the first strip', (way) => {
    expect(keys(way)[0]).toBe('sleeve');
    expect(new Set(keys(way)).size).toBe(keys(way).length);
  });

  it('single: sleeve, strip, clean, cleave, load, splice, tension, shrink, seat', () =>
    expect(keys('single').filter((key) => key !== 'length')).toEqual([
      'sleeve',
      'strip',
      'clean',
      'cleave',
      'load',
      'fuse',
      'tension',
      'shrink',
      'seat',
    ]));

  it('ribbonizing: the colours are counted before anything is stripped', () => {
    const order = keys('ribbonize');
    expect(order.indexOf('count')).toBeLessThan(order.indexOf('strip'));
    expect(order.indexOf('adhesive')).toBeLessThan(order.indexOf('count'));
  });

  it('cautions stand where shards, alcohol, heat and light are', () => {
    const caution = (key: string, way: Way = 'single') =>
      steps(way).find((step) => step.key === key)!.caution;
    expect(caution('cleave')).toBe('shards');
    expect(caution('clean')).toBe('alcohol');
    expect(caution('shrink')).toBe('hot');
    expect(caution('load', 'splice-on')).toBe('laser');
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
