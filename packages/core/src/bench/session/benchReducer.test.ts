import fc from 'fast-check';
import { BUILT_IN_LIMITS } from '../../loss/index.ts';
import { type Evidence, evidenceSchema } from '../../record/evidence.ts';
import type { Method, Splice } from '../../record/splice.ts';
import type { SplicerRecord } from '../../record/splicerRecord.ts';
import { sleevesOf } from '../queue.ts';
import { seenFiber, splicerRecord } from '../records.testing.ts';
import { type BenchEvent, type BenchTools, benchReducer } from './benchReducer.ts';
import { benchSplices } from './benchSplices.ts';
import { type BenchMode, type BenchState, readBenchState } from './benchState.ts';
import { inHand } from './inHand.ts';
import { takeInOrder } from './takeInOrder.ts';

const idOf = (number: number) => `019da9e7-4800-7000-8000-${String(number).padStart(12, '0')}`;
const LIMITS = BUILT_IN_LIMITS[0]!;

const spliceAt = (slot: number, fiber: number, method: Method): Splice => ({
  id: idOf(100 * slot + fiber),
  projectId: idOf(1),
  closureId: idOf(2),
  tray: 1,
  slot,
  cableA: idOf(3),
  fiberA: fiber,
  legA: null,
  cableB: idOf(4),
  fiberB: fiber,
  legB: null,
  end: null,
  method,
  extra: {},
});

/** Three single fibers, and a ribbon of four. */
const SPLICES = [
  spliceAt(1, 1, 'single'),
  spliceAt(2, 2, 'single'),
  spliceAt(3, 3, 'single'),
  ...[5, 6, 7, 8].map((fiber) => spliceAt(4, fiber, 'mass')),
];

const recordOf = (number: number, estimates: number[]): SplicerRecord =>
  splicerRecord({
    id: idOf(9000 + number),
    number,
    fibers: estimates.map((estimateMdb, index) => seenFiber(index + 1, { estimateMdb })),
  });

/** A Bench that works as the page does: what is recorded is evidence the next time. */
class Bench {
  state: BenchState = readBenchState('');
  evidence: Evidence[] = [];
  recorded: string[] = [];
  records: SplicerRecord[] = [];
  private stamps = 0;

  constructor(readonly mode: BenchMode = 'splice') {}

  get tools(): BenchTools {
    const splices = benchSplices({ splices: SPLICES, evidence: this.evidence }, LIMITS);
    return {
      mode: this.mode,
      sleeves: sleevesOf(splices),
      limits: LIMITS,
      records: this.records,
      stamp: () => ({
        id: idOf(100_000 + ++this.stamps),
        by: 'M.',
        at: '2026-05-04T20:15:00.000Z',
      }),
      nameOf: (list) => list.map(({ fiberA }) => fiberA).join(','),
      reasons: { redo: 'Redo.', undo: 'Slip.' },
    };
  }

  do(...events: BenchEvent[]): this {
    for (const event of events) {
      const { state, recorded } = benchReducer(this.state, event, this.tools);
      // A reload between any two events loses nothing.
      this.state = readBenchState(JSON.stringify(state));
      if (!recorded) continue;
      this.evidence.push(...recorded.entries);
      this.recorded.push(`${recorded.deed} ${recorded.words}`);
    }
    return this;
  }

  type(keys: string): this {
    return this.do(...keys.split('').map((key): BenchEvent => ({ type: 'key', key })));
  }

  get fiber() {
    return inHand(this.state, this.tools).fiber?.fiberA ?? null;
  }
}

const SAVE: BenchEvent = { type: 'save', isRedo: false };
const REDO: BenchEvent = { type: 'save', isRedo: true };

