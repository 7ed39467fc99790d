import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/prep/PrintSheet.tsx`. */
export const printSheet = phrases({
  cableCutPlan: 'Cable {name}: cut plan',
  db: 'dB',
  doNotCut: 'Do not cut: {whole}',
  hardwareNotChosen: 'hardware not chosen',
  nameSpliceSheet: '{name}: splice sheet',
  nameTrays: '{name}: trays',
  practiceOnlyFiguresMayBeSimulated: 'PRACTICE ONLY: figures may be simulated',
  slots: 'Slots',
  tapeZeroOfSheathComesOff: 'Tape zero: {tapeZero}. {opening} of sheath comes off.',
  to: 'To',
  tray: 'Tray',
  atItsPort: 'at its port',
  traySlot: 'Tray, slot',
  fromTo: '{from} to {to}',
});
