import {
  BUILT_IN_SCHEMES,
  GROUP_SIZE,
  MOST_FILE_BYTES,
  addressOf,
  fibersASleeve,
  findClashes,
  isFuture,
  retirementsOf,
  groupBy,
  pairOf,
  type Splice,
} from '@cordel/core';
import { PHOTO_BYTES, digestOf } from '@cordel/core/close';
import { type PackedDocument, packedPath } from '@cordel/core/document';
import { clashText } from '@cordel/text/plan';
import { exchangeProblems as say } from '@cordel/text/server/exchange';
import type { Sentence } from '@cordel/text/problems';
import { futureProblem } from '../../http/moments.ts';
import { type ProblemPlace, atPlace, sentence } from '../../http/problem.ts';
import type { DocumentFiles } from './files.ts';
import { odditiesOf } from './oddities.ts';

/** Entries that are known to be odd come in without what the project does not have. */
export function withoutStrays(document: PackedDocument): PackedDocument {
  const odd = new Set(document.odd);
  if (odd.size === 0) return document;
  const [traces, records, own] = [document.traces, document.splicerRecords, document.cables].map(
    (list) => new Set(list.map(({ id }) => id)),
  ) as [Set<string>, Set<string>, Set<string>];
  const entries = new Set(document.evidence.map(({ id }) => id));
  const isStray = (id: string | null): boolean => id !== null && !entries.has(id);
  return {
    ...document,
    evidence: document.evidence.map((given) => {
      if (!odd.has(given.id)) return given;
      let entry = given;
      if (entry.type !== 'attempt' && isStray(entry.tryId)) entry = { ...entry, tryId: null };
      if (entry.type !== 'ruling' && isStray(entry.supersedes))
        entry = { ...entry, supersedes: null };
      if (entry.type === 'reading' && entry.traceId !== null && !traces.has(entry.traceId))
        entry = { ...entry, traceId: null };
      if (entry.type === 'attempt' && entry.recordId !== null && !records.has(entry.recordId))
        entry = { ...entry, recordId: null, recordPosition: null };
      return entry;
    }),
    tracePlaces: document.tracePlaces.map((place) =>
      odd.has(place.id) && place.cableId !== null && !own.has(place.cableId)
        ? { ...place, cableId: null, fiber: null, direction: null, wavelengthNm: null, why: STRAY }
        : place,
    ),
  };
}

const STRAY = say('placedOnOtherProject').text;

/** After so many no further one is told. */
const MOST_PLACES = 500;

type Complain = (place: string, detail: Sentence) => void;

/**
 * What records of a document say against each other, each at its JSON Pointer.
 * @param known ids of the color schemes that are here
 * @param now ISO 8601
 */
export function contradictionsOf(
  document: PackedDocument,
  files: DocumentFiles,
  known: ReadonlySet<string>,
  now: string,
): ProblemPlace[] {
  const places: ProblemPlace[] = [];
  const complain = (place: string, detail: Sentence) => {
    if (places.length < MOST_PLACES) places.push(atPlace(place, detail));
  };
  checkOwners(document, complain);
  checkBranches(document, complain);
  checkSplices(document, known, complain);
  checkClashes(document, complain);
  checkFiles(document, files, complain);
  checkSigned(document, complain);
  checkEvidence(document, complain);
  checkOrigins(document, complain);
  checkMoments(document, now, complain);
  return places;
}

