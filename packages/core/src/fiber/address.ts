import { GROUP_SIZE, type MakeUp, fiberCount, inputOf, portSize } from '../record/cable.ts';
import type { ColourScheme } from '../record/scheme.ts';
import { ribbonSize, tubeOfRibbon } from './ribbons.ts';
import { type ColourPlace, colourAt } from './schemes.ts';

/** Where a fiber lies in its cable, every part counted from 1. */
export interface FiberPlace {
  /** The tube or ribbon, the port, or the splitter's output or input; null in a drop. */
  unit: { kind: 'tube' | 'ribbon' | 'port' | 'output' | 'input'; number: number } | null;
  /** The binder group, or null where tubes have none. */
  group: number | null;
  /** Position in the group, ribbon, tube, port or drop. */
  position: number;
}

/** Fibers of a cable that share a tube, a ribbon or a port. */
export function unitSize(makeUp: MakeUp): number {
  switch (makeUp.kind) {
    case 'loose-tube':
      return makeUp.fibersPerTube;
    case 'grouped-tube':
      return makeUp.groupsPerTube * GROUP_SIZE;
    case 'ribbon':
      return ribbonSize(makeUp);
    case 'drop':
      return makeUp.fibers;
    case 'splitter':
      return 1;
    case 'ports':
      return portSize(makeUp);
  }
}

/**
 * The place of fiber `number` in a cable.
 * @throws RangeError where the cable has no such fiber
 */
export function placeOf(makeUp: MakeUp, number: number): FiberPlace {
  const most = fiberCount(makeUp);
  if (!Number.isInteger(number) || number < 1 || number > most) {
    throw new RangeError(`Fiber ${number} is outside the cable: it has fibers 1 to ${most}.`);
  }
  const size = unitSize(makeUp);
  const inUnit = ((number - 1) % size) + 1;
  const unit = Math.ceil(number / size);
  switch (makeUp.kind) {
    case 'drop':
      return { unit: null, group: null, position: number };
    case 'ribbon':
      return { unit: { kind: 'ribbon', number: unit }, group: null, position: inUnit };
    case 'loose-tube':
      return { unit: { kind: 'tube', number: unit }, group: null, position: inUnit };
    case 'ports':
      return { unit: { kind: 'port', number: unit }, group: null, position: inUnit };
    case 'splitter':
      return {
        unit:
          number === inputOf(makeUp) ? { kind: 'input', number: 1 } : { kind: 'output', number },
        group: null,
        position: 1,
      };
    case 'grouped-tube':
      return {
        unit: { kind: 'tube', number: unit },
        group: Math.ceil(inUnit / GROUP_SIZE),
        position: ((inUnit - 1) % GROUP_SIZE) + 1,
      };
  }
}

/**
 * The number of the fiber at a place; the inverse of {@link placeOf}.
 * @throws RangeError where the cable has no such place
 */
export function numberOf(makeUp: MakeUp, place: FiberPlace): number {
  if (makeUp.kind === 'splitter' && place.unit?.kind === 'input') return inputOf(makeUp);
  const unit = place.unit?.number ?? 1;
  const group = place.group ?? 1;
  const number = (unit - 1) * unitSize(makeUp) + (group - 1) * GROUP_SIZE + place.position;
  if (number >= 1 && number <= fiberCount(makeUp)) {
    const back = placeOf(makeUp, number);
    const same =
      back.unit?.kind === place.unit?.kind &&
      back.unit?.number === place.unit?.number &&
      back.group === place.group &&
      back.position === place.position;
    if (same) return number;
  }
  throw new RangeError('The cable has no such place.');
}

/** A fiber's place with its colours. */
export interface FiberAddress {
  number: number;
  place: FiberPlace;
  /** The fiber's own color; of a device by its pigtails, which follow the order of fibers. */
  fiber: ColourPlace;
  /** The tube's color; null for ribbons in a central tube, and for drops. */
  tube: ColourPlace | null;
  /** Of a ribbon that lies in a tube: that tube, and the ribbon's number in it. */
  inTube: { tube: number; ribbon: number } | null;
}

/** The address of fiber `number`: place and colours. Throws as {@link placeOf} does. */
export function addressOf(makeUp: MakeUp, scheme: ColourScheme, number: number): FiberAddress {
  const place = placeOf(makeUp, number);
  const inTube = place.unit ? tubeOfRibbon(makeUp, place.unit.number) : null;
  const tube = place.unit?.kind === 'tube' ? place.unit.number : (inTube?.tube ?? null);
  return {
    number,
    place,
    fiber: colourAt(scheme, pigtailOf(place) ?? place.position),
    tube: tube === null ? null : colourAt(scheme, tube),
    inTube,
  };
}

/** The place of a device's pigtail in the order of colors, by twelves; null for a cable's fiber. */
function pigtailOf({ unit, position }: FiberPlace): number | null {
  if (unit?.kind !== 'port' && unit?.kind !== 'output' && unit?.kind !== 'input') return null;
  return position > 1 ? position : ((unit.number - 1) % GROUP_SIZE) + 1;
}
