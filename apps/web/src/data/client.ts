import {
  PERSISTER_KEY_PREFIX,
  type PersistedQuery,
  experimental_createQueryPersister,
} from '@tanstack/query-persist-client-core';
import { QueryCache, QueryClient, type QueryKey, notifyManager } from '@tanstack/react-query';
import { useMemo, useSyncExternalStore } from 'react';
import {
  API_DIGEST,
  AnswerStore,
  answerOf,
  COMMANDS,
  type ClosureWork,
  Outbox,
  type ProjectSnapshot,
  Refused,
  SignedOut,
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
import { api, apiAs } from './api';
import { clockOffNow } from './clock';
import { forgetEarly } from './early';
import { layOver } from './layOver';
import { onRestored } from './restored';
import { Renewal } from './renewal';
import { mayNow, personIdNow, personNow, tellAwaited, tellSignedOut } from './session';

/** Queries whose last answers the device keeps, by the first part of their keys: what the work at a closure needs. */
const KEPT = new Set([
  'project',
  'projects',
  'schemes',
  'work',
  'bench',
  'closing',
  'plan',
  'traces',
  'records',
  'ledger',
  'splice',
  'fiber',
  'proof',
  'links',
]);
const KEPT_FOR_MS = 30 * 24 * 3600 * 1000;

const answers = new AnswerStore<PersistedQuery>(() => personIdNow() ?? '');
const { persisterFn, persistQueryByKey, persisterGc } =
  experimental_createQueryPersister<PersistedQuery>({
    storage: answers,
    serialize: (query) => query,
    deserialize: (query) => query,
    buster: API_DIGEST,
    maxAge: KEPT_FOR_MS,
    // The persister leaves what it asks for to itself, and a request that is given up would end as an error of the page.
    refetchOnRestore: false,
    // What was searched for by a word is seldom asked again.
    filters: {
      predicate: ({ queryKey }) =>
        KEPT.has(String(queryKey[0])) && !JSON.stringify(queryKey).includes('"q":'),
    },
  });
// What nobody has asked for in a month goes, once the page has nothing else to do.
setTimeout(() => void persisterGc(), 10_000);

/**
 * Gives what the device keeps and asks anew for it, however new it is: a change that came after it has been told to a
 * page that is gone.
 */
const restoring: typeof persisterFn = async (ask, context, query) => {
  let isAsked = false;
  const answer = await persisterFn(
    (given: typeof context) => {
      isAsked = true;
      return ask(given);
    },
    context,
    query,
  );
  // The query itself says that it failed.
  if (!isAsked) notifyManager.schedule(() => void query.fetch().catch(() => {}));
  return answer;
};

/** What is asked for is kept on the device, as far as {@link KEPT} goes. */
export const keptOptions = {
  persister: restoring,
  // What is kept is shown without a connection too.
  networkMode: 'offlineFirst',
} as const;

/** Keeps an answer on the device that came otherwise than by its own query. */
export async function persistAnswer(queryKey: QueryKey, answer: unknown): Promise<void> {
  const client = new QueryClient();
  client.setQueryData(queryKey, answer);
  await persistQueryByKey(queryKey, client);
  client.clear();
}

export const queryClient = new QueryClient({
  queryCache: new QueryCache({
    // What is gone is not shown any more, though it was kept.
    onError: (error, query) => {
      const isRefused = error instanceof Refused && [403, 404].includes(error.status);
      if (isRefused) {
        query.setState({ data: undefined });
        void answers.removeItem(`${PERSISTER_KEY_PREFIX}-${query.queryHash}`);
      }
      // Who may not see it any more may have been taken out.
      if (error instanceof SignedOut || (isRefused && error.status === 403)) tellSignedOut();
    },
  }),
  defaultOptions: {
    queries: {
      ...keptOptions,
      staleTime: 2000,
      // What the server refused stays refused; what it could not answer is tried again.
      retry: (count, error) =>
        !(error instanceof Refused || error instanceof SignedOut) && count < 2,
    },
  },
});

export const renewal = new Renewal(queryClient);

export const outbox = new Outbox({
  api,
  commands: COMMANDS,
  person: personNow,
  personId: personIdNow,
  apiAs,
  known: async (ids) => (await answerOf(api.POST('/api/receipts/known', { body: { ids } }))).ids,
  makeRoom: answers.clear,
  lacks: (command, input) => {
    const { right, anywhere = false } = command.needs(input);
    return mayNow(right, anywhere) ? null : right;
  },
  onAwaited: tellAwaited,
  onDelivered,
});

// What it had then is asked for anew, and what it may lack is sent again.
onRestored(async () => {
  void queryClient.invalidateQueries();
  return outbox.sendAgain();
});

/** What is asked for again once a command is through; everything but records where nothing is said. */
const RENEWED: Record<string, readonly string[]> = {
  [commands.recordEvidence.name]: ['ledger', 'splice', 'fiber', 'bench'],
  [commands.appendClosing.name]: ['closing', 'ledger'],
  [commands.logInstruments.name]: ['bench'],
  [commands.setRecordsAside.name]: ['bench'],
  [commands.recordLinks.name]: ['proof'],
  [commands.placeTraces.name]: ['traces', 'proof', 'ledger'],
};

/** Answers that are tables of a snapshot, by the first part of their keys. */
const TABLES = ['bench', 'closing', 'traces', 'links'];

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
  forgetEarly();
  keepOwn(write);
  const waiting = [{ ...write, state: 'waiting' as const }];
  for (const key of TABLES)
    layOver<Snapshot>(queryClient, key, (held) => withWrites(held, waiting, COMMANDS));
  const evidence = waitingInputs(waiting, commands.recordEvidence).flatMap(
    ({ entries }) => entries,
  );
  queryClient.setQueriesData<ClosureWork>(
    { queryKey: ['work'] },
    (work) => work && withEvidence(work, evidence),
  );
  // The server has what was made by a wrong clock with moments of its own.
  if (clockOffNow() !== 0) void queryClient.invalidateQueries({ queryKey: ['work'] });
  keepNewProject(write);
  queryClient.setQueriesData<ProjectSnapshot>(
    { queryKey: ['project'] },
    (project) => project && projectWithWrites(project, waiting),
  );
  const renewed = RENEWED[write.command];
  // Of these hundreds may come.
  if (write.command === commands.addTrace.name) renewal.add(['traces', 'proof', 'ledger']);
  else if (renewed)
    for (const key of renewed) void queryClient.invalidateQueries({ queryKey: [key] });
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

/** Shows nothing that another account was shown: it is asked for anew. */
export function showAnew(): void {
  queryClient.removeQueries({ type: 'inactive' });
  void queryClient.resetQueries();
}

/** Forgets what was read from the server by some accounts, or by all; what waits to be sent stays. */
export async function forgetAnswers(
  isGone: (account: string) => boolean = () => true,
): Promise<void> {
  if (isGone(personIdNow() ?? '')) showAnew();
  await answers.forget(isGone);
  await globalThis.caches?.delete('photos').catch(() => false);
}
