/** How large a JSON text may be in each way. */
export interface JsonBounds {
  /** Arrays and objects in one another. */
  depth: number;
  /** Elements of arrays and members of objects, all together. */
  values: number;
  /** Characters of one text. */
  text: number;
}

/** Bodies of usual writes, and of whole lists and projects. */
export const JSON_BOUNDS: Record<'usual' | 'whole', JsonBounds> = {
  usual: { depth: 24, values: 150_000, text: 2_000_000 },
  whole: { depth: 24, values: 15_000_000, text: 130_000_000 },
};

export type Exceeded = keyof JsonBounds;

const [QUOTE, BACKSLASH, COMMA, OPEN_LIST, CLOSE_LIST, OPEN_OBJECT, CLOSE_OBJECT] = [
  ...'"\\,[]{}',
].map((sign) => sign.charCodeAt(0)) as [number, number, number, number, number, number, number];

/** Which bound a JSON text exceeds, before anything is built of it; null where it keeps all. */
export function exceeded(json: string, bounds: JsonBounds): Exceeded | null {
  let depth = 0;
  let values = 0;
  for (let at = 0; at < json.length; at++) {
    switch (json.charCodeAt(at)) {
      case QUOTE: {
        const begin = at;
        for (at++; at < json.length; at++) {
          const sign = json.charCodeAt(at);
          if (sign === BACKSLASH) at++;
          else if (sign === QUOTE) break;
        }
        if (at - begin - 1 > bounds.text) return 'text';
        break;
      }
      case COMMA:
        if (++values > bounds.values) return 'values';
        break;
      case OPEN_LIST:
      case OPEN_OBJECT:
        if (++depth > bounds.depth) return 'depth';
        if (++values > bounds.values) return 'values';
        break;
      case CLOSE_LIST:
      case CLOSE_OBJECT:
        depth--;
    }
  }
  return null;
}
