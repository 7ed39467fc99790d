import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/plan/CircuitCord.tsx`. */
export const circuitCord = phrases({
  askedFor: ' · asked for',
  notSplicedAnywhere: 'Not spliced anywhere.',
  oneEnd: 'One end',
  otherEnd: 'Other end',
  traySlot: 'tray {tray} slot {slot}',
});
