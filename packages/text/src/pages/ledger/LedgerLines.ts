import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/ledger/LedgerLines.tsx`. */
export const ledgerLines = phrases({
  closureTray: '{closure} · {tray, plural, =0 {at their ports} other {tray {tray}}}',
  closureTraySlotAddress:
    '{closure} · {tray, plural, =0 {at its port} other {tray {tray} slot {slot}}} · {addressParts}',
  fibersPlanned: 'fibers planned',
  planLineOf: '{closure}, line {line} of the plan',
  plannedOfFibers: '{planned} of {fibers}',
});
