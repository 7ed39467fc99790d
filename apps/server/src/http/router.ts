import { OpenAPIHono, z } from '@hono/zod-openapi';
import { idSchema } from '@cordel/core';
import type { Actor } from '../accounts/actor.ts';
import type { Db } from '../db/client.ts';
import { fromZod, problemSchema } from './problem.ts';

/** What every handler can reach. */
export type Env = {
  Variables: {
    db: Db;
    /** Who the request is from. */
    actor: Actor;
    /** By how much our clock is ahead of the client's, ms; 0 within what two clocks may differ by. */
    clockOffMs: number;
    /** Finds out anew, for an answer that goes on. */
    authenticateAgain: () => Promise<Actor>;
  };
};

/** A router whose validation errors are problem documents. */
export const router = () =>
  new OpenAPIHono<Env>({
    defaultHook: (result) => {
      if (!result.success) throw fromZod(result.error);
    },
  });

const json = <Schema extends z.ZodType>(schema: Schema) => ({ 'application/json': { schema } });

/** The OpenAPI part of a JSON body. */
export const jsonBody = <Schema extends z.ZodType>(schema: Schema) => ({
  required: true,
  content: json(schema),
});

/**
 * A record to be saved, with the record as whoever saves it had read it: what others have changed since is kept.
 */
export const changedSchema = <Schema extends z.ZodType>(schema: Schema) =>
  z.intersection(schema, z.object({ base: schema.optional() })) as unknown as z.ZodType<
    z.output<Schema> & { base?: z.output<Schema> },
    z.input<Schema> & { base?: z.input<Schema> }
  >;

const problemBody = { 'application/problem+json': { schema: problemSchema } };

/** The OpenAPI part of what a route answers: a body on success, a problem otherwise. */
export const answers = <Schema extends z.ZodType>(schema: Schema, description: string) => ({
  200: { description, content: json(schema) },
  default: { description: 'A problem document (RFC 9457)', content: problemBody },
});

/** The same of a route that answers with a file. */
export const answersFile = (type: string, description: string) => ({
  ...answers(z.unknown(), description),
  200: { description, content: { [type]: { schema: z.string() } } },
});

/** Path parameters that are ids. */
export const idParams = <Name extends string>(...names: Name[]) =>
  z.object(
    Object.fromEntries(names.map((name) => [name, idSchema])) as Record<Name, typeof idSchema>,
  );

/** What a write answers when there is nothing more to say. */
export const savedSchema = z.object({ id: z.string() });
