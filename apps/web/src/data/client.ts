import { QueryClient } from '@tanstack/react-query';
import { useMemo, useSyncExternalStore } from 'react';
import type { Evidence, Project } from '@cordel/core';
import { type ProjectSetting, type Work, newSetting, withWrite } from './setting';
import { Refused } from './api';
import { Outbox, type Write } from './outbox';

export const queryClient = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 2000,
      // What the server refused stays refused; what it could not answer is tried again.
      retry: (count, error) => !(error instanceof Refused) && count < 2,
    },
  },
});

export const outbox = new Outbox(onDelivered);

export const EVIDENCE_PATH = '/api/evidence';

const entriesOf = (write: Write): Evidence[] =>
  write.path === EVIDENCE_PATH ? (write.body as { entries: Evidence[] }).entries : [];

/** Puts what was delivered into what is shown, then asks for what follows from it. */
function onDelivered(write: Write): void {
  const entries = entriesOf(write);
  if (entries.length > 0) {
    queryClient.setQueriesData<Work>(
      { queryKey: ['work'] },
      (work) => work && withEvidence(work, entries),
    );
    for (const key of ['ledger', 'splice', 'fiber', 'bench'])
      void queryClient.invalidateQueries({ queryKey: [key] });
  } else {
    if (/^\/api\/projects\/[^/]+$/.test(write.path)) {
      // A new project stays on the screen while the server is asked about it for the first time.
      const project = write.body as Project;
      queryClient.setQueryData<ProjectSetting>(
        ['project', project.id],
        (known) => known ?? newSetting(project),
      );
    }
    // What was delivered stays in its place while the server is asked again.
    queryClient.setQueriesData<ProjectSetting>(
      { queryKey: ['project'] },
      (setting) => setting && withWrite(setting, write),
    );
    void queryClient.invalidateQueries();
  }
}

/** A closure's work with entries added that it does not have yet. */
export function withEvidence<Held extends { splices: { id: string }[]; evidence: Evidence[] }>(
  held: Held,
  entries: readonly Evidence[],
): Held {
  const ours = new Set(held.splices.map((splice) => splice.id));
  const known = new Set(held.evidence.map((entry) => entry.id));
  const fresh = entries.filter((entry) => ours.has(entry.spliceId) && !known.has(entry.id));
  return fresh.length === 0 ? held : { ...held, evidence: [...held.evidence, ...fresh] };
}

export const useOutbox = () => useSyncExternalStore(outbox.subscribe, outbox.snapshot);

/** Evidence that is recorded here and not yet on the server. */
export function usePendingEvidence(): Evidence[] {
  const { writes } = useOutbox();
  return useMemo(
    () => writes.filter((write) => write.state === 'waiting').flatMap(entriesOf),
    [writes],
  );
}
