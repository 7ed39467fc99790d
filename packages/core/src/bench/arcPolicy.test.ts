import { USUAL_ARC_POLICY } from '../record/practice.ts';
import { type ArcTask, arcStanding } from './arcPolicy.ts';
import { goodCheck, logged, seenFiber, splicerRecord } from './records.testing.ts';

const NO_AIR = { temperature: null, humidity: null, pressure: null };
const CHECKED = '2026-05-04T19:00:00.000Z';
const task = (part: Partial<ArcTask>): ArcTask => ({
  policy: USUAL_ARC_POLICY,
  log: [goodCheck(CHECKED)],
  records: [],
  air: NO_AIR,
  highFrom: 50,
  now: '2026-05-04T20:00:00.000Z',
  ...part,
});
const record = (arcs: number, part = {}) =>
  splicerRecord({ arcs, at: '2026-05-04T19:30:00.000Z', ...part });

describe('whether the arc is to be checked', () => {
  it('is good after a check of this session, and says how many arcs are left', () => {
    expect(arcStanding(task({ records: [record(140)] }))).toEqual({
      state: 'good',
      reasons: [{ code: 'checkHolds', arcs: 260 }],
      arcsLeft: 260,
    });
  });

  it('is due where no check is known, and in a new session', () => {
    expect(arcStanding(task({ log: [] })).reasons[0]).toEqual({ code: 'noGoodCheck' });
    const next = task({ now: '2026-05-05T20:00:00.000Z' });
    expect(arcStanding(next)).toMatchObject({
      state: 'due',
      reasons: [{ code: 'newSession' }],
    });
    const begun = task({
      log: [goodCheck(CHECKED), logged('session', '2026-05-04T19:40:00.000Z')],
    });
    expect(arcStanding(begun).state).toBe('due');
  });

  it('asks nothing of a new session where triggers alone count', () => {
    const policy = { ...USUAL_ARC_POLICY, when: 'triggers' as const };
    expect(arcStanding(task({ policy, now: '2026-05-05T20:00:00.000Z' })).state).toBe('good');
  });

  // Common practice, no source: about every 300 arcs on 125 um glass, every 50 on 400 um.
  it.each([
    [339, 125, 'good'],
    [340, 125, 'soon'],
    [399, 125, 'soon'],
    [400, 125, 'due'],
    [140, 400, 'soon'],
    [150, 400, 'due'],
  ] as const)('counts arcs: %i on the counter, %i um glass: %s', (arcs, glass, state) =>
    expect(arcStanding(task({ records: [record(arcs, { glass })] })).state).toBe(state),
  );

  it('counts from nothing when electrodes are new: the counter starts anew', () =>
    expect(arcStanding(task({ records: [record(7)] })).arcsLeft).toBe(293));

  it('is due when the air has changed much, and says by how much', () => {
    const colder = task({ air: { temperature: 1, humidity: 50, pressure: 98 } });
    expect(arcStanding(colder)).toMatchObject({
      state: 'due',
      reasons: [
        {
          code: 'temperature',
          rise: 'down',
          change: { temperatureChangeC: -11 },
          much: { temperatureChangeC: 10 },
        },
      ],
    });
    const higher = task({ air: { temperature: 12, humidity: 50, pressure: 93.9 } });
    expect(arcStanding(higher)).toMatchObject({
      state: 'soon',
      reasons: [{ code: 'pressure', rise: 'down' }],
    });
  });

  it('is due after a streak of failed or high splices, and after electrodes were touched', () => {
    const high = (estimateMdb: number) => record(110, { fibers: [seenFiber(1, { estimateMdb })] });
    expect(arcStanding(task({ records: [high(60), high(70), high(80)] })).reasons[0]).toEqual({
      code: 'streak',
      splices: 3,
    });
    expect(arcStanding(task({ records: [high(60), high(20), high(80), high(90)] })).state).toBe(
      'good',
    );
    const touched = task({
      log: [goodCheck(CHECKED), logged('electrodes', '2026-05-04T19:10:00.000Z')],
    });
    expect(arcStanding(touched).reasons[0]).toEqual({ code: 'electrodes', what: 'cleaned' });
  });

  it('is due after long disuse, and while a check has not passed', () => {
    const policy = { ...USUAL_ARC_POLICY, when: 'triggers' as const };
    expect(arcStanding(task({ policy, now: '2026-05-20T19:00:00.000Z' })).reasons[0]).toEqual({
      code: 'idle',
      days: 16,
    });
    const failed = goodCheck('2026-05-04T19:50:00.000Z', { passed: false, round: 2 });
    expect(arcStanding(task({ log: [goodCheck(CHECKED), failed] })).reasons[0]).toEqual({
      code: 'roundFailed',
      round: 2,
    });
  });
});
