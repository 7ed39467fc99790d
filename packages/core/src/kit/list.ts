import type { CableEntry, Hardware } from '../record/hardware.ts';
import type { Practice } from '../record/practice.ts';
import { AT_PORT, type EndWay, type Splice, isFused } from '../record/splice.ts';
import { type MakeUp, type Ports, type Splitter, isDevice, portSize } from '../record/cable.ts';
import type { CutPlan, Tubing } from '../prep/cutMarks.ts';
import type { PortUse } from '../prep/seal.ts';
import { legsOf } from '../prep/legs.ts';
import { procedureOf } from '../prep/procedures/index.ts';
import { isHoseClamped } from '../prep/steps.ts';

/** A closure as the van is packed for it. */
export interface KitClosure {
  hardware: Hardware | null;
  /** Splices still to be made. */
  splices: readonly Pick<
    Splice,
    'tray' | 'slot' | 'cableA' | 'fiberA' | 'cableB' | 'fiberB' | 'method' | 'end'
  >[];
  /** The splitters that stand in it. */
  splitters: readonly Splitter[];
  ports: readonly PortUse[];
  entries: readonly { entry: CableEntry; makeUp: MakeUp; plan: CutPlan | null }[];
}

/** What is packed. Seals, clips, tubing and plugs are called as the hardware calls them. */
export type KitThing =
  | {
      code:
        | 'cableTies'
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
        | 'grease'
        | 'sealant'
        | 'sealingTape'
        | 'labels'
        | Tubing;
    }
  | { code: 'singleSleeves'; sleeve: Hardware['sleeve'] | '27 mm' }
  /** What ends a fiber; an array takes twelve. */
  | { code: 'pigtails'; connector: Ports['connector']; polish: Ports['polish'] }
  | {
      code: 'connectors';
      connector: Ports['connector'];
      polish: Ports['polish'];
      way: Exclude<EndWay, 'pigtail'>;
    }
  | { code: 'splitter'; outputs: number; tapPercent: number }
  | { code: 'seal' | 'clip' | 'plugs' | 'closure' | 'trays' | 'part'; name: string };

/** One thing to pack. What the count follows from is told by the thing; for sleeves it is the share of redos. */
export interface KitItem {
  item: KitThing;
  count: number;
  unit: 'pieces' | 'ml';
  /** Where it is fetched: what belongs to one closure comes from the store. */
  from: 'van' | 'store';
  redoPercent: number;
}

/** Solvent for a fiber and for a tube, in ml, and wipes for a fiber (common practice, no source). */
const ALCOHOL_FIBER = 0.5;
const SOLVENT_TUBE = 10;

/**
 * What splicing a set of closures takes: consumables by their uses, spares by the expected redo rate.
 * Counts are rounded up.
 * @param makeUpOf the make-up of a cable, by its id
 */
export function kitList(
  closures: readonly KitClosure[],
  practice: Practice,
  makeUpOf: (cableId: string) => MakeUp | undefined,
): KitItem[] {
  // Fibers that lie loose are ribbonized before they are fused together.
  const isLoose = (cableId: string) => {
    const makeUp = makeUpOf(cableId);
    return makeUp !== undefined && makeUp.kind !== 'ribbon' && !isDevice(makeUp);
  };
  const items = new Map<string, KitItem>();
  const need: Need = (item, count, unit = 'pieces', from = usualPlace(item)) => {
    if (count <= 0) return;
    const key = Object.values(item).join(' ');
    const known = items.get(key);
    if (known) known.count += count;
    else items.set(key, { item, count, unit, from, redoPercent: practice.redoPercent });
  };
  const single = new Map<Hardware['sleeve'] | '27 mm', number>();
  let mass = 0;
  let sidesRibbonized = 0;
  for (const closure of closures) {
    const slots = new Map(
      closure.splices.map((splice) => [`${splice.tray} ${splice.slot}`, splice]),
    );
    for (const { outputs, tapPercent = 0 } of closure.splitters)
      need({ code: 'splitter', outputs, tapPercent }, 1);
    ends(closure, makeUpOf, 1 + practice.redoPercent / 100, need);
    for (const splice of slots.values()) {
      if (!isFused(splice.end)) continue;
      if (splice.end === 'splice-on') single.set('27 mm', (single.get('27 mm') ?? 0) + 1);
      else if (splice.method === 'single') {
        const sleeve = closure.hardware?.sleeve ?? '60 mm';
        single.set(sleeve, (single.get(sleeve) ?? 0) + 1);
      } else {
        mass++;
        sidesRibbonized += [splice.cableA, splice.cableB].filter(isLoose).length;
      }
    }
    const trays = new Set(
      closure.splices.flatMap((splice) => (splice.tray === AT_PORT ? [] : [splice.tray])),
    ).size;
    need({ code: 'cableTies' }, trays * 4);
    if (closure.hardware && closure.entries.length > 0) {
      seals(closure.hardware, closure.ports, need);
      parts(closure.hardware, closure, trays, need);
    }
    for (const { entry, makeUp, plan } of closure.entries) cable(entry, makeUp, plan, need);
  }
  const again = 1 + practice.redoPercent / 100;
  for (const [sleeve, count] of single)
    need({ code: 'singleSleeves', sleeve }, Math.ceil(count * again));
  need({ code: 'ribbonSleeves' }, Math.ceil(mass * again));
  const joints = [...single.values()].reduce((sum, count) => sum + count, mass);
  const prepared = Math.ceil(joints * 2 * again);
  need({ code: 'wipes' }, prepared);
  need({ code: 'alcohol' }, Math.ceil(prepared * ALCOHOL_FIBER), 'ml');
  const ribbonized = Math.ceil(sidesRibbonized * again);
  // Common practice: a lower pad is good for two ribbons, an upper one for one.
  need({ code: 'lowerPads' }, Math.ceil(ribbonized / 2));
  need({ code: 'upperPads' }, ribbonized);
  need({ code: 'adhesive' }, ribbonized, 'ml');
  return [...items.values()];
}

