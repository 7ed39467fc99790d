import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/plan/TrayMap.tsx`. */
export const trayMap = phrases({
  cableFibersTo: '{cable} {fibers} to {onto}',
  emptyTrayEmpty: 'Empty: tray {empty}.',
  slotFromTo: 'slot {slot}{to}',
  toSlot: ' to {slot}',
  usedOfPlacesKindPlaces: '{used} of {places} {kind} places',
});
