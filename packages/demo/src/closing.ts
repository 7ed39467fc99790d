import {
  type Assembly,
  BUILT_IN_HARDWARE,
  type Closure,
  type Evidence,
  type Plan,
  type Project,
} from '@cordel/core';
import {
  type ClosingEntry,
  type EntryOf,
  type SignedRecord,
  closingPoints,
  closingSplices,
  closureRecord,
  sealRecord,
  testTask,
} from '@cordel/core/close';
import { countedIds, seeded } from '@cordel/standin';
import { gaugeWorld, readGauge } from '@cordel/standin/gauge';
import type { Later } from './later.ts';
import type { Network } from './network.ts';

/** What happened at a closure once it was spliced. */
interface Closing {
  site: string;
  start: string;
  by: string;
  lead: string;
  sky: string;
  temperature: number;
  /** Where the first round bubbled, and what repaired it. */
  leak?: { place: string; what: string };
}

const CLOSINGS: Closing[] = [
  {
    site: 'Toll cottage',
    start: '2026-05-06T14:00:00.000Z',
    by: 'Crew 1',
    lead: 'Lead',
    sky: 'dry',
    temperature: 14,
  },
  {
    site: 'Ferry steps',
    start: '2026-05-02T13:30:00.000Z',
    by: 'Crew 1',
    lead: 'Lead',
    sky: 'drizzle',
    temperature: 9,
    leak: {
      place: 'Round 1',
      what: 'Seal was for 11 to 14 mm, cable is 14.5 mm: put in the next one.',
    },
  },
];

const MINUTE = 60_000;
const AIR_PA = 98_200;
const STEP_PA = 70;
const TARGET_PA = 34_000;
/** As the crew typed it from the sheet. */
const LIMIT_PA = 34_500;

/** What a closing is told from: all that is known of the project. */
export interface Known extends Pick<Network, 'cables' | 'closures' | 'splices'> {
  project: Project;
  assemblies: readonly Assembly[];
  plans: readonly Plan[];
  evidence: readonly Evidence[];
  /** Moves the story's moments to where the demo has them. */
  later: Later;
}

/** Two closures that are closed, tested and signed; one bubbled at first and was repaired. */
export function tellClosings(known: Known): { closing: ClosingEntry[]; signed: SignedRecord[] } {
  const told = CLOSINGS.map((closing, index) => tellOne(closing, known, 300 + index));
  return {
    closing: told.flatMap(({ entries }) => entries),
    signed: told.map(({ signed }) => signed),
  };
}

/** Writes entries down, one after the other. */
function scribeAt(closureId: string, start: string, by: string, later: Later) {
  const id = countedIds(Date.parse(start));
  let now = Date.parse(later(start));
  const entries: ClosingEntry[] = [];
  /** @param after minutes since the entry before */
  const write = <Kind extends ClosingEntry['kind']>(
    kind: Kind,
    part: Omit<EntryOf<Kind>, 'kind' | 'id' | 'closureId' | 'by' | 'at'> & { by?: string },
    after = 0.4,
  ): EntryOf<Kind> => {
    now += Math.round(after * MINUTE);
    const entry = { kind, id: id(), closureId, by, at: new Date(now).toISOString(), ...part };
    entries.push(entry as unknown as ClosingEntry);
    return entry as unknown as EntryOf<Kind>;
  };
  return { entries, write };
}

