import { BUILT_IN_INSTRUMENTS } from '../bench/instruments.ts';
import { SLEEVE_KINDS, type Splicer, instrumentSchema } from './instrument.ts';
import { instrumentEntrySchema } from './instrumentLog.ts';

const [splicer, ribbon] = BUILT_IN_INSTRUMENTS as readonly [Splicer, Splicer];
const problem = (value: unknown) => {
  const issue = instrumentSchema.safeParse(value).error?.issues[0];
  return issue ? `${issue.path.join('.')}: ${issue.message}` : '';
};

describe('instruments that ship', () => {
  it('are whole, generic, and say that the own sheet comes first', () => {
    for (const instrument of BUILT_IN_INSTRUMENTS) {
      expect(instrumentSchema.parse(instrument)).toEqual(instrument);
      expect(instrument.source).toMatch(/replace by your instrument’s own sheet/);
    }
  });

  // Common practice, no source: arcs of 7 to 15 s, heaters of 18 to 40 s, cleaves of 10 to 20 mm.
  it('keep within what is usual', () => {
    for (const one of [splicer, ribbon]) {
      expect(one.arcSeconds).toBeGreaterThanOrEqual(7);
      expect(one.arcSeconds).toBeLessThanOrEqual(15);
      for (const { seconds, sleeve } of one.heaterPrograms) {
        expect(seconds).toBeGreaterThanOrEqual(18);
        expect(seconds).toBeLessThanOrEqual(40);
        expect(SLEEVE_KINDS).toContain(sleeve);
      }
      for (const length of one.cleaveLengths) expect([100, 160, 180, 200]).toContain(length);
    }
    expect(ribbon.holders).toContain(12);
  });
});

describe('an instrument that is wrong is refused at its place', () => {
  it.each([
    ['no program', { programs: [] }, /^programs: programsMissing/],
    [
      'a program for 25 fibers',
      { programs: [{ name: 'SM', glass: 'any', fibers: 25 }] },
      /^programs\.0\.fibers/,
    ],
    [
      'a heater of an hour',
      { heaterPrograms: [{ name: 'H', sleeve: '60 mm', seconds: 3600 }] },
      /^heaterPrograms\.0\.seconds: overTenMinutes/,
    ],
    [
      'a sleeve that is none',
      { heaterPrograms: [{ name: 'H', sleeve: '50 mm', seconds: 30 }] },
      /^heaterPrograms\.0\.sleeve/,
    ],
    ['a name of blanks', { name: '  ' }, /^name: nameMissing/],
    ['no source', { source: '' }, /^source: sourceMissing/],
  ])('%s', (_, part, message) => expect(problem({ ...splicer, ...part })).toMatch(message));
});

describe('an entry of the log', () => {
  const id = (last: number) => `019da9e7-4800-7000-8000-${String(last).padStart(12, '0')}`;
  const check = {
    kind: 'arc check',
    id: id(1),
    projectId: id(2),
    instrumentId: 'single-splicer',
    by: 'M.',
    at: '2026-05-04T20:15:00.000Z',
    checkId: id(3),
    round: 1,
    passed: true,
    arcs: 12,
    air: { temperature: 12, humidity: 50, pressure: 98 },
  };
  it('is taken as it is', () =>
    expect(instrumentEntrySchema.parse(check)).toEqual({ ...check, origin: 'typed' }));
  it.each([
    [{ air: { ...check.air, temperature: 70 } }, /tooHot/],
    [{ air: { ...check.air, pressure: 980 } }, /airPressureTooHigh/],
    [{ air: { ...check.air, humidity: 130 } }, /shareOver100/],
    [{ by: ' ' }, /personMissing/],
    [{ round: 0 }, /./],
  ])('refuses %j', (part, message) =>
    expect(
      instrumentEntrySchema.safeParse({ ...check, ...part }).error?.issues[0]?.message,
    ).toMatch(message),
  );
});
