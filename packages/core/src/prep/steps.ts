import { type UnitKind, unitKind } from '../fiber/parse.ts';
import { type ColourPlace, colourAt } from '../fiber/schemes.ts';
import { fiberCount } from '../record/cable.ts';
import type { Hardware } from '../record/hardware.ts';
import type { ColourScheme } from '../record/scheme.ts';
import type { Quantity } from '../record/message.ts';
import { type CutPlan, type CutTask, LONGEST_PULL } from './cutPlan.ts';
import type { SealChoice } from './seal.ts';

/** What is done at a step of opening a cable. */
export type PrepStepMessage =
  | {
      code:
        | 'rightCable'
        | 'voltage'
        | 'diameter'
        | 'tracer'
        | 'chooseSeal'
        | 'peelDrop'
        | 'slitRipcord'
        | 'yarn'
        | 'bond'
        | 'clean'
        | 'hitches'
        | 'cutMark'
        | 'clamp'
        | 'glandClamp'
        | 'glandIn'
        | 'strengthFlush'
        | 'routeFiber'
        | 'routeTubes';
    }
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
  | { code: 'ringCut' | 'ringCutTwice'; at: Quantity }
  | { code: 'trimStrength'; kept: Quantity }
  /** Tubes have a colour; ribbons are told by their print. */
  | { code: 'dark' | 'dedicateUnit'; unit: UnitKind; number: number; colour: ColourPlace | null }
  | { code: 'windowTube'; number: number; colour: ColourPlace | null; from: Quantity }
  /** What of a seal comes off once the cable lies in its case. */
  | { code: 'fitSeal'; seal: string; port: string; layers: number }
  | { code: 'scoreWithScorer' | 'scoreWithStripper'; most: Quantity }
  | { code: 'runRibbons'; tubes: number }
  | { code: 'hoseClamp'; below: Quantity };

/** What must be known before a step. */
export type PrepCaution =
  | 'blade'
  | 'bladeTubes'
  | 'shards'
  | 'shardsOtherTubes'
  | 'solvent'
  | 'qualified'
  | 'invisibleLight';

/** One thing to do, in the trade's order. */
export interface PrepStep {
  /** Names the step for good, so that a tick stays with it. */
  key: string;
  message: PrepStepMessage;
  caution: PrepCaution | null;
}

const yesNo = (holds: boolean): 'yes' | 'no' => (holds ? 'yes' : 'no');

