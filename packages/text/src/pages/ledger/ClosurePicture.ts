import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/ledger/ClosurePicture.tsx`. */
export const closurePicture = phrases({
  removedSplices: 'Removed: {splices, plural, one {# splice} other {# splices}}',
  showMore: 'Show {count} more',
  theLimit: 'the limit',
  toLayInTraySlot:
    '{fiberA} to {fiberB}, lay in {tray, plural, =0 {its port} other {tray {tray} slot {slot}}}',
  trayNumber: '{number, plural, =0 {Ports} other {Tray {number}}}',
  trayOfWithALossOver: 'Tray {number}: {measured} of {bars} with a loss, {over} over the limit',
  barHeightIsLossTheDashed:
    'Bar height is loss; the dashed line is {limit}. Hollow: estimate only. Hatched, with its figure: over. Cross: waived. Flat: nothing yet.',
});
