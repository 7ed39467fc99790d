import { type UnitKind, unitKind } from '../fiber/parse.ts';
import { type ColourPlace, colourAt } from '../fiber/schemes.ts';
import { fiberCount } from '../record/cable.ts';
import type { Hardware } from '../record/hardware.ts';
import type { Quantity } from '../record/message.ts';
import type {
  Ask,
  CableTrait,
  Condition,
  PrepCaution,
  PrepStepData,
  PrepWork,
} from '../record/procedure.ts';
import type { ColourScheme } from '../record/scheme.ts';
import { type CutPlan, type CutTask, LONGEST_PULL, type WantedLeg } from './cutMarks.ts';
import { type Figures, figuresOf } from './figures.ts';
import { legsOf, namedLeg } from './legs.ts';
import type { Leg } from '../record/splice.ts';
import { procedureOf } from './procedures/index.ts';
import type { SealChoice } from './seal.ts';

/** Works of which a step says the same for every cable. */
export type PlainWork = Exclude<
  PrepWork,
  | 'seal'
  | 'fitSeal'
  | 'mark'
  | 'access'
  | 'ring'
  | 'sheath'
  | 'edges'
  | 'aramid'
  | 'centralTube'
  | 'strength'
  | 'strengthLong'
  | 'rackClamp'
  | 'hose'
  | 'units'
  | 'score'
  | 'dropTube'
  | 'groups'
  | 'pairs'
  | 'cutSleeves'
  | 'conduit'
  | 'route'
  | 'workingLength'
>;

/** What is done at a step of opening a cable. */
export type PrepStepMessage =
  | { code: PlainWork }
  | {
      code:
        | 'chooseSeal'
        | 'peelDrop'
        | 'slitRipcord'
        | 'slitMidSheath'
        | 'clean'
        | 'hitches'
        | 'cutMark'
        | 'strengthFlush'
        | 'routeFiber'
        | 'routeTubes';
    }
  /** Own words, with figures in braces. */
  | { code: 'ownWords'; words: string; figures: Figures }
  /** Layers that are peeled or spacers that are added, 0 without; `clip` is `none` without. */
  | {
      code: 'threadSeal';
      seal: string;
      port: string;
      layers: number;
      clip: string;
      bushing: 'yes' | 'no';
      slit: 'yes' | 'no';
    }
  | { code: 'tapeAtEnd' | 'tapeAtRingCut' }
  | { code: 'ringCut' | 'ringCutTwice' | 'access' | 'edges'; at: Quantity }
  | {
      code: 'trimStrength' | 'strengthLong' | 'aramid' | 'centralTube' | 'dropTube';
      kept: Quantity;
    }
  /** Tubes have a color; ribbons are told by their print. */
  | { code: 'dark'; unit: UnitKind; number: number; colour: ColourPlace | null }
  | {
      code: 'dedicateUnit';
      unit: UnitKind;
      number: number;
      colour: ColourPlace | null;
      leg: WantedLeg;
    }
  | { code: 'windowTube'; number: number; colour: ColourPlace | null; from: Quantity }
  /** What of a seal comes off once the cable lies in its case. */
  | { code: 'fitSeal'; seal: string; port: string; layers: number }
  | { code: 'scoreWithScorer' | 'scoreWithStripper'; most: Quantity }
  | { code: 'runRibbons'; tubes: number }
  | { code: 'cutSleeves'; sleeves: number; length: Quantity }
  | { code: 'workingLength' | 'conduitOf'; length: Quantity }
  | { code: 'conduit' }
  | { code: 'hoseClamp' | 'rackClamp'; below: Quantity };

/** One thing to do, in the order of its hardware's procedure. */
export interface PrepStep {
  /** Names the step for good, so that a tick stays with it. */
  key: string;
  work: PrepWork | null;
  /** The leg of an express cable that it is done on; null where it is done once a cable. */
  leg: Leg | null;
  message: PrepStepMessage;
  caution: PrepCaution | null;
  /** Seconds to wait; null without a timer. */
  timerS: number | null;
  photo: boolean;
  asks: readonly Ask[];
}

/** Whether a hose clamp goes round the sheath below its ring cut. A gland's own lies elsewhere. */
export const isHoseClamped = (hardware: Hardware): boolean =>
  hardware.hoseClamp > 0 && procedureOf(hardware).opening.some(({ work }) => work === 'hose');

/** What the steps of a cable follow from. */
export interface PrepTask {
  task: CutTask;
  plan: CutPlan;
  /** By leg; null until the diameter has chosen one. */
  seals: Readonly<Record<Leg, SealChoice | null>>;
  /** The cable's colors; null where they are not known. */
  scheme: ColourScheme | null;
}

