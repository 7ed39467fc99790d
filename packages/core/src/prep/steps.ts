import { fiberCount } from '../record/cable.ts';
import type { Quantity } from '../record/message.ts';
import { type CutPlan, type CutTask, LONGEST_PULL } from './cutPlan.ts';
import type { SealChoice } from './seal.ts';

/** What is done at a step of opening a cable. */
export type PrepStepMessage =
  | {
      code:
        | 'rightCable'
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
  | { code: 'dedicateTube'; tube: number }
  | { code: 'windowTube'; tube: number; from: Quantity }
  | { code: 'scoreWithScorer' | 'scoreWithStripper'; most: Quantity }
  | { code: 'runRibbons'; tubes: number }
  | { code: 'hoseClamp'; below: Quantity };

/** What must be known before a step. */
export type PrepCaution =
  'blade' | 'bladeTubes' | 'shards' | 'shardsOtherTubes' | 'solvent' | 'qualified';

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

/** The work on one cable, from the van to the tray: seal before the first cut, order as in the trade. */
export function prepSteps(task: CutTask, plan: CutPlan, seal: SealChoice | null): PrepStep[] {
  const { hardware, makeUp, entry, practice } = task;
  const steps: PrepStep[] = [];
  const add = (key: string, message: PrepStepMessage, caution: PrepCaution | null = null) =>
    steps.push({ key, message, caution });
  const express = entry.kind === 'express';
  add('right', { code: 'rightCable' });
  add('diameter', { code: 'diameter' });
  if (entry.tracer) add('tracer', { code: 'tracer' }, 'blade');
  add('seal', sealStep(seal));
  add('mark', { code: plan.zero === 'cableEnd' ? 'tapeAtEnd' : 'tapeAtRingCut' });
  add(
    'ring',
    { code: express ? 'ringCutTwice' : 'ringCut', at: { lengthTenthsMm: plan.opening } },
    'bladeTubes',
  );
  add('sheath', { code: entry.kind === 'drop' ? 'peelDrop' : 'slitRipcord' }, 'blade');
  add('strength', { code: 'trimStrength', kept: { lengthTenthsMm: hardware.keep.strength } });
  if (entry.kind !== 'drop') add('yarn', { code: 'yarn' });
  if (entry.armoured) add('bond', { code: 'bond' }, 'qualified');
  if (express)
    for (const { unit: tube, way } of entry.tubes)
      add(
        `tube ${tube}`,
        way === 'dedicate'
          ? { code: 'dedicateTube', tube }
          : { code: 'windowTube', tube, from: { lengthTenthsMm: hardware.window } },
        'shardsOtherTubes',
      );
  if (!express || entry.tubes.some((tube) => tube.way === 'dedicate'))
    add(
      'score',
      {
        code: practice.tubeTool === 'scorer' ? 'scoreWithScorer' : 'scoreWithStripper',
        most: { lengthTenthsMm: LONGEST_PULL, towards: 'down' },
      },
      'shards',
    );
  const clean = () => add('clean', { code: 'clean' }, 'solvent');
  if (practice.gel === 'at once') clean();
  if (makeUp.kind === 'grouped-tube') {
    add('hitches', { code: 'hitches' });
    add('offset', { code: 'cutMark' }, 'shards');
  }
  if (practice.gel === 'after grouping') clean();
  if (plan.tubing[0]) add('pairs', { code: 'runRibbons', tubes: plan.tubing[0].count });
  add('clamp', { code: 'clamp' });
  add('hose', { code: 'hoseClamp', below: { lengthTenthsMm: hardware.hoseClamp } });
  add('route', { code: fiberCount(makeUp) === 1 ? 'routeFiber' : 'routeTubes' });
  return steps;
}
