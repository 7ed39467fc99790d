import fc from 'fast-check';
import { closingPoints } from '../close/points.ts';
import { closureView } from '../close/closure.testing.ts';
import { unitSize } from '../fiber/address.ts';
import { BUILT_IN_SCHEMES } from '../fiber/schemes.ts';
import { type MakeUp, fiberCount } from '../record/cable.ts';
import type { CableEntry, Hardware } from '../record/hardware.ts';
import { USUAL_PRACTICE } from '../record/practice.ts';
import type { EntryKind } from '../record/procedure.ts';
import { LEGS } from '../record/splice.ts';
import { enteringCable } from './assembly.ts';
import type { PrepMessage } from './cutMarks.ts';
import { cutPlan } from './cutPlan.ts';
import { BUILT_IN_HARDWARE } from './hardware.ts';
import { legsOf } from './legs.ts';
import { openedUnits } from './openedUnits.ts';
import { procedureOf } from './procedures/index.ts';
import { sealOfLeg, sealPorts } from './seal.ts';
import { prepSteps } from './steps.ts';

const RUNS = 1000;

const anyMakeUp = fc.oneof(
  fc.record({
    kind: fc.constant('loose-tube' as const),
    tubes: fc.integer({ min: 1, max: 24 }),
    fibersPerTube: fc.constantFrom(4, 6, 12, 24),
  }),
  fc.record({ kind: fc.constant('ribbon' as const), ribbons: fc.integer({ min: 1, max: 36 }) }),
  fc.record({
    kind: fc.constant('grouped-tube' as const),
    tubes: fc.integer({ min: 1, max: 12 }),
    groupsPerTube: fc.constant(2),
  }),
);

interface Entered {
  entry: CableEntry;
  makeUp: MakeUp;
}

/** A closure of shipped hardware with cables that may or may not fit, and splices of some of their fibers. */
const anyClosure = fc.constantFrom(...BUILT_IN_HARDWARE).chain((hardware) => {
  const kinds = [...new Set(hardware.ports.flatMap(({ takes }) => takes))];
  const cable = (index: number): fc.Arbitrary<Entered> =>
    fc.constantFrom(...kinds).chain((kind) =>
      fc
        .record({
          makeUp: kind === 'drop' ? fc.constant<MakeUp>({ kind: 'drop', fibers: 4 }) : anyMakeUp,
          diameter: fc.integer({ min: 20, max: 300 }),
          armoured: fc.boolean(),
          tracer: fc.boolean(),
          route: fc.integer({ min: 1, max: 20_000 }),
          chosen: fc.option(fc.constantFrom(...hardware.ports.map(({ name }) => name))),
        })
        .map(({ makeUp, chosen, ...part }) => ({
          makeUp,
          entry: { ...enteringCable(`e${index}`, `c${index}`, kind), ...part, port: chosen },
        })),
    );
  return fc.record({
    hardware: fc.constant(hardware),
    cables: fc
      .integer({ min: 1, max: 6 })
      .chain((count) => fc.tuple(...Array.from({ length: count }, (_, index) => cable(index)))),
    picks: fc.array(fc.tuple(fc.nat(5), fc.nat(900), fc.nat(5), fc.nat(900)), { maxLength: 12 }),
  });
});

/** Splices between the closure's cables. */
const splicesOf = (cables: readonly Entered[], picks: readonly (readonly number[])[]) =>
  picks.map(([a, fiberA, b, fiberB]) => {
    const [one, other] = [cables[a! % cables.length]!, cables[b! % cables.length]!];
    return {
      cableA: one.entry.cableId,
      fiberA: 1 + (fiberA! % fiberCount(one.makeUp)),
      legA: one.entry.kind === 'express' ? LEGS[a! % 2]! : null,
      cableB: other.entry.cableId,
      fiberB: 1 + (fiberB! % fiberCount(other.makeUp)),
      legB: other.entry.kind === 'express' ? LEGS[b! % 2]! : null,
    };
  });

const stepsFor = (hardware: Hardware, cables: readonly Entered[], picks: readonly number[][]) => {
  const { ports } = sealPorts(
    hardware,
    cables.map(({ entry }) => entry),
  );
  const splices = splicesOf(cables, picks);
  return cables.map(({ entry, makeUp }) => {
    const opened = { ...entry, tubes: openedUnits(entry, makeUp, splices) };
    const task = { hardware, makeUp, entry: opened, practice: USUAL_PRACTICE, reach: 0 };
    const plan = cutPlan(task);
    const seals = {
      in: sealOfLeg(ports, entry.id, 'in'),
      out: sealOfLeg(ports, entry.id, 'out'),
    };
    const steps = prepSteps({ task, plan, seals, scheme: BUILT_IN_SCHEMES[0]! });
    return { entry, makeUp, plan, steps, splices };
  });
};

test(`${RUNS} closures: each hole is used once or plugged, each leg has one hole or none is left`, () => {
  fc.assert(
    fc.property(anyClosure, ({ hardware, cables }) => {
      const entries = cables.map(({ entry }) => entry);
      const { ports, left } = sealPorts(hardware, entries);
      for (const { port, entries: used, plugs } of ports)
        expect(used.length + plugs).toBe(port.holes);
      const placed = [...ports.flatMap((use) => use.entries), ...left].map(
        ({ entry, leg }) => `${entry.id} ${leg}`,
      );
      const wanted = entries.flatMap((entry) => legsOf(entry).map((leg) => `${entry.id} ${leg}`));
      expect([...placed].sort()).toEqual([...wanted].sort());
      // One seal serves a port, and all that lies in it.
      for (const { entries: used } of ports) {
        const seals = used.flatMap(({ seal }) => (seal?.ok ? [seal.value.row.seal] : []));
        expect(new Set(seals).size).toBeLessThanOrEqual(1);
      }
    }),
    { numRuns: RUNS },
  );
});