/** The work on one cable, from the van to the tray, in the order of its hardware's procedure. */
export function prepSteps(prep: PrepTask): PrepStep[] {
  const { hardware, entry } = prep.task;
  const applying = procedureOf(hardware).opening.filter(({ when }) => applies(when, prep.task));
  const legs = legsOf(entry);
  return runsByLeg(applying).flatMap(({ perLeg, steps }) =>
    (perLeg ? legs : legs.slice(0, 1)).flatMap((leg) =>
      steps.flatMap((step) => expanded(step, perLeg ? leg : null, prep)),
    ),
  );
}

/** Whether a step applies to a cable. */
export function applies(when: Condition, task: CutTask): boolean {
  const { entries, traits } = when;
  if (entries.length > 0 && !entries.includes(task.entry.kind)) return false;
  const own = traitsOf(task);
  return traits.every((trait) => own[trait]);
}

function traitsOf({ entry, makeUp, hardware }: CutTask): Record<CableTrait, boolean> {
  return {
    armoured: entry.armoured,
    tracer: entry.tracer,
    metallic: entry.armoured || entry.tracer,
    ribbon: makeUp.kind === 'ribbon',
    tubes: makeUp.kind === 'loose-tube' || makeUp.kind === 'grouped-tube',
    groups: makeUp.kind === 'grouped-tube',
    thin: entry.diameter !== null && entry.diameter < hardware.bushingBelow,
  };
}

/** Neighbors that are done leg by leg are done together on one leg, and then on the other. */
function runsByLeg(steps: readonly PrepStepData[]): { perLeg: boolean; steps: PrepStepData[] }[] {
  const runs: { perLeg: boolean; steps: PrepStepData[] }[] = [];
  for (const step of steps) {
    const perLeg = step.per === 'leg';
    const last = runs.at(-1);
    if (last?.perLeg === perLeg) last.steps.push(step);
    else runs.push({ perLeg, steps: [step] });
  }
  return runs;
}

/** What a step asks for on a cable: once, several times, or not at all. */
function expanded(step: PrepStepData, leg: Leg | null, prep: PrepTask): PrepStep[] {
  if (step.work === 'units') return unitSteps(step, prep);
  if (step.work === 'groups') return groupSteps(step, prep);
  const known = step.work && messageOf(step.work, prep, prep.seals[leg ?? 'in']);
  // A work that the cable has none of.
  if (step.work !== null && !known) return [];
  const message = ownMessage(step, prep) ?? known;
  if (!message) return [];
  const key = leg === 'out' ? `${step.key} out` : step.key;
  return [asStep(step, key, message, leg && namedLeg(prep.task.entry, leg))];
}

/** The words that a person gave a step; null where it has its work's own. */
const ownMessage = (
  { words }: PrepStepData,
  { task: { hardware }, plan }: PrepTask,
): PrepStepMessage | null =>
  words === '' ? null : { code: 'ownWords', words, figures: figuresOf(hardware, plan.opening) };

function asStep(
  { work, caution, timerS, photo, asks }: PrepStepData,
  key: string,
  message: PrepStepMessage,
  leg: Leg | null = null,
): PrepStep {
  return { key, work, leg, message, caution, timerS, photo, asks };
}

const yesNo = (holds: boolean): 'yes' | 'no' => (holds ? 'yes' : 'no');
const length = (lengthTenthsMm: number): Quantity => ({ lengthTenthsMm });

function sealMessage(seal: SealChoice | null): PrepStepMessage {
  if (!seal) return { code: 'chooseSeal' };
  const { row, port, bushing, slit } = seal;
  return {
    code: 'threadSeal',
    seal: row.seal,
    port,
    layers: row.layers,
    clip: row.clip === '' ? 'none' : row.clip,
    bushing: yesNo(bushing),
    slit: yesNo(slit),
  };
}

