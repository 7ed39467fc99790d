import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/bench/MeasureKind.tsx`. */
export const measureKind = phrases({
  measurement: 'Measurement',
  figure: 'Figure',
  insertion: 'Insertion',
  labelAtNm: '{label} at {nm} nm',
  twoWayAverage: 'Two-way average',
  wavelength: 'Wavelength',
});
