import { upgradeDocument } from './upgradeDocument.ts';

interface Upgraded {
  version: number;
  project: { practiceOnly: boolean };
  closing: Record<string, unknown>[];
}

const upgraded = (closing: unknown[]) =>
  upgradeDocument({
    format: 'cordel.project',
    version: 1,
    project: { name: 'Mill line' },
    closing,
  }) as Upgraded;

describe('a document of version 1', () => {
  it('says of a gauge reading where it comes from, and is of a practice project where it was simulated', () => {
    const real = upgraded([{ kind: 'gauge', gaugePa: 1, simulated: false }]);
    expect(real.version).toBe(5);
    expect(real.project.practiceOnly).toBe(false);
    expect(real.closing[0]).toEqual({ kind: 'gauge', gaugePa: 1, minute: null, origin: 'typed' });
    const made = upgraded([{ kind: 'gauge', gaugePa: 1, simulated: true }]);
    expect(made.project.practiceOnly).toBe(true);
    expect(made.closing[0]).toMatchObject({ origin: 'simulated' });
  });

  it('keeps what was said of bubbles, but takes no mark that was taken back for “no bubbles”', () => {
    const { closing } = upgraded([
      { kind: 'bubbles', roundId: 'one', places: [] },
      { kind: 'bubbles', roundId: 'two', places: ['Oval'] },
      { kind: 'bubbles', roundId: 'two', places: [] },
    ]);
    expect(closing).toEqual([
      { kind: 'bubbles', roundId: 'one', places: ['everywhere'], seen: 'none' },
      { kind: 'bubbles', roundId: 'two', places: ['Oval'], seen: 'bubbles' },
      { kind: 'bubbles', roundId: 'two', places: ['everywhere'], seen: 'not checked' },
    ]);
  });
});

describe('a document of version 2', () => {
  const units = (distance: string) =>
    (
      upgradeDocument({ version: 2, project: { units: { distance } } }) as {
        project: { units: unknown };
      }
    ).project.units;

  it('gets the units that go with its distances, and UTC', () => {
    expect(units('km')).toMatchObject({ length: 'mm', temperature: 'C', paper: 'A4' });
    expect(units('mi')).toEqual({
      length: 'in',
      distance: 'mi',
      pressure: 'psi',
      temperature: 'F',
      altitude: 'ft',
      paper: 'Letter',
      timeZone: 'UTC',
    });
  });

  it('leaves a unit that nobody knows for the schema to refuse', () =>
    expect(units('league')).toEqual({ distance: 'league' }));
});

it('a document of version 3 has the fiber that a redo takes under its earlier name, and ticks of nobody', () => {
  const upgraded = upgradeDocument({
    version: 3,
    project: { name: 'Mill line', practice: { redos: 3, redoEats: 400 } },
    assemblies: [{ closureId: 'mill', entries: [{ id: 'a', done: ['mark', 'seal'] }] }],
  });
  expect(upgraded).toEqual({
    version: 5,
    project: { name: 'Mill line', practice: { redos: 3, redoConsumption: 400 } },
    // Who ticked a step, and when, nobody had recorded.
    assemblies: [
      {
        closureId: 'mill',
        entries: [
          {
            id: 'a',
            done: [
              { step: 'mark', by: null, at: null },
              { step: 'seal', by: null, at: null },
            ],
          },
        ],
      },
    ],
  });
});

it('leaves alone what is no document, and what is of this version', () => {
  for (const other of [null, 4, [], {}, { version: 1 }, { version: 5, project: {} }])
    expect(upgradeDocument(other)).toBe(other);
});
