import { phrases } from '../phrases.ts';

/** Texts that a package is told, for what it cannot work out by itself. */
export const feed = phrases({
  trace: '{from} to {to}, fiber {fiber}, {wavelengthNm} nm, {range}',
});
