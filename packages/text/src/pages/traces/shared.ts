import { phrases } from '../../phrases.ts';

/** Texts that several parts of `apps/web/src/traces` share. */
export const tracesShared = phrases({
  at: 'At',
  besideTheInstrumentsOwnTable: 'Beside the instrument’s own table',
  budget: 'Budget',
  cableName: 'cable {name}',
  cause: 'cause: {cause}',
  endA: 'end A',
  endB: 'end B',
  findings: 'Findings',
  foundHere: 'Found here',
  fromEndA: 'from end A',
  fromEndB: 'from end B',
  fromPlace: 'from {name}',
  importTraces: 'Import traces',
  instrumentSays: 'Instrument says',
  links: 'Links',
  reading: 'Reading …',
  simulatedOtdr: 'Simulated OTDR',
  traceView: 'Trace view',
  traceView2: 'trace view',
  traces: '{traces, plural, one {# trace} other {# traces}}',
  wavelengthNm: 'Wavelength, nm',
  arrowKeysMovePlusAndMinus: '{label}. Arrow keys move, plus and minus zoom, 0 shows all.',
});
