import type {
  Assembly,
  Cable,
  Closure,
  ClosureRow,
  ColourScheme,
  Figure,
  Hardware,
  KeptTrace,
  Paper,
  Project,
  Ruling,
  SpliceRow,
  TallyRow,
} from '@cordel/core';
import type {
  ChainLink,
  Checkpoint,
  ClosureRecord,
  ClosingState,
  Photo,
  SignedRecord,
} from '@cordel/core/close';
import type { ProjectDocument } from '@cordel/core/document';

/** A splice with its verdict, who made it when, what counts, and the columns its list brought along. */
export type PackageSplice = SpliceRow & {
  extra: Record<string, string>;
  madeBy: string | null;
  madeAt: Date | null;
  ruling: Pick<Ruling, 'kind' | 'by' | 'at' | 'why'> | null;
  figures: Figure[];
};

/** A splice that was removed, as it was judged while it lay, and the word that says so. */
export type RetiredSplice = PackageSplice & { retirement: Ruling };

/** All of a closure but its splices and evidence. */
export interface PackageClosure {
  closure: Closure;
  row: ClosureRow;
  hardware: Hardware | null;
  assembly: Assembly | null;
  state: ClosingState;
  closing: ClosureRecord['closing'];
  signed: SignedRecord[];
  /** Splices that were removed, each with the word that says so. */
  retired: RetiredSplice[];
  /** Skips and waivers in recorded order. */
  rulings: Ruling[];
}

/** What a package is made of, in the order in which its builder takes it in. */
export type PackageMessage =
  | {
      kind: 'open';
      /** Folder to make it in, and the file that comes of it. */
      folder: string;
      file: string;
      paper: Paper;
      title: string;
      /** The closure it is of; null for the whole project. */
      closureId: string | null;
      project: Project;
      cables: Cable[];
      schemes: ColourScheme[];
      closures: Closure[];
      rows: ClosureRow[];
      tally: TallyRow;
      /** Titles of columns that splice lists brought along. */
      extras: string[];
      /** Wavelengths that anything is measured at or asked for, nm. */
      wavelengths: number[];
      /** When the newest entry was made: nothing else says of when the record is. */
      moment: string;
      /** What the server signed of the record's chain; null where nothing was recorded. */
      checkpoint: Checkpoint | null;
      /** The whole project but for what comes one by one; null for a closure. */
      document: Omit<ProjectDocument, StreamedPart> | null;
    }
  | { kind: 'closure'; closure: PackageClosure }
  | { kind: 'splices'; splices: PackageSplice[] }
  /** Entries of evidence, as JSON. */
  | { kind: 'evidence'; json: string }
  /** A photo of the closure that is under way. */
  | { kind: 'photo'; photo: Photo }
  | { kind: 'trace'; trace: KeptTrace; words: string }
  /** The same photo again, for the document. */
  | { kind: 'document photo'; photo: Photo }
  /** The record of the one closure that the package is of. */
  | { kind: 'record'; record: ClosureRecord }
  /** Links of the record's chain, in their order, and at its end what the server signed. */
  | { kind: 'chain'; links: ChainLink[]; checkpoint: Checkpoint | null }
  | { kind: 'finish' };

/** Parts of a document that come one by one. */
export type StreamedPart = 'splices' | 'evidence' | 'traces' | 'photos';

/** What the builder answers to each. */
export type MakerAnswer =
  | { kind: 'taken' }
  | { kind: 'made'; size: number; digest: string }
  | { kind: 'failed'; words: string };
