import { type BubblesSeen, type ClosingEntry, closingEntrySchema } from '../record/closing.ts';
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
import { testTask, underPressure } from './pressureTest.ts';
import { type ClosingState, closingState, nextBolt } from './state.ts';

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
const { places } = testTask(view.hardware, 100);
const looked = (roundId: string, seen: BubblesSeen = 'none', at = places) =>
  closingEntry('bubbles', { roundId, places: [...at], seen });
const release = (roundId: string) => closingEntry('release', { roundId, before: 'leaving' });
const gauge = (roundId: string, minute: number, gaugePa: number) =>
  closingEntry('gauge', {
    roundId,
    gaugePa,
    temperature: 15,
    minute: null,
    origin: 'typed',
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
    expect(looked.splicedSlot).toBe(2);
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

/** A tight closure: readings that stay, minute by minute. */
const held = (round: { id: string; at: string }, minutes = 12) =>
  Array.from({ length: minutes + 1 }, (_, minute) =>
    closingEntry('gauge', {
      roundId: round.id,
      gaugePa: 34_000,
      temperature: 15,
      minute: null,
      origin: 'instrument',
      at: new Date(Date.parse(round.at) + minute * 60_000).toISOString(),
    }),
  );
const later = (round: { at: string }, minutes: number) => ({
  at: new Date(Date.parse(round.at) + minutes * 60_000).toISOString(),
});
const letOut = (round: { id: string; at: string }, minutes = 20) => ({
  ...release(round.id),
  ...later(round, minutes),
});

describe('a pressure test', () => {
  const round = roundOf();

  it('is passed when every place is clean, the pressure held, and the air is let out', () => {
    const pressed = [...allGood(), round, ...held(round), looked(round.id)];
    expect(state(pressed).rounds[0]).toMatchObject({ state: 'passed', missing: [] });
    expect(underPressure(state(pressed).rounds)!.round.id).toBe(round.id);
    expect(state(pressed).blocks).toContainEqual({ code: 'pressureOn' });
    const released = state([...pressed, letOut(round)]);
    expect(released).toMatchObject({ test: 'passed', blocks: [], stage: 'ready' });
    expect(underPressure(released.rounds)).toBeNull();
  });

  it('bubbles marked at a place and unmarked leave it not checked, and the test not passed', () => {
    const rest = places.filter((place) => place !== 'Oval');
    const entries = [
      round,
      ...held(round),
      looked(round.id, 'none', rest),
      looked(round.id, 'bubbles', ['Oval']),
      looked(round.id, 'not checked', ['Oval']),
    ];
    const [one] = state(entries).rounds;
    expect(one).toMatchObject({
      state: 'under way',
      bubbles: [],
      missing: [{ code: 'places', places: ['Oval'] }],
    });
    expect(one!.looked.find(({ place }) => place === 'Oval')!.seen).toBe('not checked');
    expect(state([...entries, letOut(round)]).test).toBe('to do');
    expect(state([...entries, looked(round.id, 'none', ['Oval'])]).rounds[0]!.state).toBe('passed');
  });

  it('names all that is missing: places, time, readings', () => {
    expect(state([round]).rounds[0]!.missing).toEqual([
      { code: 'places', places },
      { code: 'held', minutes: 5, asked: 5 },
      { code: 'readings', verdict: 'few' },
    ]);
    const short = state([round, ...held(round, 3), looked(round.id)]).rounds[0]!;
    expect(short.missing).toContainEqual({ code: 'held', minutes: 2, asked: 5 });
    expect(short.state).toBe('under way');
  });

  it('passes by soapy water alone only where the profile says so', () => {
    const alone = { ...view.hardware!, testMinutes: 0 };
    const entries = [round, looked(round.id)];
    expect(state(entries, { hardware: alone }).rounds[0]!.state).toBe('passed');
    expect(state(entries).rounds[0]!.state).toBe('under way');
  });

  it('does not count what the gauge showed after the air was let out', () => {
    const after = gauge(round.id, 30, 34_000);
    const entries = [round, ...held(round, 3), looked(round.id), letOut(round, 4), after];
    const [one] = state(entries).rounds;
    expect(one!.heldMinutes).toBe(3);
    expect(one!.state).toBe('under way');
  });

  it('says where its readings come from: one that is simulated makes the test simulated', () => {
    expect(state([round]).rounds[0]!.origin).toBeNull();
    expect(state([round, ...held(round)]).rounds[0]!.origin).toBe('instrument');
    expect(state([round, ...held(round), gauge(round.id, 6, 34_000)]).rounds[0]!.origin).toBe(
      'typed',
    );
    const made = { ...gauge(round.id, 7, 34_000), origin: 'simulated' as const };
    expect(state([round, ...held(round), made]).rounds[0]!.origin).toBe('simulated');
  });

  it('fails by a bubble, and every round is kept', () => {
    const second = roundOf('2026-05-04T22:30:00.000Z');
    const entries = [
      ...allGood(),
      round,
      looked(round.id, 'bubbles', ['Oval']),
      letOut(round),
      closingEntry('mend', { roundId: round.id, place: 'Oval', what: 'Seal 3 for 14.5 mm' }),
      second,
      ...held(second),
      looked(second.id),
      letOut(second),
    ];
    const { rounds, test } = state(entries);
    expect(rounds.map((one) => one.state)).toEqual(['failed', 'passed']);
    expect(rounds[0]!.repairs).toHaveLength(1);
    expect(test).toBe('passed');
    expect(state(entries.slice(0, -2)).test).toBe('to do');
  });

  it('fails by a fall that cooling does not explain, though nothing bubbles', () => {
    const readings = Array.from({ length: 20 }, (_, at) =>
      gauge(round.id, 1 + at, 34_000 - at * 400),
    );
    const [one] = state([round, ...readings, looked(round.id)]).rounds;
    expect(one!.state).toBe('failed');
    expect(one!.estimate.rate).toBeGreaterThan(300);
  });

  it('is over where the gauge showed more than the limit', () => {
    const [one] = state([round, gauge(round.id, 1, 34_501)]).rounds;
    expect(one!.state).toBe('over');
    expect(one!.reason).toEqual({ code: 'overLimit' });
    expect(state([round, gauge(round.id, 1, 34_500)]).rounds[0]!.state).toBe('under way');
  });

  it('is held on while the readings do not tell', () => {
    const readings = [0.2, 0.8, 1.6, 2.4].map((minute) =>
      gauge(round.id, minute, 34_000 - minute * 90),
    );
    const [one] = state([round, ...readings, looked(round.id)]).rounds;
    expect(one!.state).toBe('under way');
    expect(one!.estimate.holdOn).toBeGreaterThan(0);
  });

  it('that was left with its pressure on stands in the way of whoever comes next', () => {
    const left = [...allGood(), round, looked(round.id), visited('mend', 'tray 1 is high')];
    expect(underPressure(state(left).rounds)?.round.id).toBe(round.id);
    expect(state(left).blocks).toContainEqual({ code: 'pressureOn' });
    const after = state([...left, letOut(round)]);
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
  const done = [...allGood(), round, ...held(round), looked(round.id), letOut(round)];

  it('waits for every point', () => {
    expect(state([]).blocks).toHaveLength(2);
    expect(state([...done, said('gasket', 'bad')]).blocks).toEqual([
      { code: 'pointsFailed', points: 1 },
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
      { code: 'circuitsDown', circuits: ['clinic'] },
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

  it('are refused with a code', () => {
    expect(says(said('tray:1', 'waived'))).toBe('waiverReasonMissing');
    expect(says(visited('mend'))).toBe('reopeningReasonMissing');
    expect(says({ ...roundOf(), targetPa: 34_501 })).toBe('targetOverLimit');
    expect(says({ ...roundOf(), targetPa: 34_500 })).toBe('');
    expect(says({ ...gauge(roundOf().id, 1, 0), gaugePa: 237_000 })).toBe('gaugeTooHigh');
    expect(says({ ...signedBy('lead'), strokes: [] })).toBe('signatureMissing');
  });
});
