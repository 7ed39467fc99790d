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
    ['15 dB', { ...attempt, estimateMdb: 15_000 }, 'estimateMdb: An estimate over 5 dB'],
    [
      'a negative estimate',
      { ...attempt, estimateMdb: -1 },
      'estimateMdb: A splicer’s estimate is never below 0',
    ],
    [
      'a half thousandth',
      { ...attempt, estimateMdb: 20.5 },
      'estimateMdb: An estimate is a whole number',
    ],
    ['words for a loss', { ...attempt, estimateMdb: 'abc' }, 'estimateMdb:'],
    ['a reading of 99 dB', { ...reading, lossMdb: 99_000 }, 'lossMdb: A loss over 10 dB'],
    ['nobody', { ...attempt, by: ' ' }, 'by: Say who'],
    [
      'a time without a zone',
      { ...attempt, at: '2026-05-04T20:15:00' },
      'at: A time must be ISO 8601',
    ],
    [
      'an id of version 4',
      { ...attempt, id: 'f47ac10b-58cc-4372-a567-0e02b2c3d479' },
      'id: An id must be a UUID of version 7',
    ],
    [
      'a one-way without direction',
      { ...reading, direction: null },
      'direction: A one-way reading names its direction',
    ],
    ['a two-way with one', { ...reading, grade: 'two-way' }, 'direction:'],
    [
      'a new try under another id',
      { ...attempt, tryId: id(9) },
      'tryId: A new try carries its own id',
    ],
    ['a correction without why', { ...reading, supersedes: id(7) }, 'why: A correction says why'],
    ['a taking back of nothing', { ...reading, void: true }, 'supersedes: Say which entry'],
    [
      'a skip without a reason',
      { ...attempt, type: 'ruling', kind: 'dead', why: '' },
      'why: Say why',
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