/** What a work says of a cable; null where it has none of it. */
function messageOf(
  work: PrepWork,
  { task: { hardware, makeUp, entry, practice }, plan }: PrepTask,
  seal: SealChoice | null,
): PrepStepMessage | null {
  const express = entry.kind === 'express';
  const { keep } = hardware;
  switch (work) {
    case 'seal':
      return sealMessage(seal);
    case 'fitSeal':
      return seal
        ? { code: 'fitSeal', seal: seal.row.seal, port: seal.port, layers: seal.row.layers }
        : { code: 'chooseSeal' };
    case 'mark':
      return { code: plan.zero === 'cableEnd' ? 'tapeAtEnd' : 'tapeAtRingCut' };
    case 'access':
      return hardware.access > 0 ? { code: 'access', at: length(hardware.access) } : null;
    case 'ring':
      return { code: express ? 'ringCutTwice' : 'ringCut', at: length(plan.opening) };
    case 'edges':
      return { code: 'edges', at: length(plan.opening) };
    case 'sheath':
      // Between two ring cuts there is no end at which to get hold of a ripcord.
      return {
        code: entry.kind === 'drop' ? 'peelDrop' : express ? 'slitMidSheath' : 'slitRipcord',
      };
    case 'strength':
      return keep.strength === 0
        ? { code: 'strengthFlush' }
        : { code: 'trimStrength', kept: length(keep.strength) };
    case 'strengthLong':
      return { code: 'strengthLong', kept: length(keep.strengthAtFirst) };
    case 'aramid':
      return { code: 'aramid', kept: length(keep.aramid) };
    case 'centralTube':
      return { code: 'centralTube', kept: length(keep.centralTube) };
    case 'dropTube':
      return { code: 'dropTube', kept: length(keep.dropTube) };
    case 'rackClamp':
      return { code: 'rackClamp', below: length(hardware.clamp) };
    case 'hose':
      return hardware.hoseClamp > 0
        ? { code: 'hoseClamp', below: length(hardware.hoseClamp) }
        : null;
    case 'score':
      return !express || entry.tubes.some((tube) => tube.way === 'dedicate')
        ? {
            code: practice.tubeTool === 'scorer' ? 'scoreWithScorer' : 'scoreWithStripper',
            most: { lengthTenthsMm: LONGEST_PULL, towards: 'down' },
          }
        : null;
    case 'pairs':
      return plan.tubing[0] ? { code: 'runRibbons', tubes: plan.tubing[0].count } : null;
    case 'cutSleeves':
      return plan.tubing[0]
        ? {
            code: 'cutSleeves',
            sleeves: plan.tubing[0].count,
            length: length(plan.tubing[0].length),
          }
        : null;
    case 'conduit':
      return entry.conduit > 0
        ? { code: 'conduitOf', length: length(entry.conduit) }
        : { code: 'conduit' };
    case 'workingLength':
      return { code: 'workingLength', length: length(plan.tails[0]?.length ?? 0) };
    case 'route':
      return { code: fiberCount(makeUp) === 1 ? 'routeFiber' : 'routeTubes' };
    case 'units':
    case 'groups':
      return null;
    default:
      return { code: work };
  }
}

/** What no data of a procedure says of the cut itself. */
const CUT = {
  work: 'units',
  leg: null,
  caution: 'shardsOtherTubes',
  timerS: null,
  photo: false,
  asks: [],
} as const;

/** Each tube or ribbon that is cut is proven dark just before, as the step says; then it is cut. */
function unitSteps(step: PrepStepData, prep: PrepTask): PrepStep[] {
  const {
    task: { entry, makeUp, hardware },
    scheme,
  } = prep;
  const unit = unitKind(makeUp);
  return entry.tubes.flatMap(({ unit: number, way, leg = 'in' }): PrepStep[] => {
    const colour = unit === 'tube' && scheme ? colourAt(scheme, number) : null;
    const dark: PrepStepMessage = { code: 'dark', unit, number, colour };
    return [
      asStep(step, `dark ${number}`, dark),
      ...ownOfUnit(step, number, prep),
      {
        ...CUT,
        key: `tube ${number}`,
        // No window can be cut in a ribbon: its plan says so, and it is cut as a whole.
        message:
          way === 'window' && unit === 'tube'
            ? { code: 'windowTube', number, colour, from: length(hardware.window) }
            : { code: 'dedicateUnit', unit, number, colour, leg },
      },
    ];
  });
}

/** Own words never take the place of the proof: they are a step of their own between it and the cut. */
function ownOfUnit(step: PrepStepData, number: number, prep: PrepTask): PrepStep[] {
  const message = ownMessage(step, prep);
  return message ? [asStep({ ...step, asks: [] }, `own ${number}`, message)] : [];
}

/** Gel comes off at once, or once the binder groups are told apart. */
function groupSteps(step: PrepStepData, prep: PrepTask): PrepStep[] {
  const { makeUp, practice } = prep.task;
  const clean = asStep(step, 'clean', ownMessage(step, prep) ?? { code: 'clean' });
  const told = { ...step, asks: [], timerS: null, photo: false };
  const grouped =
    makeUp.kind === 'grouped-tube'
      ? [
          asStep({ ...told, caution: null }, 'hitches', { code: 'hitches' }),
          asStep({ ...told, caution: 'shards' }, 'offset', { code: 'cutMark' }),
        ]
      : [];
  return practice.gel === 'at once' ? [clean, ...grouped] : [...grouped, clean];
}
