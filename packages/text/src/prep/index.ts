import type {
  CutPlan,
  MarkMessage,
  PrepCaution,
  PrepMessage,
  PrepStepMessage,
  SealNote,
  SealProblem,
  Tail,
  Tubing,
  WholeMessage,
} from '@cordel/core';
import { type WithText, catalog } from '../catalog.ts';
import { colourText } from '../fiber/index.ts';
import { phrases } from '../phrases.ts';

const KIND = '{kind, select, end {cut} express {express} other {drop}}';

/** Other ports are counted, so that none reads well too. */
type Counted<M> = M extends { others: readonly string[] } ? M & { count: number } : M;

const sealProblems = catalog<Counted<SealProblem>>()({
  kindNotTaken:
    `{port} takes no ${KIND} cable: {count, plural, =0 {this hardware has no port for one} other {try {others}}}.` as string,
  doesNotFit:
    '{diameter} does not fit {port}, which takes {least} to {most}: {count, plural, =0 {no port of this hardware takes it} other {try {others}}}.',
  otherSeal:
    '{port} has {seal} for {from} to {to} already, and one seal serves all its cables: choose another port for {diameter}.',
});

/** Why a cable does not go into a port. */
export const sealProblemText = (
  problem: SealProblem,
  units: Parameters<typeof sealProblems>[1],
): string =>
  sealProblems(
    problem.code === 'otherSeal' ? problem : { ...problem, count: problem.others.length },
    units,
  );

/** What to know of a seal. */
export const sealNoteText = catalog<SealNote>()({
  boundary:
    'On the boundary of {taken} and {other}: {taken} is taken, for the middle of its range is nearer. Measure again.',
  boundaryMiddle:
    'On the boundary of {taken} and {other}: {taken} is taken, for the middle of its range is as near. Measure again.',
  slit: 'Slit the seal; keep the slit off the seam of the end plate.',
});

/** What is marked on the tape. */
export const markText = catalog<MarkMessage>()({
  sheathEnds: 'ring cut: the sheath ends here',
  dropSheathEnds: 'the sheath ends here',
  firstRingCut: 'first ring cut: tape zero',
  secondRingCut: 'second ring cut',
  strengthEnds: 'strength member ends here',
  aramidEnds: 'aramid, for tying off, ends here',
  ripcordEnds: 'ripcord ends here',
  dedicatedCut: 'cut tubes: cut here',
  dedicatedScore: 'cut tubes: score and pull off from here',
  window: 'window in the tube: cut open, not through',
  tubesEnd: 'tubes end here: {kept} kept past the sheath',
  centralTubeEnds: 'central tube ends here: {kept} kept past the sheath',
  dropTubeEnds: 'the tube ends here: {kept} kept',
  strength: 'strength member: {kept} kept',
  rods: 'both rods: {kept} kept',
  clamp: 'clamp: the sheath ends {below} below it',
  score:
    '{of, select, tubes {tubes} tube {tube} centralTube {central tube} other {cut tubes}}: score and snap',
});

/** Where the tape begins. */
export const tapeZeroText = phrases({
  cableEnd: 'the end of the cable',
  firstRingCut: 'the first ring cut',
} satisfies Record<CutPlan['zero'], string>);

/** Fiber that a way of opening leaves. */
export const tailText = phrases({
  pastTube: 'fiber past the tube',
  dedicated: 'a cut tube leaves',
  window: 'a window leaves, with fibers cut at the far one',
} satisfies Record<Tail, string>);

/** Tubing to cut beforehand. */
export const tubingText = phrases({
  protectiveSleeves: 'protective sleeves, two ribbons in each, in number order',
  transportTubes: 'transport tubes, one a tray',
} satisfies Record<Tubing, string>);

/** What must stay whole. */
export const wholeText = catalog<WholeMessage>()({
  passThrough:
    '{units, plural, one {# {unit} passes} other {# {unit}s pass}} through: never cut, scored or bent; stored in the basket.',
  bindersStay: 'Binders stay on until each group has its mark.',
});

const COILED =
  '{tubes, plural, one {# tube} other {# tubes}} in {turns, plural, one {# turn} other {# turns}} of {turn}, bent no tighter than {radius}';

/** What lengths imply. */
export const prepCheckText = catalog<PrepMessage>()({
  sheetTooShort:
    'The {sheet} of the sheet would not reach: {sheath} of sheath comes off, for {toTray} to the tray and {onTray} on it.',
  tailsReach: 'Tails reach the tray: {tail} of fiber past the tube, {asked} asked for.',
  basketTooNarrow:
    'The basket is too narrow for any coil: {least} is the least width. Use hardware with a wider one.',
  basketHolds: `What passes lies in the basket: ${COILED}, {height} high.` as string,
  basketTooShallow:
    `The basket is too shallow: ${COILED}, would pile up {height} in {depth}. Use hardware with a deeper one.` as string,
  doesNotReach: '{tail} of fiber does not reach a splicer: {least} is the least.',
  slack:
    'Slack for {redos, plural, one {# redo} other {# redos}} of {each}: the tail of {tail} less {needed} that is needed. {planned} planned.',
  rackLengths:
    'Sheath off: {sleeves} of sleeves + {working} of working length past them = {sheath}.',
  workingLengthShort:
    'The working length past the sleeves is under {least}: {working} is taken, so {sleeves} + {working} = {sheath} of sheath comes off.',
  windowInRibbon: 'No window can be cut in ribbon {ribbon}: cut the ribbon, or leave it whole.',
  longestPull: 'The longest piece to pull off is {pull}; {most} is the most.',
  loopReaches: 'The slack loop of {loop} reaches the bench at {reach}.',
  loopTooShort: 'The slack loop is {missing} too short to reach the bench at {reach}.',
  bendRadius: 'Bend the cable no tighter than {load} in radius under load, {rest} at rest.',
});

