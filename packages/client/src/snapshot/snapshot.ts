import type {
  Assembly,
  Cable,
  Closure,
  ColourScheme,
  Evidence,
  Hardware,
  Instrument,
  InstrumentEntry,
  LinkEntry,
  Project,
  SetAside,
  TracePlace,
  Upload,
} from '@cordel/core';
import type { ClosingEntry, Photo } from '@cordel/core/closing';
import type { TraceFacts } from '@cordel/core/otdr';

/** A project as the list of all has it. */
export type ListedProject = Project & { archived: boolean };

/** A photo without its bytes; one that waits to be sent names its file, or has its bytes in base 64. */
export type ShownPhoto = Pick<Photo, 'id' | 'closureId' | 'by' | 'at'> & {
  file?: Upload | undefined;
  bytes?: string | undefined;
};

/** A trace with where it belongs, by the last word. */
export interface ShownTrace {
  id: string;
  name: string;
  /** SHA-256 of its file. */
  digest: string;
  /** Null while it waits to be sent. */
  receivedAt: string | null;
  place: TracePlace | null;
  facts: TraceFacts;
}

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
  links: LinkEntry;
  setAside: SetAside;
  traces: ShownTrace;
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
