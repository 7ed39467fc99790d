import {
  type Assembly,
  BUILT_IN_SCHEMES,
  type Cable,
  type CableEntry,
  type Closure,
  type ListCable,
  type Plan,
  type Splice,
  collapseJoints,
  isDevice,
  printLine,
} from '@cordel/core';

/** Lines of a plan besides its splices. At Top barn nobody has said yet what becomes of cable U. */
const MORE_LINES: Record<string, string[]> = {
  'Dairy lane': ['reserve D 133-144 "valley end"'],
  'Dairy vat house': ['reserve E 5-12 "second barn"'],
  'School rise': ['reserve D 133-144 "valley end"', 'reserve H 1-24, 133-144'],
  School: ['through F tube 2'],
  'Clinic corner': ['reserve F tube 1 "used at the school"'],
  Clinic: ['reserve K 6-12 "spare"'],
  'Weir gauge': ['reserve H 1-24, 133-144', 'reserve J 1-36, 133-144'],
  'Chapel steps': ['reserve T 145-288 "upper valley"'],
};

const HARDWARE: Record<string, string> = {
  'Dairy vat house': 'gel-drop',
  School: 'in-line',
  'Clinic corner': 'gland',
  Clinic: 'drop-end',
  'Pump house': 'dome',
  'Quarry gate': 'rack',
  'Weir gauge': 'wedge',
};

/** Outside diameters as the crew measured them, in tenths of a millimeter. */
const DIAMETERS: Record<string, number> = {
  D: 152,
  E: 62,
  F: 112,
  G: 45,
  K: 62,
  Q: 184,
  R: 181,
  S: 58,
  T: 181,
  V: 60,
  W: 60,
};
const USUAL_DIAMETER = 145;

/** From the kit to the chassis of the rack, and bare past it, tenths of a millimeter. */
const SLEEVES = 9500;
const WORKING = 13_000;
const CONDUIT = 7200;

/** A loop that was written down wrongly, tenths of a millimeter. */
export const SLIPS: Record<string, { written: number; true: number }> = {
  'M Kiln yard': { written: 360_000, true: 60_000 },
};

/** What is spliced in each closure in lines, and what enters it and how. */
export function describeClosures(
  closures: readonly Closure[],
  cables: readonly Cable[],
  splices: readonly Splice[],
  id: () => string,
): { plans: Plan[]; assemblies: Assembly[] } {
  const names = new Map(cables.map((cable) => [cable.id, cable.name]));
  const list = cables.map(({ name, makeUp }): ListCable => ({
    name,
    makeUp,
    scheme: BUILT_IN_SCHEMES[0]!,
  }));
  const plans: Plan[] = [];
  const assemblies: Assembly[] = [];
  for (const closure of closures) {
    const own = splices.filter((splice) => splice.closureId === closure.id);
    const joints = own.map((splice) => ({
      ...splice,
      cableA: names.get(splice.cableA)!,
      cableB: names.get(splice.cableB)!,
    }));
    const lines = collapseJoints(joints, list).map((line) => printLine(line, list));
    plans.push({
      closureId: closure.id,
      text: [...lines, ...(MORE_LINES[closure.name] ?? [])].join('\n'),
      pins: [],
      spare: 0,
    });
    const entered = [...new Set(own.flatMap((splice) => [splice.cableA, splice.cableB]))].filter(
      (id) => !isDevice(cables.find((cable) => cable.id === id)!.makeUp),
    );
    assemblies.push({
      closureId: closure.id,
      hardwareId: HARDWARE[closure.name] ?? 'dome',
      reach: 40_000,
      entries: entered.map((cableId) =>
        entryOf(
          cables.find((cable) => cable.id === cableId)!,
          closure,
          id(),
        ),
      ),
    });
  }
  return { plans, assemblies };
}

function entryOf(cable: Cable, closure: Closure, id: string): CableEntry {
  // Cable F passes the school on its way to the clinic: one tube of it is opened there.
  const express = closure.name === 'School' && cable.name === 'F';
  const drop = cable.makeUp.kind === 'drop';
  return {
    id,
    cableId: cable.id,
    kind: express ? 'express' : drop ? 'drop' : 'end',
    diameter: DIAMETERS[cable.name] ?? USUAL_DIAMETER,
    port: null,
    portOut: null,
    loop: SLIPS[`${cable.name} ${closure.name}`]?.written ?? (drop ? 30_000 : 60_000),
    tubes: express ? [{ unit: 1, way: 'dedicate' }] : [],
    armoured: cable.name === 'H',
    tracer: cable.name === 'G',
    route: HARDWARE[closure.name] === 'rack' ? SLEEVES : 0,
    inside: HARDWARE[closure.name] === 'rack' ? WORKING : 0,
    conduit: HARDWARE[closure.name] === 'rack' ? CONDUIT : 0,
    done: [],
  };
}
