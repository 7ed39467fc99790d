import { QueryClient } from '@tanstack/react-query';
import { useMemo, useSyncExternalStore } from 'react';
import { type Evidence, type Project, retirementsOf } from '@cordel/core';
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

/** What is appended at the bench, and the part of it that it goes to. */
const APPENDED = /^\/api\/projects\/([^/]+)\/(set-aside|instrument-log)$/;
const PARTS: Record<string, string> = { 'set-aside': 'setAside', 'instrument-log': 'log' };

/** Puts delivered entries of the bench in their place; false where the write is no such entry. */
function keepAppended(write: Write): boolean {
  const [, projectId, kind] = APPENDED.exec(write.path) ?? [];
  if (!projectId) return false;
  const { entries } = write.body as { entries: { id: string }[] };
  const part = PARTS[kind!]!;
  queryClient.setQueryData<Record<string, { id: string }[]>>(
    ['bench', projectId],
    (held) => held && { ...held, [part]: [...held[part]!, ...entries] },
  );
  void queryClient.invalidateQueries({ queryKey: ['bench', projectId] });
  return true;
}

const CLOSING = /^\/api\/closures\/([^/]+)\/closing$/;

/** Puts delivered entries of a closing in their place; false where the write is no such entry. */
function keepClosing(write: Write): boolean {
  const closureId = CLOSING.exec(write.path)?.[1];
  if (!closureId) return false;
  const { entries } = write.body as { entries: { id: string }[] };
  const queryKey = ['closing', closureId];
  // An answer on its way is from before: it would take them back for a moment.
  void queryClient.cancelQueries({ queryKey }).then(() => {
    queryClient.setQueryData<{ entries: { id: string }[] }>(
      queryKey,
      (held) => held && { ...held, entries: [...held.entries, ...entries] },
    );
    for (const key of [queryKey, ['ledger']]) void queryClient.invalidateQueries({ queryKey: key });
  });
  return true;
}

/** Puts what was delivered into what is shown, then asks for what follows from it. */
function onDelivered(write: Write): void {
  if (keepAppended(write) || keepClosing(write)) return;
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
    // Records come by the stream: an answer from before would take the newest of them back.
    void queryClient.invalidateQueries({ predicate: ({ queryKey }) => queryKey[0] !== 'records' });
  }
}

/** A closure's work with entries added that it does not have yet. */
export function withEvidence(work: Work, entries: readonly Evidence[]): Work {
  const ours = new Set([...work.splices, ...work.retired].map((splice) => splice.id));
  const known = new Set(work.evidence.map((entry) => entry.id));
  const fresh = entries.filter((entry) => ours.has(entry.spliceId) && !known.has(entry.id));
  if (fresh.length === 0) return work;
  const cut = retirementsOf(fresh);
  return {
    ...work,
    splices: work.splices.filter(({ id }) => !cut.has(id)),
    retired: [...work.retired, ...work.splices.filter(({ id }) => cut.has(id))],
    evidence: [...work.evidence, ...fresh],
  };
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
