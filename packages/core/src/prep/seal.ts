import type { CableEntry, Hardware, Port, SealRow } from '../record/hardware.ts';
import type { EntryKind } from '../record/procedure.ts';
import type { Quantity } from '../record/message.ts';
import { type Parsed, parsed, refused } from '../record/parsed.ts';
import { legsOf, portOfLeg } from './legs.ts';
import type { Leg } from '../record/splice.ts';

/** Why a cable does not go into a port. `others` are ports that would take it. */
export type SealProblem =
  | { code: 'kindNotTaken'; port: string; kind: EntryKind; others: readonly string[] }
  | {
      code: 'doesNotFit';
      port: string;
      diameter: Quantity;
      least: Quantity;
      most: Quantity;
      others: readonly string[];
    }
  /** Another seal is in the port, and serves all its cables. */
  | {
      code: 'otherSeal';
      port: string;
      seal: string;
      from: Quantity;
      to: Quantity;
      diameter: Quantity;
    };

/** What to know of a seal. */
export type SealNote =
  /** On the boundary of two rows, of which the first was taken: its middle is nearer, or as near. */
  { code: 'boundary' | 'boundaryMiddle'; taken: string; other: string } | { code: 'slit' };

const diameterOfSeal = (diameterTenthsMm: number): Quantity => ({ diameterTenthsMm });

/** A seal for a cable in a port. */
export interface SealChoice {
  port: string;
  row: SealRow;
  /** Whether the seal is slit, as only an express cable needs. */
  slit: boolean;
  bushing: boolean;
  /** What to know of the choice, such as a diameter on a boundary. */
  notes: SealNote[];
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
): Parsed<SealChoice, SealProblem> {
  if (!port.takes.includes(kind))
    return refused({
      code: 'kindNotTaken',
      port: port.name,
      kind,
      others: others(hardware, kind, diameter),
    });
  const fitting = port.rows.filter((row) => diameter >= row.from && diameter <= row.to);
  if (fitting.length === 0) {
    return refused({
      code: 'doesNotFit',
      port: port.name,
      diameter: diameterOfSeal(diameter),
      least: diameterOfSeal(Math.min(...port.rows.map((row) => row.from))),
      most: diameterOfSeal(Math.max(...port.rows.map((row) => row.to))),
      others: others(hardware, kind, diameter),
    });
  }
  const nearest = (row: SealRow) => Math.abs(row.from + row.to - 2 * diameter);
  const row = fitting.reduce((best, own) => (nearest(own) < nearest(best) ? own : best));
  const notes: SealNote[] = [];
  const other = fitting.find((own) => own !== row);
  if (other)
    notes.push({
      code: nearest(row) === nearest(other) ? 'boundaryMiddle' : 'boundary',
      taken: row.seal,
      other: other.seal,
    });
  if (kind === 'express') notes.push({ code: 'slit' });
  return parsed({
    port: port.name,
    row,
    slit: kind === 'express',
    bushing: row.bushing || diameter < hardware.bushingBelow,
    notes,
  });
}

/** Names of ports that would take the cable. */
const others = (hardware: Hardware, kind: EntryKind, diameter: number): string[] =>
  hardware.ports
    .filter(
      (port) =>
        port.takes.includes(kind) &&
        port.rows.some((row) => diameter >= row.from && diameter <= row.to),
    )
    .map(({ name }) => name);

/** A leg of a cable: an express cable has two, each in a hole of its own. */
export interface CableLeg {
  entry: CableEntry;
  leg: Leg;
}

/** A port with what goes into it. */
export interface PortUse {
  port: Port;
  entries: (CableLeg & { seal: Parsed<SealChoice, SealProblem> | null })[];
  /** Holes that stay empty and are plugged. */
  plugs: number;
}

/** Chooses the seal of a cable beside those in its port already: one seal serves them all. */
function sealBeside(
  hardware: Hardware,
  use: PortUse,
  entry: CableEntry,
  diameter: number,
): Parsed<SealChoice, SealProblem> {
  const choice = chooseSeal(hardware, use.port, entry.kind, diameter);
  const there = use.entries.find(({ seal }) => seal?.ok)?.seal;
  if (!choice.ok || !there?.ok || there.value.row.seal === choice.value.row.seal) return choice;
  const { seal, from, to } = there.value.row;
  // At a boundary the seal that is there may take the cable as well.
  if (diameter >= from && diameter <= to) return parsed({ ...choice.value, row: there.value.row });
  return refused({
    code: 'otherSeal',
    port: use.port.name,
    seal,
    from: diameterOfSeal(from),
    to: diameterOfSeal(to),
    diameter: diameterOfSeal(diameter),
  });
}

/** Names of hardware with a port that takes a cable. */
export const hardwareTaking = (
  list: readonly Hardware[],
  kind: EntryKind,
  diameter: number,
): string[] =>
  list.filter((hardware) => others(hardware, kind, diameter).length > 0).map(({ name }) => name);

/**
 * Puts each leg of each cable into its port, or into the first that suits, and chooses the seals. Both legs of an
 * express cable share a port that has two holes free.
 * @returns the ports, and the legs for which none is left
 */
export function sealPorts(
  hardware: Hardware,
  entries: readonly CableEntry[],
): { ports: PortUse[]; left: CableLeg[] } {
  const ports = hardware.ports.map((port): PortUse => ({ port, entries: [], plugs: 0 }));
  const left: CableLeg[] = [];
  const free = (use: PortUse, holes = 1) => use.entries.length + holes <= use.port.holes;
  const suits = (use: PortUse, entry: CableEntry) =>
    entry.diameter !== null && sealBeside(hardware, use, entry, entry.diameter).ok;
  const put = (use: PortUse | undefined, { entry, leg }: CableLeg) => {
    if (!use) return left.push({ entry, leg });
    const seal = entry.diameter === null ? null : sealBeside(hardware, use, entry, entry.diameter);
    return use.entries.push({ entry, leg, seal });
  };
  const legs = entries.flatMap((entry) => legsOf(entry).map((leg): CableLeg => ({ entry, leg })));
  // Ports that a person chose are filled before any other.
  for (const one of legs) {
    const chosen = portOfLeg(one.entry, one.leg);
    if (chosen === null) continue;
    put(
      ports.find((use) => use.port.name === chosen && free(use)),
      one,
    );
  }
  for (const entry of entries) {
    const open = legsOf(entry).filter((leg) => portOfLeg(entry, leg) === null);
    const together =
      open.length < 2
        ? undefined
        : ports.find((use) => free(use, open.length) && suits(use, entry));
    for (const leg of open)
      put(together ?? ports.find((use) => free(use) && suits(use, entry)), { entry, leg });
  }
  for (const use of ports) use.plugs = use.port.holes - use.entries.length;
  return { ports, left };
}

/** The seal of a leg among those that were chosen; null until there is one. */
export function sealOfLeg(ports: readonly PortUse[], entryId: string, leg: Leg): SealChoice | null {
  const used = ports
    .flatMap((use) => use.entries)
    .find((own) => own.entry.id === entryId && own.leg === leg);
  return used?.seal?.ok ? used.seal.value : null;
}
