import type {
  Assembly,
  Cable,
  Closure,
  ColourScheme,
  Evidence,
  Hardware,
  Instrument,
  InstrumentEntry,
  Project,
  SetAside,
} from '@cordel/core';
import type { ClosingEntry, Photo } from '@cordel/core/closing';

/** A project as the list of all has it. */
export type ListedProject = Project & { archived: boolean };

/** A photo without its bytes, and one that waits to be sent with them. */
export type ShownPhoto = Pick<Photo, 'id' | 'closureId' | 'by' | 'at'> & { bytes?: string };

/** The rows of each kind that a page shows. */
export interface Rows {
  projects: ListedProject;
  cables: Cable;
  closures: Closure;
  schemes: ColourScheme;
  hardware: Hardware;
  instruments: Instrument;
  assemblies: Assembly;
  /** Ids of records that are out of the way. */
  archived: { id: string };
  evidence: Evidence;
  closing: ClosingEntry;
  photos: ShownPhoto;
  instrumentLog: InstrumentEntry;
  setAside: SetAside;
}

export type TableName = keyof Rows;

/** Tables of rows by their names; a snapshot holds some of them. */
export type Tables = { readonly [Name in TableName]?: readonly Rows[Name][] };

/** What a page has of a project, of a closure, or of all projects: the tables that it holds. */
export type Snapshot = {
  /** The project that its rows are of. */
  readonly projectId?: string;
  /** The closure that its rows are of. */
  readonly closureId?: string;
} & Tables;

/** What names a row among those of its kind. */
export const keyOf = <Name extends TableName>(row: Rows[Name]): string =>
  'id' in row ? row.id : row.closureId;