/** Everything belongs to the project, or to a closure of it. */
function checkOwners(document: PackedDocument, complain: Complain): void {
  for (const kind of [
    'closures',
    'cables',
    'splices',
    'splicerRecords',
    'instrumentLog',
    'links',
    'traces',
  ] as const)
    document[kind].forEach((entry, index) => {
      if (entry.projectId !== document.project.id)
        complain(`/${kind}/${index}/projectId`, say('otherProject'));
    });
  const closures = new Set(document.closures.map(({ id }) => id));
  document.cables.forEach(({ closureId }, index) => {
    if (closureId !== null && !closures.has(closureId))
      complain(`/cables/${index}/closureId`, say('closureUnknown'));
  });
  for (const kind of ['splices', 'plans', 'assemblies', 'closing', 'photos', 'signed'] as const)
    document[kind].forEach((entry, index) => {
      if (!closures.has(entry.closureId))
        complain(`/${kind}/${index}/closureId`, say('closureUnknown'));
    });
  const cables = new Set(document.cables.map(({ id }) => id));
  document.archived.forEach((id, index) => {
    if (!closures.has(id) && !cables.has(id)) complain(`/archived/${index}`, say('otherProject'));
  });
  const [records, traces] = [document.splicerRecords, document.traces].map(
    (list) => new Set(list.map(({ id }) => id)),
  );
  document.setAside.forEach(({ recordId }, index) => {
    if (!records!.has(recordId))
      complain(`/setAside/${index}/recordId`, say('recordOfOtherProject'));
  });
  // Not those either that a document calls odd: a place would take the trace of another project off its fiber.
  document.tracePlaces.forEach(({ traceId }, index) => {
    if (!traces!.has(traceId))
      complain(`/tracePlaces/${index}/traceId`, say('traceOfOtherProject'));
  });
}

function checkBranches({ closures }: PackedDocument, complain: Complain): void {
  const byId = new Map(closures.map((closure) => [closure.id, closure]));
  /** Closures that are known to lead to the route. */
  const good = new Set<string>();
  for (const [index, closure] of closures.entries()) {
    const steps = new Set<string>();
    let at: string | null = closure.id;
    while (at !== null && !good.has(at) && !steps.has(at) && byId.has(at)) {
      steps.add(at);
      at = byId.get(at)!.branchOf;
    }
    if (at === null || good.has(at)) for (const id of steps) good.add(id);
    else complain(`/closures/${index}/branchOf`, say('branchUnknown'));
  }
}

/** Splices join fibers that there are. */
function checkSplices(
  document: PackedDocument,
  known: ReadonlySet<string>,
  complain: Complain,
): void {
  const schemeMap = new Map(
    [...BUILT_IN_SCHEMES, ...document.schemes].map((scheme) => [scheme.id, scheme]),
  );
  const cableMap = new Map(document.cables.map((cable) => [cable.id, cable]));
  for (const [index, cable] of document.cables.entries()) {
    if (!schemeMap.has(cable.schemeId) && !known.has(cable.schemeId))
      complain(`/cables/${index}/schemeId`, say('schemeUnknown', { schemeId: cable.schemeId }));
  }
  document.splices.forEach((splice, index) => {
    const ports = cableMap.get(splice.cableB)?.makeUp.kind === 'ports';
    if (ports !== (splice.end !== null)) complain(`/splices/${index}/end`, say('endWithoutPorts'));
    for (const side of ['A', 'B'] as const) {
      const cable = cableMap.get(splice[`cable${side}`]);
      const scheme = cable && schemeMap.get(cable.schemeId);
      if (!cable) complain(`/splices/${index}/cable${side}`, say('cableUnknown'));
      else if (scheme) {
        try {
          addressOf(cable.makeUp, scheme, splice[`fiber${side}`]);
        } catch {
          complain(
            `/splices/${index}/fiber${side}`,
            say('fiberUnknown', { fiber: splice[`fiber${side}`], cable: cable.name }),
          );
        }
      }
    }
  });
}

