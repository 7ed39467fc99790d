import {
  BUILT_IN_LIMITS,
  BUILT_IN_SCHEMES,
  type Evidence,
  type Limits,
  METRIC,
  type Project,
  type Splice,
  USUAL_BUDGET,
  USUAL_PRACTICE,
  jointLoss,
  modeFieldOf,
  oneWayExcess,
} from '@cordel/core';
import { DOCUMENT_VERSION, type ProjectDocument } from '@cordel/core/document';
import { tellClosings } from './closing.ts';
import { type Later, laterFor } from './later.ts';
import { type Network, TRAY, layOut } from './network.ts';
import { demoRoute } from './route.ts';
import { SLIPS, describeClosures } from './opening.ts';
import { type Random, type TrueSplice, countedIds, seeded } from '@cordel/standin';
import { demoLinks } from './links.ts';
import { SHOT_FIBERS, demoTraces } from './traces.ts';
import { recordedBy } from './splicers.ts';
import { type Chapter, type Lesson, STORY } from './story.ts';

const CREATED = '2026-04-20T08:00:00.000Z';

/** How much wider the field is at 1550 nm. */
const WIDER = 1.13;

/**
 * The demo: a made-up valley with a dairy, a school, a clinic and a weir gauge. Figures follow from
 * joint physics and a seeded source, so that every build shows the same.
 * @param asOf the day it is loaded: its story ends within a day before
 * @param shotFibers of how many fibers it has traces; fewer are made sooner
 */
export function demoDocument(asOf: Date, shotFibers = SHOT_FIBERS): ProjectDocument {
  const later = laterFor(asOf);
  const id = countedIds(Date.parse(CREATED));
  const projectId = id();
  const network = layOut(projectId, id);
  const limits: Limits = BUILT_IN_LIMITS[0]!;
  const allTruths = new Map<string, MadeSplice>();
  const sites = STORY.map((chapter, index) => {
    const { evidence, truths } = tell(chapter, network, limits, seeded(2026 + index), later);
    for (const [spliceId, truth] of truths) allTruths.set(spliceId, truth);
    if (!chapter.recorded) return { evidence, records: [], log: [] };
    const site = {
      projectId,
      start: later(chapter.start),
      told: chapter.start,
      seed: 77 + index,
      by: crewOf(chapter),
      ...chapter.recorded,
    };
    return recordedBy(site, evidence, network.splices);
  });
  const project: Project = {
    id: projectId,
    name: 'Vessamy valley line',
    practiceOnly: true,
    units: { ...METRIC, timeZone: 'Europe/Lisbon' },
    schemeId: 'tia-598',
    limits,
    trayCapacity: TRAY,
    practice: USUAL_PRACTICE,
    budget: USUAL_BUDGET,
    route: demoRoute(),
    createdAt: later(CREATED),
  };
  const described = describeClosures(network.closures, network.cables, network.splices, id);
  const evidence = sites.flatMap((site) => site.evidence);
  return {
    format: 'cordel.project',
    version: DOCUMENT_VERSION,
    archived: [],
    project,
    schemes: [BUILT_IN_SCHEMES[0]!],
    ...network,
    ...described,
    hardware: [],
    instruments: [],
    splicerRecords: sites.flatMap(({ records }) => records),
    setAside: [],
    instrumentLog: sites.flatMap(({ log }) => log),
    links: demoLinks(projectId, network, allTruths, later),
    ...demoTraces(projectId, network, allTruths, later, shotFibers),
    evidence,
    ...tellClosings({ ...network, ...described, project, evidence, later }),
    photos: [],
  };
}

/**
 * Loops of the demo that were written down wrongly, as they really are: m, by cable and closure. Other
 * projects have none.
 */
export function trueLoops(projectId: string): Map<string, number> {
  const id = countedIds(Date.parse(CREATED));
  if (id() !== projectId) return new Map();
  const { cables, closures } = layOut(projectId, id);
  return new Map(
    cables.flatMap((cable) =>
      closures.flatMap((closure) => {
        const slip = SLIPS[`${cable.name} ${closure.name}`];
        return slip ? [[`${cable.id} ${closure.id}`, slip.true / 10_000] as const] : [];
      }),
    ),
  );
}

/** A joint of the demo as it really lies, by the try that made it. */
interface MadeSplice extends TrueSplice {
  tryId: string;
}

/** True losses behind the demo's splices, by splice. Other projects have none. */
export function trueSplices(projectId: string): Map<string, MadeSplice> {
  const id = countedIds(Date.parse(CREATED));
  if (id() !== projectId) return new Map();
  const network = layOut(projectId, id);
  return new Map(
    STORY.flatMap((chapter, index) => [
      ...tell(chapter, network, BUILT_IN_LIMITS[0]!, seeded(2026 + index), String).truths,
    ]),
  );
}

interface Scribe {
  id: () => string;
  at: () => string;
  random: Random;
}

