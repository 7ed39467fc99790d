import Ajv2020 from 'ajv/dist/2020';
import addFormats from 'ajv-formats';
import { documentJsonSchema, documentSchema } from './document.ts';
import { BUILT_IN_LIMITS } from '../loss/profiles.ts';
import { METRIC } from './units.ts';

const project = {
  id: '019da9e7-4800-7000-8000-000000000001',
  name: 'Mill line',
  units: { ...METRIC, timeZone: 'UTC' },
  schemeId: 'tia-598',
  limits: BUILT_IN_LIMITS[0],
  trayCapacity: { single: 12, mass: 6 },
  createdAt: '2026-05-04T20:15:00.000Z',
};
const document = {
  format: 'cordel.project',
  version: 5,
  project,
  schemes: [],
  closures: [],
  cables: [],
  splices: [],
  evidence: [],
};

const withUnits = (units: object) => ({
  ...document,
  project: { ...project, units: { ...project.units, ...units } },
});

describe('the published JSON Schema', () => {
  const ajv = addFormats(
    new Ajv2020({ strict: false, allErrors: true, formats: { base64: true } }),
  );
  const validate = ajv.compile(documentJsonSchema());

  it('is a schema of draft 2020-12 that takes what Cordel takes', () => {
    expect(documentJsonSchema().$schema).toBe('https://json-schema.org/draft/2020-12/schema');
    expect(validate(document)).toBe(true);
    expect(documentSchema.safeParse(document).success).toBe(true);
  });

  it.each([
    ['another format', { ...document, format: 'other' }],
    ['a missing part', { ...document, splices: undefined }],
    ['a bad id', { ...document, project: { ...project, id: 'x' } }],
    ['a bad unit', withUnits({ distance: 'league' })],
    ['no unit of temperature', withUnits({ temperature: undefined })],
    ['paper of another size', withUnits({ paper: 'A3' })],
  ])('refuses %s, as Cordel does', (_, bad) => {
    const sent = JSON.parse(JSON.stringify(bad)) as unknown;
    expect(validate(sent)).toBe(false);
    expect(documentSchema.safeParse(sent).success).toBe(false);
  });
});
