/** An OpenAPI document, as far as requests are made from it. */
export interface ApiDocument {
  paths: Record<string, Record<string, Operation>>;
  components?: { schemas?: Record<string, Schema> };
}
interface Operation {
  parameters?: { name: string; in: 'path' | 'query'; schema: Schema }[];
  requestBody?: { content: Record<string, { schema: Schema }> };
}
interface Schema {
  $ref?: string;
  type?: string | string[];
  const?: unknown;
  enum?: unknown[];
  anyOf?: Schema[];
  oneOf?: Schema[];
  allOf?: Schema[];
  items?: Schema | false;
  prefixItems?: Schema[];
  properties?: Record<string, Schema>;
  additionalProperties?: Schema | boolean;
  required?: string[];
  minimum?: number;
  maximum?: number;
  minItems?: number;
  maxItems?: number;
  minLength?: number;
  maxLength?: number;
  format?: string;
  pattern?: string;
}

export interface FuzzRequest {
  method: string;
  path: string;
  body: string | null;
}

/** Numbers from 0 to 1, the same from a seed (mulberry32, public domain). */
export function randomFrom(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
  };
}

/** What nobody means to send, each in the place of something that was meant. */
const HOSTILE: readonly unknown[] = [
  null,
  true,
  '',
  ' ',
  'a\0b',
  '\0',
  'cut \ud83e',
  '\udde8 half',
  'constructor',
  '__proto__',
  'toString',
  'x'.repeat(5000),
  '9'.repeat(400),
  '=1+1',
  '％00',
  '\u202e\ufeff\uffff\ufffe',
  "'; drop table projects; --",
  'javascript:alert(1)',
  '../../../etc/passwd',
  '0000-01-01T00:00:00.000Z',
  '9999-12-31T23:59:59.999Z',
  '2026-02-30T00:00:00Z',
  '+275760-09-13T00:00:00.000Z',
  '00000000-0000-0000-0000-000000000000',
  0,
  -0,
  -1,
  0.1,
  2 ** 31,
  -(2 ** 31) - 1,
  2 ** 53,
  1e21,
  1e308,
  -1e308,
  5e-324,
  [],
  {},
  [[[[[[[[]]]]]]]],
  { constructor: 1, prototype: 2 },
];

const ID_MEMBER =
  /"(\w*id|\w+Id|cable[AB])":"([0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[0-9a-f]{4}-[0-9a-f]{12})"/g;
const MOST_IDS = 3000;
const LONG = /proof|budget|circuits|csv|document|geojson|traces$|otdr|packages/;

/** What a plain `id` in the answers of a path is the id of, but for writes. */
const OWN_IDS: readonly [path: RegExp, name: string][] = [
  [/^\/api\/projects$/, 'projectId'],
  [/\/ledger\/splices/, 'spliceId'],
  [/\/work$/, 'spliceId'],
  [/\/packages$/, 'packageId'],
  [/\/traces$/, 'traceId'],
];

const ownIdOf = (path: string): string =>
  OWN_IDS.find(([pattern]) => pattern.test(path.replace(/\?.*/, '')))?.[1] ?? 'id';

/** Makes requests from a server's own description of itself: mostly such as are meant, with one thing wrong. */
export class Fuzzer {
  private readonly operations: { method: string; path: string; operation: Operation }[];
  private readonly schemas: Record<string, Schema>;
  /** Ids that the server has given, by what they are called: requests that name them get further. */
  private readonly ids = new Map<string, string[]>();
  private readonly known = new Set<string>();

  constructor(
    document: ApiDocument,
    private readonly random: () => number,
    without: RegExp,
  ) {
    this.schemas = document.components?.schemas ?? {};
    this.operations = Object.entries(document.paths).flatMap(([path, methods]) =>
      Object.entries(methods)
        .filter(() => !without.test(path))
        .map(([method, operation]) => ({ method: method.toUpperCase(), path, operation })),
    );
  }

  /**
   * Remembers the ids in an answer.
   * @param own what a plain `id` in it is the id of
   */
  learn(text: string, own = 'id'): void {
    for (const [, key, id] of text.matchAll(ID_MEMBER)) {
      const name = key === 'id' ? own : key!;
      if (this.known.has(`${name} ${id}`)) continue;
      this.known.add(`${name} ${id}`);
      const pool = this.ids.get(name) ?? [];
      this.ids.set(name, pool);
      if (pool.length < MOST_IDS) pool.push(id!);
      else pool[this.upTo(MOST_IDS)] = id!;
    }
  }

  private idFor(name: string): string | null {
    const pool = this.ids.get(name) ?? this.ids.get('id');
    return pool && this.chance(0.85) ? this.pick(pool) : null;
  }

  /** Every operation once, as requests. */
  eachOnce(): FuzzRequest[] {
    return this.operations.map((operation) => this.requestFor(operation));
  }

