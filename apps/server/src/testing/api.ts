import { fileURLToPath } from 'node:url';
import { digestOf } from '@cordel/core/close';
import type { Evidence } from '@cordel/core';
import type { ProjectDocument } from '@cordel/core/document';
import { v7 as uuid } from 'uuid';
import { createApi } from '../app.ts';
import { openMemory } from '../db/client.ts';

const MIGRATIONS = fileURLToPath(new URL('../../drizzle', import.meta.url));

export interface Answer {
  status: number;
  type: string;
  body: never;
  text: string;
}

/** The real API over a real PGlite in memory. */
export async function startApi() {
  const open = await openMemory(MIGRATIONS);
  const app = createApi(open);
  const call = async (method: string, path: string, body?: unknown): Promise<Answer> => {
    const response = await app.request(`/api${path}`, {
      method,
      headers: body === undefined ? {} : { 'content-type': 'application/json' },
      body: body === undefined ? undefined : typeof body === 'string' ? body : JSON.stringify(body),
    });
    const text = await response.text();
    const type = response.headers.get('content-type') ?? '';
    return {
      status: response.status,
      type,
      text,
      body: (type.includes('json') ? JSON.parse(text) : null) as never,
    };
  };
  return {
    db: open.db,
    close: open.close,
    get: (path: string) => call('GET', path),
    /** An answer that goes on for as long as nobody ends it. */
    open: (path: string, init: RequestInit) => app.request(`/api${path}`, init),
    /** The bytes that a path answers with. */
    raw: async (path: string) => (await app.request(`/api${path}`)).arrayBuffer(),
    /** Posts a file of any kind. */
    send: async (
      path: string,
      bytes: Uint8Array,
      headers: Record<string, string> = {},
    ): Promise<{ status: number; body: never }> => {
      const response = await app.request(`/api${path}`, {
        method: 'POST',
        headers,
        body: bytes as Uint8Array<ArrayBuffer>,
      });
      return { status: response.status, body: (await response.json()) as never };
    },
    put: (path: string, body: unknown) => call('PUT', path, body),
    remove: (path: string) => call('DELETE', path),
    post: (path: string, body: unknown) => call('POST', path, body),
    /** Records evidence and fails where it is not taken. */
    record: async (entries: Evidence[]) => {
      const answer = await call('POST', '/evidence', { entries });
      if (answer.status !== 200) throw new Error(answer.text);
    },
  };
}

export type TestApi = Awaited<ReturnType<typeof startApi>>;

/** A copy of a document under ids of its own, so that tests do not meet. */
export function renamed(document: ProjectDocument): ProjectDocument {
  const ids = new Map<string, string>();
  const text = JSON.stringify(document).replace(
    /[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[0-9a-f]{4}-[0-9a-f]{12}/g,
    (id) => {
      const known = ids.get(id) ?? uuid();
      ids.set(id, known);
      return known;
    },
  );
  // What was signed has other ids now, and so another digest.
  const { signed } = JSON.parse(text) as ProjectDocument;
  return JSON.parse(
    signed.reduce(
      (whole, { digest, content }) => whole.replaceAll(digest, digestOf(content)),
      text,
    ),
  ) as ProjectDocument;
}
