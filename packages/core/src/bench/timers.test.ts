import { type BenchTimer, clockOf, nextRing, timerAt } from './timers.ts';

const START = Date.parse('2026-05-04T20:15:00.000Z');
const timer: BenchTimer = {
  id: 't',
  projectId: 'p',
  closureId: 'c',
  closure: 'Mill',
  kind: 'heater',
  label: 'A 86',
  startedAt: START,
  seconds: 35,
  cool: 20,
};
const at = (seconds: number) => timerAt(timer, START + seconds * 1000);

describe('a heater timer with its cooling', () => {
  it('counts down, then cools, then is done', () => {
    expect(at(0)).toEqual({ phase: 'heater', seconds: 35 });
    expect(at(20.4)).toEqual({ phase: 'heater', seconds: 15 });
    expect(at(35)).toEqual({ phase: 'cooling', seconds: 20 });
    expect(at(54.5)).toEqual({ phase: 'cooling', seconds: 1 });
    expect(at(55)).toEqual({ phase: 'done', seconds: 0 });
  });

  it('stands right after a phone slept through it', () =>
    expect(at(3600)).toEqual({ phase: 'done', seconds: 3545 }));

  it('is never longer than it was set, though the clock was put back', () =>
    expect(at(-600)).toEqual({ phase: 'heater', seconds: 35 }));

  it('rings at the end of heating and of cooling', () => {
    expect(nextRing(timer, START)).toBe(START + 35_000);
    expect(nextRing(timer, START + 40_000)).toBe(START + 55_000);
    expect(nextRing(timer, START + 60_000)).toBeNull();
  });

  it('is shown as a clock', () =>
    expect([14, 60, 605].map(clockOf)).toEqual(['0:14', '1:00', '10:05']));
});
