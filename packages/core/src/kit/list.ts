import type { CableEntry, Hardware } from '../record/hardware.ts';
import type { Practice } from '../record/practice.ts';
import type { Splice } from '../record/splice.ts';
import type { MakeUp } from '../record/cable.ts';
import type { CutPlan, Tubing } from '../prep/cutPlan.ts';
import type { PortUse } from '../prep/seal.ts';
import { isHoseClamped } from '../prep/steps.ts';

/** A closure as the van is packed for it. */
export interface KitClosure {
  hardware: Hardware | null;
  /** Splices still to be made. */
  splices: readonly Pick<
    Splice,
    'tray' | 'slot' | 'cableA' | 'fiberA' | 'cableB' | 'fiberB' | 'method'
  >[];
  ports: readonly PortUse[];
  entries: readonly { entry: CableEntry; makeUp: MakeUp; plan: CutPlan | null }[];
}

/** What is packed. Seals, clips, tubing and plugs are called as the hardware calls them. */
export type KitThing =
  | {
      code:
        | 'cableTies'
        | 'singleSleeves'
        | 'ribbonSleeves'
        | 'wipes'
        | 'alcohol'
        | 'lowerPads'
        | 'upperPads'
        | 'adhesive'
        | 'bushings'
        | 'hoseClamps'
        | 'solvent'
        | 'gelWipes'
        | 'shieldConnectors'
        | Tubing;
    }
  | { code: 'seal' | 'clip' | 'plugs'; name: string };

/** One thing to pack. What the count follows from is told by the thing; for sleeves it is the share of redos. */
export interface KitItem {
  item: KitThing;
  count: number;
  unit: 'pieces' | 'ml';
  redoPercent: number;
}

/** Solvent for a fiber and for a tube, in ml, and wipes for a fiber (common practice, no source). */
const ALCOHOL_FIBER = 0.5;
const SOLVENT_TUBE = 10;

/**
 * What splicing a set of closures takes: consumables by their uses, spares by the expected redo rate.
 * Counts are rounded up.
 * @param isLoose whether a cable's fibers lie loose, so that a mass splice needs ribbonizing
 */
export function kitList(
  closures: readonly KitClosure[],
  practice: Practice,
  isLoose: (cableId: string) => boolean,
): KitItem[] {
  const items = new Map<string, KitItem>();
  const need: Need = (item, count, unit = 'pieces') => {
    if (count <= 0) return;
    const key = 'name' in item ? `${item.code} ${item.name}` : item.code;
    const known = items.get(key);
    if (known) known.count += count;
    else items.set(key, { item, count, unit, redoPercent: practice.redoPercent });
  };
  let single = 0;
  let mass = 0;
  let sidesRibbonized = 0;
  for (const closure of closures) {
    const slots = new Map(
      closure.splices.map((splice) => [`${splice.tray} ${splice.slot}`, splice]),
    );
    for (const splice of slots.values()) {
      if (splice.method === 'single') single++;
      else {
        mass++;
        sidesRibbonized += [splice.cableA, splice.cableB].filter(isLoose).length;
      }
    }
    const trays = new Set(closure.splices.map((splice) => splice.tray)).size;
    need({ code: 'cableTies' }, trays * 4);
    if (closure.hardware) seals(closure.hardware, closure.ports, need);
    for (const { entry, makeUp, plan } of closure.entries) cable(entry, makeUp, plan, need);
  }
  const again = 1 + practice.redoPercent / 100;
  need({ code: 'singleSleeves' }, Math.ceil(single * again));
  need({ code: 'ribbonSleeves' }, Math.ceil(mass * again));
  const prepared = Math.ceil((single * 2 + mass * 2) * again);
  need({ code: 'wipes' }, prepared);
  need({ code: 'alcohol' }, Math.ceil(prepared * ALCOHOL_FIBER), 'ml');
  const ribbonized = Math.ceil(sidesRibbonized * again);
  // Common practice: a lower pad is good for two ribbons, an upper one for one.
  need({ code: 'lowerPads' }, Math.ceil(ribbonized / 2));
  need({ code: 'upperPads' }, ribbonized);
  need({ code: 'adhesive' }, ribbonized, 'ml');
  return [...items.values()];
}

type Need = (item: KitThing, count: number, unit?: KitItem['unit']) => void;

function seals(hardware: Hardware, ports: readonly PortUse[], need: Need): void {
  for (const { port, entries, plugs } of ports) {
    const first = entries.find(({ seal }) => seal?.ok)?.seal;
    if (first?.ok) need({ code: 'seal', name: first.value.row.seal }, 1);
    for (const { seal } of entries) {
      if (!seal?.ok) continue;
      if (seal.value.bushing) need({ code: 'bushings' }, 1);
      const { clip } = seal.value.row;
      if (clip !== '') need({ code: 'clip', name: clip }, 1);
      // A gland has one of its own.
      if (isHoseClamped(hardware) || hardware.form === 'gland') need({ code: 'hoseClamps' }, 1);
    }
    need({ code: 'plugs', name: port.name.replace(/ \d+$/, '') }, plugs);
  }
}

function cable(entry: CableEntry, makeUp: MakeUp, plan: CutPlan | null, need: Need): void {
  const units = entry.kind === 'express' ? entry.tubes.length : unitsOf(makeUp);
  need({ code: 'solvent' }, units * SOLVENT_TUBE, 'ml');
  need({ code: 'gelWipes' }, units * 4);
  if (entry.armoured) need({ code: 'shieldConnectors' }, 1);
  for (const { count, code } of plan?.tubing ?? []) need({ code }, count);
}

const unitsOf = (makeUp: MakeUp): number => {
  if (makeUp.kind === 'drop' || makeUp.kind === 'ribbon') return 1;
  return makeUp.tubes;
};
