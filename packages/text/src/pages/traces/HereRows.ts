import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/traces/import/HereRows.tsx`. */
export const hereRows = phrases({
  belongsNowhereYet: 'belongs nowhere yet',
  findByNameFiberOrWavelength: 'Find by name, fiber or wavelength',
  fromNmNs:
    '{name} {fiber} · from {direction} · {wavelengthNm} nm · {pulseNs} ns{stage, select, reel {, on the reel} other {}}',
  noTracesAreHereYetWithout:
    'No traces are here yet. Without a device, the simulated OTDR shoots any circuit.',
  notSaved: 'Not saved.',
  fixName: 'Fix {name}',
  saveTheFile: 'Save the file {name}',
  setAsideWhy: 'set aside: {why}',
  setItAside: 'Set it aside',
  showMoreAreLeft: 'Show more: {list} are left',
  somebody: 'Somebody',
  theFileSaysCableFiberFrom:
    'The file says cable “{cableId}”, fiber “{fiberId}”, from “{from}”, {wavelengthNm} nm. What was said before stays in the record.',
  tracesHere: '{traces, plural, one {# trace} other {# traces}} here',
  waitsToBeSent: 'on this device, waits to be sent',
  whereNameBelongs: 'Where {name} belongs',
  whyItIsSetAside: 'Why it is set aside',
});
