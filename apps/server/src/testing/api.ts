import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { digestOf } from '@cordel/core/close';
import type { Evidence } from '@cordel/core';
import type { ProjectDocument } from '@cordel/core/document';
import { v7 as uuid } from 'uuid';
import { createApi } from '../app.ts';
import { type OpenDb, openServer } from '../db/client.ts';
import { listenOn } from '../db/notices.ts';
import { openMade } from './madeDatabase.ts';
import { WITH_TABLES, newDatabase, postgresFolder } from './postgres.ts';

export interface Answer {
  status: number;
  type: string;
  body: never;
  text: string;
}

const POSTGRES = postgresFolder();

/** Databases of servers that stand side by side. */
async function openAll(): Promise<OpenDb[]> {
  if (!POSTGRES) return [await openMade()];
  const url = await newDatabase(POSTGRES, `api_${uuid().replaceAll('-', '')}`, WITH_TABLES);
  const opened = [await openServer(url, null), await openServer(url, null)];
  return opened.map((own) => {
    const end = listenOn(url, own.notices);
    return { ...own, close: () => end().then(own.close) };
  });
}

/**
 * The real API over a real PGlite in memory; or over a real PostgreSQL, before which two servers stand that
 * answer in turn, so that what one of them keeps to itself shows.
 */
export async function startApi({ origin = null }: { origin?: string | null } = {}) {
  const opened = await openAll();
  const folders: string[] = [];
  // Each server has a folder of its own.
  const folderFor = () => {
    folders.push(mkdtempSync(join(tmpdir(), 'cordel-server-')));
    return folders.at(-1)!;
  };
  const apps = opened.map((own) => createApi({ ...own, folder: folderFor(), origin }));
  let turn = 0;
  const app = {
    request: ((...asked: Parameters<(typeof apps)[0]['request']>) =>
      apps[turn++ % apps.length]!.request(...asked)) as (typeof apps)[0]['request'],
  };
  const call = async (
    method: string,
    path: string,
    body?: unknown,
    headers: Record<string, string> = {},
  ): Promise<Answer> => {
    const response = await app.request(`/api${path}`, {
      method,
      headers: body === undefined ? headers : { 'content-type': 'application/json', ...headers },
      body: body === undefined ? undefined : typeof body === 'string' ? body : JSON.stringify(body),
    });
    const text = await response.text();
    const type = response.headers.get('content-type') ?? '';
    return {
      status: response.status,
      type,
      text,
      body: (/[/+]json/.test(type) ? JSON.parse(text) : null) as never,
    };
  };
  return {
    db: opened[0]!.db,
    /** Where each server makes packages. */
    folders,
    /** The database as each server reaches it. */
    dbs: opened.map(({ db }) => db),
    close: async () => {
      for (const own of opened) await own.close();
      for (const folder of folders) rmSync(folder, { recursive: true, force: true });
    },
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
    post: (path: string, body: unknown, headers?: Record<string, string>) =>
      call('POST', path, body, headers),
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