  next(): FuzzRequest {
    let chosen = this.pick(this.operations);
    // What takes long to work out is asked now and then only.
    for (let tries = 0; LONG.test(chosen.path) && tries < 3 && this.chance(0.9); tries++)
      chosen = this.pick(this.operations);
    return this.requestFor(chosen);
  }

  private requestFor({
    method,
    path,
    operation,
  }: {
    method: string;
    path: string;
    operation: Operation;
  }): FuzzRequest {
    const query = new URLSearchParams();
    let filled = path;
    for (const { name, in: where, schema } of operation.parameters ?? []) {
      const value = this.chance(0.05) ? this.hostile() : this.valueOf(schema, 0, name);
      if (where === 'path')
        filled = filled.replace(`{${name}}`, percentEncoded(String(value ?? '')) || '%20');
      else if (this.chance(0.6)) query.set(name, String(value));
    }
    const content = operation.requestBody?.content['application/json'];
    const text = [...query].length > 0 ? `${filled}?${query}` : filled;
    if (!content) return { method, path: text, body: null };
    const body = this.valueOf(content.schema, 0);
    return { method, path: text, body: this.spoilt(JSON.stringify(this.mutated(body))) };
  }

  private spoilt(json: string): string {
    if (!this.chance(0.01)) return json;
    return this.chance(0.5) ? json.slice(0, this.upTo(json.length)) : `${'['.repeat(5000)}${json}`;
  }

  /** A body with one of its parts changed for something hostile, as often as not. */
  private mutated(body: unknown): unknown {
    if (this.chance(0.35)) return body;
    const places: [holder: Record<string, unknown>, key: string][] = [];
    const look = (value: unknown): void => {
      if (typeof value !== 'object' || value === null) return;
      for (const [key, part] of Object.entries(value)) {
        places.push([value as Record<string, unknown>, key]);
        look(part);
      }
    };
    look(body);
    if (places.length === 0) return this.hostile();
    for (let count = this.chance(0.8) ? 1 : 3; count > 0; count--) {
      const [holder, key] = this.pick(places);
      if (this.chance(0.1)) delete holder[key];
      // A figure as the key of a list would make it that long.
      else if (!Array.isArray(holder) && this.chance(0.05))
        holder[String(this.hostile())] = this.hostile();
      else holder[key] = this.hostile();
    }
    return body;
  }

  private valueOf(given: Schema, depth: number, name = 'id'): unknown {
    const schema = given.$ref ? this.schemas[given.$ref.split('/').at(-1)!]! : given;
    if ('const' in schema) return schema.const;
    if (schema.enum) return this.pick(schema.enum);
    const choices = schema.anyOf ?? schema.oneOf;
    if (choices) return this.valueOf(this.pick(choices), depth, name);
    if (schema.allOf)
      return Object.assign({}, ...schema.allOf.map((part) => this.valueOf(part, depth, name)));
    const type = Array.isArray(schema.type) ? this.pick(schema.type) : schema.type;
    switch (type) {
      case 'object': {
        const required = new Set(schema.required);
        const named = Object.entries(schema.properties ?? {})
          .filter(([key]) => required.has(key) || this.chance(0.6))
          .map(([key, part]) => [key, this.valueOf(part, depth + 1, key)]);
        return Object.fromEntries(named);
      }
      case 'array': {
        if (schema.prefixItems)
          return schema.prefixItems.map((part) => this.valueOf(part, depth + 1));
        const least = schema.minItems ?? 0;
        const count = Math.max(least, Math.min(schema.maxItems ?? 3, this.upTo(depth > 3 ? 2 : 4)));
        return Array.from({ length: count }, () =>
          schema.items ? this.valueOf(schema.items, depth + 1, name.replace(/s$/, '')) : null,
        );
      }
      case 'integer':
      case 'number':
        return this.numberOf(schema, type);
      case 'boolean':
        return this.chance(0.5);
      case 'null':
        return null;
      case 'string':
        return this.textOf(schema, name);
      default:
        return this.pick([null, 1, 'text', [], {}]);
    }
  }

  private numberOf({ minimum, maximum }: Schema, type: string): number {
    const [from, to] = [minimum ?? -1000, maximum ?? 100_000];
    if (this.chance(0.1)) return this.chance(0.5) ? from : to;
    const value = from + this.random() * (Math.min(to, from + 5000) - from);
    return type === 'integer' ? Math.round(value) : value;
  }

