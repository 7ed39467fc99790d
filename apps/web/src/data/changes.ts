import { useEffect, useSyncExternalStore } from 'react';
import {
  type Change,
  ChangeFeed,
  type ClosureWork,
  type Snapshot,
  withChanges,
  withEvidence,
} from '@cordel/client';
import type { Evidence, ReceivedRecord } from '@cordel/core';
import { api } from './api';
import { isOwn, queryClient, renewal } from './client';
import { forgetEarly } from './early';

/** What is asked for again where somebody has written something of a kind, by the first part of its key. */
const RENEWED: Record<Change['kind'], readonly string[]> = {
  evidence: ['ledger', 'splice', 'fiber', 'bench', 'closing', 'proof'],
  closing: ['closing', 'ledger'],
  link: ['proof'],
  'splicer-record': [],
  project: ['project', 'projects', 'ledger', 'proof'],
  cable: ['project', 'ledger', 'proof'],
  closure: ['project', 'work', 'ledger', 'proof'],
  assembly: ['project', 'closing'],
  plan: ['plan', 'work', 'ledger', 'splice', 'fiber', 'circuit', 'circuits', 'closing', 'proof'],
  splices: ['plan', 'work', 'ledger', 'splice', 'fiber', 'circuit', 'circuits', 'proof'],
  scheme: ['project', 'schemes'],
  hardware: ['project'],
  instrument: ['bench'],
  archive: ['project', 'projects'],
  'set-aside': ['bench'],
  'instrument-log': ['bench'],
  trace: ['traces', 'proof', 'traceAlerts'],
  'trace-place': ['traces', 'proof', 'traceAlerts', 'ledger'],
  photo: ['closing'],
  signed: ['closing', 'ledger'],
  package: ['packages'],
};

const appendTo =
  <Item extends { id: string }>(more: readonly Item[]) =>
  (list: readonly Item[]): readonly Item[] => {
    const known = new Set(list.map(({ id }) => id));
    const fresh = more.filter(({ id }) => !known.has(id));
    return fresh.length === 0 ? list : [...list, ...fresh];
  };

/** Lays what others wrote over what is shown, and asks again for what follows from it. */
function showChanges(projectId: string, changes: readonly Change[]): void {
  forgetEarly();
  const others = changes.filter((change) => !('entry' in change && isOwn(change.entry.id)));
  const evidence = others.flatMap((change): Evidence[] =>
    change.kind === 'evidence' ? [change.entry] : [],
  );
  if (evidence.length > 0)
    queryClient.setQueriesData<ClosureWork>(
      { queryKey: ['work'] },
      (work) => work && withEvidence(work, evidence),
    );
  for (const kind of ['closing', 'link'] as const)
    if (others.some((change) => change.kind === kind))
      queryClient.setQueriesData<Snapshot>(
        { queryKey: [kind === 'link' ? 'links' : kind] },
        (held) => held && withChanges(held, others),
      );
  const records = others.flatMap((change) =>
    change.kind === 'splicer-record' ? [change.record] : [],
  );
  if (records.length > 0)
    queryClient.setQueryData<readonly ReceivedRecord[]>(
      ['records', projectId],
      (list) => list && appendTo(records)(list),
    );
  renewal.add(others.flatMap(({ kind }) => RENEWED[kind]));
}

let isLive = false;
const listeners = new Set<() => void>();

function setLive(live: boolean): void {
  if (live === isLive) return;
  isLive = live;
  listeners.forEach((listener) => listener());
}

/** Whether what others write comes at once. */
export const useLive = (): boolean =>
  useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => isLive,
  );

/** What a project's pages ask for before they have its cursor, and what has been left from an earlier visit. */
const isOlder =
  (asOf: number) =>
  ({ state }: { state: { dataUpdatedAt: number } }): boolean =>
    state.dataUpdatedAt > 0 && state.dataUpdatedAt < asOf;

/**
 * Keeps what is shown of a project as everybody writes it.
 * @param cursor where the project's answer stands among its changes
 * @param asOf when that answer came, ms
 */
export function useChanges(projectId: string, cursor: string | undefined, asOf: number): void {
  const isKnown = cursor !== undefined;
  useEffect(() => {
    if (!isKnown || typeof EventSource === 'undefined') return;
    void queryClient.invalidateQueries({ predicate: isOlder(asOf) });
    const feed = new ChangeFeed({
      api,
      projectId,
      cursor,
      onChanges: (changes) => showChanges(projectId, changes),
      onReset: () => {
        forgetEarly();
        void queryClient.invalidateQueries();
      },
      onLive: setLive,
    });
    return () => {
      feed.close();
      setLive(false);
    };
    // It goes on from its own place: a later answer of the project begins nothing anew.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [projectId, isKnown]);
}
