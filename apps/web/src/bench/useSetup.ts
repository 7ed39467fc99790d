import { useCallback, useMemo } from 'react';
import {
  type BenchSetup,
  type Cleaver,
  type JointNeeds,
  type Splicer,
  fiberKindOf,
  isDevice,
  proposeSetup,
  setupWarnings,
  usualSleeve,
  usualWay,
  waysFor,
} from '@cordel/core';
import { type BenchSplice } from '@cordel/core/session';
import { keptNow, usePersisted } from '@/data/storage';
import { type ProjectView, useProjectView } from '@/projects/context';
import type { Station } from './useStation';

/** What this device works with; the way may differ from joint to joint. */
export interface KeptSetup extends Omit<BenchSetup, 'way'> {
  /** The way chosen by kind of joint. */
  ways: { single: BenchSetup['way'] | null; mass: BenchSetup['way'] | null };
  /** Whether the stand-in plays the splicer. */
  standin: boolean;
}

const NONE: KeptSetup = {
  splicerId: null,
  program: null,
  heaterProgram: null,
  cleaverId: null,
  cleaveLength: null,
  holder: null,
  sleeve: '60 mm',
  ways: { single: null, mass: null },
  standin: false,
};

const keyOf = (closureId: string): string => `cordel.setup.${closureId}`;

/** What this device works with at a closure, as it is kept now. */
export const setupNow = (closureId: string): KeptSetup => readKept(keptNow(keyOf(closureId)) ?? '');

function readKept(text: string): KeptSetup {
  try {
    return text === '' ? NONE : { ...NONE, ...(JSON.parse(text) as Partial<KeptSetup>) };
  } catch {
    return NONE;
  }
}

const hardwareAt = (closureId: string, { assemblies, hardware }: ProjectView) => {
  const chosen = assemblies.find((entry) => entry.closureId === closureId)?.hardwareId;
  return hardware.find(({ id }) => id === chosen);
};

/** What the plan says of the joint in hand. */
function needsOf(
  closureId: string,
  splices: readonly BenchSplice[],
  view: ProjectView,
): JointNeeds {
  const first = splices[0];
  const cables = first ? [view.cable(first.cableA), view.cable(first.cableB)] : [];
  const glass = cables.map((cable) => (cable ? fiberKindOf(cable.glass) : 'single-mode'));
  return {
    fibers: Math.max(1, splices.length),
    glass: [glass[0] ?? 'single-mode', glass[1] ?? 'single-mode'],
    sleeve: hardwareAt(closureId, view)?.sleeve ?? '60 mm',
    coatings: [cables[0]?.glass.coating ?? 250, cables[1]?.glass.coating ?? 250],
    end: first?.end ?? null,
    // A drop that is spliced to a splitter goes on.
    ends:
      hardwareAt(closureId, view)?.form === 'drop-end' &&
      !cables.some((cable) => cable && isDevice(cable.makeUp)),
    drop: cables.some((cable) => cable?.makeUp.kind === 'drop'),
    loose: cables.some(
      (cable) => cable && cable.makeUp.kind !== 'ribbon' && !isDevice(cable.makeUp),
    ),
  };
}

/** The setup of this device for the joint in hand: what is chosen, and what does not fit. */
export function useSetup(closureId: string, splices: readonly BenchSplice[], station: Station) {
  const view = useProjectView();
  const [text, setText] = usePersisted(keyOf(closureId), '');
  const kept = useMemo(() => readKept(text), [text]);
  const change = useCallback(
    (part: Partial<KeptSetup>) => setText(JSON.stringify({ ...kept, ...part })),
    [kept, setText],
  );
  const needs = needsOf(closureId, splices, view);
  const splicer = station.splicers.find(({ id }) => id === kept.splicerId) ?? null;
  const cleavers = station.instruments.filter((one): one is Cleaver => one.kind === 'cleaver');
  const cleaver = cleavers.find(({ id }) => id === kept.cleaverId) ?? null;
  const kind = needs.fibers > 1 ? 'mass' : 'single';
  const usual = waysFor(needs);
  const chosen = kept.ways[kind];
  const way = chosen && usual.includes(chosen) ? chosen : usualWay(needs, view.project.practice);
  const setup: BenchSetup = { ...kept, way };
  /** Takes a splicer with all that fits the joint. */
  const take = (next: Splicer) => {
    const proposed = proposeSetup(needs, next, cleaver ?? cleavers[0] ?? null, way);
    const { way: _way, ...rest } = proposed;
    change({ ...rest, standin: kept.standin });
  };
  /** Another way brings its sleeve, program, heater program and holder. */
  const choose = (next: BenchSetup['way']) => {
    const ways = { ...kept.ways, [kind]: next };
    if (!splicer) return change({ ways, sleeve: usualSleeve(next, needs) });
    const { way: _way, ...rest } = proposeSetup(needs, splicer, cleaver, next);
    change({ ...rest, ways, standin: kept.standin });
  };
  return {
    kept,
    setup,
    change,
    take,
    choose,
    needs,
    splicer,
    cleaver,
    cleavers,
    ways: usual,
    warnings: splicer ? setupWarnings(setup, needs, splicer, cleaver) : [],
  };
}

export type Setup = ReturnType<typeof useSetup>;
