import type {
  LeakCause,
  MissingOfRound,
  ReentryStep,
  RoundReason,
  SigningBlock,
} from '@cordel/core/close';
import { catalog } from '../catalog.ts';
import { fill } from '../fill.ts';
import { listed } from '../listed.ts';
import { phrases } from '../phrases.ts';

/** What stands in the way of signing. */
export const signingBlockText = catalog<SigningBlock>()({
  pressureOn: 'Pressure is on: release it first.',
  pointsFailed: '{points} of the list failed: repair or waive.',
  pointsOpen: '{points} of the list not checked.',
  circuitsDown: 'Down since the cut-over: {circuits}. Record when it is back.',
  testNotPassed: 'The pressure test is not passed.',
});

/** Why a point that was checked is open again. */
export const splicedSinceText = (slot: number): string =>
  fill('Slot {slot} was spliced after it was checked: check again.', { slot });

type Missing = Exclude<MissingOfRound, { code: 'readings' }> | { code: 'few' | 'open' };

const MOST_PLACES = 4;

const missingTexts = catalog<Omitted<Missing>>()({
  places: 'not checked: {places}',
  held: 'pressure held and read for {asked} min, {minutes} min more',
  few: 'readings of the gauge to calculate a leak from',
  open: 'readings that tell a leak from cooling',
});

/** Places are listed beforehand, minutes rounded up. */
type Omitted<M> = M extends { code: 'places' } ? { code: 'places'; places: string } : M;

function missingText(missing: MissingOfRound): string {
  switch (missing.code) {
    case 'places':
      return missingTexts({
        code: 'places',
        places: listed({ items: missing.places, most: MOST_PLACES }),
      });
    case 'held':
      return missingTexts({ ...missing, minutes: Math.max(1, Math.ceil(missing.minutes)) });
    case 'readings':
      return missingTexts({ code: missing.verdict });
  }
}

type WordedReason = Exclude<RoundReason, { code: 'missing' }> | { code: 'missing'; list: string };

const reasons = catalog<WordedReason>()({
  overLimit: 'The gauge showed more than the limit: release at once.',
  bubbles: 'Bubbles at {places}.',
  falls:
    'The pressure falls by more than cooling explains, though no bubble was seen: check again.',
  rises:
    'The pressure rises by more than warming explains: look for a valve that is open, a gauge that sticks, or sun on one side.',
  missing: 'Still missing: {list}.',
  noBubbles: 'No bubbles at any place. The profile asks for soapy water alone.',
  tight: 'No bubbles at any place, and no fall beyond cooling.',
});

/** Why a round of the pressure test is what it is. */
export const roundReasonText = (reason: RoundReason): string =>
  reasons(
    reason.code === 'missing'
      ? { code: 'missing', list: reason.missing.map(missingText).join('; ') }
      : reason,
  );

/** What bubbles at a place come from. */
export const leakCauseText = phrases({
  valve: 'The cap of the valve is loose, or its core leaks.',
  port: 'A loose cap, or the wrong seal for the diameter of the cable.',
  seam: 'Dirt or a hair under the gasket, a gasket out of its groove, or bolts out of order.',
} satisfies Record<LeakCause, string>);

/** What repairs a leak. */
export const leakRemedyText = phrases({
  valve: 'Tighten the cap and the core; put in a new core if it still bubbles.',
  port: 'Tighten the cap; measure the cable again and compare it with the seal; look for a slit that lines up with a seam, and for a plug that is missing.',
  seam: 'Open it, clean both faces, seat the gasket, and tighten in the order of the sheet.',
} satisfies Record<LeakCause, string>);

/** What to do when a closure is opened again. */
export const reentryText = phrases({
  releasePressure: 'Release the pressure at the valve before anything is loosened.',
  compareRecord:
    'Compare the record with what is there: trays, ports, cables, labels. Photograph what differs.',
  openNamedOnly:
    'Open only the ports and trays that are named below; live fibers stay where they are.',
  stretchGel: 'A gel seal is stretched and set back each time its wedge comes out.',
  closeAsNew: 'The whole closing list and the test again before the cover goes on.',
} satisfies Record<ReentryStep, string>);
