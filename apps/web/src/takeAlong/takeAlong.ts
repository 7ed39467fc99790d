import { answerOf } from '@cordel/client';
import { QueryClient } from '@tanstack/react-query';
import { recordsQuery, benchQuery } from '@/bench/useStation';
import { type ClosingAnswer, closingQuery, closingTables } from '@/closing/useClosing';
import { api } from '@/data/api';
import { persistAnswer, keptOptions } from '@/data/client';
import {
  ledgerQuery,
  projectQuery,
  readLedgerPages,
  type readWork,
  schemesQuery,
  summaryQuery,
  workQuery,
} from '@/data/queries';
import { planQuery } from '@/plan/useStoredPlan';
import { proofQuery, tracesQuery } from '@/traces/queries';
import { type Taken, type Wish, keepTaken } from './taken';

/** Pages of the Ledger that are taken along, of 200 rows each. */
const MOST_PAGES = 10;

const LEDGER_VIEWS = ['redo', 'trays', 'fibers', 'splices'] as const;

/** A closure as the server gives it for work without a connection. */
interface ClosureAlong {
  closureId: string;
  work: Awaited<ReturnType<typeof readWork>>;
  closing: Omit<ClosingAnswer, 'digest'>;
  plan: unknown;
}

/** The closures of a project with all that work there needs, as they come, and their size in the answer. */
async function* closuresOf(
  projectId: string,
  { closureIds }: Wish,
  signal: AbortSignal,
): AsyncGenerator<{ line: ClosureAlong; size: number }> {
  const body = (await answerOf(
    api.GET('/api/projects/{projectId}/take-along', {
      params: {
        path: { projectId },
        query: closureIds === null ? {} : { closures: closureIds.join(',') },
      },
      parseAs: 'stream',
      signal,
    }),
  )) as unknown as ReadableStream<Uint8Array<ArrayBuffer>>;
  const reader = body.pipeThrough(new TextDecoderStream()).getReader();
  let parts: string[] = [];
  for (let piece = await reader.read(); !piece.done; piece = await reader.read()) {
    const [end, ...begun] = piece.value.split('\n');
    parts.push(end!);
    for (const next of begun) {
      const text = parts.join('');
      yield { line: JSON.parse(text) as ClosureAlong, size: text.length };
      parts = [next];
    }
  }
}

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
  const left = new Set(wanted);
  try {
    for await (const { line, size } of closuresOf(projectId, wish, signal)) {
      bytes += size;
      const { closureId, work, closing, plan } = line;
      await persistAnswer(workQuery(closureId).queryKey, work);
      await persistAnswer(closingQuery(closureId).queryKey, closingTables(closureId, closing));
      await persistAnswer(planQuery(closureId).queryKey, plan);
      left.delete(closureId);
      onProgress(wanted.length - left.size, wanted.length);
    }
  } catch (error) {
    // What has come is there; the rest is told.
    if (signal.aborted || left.size === wanted.length) throw error;
  }
  const missing = [...left];
  let [rows, totalRows] = [0, 0];
  for (const view of LEDGER_VIEWS) {
    const query = { sort: 'route' } as const;
    const list = await read(readLedgerPages(projectId, view, query, MOST_PAGES));
    await persistAnswer(ledgerQuery(projectId, view, query).queryKey, list);
    rows += list.pages.reduce((sum, page) => sum + page.rows.length, 0);
    totalRows += list.pages[0]?.total ?? 0;
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
