import { type SQL, and, eq, ilike, or, sql } from 'drizzle-orm';
import { type Cable, type ColourScheme, fiberCount, readSearch } from '@cordel/core';
import { closures, splices } from '../db/schema.ts';

/**
 * The condition on `splices` joined to `closures` that a search line asks for. Which fibers answer is
 * found in core, from make-ups and colors; the database only compares numbers.
 */
export function searchCondition(
  line: string,
  cables: readonly Cable[],
  schemes: ReadonlyMap<string, ColourScheme>,
): SQL | undefined {
  const { tray, text, fibers } = readSearch(line, cables, schemes);
  // What a list said of a splice besides its place, such as the name of its circuit, is found too.
  const parts: (SQL | undefined)[] = text.map((word) => {
    const like = `%${word.replace(/[%_\\]/g, '\\$&')}%`;
    const named = cables.flatMap(({ id, name }) =>
      name.toLowerCase().includes(word) ? [or(eq(splices.cableA, id), eq(splices.cableB, id))] : [],
    );
    return or(
      ilike(closures.name, like),
      sql`exists (select from jsonb_each_text(${splices.extra}) said where said.value ilike ${like})`,
      ...named,
    );
  });
  if (tray !== null) parts.push(eq(splices.tray, tray));
  if (fibers) {
    const sides = cables.flatMap((cable) => {
      const numbers = fibers.get(cable.id) ?? [];
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
