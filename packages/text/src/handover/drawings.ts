import { phrases } from '../phrases.ts';

/** Texts of `apps/server/src/handover/make/drawings.ts`. */
export const drawings = phrases({
  limitLimitDb: 'limit {limit} dB',
  lossesInTrayOrderTrayTo: 'Losses in tray order, tray {from} to {to}; highest {highest} dB',
  minDashedByTemperatureAlone: '{last} min; dashed: by temperature alone',
  typedName: '{name} (typed)',
  signedDigest: 'signed: {digest}',
});
