import type { LinkEntry, Reference } from '@cordel/core';
import { type TrueSplice, countedIds, seeded } from '@cordel/standin';
import type { Network } from './network.ts';
import type { Later } from './later.ts';

const TESTED = '2026-05-03T09:00:00.000Z';
/** Fibers of the line that have been tested so far, and those that were checked by light. */
const FIBERS = 12;
const LIT = 10;
/** dB a kilometer, as the simulated cables have it. */
const FADES: Record<number, number> = { 1310: 0.34, 1550: 0.2 };
/** A connector pair, dB, and how far one mating is from the next. */
const CONNECTOR = { usual: 0.22, spread: 0.05 };
/** What the meter reads through the test cord alone, thousandths of a dBm. */
const REFERENCES: Record<number, number> = { 1310: -6840, 1550: -7120 };
/** What else is on the way of some fibers at each wavelength, dB: the staple of cable M, and a dirty connector. */
const MORE: Record<number, Record<number, number>> = {
  3: { 1310: 0.06, 1550: 0.31 },
  5: { 1310: 0.9, 1550: 0.9 },
};
const MEETINGS = ['Ferry steps', 'Kiln yard', 'Osier bank'];

/**
 * Links of the line, measured port to port with a simulated meter.
 * @param truths true losses by splice
 * @param later moves the story's moments to where the demo has them
 */
export function demoLinks(
  projectId: string,
  { cables, closures, splices }: Network,
  truths: ReadonlyMap<string, TrueSplice>,
  later: Later,
): LinkEntry[] {
  const id = countedIds(Date.parse(TESTED));
  const random = seeded(4103);
  const [first, last] = ['L', 'P'].map((name) => cables.find((cable) => cable.name === name)!);
  const km = (last!.run.end!.distance! - first!.run.end!.distance!) / 10_000_000;
  const sites = MEETINGS.map((name) => closures.find((closure) => closure.name === name)!);
  const begin = Date.parse(later(TESTED));
  let minute = 0;
  const stamp = () => ({
    id: id(),
    projectId,
    by: 'Test crew',
    at: new Date(begin + 60_000 * minute++).toISOString(),
    origin: 'simulated' as const,
  });
  const references = [1310, 1550].map((wavelengthNm): Reference => ({
    kind: 'reference',
    ...stamp(),
    source: 'Source 2',
    meter: 'Meter 7',
    calibratedUntil: new Date(begin + 200 * 86_400_000).toISOString().slice(0, 10),
    wavelengthNm,
    cords: 1,
    powerMdbm: REFERENCES[wavelengthNm]!,
  }));
  const circuit = (fiber: number) => ({
    cableId: first!.id,
    fiber,
    supersedes: null,
    void: false,
    why: null,
  });
  const joints = (fiber: number): number =>
    sites.reduce((sum, site) => {
      const splice = splices.find(
        ({ closureId, fiberA }) => closureId === site.id && fiberA === fiber,
      )!;
      return sum + (truths.get(splice.id)?.loss ?? 0);
    }, 0);
  const entries: LinkEntry[] = [...references];
  for (let fiber = 1; fiber <= FIBERS; fiber++)
    for (const { id: referenceId, wavelengthNm, powerMdbm } of references)
      for (const direction of ['AB', 'BA'] as const) {
        const mated = 2 * CONNECTOR.usual + CONNECTOR.spread * random.normal();
        const loss =
          km * FADES[wavelengthNm]! + joints(fiber) + mated + (MORE[fiber]?.[wavelengthNm] ?? 0);
        entries.push({
          kind: 'loss',
          ...stamp(),
          ...circuit(fiber),
          direction,
          referenceId,
          // A meter shows hundredths.
          powerMdbm: powerMdbm - Math.round(loss * 100) * 10,
          lossMdb: null,
        });
      }
  for (let fiber = 1; fiber <= LIT; fiber++)
    entries.push({
      kind: 'continuity',
      ...stamp(),
      ...circuit(fiber),
      direction: 'AB',
      seen: 'here',
      seenFiber: null,
    });
  return entries;
}
