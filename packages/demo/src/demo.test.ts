import {
  BUILT_IN_HARDWARE,
  expandPlan,
  parsePlan,
  sealPorts,
  evaluatePlan,
  type ListCable,
} from '@cordel/core';
import { closingPoints, closingSplices, closingState, digestOf } from '@cordel/core/close';
import { documentSchema } from '@cordel/core/document';
import { demoDocument, trueLoops, trueSplices } from './document.ts';

const TODAY = new Date('2027-02-03T10:20:00.000Z');
const document = demoDocument(TODAY);
const cables = document.cables.map(({ name, makeUp }): ListCable => ({
  name,
  makeUp,
  scheme: document.schemes[0]!,
}));
const nameOf = (id: string) => document.cables.find((cable) => cable.id === id)!.name;

test('is a whole project, the same with every build', () => {
  expect(documentSchema.parse(document)).toEqual(document);
  expect(demoDocument(TODAY)).toEqual(document);
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
    const { errors, obstacles, change } = evaluatePlan({
      ...plan,
      anew: false,
      retire: false,
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
    const { ports, left } = sealPorts(hardware, assembly.entries);
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

describe('closures that are closed', () => {
  const { project } = document;
  const closed = document.signed.map(({ closureId, content, digest }) => {
    const closure = document.closures.find(({ id }) => id === closureId)!;
    const splices = document.splices.filter((splice) => splice.closureId === closureId);
    const assembly = document.assemblies.find((entry) => entry.closureId === closureId)!;
    const hardware = BUILT_IN_HARDWARE.find(({ id }) => id === assembly.hardwareId)!;
    const judged = closingSplices(splices, document.evidence, project.limits);
    const entries = document.closing.filter((entry) => entry.closureId === closureId);
    const view = {
      closure,
      assembly,
      hardware,
      splices: judged,
      cableName: nameOf,
      isDevice: () => false,
      unit: 'mm',
    } as const;
    const state = closingState({
      entries,
      points: closingPoints(view),
      hardware,
      splices: judged,
      leakLimit: project.practice.leakLimit,
    });
    return { name: closure.name, state, content, digest };
  });

  test('two are signed under what they are, by technician and lead', () => {
    expect(closed.map(({ name }) => name)).toEqual(['Toll cottage', 'Ferry steps']);
    for (const { state, content, digest } of closed) {
      expect(state).toMatchObject({ stage: 'signed', test: 'passed', blocks: [] });
      expect(digestOf(content)).toBe(digest);
      expect(state.signatures.map((entry) => entry.digest)).toEqual([digest, digest]);
    }
  });

  test('one bubbled at first and was mended', () => {
    const [first, second] = closed;
    expect(first!.state.rounds.map(({ state }) => state)).toEqual(['passed']);
    expect(second!.state.rounds.map(({ state }) => state)).toEqual(['failed', 'passed']);
    expect(second!.state.rounds[0]!.repairs).toHaveLength(1);
    expect(second!.state.rounds[1]!.estimate.verdict).toBe('tight');
  });
});

test('is as of the day it is loaded: nothing lies in the future, the newest within two days', () => {
  const moments = [
    ...document.evidence.map(({ at }) => at),
    ...document.splicerRecords.map(({ at }) => at),
    ...document.closing.map(({ at }) => at),
    ...document.traces.map(({ receivedAt }) => receivedAt),
    document.project.createdAt,
  ].map((at) => Date.parse(at));
  const newest = Math.max(...moments);
  expect(newest).toBeLessThanOrEqual(TODAY.getTime());
  expect(TODAY.getTime() - newest).toBeLessThan(2 * 24 * 3_600_000);
});

test('all its figures say that they are simulated, in a practice project', () => {
  expect(document.project.practiceOnly).toBe(true);
  const origins = [
    ...document.evidence.flatMap((entry) => (entry.type === 'ruling' ? [] : [entry.origin])),
    ...document.splicerRecords.map(({ origin }) => origin),
    ...document.traces.map(({ origin }) => origin),
    ...document.closing.flatMap((entry) => (entry.kind === 'gauge' ? [entry.origin] : [])),
  ];
  expect(new Set(origins)).toEqual(new Set(['simulated']));
});
