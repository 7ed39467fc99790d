import { USUAL_RUN } from '@cordel/core';
import { type TypedRun, readRun, typeRun } from './runForm';

const closures = [
  { id: '019da9e7-4800-7000-8000-000000000001', name: 'Mill' },
  { id: '019da9e7-4800-7000-8000-000000000002', name: 'Ford' },
];
const [mill, ford] = closures.map(({ id }) => id) as [string, string];
const typed = (part: Partial<TypedRun>): TypedRun => ({ ...typeRun(USUAL_RUN, 'km'), ...part });
const read = (part: Partial<TypedRun>, unit: 'km' | 'ft' = 'km') =>
  readRun(typed(part), closures, unit);

describe('how a cable runs, as it is typed', () => {
  it('comes back as it was, to the last tenth of a millimeter', () => {
    const run = {
      helix: 10_123,
      marks: [
        { closureId: mill, mark: 80_001_234 },
        { closureId: ford, mark: 54_000_000 },
      ],
      end: { name: 'Rack', distance: 123_456_789, mark: 40_000, coil: 150_000 },
      reel: { number: 'R 2207', length: 41_234_567 },
    };
    expect(readRun(typeRun(run, 'km'), closures, 'km')).toEqual({ run });
    const feet = {
      ...run,
      marks: [{ closureId: mill, mark: 3048 * 512 }],
      end: { ...run.end, distance: 3048 * 99, mark: null, coil: 0 },
    };
    expect(readRun(typeRun(feet, 'ft'), closures, 'ft')).toEqual({ run: feet });
  });

  it('nothing typed is nothing known', () => {
    expect(read({})).toEqual({ run: USUAL_RUN });
  });

  it('bare figures are meters, or feet where the project has them', () => {
    expect(read({ marks: { [mill]: '8000' } })).toEqual({
      run: { ...USUAL_RUN, marks: [{ closureId: mill, mark: 80_000_000 }] },
    });
    expect(read({ marks: { [mill]: '10' } }, 'ft')).toEqual({
      run: { ...USUAL_RUN, marks: [{ closureId: mill, mark: 30_480 }] },
    });
  });

  it('the distance of an end goes by the project, as distances of closures do', () => {
    expect(read({ endName: 'Rack', endDistance: '8.2' })).toMatchObject({
      run: { end: { name: 'Rack', distance: 82_000_000 } },
    });
  });

  it.each([
    ['a helix that is none', { helix: '2' }, /Helix factor: such as 1.0050/],
    ['words for a helix', { helix: 'tight' }, /Helix factor/],
    ['words for a mark', { marks: { [ford]: 'worn off' } }, /^Mark at Ford: /],
    ['an end without a name', { endDistance: '8.2' }, /Name the end/],
    ['a length on a reel without its number', { reelLength: '4000' }, /number that stands on/],
    ['words for a distance', { endName: 'Rack', endDistance: 'far' }, /^Distance of the end: /],
  ])('%s is refused at its place', (_, part, words) => {
    const result = read(part);
    expect('error' in result && result.error).toMatch(words);
  });
});
