import { and, asc, eq } from 'drizzle-orm';
import { writeCsv } from '@cordel/core/csv';
import type { Db } from '../db/client.ts';
import { closures, splices } from '../db/schema.ts';
import { wavelengthsOf } from '../handover/feed.ts';
import { packageColumns } from '../handover/pages.ts';
import { closureRows, fiberRows, routeOrder, trayRows } from '../ledger/queries.ts';
import { refresh } from '../ledger/refresh.ts';
import { getCables, getClosures, getProject } from '../projects/queries.ts';
import { allSchemes } from '../schemes/queries.ts';
import {
  type Column,
  TRAYS,
  closureColumns,
  csvCell,
  fiberColumns,
  spliceColumns,
} from './columns.ts';
import { describer } from './describer.ts';

export const CSV_KINDS = ['fibers', 'trays', 'closures', 'splices'] as const;
export type CsvKind = (typeof CSV_KINDS)[number];

const ALL = { sort: 'route', offset: 0, limit: Number.MAX_SAFE_INTEGER } as const;

/** Rows as CSV (RFC 4180), by the columns that packages have too. */
const csvText = <Row>(columns: readonly Column<Row>[], rows: readonly Row[]): string =>
  writeCsv(
    columns.map(({ title }) => title),
    rows.map((row) => columns.map(({ cell }) => csvCell(cell(row)))),
  );

/** One matter of a project as CSV. */
export async function csvOf(db: Db, projectId: string, kind: CsvKind): Promise<string> {
  const project = await getProject(db, projectId);
  switch (kind) {
    case 'closures':
      return csvText(
        closureColumns(project, await getClosures(db, projectId)),
        (await closureRows(db, projectId)).closures,
      );
    case 'trays':
      return csvText(TRAYS, (await trayRows(db, projectId, ALL)).rows);
    case 'fibers':
      return csvText(
        fiberColumns(await describe(db, projectId)),
        (await fiberRows(db, projectId, ALL)).rows,
      );
    case 'splices': {
      await refresh(db, projectId);
      const rows = await db
        .select(packageColumns)
        .from(splices)
        .innerJoin(closures, eq(closures.id, splices.closureId))
        .where(and(eq(splices.projectId, projectId), eq(splices.live, true)))
        .orderBy(...routeOrder, asc(splices.id));
      const extras = [...new Set(rows.flatMap(({ extra }) => Object.keys(extra)))].sort();
      const wavelengths = await wavelengthsOf(db, project);
      return csvText(spliceColumns(await describe(db, projectId), extras, wavelengths), rows);
    }
  }
}

const describe = async (db: Db, projectId: string) =>
  describer(await getCables(db, projectId), [...(await allSchemes(db)).values()]);
