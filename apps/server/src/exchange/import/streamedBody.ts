import { JSONParser } from '@streamparser/json';
import { z } from '@hono/zod-openapi';
import { FILE_LISTS, type FileList, MOST_ROWS } from '@cordel/core/document';
import { exchangeProblems as say } from '@cordel/text/server/exchange';
import { BoundsWatch, type Exceeded, JSON_BOUNDS } from '../../http/bounds.ts';
import { atPlace, withPlace, Problem } from '../../http/problem.ts';
import { EXCEEDED, badText, refuseText } from '../../http/text.ts';

type List = keyof typeof MOST_ROWS;

const LISTS = Object.keys(MOST_ROWS) as List[];
const SINGLE = ['format', 'version', 'project'];

/** A row with the bytes of its file. */
const withFile = z.object({ id: z.string(), bytes: z.base64() });

const exceeds = (bound: Exceeded): Problem => new Problem(413, EXCEEDED[bound]);

/**
 * Reads a document's JSON as it comes, row by row: its text never lies in memory whole.
 * @param keep takes the bytes of a row's file, which are left out of the row then
 * @returns the document as it was written, to be judged by its schema
 * @throws Problem 400 where it is no JSON, 413 where a bound is exceeded, 422 where a text cannot be kept
 */
export async function readStreamed(
  body: AsyncIterable<Uint8Array> | null,
  keep: (list: FileList, id: string, bytes: Uint8Array) => void,
): Promise<Record<string, unknown>> {
  const document: Record<string, unknown> = {};
  const parser = new JSONParser({
    paths: [
      ...SINGLE.map((name) => `$.${name}`),
      ...LISTS.flatMap((name) => [`$.${name}`, `$.${name}.*`]),
    ],
    keepStack: false,
    stringBufferSize: 64 * 1024,
  });
  let problem: Error | null = null;
  parser.onError = (error) => {
    problem ??= new Problem(400, say('notJson', { message: error.message }));
  };
  parser.onValue = ({ value, key, parent, stack }) => {
    // One that was refused is not read further.
    if (problem) return;
    const bad = badText(value);
    const isRow = stack.length === 2;
    const name = String(isRow ? stack[1]!.key : key);
    if (bad !== null) problem = refuseText(isRow ? `/${name}/${key}${bad}` : `/${name}${bad}`);
    else if (isRow && Array.isArray(parent)) addRow(name as List, value);
    else if (!isRow && Array.isArray(value) && name in MOST_ROWS) document[name] ??= [];
    else if (!isRow) document[name] = value;
  };
  const addRow = (name: List, value: unknown) => {
    const rows = (document[name] ??= []) as unknown[];
    if (rows.length < MOST_ROWS[name]) return void rows.push(withoutFile(name, value));
    const detail = say('tooManyRows', { most: MOST_ROWS[name] });
    problem = new Problem(422, withPlace(`/${name}`, detail), [atPlace(`/${name}`, detail)]);
  };
  const withoutFile = (name: List, row: unknown): unknown => {
    if (!(FILE_LISTS as readonly string[]).includes(name)) return row;
    const read = withFile.safeParse(row);
    if (!read.success) return row;
    keep(name as FileList, read.data.id, new Uint8Array(Buffer.from(read.data.bytes, 'base64')));
    const { bytes: _bytes, ...rest } = row as Record<string, unknown>;
    return rest;
  };
  const watch = new BoundsWatch(JSON_BOUNDS.document);
  for await (const bytes of body ?? []) {
    const bound = watch.look(bytes.length, (at) => bytes[at]!);
    if (bound) throw exceeds(bound);
    if (!problem) parser.write(bytes);
    if (problem) throw problem;
  }
  if (!parser.isEnded) throw new Problem(400, say('cutOff'));
  return document;
}