/** Everything that was recorded at one site. */
function tell(
  chapter: Chapter,
  network: Network,
  limits: Limits,
  random: Random,
  later: Later,
): { evidence: Evidence[]; truths: Map<string, MadeSplice> } {
  const start = Date.parse(chapter.start);
  let minutes = 0;
  const scribe: Scribe = {
    id: countedIds(start),
    at: () => new Date(Date.parse(later(chapter.start)) + (minutes += 0.4) * 60_000).toISOString(),
    random,
  };
  const closure = network.closures.find(({ name }) => name === chapter.site)!;
  const planned = network.splices
    .filter((splice) => splice.closureId === closure.id)
    .slice(0, chapter.spliced);
  const joints = planned.map((splice) => makeJoint(splice, chapter, network, scribe));
  return {
    evidence: [
      ...joints.flatMap((joint) => joint.made),
      ...joints.flatMap((joint) => joint.measure(chapter.measured ? limits.wavelengths : [])),
    ],
    truths: new Map(
      joints.flatMap(({ truth }, index) => (truth ? [[planned[index]!.id, truth] as const] : [])),
    ),
  };
}

function makeJoint(splice: Splice, chapter: Chapter, network: Network, scribe: Scribe) {
  const lesson: Lesson = chapter.lessons[splice.fiberA] ?? {};
  const by = crewOf(chapter);
  const entry = () => ({ id: scribe.id(), spliceId: splice.id, at: scribe.at() });
  if (lesson.dead) {
    const made: Evidence[] = [
      { type: 'ruling', ...entry(), by, tryId: null, kind: 'dead', why: lesson.dead },
    ];
    return { made, truth: null, measure: (): Evidence[] => [] };
  }
  const { random } = scribe;
  const fields = {
    mfdA: fieldOf(splice.cableA, network, random),
    mfdB: fieldOf(splice.cableB, network, random),
  };
  const spread = splice.method === 'mass' ? 0.42 : 0.3;
  const offsets = lesson.offsets ?? [
    Math.min(splice.method === 'mass' ? 0.5 : 0.36, Math.abs(random.normal()) * spread),
  ];
  const made: Evidence[] = [];
  let tryId = '';
  for (const offset of offsets) {
    const estimate = lesson.estimate ?? jointLoss({ ...fields, offset }) + random.normal() * 0.004;
    const attempt = entry();
    tryId = attempt.id;
    made.push({
      type: 'attempt',
      ...attempt,
      by,
      tryId,
      estimateMdb: Math.max(0, Math.round(estimate * 100)) * 10,
      recordId: null,
      recordPosition: null,
      origin: 'simulated',
      supersedes: null,
      void: false,
      why: null,
    });
  }
  const offset = offsets.at(-1)!;
  const measure = (wavelengths: number[]): Evidence[] => {
    const list = wavelengths.length === 0 && lesson.oneWay ? [1310] : wavelengths;
    const read = list.flatMap((nm) =>
      directionsOf(lesson).map((direction) => reading(nm, direction)),
    );
    if (!lesson.waived) return read;
    return [
      ...read,
      { type: 'ruling', ...entry(), by: 'Lead', tryId, kind: 'waive', why: lesson.waived },
    ];
  };
  const reading = (nm: number, direction: 'AB' | 'BA'): Evidence => {
    const wider = nm === 1550 ? WIDER : 1;
    const joint = { mfdA: fields.mfdA * wider, mfdB: fields.mfdB * wider };
    const loss = jointLoss({ ...joint, offset }) + (nm === 1550 ? (lesson.bend ?? 0) : 0);
    const excess = oneWayExcess(joint.mfdA, joint.mfdB) * (direction === 'AB' ? 1 : -1);
    return {
      type: 'reading',
      ...entry(),
      by: 'Test crew',
      tryId,
      grade: 'one-way',
      direction,
      wavelengthNm: nm,
      lossMdb: Math.round((loss + excess + random.normal() * 0.003) * 1000),
      traceId: null,
      origin: 'simulated',
      supersedes: null,
      void: false,
      why: null,
    };
  };
  const truth: MadeSplice = {
    tryId,
    loss: jointLoss({ mfdA: fields.mfdA * WIDER, mfdB: fields.mfdB * WIDER, offset }),
    bend: lesson.bend ?? 0,
  };
  return { made, truth, measure };
}

const crewOf = ({ site }: Chapter): string =>
  site === 'Pump house' || site === 'Quarry gate' ? 'Crew 2' : 'Crew 1';

const directionsOf = (lesson: Lesson): ('AB' | 'BA')[] => (lesson.oneWay ? ['AB'] : ['AB', 'BA']);

function fieldOf(cableId: string, network: Network, random: Random): number {
  const { glass } = network.cables.find((cable) => cable.id === cableId)!;
  return modeFieldOf(glass)! + random.normal() * 0.05;
}
