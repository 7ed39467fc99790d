import {
  type AssemblyChange,
  BUILT_IN_LIMITS,
  type Cable,
  USUAL_GLASS,
  USUAL_RUN,
  USUAL_BUDGET,
  USUAL_PRACTICE,
  unitsOfDistance,
} from '@cordel/core';
import { COMMANDS, commands } from '../commands/index.ts';
import { withWrites } from './withWrites.ts';
import type { Command } from '../commands/command.ts';
import type { Write } from '../outbox/write.ts';
import { newProjectSnapshot, projectWithWrites } from './project.ts';

const snapshot = {
  ...newProjectSnapshot({
    id: 'p1',
    name: 'Mill line',
    practiceOnly: false,
    units: unitsOfDistance('km'),
    schemeId: 'tia-598',
    limits: BUILT_IN_LIMITS[0]!,
    trayCapacity: { single: 12, mass: 6 },
    practice: USUAL_PRACTICE,
    budget: USUAL_BUDGET,
    route: [],
    createdAt: '2026-05-04T20:15:00.000Z',
  }),
  closures: [
    {
      id: 'k1',
      projectId: 'p1',
      name: 'Mill',
      ordinal: 0,
      distance: null,
      branchOf: null,
      position: null,
      trays: [],
    },
  ],
};
const cable = (id: string, projectId = 'p1', name = id): Cable => ({
  id,
  projectId,
  name,
  makeUp: { kind: 'drop', fibers: 4 },
  closureId: null,
  schemeId: 'tia-598',
  glass: USUAL_GLASS,
  run: USUAL_RUN,
});
const write = <Input>({ name }: Command<Input, never> | { name: string }, input: Input): Write => ({
  id: name,
  command: name,
  input,
  person: '',
  madeAt: '',
  label: '',
  state: 'waiting',
});
const after = <Input>(
  given: typeof snapshot | ReturnType<typeof projectWithWrites>,
  one: { name: string; schema: { parse(input: unknown): Input } },
  ...inputs: Input[]
) =>
  projectWithWrites(
    given,
    inputs.map((input) => write(one, input)),
  );

test('a record that is saved is added, and saved again takes its place', () => {
  const changed = after(
    snapshot,
    commands.saveCable,
    cable('c1'),
    cable('c2'),
    cable('c1', 'p1', 'North'),
  );
  expect(changed.cables.map(({ name }) => name)).toEqual(['North', 'c2']);
  expect(snapshot.cables).toEqual([]);
});

test('records of other projects, and what is no record, change nothing', () => {
  expect(after(snapshot, commands.saveCable, cable('c1', 'p2'))).toBe(snapshot);
  expect(projectWithWrites(snapshot, [write(commands.stopPackage, { packageId: 'k1' })])).toBe(
    snapshot,
  );
  expect(
    projectWithWrites(snapshot, [{ ...write(commands.saveCable, cable('c1')), state: 'refused' }]),
  ).toBe(snapshot);
});

test('changes of what meets in a closure follow each other, and the same one again is once', () => {
  const change = (closureId: string, what: AssemblyChange) =>
    write(commands.changeAssemblyOf, { closureId, change: what });
  const one = projectWithWrites(snapshot, [change('k1', { kind: 'hardware', hardwareId: 'dome' })]);
  const two = projectWithWrites(one, [change('k1', { kind: 'reach', reach: 20 })]);
  expect(two.assemblies).toEqual([{ closureId: 'k1', hardwareId: 'dome', reach: 20, entries: [] }]);
  expect(projectWithWrites(two, [change('k1', { kind: 'reach', reach: 20 })])).toEqual(two);
  expect(projectWithWrites(snapshot, [change('k9', { kind: 'reach', reach: 20 })])).toBe(snapshot);
});

test('the project itself, and what is out of the way', () => {
  const project = { ...snapshot.project, name: 'Ford line' };
  expect(after(snapshot, commands.saveProject, project).project).toEqual(project);
  const archived = { kind: 'closure' as const, id: 'k1', archived: true };
  const away = after(snapshot, commands.archiveRecord, archived);
  expect(away.archived).toEqual(['k1']);
  expect(after(away, commands.archiveRecord, { ...archived, archived: false }).archived).toEqual(
    [],
  );
  expect(after(snapshot, commands.deleteRecord, { kind: 'closure', id: 'k1' }).closures).toEqual(
    [],
  );
});

test('all kinds of rows go to their places, each once, however often they are laid over', () => {
  const at = { by: 'T. Marsh', at: '2026-05-04T20:15:00.000Z' };
  const entry = { id: 'e1', closureId: 'k1', kind: 'open', ...at } as never;
  const closing = { closureId: 'k1', closing: [], photos: [] };
  const both = [
    write(commands.appendClosing, { closureId: 'k1', entries: [entry] }),
    write(commands.appendClosing, { closureId: 'k2', entries: [entry] }),
  ];
  const laid = withWrites(closing, [...both, ...both], COMMANDS);
  expect(laid.closing).toEqual([entry]);
  expect(laid.photos).toBe(closing.photos);
});
