import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/bench/AlertSheet.tsx`. */
export const alertSheet = phrases({
  alerts: 'Alerts',
  arcDue: 'Arc check due',
  chartsTrouble: '{trouble, plural, one {# chart is} other {# charts are}} out of control',
  setupWarnings:
    '{warnings, plural, one {# setting does} other {# settings do}} not fit this splice',
});
