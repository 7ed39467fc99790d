import { type Finding, findCauses, findSwappedFibers, pairTraces } from '@cordel/core/otdr';
import {
  CLOSURES,
  type Line,
  type Mishaps,
  type ReadTrace,
  lineOf,
  proveAll,
  shootAll,
} from '../src/line.testing.ts';
import { type Random, seeded } from '../src/random.ts';
import { drawReceiver } from '../src/receiver.ts';
import type { TraceFigure } from './traces.ts';

/** Jobs by default; a thousand with `npm run bench -- --long`. */
const JOBS = process.env['CORDEL_LONG'] ? 1000 : 150;

/** What is really wrong with a job, and how it is told whether a finding names it. */
interface Job {
  kind: string;
  line: Line;
  /** Files after whatever was mixed up. */
  mix?: (list: ReadTrace[]) => ReadTrace[];
  isNamed(findings: readonly Finding[], swapped: readonly string[]): boolean;
  /** Findings that belong to it. */
  belongs(finding: Finding): boolean;
}

const between = ({ uniform }: Random, low: number, high: number): number =>
  low + (high - low) * uniform();
const oneOf = <T>({ uniform }: Random, list: readonly T[]): T =>
  list[Math.floor(uniform() * list.length)]!;
const fiberOf = (random: Random, fibers: number): number =>
  1 + Math.floor(random.uniform() * fibers);

const splice = (random: Random, kind: 'splice' | 'bend', mishaps: (id: string) => Mishaps): Job => {
  const id = `${oneOf(random, CLOSURES)} ${fiberOf(random, 12)}`;
  const own = (finding: Finding) => finding.spliceIds.includes(id);
  return {
    kind,
    line: lineOf(12, mishaps(id)),
    isNamed: (findings) => findings.some((finding) => finding.cause === kind && own(finding)),
    belongs: own,
  };
};

/** Sheath to the closures of the line, m; a break lies away from them, where it is no splice. */
const SECTIONS = [2206, 4712, 3412, 3306];

