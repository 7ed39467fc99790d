import type { Evidence } from '@cordel/core';
import type { ClosureRecord, Photo } from '@cordel/core/close';
import type { PlacedEvidence } from '../../../exchange/columns.ts';
import type { DescribeFiber } from '../../../exchange/describer.ts';
import type { PackageClosure, PackageMessage, PackageSplice } from '../../messages.ts';
import type { PackageFile } from '../file.ts';

type Message<Kind extends PackageMessage['kind']> = Extract<PackageMessage, { kind: Kind }>;
export type OpenMessage = Message<'open'>;
export type TraceMessage = Message<'trace'>;
export type ChainMessage = Message<'chain'>;

/** What all writers of a package share. */
export interface PackageContext {
  open: OpenMessage;
  describe: DescribeFiber;
  /** A name that every system takes, and that no other file of the package has. */
  fileName(name: string, rest: string): string;
}

/** A closure of which all has come. */
export interface WholeClosure {
  own: PackageClosure;
  splices: readonly PackageSplice[];
  photos: readonly Photo[];
}

/**
 * Writes one kind of file of a package from the parts as they come, in the order of the members here; closures,
 * splices and photos again for each closure. A writer has the members for the parts that it needs.
 */
export interface PackageWriter {
  /** A closure begins: its splices and photos come next. */
  closure?(own: PackageClosure): Promise<void>;
  splices?(rows: readonly PackageSplice[]): Promise<void>;
  photo?(photo: Photo): Promise<void>;
  wholeClosure?(closure: WholeClosure): Promise<void>;
  evidence?(placed: readonly PlacedEvidence[], entries: readonly Evidence[]): Promise<void>;
  trace?(message: TraceMessage, bytes: Uint8Array): Promise<void>;
  documentPhoto?(photo: Photo): Promise<void>;
  record?(record: ClosureRecord): Promise<void>;
  chain?(message: ChainMessage): Promise<void>;
  /** Ends what is open. @returns all files that it wrote */
  finish(): Promise<PackageFile[]>;
}
