import type { ClosingEntry } from '../record/closing.ts';
import { closingEntrySchema } from '../record/closing.ts';
import {
  closingEntry,
  closureView,
  hardwareOf,
  roundOf,
  said,
  signedBy,
  visited,
} from './closure.testing.ts';
import { closingPoints } from './points.ts';
import { type ClosingState, closingState, nextBolt, underPressure } from './state.ts';

const view = closureView();
const state = (entries: ClosingEntry[], part: Partial<typeof view> = {}): ClosingState => {
  const own = { ...view, ...part };
  return closingState({
    entries,
    points: closingPoints(own),
    hardware: own.hardware,
    splices: own.splices,
    leakLimit: 100,
  });
};
const stateOf = (key: string, entries: ClosingEntry[], part: Partial<typeof view> = {}) =>
  state(entries, part).points.find(({ point }) => point.key === key)!;

const allGood = (at?: string) =>
  closingPoints(view)
    .filter(({ found }) => !found)
    .map(({ key }) => said(key, 'good', at ? { at } : {}));
const bubbles = (roundId: string, places: string[] = []) =>
  closingEntry('bubbles', { roundId, places });
const release = (roundId: string) => closingEntry('release', { roundId, before: 'leaving' });
const gauge = (roundId: string, minute: number, gaugePa: number) =>
  closingEntry('gauge', {
    roundId,
    gaugePa,
    temperature: 15,
    simulated: false,
    at: new Date(Date.parse('2026-05-04T21:30:00.000Z') + minute * 60_000).toISOString(),
  });

describe('a point of the list', () => {
  it('stands by the last word on it', () => {
    expect(stateOf('tray:1', []).state).toBe('open');
    expect(stateOf('tray:1', [said('tray:1')]).state).toBe('good');
    expect(stateOf('tray:1', [said('tray:1'), said('tray:1', 'bad', { slots: [2] })]).state).toBe(
      'bad',
    );
    expect(stateOf('tray:1', [said('tray:1', 'waived', { why: 'owner' })]).state).toBe('waived');
  });

  it('is to be looked at again where the tray was worked on since', () => {
    const splices = view.splices.map((one, at) =>
      at === 1 ? { ...one, at: '2026-05-04T22:00:00.000Z' } : one,
    );
    const looked = stateOf('tray:1', [said('tray:1')], { splices });
    expect(looked.state).toBe('open');
    expect(looked.again).toMatch(/Slot 2 was spliced after/);
    expect(stateOf('tray:2', [said('tray:2')], { splices }).state).toBe('good');
    const later = said('tray:1', 'good', { at: '2026-05-04T22:10:00.000Z' });
    expect(stateOf('tray:1', [later], { splices }).state).toBe('good');
  });

  it('that the record speaks on is not made good by a tick, but can be waived', () => {
    const splices = view.splices.map((one, at) =>
      at === 0 ? { ...one, judged: { verdict: 'open', redo: false } as const } : one,
    );
    expect(stateOf('work:spliced', [said('work:spliced')], { splices }).state).toBe('bad');
    const waived = said('work:spliced', 'waived', { why: 'spare' });
    expect(stateOf('work:spliced', [waived], { splices }).state).toBe('waived');
  });

  it('begins anew when the closure is opened again', () => {
    const entries = [...allGood(), visited('mend', 'tray 2 is high')];
    expect(stateOf('tray:1', entries).state).toBe('open');
    expect(state(entries).stage).toBe('to come');
  });
});

describe('bolts', () => {
  it('are offered one at a time, in the order of the sheet', () => {
    expect(nextBolt(state([]).points)).toBe('bolt:1');
    expect(nextBolt(state([said('bolt:1')]).points)).toBe('bolt:4');
    expect(nextBolt(state(allGood()).points)).toBeNull();
  });
});

