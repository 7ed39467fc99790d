import type { StepCaution, StepMessage } from '@cordel/core';
import { catalog } from '../catalog.ts';
import { phrases } from '../phrases.ts';

const CLEAVED = 'the end touches nothing from now on.';

/** What is done at a step. */
export const stepText = catalog<StepMessage>()({
  sleeve: 'Sleeve on first: {sleeve}.',
  pigtailSleeve: 'Sleeve on first: {sleeve}, on the side of the pigtail.',
  ribbonSleeve: 'Ribbon sleeve on first.',
  ribbonizeSleeve: 'Ribbon sleeve on first, over all loose fibers of the group.',
  bootSleeve: 'Boot and 27 mm sleeve on first.',
  bootOnly: 'Boot on first. No heat sleeve: the connector holds the fiber.',
  strip: 'Strip: 900 um in steps of a quarter inch, then the coating.',
  stripShort: 'Blue fiber first. Strip 900 um in short steps, then the coating.',
  stripThermal: 'Thermal strip; empty the stripper of matrix.',
  clean: 'Clean with 99 % alcohol until it squeaks.',
  wipe: 'Wipe until it squeaks; flick to see that none stick.',
  mark30:
    'Working length: mark 30 mm back from the end, the mark to the zero of the holder. (The other way: through the sleeve holder, cut half an inch past it.)',
  throughHolder:
    'Working length: through the sleeve holder, cut half an inch past it. (The other way: mark 30 mm back, the mark to the zero of the holder.)',
  cleaveBoth: `Cleave both ends; ${CLEAVED}` as string,
  cleaveAll: `Cleave all at once, both sides; ${CLEAVED}` as string,
  cleaveOne: `Cleave the fiber; ${CLEAVED}` as string,
  cleaveBothAt: `Cleave both ends at {lengthMm} mm; ${CLEAVED}` as string,
  cleaveAllAt: `Cleave all at once, both sides at {lengthMm} mm; ${CLEAVED}` as string,
  cleaveOneAt: `Cleave the fiber at {lengthMm} mm; ${CLEAVED}` as string,
  cleaveConnector: 'Cleave to the length of the connector.',
  load: 'Load: close to the electrodes, not past the center. Let it pause; check angles, gap and offset.',
  loadRibbon: 'Load; see that every fiber lies in its groove.',
  loadConnector: 'Connector into its holder, cap on; load both ends.',
  fuse: 'Splice, and read the estimate.',
  fuseRibbon: 'Splice, and read the estimates in order.',
  tension: 'Slide the sleeve up to the wind cover, then open it: the tension test runs, about 2 N.',
  noTension: 'Tension test is off for splice-on connectors: {why}',
  shrink: 'Center the sleeve, coating inside at both ends, rod down; shrink.',
  shrinkRibbon: 'Center the ribbon sleeve, coating inside at both ends; shrink.',
  shrinkShort: '27 mm sleeve up to the ferrule; shrink.',
  seat: 'Cooled and straight: seat it in its slot; lay the slack by turning the tray, never by twisting.',
  ribbonHolder:
    'Ribbon in its holder, about 1.5 in past it, the same side up left and right: 1 meets 1.',
  prepareLoose: 'Prepare 36 in of loose fiber; clean it.',
  colourOrder:
    'Fibers one by one into the applicator in colour order, equal lengths, under tension: 4 in of ribbon, 3 in beyond.',
  adhesive:
    'Adhesive on; do not touch for {seconds} s. A lower pad is good for two, an upper one for one.',
  countColours: 'Count the colours once more, both ribbons, before anything is stripped.',
  housing: 'Housing and boot on; keep the cap on the ferrule.',
  insert: 'Push in until the fiber bows a little; hold, and close the clamp.',
  checkLight: 'Check with a visible light source: dark at the splice is good.',
});

/** What must be known before a step. */
export const stepCautionText = phrases({
  shards: 'Glass shards: eyes covered, into the closed container, never a bin.',
  alcohol: 'Alcohol: not near the arc or the heater.',
  hot: 'The sleeve is hot: take it at the ends.',
  laser: 'Never look into a fiber end or a connector: the light is invisible.',
  hotStripper: 'The stripper is hot. Keep solvent away from it.',
} satisfies Record<StepCaution, string>);

/**
 * What the end of a drop usually loses, by how it is made (common practice, no source): a splice as good as any
 * other; a mechanical one a few tenths.
 */
export const usualEndLossText = phrases({
  'splice-on': '0.02 to 0.1 dB for the splice, and the connector pair up to 0.75 dB',
  pigtail: '0.02 to 0.1 dB for the splice, and the connector pair up to 0.75 dB',
  mechanical: '0.1 to 0.5 dB for the splice, and the connector pair up to 0.75 dB',
});
