import {
  type LinkEntry,
  type LinkEntryOf,
  type Reference,
  lossBy,
  referencesOf,
} from '@cordel/core';
import type { Column } from '../../exchange/columns.ts';

/** An entry of a link with its reference, and whether a later one corrects it. */
export interface LinkRow {
  entry: LinkEntry;
  cable: string;
  reference: Reference | null;
  isSuperseded: boolean;
}

/** Entries of links as rows of a table, in recorded order. */
export function linkRows(
  entries: readonly LinkEntry[],
  cableName: (id: string) => string,
): LinkRow[] {
  const references = referencesOf(entries);
  const superseded = new Set(
    entries.flatMap((entry) => (entry.kind === 'reference' ? [] : (entry.supersedes ?? []))),
  );
  return entries.map((entry) => ({
    entry,
    cable: entry.kind === 'reference' ? '' : cableName(entry.cableId),
    reference:
      entry.kind === 'reference'
        ? entry
        : entry.kind === 'loss'
          ? (references.get(entry.referenceId) ?? null)
          : null,
    isSuperseded: superseded.has(entry.id),
  }));
}

type Measured = Exclude<LinkEntry, Reference>;

/** What a kind of entry says; nothing for others. */
const of =
  <Kind extends LinkEntry['kind'], Cell>(kind: Kind, cell: (entry: LinkEntryOf<Kind>) => Cell) =>
  ({ entry }: LinkRow): Cell | null =>
    entry.kind === kind ? cell(entry as LinkEntryOf<Kind>) : null;

const measured =
  <Cell>(cell: (entry: Measured) => Cell) =>
  ({ entry }: LinkRow): Cell | null =>
    entry.kind === 'reference' ? null : cell(entry);

export const LINKS: Column<LinkRow>[] = [
  { title: 'entry', width: 12, cell: ({ entry }) => entry.kind },
  { title: 'cable', width: 14, cell: ({ cable }) => cable },
  { title: 'fiber', cell: measured(({ fiber }) => fiber) },
  { title: 'direction', cell: measured(({ direction }) => direction) },
  {
    title: 'wavelength nm',
    cell: ({ entry, reference }) =>
      entry.kind === 'return loss' ? entry.wavelengthNm : (reference?.wavelengthNm ?? null),
  },
  {
    title: 'loss dB',
    format: '0.000',
    cell: ({ entry, reference }) =>
      entry.kind === 'loss' && reference ? lossBy(entry, reference) / 1000 : null,
  },
  {
    title: 'power dBm',
    format: '0.000',
    cell: of('loss', ({ powerMdbm }) => powerMdbm && powerMdbm / 1000),
  },
  {
    title: 'return loss dB',
    format: '0.000',
    cell: of('return loss', ({ lossMdb }) => lossMdb / 1000),
  },
  { title: 'light seen', cell: of('continuity', ({ seen }) => seen) },
  { title: 'at fiber', cell: of('continuity', ({ seenFiber }) => seenFiber) },
  {
    title: 'reference dBm',
    format: '0.000',
    cell: ({ reference }) => reference && reference.powerMdbm / 1000,
  },
  { title: 'test cords', cell: ({ reference }) => reference?.cords ?? null },
  { title: 'source', width: 14, cell: ({ reference }) => reference?.source ?? null },
  {
    title: 'meter',
    width: 14,
    cell: ({ entry, reference }) =>
      entry.kind === 'return loss' ? entry.meter : (reference?.meter ?? null),
  },
  { title: 'calibrated until', cell: ({ reference }) => reference?.calibratedUntil ?? null },
  {
    title: 'at (UTC)',
    width: 22,
    format: 'yyyy-mm-dd hh:mm:ss',
    cell: ({ entry }) => new Date(entry.at),
  },
  { title: 'by', width: 14, cell: ({ entry }) => entry.by },
  { title: 'origin', cell: ({ entry }) => entry.origin },
  {
    title: 'counts',
    cell: ({ entry, isSuperseded }) =>
      isSuperseded || (entry.kind !== 'reference' && entry.void) ? 'taken back' : 'yes',
  },
];
