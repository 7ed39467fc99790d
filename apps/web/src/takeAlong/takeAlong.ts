import { QueryClient } from '@tanstack/react-query';
import { recordsQuery, benchQuery } from '@/bench/useStation';
import { closingQuery } from '@/closing/useClosing';
import { keptOptions } from '@/data/client';
import { ledgerQuery, projectQuery, schemesQuery, summaryQuery, workQuery } from '@/data/queries';
import { planQuery } from '@/plan/useStoredPlan';
import { proofQuery, tracesQuery } from '@/traces/queries';
import { type Taken, type Wish, keepTaken } from './taken';

/** Closures that are read at a time. */
const AT_ONCE = 4;

/** Pages of the Ledger that are taken along, of 200 rows each. */
const MOST_PAGES = 10;

const LEDGER_VIEWS = ['redo', 'trays', 'fibers', 'splices'] as const;

/**
 * Reads all that work without a connection needs, and has the device keep it. What cannot be read is told, and the rest
 * is there.
 * @param onProgress told how many closures are done, of how many
 * @throws where the project itself cannot be read, or somebody stops it
 */
export async function takeAlong(
  projectId: string,
  wish: Wish,
  signal: AbortSignal,
  onProgress: (done: number, total: number) => void,
): Promise<Taken> {
  // A client of its own, which lets go of what has been read: the device keeps it, and memory need not.
  const client = new QueryClient({
    defaultOptions: { queries: { ...keptOptions, staleTime: 0, gcTime: 0, retry: 1 } },
  });
  let bytes = 0;
  const read = async <Answer>(reading: Promise<Answer>): Promise<Answer> => {
    const answer = await reading;
    signal.throwIfAborted();
    bytes += JSON.stringify(answer).length;
    return answer;
  };
  // Asked first, so that nothing is let go that was just read.
  await navigator.storage?.persist?.().catch(() => false);
  const project = await read(client.fetchQuery(projectQuery(projectId)));
  await read(client.fetchQuery(schemesQuery));
  await read(client.fetchQuery(summaryQuery(projectId)));
  await read(client.fetchQuery(benchQuery(projectId)));
  await read(client.fetchQuery({ ...recordsQuery(projectId), staleTime: 0 }));
  const archived = new Set(project.archived);
  const wanted = project.closures
    .map(({ id }) => id)
    .filter((id) => !archived.has(id) && (wish.closureIds?.includes(id) ?? true));
  const missing: string[] = [];
  let done = 0;
  const next = [...wanted];
  const worker = async (): Promise<void> => {
    for (let id = next.shift(); id !== undefined; id = next.shift()) {
      try {
        await read(client.fetchQuery(workQuery(id)));
        await read(client.fetchQuery(closingQuery(id)));
        await read(client.fetchQuery(planQuery(id)));
      } catch (error) {
        if (signal.aborted) throw error;
        missing.push(id);
      }
      onProgress(++done, wanted.length);
    }
  };
  await Promise.all(Array.from({ length: AT_ONCE }, worker));
  let [rows, totalRows] = [0, 0];
  for (const view of LEDGER_VIEWS) {
    const pages = await read(
      client.fetchInfiniteQuery({
        ...ledgerQuery(projectId, view, { sort: 'route' }),
        pages: MOST_PAGES,
      }),
    );
    rows += pages.pages.reduce((sum, page) => sum + page.rows.length, 0);
    totalRows += pages.pages[0]?.total ?? 0;
  }
  if (wish.hasTraces) {
    await read(client.fetchQuery(tracesQuery(projectId)));
    await read(client.fetchQuery(proofQuery(projectId)));
  }
  const taken: Taken = {
    ...wish,
    at: new Date().toISOString(),
    bytes,
    missing,
    rows,
    totalRows,
  };
  keepTaken(projectId, taken);
  return taken;
}
