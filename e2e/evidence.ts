import { v7 as uuid } from 'uuid';
import { type Server, readApi, until } from './app.ts';

/** An attempt that was typed, as a client sends it. */
export function attemptOn(spliceId: string, id = uuid()) {
  return {
    type: 'attempt',
    id,
    spliceId,
    tryId: id,
    by: 'M.',
    at: '2026-05-04T20:15:00.000Z',
    estimateMdb: 20,
    supersedes: null,
    void: false,
    why: null,
  };
}

export const postTo = (url: string, path: string, body: unknown): Promise<Response> =>
  fetch(`${url}/api${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });

export const record = (url: string, entries: unknown[]): Promise<Response> =>
  postTo(url, '/evidence', { entries });

/** Splices of the demo that nothing is recorded of yet. */
export async function openSplices(
  server: Pick<Server, 'url'>,
  count = 60,
): Promise<{ project: string; ids: string[] }> {
  const [project] = await until(async () => {
    const list = await readApi<{ id: string }[]>(server, '/projects');
    return list.length > 0 && list;
  }, 'the demo');
  const ids: string[] = [];
  for (let total = count; ids.length < Math.min(count, total);) {
    const page = await readApi<{ total: number; rows: { id: string }[] }>(
      server,
      `/projects/${project!.id}/ledger/splices?verdict=open&limit=${Math.min(200, count - ids.length)}&offset=${ids.length}`,
    );
    total = page.total;
    ids.push(...page.rows.map(({ id }) => id));
  }
  return { project: project!.id, ids };
}

/** Ids of all evidence that a server has of splices. */
export async function evidenceOf(
  server: Pick<Server, 'url'>,
  spliceIds: readonly string[],
): Promise<Set<string>> {
  const all = await Promise.all(
    spliceIds.map((id) => readApi<{ evidence: { id: string }[] }>(server, `/splices/${id}`)),
  );
  return new Set(all.flatMap(({ evidence }) => evidence.map(({ id }) => id)));
}
