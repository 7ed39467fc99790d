import fc from 'fast-check';
import { arcCount } from './arcCount.ts';
import { goodCheck, logged, splicerRecord } from './records.testing.ts';

const at = (minute: number) => new Date(Date.UTC(2026, 4, 4, 19, minute)).toISOString();
const record = (minute: number, arcs: number) => splicerRecord({ arcs, at: at(minute) });
const arc = (minute: number, count = 1) => logged('arcs', at(minute), { count });

// A typed splice, a broken try and a round of calibration are arcs: common practice, no source.
describe('arcs on the electrodes', () => {
  test('without a line: typed splices and rounds count one by one', () =>
    expect(
      arcCount({ records: [], log: [goodCheck(at(0), { arcs: 0 }), arc(1), arc(2), arc(3, 2)] }),
    ).toBe(5));

  test('the counter that the crew types is where the count goes on from', () =>
    expect(
      arcCount({
        records: [],
        log: [arc(1), logged('counter', at(2), { arcs: 840 }), arc(3)],
      }),
    ).toBe(841));

  test('a record of the line is the counter itself: what was typed before it is in it', () =>
    expect(arcCount({ records: [record(2, 120)], log: [arc(1), arc(3)] })).toBe(121));

  test('new electrodes begin anew, cleaned ones go on', () => {
    const log = (what: string) => [
      logged('counter', at(1), { arcs: 900 }),
      logged('electrodes', at(2), { what, arcs: 0 }),
      arc(3),
    ];
    expect(arcCount({ records: [], log: log('replaced') })).toBe(1);
    expect(arcCount({ records: [], log: log('cleaned') })).toBe(901);
  });

  test('never goes down but with new electrodes or by a counter, in whatever order it came in', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 12 }), { maxLength: 20 }), (counts) => {
        const log = counts.map((count, index) => arc(index, count));
        const sum = counts.reduce((total, count) => total + count, 0);
        expect(arcCount({ records: [], log })).toBe(sum);
        expect(arcCount({ records: [], log: [...log].reverse() })).toBe(sum);
      }),
    );
  });
});
