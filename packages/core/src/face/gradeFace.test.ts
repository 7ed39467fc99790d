import { newAttempt, newInspection } from '../record/entries.ts';
import { inspectionSchema } from '../record/evidence.ts';
import { stamper } from '../links/links.testing.ts';
import { faceHistoryOf } from './faceHistory.ts';
import { NO_MARKS, gradeFace } from './gradeFace.ts';

// Single mode, limits a zone: IEC 61300-3-35, from memory.
describe('a grade by zone', () => {
  it.each([
    ['a clean face', 'UPC', {}, 'pass', null],
    ['a scratch through the core', 'UPC', { coreScratches: 1 }, 'fail', 'core'],
    ['four scratches through the core of an angled one', 'APC', { coreScratches: 4 }, 'pass', null],
    ['five of them', 'APC', { coreScratches: 5 }, 'fail', 'core'],
    ['a defect in the core', 'APC', { coreDefects: 1 }, 'fail', 'core'],
    ['five small defects in the cladding', 'UPC', { claddingDefects: 5 }, 'pass', null],
    ['six of them', 'UPC', { claddingDefects: 6 }, 'fail', 'cladding'],
    ['one over 5 um', 'UPC', { claddingLargeDefects: 1 }, 'fail', 'cladding'],
    ['a defect of 10 um where it touches', 'UPC', { contactDefects: 1 }, 'fail', 'contact'],
  ] as const)('%s, %s', (_, polish, part, face, zone) => {
    const grade = gradeFace({ ...NO_MARKS, ...part }, polish);
    expect(grade.face).toBe(face);
    for (const [name, own] of Object.entries(grade.zones))
      expect([name, own]).toEqual([name, name === zone ? 'fail' : 'pass']);
  });
});

describe('before and after cleaning', () => {
  const stamp = stamper();
  const made = newAttempt(stamp(), '01900000-0000-7000-8000-00000000000a', null);
  const look = (face: 'pass' | 'fail', cleanings: number | null) =>
    newInspection(stamp(), made.spliceId, made.tryId, { face, light: null, cleanings });

  it('is the first look and the last, with all cleaning between', () => {
    const looks = [look('fail', null), look('fail', 1), look('pass', 2)];
    expect(faceHistoryOf([made, ...looks], made.tryId)).toEqual({
      looks,
      before: looks[0],
      after: looks[2],
      cleanings: 3,
    });
  });

  it('begins anew where the end is made anew, and leaves out what was taken back', () => {
    const wrong = look('fail', 4);
    const back = { ...wrong, ...stamp(), supersedes: wrong.id, void: true, why: 'Another end.' };
    const history = faceHistoryOf([made, wrong, back, look('pass', 1)], made.tryId);
    expect(history).toMatchObject({ cleanings: 1, after: null });
    expect(faceHistoryOf([made, look('fail', 1)], stamp().id).looks).toEqual([]);
  });

  it('a picture or marks are of a face that is graded', () => {
    const bad = newInspection(stamp(), made.spliceId, made.tryId, {
      face: null,
      light: 'seen',
      marks: NO_MARKS,
    });
    expect(inspectionSchema.safeParse(bad).error?.issues[0]).toMatchObject({
      message: 'faceUngraded',
    });
  });
});