const MAKERS: readonly ((random: Random) => Job)[] = [
  () => ({ kind: 'nothing', line: lineOf(12), isNamed: () => true, belongs: () => false }),
  (random) => splice(random, 'splice', (id) => ({ loss: { [id]: between(random, 0.2, 0.5) } })),
  (random) => splice(random, 'bend', (id) => ({ bend: { [id]: between(random, 0.15, 0.4) } })),
  (random) => {
    const closure = oneOf(random, CLOSURES);
    const tray = fiberOf(random, 2);
    const bend = between(random, 0.08, 0.15);
    const ids = Array.from({ length: 12 }, (_, slot) => `${closure} ${12 * (tray - 1) + slot + 1}`);
    const own = ({ spliceIds }: Finding) => spliceIds.some((id) => ids.includes(id));
    return {
      kind: 'tray',
      line: lineOf(24, { bend: Object.fromEntries(ids.map((id) => [id, bend])) }),
      isNamed: (findings) =>
        findings.some(({ cause, closureId }) => cause === 'tray' && closureId === closure),
      belongs: own,
    };
  },
  (random) => {
    const closure = oneOf(random, CLOSURES);
    const ids = [1, 12].map((position) => `${closure} ${position}`);
    const line = lineOf(12, {
      loss: Object.fromEntries(ids.map((id) => [id, between(random, 0.15, 0.3)])),
    });
    for (const [id, place] of line.splices)
      line.splices.set(id, { ...place, slot: 1, mass: true, position: Number(id.split(' ')[1]) });
    return {
      kind: 'ribbon edge',
      line,
      isNamed: (findings) =>
        findings.some(({ cause, closureId }) => cause === 'ribbon edge' && closureId === closure),
      belongs: ({ spliceIds }) => spliceIds.some((id) => ids.includes(id)),
    };
  },
  (random) => {
    const fiber = fiberOf(random, 12);
    const section = Math.floor(random.uniform() * SECTIONS.length);
    const before = SECTIONS.slice(0, section).reduce((sum, meters) => sum + meters, 0);
    const at = 1.005 * (before + SECTIONS[section]! * between(random, 0.1, 0.9));
    const own = ({ circuits }: Finding) => circuits.includes(`L ${fiber}`);
    return {
      kind: 'break',
      line: lineOf(12, { plant: { [fiber]: { breakAt: at } } }),
      isNamed: (findings) => findings.some((finding) => finding.cause === 'break' && own(finding)),
      belongs: own,
    };
  },
  (random) => {
    const one = fiberOf(random, 12);
    const two = 1 + ((one + fiberOf(random, 10)) % 12);
    const [first, second] = [oneOf(random, CLOSURES), oneOf(random, CLOSURES)];
    const [direction, nm] = [oneOf(random, ['AB', 'BA'] as const), oneOf(random, [1310, 1550])];
    const ids = [`L ${one}`, `L ${two}`].map((key) => `${key} ${direction} ${nm}`);
    return {
      kind: 'mixed up',
      line: lineOf(12, {
        loss: {
          [`${first} ${one}`]: between(random, 0.2, 0.3),
          [`${second} ${two}`]: between(random, 0.4, 0.5),
        },
      }),
      mix: (list) => {
        const [a, b] = ids.map((id) => list.find(({ trace }) => trace.id === id)!);
        const as = (file: ReadTrace, name: ReadTrace): ReadTrace => ({
          bytes: file.bytes,
          trace: { ...file.trace, id: name.trace.id, circuit: name.trace.circuit },
        });
        return list.map((own) => (own === a ? as(b!, a!) : own === b ? as(a!, b!) : own));
      },
      isNamed: (_, swapped) =>
        swapped.length === 1 && swapped[0] === [`L ${one}`, `L ${two}`].sort().join(),
      belongs: ({ circuits }) => circuits.some((key) => [`L ${one}`, `L ${two}`].includes(key)),
    };
  },
];

interface Told {
  right: number;
  wrong: number;
  jobs: number;
}

/** How often the cause of what is wrong with a job is named right, and how often something else is. */
export function causeFigures(seed: number, jobs = JOBS): TraceFigure[] {
  const told = new Map<string, Told>();
  for (let job = 0; job < jobs; job++) {
    const random = seeded(seed + job);
    const made = MAKERS[job % MAKERS.length]!(random);
    const receiver = drawReceiver(random);
    const averages = Math.round(8192 * 8 ** random.uniform());
    const shot = shootAll(made.line, { receiver, averages });
    const list = made.mix?.(shot) ?? shot;
    const { proof, figures } = proveAll(made.line, list);
    const { circuits, splices } = made.line;
    const paired = pairTraces(proof, circuits, figures);
    const bad = findCauses(proof, circuits, figures, paired.splices, splices).filter(
      ({ weight }) => weight === 'bad',
    );
    const swapped = findSwappedFibers(proof, circuits, figures).flatMap(({ message }) =>
      message.code === 'swapped' ? [[message.first, message.second].sort().join()] : [],
    );
    const own = told.get(made.kind) ?? { right: 0, wrong: 0, jobs: 0 };
    const strayed =
      bad.some((finding) => !made.belongs(finding)) || (!made.mix && swapped.length > 0);
    own.jobs++;
    if (strayed) own.wrong++;
    else if (made.isNamed(bad, swapped)) own.right++;
    told.set(made.kind, own);
  }
  return [...told].map(([kind, { right, wrong, jobs: all }]) => ({
    name: `cause-${kind.replaceAll(' ', '-')}`,
    ratio: wrong / all,
    limit: 0.01,
    ok: right >= 0.95 * all,
    note: `share of jobs in which something else is named; the cause itself is named in ${right} of ${all}, ${((100 * right) / all).toFixed(1)} %, seed ${seed}, instruments drawn`,
  }));
}
