import { createHash } from 'node:crypto';
import JSZip from 'jszip';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import type { ProjectDocument } from '@cordel/core/document';
import { v7 as uuid } from 'uuid';
import { type TestApi, startApi } from './api.ts';
import { demoPart } from './demoPart.ts';
import { TOLD } from './small.ts';

interface Shown {
  id: string;
  state: string;
  problem: string | null;
  done: number;
  total: number;
  size: number;
  digest: string;
}

/** A cell that a spreadsheet would run. */
export const AWKWARD = '=1+1';

/** A JPEG of one pixel. */
export const ONE_PIXEL =
  '/9j/4AAQSkZJRgABAQEASABIAAD/2wBDAP//////////////////////////////////////////////////////////////////////////////////////wAALCAABAAEBAREA/8QAFAABAAAAAAAAAAAAAAAAAAAAA//EABQQAQAAAAAAAAAAAAAAAAAAAAD/2gAIAQEAAD8AN//Z';

/** A part of the demo with columns of an owner's own list, a photo, and no more than a few traces. */
function handoverDocument(): ProjectDocument {
  const document = demoPart(TOLD, 1);
  // Columns of an owner's own list, one of them no formula; a few traces are enough.
  document.splices.forEach((splice, index) => {
    if (index < 3) splice.extra = { 'owner ref': index === 0 ? AWKWARD : `-${index}` };
  });
  const own = document.signed.map(({ closureId }) => closureId);
  document.photos = [
    {
      id: uuid(),
      closureId: document.closures.find(({ id }) => !own.includes(id))!.id,
      by: 'M.',
      at: '2026-05-06T14:00:00.000Z',
      width: 1,
      height: 1,
      bytes: ONE_PIXEL,
    },
  ];
  return document;
}

export interface Handover {
  api: TestApi;
  /** Where the servers make packages. */
  folders: readonly string[];
  document: ProjectDocument;
  call(method: string, path: string, body?: unknown): Promise<Response>;
  /** Asks for a package of a closure, or of the project. */
  ask(closureId?: string | null, paper?: string): Promise<string>;
  packagesOf(): Promise<Shown[]>;
  shown(id: string): Promise<Shown>;
  /** Waits until a package is made, or is given up. */
  made(id: string): Promise<Shown>;
  unzipped(id: string): Promise<JSZip>;
  close(): Promise<void>;
}

/** A server that has the demo and makes packages. */
export async function startHandover(): Promise<Handover> {
  const api = await startApi();
  const document = handoverDocument();
  expect((await api.post('/documents', document)).status).toBe(200);
  const call = async (method: string, path: string, body?: unknown) =>
    api.open(path, {
      method,
      ...(body
        ? { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }
        : {}),
    });
  const packagesOf = async () =>
    (await (await call('GET', `/projects/${document.project.id}/packages`)).json()) as Shown[];
  const shown = async (id: string) => (await packagesOf()).find((one) => one.id === id)!;

  async function ask(closureId: string | null = null, paper = 'A4'): Promise<string> {
    const id = uuid();
    const body = { id, closureId, paper, by: 'M.', at: '2026-06-01T08:00:00.000Z' };
    expect((await call('POST', `/projects/${document.project.id}/packages`, body)).status).toBe(
      200,
    );
    return id;
  }

  async function made(id: string): Promise<Shown> {
    for (;;) {
      const now = await shown(id);
      if (now.state !== 'making' && now.state !== 'stopping') return now;
      await new Promise((done) => setTimeout(done, 100));
    }
  }

  async function unzipped(id: string): Promise<JSZip> {
    const now = await made(id);
    expect(now).toMatchObject({ state: 'done', problem: null });
    const response = await call('GET', `/packages/${id}/file.zip`);
    const bytes = Buffer.from(await response.arrayBuffer());
    expect(bytes.length).toBe(now.size);
    expect(createHash('sha256').update(bytes).digest('hex')).toBe(now.digest);
    return JSZip.loadAsync(bytes, { checkCRC32: true });
  }
  const { folders, close } = api;
  return { api, folders, document, call, ask, packagesOf, shown, made, unzipped, close };
}

export const textOf = (zip: JSZip, path: string) => zip.file(path)!.async('string');
export const jsonOf = async <Value>(zip: JSZip, path: string) =>
  JSON.parse(await textOf(zip, path)) as Value;

/** The words on the pages of a PDF, by another library. */
export const pagesOf = async (zip: JSZip) =>
  wordsOf(await zip.file('as-built.pdf')!.async('uint8array'));

export async function wordsOf(data: Uint8Array): Promise<{ words: string[]; size: number[] }> {
  const pdf = await getDocument({ data, useSystemFonts: false, disableFontFace: true }).promise;
  const words: string[] = [];
  for (let page = 1; page <= pdf.numPages; page++) {
    const { items } = await (await pdf.getPage(page)).getTextContent();
    words.push(items.map((item) => ('str' in item ? item.str : '')).join(' '));
  }
  return { words, size: (await pdf.getPage(1)).view.slice(2) };
}
