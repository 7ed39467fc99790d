import { phrases } from '../../phrases.ts';

/** Texts that several parts of `apps/web/src/handover` share. */
export const handoverShared = phrases({
  anAsBuiltPackage: 'An as-built package',
  stopAPackage: 'Stop a package',
});
