import type { ProjectDocument } from '@cordel/core/document';
import { demoDocument } from '@cordel/demo';

/** The signed closures of the demo, and four others: drops, a branch, and one that is being worked on. */
const CLOSURES = ['Toll cottage', 'Ferry steps', 'School', 'Kiln yard', 'Osier bank', 'Clinic'];

/**
 * A sixth of the demo, with everything that it has of some closures: for tests that read or make all of a project, and
 * which say nothing more of a larger one.
 * @param shotFibers of how many fibers it has traces, four of each
 */
export function demoPart(now: Date, shotFibers: number): ProjectDocument {
  const document = demoDocument(now, shotFibers);
  const kept = new Set(
    document.closures.filter(({ name }) => CLOSURES.includes(name)).map(({ id }) => id),
  );
  const isOfKept = ({ closureId }: { closureId: string }) => kept.has(closureId);
  const splices = document.splices.filter(isOfKept);
  const spliceIds = new Set(splices.map(({ id }) => id));
  return {
    ...document,
    closures: document.closures
      .filter(({ id }) => kept.has(id))
      .map((closure) => ({
        ...closure,
        branchOf: closure.branchOf && kept.has(closure.branchOf) ? closure.branchOf : null,
      })),
    plans: document.plans.filter(isOfKept),
    assemblies: document.assemblies.filter(isOfKept),
    closing: document.closing.filter(isOfKept),
    signed: document.signed.filter(isOfKept),
    photos: document.photos.filter(isOfKept),
    splices,
    evidence: document.evidence.filter(({ spliceId }) => spliceIds.has(spliceId)),
  };
}
