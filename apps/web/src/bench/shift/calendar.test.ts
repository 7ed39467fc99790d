import { sync } from 'node-ical';
import { type ShiftOutcome, type Timeline, USUAL_SHIFT } from '@cordel/core/shift';
import { shiftCalendar } from './calendar';

const START = Date.parse('2026-05-04T20:00:00.000Z');
const outcome: ShiftOutcome = {
  runs: 10,
  finish: { p10: 9000, p50: 10_000, p90: 11_000, mean: 10_000 },
  inWindow: 0.9,
  lastStart: [{ unit: { way: 'single', sleeves: 12, fibers: 1 }, at: 20_000 }],
  used: { people: 1, places: 0.5, splicers: 0.6, heaters: 0.6, ready: 0.5 },
  bottleneck: 'people',
};
const timeline: Timeline = {
  finish: 10_000,
  units: [
    { label: 'C tube 7', from: 0, to: 2000 },
    { label: 'C tube 8, "spare"; far', from: 1800, to: 4000 },
  ],
  lanes: [],
};

// node-ical, a general-purpose reader of RFC 5545 (Apache-2.0), is the judge.
test('the shift reads back as a calendar: window, tubes, break, last safe moment', () => {
  const text = shiftCalendar({
    closure: 'Ford pit, low side',
    start: START,
    setting: USUAL_SHIFT,
    outcome,
    timeline,
    now: START,
  });
  const events = Object.values(sync.parseICS(text)).filter((part) => part?.type === 'VEVENT');
  const times = Object.fromEntries(
    events.map((event) => [event.summary, [event.start.toISOString(), event.end!.toISOString()]]),
  );
  expect(times).toEqual({
    'Splicing window: Ford pit, low side': ['2026-05-04T20:00:00.000Z', '2026-05-05T04:00:00.000Z'],
    'Ford pit, low side: C tube 7': ['2026-05-04T20:00:00.000Z', '2026-05-04T20:33:20.000Z'],
    'Ford pit, low side: C tube 8, "spare"; far': [
      '2026-05-04T20:30:00.000Z',
      '2026-05-04T21:06:40.000Z',
    ],
    Break: ['2026-05-05T00:00:00.000Z', '2026-05-05T00:30:00.000Z'],
    'Last safe moment to begin a tube of 12': [
      '2026-05-05T01:33:20.000Z',
      '2026-05-05T01:38:20.000Z',
    ],
  });
  expect(new Set(events.map(({ uid }) => uid)).size).toBe(events.length);
});
