import type { Closure, Evidence } from '@cordel/core';
import { v7 as uuid } from 'uuid';
import { COMMANDS, type Write, commands, withWrites } from '../src/index.ts';

const WAITING = 10_000;
const LIMIT = 3;
const RUNS = 41;

const projectId = uuid();
const closures = Array.from({ length: 300 }, (_, ordinal): Closure => ({
  id: uuid(),
  projectId,
  name: `Closure ${ordinal}`,
  ordinal,
  distance: ordinal * 10_000,
  branchOf: null,
  position: null,
  trays: [],
}));
const attempt = (): Evidence => {
  const id = uuid();
  return {
    type: 'attempt',
    id,
    spliceId: uuid(),
    tryId: id,
    by: 'M.',
    at: '2026-05-04T20:15:00.000Z',
    estimateMdb: 20,
    recordId: null,
    recordPosition: null,
    origin: 'typed',
    supersedes: null,
    void: false,
    why: null,
  };
};
const held = { projectId, closures, evidence: Array.from({ length: 2600 }, attempt) };

const write = (command: { name: string }, input: unknown): Write => ({
  id: uuid(),
  command: command.name,
  input,
  person: 'M.',
  madeAt: '2026-05-04T20:15:00.000Z',
  label: '',
  state: 'waiting',
});
// A night without a signal: nearly all are attempts, and a closure is renamed now and then.
const saved = Array.from({ length: WAITING / 20 }, (_, index) => ({
  ...closures[index % closures.length]!,
  name: `Renamed ${index}`,
}));
const recorded = Array.from({ length: WAITING - saved.length }, attempt);
const waiting = [
  ...saved.map((closure) => write(commands.saveClosure, closure)),
  ...recorded.map((entry) => write(commands.recordEvidence, { entries: [entry] })),
];

/** The same rows to the same places, by a loop that knows no commands. */
function plainCopy() {
  const named = new Map(closures.map((closure) => [closure.id, closure]));
  for (const closure of saved) named.set(closure.id, { ...closure });
  const entries = new Map(held.evidence.map((entry) => [entry.id, entry]));
  for (const entry of recorded) entries.set(entry.id, { ...entry });
  return { ...held, closures: [...named.values()], evidence: [...entries.values()] };
}

const median = (times: number[]) => times.sort((a, b) => a - b)[times.length >> 1]!;
const [ours, plain]: [number[], number[]] = [[], []];
for (let run = -5; run < RUNS; run++) {
  for (const [times, work] of [
    [ours, () => withWrites(held, waiting, COMMANDS)],
    [plain, plainCopy],
  ] as const) {
    const begun = performance.now();
    const rows = work();
    if (run >= 0) times.push(performance.now() - begun);
    if (rows.evidence.length !== held.evidence.length + recorded.length)
      throw new Error('Rows are missing.');
  }
}
const ratio = median(ours) / median(plain);
const isOk = ratio <= LIMIT;
console.log(
  `waiting-commands  ${ratio.toFixed(2)}  limit ${LIMIT}  ${isOk ? 'ok' : 'MISS'}  (${WAITING} commands laid over a snapshot in ${median(ours).toFixed(1)} ms, against a plain loop that copies the same rows in ${median(plain).toFixed(1)} ms)`,
);
process.exit(isOk ? 0 : 3);
