import type { Evidence } from '@cordel/core';
import type { PackedDocument } from '@cordel/core/document';
import { exchangeProblems as say } from '@cordel/text/server/exchange';
import type { Sentence } from '@cordel/text/problems';

/** An entry that contradicts another, with where it stands in a document. */
export interface Oddity {
  id: string;
  place: string;
  detail: Sentence;
}

type Looked = Pick<PackedDocument, 'splicerRecords' | 'tracePlaces'> & {
  evidence: readonly Evidence[];
  traces: readonly { id: string }[];
  cables: readonly { id: string }[];
};

/**
 * Entries that name what comes after them, or what belongs to another project. They are refused when they are
 * recorded; earlier versions took them.
 */
export function odditiesOf(document: Looked): Oddity[] {
  return [...evidenceOddities(document), ...placeOddities(document)];
}

function evidenceOddities({ evidence, traces, splicerRecords }: Looked): Oddity[] {
  const odd: Oddity[] = [];
  const tries = new Map<string, string>();
  const known = new Map<string, string>();
  const traceIds = new Set(traces.map(({ id }) => id));
  const recordIds = new Set(splicerRecords.map(({ id }) => id));
  evidence.forEach((entry, index) => {
    const complain = (field: string, detail: Sentence) =>
      odd.push({ id: entry.id, place: `/evidence/${index}/${field}`, detail });
    if (entry.type === 'attempt') tries.set(entry.id, entry.spliceId);
    if (entry.tryId !== null && tries.get(entry.tryId) !== entry.spliceId)
      complain('tryId', say('attemptUnknown'));
    if (entry.type !== 'ruling' && entry.supersedes !== null && !known.has(entry.supersedes))
      complain('supersedes', say('supersededUnknown'));
    if (entry.type === 'reading' && entry.traceId !== null && !traceIds.has(entry.traceId))
      complain('traceId', say('traceOfOtherProject'));
    if (entry.type === 'attempt' && entry.recordId !== null && !recordIds.has(entry.recordId))
      complain('recordId', say('recordOfOtherProject'));
    known.set(entry.id, entry.spliceId);
  });
  return odd;
}

function placeOddities({ tracePlaces, traces, cables }: Looked): Oddity[] {
  const [traceIds, cableIds] = [traces, cables].map((list) => new Set(list.map(({ id }) => id)));
  return tracePlaces.flatMap(({ id, traceId, cableId }, index): Oddity[] => {
    if (!traceIds!.has(traceId))
      return [
        {
          id,
          place: `/tracePlaces/${index}/traceId`,
          detail: say('traceOfOtherProject'),
        },
      ];
    if (cableId !== null && !cableIds!.has(cableId))
      return [
        {
          id,
          place: `/tracePlaces/${index}/cableId`,
          detail: say('cableOfOtherProject'),
        },
      ];
    return [];
  });
}
