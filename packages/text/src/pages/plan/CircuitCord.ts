import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/plan/CircuitCord.tsx`. */
export const circuitCord = phrases({
  askedFor: ' · asked for',
  branch: 'out {output}: {fiber} · {loss} dB',
  branches:
    '{name}: {outputs, plural, one {# output} other {# outputs}} in use; the circuit branches here, with the largest loss of each.',
  fedThrough: 'Fed through {name} by {fiber}',
  nothingFeeds: 'Nothing feeds {name} yet.',
  notSplicedAnywhere: 'Not spliced anywhere.',
  oneEnd: 'One end',
  otherEnd: 'Other end',
  traySlot: '{tray, plural, =0 {at its port} other {tray {tray} slot {slot}}}',
});