/** Pigtails and connectors by what their ports take, with spares by the redo rate. */
function ends(
  { splices }: KitClosure,
  makeUpOf: (cableId: string) => MakeUp | undefined,
  again: number,
  need: Need,
): void {
  const counts = new Map<string, { item: KitThing; fibers: number; size: number }>();
  for (const { cableB, end } of splices) {
    const ports = makeUpOf(cableB);
    if (end === null || ports?.kind !== 'ports') continue;
    const { connector, polish } = ports;
    const item: KitThing =
      end === 'pigtail'
        ? { code: 'pigtails', connector, polish }
        : { code: 'connectors', connector, polish, way: end };
    const key = Object.values(item).join(' ');
    const known = counts.get(key);
    if (known) known.fibers++;
    else counts.set(key, { item, fibers: 1, size: portSize(ports) });
  }
  for (const { item, fibers, size } of counts.values())
    need(item, Math.ceil(Math.ceil(fibers / size) * again));
}

type Need = (item: KitThing, count: number, unit?: KitItem['unit'], from?: KitItem['from']) => void;

/** What is made for one closure is fetched from the store; what is used up lies in the van. */
const FROM_STORE: ReadonlySet<KitThing['code']> = new Set([
  'closure',
  'splitter',
  'pigtails',
  'trays',
  'seal',
  'clip',
  'plugs',
  'bushings',
  'shieldConnectors',
  'protectiveSleeves',
  'transportTubes',
  'conduit',
]);

const usualPlace = ({ code }: KitThing): KitItem['from'] =>
  FROM_STORE.has(code) ? 'store' : 'van';

/** Works at which grease is used. */
const GREASED: ReadonlySet<string> = new Set(['sealIn', 'glandLoose', 'gasketGreased']);

/** The closure itself with its trays and parts, and what its procedure uses up. */
function parts(hardware: Hardware, closure: KitClosure, trays: number, need: Need): void {
  const { opening, closing } = procedureOf(hardware);
  const works = new Set<string>([...opening, ...closing].flatMap(({ work }) => work ?? []));
  const cables = closure.entries.length;
  const legs = closure.entries.reduce((sum, { entry }) => sum + legsOf(entry).length, 0);
  need({ code: 'closure', name: hardware.name }, 1);
  need({ code: 'trays', name: hardware.name }, trays);
  if ([...GREASED].some((work) => works.has(work))) need({ code: 'grease' }, 1);
  if (works.has('sealant')) need({ code: 'sealant' }, 1);
  if (works.has('fitSeal')) need({ code: 'sealingTape' }, legs);
  // One on the closure, one on each cable.
  if (works.has('labelled')) need({ code: 'labels' }, 1 + cables);
  const of = { closure: 1, cable: cables, tray: trays };
  for (const { name, count, per, from } of hardware.parts)
    need({ code: 'part', name }, count * of[per], 'pieces', from);
}

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
  if (entry.armoured) need({ code: 'shieldConnectors' }, legsOf(entry).length);
  for (const { count, code } of plan?.tubing ?? []) need({ code }, count);
}

const unitsOf = (makeUp: MakeUp): number => {
  return makeUp.kind === 'loose-tube' || makeUp.kind === 'grouped-tube' ? makeUp.tubes : 1;
};
