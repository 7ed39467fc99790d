import { QueryClient } from '@tanstack/react-query';
import { useMemo, useSyncExternalStore } from 'react';
import {
  COMMANDS,
  type ClosureWork,
  Outbox,
  type ProjectSnapshot,
  Refused,
  type Snapshot,
  type Write,
  commands,
  newProjectSnapshot,
  projectWithWrites,
  waitingInputs,
  withEvidence,
  withWrites,
} from '@cordel/client';
import { type Evidence, projectSchema } from '@cordel/core';
import { api } from './api';
import { personNow } from './storage';

export const queryClient = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 2000,
      // What the server refused stays refused; what it could not answer is tried again.
      retry: (count, error) => !(error instanceof Refused) && count < 2,
    },
  },
});

export const outbox = new Outbox({ api, commands: COMMANDS, person: personNow, onDelivered });

/** What is asked for again once a command is through; everything but records where nothing is said. */
const RENEWED: Record<string, readonly string[]> = {
  [commands.recordEvidence.name]: ['ledger', 'splice', 'fiber', 'bench'],
  [commands.appendClosing.name]: ['closing', 'ledger'],
  [commands.logInstruments.name]: ['bench'],
  [commands.setRecordsAside.name]: ['bench'],
};

/** Answers that are tables of a snapshot, by the first part of their keys. */
const TABLES = ['bench', 'closing'];

/** Ids of entries that this page delivered: the server tells of them too. */
const own = new Set<string>();
const MOST_OWN = 5000;

export const isOwn = (entryId: string): boolean => own.has(entryId);

function keepOwn({ input }: Write): void {
  const { entries = [] } = input as { entries?: { id: string }[] };
  for (const { id } of entries) own.add(id);
  for (const id of own) {
    if (own.size <= MOST_OWN) break;
    own.delete(id);
  }
}

/** Lays what was delivered over what is shown, where it stays while the server is asked again. */
function onDelivered(write: Write): void {
  keepOwn(write);
  const waiting = [{ ...write, state: 'waiting' as const }];
  for (const key of TABLES) {
    // An answer on its way is from before: it would take it back for a moment.
    void queryClient.cancelQueries({ queryKey: [key] });
    queryClient.setQueriesData<Snapshot>(
      { queryKey: [key] },
      (held) => held && withWrites(held, waiting, COMMANDS),
    );
  }
  const evidence = waitingInputs(waiting, commands.recordEvidence).flatMap(
    ({ entries }) => entries,
  );
  queryClient.setQueriesData<ClosureWork>(
    { queryKey: ['work'] },
    (work) => work && withEvidence(work, evidence),
  );
  keepNewProject(write);
  queryClient.setQueriesData<ProjectSnapshot>(
    { queryKey: ['project'] },
    (project) => project && projectWithWrites(project, waiting),
  );
  const renewed = RENEWED[write.command];
  if (renewed) for (const key of renewed) void queryClient.invalidateQueries({ queryKey: [key] });
  // Records come by the stream: an answer from before would take the newest of them back.
  else
    void queryClient.invalidateQueries({ predicate: ({ queryKey }) => queryKey[0] !== 'records' });
}

/** A new project stays on the screen while the server is asked about it for the first time. */
function keepNewProject(write: Write): void {
  if (write.command !== commands.saveProject.name) return;
  const project = projectSchema.parse(write.input);
  queryClient.setQueryData<ProjectSnapshot>(
    ['project', project.id],
    (known) => known ?? newProjectSnapshot(project),
  );
}

export const useOutbox = () => useSyncExternalStore(outbox.subscribe, outbox.snapshot);

/** Evidence that is recorded here and not yet on the server. */
export function usePendingEvidence(): Evidence[] {
  const { writes } = useOutbox();
  return useMemo(
    () => waitingInputs(writes, commands.recordEvidence).flatMap(({ entries }) => entries),
    [writes],
  );
}