  private textOf({ format, pattern, minLength = 0, maxLength = 40 }: Schema, name: string): string {
    if (format === 'uuid' || /0-9a-fA-F\]\{8\}/.test(pattern ?? '')) {
      const known = this.idFor(name);
      if (known) return known;
      const hex = (digits: number) =>
        Array.from({ length: digits }, () => this.upTo(16).toString(16)).join('');
      return `019da9e7-${hex(4)}-7${hex(3)}-8${hex(3)}-${hex(12)}`;
    }
    if (format === 'date-time')
      return new Date(1.75e12 + Math.floor(this.random() * 3e10)).toISOString();
    if (format === 'uri') return 'http://localhost:8044';
    if (format === 'base64') return Buffer.from('not a picture').toString('base64');
    if (pattern && /0-9a-f\]\{64\}/.test(pattern)) return 'ab'.repeat(32);
    const words = ['Mill', 'Ford lane', 'A 7/12', 'M. Quill', 'BL/OR', 'Café', '測試', '🧵'];
    const text = this.pick(words).padEnd(minLength, 'x');
    return text.slice(0, Math.max(minLength, maxLength));
  }

  /** A value of its own each time, for it may be changed later. */
  private hostile(): unknown {
    return structuredClone(this.pick(HOSTILE));
  }
  private pick<Value>(list: readonly Value[]): Value {
    return list[this.upTo(list.length)]!;
  }
  private upTo(count: number): number {
    return Math.floor(this.random() * count);
  }
  private chance(share: number): boolean {
    return this.random() < share;
  }
}

/** As a client writes it that does not care what is in it. */
function percentEncoded(text: string): string {
  return [...Buffer.from(text, 'utf8')]
    .map((byte) => `%${byte.toString(16).padStart(2, '0')}`)
    .join('')
    .slice(0, 3000);
}

export interface FuzzReport {
  seed: number;
  requests: number;
  /** How many answers of each status. */
  statuses: Record<number, number>;
  /** Requests that the server failed over, as they were sent. */
  failures: { status: number | string; request: FuzzRequest; answer: string }[];
  /** The longest that somebody else waited for a plain answer, in ms. */
  longestStopMs: number;
}

interface FuzzOptions {
  count: number;
  seed: number;
  lanes?: number;
  /** Headers of whoever sends the requests. */
  as?: Record<string, string>;
  /** Headers of somebody who may read what requests are made of. */
  reads?: Record<string, string>;
  /** Paths that are not asked. */
  without?: RegExp;
  /** Whether every route is asked once before the others by chance. */
  everyRoute?: boolean;
}

/** Sends requests, several at a time, and asks beside them how long the server keeps others waiting. */
export async function fuzz(
  url: string,
  // A stream does not end by itself.
  {
    count,
    seed,
    lanes = 4,
    as = {},
    reads = as,
    without = /\/stream$/,
    everyRoute = false,
  }: FuzzOptions,
): Promise<FuzzReport> {
  const document = (await (await fetch(`${url}/api/openapi.json`)).json()) as ApiDocument;
  const fuzzer = new Fuzzer(document, randomFrom(seed), without);
  const learn = async (path: string): Promise<string> => {
    const text = await (await fetch(`${url}${path}`, { headers: reads })).text();
    fuzzer.learn(text, ownIdOf(path));
    return text;
  };
  const projects = JSON.parse(await learn('/api/projects')) as { id: string }[];
  for (const { id } of projects)
    for (const part of ['', '/ledger/closures', '/ledger/splices?limit=200', '/traces', '/bench'])
      await learn(`/api/projects/${id}${part}`);
  const report: FuzzReport = { seed, requests: 0, statuses: {}, failures: [], longestStopMs: 0 };
  let over = false;
  const watch = (async () => {
    while (!over) {
      const begun = performance.now();
      await fetch(`${url}/favicon.ico`).then((answer) => answer.arrayBuffer());
      report.longestStopMs = Math.max(report.longestStopMs, performance.now() - begun);
      await new Promise((resolve) => setTimeout(resolve, 20));
    }
  })();
  const first = everyRoute ? fuzzer.eachOnce() : [];
  const lane = async () => {
    while (report.requests < count || first.length > 0) {
      report.requests++;
      const request = first.shift() ?? fuzzer.next();
      const { method, path, body } = request;
      try {
        const answer = await fetch(`${url}${path}`, {
          method,
          body,
          headers: body === null ? as : { 'content-type': 'application/json', ...as },
        });
        const text = await answer.text();
        report.statuses[answer.status] = (report.statuses[answer.status] ?? 0) + 1;
        if (answer.status >= 500)
          report.failures.push({ status: answer.status, request, answer: text.slice(0, 300) });
        else if (text.length < 200_000) fuzzer.learn(text, ownIdOf(path));
      } catch (error) {
        report.failures.push({
          status: 'no answer',
          request,
          answer: String((error as Error).cause ?? error),
        });
      }
    }
  };
  await Promise.all(Array.from({ length: lanes }, lane));
  over = true;
  await watch;
  return report;
}