function sealStep(seal: SealChoice | null): PrepStepMessage {
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

/** A part of the work on a cable: a step, several of one kind, or none where it does not apply. */
type Part =
  | 'rightCable'
  | 'voltage'
  | 'diameter'
  | 'tracer'
  | 'seal'
  | 'mark'
  | 'ring'
  | 'sheath'
  | 'yarn'
  | 'strength'
  | 'clamp'
  | 'hose'
  | 'bond'
  | 'glandClamp'
  | 'glandIn'
  | 'units'
  | 'score'
  | 'groups'
  | 'pairs'
  | 'route'
  | 'fitSeal';

/** Until the cable is known, safe and marked. */
const BEFORE: readonly Part[] = ['rightCable', 'voltage', 'diameter', 'tracer'];
const SHEATH: readonly Part[] = ['ring', 'sheath', 'yarn', 'strength'];
/** Tubes and ribbons are opened once their cable can neither turn nor slide. */
const OPEN: readonly Part[] = ['units', 'score', 'groups'];

/**
 * The work of opening in the order of each form of hardware. In all of them the cable is held before a tube is opened.
 * Common practice, no source.
 */
const PROCEDURES: Record<Hardware['form'], readonly Part[]> = {
  dome: [...BEFORE, 'seal', 'mark', ...SHEATH, 'clamp', 'hose', 'bond', ...OPEN, 'pairs', 'route'],
  // Its seals are wrapped round the cable and fitted at the end.
  'in-line': [
    ...BEFORE,
    'mark',
    ...SHEATH,
    'clamp',
    'hose',
    'bond',
    ...OPEN,
    'pairs',
    'route',
    'fitSeal',
  ],
  // Gel seals by itself; a drop case has no hose clamp.
  drop: [...BEFORE, 'mark', ...SHEATH, 'clamp', 'bond', ...OPEN, 'route'],
  gland: [
    ...BEFORE,
    'mark',
    'seal',
    ...SHEATH,
    'glandClamp',
    'bond',
    'glandIn',
    ...OPEN,
    'pairs',
    'route',
  ],
  rack: [...BEFORE, 'mark', ...SHEATH, 'clamp', 'bond', ...OPEN, 'pairs', 'route'],
};

/** Whether a hose clamp goes round the sheath below its ring cut. A gland's own lies elsewhere. */
export const isHoseClamped = ({ form, hoseClamp }: Hardware): boolean =>
  hoseClamp > 0 && PROCEDURES[form].includes('hose');

/** What the steps of a cable follow from. */
export interface PrepTask {
  task: CutTask;
  plan: CutPlan;
  /** Null until the diameter has chosen one. */
  seal: SealChoice | null;
  /** The cable's colours; null where they are not known. */
  scheme: ColourScheme | null;
}

/** The work on one cable, from the van to the tray, in the order of its hardware's form. */
export function prepSteps(prep: PrepTask): PrepStep[] {
  return PROCEDURES[prep.task.hardware.form].flatMap((part) => stepsOf(part, prep));
}

function stepsOf(
  part: Part,
  { task: { hardware, makeUp, entry, practice }, plan, seal, scheme }: PrepTask,
): PrepStep[] {
  const step = (
    key: string,
    message: PrepStepMessage,
    caution: PrepCaution | null = null,
  ): PrepStep[] => [{ key, message, caution }];
  const express = entry.kind === 'express';
  const { strength } = hardware.keep;
  switch (part) {
    case 'rightCable':
      return step('right', { code: 'rightCable' });
    case 'voltage':
      // Armor, shield and tracer are metal.
      return entry.armoured || entry.tracer
        ? step('voltage', { code: 'voltage' }, 'qualified')
        : [];
    case 'diameter':
      return step('diameter', { code: 'diameter' });
    case 'tracer':
      return entry.tracer ? step('tracer', { code: 'tracer' }, 'blade') : [];
    case 'seal':
      return step('seal', sealStep(seal));
    case 'fitSeal':
      return seal
        ? step('seal', {
            code: 'fitSeal',
            seal: seal.row.seal,
            port: seal.port,
            layers: seal.row.layers,
          })
        : step('seal', { code: 'chooseSeal' });
    case 'mark':
      return step('mark', { code: plan.zero === 'cableEnd' ? 'tapeAtEnd' : 'tapeAtRingCut' });
    case 'ring':
      return step(
        'ring',
        { code: express ? 'ringCutTwice' : 'ringCut', at: { lengthTenthsMm: plan.opening } },
        'bladeTubes',
      );
    case 'sheath':
      return step('sheath', { code: entry.kind === 'drop' ? 'peelDrop' : 'slitRipcord' }, 'blade');
    case 'yarn':
      return entry.kind === 'drop' ? [] : step('yarn', { code: 'yarn' });
    case 'strength':
      return step(
        'strength',
        strength === 0
          ? { code: 'strengthFlush' }
          : { code: 'trimStrength', kept: { lengthTenthsMm: strength } },
      );
    case 'clamp':
      return step('clamp', { code: 'clamp' });
    case 'hose':
      return isHoseClamped(hardware)
        ? step('hose', { code: 'hoseClamp', below: { lengthTenthsMm: hardware.hoseClamp } })
        : [];
    case 'bond':
      return entry.armoured ? step('bond', { code: 'bond' }, 'qualified') : [];
    case 'glandClamp':
      return step('clamp', { code: 'glandClamp' });
    case 'glandIn':
      return step('gland', { code: 'glandIn' });
    case 'units':
      return express ? unitSteps(entry.tubes, unitKind(makeUp), hardware.window, scheme) : [];
    case 'score':
      return !express || entry.tubes.some((tube) => tube.way === 'dedicate')
        ? step(
            'score',
            {
              code: practice.tubeTool === 'scorer' ? 'scoreWithScorer' : 'scoreWithStripper',
              most: { lengthTenthsMm: LONGEST_PULL, towards: 'down' },
            },
            'shards',
          )
        : [];
    case 'groups': {
      const clean = step('clean', { code: 'clean' }, 'solvent');
      const grouped =
        makeUp.kind === 'grouped-tube'
          ? [
              ...step('hitches', { code: 'hitches' }),
              ...step('offset', { code: 'cutMark' }, 'shards'),
            ]
          : [];
      return practice.gel === 'at once' ? [...clean, ...grouped] : [...grouped, ...clean];
    }
    case 'pairs':
      return plan.tubing[0]
        ? step('pairs', { code: 'runRibbons', tubes: plan.tubing[0].count })
        : [];
    case 'route':
      return step('route', { code: fiberCount(makeUp) === 1 ? 'routeFiber' : 'routeTubes' });
  }
}

/** Each tube or ribbon that is cut is proven dark just before, with the fiber in hand. */
const unitSteps = (
  tubes: CutTask['entry']['tubes'],
  unit: UnitKind,
  window: number,
  scheme: ColourScheme | null,
): PrepStep[] =>
  tubes.flatMap(({ unit: number, way }) => {
    const colour = unit === 'tube' && scheme ? colourAt(scheme, number) : null;
    return [
      {
        key: `dark ${number}`,
        message: { code: 'dark', unit, number, colour },
        caution: 'invisibleLight',
      },
      {
        key: `tube ${number}`,
        // No window can be cut in a ribbon: its plan says so, and it is cut as a whole.
        message:
          way === 'window' && unit === 'tube'
            ? { code: 'windowTube', number, colour, from: { lengthTenthsMm: window } }
            : { code: 'dedicateUnit', unit, number, colour },
        caution: 'shardsOtherTubes',
      },
    ];
  });
