import { USUAL_GLASS, USUAL_RUN } from '@cordel/core';
import { smallDocument } from '../testing/small.ts';
import { Plant, type PlantSplice } from './plant.ts';

// Common practice, no source: a fiber cut at a closure carries one service to it and another from it.
it('gives a cut fiber its first piece, in whatever order circuits are asked for', () => {
  const { closures, project } = smallDocument();
  const [mill, ford] = closures.map(({ id }) => id) as [string, string];
  const cable = (id: string) => ({
    id,
    projectId: project.id,
    name: id,
    makeUp: { kind: 'drop' as const, fibers: 1 },
    closureId: null,
    schemeId: 'tia-598',
    glass: USUAL_GLASS,
    run: USUAL_RUN,
  });
  const splice = (part: Partial<PlantSplice> & Pick<PlantSplice, 'id'>): PlantSplice => ({
    closure: mill,
    cableA: 'F',
    fiberA: 1,
    cableB: 'C',
    fiberB: 1,
    method: 'single',
    tray: 1,
    slot: 1,
    tries: 1,
    order: 1,
    ...part,
  });
  const plant = new Plant(
    [
      splice({ id: 'in', legA: 'in' }),
      splice({ id: 'out', legA: 'out', cableB: 'D' }),
      splice({ id: 'far', cableB: 'B', closure: ford, order: 2 }),
    ],
    {
      cables: new Map(['F', 'C', 'D', 'B'].map((id) => [id, cable(id)])),
      closures: new Map(closures.map((closure) => [closure.id, closure])),
      assemblies: new Map(),
    },
  );
  const way = (id: string) => plant.circuitOf(id, 1).spans.map(({ cableId }) => cableId);
  expect(way('B').sort()).toEqual(['B', 'D', 'F']);
  expect(way('F').sort()).toEqual(['C', 'F']);
  const keys = plant.circuits().map(({ key }) => key);
  expect(new Set(keys).size).toBe(2);
});
