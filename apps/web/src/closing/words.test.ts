import { formatClock, formatMoment } from '@cordel/core';
import {
  type ClosingEntry,
  type EntryOf,
  type PressureRound,
  closingState,
} from '@cordel/core/close';
import { circuitWords } from './circuitWords';
import { nextClock } from './nextClock';
import { overWords, readTemperature } from './readings';
import { estimateWords } from './roundWords';

const CLOSURE = '019da9e7-4800-7000-8000-00000000c105';
const wordsOfRound = (pressed: PressureRound) => estimateWords(pressed, 'kPa');
const START = Date.parse('2026-05-04T21:00:00.000Z');
let count = 0;

const entry = (kind: string, minute: number, part: object): ClosingEntry =>
  ({
    kind,
    id: `019da9e7-4800-7000-8000-${String(++count).padStart(12, '0')}`,
    closureId: CLOSURE,
    by: 'M.',
    at: new Date(START + minute * 60_000).toISOString(),
    ...part,
  }) as unknown as ClosingEntry;

/** A round with these readings: minute, pascals, degrees C. */
function roundWith(readings: [number, number, number | null][], stepPa = 10): PressureRound {
  const round = entry('round', 0, {
    targetPa: 34_000,
    limitPa: 34_500,
    unit: 'kPa',
    stepPa,
    airPa: 101_325,
  });
  const list = readings.map(([minute, gaugePa, temperature]) =>
    entry('gauge', minute, { roundId: round.id, gaugePa, temperature, simulated: false }),
  );
  const task = { points: [], hardware: null, splices: [], leakLimit: 100 };
  return closingState({ entries: [round, ...list], ...task }).rounds[0]!;
}

const row = (minutes: number, fall: number, temperature: (minute: number) => number | null) =>
  Array.from({ length: minutes * 2 }, (_, at): [number, number, number | null] => [
    1 + at / 2,
    Math.round(34_000 - (fall * at) / 2),
    temperature(at / 2),
  ]);

describe('what is said of a round', () => {
  it('counts readings before it judges', () => {
    expect(wordsOfRound(roundWith([[1, 34_000, 12]]))).toBe(
      'Too few readings to calculate a leak yet. Hold on for about 2 min more.',
    );
  });

  it('says that it is tight, with the rate and its uncertainty in the gauge’s unit', () => {
    const words = wordsOfRound(roundWith(row(15, 0, () => 12)));
    expect(words).toMatch(/^Tight: what it falls by, cooling explains\./);
    expect(words).toMatch(/At one temperature it (falls|rises) 0\.\d+ ± 0\.0\d+ kPa a minute\./);
  });

  it('says that it leaks, and by how much', () => {
    const words = wordsOfRound(roundWith(row(15, 400, () => 12)));
    expect(words).toMatch(/^It leaks: it falls by more than cooling explains\./);
    expect(Number(/falls ([\d.]+) ±/.exec(words)![1])).toBeCloseTo(0.4, 1);
  });

  it('says how long to hold on while it is not told', () => {
    expect(wordsOfRound(roundWith(row(3, 90, () => 12)))).toMatch(
      /^Not decided yet\..*Hold on for about \d+ min more\./,
    );
  });

  it('asks for the temperature once more where it was read but once', () => {
    const words = wordsOfRound(roundWith(row(6, 0, (minute) => (minute === 0 ? 12 : null))));
    expect(words).toMatch(/Read the temperature again/);
  });

  it('doubts readings that jump', () => {
    const jumping = row(10, 0, () => 12).map(
      ([minute, pa, celsius], at): [number, number, number] => [
        minute,
        pa + (at % 2) * 2000,
        celsius!,
      ],
    );
    expect(wordsOfRound(roundWith(jumping))).toMatch(/jump more than the resolution of the gauge/);
  });
});

describe('what is typed', () => {
  it('may leave the temperature out', () => {
    expect(readTemperature(' ', 'C')).toEqual({ ok: true, value: null });
    expect(readTemperature('54', 'F')).toEqual({ ok: true, value: 12.22 });
    expect(readTemperature('warm', 'C').ok).toBe(false);
  });

  it('over the limit is said with what may be meant', () => {
    expect(overWords(34_600, 34_500, 'kPa')).toBe(
      '34.60 kPa is above the limit of 34.50 kPa: release pressure at once.',
    );
    expect(overWords(234_422, 34_500, 'psi')).toBe(
      '34.00 psi is above the limit of 5.00 psi. Does the gauge show kPa? Then choose kPa. If it is so, release pressure at once.',
    );
  });
});

it('a round speaks of its last word on bubbles', () => {
  const round = entry('round', 0, {
    targetPa: 1,
    limitPa: 34_500,
    unit: 'kPa',
    stepPa: 10,
    airPa: 101_325,
  }) as EntryOf<'round'>;
  const say = (seen: 'bubbles' | 'none' | 'not checked') =>
    entry('bubbles', 1, { roundId: round.id, places: ['Oval'], seen });
  const task = { points: [], hardware: null, splices: [], leakLimit: 100 };
  const state = (entries: ClosingEntry[]) =>
    closingState({ entries: [round, ...entries], ...task }).rounds[0]!.state;
  expect(state([say('bubbles')])).toBe('failed');
  expect(state([say('bubbles'), say('not checked')])).toBe('under way');
  expect(state([say('bubbles'), say('none')])).toBe('passed');
});

describe('the clock of a cut-over', () => {
  // Denver is six hours behind UTC in May: 21:00 there.
  const now = new Date('2026-05-06T03:00:00.000Z');
  const shown = (text: string, from = now) => {
    const at = nextClock(text, from, 'America/Denver');
    return at && formatMoment(at, 'America/Denver');
  };

  it.each([
    ['22:00', '2026-05-05 22:00'],
    ['20:30', '2026-05-05 20:30'],
    ['1:15', '2026-05-06 01:15'],
    ['14:00', '2026-05-06 14:00'],
  ])('%s is the nearest night’s where the work is', (text, expected) =>
    expect(shown(text)).toBe(expected),
  );

  it('just before midnight is yesterday’s, looked at shortly after', () =>
    expect(shown('23:30', new Date('2026-05-06T06:30:00.000Z'))).toBe('2026-05-05 23:30'));

  it.each(['', '24:00', '9', '10:60', 'ten'])('%s is no time', (text) =>
    expect(shown(text)).toBeNull(),
  );
});

describe('a circuit of a cut-over', () => {
  const at = (clock: string) => `2026-05-05T${clock}:00.000Z`;
  const clock = (ms: number) => formatClock(new Date(ms), 'UTC');
  const circuit = { name: 'clinic', planned: 5, downAt: null, upAt: null, minutes: null };

  it('is told as it goes', () => {
    expect(circuitWords(circuit, clock)).toBe('5 min planned');
    expect(circuitWords({ ...circuit, downAt: at('22:01') }, clock)).toBe(
      'down since 22:01, 5 min planned',
    );
    expect(
      circuitWords({ ...circuit, downAt: at('22:01'), upAt: at('22:08'), minutes: 7 }, clock),
    ).toBe('down 22:01 to 22:08, 7 min; 5 planned, 2 over');
  });
});
