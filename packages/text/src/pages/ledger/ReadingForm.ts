import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/ledger/ReadingForm.tsx`. */
export const readingForm = phrases({
  aGainWithAMinusSuch: 'A gain with a minus, such as -0.05',
  dbAtNm: '{fiberName}: {loss} dB at {nm} nm',
  figure: 'Figure',
  insertion: 'Insertion',
  loss: 'Loss',
  measuredBy: 'Measured by',
  twoWayAverage: 'Two-way average',
  wavelength: 'Wavelength',
});
