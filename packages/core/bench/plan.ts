import { BUILT_IN_SCHEMES } from '../src/fiber/schemes.ts';
import { expandPlan } from '../src/plan/expand.ts';
import { parsePlan } from '../src/plan/parsePlan.ts';
import type { ListCable } from '../src/plan/spliceList.ts';
import { Network, type NetworkCable, type NetworkSplice } from '../src/plan/network.ts';
import { layoutInstance } from '../src/plan/trays/instances.testing.ts';
import { type LayoutTask, layOutTrays } from '../src/plan/trays/layout.ts';

interface Measured {
  ratio: number;
  limit: number;
  note: string;
}

/** Middle times of two kinds of work done in turn, in ms. */
function medians(runs: number, one: () => unknown, other: () => unknown): [number, number] {
  const times: [number[], number[]] = [[], []];
  for (let run = -20; run < runs; run++)
    for (const [index, work] of [one, other].entries()) {
      const start = performance.now();
      work();
      if (run >= 0) times[index]!.push(performance.now() - start);
    }
  return times.map((list) => list.sort((a, b) => a - b)[Math.floor(runs / 2)]!) as [number, number];
}

/** A plan of 1 728 fibers, a line a tube, read and checked, against splitting its text and counting. */
export function planFigure(): Measured {
  const scheme = BUILT_IN_SCHEMES[0]!;
  const makeUp = { kind: 'loose-tube' as const, tubes: 144, fibersPerTube: 12 };
  const cables: ListCable[] = ['A', 'B'].map((name) => ({ name, makeUp, scheme }));
  const text = Array.from(
    { length: 144 },
    (_, tube) =>
      `splice A ${tube * 12 + 1}-${tube * 12 + 12} to B ${tube * 12 + 1}-${tube * 12 + 12}`,
  ).join('\n');
  const plain = () => {
    let fibers = 0;
    for (const line of text.split('\n'))
      for (const [, first, last] of line.matchAll(/(\d+)-(\d+)/g))
        for (let fiber = Number(first); fiber <= Number(last); fiber++) fibers++;
    return fibers;
  };
  const ours = () => expandPlan(parsePlan(text, cables), cables).joints.length;
  if (ours() !== 1728 || plain() !== 3456) throw new Error('The plan was not read whole.');
  const [time, bound] = medians(200, ours, plain);
  return { ratio: time / bound, limit: 20, note: 'read, expand and check against split and count' };
}

/** Trays for 1 728 fibers against a plain first-fit of the same tubes. */
export function trayFigure(): Measured {
  const task = largest();
  const [time, bound] = medians(
    30,
    () => layOutTrays(task),
    () => firstFit(task),
  );
  return {
    ratio: time / bound,
    limit: 1000 / bound,
    note: `${task.joints.length} fibers: ${time.toFixed(1)} ms; the limit stands for one second`,
  };
}

/** Layouts of 200 made-up closures that miss the proven bound, against the one in twenty that may. */
export function boundFigure(): Measured {
  let missed = 0;
  let farthest = 0;
  for (let seed = 1; seed <= 200; seed++) {
    const size = seed % 10 === 0 ? 1728 : 12 + Math.floor(seed * 8.5);
    const layout = layOutTrays(layoutInstance(seed, size));
    const gaps = [layout.splits - layout.leastSplits, layout.trays - layout.leastTrays];
    if (gaps.some((gap) => gap > 0)) missed++;
    farthest = Math.max(farthest, ...gaps);
  }
  return {
    ratio: farthest > 1 ? Infinity : missed / 200 / 0.05,
    limit: 1,
    note: `${200 - missed} of 200 closures at the bound in splits and trays, none more than ${farthest} above`,
  };
}

function largest(): LayoutTask {
  const tasks = Array.from({ length: 40 }, (_, index) => layoutInstance(index + 1, 1728));
  return tasks.reduce((most, task) => (task.joints.length > most.joints.length ? task : most));
}

/** Each run of joints of one tube into the first tray with room. */
function firstFit({ joints, trays }: LayoutTask): number[] {
  const filled = trays.map(() => 0);
  let tube = '';
  let size = 0;
  const place = () => {
    const tray = filled.findIndex((sum, at) => sum + size <= trays[at]!.single);
    if (tray >= 0) filled[tray]! += size;
  };
  for (const joint of joints) {
    const own = `${joint.cableA} ${Math.ceil(joint.fiberA / 12)}`;
    if (own !== tube) {
      place();
      tube = own;
      size = 0;
    }
    size++;
  }
  place();
  return filled;
}

