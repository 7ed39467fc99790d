import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/ledger/LedgerLines.tsx`. */
export const ledgerLines = phrases({
  closureTray: '{closure} · tray {tray}',
  closureTraySlotAddress: '{closure} · tray {tray} slot {slot} · {addressParts}',
  fibersPlanned: 'fibers planned',
  plannedOfFibers: '{planned} of {fibers}',
});
