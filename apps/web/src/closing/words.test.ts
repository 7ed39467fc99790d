import {
  type ClosingEntry,
  type EntryOf,
  type PressureRound,
  closingState,
} from '@cordel/core/close';
import { circuitWords } from './circuitWords';
import { clockOf, nextClock } from './moments';
import { overWords, readTemperature } from './readings';
import { estimateWords } from './roundWords';

const CLOSURE = '019da9e7-4800-7000-8000-00000000c105';
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
    expect(estimateWords(roundWith([[1, 34_000, 12]]))).toBe(
      'Too few readings to reckon a leak yet. Hold on for about 2 min more.',
    );
  });

  it('says that it is tight, with the rate and its uncertainty in the gauge’s unit', () => {
    const words = estimateWords(roundWith(row(15, 0, () => 12)));
    expect(words).toMatch(/^Tight: what it falls by, cooling explains\./);
    expect(words).toMatch(/At one temperature it (falls|rises) 0\.\d+ ± 0\.0\d+ kPa a minute\./);
  });

  it('says that it leaks, and by how much', () => {
    const words = estimateWords(roundWith(row(15, 400, () => 12)));
    expect(words).toMatch(/^It leaks: it falls by more than cooling explains\./);
    expect(Number(/falls ([\d.]+) ±/.exec(words)![1])).toBeCloseTo(0.4, 1);
  });

  it('says how long to hold on while it is not told', () => {
    expect(estimateWords(roundWith(row(3, 90, () => 12)))).toMatch(
      /^Not told yet\..*Hold on for about \d+ min more\./,
    );
  });

  it('asks for the temperature once more where it was read but once', () => {
    const words = estimateWords(roundWith(row(6, 0, (minute) => (minute === 0 ? 12 : null))));
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
    expect(estimateWords(roundWith(jumping))).toMatch(/jump more than the gauge’s step/);
  });
});

describe('what is typed', () => {
  it('may leave the temperature out', () => {
    expect(readTemperature(' ')).toEqual({ ok: true, value: null });
    expect(readTemperature('54 F')).toEqual({ ok: true, value: 12.2 });
    expect(readTemperature('warm').ok).toBe(false);
  });

  it('over the limit is said with what may be meant', () => {
    expect(overWords(34_600, 34_500, 'kPa')).toBe(
      '34.60 kPa is above the limit of 34.50 kPa: let air out at once.',
    );
    expect(overWords(234_422, 34_500, 'psi')).toBe(
      '34.00 psi is above the limit of 5.00 psi. Does the gauge show kPa? Then choose kPa. If it is so, let air out at once.',
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
  const now = new Date(2026, 4, 5, 21, 0);
  const shown = (text: string) => {
    const at = nextClock(text, now);
    return at && [at.getDate(), clockOf(at)];
  };

  it.each([
    ['22:00', [5, '22:00']],
    ['20:30', [5, '20:30']],
    ['1:15', [6, '01:15']],
    ['14:00', [6, '14:00']],
  ])('%s is the nearest night’s', (text, expected) => expect(shown(text)).toEqual(expected));

  it('just before midnight is yesterday’s, looked at shortly after', () => {
    expect(nextClock('23:30', new Date(2026, 4, 6, 0, 30))!.getDate()).toBe(5);
  });

  it.each(['', '24:00', '9', '10:60', 'ten'])('%s is no time', (text) =>
    expect(nextClock(text, now)).toBeNull(),
  );
});

describe('a circuit of a cut-over', () => {
  const at = (clock: string) => new Date(`2026-05-05T${clock}:00`).toISOString();
  const circuit = { name: 'clinic', planned: 5, downAt: null, upAt: null, minutes: null };

  it('is told as it goes', () => {
    expect(circuitWords(circuit)).toBe('5 min planned');
    expect(circuitWords({ ...circuit, downAt: at('22:01') })).toBe(
      'down since 22:01, 5 min planned',
    );
    expect(circuitWords({ ...circuit, downAt: at('22:01'), upAt: at('22:08'), minutes: 7 })).toBe(
      'down 22:01 to 22:08, 7 min; 5 planned, 2 over',
    );
  });
});