function tellOne(closing: Closing, known: Known, seed: number) {
  const closure = known.closures.find(({ name }) => name === closing.site)!;
  const { entries, write } = scribeAt(closure.id, closing.start, closing.by, known.later);
  write('visit', {
    purpose: 'build',
    why: null,
    crew: [closing.by],
    air: { temperature: closing.temperature, humidity: 70, pressure: AIR_PA / 1000 },
    sky: closing.sky,
    instruments: ['Single-fiber splicer', 'OTDR', 'gauge'],
  });
  const parts = partsOf(closure, known);
  for (const point of closingPoints(parts.view))
    if (!point.found)
      write('point', { point: point.key, verdict: 'good', why: null, slots: [], photos: [] });
  const rounds = closing.leak ? ([closing.leak, null] as const) : ([null] as const);
  rounds.forEach((leak, index) => {
    const round = write(
      'round',
      {
        targetPa: TARGET_PA,
        limitPa: LIMIT_PA,
        unit: 'kPa',
        stepPa: STEP_PA,
        airPa: AIR_PA,
      },
      5,
    );
    const world = gaugeWorld(leak ? 'leaks' : 'tight, cooling', seed + index, {
      targetPa: TARGET_PA,
      airPa: AIR_PA,
      stepPa: STEP_PA,
      limit: known.project.practice.leakLimit,
      temperature: closing.temperature,
    });
    const minutes = Array.from({ length: leak ? 6 : 16 }, (_, at) => 1 + at * 0.75);
    readGauge(world, minutes).forEach(({ gaugePa, temperature }, at) =>
      write(
        'gauge',
        { roundId: round.id, gaugePa, temperature, minute: null, origin: 'simulated' },
        at === 0 ? 1 : 0.75,
      ),
    );
    const { places } = testTask(parts.view.hardware, 0);
    if (leak) write('bubbles', { roundId: round.id, places: [leak.place], seen: 'bubbles' });
    else write('bubbles', { roundId: round.id, places: [...places], seen: 'none' });
    write('release', { roundId: round.id, before: leak ? 'mending' : 'leaving' }, 1);
    if (leak) write('mend', { roundId: round.id, ...leak }, 12);
  });
  write('leave', { done: 'Closed, tested, hung on the strand, labelled.' }, 6);
  const record = closureRecord({
    ...parts,
    project: known.project,
    retired: [],
    hardware: BUILT_IN_HARDWARE,
    cables: known.cables,
    entries,
    photos: [],
  });
  const { content, digest } = sealRecord(record);
  write('sign', { role: 'technician', digest, strokes: signature(seed) }, 2);
  write('sign', { role: 'lead', by: closing.lead, digest, strokes: signature(seed + 50) }, 180);
  return { entries, signed: { closureId: closure.id, digest, content } };
}

/** What of the project belongs to a closure. */
function partsOf(closure: Closure, known: Known) {
  const splices = known.splices.filter((splice) => splice.closureId === closure.id);
  const ids = new Set(splices.map(({ id }) => id));
  const evidence = known.evidence.filter(({ spliceId }) => ids.has(spliceId));
  const assembly = known.assemblies.find(({ closureId }) => closureId === closure.id)!;
  const plan = known.plans.find(({ closureId }) => closureId === closure.id) ?? null;
  const names = new Map(known.cables.map((cable) => [cable.id, cable.name]));
  const view = {
    closure,
    assembly,
    hardware: BUILT_IN_HARDWARE.find(({ id }) => id === assembly.hardwareId) ?? null,
    splices: closingSplices(splices, evidence, known.project.limits),
    cableName: (id: string) => names.get(id) ?? id,
    isDevice: () => false,
    unit: known.project.units.length,
  };
  return { closure, splices, evidence, assembly, plan, view };
}

/** A made-up scrawl: loops that run to the right and a stroke under them. */
function signature(seed: number): number[][] {
  const random = seeded(seed);
  const loops = 4 + Math.floor(random.uniform() * 4);
  const scrawl = Array.from({ length: loops * 12 }, (_, step) => {
    const turn = (step / 12) * 2 * Math.PI;
    const height = 120 + 120 * random.uniform();
    return [
      Math.round(120 + (step / (loops * 12)) * 640 + 45 * Math.cos(turn)),
      Math.round(450 + height * Math.sin(turn) * (step < 12 ? 1.6 : 0.8)),
    ];
  }).flat();
  return [scrawl, [140, 760, 480, 730, 860, 690]];
}
