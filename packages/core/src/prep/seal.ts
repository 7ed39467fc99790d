import type { CableEntry, EntryKind, Hardware, Port, SealRow } from '../record/hardware.ts';
import { formatLength } from '../measure/length.ts';
import type { LengthUnit } from '../record/units.ts';
import { type Parsed, parsed, refused } from '../record/parsed.ts';

/** A seal for a cable in a port. */
export interface SealChoice {
  port: string;
  row: SealRow;
  /** Whether the seal is slit, as only an express cable needs. */
  slit: boolean;
  bushing: boolean;
  /** What to know of the choice, such as a diameter on a boundary. */
  notes: string[];
}

/** The diameter of a cable from its circumference, as a wrap-round tape shows it. Same unit in and out. */
export const diameterOf = (circumference: number): number => Math.round(circumference / Math.PI);

/**
 * Chooses the row of a port's table for a measured diameter. On a boundary of two rows the one whose
 * middle is nearer counts.
 * @param diameter in tenths of a millimeter
 * @returns the seal, or what does not fit and what would
 */
export function chooseSeal(
  hardware: Hardware,
  port: Port,
  kind: EntryKind,
  diameter: number,
  unit: LengthUnit,
): Parsed<SealChoice> {
  if (!port.takes.includes(kind))
    return refused(
      `${port.name} takes no ${WORDS[kind]} cable: ${others(hardware, kind, diameter) || 'this hardware has no port for one'}.`,
    );
  const fitting = port.rows.filter((row) => diameter >= row.from && diameter <= row.to);
  if (fitting.length === 0) {
    const least = Math.min(...port.rows.map((row) => row.from));
    const most = Math.max(...port.rows.map((row) => row.to));
    const elsewhere = others(hardware, kind, diameter);
    return refused(
      `${formatLength(diameter, unit, 'near')} does not fit ${port.name}, which takes ${formatLength(least, unit, 'near')} to ${formatLength(most, unit, 'near')}: ${elsewhere || 'no port of this hardware takes it'}.`,
    );
  }
  const nearest = (row: SealRow) => Math.abs(row.from + row.to - 2 * diameter);
  const row = fitting.reduce((best, own) => (nearest(own) < nearest(best) ? own : best));
  const notes: string[] = [];
  const other = fitting.find((own) => own !== row);
  if (other)
    notes.push(
      `On the boundary of ${row.seal} and ${other.seal}: ${row.seal} is taken, for its middle is ${nearest(row) === nearest(other) ? 'as near' : 'nearer'}. Measure again.`,
    );
  if (kind === 'express') notes.push('Slit the seal; keep the slit off the seam of the end plate.');
  return parsed({
    port: port.name,
    row,
    slit: kind === 'express',
    bushing: row.bushing || diameter < hardware.bushingBelow,
    notes,
  });
}

const WORDS: Record<EntryKind, string> = { end: 'cut', express: 'express', drop: 'drop' };

/** Ports that would take the cable, in words; empty where none does. */
function others(hardware: Hardware, kind: EntryKind, diameter: number): string {
  const fits = hardware.ports.filter(
    (port) =>
      port.takes.includes(kind) &&
      port.rows.some((row) => diameter >= row.from && diameter <= row.to),
  );
  return fits.length === 0 ? '' : `try ${fits.map((port) => port.name).join(', ')}`;
}

/** A port with what goes into it. */
export interface PortUse {
  port: Port;
  entries: { entry: CableEntry; seal: Parsed<SealChoice> | null }[];
  /** Holes that stay empty and are plugged. */
  plugs: number;
}

/** Chooses the seal of a cable beside those in its port already: one seal serves them all. */
function sealBeside(
  hardware: Hardware,
  use: PortUse,
  entry: CableEntry,
  diameter: number,
  unit: LengthUnit,
): Parsed<SealChoice> {
  const choice = chooseSeal(hardware, use.port, entry.kind, diameter, unit);
  const there = use.entries.find(({ seal }) => seal?.ok)?.seal;
  if (!choice.ok || !there?.ok || there.value.row.seal === choice.value.row.seal) return choice;
  const { seal, from, to } = there.value.row;
  // At a boundary the seal that is there may take the cable as well.
  if (diameter >= from && diameter <= to) return parsed({ ...choice.value, row: there.value.row });
  return refused(
    `${use.port.name} has ${seal} for ${formatLength(from, unit, 'near')} to ${formatLength(to, unit, 'near')} already, and one seal serves all its cables: choose another port for ${formatLength(diameter, unit, 'near')}.`,
  );
}

/** Names of hardware with a port that takes a cable. */
export const hardwareTaking = (
  list: readonly Hardware[],
  kind: EntryKind,
  diameter: number,
): string[] =>
  list.filter((hardware) => others(hardware, kind, diameter) !== '').map(({ name }) => name);

/**
 * Puts each cable into its port, or into the first that suits, and chooses the seals.
 * @returns the ports, and the cables for which none is left
 */
export function sealPorts(
  hardware: Hardware,
  entries: readonly CableEntry[],
  unit: LengthUnit,
): { ports: PortUse[]; left: CableEntry[] } {
  const ports = hardware.ports.map((port): PortUse => ({ port, entries: [], plugs: 0 }));
  const left: CableEntry[] = [];
  const free = (use: PortUse) => use.entries.length < use.port.holes;
  const suits = (use: PortUse, entry: CableEntry) =>
    entry.diameter !== null && sealBeside(hardware, use, entry, entry.diameter, unit).ok;
  // Cables whose port a person chose have it before any other.
  const ordered = [...entries].sort((a, b) => Number(a.port === null) - Number(b.port === null));
  for (const entry of ordered) {
    const use =
      entry.port === null
        ? ports.find((candidate) => free(candidate) && suits(candidate, entry))
        : ports.find((candidate) => candidate.port.name === entry.port && free(candidate));
    if (!use) {
      left.push(entry);
      continue;
    }
    const seal =
      entry.diameter === null ? null : sealBeside(hardware, use, entry, entry.diameter, unit);
    use.entries.push({ entry, seal });
  }
  for (const use of ports) use.plugs = use.port.holes - use.entries.length;
  return { ports, left };
}
