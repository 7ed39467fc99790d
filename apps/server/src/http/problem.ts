import { z } from '@hono/zod-openapi';
import type { Context } from 'hono';
import type { Message } from '@cordel/core';
import { DrizzleQueryError } from 'drizzle-orm';
import { databaseCode } from '../db/retry.ts';
import { isUnreachable } from '../db/unreachable.ts';

/** One thing that is wrong, at its place in the input. */
const problemPlaceSchema = z.object({
  /** A JSON Pointer into the body, or `row 7, fiber A` in a list. */
  place: z.string(),
  detail: z.string(),
  /** What is wrong, as data: `detail` says the same in English. */
  code: z.string().optional(),
  parameters: z.record(z.string(), z.unknown()).optional(),
});

/** An error as RFC 9457 (Problem Details for HTTP APIs) has it, with the places that are wrong. */
export const problemSchema = z
  .object({
    type: z.string(),
    title: z.string(),
    status: z.int(),
    detail: z.string(),
    code: z.string().optional(),
    parameters: z.record(z.string(), z.unknown()).optional(),
    errors: z.array(problemPlaceSchema).optional(),
  })
  .openapi('Problem');

export type ProblemPlace = z.infer<typeof problemPlaceSchema>;

const TITLES: Record<number, string> = {
  400: 'Not readable',
  404: 'Not found',
  409: 'Conflict',
  412: 'Changed meanwhile',
  413: 'Too large',
  422: 'Not accepted',
  500: 'Server error',
  503: 'Not available',
  507: 'No room',
};

/** Thrown anywhere below a route; answered as a problem document. */
export class Problem extends Error {
  override name = 'Problem';
  readonly status: 400 | 404 | 409 | 412 | 413 | 422 | 500 | 503 | 507;
  readonly errors: ProblemPlace[];
  /** The same as data. */
  readonly told: Message | null;

  constructor(
    status: Problem['status'],
    detail: string,
    errors: ProblemPlace[] = [],
    told: Message | null = null,
  ) {
    super(detail);
    this.status = status;
    this.errors = errors;
    this.told = told;
  }
}

/** A message as a problem document carries it: its code, and all else as parameters. */
function asData(told: Message | null): Pick<ProblemPlace, 'code' | 'parameters'> {
  if (!told) return {};
  const { code, ...parameters } = told;
  return Object.keys(parameters).length > 0 ? { code, parameters } : { code };
}

/** What is wrong at a place, in English and as data. */
export const problemAt = <M extends Message>(
  place: string,
  detail: string,
  told: M,
): ProblemPlace => ({
  place,
  detail,
  ...asData(told),
});

/** A problem at one place, in English and as data. */
export const problemOf = <M extends Message>(
  status: Problem['status'],
  place: string,
  detail: string,
  told: M,
): Problem => new Problem(status, detail, [problemAt(place, detail, told)], told);

export const notFound = (what: string): Problem =>
  new Problem(404, `There is no such ${what}: it may not have been sent yet.`);

/** A problem as a document (RFC 9457). */
function documentOf(problem: Problem): string {
  return JSON.stringify({
    type: 'about:blank',
    title: TITLES[problem.status],
    status: problem.status,
    detail: problem.message,
    ...asData(problem.told),
    ...(problem.errors.length > 0 ? { errors: problem.errors } : {}),
  });
}

const PROBLEM_TYPE = { 'content-type': 'application/problem+json' };

export const answer = (c: Context, problem: Problem): Response =>
  c.body(documentOf(problem), problem.status, PROBLEM_TYPE);

/** The same where no route is at work. */
export const toResponse = (problem: Problem): Response =>
  new Response(documentOf(problem), { status: problem.status, headers: PROBLEM_TYPE });

/** The places of a Zod error as JSON Pointers. */
function placesOf(error: z.ZodError): ProblemPlace[] {
  return error.issues.map((issue) => ({
    place: `/${issue.path.map((key) => String(key).replace(/~/g, '~0').replace(/\//g, '~1')).join('/')}`,
    detail: issue.message,
  }));
}

export function fromZod(error: z.ZodError): Problem {
  const places = placesOf(error);
  const first = places[0];
  return new Problem(
    422,
    first ? `${first.place}: ${first.detail}` : 'The input is not accepted.',
    places.slice(0, 500),
  );
}

/** Why what a simulator made is refused. */
const SIMULATED =
  'This was simulated, and the project is for real work: simulated figures are recorded in practice projects only. Nothing was recorded.';

const UNREACHABLE =
  'The server cannot reach its database just now. Nothing was recorded; the same request goes through once it can.';

const COMING =
  'This project is still being imported. Nothing was recorded; the same request goes through once it is here.';

/** Words for what the database refused. */
export function fromDatabase(error: unknown): Problem | null {
  if (isUnreachable(error)) return new Problem(503, UNREACHABLE);
  const cause = (error as { cause?: unknown }).cause ?? error;
  const { code, constraint } = cause as { code?: string; constraint?: string };
  if (code === 'CD001') return new Problem(422, SIMULATED);
  if (code === 'CD002')
    return new Problem(
      409,
      'Something simulated is recorded in this project: it stays for practice only. Start a new project for real work.',
    );
  if (code === 'CD003') return new Problem(503, COMING);
  const range = OUT_OF_RANGE.get(code ?? '');
  if (range) return new Problem(422, range);
  if (code === '53100') return new Problem(507, 'The server’s disk is full. Nothing was recorded.');
  if (code === '23503') return new Problem(422, 'It names a record that is not here.');
  if (code === '23505') return new Problem(409, UNIQUE[constraint ?? ''] ?? 'It is here already.');
  return null;
}

/** An error as a log may hold it: what people wrote stays out, and so do the values of statements. */
export function withoutValues(error: unknown): Record<string, unknown> {
  const statement = error instanceof DrizzleQueryError ? error.query : undefined;
  const cause = error instanceof DrizzleQueryError ? error.cause : error;
  if (!(cause instanceof Error)) return { kind: typeof cause };
  const { code, routine, table, constraint } = cause as unknown as Record<string, unknown>;
  const isDatabase = databaseCode(cause) !== undefined;
  return {
    kind: cause.name,
    // PostgreSQL's messages quote what they refuse.
    ...(isDatabase ? { code, routine, table, constraint } : { message: cause.message }),
    statement,
    stack: cause.stack?.split('\n').slice(isDatabase ? 1 : 0),
  };
}

/** Figures and texts that PostgreSQL cannot keep, by its codes (PostgreSQL documentation, appendix A). */
const OUT_OF_RANGE: ReadonlyMap<string, string> = new Map([
  ['22003', 'A number is too large or too small to be kept. Nothing was recorded.'],
  ['22007', 'A time is none that can be kept. Nothing was recorded.'],
  ['22008', 'A time is none that can be kept. Nothing was recorded.'],
  ['22021', 'A text holds a character that cannot be kept. Nothing was recorded.'],
  ['22P02', 'A figure or an id is none. Nothing was recorded.'],
  ['22P05', 'A text holds a character that cannot be kept. Nothing was recorded.'],
]);

const UNIQUE: Record<string, string> = {
  cables_name: 'The project has a cable of that name already: choose another name.',
  closures_name: 'The project has a closure of that name already: choose another name.',
  splices_fiber_a:
    'A fiber is spliced in that closure already: a fiber has one splice in a closure.',
  splices_fiber_b:
    'A fiber is spliced in that closure already: a fiber has one splice in a closure.',
};
