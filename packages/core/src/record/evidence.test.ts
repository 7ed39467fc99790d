import { scribe } from '../loss/scribe.testing.ts';
import { evidenceSchema, retirementsOf, rulingSchema } from './evidence.ts';

const id = (last: number) => `019da9e7-4800-7000-8000-${String(last).padStart(12, '0')}`;
const attempt = {
  type: 'attempt',
  id: id(1),
  spliceId: id(2),
  by: 'M.',
  at: '2026-05-04T20:15:00.000Z',
  tryId: id(1),
  estimateMdb: 20,
  recordId: null,
  recordPosition: null,
  origin: 'typed',
  supersedes: null,
  void: false,
  why: null,
};
const reading = {
  type: 'reading',
  id: id(3),
  spliceId: id(2),
  by: 'M.',
  at: '2026-05-04T20:15:00.000Z',
  tryId: id(1),
  grade: 'one-way',
  direction: 'AB',
  wavelengthNm: 1550,
  lossMdb: -40,
  traceId: null,
  origin: 'typed',
  supersedes: null,
  void: false,
  why: null,
};
const problem = (entry: unknown) => {
  const issue = evidenceSchema.safeParse(entry).error?.issues[0];
  return issue ? `${issue.path.join('.')}: ${issue.message}` : '';
};

describe('evidence', () => {
  it('is taken as it is', () => {
    expect(evidenceSchema.parse(attempt)).toEqual(attempt);
    expect(evidenceSchema.parse(reading)).toEqual(reading);
  });

  it.each([
    ['15 dB', { ...attempt, estimateMdb: 15_000 }, 'estimateMdb: estimateTooLarge'],
    ['a negative estimate', { ...attempt, estimateMdb: -1 }, 'estimateMdb: estimateNegative'],
    ['a half thousandth', { ...attempt, estimateMdb: 20.5 }, 'estimateMdb: estimateNotWhole'],
    ['words for a loss', { ...attempt, estimateMdb: 'abc' }, 'estimateMdb:'],
    ['a reading of 99 dB', { ...reading, lossMdb: 99_000 }, 'lossMdb: lossTooLarge'],
    ['nobody', { ...attempt, by: ' ' }, 'by: personMissing'],
    ['a time without a zone', { ...attempt, at: '2026-05-04T20:15:00' }, 'at: notUtcTime'],
    [
      'an id of version 4',
      { ...attempt, id: 'f47ac10b-58cc-4372-a567-0e02b2c3d479' },
      'id: notUuid7',
    ],
    ['a one-way without direction', { ...reading, direction: null }, 'direction: directionWrong'],
    ['a two-way with one', { ...reading, grade: 'two-way' }, 'direction:'],
    ['a new try under another id', { ...attempt, tryId: id(9) }, 'tryId: tryIdWrong'],
    ['a correction without why', { ...reading, supersedes: id(7) }, 'why: correctionReasonMissing'],
    ['a taking back of nothing', { ...reading, void: true }, 'supersedes: takenBackMissing'],
    [
      'a skip without a reason',
      { ...attempt, type: 'ruling', kind: 'dead', why: '' },
      'why: reasonMissing',
    ],
  ])('%s is refused at its place', (_, entry, words) => expect(problem(entry)).toContain(words));
});

describe('splices that were removed', () => {
  const [one, two] = ['01', '02'].map((end) =>
    scribe(`019da9e7-4800-7000-8000-0000000000${end}`),
  ) as [ReturnType<typeof scribe>, ReturnType<typeof scribe>];

  it('are those that a ruling says so of, and no others', () => {
    const cut = one.ruling('retire', 'Cut-over to D.');
    const evidence = [one.attempt(20), two.attempt(30), two.ruling('dead'), cut];
    expect([...retirementsOf(evidence)]).toEqual([[cut.spliceId, cut]]);
    expect(retirementsOf([]).size).toBe(0);
  });

  it('are cut once: who said so first is who cut them', () => {
    const [first, second] = [one.ruling('retire', 'Moved.'), one.ruling('retire', 'Moved too.')];
    expect(retirementsOf([first, second]).get(first.spliceId)).toEqual(first);
  });

  it('need a reason', () => {
    const cut = one.ruling('retire', 'Moved.');
    expect(rulingSchema.safeParse(cut).success).toBe(true);
    expect(rulingSchema.safeParse({ ...cut, why: ' ' }).success).toBe(false);
  });
});
