import { type Cable, type Closure, cableSchema, closureSchema } from '@cordel/core';
import { readCables, readClosures, withEmptyRow } from './typedRows';

const PROJECT = {
  id: '019da9e7-4800-7000-8000-000000000001',
  schemeId: 'tia-598',
  units: { distance: 'ft' as const },
};
const row = (name: string, figure: string, at = 1) => ({
  id: `019da9e7-4800-7000-8000-0000000000${10 + at}`,
  name,
  figure,
});
const errors = (list: { ok: boolean; error?: string }[]) => list.map(({ error }) => error ?? '');

describe('cables typed one after the other', () => {
  it('become records', () => {
    const [cable] = readCables([row(' A ', '12x12')], [], PROJECT);
    expect(cable).toMatchObject({ ok: true, value: { name: 'A', projectId: PROJECT.id } });
    expect(cableSchema.parse(cable!.ok && cable!.value)).toMatchObject({ schemeId: 'tia-598' });
  });

  it('say in their row what would be right', () => {
    const known = [{ name: 'Feeder' } as Cable];
    expect(
      errors(
        readCables(
          [row('feeder', '12'), row('B', ''), row('C', '12'), row('c', '12')],
          known,
          PROJECT,
        ),
      ),
    ).toEqual([
      'feeder is here already: choose another name.',
      expect.stringMatching(/^Type the cable’s fibers/),
      '',
      'c stands further up: choose another name.',
    ]);
  });
});

describe('closures typed one after the other', () => {
  it('become records in the order in which they are typed, with distances in the project’s unit', () => {
    const known = [{ name: 'Mill', ordinal: 4 } as Closure];
    const read = readClosures([row('Ford', '4,200'), row('Barn', '', 2)], known, PROJECT);
    // 4 200 ft are 1 280.16 m.
    expect(read.map((one) => one.ok && closureSchema.parse(one.value))).toMatchObject([
      { name: 'Ford', ordinal: 5, distance: 12_801_600 },
      { name: 'Barn', ordinal: 6, distance: null },
    ]);
  });

  it('are no clash with themselves while they wait for a signal', () => {
    const waiting = row('Ford', '4,200');
    const known = [{ id: waiting.id, name: 'Ford', ordinal: 0 } as Closure];
    expect(readClosures([waiting], known, PROJECT)).toMatchObject([
      { ok: true, value: { id: waiting.id, name: 'Ford', ordinal: 0 } },
    ]);
    expect(errors(readClosures([row('ford', '', 2)], known, PROJECT))).toEqual([
      'ford is here already: choose another name.',
    ]);
  });

  it('say in their row what would be right', () =>
    expect(errors(readClosures([row('', '5'), row('Ford', 'far')], [], PROJECT))).toEqual([
      'Give it a name.',
      expect.stringMatching(/“far” is not a distance/),
    ]));
});

it('an empty row is always at the end, once', () => {
  const one = withEmptyRow([row('A', '')], 'new');
  expect(one.map(({ id }) => id)).toEqual([row('A', '').id, 'new']);
  expect(withEmptyRow(one, 'other')).toEqual(one);
});
