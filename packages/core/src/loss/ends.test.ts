import type { EndWay } from '../record/splice.ts';
import { newAttempt, newInspection, newReading } from '../record/entries.ts';
import type { Evidence } from '../record/evidence.ts';
import { inspectionSchema } from '../record/evidence.ts';
import { BUILT_IN_LIMITS } from './profiles.ts';
import { reasonsFor } from './reasons.ts';
import { spliceStateOf } from './spliceState.ts';
import { adviseEstimate, judgeSplice } from './verdict.ts';

const limits = BUILT_IN_LIMITS[0]!;
const SPLICE = '019da9e7-4800-7000-8000-000000000001';
let next = 0;
const stamp = () => ({
  id: `019da9e7-4800-7000-8000-${String(++next).padStart(12, '0')}`,
  by: 'Ada',
  at: '2026-05-01T10:00:00.000Z',
});

/** An end that is made, with what is then seen of it. */
function judged(
  end: EndWay,
  seen: { face?: 'pass' | 'fail'; light?: 'seen' | 'none'; lossMdb?: number },
  estimateMdb: number | null = null,
) {
  const made = newAttempt(stamp(), SPLICE, estimateMdb);
  const evidence: Evidence[] = [made];
  const { face = null, light = null, lossMdb } = seen;
  if (face || light) evidence.push(newInspection(stamp(), SPLICE, made.id, { face, light }));
  if (lossMdb !== undefined)
    evidence.push(
      newReading(stamp(), SPLICE, made.id, {
        ...{ grade: 'insertion', direction: null, wavelengthNm: 1310, lossMdb },
      }),
    );
  const state = spliceStateOf(evidence);
  const joint = { method: 'single' as const, end };
  const judgement = judgeSplice(state, joint, limits);
  const codes = reasonsFor(state, judgement, joint, limits).map(({ code }) => code);
  return { verdict: judgement.verdict, redo: judgement.redo, codes };
}

describe('a mechanical end (0.1 to 0.5 dB is normal: common practice, no source)', () => {
  test.each([
    [{}, 'provisional', ['needsLight']],
    [{ light: 'seen' }, 'pass', []],
    [{ light: 'none' }, 'fail', ['noLight']],
    [{ lossMdb: 300 }, 'pass', []],
    [{ lossMdb: 500 }, 'pass', []],
    [{ lossMdb: 501 }, 'fail', ['overAt']],
    [{ light: 'seen', lossMdb: 501 }, 'fail', ['overAt']],
    [{ light: 'seen', face: 'fail' }, 'fail', ['faceFailed']],
  ] as const)('%j: %s', (seen, verdict, codes) =>
    expect(judged('mechanical', seen)).toMatchObject({ verdict, codes }),
  );

  test('the line for splices does not judge it: 0.3 dB is no redo', () => {
    expect(judged('mechanical', { lossMdb: 300 }).redo).toBe(false);
    expect(adviseEstimate(300, 1, { method: 'single', end: 'mechanical' }, limits)).toBe('good');
  });
});

describe.each(['pigtail', 'splice-on', 'breakout'] as const)('an end by %s', (end) => {
  test.each([
    [{}, 'provisional', ['needsLightAndFace']],
    [{ light: 'seen' }, 'provisional', ['needsFace']],
    [{ face: 'pass' }, 'provisional', ['needsLight']],
    [{ face: 'pass', light: 'seen' }, 'pass', []],
    [{ face: 'fail', light: 'seen' }, 'fail', ['faceFailed']],
  ] as const)('%j: %s', (seen, verdict, codes) =>
    expect(judged(end, seen)).toMatchObject({ verdict, codes }),
  );
});

test('the estimate of a fused end is a splice’s, and its connector 0.75 dB (TIA-568, from memory)', () => {
  expect(judged('pigtail', {}, 51)).toMatchObject({ verdict: 'provisional', redo: true });
  expect(judged('pigtail', {}, 50).redo).toBe(false);
  expect(judged('pigtail', { face: 'pass', lossMdb: 750 })).toMatchObject({ verdict: 'pass' });
  expect(judged('pigtail', { face: 'pass', lossMdb: 751 })).toMatchObject({ verdict: 'fail' });
});

test('an end that is made again is looked at again', () => {
  const first = newAttempt(stamp(), SPLICE, null);
  const evidence = [
    first,
    newInspection(stamp(), SPLICE, first.id, { face: 'fail', light: 'none' }),
    newAttempt(stamp(), SPLICE, null),
  ];
  expect(spliceStateOf(evidence).inspection).toEqual({ face: null, light: null });
});

test('what was seen later counts, and what is taken back does not', () => {
  const made = newAttempt(stamp(), SPLICE, null);
  const dirty = newInspection(stamp(), SPLICE, made.id, { face: 'fail', light: null });
  const clean = newInspection(stamp(), SPLICE, made.id, { face: 'pass', light: null });
  expect(spliceStateOf([made, dirty, clean]).inspection.face).toBe('pass');
  const back = { ...clean, ...stamp(), supersedes: clean.id, void: true, why: 'wrong port' };
  expect(spliceStateOf([made, dirty, clean, back]).inspection.face).toBe('fail');
});

test('an inspection says something', () => {
  const empty = newInspection(stamp(), SPLICE, null, { face: null, light: null });
  expect(inspectionSchema.safeParse(empty).error?.issues[0]).toMatchObject({
    path: ['face'],
    message: 'inspectionEmpty',
  });
});
