import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/ledger/InspectionForm.tsx`. */
export const inspectionForm = phrases({
  seenOf: '{fiber}: what was seen of its end',
});