describe('the Bench', () => {
  it('records what is typed and goes on to the next that waits', () => {
    const bench = new Bench().type('2').do(SAVE);
    expect(bench.recorded).toEqual(['estimate 1']);
    expect(bench.evidence).toMatchObject([{ type: 'attempt', estimateMdb: 20, origin: 'typed' }]);
    expect(bench.fiber).toBe(2);
    for (const entry of bench.evidence) expect(evidenceSchema.parse(entry)).toEqual(entry);
  });

  it('records nothing where nothing is typed, or no figure', () => {
    expect(new Bench().do(SAVE, REDO).evidence).toEqual([]);
    expect(new Bench().type('.').do(SAVE).evidence).toEqual([]);
  });

  it('keeps a fiber in hand that is redone, with a word that says so', () => {
    const bench = new Bench().type('45').do(REDO);
    expect(bench.recorded).toEqual(['redo 1']);
    expect(bench.evidence).toMatchObject([
      { type: 'attempt', estimateMdb: 450 },
      { type: 'ruling', kind: 'redo', why: 'Redo.' },
    ]);
    expect(bench.fiber).toBe(1);
    expect(bench.state.typed).toEqual({});
  });

  it('takes a ribbon fiber by fiber, and records all of it in one', () => {
    const bench = new Bench().do({ type: 'select', sleeve: '1.4' });
    for (const fiber of [5, 6, 7]) {
      expect(bench.fiber).toBe(fiber);
      bench.type('3').do(SAVE);
    }
    expect(bench.evidence).toEqual([]);
    bench.type('1').do(SAVE);
    expect(bench.recorded).toEqual(['estimate 5,6,7,8']);
    expect(bench.evidence).toMatchObject([30, 30, 30, 10].map((estimateMdb) => ({ estimateMdb })));
  });

  it('counts the arc of every fiber of a ribbon that is redone, typed or not', () => {
    const bench = new Bench().do({ type: 'select', sleeve: '1.4', spliceId: idOf(406) });
    expect(bench.fiber).toBe(6);
    bench.type('45').do(REDO);
    expect(bench.evidence.filter(({ type }) => type === 'attempt')).toMatchObject(
      [null, 450, null, null].map((estimateMdb) => ({ estimateMdb })),
    );
    expect(bench.evidence.filter(({ type }) => type === 'ruling')).toHaveLength(4);
  });

  it('takes a record in hand, and another of the same splice counts as a try of its own', () => {
    const bench = new Bench();
    bench.records = [recordOf(1, [50]), recordOf(2, [20])];
    bench.do({ type: 'take', record: bench.records[0]!, sleeve: '1.1', seq: 4 });
    expect(bench.state).toMatchObject({ seen: 4, typed: { [idOf(101)]: '0.05' } });
    bench.do({ type: 'saveAndTake', record: bench.records[1]! });
    expect(bench.fiber).toBe(1);
    bench.do(SAVE);
    expect(bench.evidence).toMatchObject([
      { estimateMdb: 50, recordId: idOf(9001), recordPosition: 1, origin: 'instrument' },
      { estimateMdb: 20, recordId: idOf(9002), recordPosition: 1, origin: 'instrument' },
    ]);
  });

  it('puts off and gives up with a reason: one fiber of a ribbon, or all of it', () => {
    const bench = new Bench().do({ type: 'select', sleeve: '1.4' });
    bench.do({ type: 'rule', kind: 'dead', why: 'Nicked.', isWhole: false });
    expect(bench.fiber).toBe(6);
    bench.do({ type: 'rule', kind: 'skip', why: 'Rain.', isWhole: true });
    expect(bench.recorded).toEqual(['dead 5', 'skip 6,7,8']);
    // The next that waits is the first again.
    expect(bench.fiber).toBe(1);
  });

  it('measures one way, with the sign that the instrument shows', () => {
    const bench = new Bench('measure');
    bench.evidence = new Bench().type('2').do(SAVE).evidence;
    bench.do({ type: 'measure', wavelengthNm: 1550, kind: 'BA' });
    bench.type('05').do({ type: 'key', key: 'sign' }, SAVE);
    expect(bench.evidence.at(-1)).toMatchObject({
      type: 'reading',
      grade: 'one-way',
      direction: 'BA',
      wavelengthNm: 1550,
      tryId: bench.evidence[0]!.tryId,
    });
    expect(inHand(bench.state, bench.tools).isFinished).toBe(true);
  });

  it('says that the sleeve is on past the first step, and knows no more of it at the next splice', () => {
    const bench = new Bench().do({ type: 'step', step: 2, isSleeveOn: true });
    expect(bench.state).toMatchObject({ step: 2, sleeveOn: true });
    bench.type('2').do(SAVE);
    expect(bench.state).toMatchObject({ step: 0, sleeveOn: false });
  });

  it('takes a record in hand again that was kept by a slip', () => {
    const bench = new Bench();
    bench.records = [recordOf(1, [50])];
    bench.do({ type: 'take', record: bench.records[0]!, sleeve: '1.1' }, SAVE, { type: 'undo' });
    expect(bench.state.recordId).toBe(idOf(9001));
    expect(bench.fiber).toBe(1);
  });

  it('is as before after as many undos as things were recorded, whatever was done', () => {
    const event = fc.oneof(
      fc.constantFrom('1', '2', '3', '9', '.', 'back').map((key): BenchEvent => ({
        type: 'key',
        key,
      })),
      fc.constantFrom<BenchEvent>(SAVE, REDO),
      fc
        .constantFrom('1.1', '1.2', '1.4')
        .map((sleeve): BenchEvent => ({ type: 'select', sleeve })),
      fc.record({
        type: fc.constant('rule' as const),
        kind: fc.constantFrom('skip' as const, 'dead' as const),
        why: fc.constant('Why.'),
        isWhole: fc.boolean(),
      }),
    );
    fc.assert(
      fc.property(fc.array(event, { maxLength: 40 }), (events) => {
        const bench = new Bench().do(...events);
        const steps = bench.state.history.length;
        expect(steps).toBe(Math.min(30, bench.recorded.length));
        if (bench.recorded.length > 30) return;
        for (let step = 0; step < steps; step++) bench.do({ type: 'undo' });
        // Every word and every try is taken back: all splices are open as they were.
        const judged = benchSplices({ splices: SPLICES, evidence: bench.evidence }, LIMITS);
        expect(judged.map(({ judgement }) => judgement.verdict)).toEqual(SPLICES.map(() => 'open'));
        expect(bench.evidence.every((entry) => evidenceSchema.safeParse(entry).success)).toBe(true);
      }),
    );
  });
});

