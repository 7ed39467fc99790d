import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/bench/PickSheet.tsx`. */
export const pickSheet = phrases({
  fiberToFiber: '{fiberA} to {fiberB}',
  lossesOfTray: 'Losses of tray {tray}',
  noFiberOfThisClosureIs: 'No fiber of this closure is called so.',
  search: 'Search',
  trayNumber: 'Tray {number}',
  traySlotFiber: 'tray {tray} slot {slot} · {fiber}',
  a17Tube2BlueTray: 'A 17, tube 2 blue, tray 3',
});
