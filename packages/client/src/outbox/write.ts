import type { Told, Upload } from '@cordel/core';
import type { Command } from '../commands/command.ts';

/** A command on its way to the server. */
export interface Write<Input = unknown> {
  id: string;
  /** Its place in the order in which they are sent: a clock that is set right in between changes nothing of it. */
  place?: number;
  /** The command's name. */
  command: string;
  input: Input;
  /** Files that it carries, which the device holds beside it. */
  files?: readonly Upload[];
  /** Who worked on the device. */
  person: string;
  /** Their account, where people sign in: it goes to the server by theirs alone. */
  personId?: string | undefined;
  madeAt: string;
  /** Whose device gave it on to this one, where another made it. */
  transferredBy?: string | undefined;
  /** What it is, for the list of what waits: `A 125: 0.02 dB`. */
  label: string;
  /** `set aside`: the server failed over it again and again; it waits for a person. */
  state: 'waiting' | 'refused' | 'set aside';
  /** Why the server refused it, or how it failed. */
  problem?: Told | undefined;
  /** How often the server failed over it. */
  failures?: number;
  /** True while it is in this page's memory alone: the device's storage is full or forbidden. */
  unsafe?: boolean;
  /** True where this version of the page does not know its command: a newer one made it. */
  unknown?: boolean;
}

/** In which order writes are sent. Those of before have no place, and come first by their ids. */
export const byPlace = (a: Write, b: Write): number =>
  (a.place ?? 0) - (b.place ?? 0) || (a.id < b.id ? -1 : 1);

/** What waits to be sent of one kind of command, in the order in which it was made. */
export function waitingInputs<Input>(
  writes: readonly Write[],
  { name }: Pick<Command<Input>, 'name' | 'schema'>,
): Input[] {
  return writes
    .filter(({ command, state }) => state === 'waiting' && command === name)
    .map(({ input }) => input as Input);
}

/** Names under which an input gives ids to what it brings. */
const OWN_IDS = new Set(['id', 'importId', 'changeId', 'tryId']);

/** Ids of what a write brings into the world: others that name them have to wait for it. */
export function idsMadeBy({ input }: Pick<Write, 'input'>): string[] {
  const ids = new Set<string>();
  const look = (value: unknown): void => {
    if (Array.isArray(value)) return value.forEach(look);
    if (typeof value !== 'object' || value === null) return;
    for (const [key, part] of Object.entries(value)) {
      if (OWN_IDS.has(key) && typeof part === 'string') ids.add(part);
      else if (typeof part === 'object') look(part);
    }
  };
  look(input);
  return [...ids];
}

/** Whether a write names one of the ids. */
export function namesAny({ input }: Pick<Write, 'input'>, ids: readonly string[]): boolean {
  if (ids.length === 0) return false;
  const text = JSON.stringify(input);
  return ids.some((id) => text.includes(id));
}
