import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/bench/PickSheet.tsx`. */
export const pickSheet = phrases({
  moreFound: '{more} more. Narrow the search.',
  fiberToFiber: '{fiberA} to {fiberB}',
  lossesOfTray: 'Losses of {tray, plural, =0 {ends at their ports} other {tray {tray}}}',
  noFiberOfThisClosureIs: 'No fiber of this closure is called so.',
  search: 'Search',
  trayNumber: '{number, plural, =0 {Ports} other {Tray {number}}}',
  traySlotFiber: '{tray, plural, =0 {at its port} other {tray {tray} slot {slot}}} · {fiber}',
  a17Tube2BlueTray: 'A 17, tube 2 blue, tray 3',
});
