import { type SQL, and, eq, ilike, or, sql } from 'drizzle-orm';
import {
  type Cable,
  type ColourScheme,
  asksFiber,
  fiberCount,
  matchingFibers,
  readQuery,
} from '@cordel/core';
import { closures, splices } from '../db/schema.ts';

/**
 * The condition on `splices` joined to `closures` that a search line asks for. Which fibers answer is
 * found in core, from make-ups and colours; the database only compares numbers.
 */
export function searchCondition(
  line: string,
  cables: readonly Cable[],
  schemes: ReadonlyMap<string, ColourScheme>,
): SQL | undefined {
  const query = readQuery(
    line,
    cables.map((cable) => cable.name),
    [...schemes.values()],
  );
  const parts: (SQL | undefined)[] = query.text.map((word) =>
    ilike(closures.name, `%${word.replace(/[%_\\]/g, '\\$&')}%`),
  );
  if (query.tray !== null) parts.push(eq(splices.tray, query.tray));
  if (asksFiber(query)) {
    const sides = cables.flatMap((cable) => {
      const scheme = schemes.get(cable.schemeId);
      const numbers = scheme ? matchingFibers(query, cable, scheme) : [];
      if (numbers.length === 0) return [];
      if (numbers.length === fiberCount(cable.makeUp))
        return [or(eq(splices.cableA, cable.id), eq(splices.cableB, cable.id))];
      const set = sql`any(${`{${numbers.join(',')}}`}::int[])`;
      return [
        and(eq(splices.cableA, cable.id), sql`${splices.fiberA} = ${set}`),
        and(eq(splices.cableB, cable.id), sql`${splices.fiberB} = ${set}`),
      ];
    });
    parts.push(sides.length > 0 ? or(...sides) : sql`false`);
  }
  return and(...parts);
}