describe('a pressure test', () => {
  const round = roundOf();

  it('is passed when nothing bubbles and the air is let out', () => {
    const pressed = [...allGood(), round, bubbles(round.id)];
    expect(state(pressed).rounds[0]!.state).toBe('passed');
    expect(underPressure(state(pressed).rounds)!.round.id).toBe(round.id);
    expect(state(pressed).blocks).toContain('Pressure is on: release it first.');
    const released = state([...pressed, release(round.id)]);
    expect(released).toMatchObject({ test: 'passed', blocks: [], stage: 'ready' });
    expect(underPressure(released.rounds)).toBeNull();
  });

  it('fails by a bubble, and every round is kept', () => {
    const second = roundOf('2026-05-04T22:30:00.000Z');
    const entries = [
      ...allGood(),
      round,
      bubbles(round.id, ['Oval']),
      release(round.id),
      closingEntry('mend', { roundId: round.id, place: 'Oval', what: 'Seal 3 for 14.5 mm' }),
      second,
      bubbles(second.id),
      release(second.id),
    ];
    const { rounds, test } = state(entries);
    expect(rounds.map((one) => one.state)).toEqual(['failed', 'passed']);
    expect(rounds[0]!.mends).toHaveLength(1);
    expect(test).toBe('passed');
    expect(state(entries.slice(0, -3)).test).toBe('to do');
  });

  it('fails by a fall that cooling does not explain, though nothing bubbles', () => {
    const readings = Array.from({ length: 20 }, (_, at) =>
      gauge(round.id, 1 + at, 34_000 - at * 400),
    );
    const [one] = state([round, ...readings, bubbles(round.id)]).rounds;
    expect(one!.state).toBe('failed');
    expect(one!.estimate.rate).toBeGreaterThan(300);
  });

  it('is over where the gauge showed more than the limit', () => {
    const [one] = state([round, gauge(round.id, 1, 34_501)]).rounds;
    expect(one!.state).toBe('over');
    expect(one!.words).toMatch(/release at once/);
    expect(state([round, gauge(round.id, 1, 34_500)]).rounds[0]!.state).toBe('under way');
  });

  it('is held on while the readings do not tell', () => {
    const readings = [0.2, 0.8, 1.6, 2.4].map((minute) =>
      gauge(round.id, minute, 34_000 - minute * 90),
    );
    const [one] = state([round, ...readings, bubbles(round.id)]).rounds;
    expect(one!.state).toBe('under way');
    expect(one!.estimate.holdOn).toBeGreaterThan(0);
  });

  it('that was left with its pressure on stands in the way of whoever comes next', () => {
    const round = roundOf();
    const left = [...allGood(), round, bubbles(round.id), visited('mend', 'tray 1 is high')];
    expect(underPressure(state(left).rounds)?.round.id).toBe(round.id);
    expect(state(left).blocks).toContain('Pressure is on: release it first.');
    const after = state([...left, release(round.id)]);
    expect(after.rounds).toEqual([]);
    // It was let out; the test of this visit is still to come.
    expect(after.test).toBe('to do');
  });

  it('is not asked of hardware without one, and can be waived with a reason', () => {
    expect(state(allGood(), { hardware: hardwareOf('gel-drop') }).test).toBe('none');
    expect(state([...allGood(), said('pressure', 'waived', { why: 'no valve' })]).test).toBe(
      'waived',
    );
  });
});

describe('signing', () => {
  const round = roundOf();
  const done = [...allGood(), round, bubbles(round.id), release(round.id)];

  it('waits for every point', () => {
    expect(state([]).blocks).toHaveLength(2);
    expect(state([...done, said('gasket', 'bad')]).blocks).toEqual([
      '1 of the list failed: mend or waive.',
    ]);
    expect(state(done).blocks).toEqual([]);
  });

  it('waits until every circuit of a cut-over is back', () => {
    const cutOver = closingEntry('cut-over', {
      sleeves: [{ fibers: [1], minutes: 5 }],
      circuits: [{ name: 'clinic', fibers: [1], weight: 1 }],
      start: '2026-05-05T20:00:00.000Z',
    });
    const word = (to: 'down' | 'up') =>
      closingEntry('circuit', { cutOverId: cutOver.id, circuit: 'clinic', state: to });
    expect(state([...done, cutOver]).blocks).toEqual([]);
    expect(state([...done, cutOver, word('down')]).blocks).toEqual([
      'Down since the cut-over: clinic. Say when it is back.',
    ]);
    expect(state([...done, cutOver, word('down'), word('up')]).blocks).toEqual([]);
  });

  it('is done when technician and lead have signed, and undone by a new visit', () => {
    expect(state([...done, signedBy('technician')]).stage).toBe('ready');
    const both = [...done, signedBy('technician'), signedBy('lead')];
    expect(state(both).stage).toBe('signed');
    expect(state([...both, visited('new drop', 'barn')]).stage).toBe('to come');
    expect(state([...both, visited('new drop', 'barn')]).signatures).toEqual([]);
  });
});

describe('entries of closing', () => {
  const says = (entry: unknown) => {
    const read = closingEntrySchema.safeParse(entry);
    return read.success ? '' : read.error.issues[0]!.message;
  };

  it('are refused in words', () => {
    expect(says(said('tray:1', 'waived'))).toMatch(/with a reason/);
    expect(says(visited('mend'))).toMatch(/why the closure is opened again/);
    expect(says({ ...roundOf(), targetPa: 34_501 })).toMatch(/above the limit/);
    expect(says({ ...roundOf(), targetPa: 34_500 })).toBe('');
    expect(says({ ...gauge(roundOf().id, 1, 0), gaugePa: 237_000 })).toMatch(/check the unit/);
    expect(says({ ...signedBy('lead'), strokes: [] })).toMatch(/Sign in the field/);
  });
});
