import {
  BUILT_IN_HARDWARE,
  documentSchema,
  expandPlan,
  parsePlan,
  sealPorts,
  weighPlan,
  type ListCable,
} from '@cordel/core';
import { demoDocument, trueLoops, trueSplices } from './document.ts';

const document = demoDocument();
const cables = document.cables.map(({ name, makeUp }): ListCable => ({
  name,
  makeUp,
  scheme: document.schemes[0]!,
}));
const nameOf = (id: string) => document.cables.find((cable) => cable.id === id)!.name;

test('is a whole project, the same with every build', () => {
  expect(documentSchema.parse(document)).toEqual(document);
  expect(demoDocument()).toEqual(document);
  expect(document.closures.length).toBeGreaterThanOrEqual(8);
});

test('every plan says just the splices of its closure, on their trays', () => {
  for (const plan of document.plans) {
    const closure = document.closures.find(({ id }) => id === plan.closureId)!;
    const there = document.splices
      .filter((splice) => splice.closureId === closure.id)
      .map((splice) => ({
        ...splice,
        cableA: nameOf(splice.cableA),
        cableB: nameOf(splice.cableB),
        worked: false,
      }));
    const { errors, obstacles, change } = weighPlan({
      ...plan,
      anew: false,
      cables,
      trays: closure.trays,
      there,
    });
    expect([closure.name, errors, obstacles]).toEqual([closure.name, [], []]);
    expect(change.kept).toHaveLength(there.length);
    expect(change.added.length + change.moved.length + change.dropped.length).toBe(0);
  }
});

test('every fiber that enters is named, but at Top barn', () => {
  const open = document.plans.flatMap((plan) => {
    const { unnamed } = expandPlan(parsePlan(plan.text, cables), cables);
    const { name } = document.closures.find(({ id }) => id === plan.closureId)!;
    const entered = document.assemblies
      .find(({ closureId }) => closureId === plan.closureId)!
      .entries.map((entry) => nameOf(entry.cableId));
    return unnamed.filter(({ cable }) => entered.includes(cable)).map(({ cable }) => [name, cable]);
  });
  expect(open).toEqual([['Top barn', 'U']]);
});

test('every cable finds a port and a seal', () => {
  for (const assembly of document.assemblies) {
    const hardware = BUILT_IN_HARDWARE.find(({ id }) => id === assembly.hardwareId)!;
    const { ports, left } = sealPorts(hardware, assembly.entries, 'mm');
    expect(left).toEqual([]);
    for (const { seal } of ports.flatMap((use) => use.entries))
      expect(seal).toMatchObject({ ok: true });
  }
});
test('true losses stand behind every splice that was made, by the try that made it', () => {
  const truths = trueSplices(document.project.id);
  const last = new Map(
    document.evidence.flatMap((entry) =>
      entry.type === 'attempt' ? [[entry.spliceId, entry.tryId] as const] : [],
    ),
  );
  expect(truths.size).toBe(last.size);
  for (const [spliceId, tryId] of last) expect(truths.get(spliceId)!.tryId).toBe(tryId);
  expect(trueSplices('019da9e7-4800-7000-8000-00000000ffff').size).toBe(0);
});

test('traces are of fibers that were spliced, each with its place', () => {
  expect(document.traces).toHaveLength(95);
  expect(document.tracePlaces.map(({ traceId }) => traceId)).toEqual(
    document.traces.map(({ id }) => id),
  );
  expect(trueLoops(document.project.id).size).toBe(1);
});
