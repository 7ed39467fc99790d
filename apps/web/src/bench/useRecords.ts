import { useEffect, useMemo } from 'react';
import { type Match, type ReceivedRecord, isSameName, matchRecord } from '@cordel/core';
import { type BenchSplice, fusedTogether } from '@cordel/core/session';
import { askReasonText, passReasonText } from '@cordel/text/bench';
import { benchShared as t } from '@cordel/text/pages/bench/shared';
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
  const { sleeve, state } = bench;
  if (!sleeve) return null;
  const live = fusedTogether(sleeve.splices).length;
  return {
    closure,
    splicerId,
    method: sleeve.method,
    // A dead fiber of a ribbon lies in the holder all the same.
    fibers: count === sleeve.splices.length ? count : live,
    held: state.recordId,
    lastNumber,
  };
}

/** Records that count: as the server says, and of this closure as its evidence says, which is newer. */
function countedHere(taken: ReadonlySet<string>, splices: readonly BenchSplice[]): Set<string> {
  const counted = new Set(taken);
  for (const { evidence, spliceState } of splices) {
    for (const entry of evidence)
      if (entry.type === 'attempt' && entry.recordId !== null) counted.delete(entry.recordId);
    for (const { recordId } of spliceState.tries) if (recordId !== null) counted.add(recordId);
  }
  return counted;
}

/** Records of a splicer that belong to no splice yet, and may be of this closure. */
export function openRecords(
  { records, taken, aside }: Pick<Station, 'records' | 'taken' | 'aside'>,
  splices: readonly BenchSplice[],
  splicerId: string,
  closure: string,
): ReceivedRecord[] {
  const counted = countedHere(taken, splices);
  return records.filter(
    (record) =>
      record.splicerId === splicerId &&
      !counted.has(record.id) &&
      !aside.has(record.id) &&
      (record.label === null || isSameName(record.label, closure)),
  );
}

/**
 * Takes records that come in into the hands, one after the other: what fits stands as if it were typed,
 * what does not is asked about. Nothing is recorded before a thumb keeps it.
 */
export function useRecords(bench: Bench, closure: string, station: Station, setup: Setup) {
  const splicerId = setup.kept.splicerId;
  const { records, taken, aside, loaded } = station;
  const { state, dispatch, sleeve, mode } = bench;
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
  const next = own.find(({ seq }) => state.seen !== null && seq > state.seen);
  useEffect(() => {
    if (!loaded || mode === 'measure' || splicerId === null) return;
    if (state.seen === null) {
      dispatch({ type: 'seen', seq: Math.max(0, ...records.map(({ seq }) => seq)) });
      return;
    }
    if (!next) return;
    const hand = handOf(bench, closure, splicerId, lastNumber, next.fibers.length);
    const match = matchRecord(next, hand, settled);
    if (match.kind === 'fits' && next.fused)
      dispatch({ type: 'take', record: next, sleeve: sleeve!.key, seq: next.seq });
    else if (match.kind === 'fits') dispatch({ type: 'seen', seq: next.seq, stopped: next.id });
    else dispatch({ type: 'seen', seq: next.seq });
    // eslint-disable-next-line react-hooks/exhaustive-deps -- each record is looked at once, when it comes
  }, [loaded, splicerId, next?.id, state.seen]);
  const asked = own
    .filter(
      (record) =>
        record.fused &&
        !settled.has(record.id) &&
        record.id !== state.recordId &&
        state.seen !== null &&
        record.seq <= state.seen,
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
  return { own, asked, stopped: own.find(({ id }) => id === state.stopped) ?? null };
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
