import type { Context } from 'hono';
import type { Sentence } from '@cordel/text/problems';
import { httpProblems as say } from '@cordel/text/server/http';
import { type Exceeded, type JsonBounds, exceeded } from './bounds.ts';
import { Problem, atPlace, withPlace } from './problem.ts';

/** What no text holds and no database keeps: NUL, and half of a pair of surrogates. */
const NO_TEXT = /\0|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/;

const DETAIL = say('textUnkeepable');

const pointerKey = (key: string): string => key.replace(/~/g, '~0').replace(/\//g, '~1');

/** The first text of a body that cannot be kept, as a JSON Pointer; null where all can. */
export function badText(body: unknown): string | null {
  // A stack of its own: bodies may be nested deeper than calls.
  const left: [value: unknown, place: string][] = [[body, '']];
  for (let next = left.pop(); next; next = left.pop()) {
    const [value, place] = next;
    if (typeof value === 'string' && NO_TEXT.test(value)) return place;
    if (typeof value !== 'object' || value === null) continue;
    for (const [key, part] of Object.entries(value)) {
      const at = `${place}/${pointerKey(key)}`;
      if (NO_TEXT.test(key)) return at;
      if (typeof part === 'string' || typeof part === 'object') left.push([part, at]);
    }
  }
  return null;
}

/** What a JSON text with such a character holds, raw or escaped. */
const SUSPECT = /\0|\\u0000|[\ud800-\udfff]|\\u[dD][89a-fA-F]/;

export const EXCEEDED: Record<Exceeded, Sentence> = {
  depth: say('nestedTooDeep'),
  values: say('tooManyEntries'),
  text: say('textTooLong'),
};

/**
 * Refuses a request whose path, query or JSON body holds what is no text, or more than any real one.
 * @param bounds of its body; null for one that is read as it comes
 * @throws Problem 413 where a bound is exceeded, 422 at the place of the text
 */
export async function refuseBadText(c: Context, bounds: JsonBounds | null): Promise<void> {
  for (const [name, values] of Object.entries(c.req.queries()))
    if (values.some((value) => NO_TEXT.test(value))) refuse(`?${name}`);
  if (NO_TEXT.test(safeDecode(c.req.path))) refuse('path');
  if (!bounds || !/json/.test(c.req.header('content-type') ?? '')) return;
  const text = await c.req.text();
  const exceeds = exceeded(text, bounds);
  if (exceeds) throw new Problem(413, EXCEEDED[exceeds]);
  let body: unknown;
  try {
    body = JSON.parse(text);
  } catch {
    return;
  }
  // Whoever reads the body next gets the same one, and the text is let go: Hono would read it again.
  c.req.json = <Body>() => Promise.resolve(body as Body);
  c.req.bodyCache = {};
  if (!SUSPECT.test(text)) return;
  const place = badText(body);
  if (place !== null) refuse(place);
}

function safeDecode(path: string): string {
  try {
    return decodeURIComponent(path);
  } catch {
    return path;
  }
}

/** The refusal of a text that cannot be kept, at its place. */
export function refuseText(place: string): Problem {
  return new Problem(422, withPlace(place, DETAIL), [atPlace(place, DETAIL)]);
}

function refuse(place: string): never {
  throw refuseText(place);
}
