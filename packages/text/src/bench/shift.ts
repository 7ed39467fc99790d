import type { ShiftUnitKind } from '@cordel/core/shift';
import { phrases } from '../phrases.ts';

const shiftUnits = phrases({
  tube: 'a tube of {sleeves}',
  ribbon: '{sleeves, plural, one {a ribbon} other {# ribbons}} of {fibers}',
  ribbonized: '{sleeves, plural, one {a ribbon} other {# ribbons}} of {fibers}, ribbonized',
});

/** A unit of a shift, such as `a tube of 12`. */
export const shiftUnitText = ({ way, sleeves, fibers }: ShiftUnitKind): string =>
  way === 'single'
    ? shiftUnits('tube', { sleeves })
    : shiftUnits(way === 'ribbonized' ? 'ribbonized' : 'ribbon', { sleeves, fibers });
