import type { PadMessage, StepCaution, StepMessage } from '@cordel/core';
import { catalog } from '../catalog.ts';
import { phrases } from '../phrases.ts';

const CLEAVED = 'the end touches nothing from now on.';

/** What is done at a step. */
export const stepText = catalog<StepMessage>()({
  sleeve: 'Sleeve on first: {sleeve}.',
  pigtailSleeve: 'Sleeve on first: {sleeve}, on the side of the pigtail.',
  ribbonSleeve: 'Ribbon sleeve on first.',
  ribbonizeSleeve: 'Ribbon sleeve over the clean fibers of the group.',
  bootSleeve: 'Boot, 27 mm sleeve and spring on first.',
  bootOnly: 'Boot on first. No heat sleeve: the connector holds the fiber.',
  holders: 'Holders in: {leftUm} um on the left, {rightUm} um on the right.',
  stripCoating: 'Strip the coating. Warm the stripper in frost: cold jaws nick the glass.',
  stripBuffer:
    'Strip the 900 um buffer in steps of a quarter inch, then the 250 um coating. Warm the stripper in frost.',
  stripMixed:
    'Strip: on the side with a 900 um buffer in steps of a quarter inch, then the coating; on the other the coating alone.',
  stripThermal: 'Thermal strip once its light is steady; empty the stripper of matrix.',
  clean: 'Clean with 99 % alcohol until it squeaks.',
  wipe: 'Wipe until it squeaks; flick to see that none stick.',
  mark30:
    'Working length: mark 30 mm back from the end, the mark to the zero of the holder. (The other way: through the sleeve holder, cut half an inch past it.)',
  throughHolder:
    'Working length: through the sleeve holder, cut half an inch past it. (The other way: mark 30 mm back, the mark to the zero of the holder.)',
  ribbonLength: 'Cut both ribbons to their working length, before anything is stripped.',
  cleaveBoth: `Cleave both ends; ${CLEAVED}` as string,
  cleaveAll: `Cleave all at once, both sides; ${CLEAVED}` as string,
  cleaveOne: `Cleave the fiber; ${CLEAVED}` as string,
  cleaveBothAt: `Cleave both ends at {lengthMm} mm, blade to the front first; ${CLEAVED}` as string,
  cleaveAllAt:
    `Cleave all at once, both sides at {lengthMm} mm, blade to the front first; ${CLEAVED}` as string,
  cleaveOneAt: `Cleave the fiber at {lengthMm} mm, blade to the front first; ${CLEAVED}` as string,
  cleaveConnector: 'Cleave to the length of the connector.',
  load: 'Load, one clamp at a time: close to the electrodes, not past the center.',
  loadRibbon: 'Load both holders, the same side up left and right.',
  loadConnector: 'Connector into its holder, fiber into the other; load both ends.',
  checkPause:
    'Let it pause before the arc: angles, gap and offset. A bad cleave is made again now, before it costs an arc and a sleeve.',
  checkGrooves: 'See that every fiber lies in its groove; let it pause: angles and offsets.',
  fuse: 'Splice, and read the estimate.',
  fuseRibbon: 'Splice, and read the estimates in order.',
  tension: 'Slide the sleeve up to the wind cover, then open it: the tension test runs, about 2 N.',
  noTension: 'Tension test is off for splice-on connectors: {why}',
  center:
    'Lift it out under slight tension; center the sleeve, coating inside by equal amounts, rod down.',
  shrink: 'Shrink, and let it cool before it is handled.',
  shrinkRibbon: 'Center the ribbon sleeve, coating inside at both ends; shrink.',
  shrinkShort:
    'Sleeve over the end of the white ferrule and over the buffer by equal amounts; shrink with the oven program of the connector.',
  seat: 'Straight, melted evenly, cooled: seat it in its slot in number order, rod as the holder asks; lay the slack by turning the tray, never by twisting.',
  ribbonHolder:
    'Ribbon in its holder, about 1.5 in past it, the same side up left and right: 1 meets 1.',
  looseLength: 'Is the tail long enough? 36 in of loose fiber are needed.',
  cleanLoose: 'Clean all 36 in of every fiber of the group.',
  pads: 'Set the pads: a lower one is good for two uses, turned in between, an upper one for one.',
  colourOrder:
    'Fibers one by one into the guide in color order, from the top down, ends at least 3 in past it.',
  equalLengths: 'Even out: all fibers of equal length.',
  shims: 'Shims or cover in, until the fibers touch each other.',
  clampBoth: 'Tension from both sides; close the clamps. From here on without a pause.',
  bead: 'Lift the fibers; a thin bead of adhesive, about 3/16 by 1 1/2 in, along the pad; cap on.',
  press: 'Fibers down, upper pad on; one pass out and one back.',
  adhesive: 'Clamps up. Do not touch for {seconds} s.',
  trimRibbon:
    'Trim about 1/8 in from the clamp, clip where the fibers leave; take the 4 in of ribbon out.',
  turnPads:
    'Turn the pads or throw them away. Residue on guide or applicator: clean it off, it puts the next fibers out of order.',
  countColours: 'Count the colors once more, both ribbons, before anything is stripped.',
  connectorHolder: 'Holder of the connector in, in place of one fiber holder.',
  capsOff: 'Dust cap and cleave protector off the connector.',
  connectorProgram: 'Connector program and connector oven program set.',
  housing:
    'Mark on the ferrule up to the mark on the inner housing; both housings click; boot on; dust cap back.',
  clampOpen: 'Clamp of the connector open.',
  insert: 'Push in until the fiber bows a little, and hold.',
  clampClosed: 'Close the clamp, let the fiber go, boot on.',
  inspectFace:
    'End face under the microscope, with no light on the fiber; clean it and look again until it passes. Dust cap on.',
  breakoutTubing: 'Loose fibers into the breakout tubing, one a tube, in color order.',
  breakoutBlock: 'Tubes into the block to their stop; close it on the buffer tube.',
  mountConnector: 'Connector on by its own sheet: length, crimp, cleave and polish.',
  lightThrough:
    'Visible light through it, or a measured loss: that tells whether it is good. 0.1 to 0.5 dB is normal.',
});

/** What must be known before a step. */
export const stepCautionText = phrases({
  shards: 'Glass shards: eyes covered, into the closed container, never a bin.',
  alcohol: 'Alcohol: not near the arc or the heater.',
  hot: 'The sleeve is hot: take it at the ends.',
  laser: 'Never look into a fiber end or a connector: the light is invisible.',
  hotStripper: 'The stripper is hot. Keep solvent away from it.',
  hotMetal: 'Hot metal after the oven: let it cool.',
  visibleLight: 'Never look into the end: a visible light source can hurt the eye.',
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

/** What the next ribbon takes of the pads. */
export const padText = catalog<PadMessage>()({
  padsNew: 'Lower pad new, upper pad new.',
  padTurn:
    '{pressed, plural, one {# ribbon} other {# ribbons}} on this lower pad: turn it, new upper pad.',
  padUsedUp:
    '{pressed, plural, one {# ribbon} other {# ribbons}} on this lower pad: throw it away, new pads in.',
});
