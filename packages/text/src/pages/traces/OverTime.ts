import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/traces/view/OverTime.tsx`. */
export const overTime = phrases({
  change: 'Change',
  dayUnknown: 'day unknown',
  first: 'First shot',
  fromAt: 'from {from} at {wavelengthNm} nm',
  heading: 'Over the years',
  lossSigma: '{loss} ± {sigma} dB',
  moved:
    '{verdict, select, moved {moved} maybe {may have moved: shoot it once more} other {no change}}',
  newest: 'Newest shot',
  place: 'Place',
  onTheReel: 'On the reel',
  reelRow: '{cable} from {from} to {to}',
  reelSeries: 'Fiber on the reel and now, dB/km',
  reelCell: '{loss} dB/km',
  series: 'From {from} at {wavelengthNm} nm: {days}',
  shotOnce: 'Each shot is the first of its kind. A later one of the same fiber is compared here.',
  whole: 'end to end',
});