/** Every circuit of 100 closures x 864 fibers, against a plain pass that reads each splice's fields. */
export function circuitFigure(): Measured {
  const makeUp = { kind: 'loose-tube' as const, tubes: 72, fibersPerTube: 12 };
  const cables = Array.from({ length: 101 }, (_, index) => ({
    id: `0190d0de-0000-7000-8000-${String(index).padStart(12, '0')}`,
    name: `C${index}`,
    makeUp,
  }));
  const splices: NetworkSplice[] = [];
  for (let closure = 0; closure < 100; closure++)
    for (let fiber = 1; fiber <= 864; fiber++)
      splices.push({
        closure: `K${closure}`,
        cableA: cables[closure]!.id,
        fiberA: fiber,
        cableB: cables[closure + 1]!.id,
        fiberB: fiber,
        method: 'single',
      });
  const plain = () => sumOfFibers(splices);
  const ours = () => new Network(cables, splices).survey();
  const { circuits, longest } = ours();
  if (circuits !== 864 || longest !== 100) throw new Error('Not all circuits were found.');
  const [time, bound] = medians(30, ours, plain);
  return { ratio: time / bound, limit: 10, note: 'all circuits against a sum for each cable' };
}

/**
 * Every circuit of a line of 20 closures x 864 fibers whose fibers each feed a 1:8 splitter, its outputs ended at
 * ports, against a plain pass that reads each splice's fields.
 */
export function branchFigure(): Measured {
  const FIBERS = 864;
  const OUTPUTS = 8;
  const CLOSURES = 20;
  const makeUp = { kind: 'loose-tube' as const, tubes: 72, fibersPerTube: 12 };
  const cables: NetworkCable[] = Array.from({ length: CLOSURES }, (_, index) => ({
    ...{ id: `C${index}`, name: `C${index}`, makeUp },
  }));
  const splices: NetworkSplice[] = [];
  const join = (closure: string, cableA: string, fiberA: number, cableB: string, fiberB: number) =>
    splices.push({ closure, cableA, fiberA, cableB, fiberB, method: 'single' });
  for (let closure = 1; closure < CLOSURES; closure++)
    for (let fiber = 1; fiber <= FIBERS; fiber++)
      join(`K${closure}`, `C${closure - 1}`, fiber, `C${closure}`, fiber);
  for (let fiber = 1; fiber <= FIBERS; fiber++) {
    const [splitter, drop, ports] = [`S${fiber}`, `D${fiber}`, `T${fiber}`];
    cables.push(
      { id: splitter, name: splitter, makeUp: { kind: 'splitter', outputs: OUTPUTS } },
      { id: drop, name: drop, makeUp: { kind: 'drop', fibers: OUTPUTS } },
      {
        id: ports,
        name: ports,
        makeUp: {
          kind: 'ports',
          place: 'terminal',
          ports: OUTPUTS,
          connector: 'SC',
          polish: 'APC',
        },
      },
    );
    join('KS', `C${CLOSURES - 1}`, fiber, splitter, OUTPUTS + 1);
    for (let output = 1; output <= OUTPUTS; output++) {
      join('KS', splitter, output, drop, output);
      join('KT', drop, output, ports, output);
    }
  }
  const plain = () => sumOfFibers(splices);
  const ours = () => new Network(cables, splices).wholeCircuits();
  const found = ours();
  const right = found.every(
    ({ splices: count, ends, splitterMdb }) =>
      count === CLOSURES + 2 && ends.length === 1 && splitterMdb === 10_500,
  );
  if (found.length !== FIBERS * OUTPUTS || !right) throw new Error('Not all circuits were found.');
  const [time, bound] = medians(30, ours, plain);
  return {
    ratio: time / bound,
    limit: 12,
    note: 'circuits through splitters to their ends, against a sum for each cable',
  };
}

/** A plain pass: what each cable's fibers add up to. */
function sumOfFibers(splices: readonly NetworkSplice[]): number {
  const counts = new Map<string, number>();
  for (const { cableA, fiberA, cableB, fiberB } of splices) {
    counts.set(cableA, (counts.get(cableA) ?? 0) + fiberA);
    counts.set(cableB, (counts.get(cableB) ?? 0) + fiberB);
  }
  return counts.size;
}
