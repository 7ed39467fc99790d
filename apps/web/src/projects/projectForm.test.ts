import { issueText } from '@cordel/text/record';
import {
  BUILT_IN_LIMITS,
  type Project,
  METRIC,
  US_CUSTOMARY,
  USUAL_BUDGET,
  USUAL_PRACTICE,
  limitsSchema,
  projectSchema,
} from '@cordel/core';
import { practiceInUnits, projectForm, projectFormSchema, toProject } from './projectForm';

const project: Project = {
  id: '019da9e7-4800-7000-8000-000000000001',
  name: 'Mill line',
  practiceOnly: false,
  units: { ...US_CUSTOMARY, distance: 'mi', timeZone: 'America/Denver' },
  schemeId: 'tia-598',
  limits: BUILT_IN_LIMITS[0]!,
  trayCapacity: { single: 12, mass: 6 },
  practice: USUAL_PRACTICE,
  budget: USUAL_BUDGET,
  route: [],
  createdAt: '2026-05-04T20:15:00.000Z',
};
const form = projectForm(project);
const copy = <Value>(value: Value): Value => JSON.parse(JSON.stringify(value)) as Value;

/** The first error of a form with something changed in it: `path: message`. */
function problem(path: string, value: string): string {
  const changed = copy(form) as unknown as Record<string, unknown>;
  const keys = path.split('.');
  const last = keys.pop()!;
  const holder = keys.reduce((at, key) => at[key] as Record<string, unknown>, changed);
  holder[last] = value;
  const issue = projectFormSchema.safeParse(changed).error?.issues[0];
  return issue ? `${issue.path.join('.')}: ${issueText(issue)}` : '';
}

describe('the form of a project', () => {
  it.each(BUILT_IN_LIMITS.map((limits) => [limits.name, limits] as const))(
    'gives back the record it was filled from: %s',
    (_, limits) => {
      const filled = projectFormSchema.parse(projectForm({ ...project, limits }));
      const record = toProject(filled, project);
      expect(record).toEqual({ ...project, limits });
      expect(projectSchema.parse(record)).toEqual(record);
    },
  );

  it.each([
    ['name', ' ', 'name: Give it a name.'],
    ['limits.splice.two-way.single', 'a tenth', 'is not a loss'],
    ['limits.splice.two-way.single', '0', 'A limit is more than 0 dB.'],
    [
      'limits.splice.estimate.mass',
      '15',
      'limits.splice.estimate.mass: 15.00 dB cannot be a splice',
    ],
    ['limits.mean.tray', 'abc', 'limits.mean.tray: “abc” is not a loss'],
    ['limits.maxTries', '0', 'limits.maxTries: A whole number from 1 to 10.'],
    ['limits.wavelengths', '1310 1310', 'limits.wavelengths: Each wavelength once.'],
    ['limits.wavelengths', '', 'limits.wavelengths: Name at least one wavelength.'],
    ['limits.wavelengths', '13', 'limits.wavelengths: At least 600 nm.'],
    ['trayCapacity.single', '1.5', 'trayCapacity.single: A whole number from 0 to 96.'],
    ['limits.source', '', 'limits.source: Say where the figures come from.'],
    ['units.timeZone', 'Mill/Valley', 'units.timeZone: No time zone has this name'],
    ['practice.trayFiber', '1 in', 'practice.trayFiber: At least 100 mm.'],
    ['practice.trayFiber', 'long', 'practice.trayFiber: “long” is not a length'],
    ['practice.arc.temperature', '1 F', 'practice.arc.temperature: At least 1 C.'],
    ['practice.arc.pressure', 'high', 'practice.arc.pressure: Type a change of pressure'],
    ['practice.leakLimit', '1 kPa', ''],
    ['practice.leakLimit', '9 kPa', 'practice.leakLimit: At most 5 000 Pa a minute.'],
  ])('%s of %p is refused at its place', (path, value, words) =>
    expect(problem(path, value)).toContain(words),
  );

  it.each(['length', 'pressure', 'temperature'] as const)(
    'reads a figure without a unit in the project’s: %s',
    (key) => {
      const typed = { length: '40', pressure: '0.1', temperature: '18' }[key];
      const read = (preset: typeof METRIC) => {
        const filled = copy(form);
        filled.units = { ...preset, timeZone: 'UTC' };
        filled.practice.trayFiber = '40 in';
        if (key === 'length') filled.practice.trayFiber = preset === METRIC ? '400' : typed;
        if (key === 'pressure') filled.practice.leakLimit = typed;
        if (key === 'temperature') filled.practice.arc.temperature = typed;
        const { practice } = projectFormSchema.parse(filled);
        return [practice.trayFiber, practice.leakLimit, practice.arc.temperature];
      };
      // 1 in is 25.4 mm; 0.1 psi is 689.5 Pa; 18 F are 10 C.
      const expected = {
        length: [4000, 10_160],
        pressure: [100, 689],
        temperature: [18, 10],
      }[key];
      const at = { length: 0, pressure: 1, temperature: 2 }[key];
      expect([read(METRIC)[at], read(US_CUSTOMARY)[at]]).toEqual(expected);
    },
  );

  it('an empty limit is none, and a grade that nothing judges is refused', () => {
    expect(problem('limits.splice.estimate.single', '')).toBe('');
    const none = copy(form);
    none.limits.splice['two-way'] = { single: '', mass: '' };
    expect(projectFormSchema.safeParse(none).error?.issues[0]?.path).toEqual(['limits', 'grade']);
    expect(limitsSchema.safeParse(BUILT_IN_LIMITS[0]).success).toBe(true);
  });
});

describe('practice once other units are chosen', () => {
  const metric = { ...METRIC, timeZone: 'UTC' };
  const us = { ...US_CUSTOMARY, timeZone: 'UTC' };
  const start = projectForm({ ...project, units: metric, practice: USUAL_PRACTICE }).practice;

  it('what is usual becomes what is usual there, in round figures', () => {
    const turned = practiceInUnits(start, metric, us);
    expect(turned).toMatchObject({
      trayFiber: '40 in',
      redoConsumption: '1 1/2 in',
      arc: { temperature: '18 F', pressure: '1.5 inHg' },
    });
    expect(turned.leakLimit).toMatch(/psi\/min$/);
    expect(practiceInUnits(turned, us, metric)).toEqual(start);
  });

  it('what was typed is kept and shown in them; what cannot be read stays', () => {
    const typed = { ...start, trayFiber: '1200 mm', redoConsumption: 'some' };
    expect(practiceInUnits(typed, metric, us)).toMatchObject({
      trayFiber: '47.244 in',
      redoConsumption: 'some',
    });
  });
});
