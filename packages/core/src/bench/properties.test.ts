import fc from 'fast-check';
import { writeCsv } from '../record/csv.ts';
import { splicerRecordSchema } from '../record/splicerRecord.ts';
import { BUILT_IN_LIMITS } from '../loss/profiles.ts';
import { type RedoTask, adviseRedo } from './advice.ts';
import { matchRecord } from './match.ts';
import { openRecordFile } from './openRecordFile.ts';
import { readRecordTable } from './recordFile.ts';
import { countedEstimate, recordDoubts } from './records.ts';
import { seenFiber, splicerRecord } from './records.testing.ts';
import { type BenchTimer, timerAt } from './timers.ts';

const estimate = fc.integer({ min: 0, max: 60 }).map((hundredths) => hundredths * 10);
const taskOf = (one: number, before: number[], cleave: number, floor = 0): RedoTask => ({
  fibers: [{ estimate: one, cleave, before, floor }],
  method: 'single',
  limits: BUILT_IN_LIMITS[0]!,
  history: [],
  measured: [],
  slack: null,
  time: null,
});

describe('redo advice, whatever the figures', () => {
  it('a higher estimate, a worse cleave or a higher floor never makes a pass likelier', () => {
    fc.assert(
      fc.property(
        estimate,
        estimate,
        fc.double({ min: 0, max: 3, noNaN: true }),
        (one, more, cleave) => {
          const now = (add: number, worse: number, floor: number) =>
            adviseRedo(taskOf(one + add, [], cleave + worse, floor)).passNow;
          const base = now(0, 0, 0);
          expect(now(more, 0, 0)).toBeLessThanOrEqual(base + 1e-6);
          // What a bad cleave hides is less sure too: a hopeless joint may gain a hair by that.
          expect(now(0, 0.5, 0)).toBeLessThanOrEqual(base + 0.02);
          expect(now(0, 0, 30)).toBeLessThanOrEqual(base + 1e-6);
        },
      ),
      { numRuns: 200 },
    );
  });

  it('chances are chances, and a redo is advised only while tries are left', () => {
    fc.assert(
      fc.property(estimate, fc.array(estimate, { maxLength: 4 }), (one, before) => {
        const advice = adviseRedo(taskOf(one, before, 0.4));
        for (const chance of [advice.passNow, advice.passNext]) {
          expect(chance).toBeGreaterThanOrEqual(0);
          expect(chance).toBeLessThanOrEqual(1);
        }
        if (before.length + 1 >= 3) expect(['keep', 'lead']).toContain(advice.code);
      }),
      { numRuns: 200 },
    );
  });
});

describe('records, whatever a splicer sends', () => {
  const figure = fc.oneof(fc.constant(null), fc.double({ min: -1e6, max: 1e6, noNaN: true }));
  const any = fc
    .record({
      estimateMdb: figure,
      cleaveLeft: figure,
      temperature: figure,
      number: fc.integer({ min: 0, max: 1e9 }),
      count: fc.integer({ min: 1, max: 12 }),
    })
    .map(({ estimateMdb, cleaveLeft, temperature, number, count }) =>
      splicerRecord({
        number,
        temperature,
        fibers: Array.from({ length: count }, (_, at) =>
          seenFiber(at + 1, { estimateMdb, cleaveLeft }),
        ),
      }),
    );

  it('are taken as they are; what does not count is said, fiber by fiber', () => {
    fc.assert(
      fc.property(any, (record) => {
        expect(splicerRecordSchema.parse(record)).toEqual(record);
        const doubts = recordDoubts(record, record.at).filter(({ code }) => code === 'noEstimate');
        const odd = record.fibers.filter(
          (fiber) => fiber.estimateMdb !== null && countedEstimate(fiber) === null,
        );
        expect(doubts).toHaveLength(odd.length);
      }),
    );
  });

  it('fit, pass or ask, and never fit what counts already', () => {
    const hand = {
      closure: 'Ford pit',
      splicerId: 'single-splicer',
      method: 'single' as const,
      fibers: 1,
      held: null,
      lastNumber: null,
    };
    fc.assert(
      fc.property(any, (record) => {
        expect(matchRecord(record, hand, new Set([record.id])).kind).toBe('passes');
        expect(matchRecord(record, hand, new Set()).kind).toBe(
          record.fibers.length === 1 ? 'fits' : 'asks',
        );
      }),
    );
  });

  it('come through a file of CSV with every loss and angle', () => {
    const row = fc.record({
      number: fc.integer({ min: 0, max: 1e6 }),
      estimate,
      cleave: fc.integer({ min: 0, max: 500 }),
    });
    fc.assert(
      fc.property(
        fc.uniqueArray(row, { selector: ({ number }) => number, minLength: 1, maxLength: 30 }),
        (rows) => {
          const text = writeCsv(
            ['number', 'estimate', 'cleave left'],
            rows.map(({ number, estimate: loss, cleave }) => [number, loss / 1000, cleave / 100]),
          );
          const file = openRecordFile(text);
          if (!file.ok || file.value.kind !== 'table') throw new Error('No table.');
          const { records, problems } = readRecordTable(file.value, {
            clock: '2026-05-04T20:15:00.000Z',
            timeZone: 'UTC',
            order: 'mdy',
          });
          expect(problems).toEqual([]);
          expect(
            records.map(({ number, fibers }) => [
              number,
              fibers[0]!.estimateMdb,
              fibers[0]!.cleaveLeft,
            ]),
          ).toEqual(rows.map(({ number, estimate: loss, cleave }) => [number, loss, cleave / 100]));
        },
      ),
    );
  });
});

it('a timer never counts up, and ends when it was set to', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 600 }),
      fc.integer({ min: 0, max: 120 }),
      fc.array(fc.integer({ min: -10, max: 2000 }), { minLength: 2, maxLength: 20 }),
      (seconds, cool, moments) => {
        const timer: BenchTimer = {
          id: 't',
          projectId: 'p',
          closureId: 'c',
          closure: 'Mill',
          kind: 'heater',
          label: '',
          startedAt: 0,
          seconds,
          cool,
        };
        const order = ['heater', 'cooling', 'done'];
        let before = { rank: 0, left: Infinity };
        for (const moment of [...moments].sort((a, b) => a - b)) {
          const state = timerAt(timer, moment * 1000);
          const rank = order.indexOf(state.phase);
          expect(rank).toBeGreaterThanOrEqual(before.rank);
          if (rank === before.rank && rank < 2)
            expect(state.seconds).toBeLessThanOrEqual(before.left);
          if (moment >= seconds + cool) expect(state.phase).toBe('done');
          before = { rank, left: state.seconds };
        }
      },
    ),
  );
});