/** A fiber has one splice in a closure, and a slot too; a tray holds what it holds. */
function checkClashes(document: PackedDocument, complain: Complain): void {
  const names = new Map(document.cables.map(({ id, name }) => [id, name]));
  const retired = retirementsOf(document.evidence);
  const byClosure = groupBy(
    document.splices
      .map((splice, index) => ({ splice, index }))
      .filter(({ splice }) => !retired.has(splice.id)),
    ({ splice }) => splice.closureId,
  );
  const withNames = (splice: Splice): Splice => ({
    ...splice,
    cableA: names.get(splice.cableA) ?? splice.cableA,
    cableB: names.get(splice.cableB) ?? splice.cableB,
  });
  const byId = new Map(document.cables.map((cable) => [cable.id, cable]));
  const fibersOf = (a: string, b: string) => {
    const [one, other] = [byId.get(a), byId.get(b)];
    return one && other ? fibersASleeve(one.makeUp, other.makeUp) : GROUP_SIZE;
  };
  for (const closure of document.closures) {
    const own = byClosure.get(closure.id) ?? [];
    const clashes = findClashes(
      own.map(({ splice }) => splice),
      closure.trays,
      (at) => ({
        code: 'splice',
        fibers: pairOf(withNames(own[at]!.splice)),
      }),
      (id) => names.get(id) ?? id,
      fibersOf,
    );
    for (const clash of clashes)
      complain(
        `/splices/${own[clash.index]!.index}/${clash.column}`,
        sentence(clashText(clash.message), clash.message),
      );
  }
}

/** Each trace and photo has its file. */
function checkFiles(document: PackedDocument, files: DocumentFiles, complain: Complain): void {
  for (const [list, most] of [
    ['traces', MOST_FILE_BYTES],
    ['photos', PHOTO_BYTES],
  ] as const)
    document[list].forEach(({ id }, index) => {
      const size = files.sizeOf(list, id);
      if (size === null)
        complain(`/${list}/${index}/bytes`, say('fileMissing', { path: packedPath(list, id) }));
      else if (size > most)
        complain(
          `/${list}/${index}/bytes`,
          say('fileTooLarge', { kilobytes: Math.floor(most / 1000) }),
        );
    });
}

/** What was signed is what its digest was made of. */
function checkSigned({ signed }: PackedDocument, complain: Complain): void {
  for (const [index, { content, digest }] of signed.entries())
    if (digestOf(content) !== digest)
      complain(`/signed/${index}/content`, say('signedRecordChanged'));
}

function checkEvidence(document: PackedDocument, complain: Complain): void {
  const splices = new Set(document.splices.map(({ id }) => id));
  const ids = new Set<string>();
  document.evidence.forEach((entry, index) => {
    if (!splices.has(entry.spliceId)) complain(`/evidence/${index}/spliceId`, say('spliceUnknown'));
    if (ids.has(entry.id)) complain(`/evidence/${index}/id`, say('idTwice'));
    ids.add(entry.id);
  });
  const odd = new Set(document.odd);
  for (const { id, place, detail } of odditiesOf(document))
    if (!odd.has(id)) complain(place, detail);
}

/** What was simulated comes in with a practice project only. */
function checkOrigins(document: PackedDocument, complain: Complain): void {
  if (document.project.practiceOnly) return;
  const lists: [string, readonly object[]][] = [
    ['evidence', document.evidence],
    ['splicerRecords', document.splicerRecords],
    ['instrumentLog', document.instrumentLog],
    ['links', document.links],
    ['traces', document.traces],
    ['closing', document.closing],
  ];
  for (const [name, list] of lists)
    list.forEach((entry, index) => {
      if ('origin' in entry && entry.origin === 'simulated')
        complain(`/${name}/${index}/origin`, say('simulatedInRealWork'));
    });
}

/** Nothing was done at a moment that is still to come. */
function checkMoments(document: PackedDocument, now: string, complain: Complain): void {
  for (const name of [
    'evidence',
    'closing',
    'instrumentLog',
    'links',
    'setAside',
    'tracePlaces',
  ] as const)
    document[name].forEach(({ at }, index) => {
      if (isFuture(at, now)) complain(`/${name}/${index}/at`, futureProblem(at, now));
    });
}
