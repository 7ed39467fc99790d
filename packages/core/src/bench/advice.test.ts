import { BUILT_IN_LIMITS } from '../loss/profiles.ts';
import { PRIOR, type RedoTask, adviseRedo, believe } from './advice.ts';

const limits = BUILT_IN_LIMITS[0]!;
const task = (
  part: Partial<RedoTask> & {
    estimate?: number;
    cleave?: number;
    before?: number[];
    floor?: number;
  },
): RedoTask => ({
  fibers: [
    {
      estimate: part.estimate ?? 20,
      cleave: part.cleave ?? 0.4,
      before: part.before ?? [],
      floor: part.floor ?? 0,
    },
  ],
  method: 'single',
  limits,
  history: [],
  measured: [],
  slack: null,
  time: null,
  ...part,
});

describe('redo or keep', () => {
  it('keeps what is likely to pass, and says with what chance', () => {
    const advice = adviseRedo(task({ estimate: 20 }));
    expect(advice).toMatchObject({
      code: 'keep',
      reason: { code: 'likely', now: { chance: expect.any(Number) } },
    });
  });

  it('redoes what is likely to fail while another try is likely to pass', () => {
    const advice = adviseRedo(task({ estimate: 160 }));
    expect(advice.code).toBe('redo');
    expect(advice.passNow).toBeLessThan(0.1);
    expect(advice.passNext).toBeGreaterThan(0.8);
  });

  it('says redo for an estimate over the redo line, though the two-way limit is far: one word, not two', () => {
    expect(limits.splice.estimate.single).toBe(50);
    expect(adviseRedo(task({ estimate: 60 }))).toMatchObject({
      code: 'redo',
      reason: { code: 'overLine', estimate: { lossMdb: 60 }, line: { lossMdb: 50 } },
    });
    expect(adviseRedo(task({ estimate: 50 })).code).toBe('keep');
    expect(adviseRedo(task({ estimate: 60, before: [55] })).code).toBe('last-attempt');
    expect(adviseRedo(task({ estimate: 60, before: [55, 70] })).code).toBe('lead');
    expect(adviseRedo(task({ estimate: 60, time: { left: 10, redo: 240 } })).code).toBe('lead');
  });

  it('never says keep where the splice would be listed to redo', () => {
    for (let estimate = 0; estimate <= 400; estimate += 5)
      for (const before of [[], [estimate], [30, 80]]) {
        const isOver = estimate > limits.splice.estimate.single!;
        const { code } = adviseRedo(task({ estimate, before }));
        if (isOver) expect(code).not.toBe('keep');
      }
  });

  it('redoes a good picture over a bad cleave', () => {
    const straight = adviseRedo(task({ estimate: 50, cleave: 0.3 }));
    const slanted = adviseRedo(task({ estimate: 50, cleave: 2.4 }));
    expect(straight.code).toBe('keep');
    expect(slanted.code).toBe('redo');
  });

  it('does not redo what no redo fixes: mode fields that cost more than the limit', () => {
    // 9.2 um onto 12 um costs 0.30 dB by Marcuse; no joint of them passes 0.10 dB.
    const advice = adviseRedo(task({ estimate: 130, floor: 300 }));
    expect(advice).toMatchObject({
      code: 'lead',
      passNext: 0,
      reason: { code: 'modeFields', floor: { lossMdb: 300 } },
    });
  });

  it('says last try and needs the lead by the tries used', () => {
    expect(adviseRedo(task({ estimate: 200, before: [20] })).code).toBe('last-attempt');
    expect(adviseRedo(task({ estimate: 300, before: [20, 20] }))).toMatchObject({
      code: 'lead',
      tries: 3,
    });
  });

  it('minds slack and the window', () => {
    expect(adviseRedo(task({ estimate: 200, slack: { left: 300, eats: 400 } }))).toMatchObject({
      code: 'lead',
      redosLeft: 0,
    });
    expect(adviseRedo(task({ estimate: 200, time: { left: 60, redo: 180 } }))).toMatchObject({
      code: 'lead',
      reason: { code: 'windowCloses' },
    });
  });

  it('breaks a ribbon by its worst fiber', () => {
    const fiber = { estimate: 20, cleave: 0.4, before: [], floor: 0 };
    const fibers = Array.from({ length: 12 }, (_, at) =>
      at === 4 ? { ...fiber, estimate: 260 } : fiber,
    );
    const advice = adviseRedo({ ...task({}), method: 'mass', fibers });
    expect(advice.code).toBe('redo');
    expect(advice.passNow).toBeLessThan(0.1);
  });

  it('takes an estimate for what decides only where the project does', () => {
    const byEstimate = { ...limits, grade: 'estimate' as const };
    expect(adviseRedo(task({ limits: byEstimate, estimate: 50 })).passNow).toBe(1);
    expect(adviseRedo(task({ limits: byEstimate, estimate: 51 })).passNow).toBe(0);
  });

  it('states its figures: prior, history, error, slack', () => {
    const { figures } = adviseRedo(
      task({ estimate: 60, cleave: 2, slack: { left: 1200, eats: 400 } }),
    );
    expect(figures).toMatchObject([
      { code: 'chances', grade: 'two-way' },
      { code: 'usual', weight: 12 },
      { code: 'estimateError', measured: 0 },
      { code: 'cleave', degrees: '2.0', loss: { lossMdb: 48 } },
      { code: 'slack', left: { lengthTenthsMm: 1200 }, redo: { lengthTenthsMm: 400 } },
      { code: 'failCost', redos: 20 },
    ]);
  });
});

describe('what is believed of a splicer', () => {
  it('is the prior without a history, and its own figures with a long one', () => {
    const nothing = believe({ history: [], measured: [], method: 'single' });
    expect(Math.exp(nothing.mean)).toBeCloseTo(PRIOR.median.single + PRIOR.shift, 9);
    const long = believe({
      history: Array.from({ length: 500 }, () => 40),
      measured: [],
      method: 'single',
    });
    expect(Math.exp(long.mean) - PRIOR.shift).toBeGreaterThan(34);
    expect(Math.exp(long.mean) - PRIOR.shift).toBeLessThan(40);
  });

  it('weighs prior and history by their counts: the mean of the logarithms, by hand', () => {
    const history = Array.from({ length: PRIOR.weight }, () => 90);
    // As many own figures as the prior is worth: halfway between ln 25 and ln 100, ln 50.
    expect(Math.exp(believe({ history, measured: [], method: 'single' }).mean)).toBeCloseTo(50, 6);
  });

  it('learns how far its estimates are off from measured splices', () => {
    const measured = Array.from({ length: 60 }, () => ({ estimate: 20, loss: 50, floor: 0 }));
    expect(believe({ history: [], measured, method: 'single' }).bias).toBeCloseTo(
      (60 * 30) / 72,
      9,
    );
  });
});