describe('an end at its port', () => {
  const end = { ...spliceAt(1, 1, 'single'), tray: 0, end: 'mechanical' as const };
  const toolsOf = (evidence: Evidence[]): BenchTools => ({
    ...new Bench().tools,
    sleeves: sleevesOf(benchSplices({ splices: [end], evidence }, LIMITS)),
  });
  const after = (events: BenchEvent[]) => {
    let [state, evidence] = [readBenchState(''), [] as Evidence[]];
    for (const event of events) {
      const outcome = benchReducer(state, event, toolsOf(evidence));
      state = outcome.state;
      evidence = [...evidence, ...(outcome.recorded?.entries ?? [])];
    }
    return { state, evidence };
  };
  const save: BenchEvent = { type: 'save', isRedo: false };

  it('is not recorded before something was seen or read of it', () =>
    expect(after([save]).evidence).toEqual([]));

  it('is recorded without an estimate, with what was seen, and goes into no heater', () => {
    const { state, evidence } = after([{ type: 'end', seen: { light: 'seen' } }, save]);
    expect(evidence).toMatchObject([
      { type: 'attempt', estimateMdb: null },
      { type: 'inspection', light: 'seen', face: null },
    ]);
    expect(state.history.at(-1)!.kept).toBe(false);
    expect(state.end).toEqual({ face: null, light: null });
  });

  it('what is typed is its loss by a meter', () => {
    const typed = ['.', '3'].map((key): BenchEvent => ({ type: 'key', key }));
    expect(after([...typed, save]).evidence).toMatchObject([
      { type: 'attempt', estimateMdb: null },
      { type: 'reading', grade: 'insertion', lossMdb: 300 },
    ]);
  });

  it('undone, it was never made', () => {
    const { evidence } = after([{ type: 'end', seen: { face: 'pass' } }, save, { type: 'undo' }]);
    const [judged] = benchSplices({ splices: [end], evidence }, LIMITS);
    expect(evidence).toHaveLength(4);
    expect(judged!.spliceState).toMatchObject({
      tries: [],
      inspection: { face: null, light: null },
    });
  });
});

describe('records of a file, taken in order', () => {
  const ribbon = (number: number) => recordOf(number, [10, 20, 30, 40]);
  const ordered = (bench: Bench, records: SplicerRecord[]) => {
    bench.records = records;
    return takeInOrder(records, bench.state, bench.tools);
  };

  it('one by one, by their numbers, for the splices that wait; one undo takes all back', () => {
    const bench = new Bench();
    const { pairs, stop } = ordered(bench, [
      ribbon(14),
      recordOf(11, [11]),
      recordOf(13, [13]),
      { ...recordOf(10, [0]), fused: false },
      recordOf(12, [12]),
    ]);
    expect(stop).toBeNull();
    expect(pairs.map(({ record, sleeve }) => [record.number, sleeve.slot])).toEqual([
      [11, 1],
      [12, 2],
      [13, 3],
      [14, 4],
    ]);
    bench.do({ type: 'takeAll', pairs });
    expect(
      bench.evidence.map((entry) => [
        entry.spliceId,
        entry.type === 'attempt' ? [entry.estimateMdb, entry.recordPosition] : null,
      ]),
    ).toEqual([
      [SPLICES[0]!.id, [11, 1]],
      [SPLICES[1]!.id, [12, 1]],
      [SPLICES[2]!.id, [13, 1]],
      ...[10, 20, 30, 40].map((loss, index) => [SPLICES[3 + index]!.id, [loss, index + 1]]),
    ]);
    expect(inHand(bench.state, bench.tools).isFinished).toBe(true);
    bench.do({ type: 'undo' });
    expect(inHand(bench.state, bench.tools).sleeve?.slot).toBe(1);
  });

  it.each([
    ['a ribbon where a single fiber waits', [ribbon(1)], 'otherCount', 1],
    ['an estimate that is none', [recordOf(1, [10]), recordOf(2, [-5])], 'noEstimate', 2],
    [
      'more records than splices',
      [1, 2, 3].map((number) => recordOf(number, [10])).concat(ribbon(4), recordOf(5, [10])),
      'noSpliceLeft',
      5,
    ],
  ])('stops at %s', (_, records, code, number) => {
    const { pairs, stop } = ordered(new Bench(), records);
    expect(stop).toEqual({ code, number });
    expect(pairs).toHaveLength(number - 1);
  });
});
