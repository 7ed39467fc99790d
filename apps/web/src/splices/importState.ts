import type { ColumnMatch, Method } from '@cordel/core';
import type { CsvNote, CsvProblem } from '@cordel/core/csv';
import type { SheetNote, WorkbookProblem } from '@cordel/core/xlsx';
import type { TypedMakeUp } from '@/kit/typedMakeUp';
import type { ListPreview } from './list.worker';

/** A cable the list names and the project does not have, as its make-up is typed. */
export interface NewCable {
  id: string;
  name: string;
  typed: TypedMakeUp;
  schemeId: string;
  /** Whether a person has changed what was proposed; such a cable stays as it is when the list changes. */
  edited: boolean;
}

interface OpenFile {
  name: string;
  header: string[];
  rows: number;
  sample: string[][];
  /** What of a workbook was passed over. */
  notes: (SheetNote | CsvNote)[];
  /** The sheets of a workbook, and the one that is read; none in a text file. */
  sheets: string[];
  sheet: string;
  /** The row the titles stand in, from 1. */
  titlesRow: number;
  bytes: Uint8Array;
}

/** What takes a while, and how far it is. */
export type ImportWork =
  | { code: 'reading'; name: string; rows: number | null }
  | { code: 'checking'; rows: number; of: number }
  | { code: 'importing'; splices: number };

export type ImportError =
  | { code: 'file'; name: string; problem: CsvProblem | WorkbookProblem }
  /** What the project has already was not read: nothing can be checked against it. */
  | { code: 'projectUnread'; error: Error }
  | { code: 'refused'; error: Error };

interface ImportResult {
  splices: number;
  closures: number;
  cables: number;
}

/** How far a list has come: file, columns, cables, preview, import. */
export interface ImportState {
  file: OpenFile | null;
  match: ColumnMatch | null;
  method: Method;
  newCables: NewCable[];
  openCable: string | null;
  preview: ListPreview | null;
  /** A list that is typed or pasted; null where none is. */
  pasted: string | null;
  work: ImportWork | null;
  error: ImportError | null;
  result: ImportResult | null;
}

export const NO_IMPORT: ImportState = {
  file: null,
  match: null,
  method: 'single',
  newCables: [],
  openCable: null,
  preview: null,
  pasted: null,
  work: null,
  error: null,
  result: null,
};

export type ImportEvent =
  | { code: 'reading'; name: string }
  | { code: 'rowsRead'; rows: number }
  | { code: 'read'; file: OpenFile; match: ColumnMatch }
  | { code: 'notRead'; name: string; problem: CsvProblem | WorkbookProblem }
  | { code: 'matched'; match: ColumnMatch }
  | { code: 'methodChosen'; method: Method }
  /** Cables that the columns name and the project does not have, as they are proposed. */
  | { code: 'cablesFound'; cables: NewCable[] }
  | { code: 'cableEdited'; cable: NewCable }
  | { code: 'cableOpened'; name: string | null }
  | { code: 'checking'; rows: number; of: number }
  | { code: 'checked'; preview: ListPreview }
  | { code: 'projectUnread'; error: Error }
  | { code: 'projectRead' }
  /** A cell has another value now. */
  | { code: 'fixed' }
  | { code: 'importing' }
  | { code: 'imported'; result: ImportResult }
  | { code: 'refused'; error: Error }
  | { code: 'pasted'; text: string };

/** What is being imported, or is in, is checked no more: it would clash with itself. */
export const isSettled = ({ work, result }: ImportState): boolean =>
  work?.code === 'importing' || result !== null;

/** The state after an event. What a person typed outlives every event but the choice of another file. */
export function importReducer(state: ImportState, event: ImportEvent): ImportState {
  switch (event.code) {
    case 'reading': {
      const work = { ...event, rows: null };
      return { ...state, preview: null, error: null, result: null, work };
    }
    case 'rowsRead':
      // What the worker told before its answer may come after it.
      if (state.work?.code !== 'reading') return state;
      return { ...state, work: { ...state.work, rows: event.rows } };
    case 'read':
      return { ...state, file: event.file, match: event.match, work: null };
    case 'notRead': {
      const { name, problem } = event;
      return { ...state, file: null, work: null, error: { code: 'file', name, problem } };
    }
    case 'matched':
      return { ...state, match: event.match };
    case 'methodChosen':
      return { ...state, method: event.method };
    case 'cablesFound':
      return { ...state, newCables: event.cables.map((cable) => editedOr(state, cable)) };
    case 'cableEdited': {
      const edited = { ...event.cable, edited: true };
      const newCables = state.newCables.map((cable) =>
        cable.name === edited.name ? edited : cable,
      );
      return { ...state, newCables };
    }
    case 'cableOpened':
      return { ...state, openCable: event.name };
    case 'checking':
      return isSettled(state) ? state : { ...state, work: event };
    case 'checked':
      return isSettled(state) ? state : { ...state, preview: event.preview, work: null };
    case 'projectUnread':
      return isSettled(state) ? state : { ...state, work: null, error: event };
    case 'projectRead':
      return state.error?.code === 'projectUnread' ? { ...state, error: null } : state;
    case 'fixed':
      // Another file to whoever follows it: it is checked again.
      return { ...state, error: null, file: state.file && { ...state.file } };
    case 'importing': {
      const work = { code: 'importing' as const, splices: state.preview?.splices ?? 0 };
      return { ...state, error: null, work };
    }
    case 'imported':
      return { ...state, work: null, result: event.result };
    case 'refused':
      return { ...state, work: null, error: event };
    case 'pasted':
      return { ...state, pasted: event.text };
  }
}

/** A cable as a person has changed it, or as it is proposed. */
const editedOr = ({ newCables }: ImportState, proposed: NewCable): NewCable =>
  newCables.find(({ name, edited }) => edited && name === proposed.name) ?? proposed;
