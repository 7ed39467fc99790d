import { type InHand, matchRecord } from './match.ts';
import { countedTemperature, recordDoubts } from './records.ts';
import { seenFiber, splicerRecord } from './records.testing.ts';

const hand: InHand = {
  closure: 'Ford pit',
  splicerId: 'single-splicer',
  method: 'single',
  fibers: 1,
  held: null,
  lastNumber: 10,
};
const next = splicerRecord({ number: 11 });
const none = new Set<string>();

describe('a record held against the splice in hand', () => {
  it('fits where splicer, closure, count and order agree', () => {
    expect(matchRecord(next, hand, none)).toEqual({ kind: 'fits' });
    expect(matchRecord({ ...next, label: ' ford PIT ' }, hand, none)).toEqual({ kind: 'fits' });
  });

  it('passes by where it counts already or is another splicer’s', () => {
    expect(matchRecord(next, hand, new Set([next.id]))).toMatchObject({ kind: 'passes' });
    expect(matchRecord({ ...next, splicerId: 'other' }, hand, none)).toMatchObject({
      kind: 'passes',
    });
  });

  it.each([
    [
      'another closure',
      { label: 'Mill race' },
      { code: 'otherLabel', label: 'Mill race', closure: 'Ford pit' },
    ],
    ['out of order', { number: 9 }, { code: 'cameLate', number: 9, last: 10 }],
    ['the number that counts already', { number: 10 }, { code: 'cameLate', number: 10, last: 10 }],
    [
      'a ribbon for one fiber',
      { fibers: Array.from({ length: 12 }, (_, at) => seenFiber(at + 1)) },
      { code: 'otherCount', fibers: 12, inHand: 1 },
    ],
  ])('is asked about: %s', (_, part, why) => {
    const match = matchRecord({ ...next, ...part }, hand, none);
    expect(match).toMatchObject({ kind: 'asks', why });
  });

  it('is asked about where it fits a second time, and where nothing is in hand', () => {
    expect(matchRecord(next, { ...hand, held: 'before' }, none)).toMatchObject({
      kind: 'asks',
      why: { code: 'secondRecord' },
    });
    // A stop before the arc is no second joint.
    expect(matchRecord({ ...next, fused: false }, { ...hand, held: 'before' }, none)).toEqual({
      kind: 'fits',
    });
    expect(matchRecord(next, null, none)).toMatchObject({ kind: 'asks' });
  });
});

describe('what of a record cannot be', () => {
  const at = '2026-05-04T20:15:00.000Z';
  it('an estimate below nothing or of 99 dB, named with its fiber', () => {
    const odd = splicerRecord({
      fibers: [seenFiber(1, { estimateMdb: -20 }), seenFiber(2, { estimateMdb: 99_000 })],
    });
    expect(recordDoubts(odd, at)).toEqual([
      { code: 'noEstimate', fiber: 1, loss: { lossMdb: -20 } },
      { code: 'noEstimate', fiber: 2, loss: { lossMdb: 99_000 } },
    ]);
  });

  it('a clock an hour off: the time it came in counts', () => {
    expect(recordDoubts(splicerRecord(), '2026-05-04T21:15:00.000Z')).toEqual([
      { code: 'clockBehind', by: { spanMs: 3_600_000 } },
    ]);
    expect(recordDoubts(splicerRecord(), '2026-05-04T19:12:00.000Z')[0]).toEqual({
      code: 'clockAhead',
      by: { spanMs: 63 * 60_000 },
    });
    expect(recordDoubts(splicerRecord(), '2026-05-04T20:20:00.000Z')).toEqual([]);
  });

  it('a temperature that can only be Fahrenheit', () => {
    expect(recordDoubts(splicerRecord({ temperature: 70 }), at)[0]).toEqual({
      code: 'meantFahrenheit',
      figure: 70,
      celsius: '21.1',
    });
    expect(countedTemperature({ temperature: 70 })).toBe(21.1);
    expect(countedTemperature({ temperature: 400 })).toBeNull();
    expect(countedTemperature({ temperature: 35 })).toBe(35);
  });
});
