import type { FiberKind, Glass } from '../record/fiberType.ts';

interface FiberType {
  kind: FiberKind;
  /** Nominal mode field diameter at 1310 nm, hundredths of a um; null where none is specified there. */
  mfd: number | null;
}

/**
 * What a type of fiber is. Mode fields: the middle of the nominal range at 1310 nm, 8.6 to 9.2 um in
 * ITU-T G.652 and 8.2 to 9.2 um in ITU-T G.657, both from memory; G.655 gives none at 1310 nm.
 */
const TYPES: Record<Glass['type'], FiberType> = {
  'G.652.D': { kind: 'single-mode', mfd: 890 },
  'G.657.A1': { kind: 'single-mode', mfd: 870 },
  'G.657.A2': { kind: 'single-mode', mfd: 870 },
  'G.655': { kind: 'single-mode', mfd: null },
  'OM1 62.5/125': { kind: 'multimode', mfd: null },
  'OM3 50/125': { kind: 'multimode', mfd: null },
};

export const fiberKindOf = (glass: Glass): FiberKind => TYPES[glass.type].kind;

/** Mode field diameter of a cable's fibers at 1310 nm in um, as its reel says or as its type has it; null where neither does. */
export function modeFieldOf(glass: Glass): number | null {
  const mfd = glass.mfd ?? TYPES[glass.type].mfd;
  return mfd === null ? null : mfd / 100;
}
