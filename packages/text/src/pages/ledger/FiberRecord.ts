import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/ledger/FiberRecord.tsx`. */
export const fiberRecord = phrases({
  endToEnd: '{near}  to  {far}',
  fiberAlongTheRoute: 'Fiber along the route',
  followItsCircuit: 'Follow its circuit',
  itsRecordAt: 'Its record at {closure}',
  lossesOfByClosure: 'Losses of {fiberName} by closure',
  meanDbOverOfSplices: 'mean {sum} dB over {figures} of {rows} splices',
  noLossYet: 'No loss yet.',
  traySlot: '{tray, plural, =0 {at its port} other {tray {tray} slot {slot}}}',
});
