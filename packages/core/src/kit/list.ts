import type { CableEntry, Hardware } from '../record/hardware.ts';
import type { Practice } from '../record/practice.ts';
import type { Splice } from '../record/splice.ts';
import type { MakeUp } from '../record/cable.ts';
import type { CutPlan } from '../prep/cutPlan.ts';
import type { PortUse } from '../prep/seal.ts';

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

/** One thing to pack. */
export interface KitItem {
  item: string;
  count: number;
  unit: 'pieces' | 'ml';
  /** What the count follows from. */
  why: string;
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
  const need = (item: string, count: number, why: string, unit: KitItem['unit'] = 'pieces') => {
    if (count <= 0) return;
    const known = items.get(item);
    if (known) known.count += count;
    else items.set(item, { item, count, unit, why });
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
    need('Cable ties', trays * 4, 'two at each entrance of a tray, both sides');
    seals(closure.ports, need);
    for (const { entry, makeUp, plan } of closure.entries) cable(entry, makeUp, plan, need);
  }
  const again = 1 + practice.redoPercent / 100;
  const spare = `with ${practice.redoPercent} % for redos`;
  need('Single-fiber sleeves, 60 mm', Math.ceil(single * again), spare);
  need('Ribbon sleeves', Math.ceil(mass * again), spare);
  const prepared = Math.ceil((single * 2 + mass * 2) * again);
  need('Fiber wipes', prepared, 'one for each end prepared');
  need('Alcohol, 99 %', Math.ceil(prepared * ALCOHOL_FIBER), 'half a milliliter an end', 'ml');
  const ribbonized = Math.ceil(sidesRibbonized * again);
  // Common practice: a lower pad is good for two ribbons, an upper one for one.
  need('Applicator pads, lower', Math.ceil(ribbonized / 2), 'each for two ribbons');
  need('Applicator pads, upper', ribbonized, 'each for one ribbon');
  need('Ribbonizing adhesive', ribbonized, 'a milliliter a ribbon', 'ml');
  return [...items.values()].sort((a, b) => a.item.localeCompare(b.item));
}

type Need = (item: string, count: number, why: string, unit?: KitItem['unit']) => void;

function seals(ports: readonly PortUse[], need: Need): void {
  for (const { port, entries, plugs } of ports) {
    const first = entries.find(({ seal }) => seal?.ok)?.seal;
    if (first?.ok) need(first.value.row.seal, 1, 'by the measured diameter');
    for (const { seal } of entries) {
      if (!seal?.ok) continue;
      if (seal.value.bushing) need('Bushings', 1, 'for thin cables');
      if (seal.value.row.clip !== '') need(capital(seal.value.row.clip), 1, 'one a cable');
      need('Hose clamps', 1, 'one a cable');
    }
    need(`Plugs for ${port.name.replace(/ \d+$/, '')}`, plugs, 'every hole that stays empty');
  }
}

function cable(entry: CableEntry, makeUp: MakeUp, plan: CutPlan | null, need: Need): void {
  const units = entry.kind === 'express' ? entry.tubes.length : unitsOf(makeUp);
  need('Gel solvent', units * SOLVENT_TUBE, 'ten milliliters a tube or ribbon tube', 'ml');
  need('Gel wipes', units * 4, 'four a tube');
  if (entry.armoured) need('Shield connectors with bond', 1, 'one an armoured cable');
  for (const { count, words } of plan?.tubing ?? [])
    need(capital(words.split(',')[0]!), count, 'for ribbons on their way to trays');
}

const unitsOf = (makeUp: MakeUp): number => {
  if (makeUp.kind === 'drop' || makeUp.kind === 'ribbon') return 1;
  return makeUp.tubes;
};

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
