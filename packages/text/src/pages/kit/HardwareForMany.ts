import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/kit/HardwareForMany.tsx`. */
export const hardwareForMany = phrases({
  all: 'All',
  check: 'Check.',
  chooseHardware: 'Choose hardware',
  hardware: 'Hardware',
  hardwareForSeveral: 'Hardware for several',
  hardwareOf: 'hardware of {name}',
  hasNone: 'has no hardware',
  none: 'None',
  notSaved: 'Not saved.',
  replaces: 'Other hardware is replaced at: {closures}.',
  useFor: 'Use it for {closures, plural, one {# closure} other {# closures}}',
});
