import { useEffect, useMemo } from 'react';
import { type Match, type ReceivedRecord, matchRecord } from '@cordel/core';
import { askReasonText, passReasonText } from '@cordel/text/bench';
import { benchShared as t } from '@cordel/text/pages/bench/shared';
import { type BenchSplice, fusedTogether } from './benchSplices';
import type { Bench } from './useBench';
import type { Setup } from './useSetup';
import type { Station } from './useStation';

/** A record that a person has to place, with why. */
export interface Asked {
  record: ReceivedRecord;
  why: string;
}

/** What is in hand, as records are held against it. */
function handOf(
  bench: Bench,
  closure: string,
  splicerId: string | null,
  lastNumber: number | null,
  count: number,
) {
  const { sleeve, draft } = bench;
  if (!sleeve) return null;
  const live = fusedTogether(sleeve.splices).length;
  return {
    closure,
    splicerId,
    method: sleeve.method,
    // A dead fiber of a ribbon lies in the holder all the same.
    fibers: count === sleeve.splices.length ? count : live,
    held: draft.recordId,
    lastNumber,
  };
}

/** Records that count: as the server says, and of this closure as its evidence says, which is newer. */
function countedHere(taken: ReadonlySet<string>, splices: readonly BenchSplice[]): Set<string> {
  const counted = new Set(taken);
  for (const { evidence, standing } of splices) {
    for (const entry of evidence)
      if (entry.type === 'attempt' && entry.recordId !== null) counted.delete(entry.recordId);
    for (const { recordId } of standing.tries) if (recordId !== null) counted.add(recordId);
  }
  return counted;
}

/**
 * Takes records that come in into the hands, one after the other: what fits stands as if it were typed,
 * what does not is asked about. Nothing is recorded before a thumb keeps it.
 */
export function useRecords(bench: Bench, closure: string, station: Station, setup: Setup) {
  const splicerId = setup.kept.splicerId;
  const { records, taken, aside, loaded } = station;
  const { draft, change, take, sleeve, mode } = bench;
  const own = useMemo(
    () => (splicerId === null ? [] : records.filter((record) => record.splicerId === splicerId)),
    [records, splicerId],
  );
  const counted = useMemo(() => countedHere(taken, bench.splices), [taken, bench.splices]);
  const settled = useMemo(() => new Set([...counted, ...aside]), [counted, aside]);
  const lastNumber = useMemo(() => {
    const numbers = own.filter(({ id }) => counted.has(id)).map(({ number }) => number);
    return numbers.length === 0 ? null : Math.max(...numbers);
  }, [own, counted]);
  const next = own.find(({ seq }) => draft.seen !== null && seq > draft.seen);
  useEffect(() => {
    if (!loaded || mode === 'measure' || splicerId === null) return;
    if (draft.seen === null) {
      change({ seen: Math.max(0, ...records.map(({ seq }) => seq)) });
      return;
    }
    if (!next) return;
    const hand = handOf(bench, closure, splicerId, lastNumber, next.fibers.length);
    const match = matchRecord(next, hand, settled);
    if (match.kind === 'fits' && next.fused) take(next, sleeve!.key, { seen: next.seq });
    else if (match.kind === 'fits') change({ seen: next.seq, stopped: next.id });
    else change({ seen: next.seq });
    // eslint-disable-next-line react-hooks/exhaustive-deps -- each record is looked at once, when it comes
  }, [loaded, splicerId, next?.id, draft.seen]);
  const asked = own
    .filter(
      (record) =>
        record.fused &&
        !settled.has(record.id) &&
        record.id !== draft.recordId &&
        draft.seen !== null &&
        record.seq <= draft.seen,
    )
    .map((record): Asked => {
      const match = matchRecord(
        record,
        handOf(bench, closure, splicerId, lastNumber, record.fibers.length),
        settled,
      );
      return {
        record,
        why: whyAsked(match),
      };
    });
  return { own, asked, stopped: own.find(({ id }) => id === draft.stopped) ?? null };
}

function whyAsked(match: Match): string {
  switch (match.kind) {
    case 'fits':
      return t('itWasNotSavedWhenThe');
    case 'passes':
      return passReasonText(match.why);
    case 'asks':
      return askReasonText(match.why);
  }
}

export type Records = ReturnType<typeof useRecords>;
