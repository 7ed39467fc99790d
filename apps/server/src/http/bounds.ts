/** How large a JSON text may be in each way. */
export interface JsonBounds {
  /** Arrays and objects in one another. */
  depth: number;
  /** Elements of arrays and members of objects, all together. */
  values: number;
  /** Signs of one text. */
  text: number;
}

/** Bodies of usual writes, of whole lists, and of whole projects. */
export const JSON_BOUNDS: Record<'usual' | 'whole' | 'document', JsonBounds> = {
  usual: { depth: 24, values: 150_000, text: 2_000_000 },
  whole: { depth: 24, values: 15_000_000, text: 130_000_000 },
  document: { depth: 24, values: 200_000_000, text: 130_000_000 },
};

export type Exceeded = keyof JsonBounds;

const [QUOTE, BACKSLASH, COMMA, OPEN_LIST, CLOSE_LIST, OPEN_OBJECT, CLOSE_OBJECT] = [
  ...'"\\,[]{}',
].map((sign) => sign.charCodeAt(0)) as [number, number, number, number, number, number, number];

/** Holds a JSON text against bounds as it comes, before anything is built of it. */
export class BoundsWatch {
  private depth = 0;
  private values = 0;
  /** Signs of the text that is open; null outside of texts. */
  private text: number | null = null;
  private isEscaped = false;

  constructor(private readonly bounds: JsonBounds) {}

  /**
   * Looks at the next part.
   * @param codeAt its signs or, in UTF-8, its bytes
   * @returns which bound is exceeded; null where all are kept
   */
  look(length: number, codeAt: (at: number) => number): Exceeded | null {
    for (let at = 0; at < length; at++) {
      const sign = codeAt(at);
      if (this.text !== null) {
        if (this.isEscaped) this.isEscaped = false;
        else if (sign === BACKSLASH) this.isEscaped = true;
        else if (sign === QUOTE) {
          this.text = null;
          continue;
        }
        if (++this.text > this.bounds.text) return 'text';
        continue;
      }
      switch (sign) {
        case QUOTE:
          this.text = 0;
          break;
        case COMMA:
          if (++this.values > this.bounds.values) return 'values';
          break;
        case OPEN_LIST:
        case OPEN_OBJECT:
          if (++this.depth > this.bounds.depth) return 'depth';
          if (++this.values > this.bounds.values) return 'values';
          break;
        case CLOSE_LIST:
        case CLOSE_OBJECT:
          this.depth--;
      }
    }
    return null;
  }
}

/** Which bound a JSON text exceeds; null where it keeps all. */
export const exceeded = (json: string, bounds: JsonBounds): Exceeded | null =>
  new BoundsWatch(bounds).look(json.length, (at) => json.charCodeAt(at));