const prepSteps = catalog<WithText<PrepStepMessage, 'colour'>>()({
  rightCable:
    'The right cable, and every part of the kit there? Check at the van: a missing part stops the work in the hole.',
  voltage:
    'Metal in this cable can carry foreign voltage: have it tested, and bonded or made safe, before it is cut or handled.',
  dark: '{unit, select, tube {Tube} other {Ribbon}} {number}{colour}: prove it dark here. Live-fiber detector on it, number and colour read twice, and the owner’s release for it.',
  strengthFlush: 'Cut strength member and ripcords flush at the ring cut.',
  glandClamp:
    'Gland up until the back of its clip is at the second mark; strength member through its boss; nut tight, hose clamp with a nut driver, boss screw tight. Cut the excess off.',
  glandIn:
    'Blanking plug out, gland in until it clicks; then the nut again, less than a quarter turn.',
  fitSeal:
    'Fit {seal} for {port} now that the cable lies in the case{layers, plural, =0 {} one {: # layer comes off} other {: # layers come off}}. Sealing tape round the cable, sealant over the seal and every face to be sealed.',
  diameter: 'Measure the outside diameter in three places; the largest counts.',
  tracer: 'Split off the tracer or tone wire, back past where the seal will sit.',
  chooseSeal: 'Choose and thread the seal before anything is opened.',
  threadSeal:
    'Thread {seal}{layers, plural, =0 {} one {, # layer peeled or spacers added} other {, # layers peeled or spacers added}}{clip, select, none {} other {, {clip}}}{bushing, select, yes {, with a bushing} other {}} onto the cable for {port}{slit, select, yes {, slit} other {}}, before anything is opened.',
  tapeAtEnd: 'Lay the tape with its zero at the end of the cable and set every mark of the plan.',
  tapeAtRingCut: 'Lay the tape with its zero at the first ring cut and set every mark of the plan.',
  ringCut: 'Ring-cut at {at}, through the sheath only.',
  ringCutTwice: 'Ring-cut at 0 and at {at}, through the sheath only.',
  peelDrop: 'Score both edges down to the rods, split and peel the sheath off.',
  slitRipcord: 'Slit with the ripcord and peel the sheath off.',
  trimStrength: 'Trim the strength member to {kept} past the sheath.',
  yarn: 'Take off binder tape, yarn and filler rods; keep aramid and ripcord as marked.',
  bond: 'Fit the shield connector and the bond before the cable is clamped.',
  dedicateUnit:
    '{unit, select, tube {Tube} other {Ribbon}} {number}{colour}: check its number and colour twice, then cut it at the second ring cut.',
  windowTube:
    'Tube {number}{colour}: cut a window at {from} from each sheath edge; take out only the fibers that are needed.',
  scoreWithScorer:
    'Score the tube with a fixed-depth scorer, snap, and pull off in pieces as marked: none over {most}.',
  scoreWithStripper:
    'Score the tube with a wire stripper (it can nick fibers: slowly), snap, and pull off in pieces as marked: none over {most}.',
  clean: 'Clean the gel off with solvent wipes, then dry.',
  hitches: 'Group 1: six half hitches of its binder round it before the binder comes off.',
  cutMark: 'Group 2: cut an inch off its ends, as a second mark.',
  runRibbons:
    'Run the ribbons through {tubes, plural, one {# tube} other {# tubes}}: none twisted or crossed; note which runs where.',
  clamp: 'Clamp the sheath by hand, snug: a power driver or an over-tight clamp deforms the cable.',
  hoseClamp: 'Hose clamp {below} below the ring cut, inside the groove.',
  routeFiber: 'Route the fiber to its tray; tie at the tray’s entrance, loose enough to turn.',
  routeTubes:
    'Route tubes and fibers to their trays; tie at the tray’s entrance, loose enough to turn.',
});

/** The work on one cable. */
export const prepStepText = (
  message: PrepStepMessage,
  units: Parameters<typeof prepSteps>[1],
): string => {
  if (!('colour' in message)) return prepSteps(message, units);
  const colour = message.colour ? ` ${colourText(message.colour)}` : '';
  return prepSteps({ ...message, colour }, units);
};

/** What must be known before a step. */
export const prepCautionText = phrases({
  blade: 'Blade: cut-resistant glove, cut away from yourself.',
  bladeTubes: 'Blade: cut-resistant glove, cut away from yourself. Never into the tubes.',
  shards: 'Glass shards: eyes covered, shards into a closed container.',
  shardsOtherTubes:
    'Glass shards: eyes covered, shards into a closed container. Cut no other tube.',
  solvent: 'Solvent: air the place, no flame, arc or heater near.',
  invisibleLight: 'The light in a fiber cannot be seen: never look into one.',
  qualified:
    'Follow local codes and the practice of your company; bonding is for qualified people.',
} satisfies Record<PrepCaution, string>);
