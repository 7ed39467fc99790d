import { BUILT_IN_SCHEMES, type ColourScheme } from '@cordel/core';
import { schemesProblems as say } from '@cordel/text/server/schemes';
import type { Db } from '../db/client.ts';
import { schemes } from '../db/schema.ts';
import { Problem, problemAt } from '../http/problem.ts';

/** All schemes by id: those that ship and the users' own. */
export async function allSchemes(db: Db): Promise<Map<string, ColourScheme>> {
  const own = await db.select().from(schemes);
  return new Map(
    [...BUILT_IN_SCHEMES, ...own.map((row) => row.record)].map((scheme) => [scheme.id, scheme]),
  );
}

/** Adds a scheme or changes one of the users' own. */
export async function putScheme(db: Db, scheme: ColourScheme): Promise<void> {
  if (BUILT_IN_SCHEMES.some((built) => built.id === scheme.id)) {
    throw new Problem(409, say('builtIn', { name: scheme.name }));
  }
  await db
    .insert(schemes)
    .values({ id: scheme.id, record: scheme })
    .onConflictDoUpdate({ target: schemes.id, set: { record: scheme } });
}

/** A scheme a record names. */
export function schemeNamed(
  all: ReadonlyMap<string, ColourScheme>,
  id: string,
  place: string,
): ColourScheme {
  const scheme = all.get(id);
  if (scheme) return scheme;
  const known = [...all.keys()].join(', ');
  throw problemAt(422, place, say('schemeUnknown', { id, known }));
}