const HELD = /^(bracket|spacer|clamp|rackClamp|glandClamp|gelChannel|split)$/;

test(`${RUNS} closures: each leg is held, sealed and bonded, in the steps and in the closing list`, () => {
  fc.assert(
    fc.property(anyClosure, ({ hardware, cables, picks }) => {
      const all = stepsFor(hardware, cables, picks);
      const opening = procedureOf(hardware).opening;
      const sealing = opening.find(({ work }) => work === 'seal' || work === 'fitSeal');
      for (const { entry, steps } of all)
        for (const leg of legsOf(entry)) {
          const own = steps.filter((step) => step.leg === null || step.leg === leg);
          expect(own.some(({ message }) => HELD.test(message.code))).toBe(true);
          if (sealing) expect(own.some(({ work }) => work === sealing.work)).toBe(true);
          if (entry.armoured && hardware.form !== 'drop-end')
            expect(own.some(({ work }) => work === 'bond' || work === 'shieldStud')).toBe(true);
        }
      const view = closureView({
        hardware,
        assembly: {
          closureId: 'k',
          hardwareId: hardware.id,
          reach: 0,
          entries: cables.map(({ entry }) => entry),
        },
      });
      const points = closingPoints(view);
      const count = (pattern: RegExp) =>
        points.filter(({ message }) => pattern.test(message.code)).length;
      const legs = cables.flatMap(({ entry }) => legsOf(entry));
      expect(count(/^(cableHeld|cableClamped)$/)).toBe(legs.length);
      const bonded = cables.filter(({ entry }) => entry.armoured);
      expect(count(/^shieldBonded$/)).toBe(bonded.flatMap(({ entry }) => legsOf(entry)).length);
      expect(new Set(points.map(({ key }) => key)).size).toBe(points.length);
    }),
    { numRuns: RUNS },
  );
});

test(`${RUNS} closures: every planned splice has its fiber bare and held, and long enough or it is said`, () => {
  fc.assert(
    fc.property(anyClosure, ({ hardware, cables, picks }) => {
      for (const { entry, makeUp, plan, steps, splices } of stepsFor(hardware, cables, picks)) {
        const keys = steps.map(({ key }) => key);
        const held = steps.findLastIndex(({ message }) => HELD.test(message.code));
        for (const { cableA, fiberA, cableB, fiberB } of splices)
          for (const [cable, fiber] of [
            [cableA, fiberA],
            [cableB, fiberB],
          ] as const) {
            if (cable !== entry.cableId) continue;
            const unit = Math.ceil(fiber / unitSize(makeUp));
            const bare =
              entry.kind === 'express'
                ? keys.indexOf(`tube ${unit}`)
                : steps.findIndex(({ message }) =>
                    /^(score|dropTube|coreStrip)/.test(message.code),
                  );
            expect(bare).toBeGreaterThan(held);
            const long = plan.tails.length > 0 && plan.tails.every(({ length }) => length >= 3000);
            const isSaid = plan.checks.some(
              ({ ok, message }) => !ok && message.code === 'doesNotReach',
            );
            expect(long || isSaid).toBe(true);
          }
      }
    }),
    { numRuns: RUNS },
  );
});

/** Lengths that a check shows add up, in tenths of a millimeter. */
function expectSum(message: PrepMessage): void {
  const of = (name: string) =>
    (message as unknown as Record<string, { lengthTenthsMm: number }>)[name]!.lengthTenthsMm;
  switch (message.code) {
    case 'rackLengths':
    case 'workingLengthShort':
      expect(of('sleeves') + of('working')).toBe(of('sheath'));
      break;
    case 'accessWaste':
      expect(of('sheet') + of('waste')).toBe(of('sheath'));
      break;
    case 'sheetTooShort':
      expect(of('toTray') + of('onTray')).toBe(of('sheath'));
      expect(of('sheath')).toBeGreaterThan(of('sheet'));
      break;
    case 'slack': {
      const { redos } = message;
      const spare = of('tail') - of('needed');
      expect(redos).toBe(Math.max(0, Math.floor(spare / of('each'))));
      break;
    }
    case 'basketHolds':
      expect(of('turn')).toBeGreaterThan(0);
      break;
    default:
      break;
  }
}

test(`${RUNS} closures: every length is a sum that adds up again`, () => {
  const seen = new Set<string>();
  fc.assert(
    fc.property(anyClosure, ({ hardware, cables, picks }) => {
      for (const { plan } of stepsFor(hardware, cables, picks))
        for (const { message } of plan.checks) {
          seen.add(message.code);
          expectSum(message);
        }
    }),
    { numRuns: RUNS },
  );
  // The property is no empty one: each sum came up.
  expect([...seen]).toEqual(expect.arrayContaining(['rackLengths', 'accessWaste', 'slack']));
});

test('each way of entering that a form takes came up', () => {
  const kinds = new Set<EntryKind>();
  fc.assert(
    fc.property(anyClosure, ({ cables }) => {
      for (const { entry } of cables) kinds.add(entry.kind);
    }),
    { numRuns: RUNS },
  );
  expect(kinds).toEqual(new Set(['end', 'express', 'drop']));
});
