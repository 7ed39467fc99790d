import { z } from '@hono/zod-openapi';
import type { Context } from 'hono';
import { type Message, issueMessage } from '@cordel/core';
import type { Sentence } from '@cordel/text/problems';
import { issueMessageText } from '@cordel/text/record';
import { httpProblems as say } from '@cordel/text/server/http';
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

/** What a text is filled with, by name. */
type Values = NonNullable<Sentence['parameters']>;

export type ProblemPlace = z.infer<typeof problemPlaceSchema>;

const TITLES: Record<number, string> = {
  400: 'Not readable',
  401: 'Not signed in',
  403: 'Not allowed',
  404: 'Not found',
  409: 'Conflict',
  412: 'Changed meanwhile',
  413: 'Too large',
  415: 'Not JSON',
  422: 'Not accepted',
  429: 'Too often',
  500: 'Server error',
  503: 'Not available',
  507: 'No room',
};

/** Thrown anywhere below a route; answered as a problem document. */
export class Problem extends Error {
  override name = 'Problem';
  readonly status: 400 | 401 | 403 | 404 | 409 | 412 | 413 | 415 | 422 | 429 | 500 | 503 | 507;
  /** What is wrong, in English and as data. */
  readonly told: Sentence;
  readonly errors: ProblemPlace[];

  constructor(status: Problem['status'], told: Sentence, errors: ProblemPlace[] = []) {
    super(told.text);
    this.status = status;
    this.told = told;
    this.errors = errors;
  }
}

/** A message of core with its words. */
export function sentence<M extends Message>(text: string, { code, ...rest }: M): Sentence {
  return { text, code, ...(Object.keys(rest).length > 0 && { parameters: rest as Values }) };
}

const asData = ({ code, parameters }: Sentence): Pick<ProblemPlace, 'code' | 'parameters'> => ({
  code,
  ...(parameters && { parameters: { ...parameters } }),
});

/** What is wrong at a place. */
export const atPlace = (place: string, told: Sentence): ProblemPlace => ({
  place,
  detail: told.text,
  ...asData(told),
});

/** A problem at one place. */
export const problemAt = (status: Problem['status'], place: string, told: Sentence): Problem =>
  new Problem(status, told, [atPlace(place, told)]);

/** The same, with its place before it. */
export const withPlace = (place: string, told: Sentence): Sentence => ({
  ...told,
  text: `${place}: ${told.text}`,
});

export const notFound = (what: string): Problem => new Problem(404, say('notFound', { what }));

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
  return error.issues.map((issue) => {
    const place = `/${issue.path.map((key) => String(key).replace(/~/g, '~0').replace(/\//g, '~1')).join('/')}`;
    const message = issueMessage(issue);
    return message
      ? atPlace(place, sentence(issueMessageText(message), message))
      : { place, detail: issue.message };
  });
}

export function fromZod(error: z.ZodError): Problem {
  const places = placesOf(error);
  const first = places[0];
  const told = first
    ? withPlace(first.place, {
        code: first.code ?? 'notAccepted',
        ...(first.parameters && { parameters: first.parameters as Values }),
        text: first.detail,
      })
    : say('notAccepted');
  return new Problem(422, told, places.slice(0, 500));
}

/** Why what a simulator made is refused. */
const SIMULATED = say('simulatedInRealWork');

const UNREACHABLE = say('databaseUnreachable');

const COMING = say('projectBeingImported');

/** Words for what the database refused. */
export function fromDatabase(error: unknown): Problem | null {
  if (isUnreachable(error)) return new Problem(503, UNREACHABLE);
  const cause = (error as { cause?: unknown }).cause ?? error;
  const { code, constraint } = cause as { code?: string; constraint?: string };
  if (code === 'CD001') return new Problem(422, SIMULATED);
  if (code === 'CD002') return new Problem(409, say('simulatedRecorded'));
  if (code === 'CD003') return new Problem(503, COMING);
  const range = OUT_OF_RANGE.get(code ?? '');
  if (range) return new Problem(422, range);
  if (code === '53100') return new Problem(507, say('diskFull'));
  if (code === '23503') return new Problem(422, say('recordUnknown'));
  if (code === '23505') return new Problem(409, UNIQUE[constraint ?? ''] ?? say('hereAlready'));
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
const OUT_OF_RANGE: ReadonlyMap<string, Sentence> = new Map([
  ['22003', say('numberOutOfRange')],
  ['22007', say('timeOutOfRange')],
  ['22008', say('timeOutOfRange')],
  ['22021', say('characterUnkeepable')],
  ['22P02', say('noFigure')],
  ['22P05', say('characterUnkeepable')],
]);

const UNIQUE: Record<string, Sentence> = {
  cables_name: say('cableNameTaken'),
  closures_name: say('closureNameTaken'),
  splices_fiber_a: say('fiberSplicedAlready'),
  splices_fiber_b: say('fiberSplicedAlready'),
};
