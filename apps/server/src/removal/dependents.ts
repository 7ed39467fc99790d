import { sql } from 'drizzle-orm';
import type { RemovableKind } from '@cordel/core';
import { plural } from '@cordel/core';
import { type Db, rowsOf } from '../db/client.ts';
import { plansNaming } from '../plans/queries.ts';

/** So many records of a kind that need another one. */
export interface Dependent {
  noun: string;
  /** Its plural, where it is not made by an s. */
  nouns?: string;
  count: number;
}

type Query = ReturnType<typeof sql>;
type Counted = readonly [noun: string, query: Query, nouns?: string];

/** What came of splices that a plan had dropped, and nobody has decided. */
const undecided = (condition: Query): Query =>
  sql`select count(*)::int from undecided_evidence e join dropped_splices d on d.id = e.splice_id where ${condition}`;

/** What is counted of each kind; each query gives one row with `count`. */
const QUERIES: Record<RemovableKind, (id: string) => readonly Counted[]> = {
  cable: (id) => [
    ['splice', sql`select count(*)::int from splices where cable_a = ${id} or cable_b = ${id}`],
    [
      'closure that it enters',
      sql`select count(*)::int from assemblies where entries @> ${JSON.stringify([{ cableId: id }])}::jsonb`,
      'closures that it enters',
    ],
    [
      'entry that waits for a decision',
      undecided(sql`${id} in (d.splice->>'cableA', d.splice->>'cableB')`),
      'entries that wait for a decision',
    ],
    [
      'trace',
      sql`select count(distinct trace_id)::int as count from trace_places where cable_id = ${id}`,
    ],
    [
      'link measurement',
      sql`select count(*)::int from link_entries where entry->>'cableId' = ${id}`,
    ],
  ],
  closure: (id) => [
    ['splice', sql`select count(*)::int from splices where closure_id = ${id}`],
    ['plan', sql`select count(*)::int from plans where closure_id = ${id} and trim(text) <> ''`],
    [
      'entry that waits for a decision',
      undecided(sql`d.closure_id = ${id}`),
      'entries that wait for a decision',
    ],
    [
      'cable that enters',
      sql`select coalesce(sum(jsonb_array_length(entries)), 0)::int as count from assemblies where closure_id = ${id}`,
      'cables that enter',
    ],
    [
      'closure that branches off there',
      sql`select count(*)::int from closures where branch_of = ${id}`,
      'closures that branch off there',
    ],
    [
      'cable with a sheath mark there',
      sql`select count(*)::int from cables where run -> 'marks' @> ${JSON.stringify([{ closureId: id }])}::jsonb`,
      'cables with a sheath mark there',
    ],
    [
      'entry of its closing',
      sql`select count(*)::int from closing_entries where closure_id = ${id}`,
      'entries of its closing',
    ],
    ['photo', sql`select count(*)::int from photos where closure_id = ${id}`],
    ['package', sql`select count(*)::int from packages where closure_id = ${id}`],
  ],
  project: (id) => [
    [
      'entry of evidence',
      sql`select count(*)::int from (
            select e.id from attempts e join splices s on s.id = e.splice_id where s.project_id = ${id}
            union all select e.id from readings e join splices s on s.id = e.splice_id where s.project_id = ${id}
            union all select e.id from inspections e join splices s on s.id = e.splice_id where s.project_id = ${id}
            union all select e.id from rulings e join splices s on s.id = e.splice_id where s.project_id = ${id}) all_entries`,
      'entries of evidence',
    ],
    [
      'entry that waits for a decision',
      undecided(sql`d.project_id = ${id}`),
      'entries that wait for a decision',
    ],
    ['splicer record', sql`select count(*)::int from splicer_records where project_id = ${id}`],
    ['trace', sql`select count(*)::int from traces where project_id = ${id}`],
    [
      'entry of a closing',
      sql`select count(*)::int from closing_entries e join closures c on c.id = e.closure_id where c.project_id = ${id}`,
      'entries of closings',
    ],
    [
      'photo',
      sql`select count(*)::int from photos e join closures c on c.id = e.closure_id where c.project_id = ${id}`,
    ],
    [
      'entry in the log of an instrument',
      sql`select count(*)::int from instrument_log where project_id = ${id}`,
      'entries in logs of instruments',
    ],
    ['link measurement', sql`select count(*)::int from link_entries where project_id = ${id}`],
    ['package', sql`select count(*)::int from packages where project_id = ${id}`],
  ],
  hardware: (id) => [
    ['closure', sql`select count(*)::int from assemblies where hardware_id = ${id}`],
  ],
  instrument: (id) => [
    ['record', sql`select count(*)::int from splicer_records where splicer_id = ${id}`],
    [
      'entry in its log',
      sql`select count(*)::int from instrument_log where instrument_id = ${id}`,
      'entries in its log',
    ],
  ],
  scheme: (id) => [
    ['project', sql`select count(*)::int from projects where scheme_id = ${id}`],
    ['cable', sql`select count(*)::int from cables where scheme_id = ${id}`],
  ],
};

/** What needs a record, most of all first; none where it can go. */
export async function dependentsOf(db: Db, kind: RemovableKind, id: string): Promise<Dependent[]> {
  const found: Dependent[] = [];
  for (const [noun, query, nouns] of QUERIES[kind](id)) {
    const [row] = await rowsOf<{ count: number }>(db, query);
    if (row!.count > 0) found.push({ noun, nouns, count: row!.count });
  }
  if (kind === 'cable') {
    const count = await plansNaming(db, id);
    if (count > 0) found.push({ noun: 'plan that names it', nouns: 'plans that name it', count });
  }
  return found;
}

/** Such as `12 splices, 1 plan`. */
export const dependentsText = (list: readonly Dependent[]): string =>
  list.map(({ noun, nouns, count }) => plural(count, noun, nouns)).join(', ');
