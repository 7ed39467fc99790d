import type {
  CutPlan,
  HardwareConflict,
  MarkMessage,
  PlanConflict,
  PrepMessage,
  SealNote,
  SealProblem,
  Tail,
  Tubing,
  WholeMessage,
} from '@cordel/core';
import { catalog } from '../catalog.ts';
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
  dedicatedCut: 'cut tubes{leg, select, in {} out {, exit side} other {, both sides}}: cut here',
  dedicatedScore:
    'cut tubes{leg, select, in {} out {, exit side} other {, both sides}}: score and pull off from here',
  window: 'window in the tube: cut open, not through',
  accessCut: 'ring cut to get hold of the ripcord: what lies beyond, {waste}, is waste',
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
  dedicatedBoth: 'a tube cut in the middle leaves on each side',
  window: 'a window leaves, with fibers cut at the far one',
} satisfies Record<Tail, string>);

/** Tubing to cut beforehand. */
export const tubingText = phrases({
  protectiveSleeves: 'protective sleeves, two ribbons in each, in number order',
  transportTubes: 'transport tubes, one a tray',
  conduit: 'conduit from the kit to the chassis',
} satisfies Record<Tubing, string>);

/** Where how a cable enters and the plan contradict each other. */
export const planConflictText = catalog<PlanConflict>()({
  passesButEnds:
    '{cable} {runs} pass through by the plan: the cable enters as express, not as a cut end.',
  passesInCutTube:
    'Tube {unit} is cut, and fibers {runs} in it pass through by the plan: cut a window, or plan what becomes of them.',
});

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
  accessWaste:
    'Sheath off: {sheet} + {waste} that gives hold of the ripcord and is waste = {sheath}.',
  conduitInSleeves:
    'Conduit: {conduit}, shorter than the {sleeves} of sleeves that run through it.',
  conduitTooLong:
    'Conduit: {conduit} is not shorter than the {sleeves} of sleeves that run through it, and leaves none of them past its ends.',
  windowInRibbon: 'No window can be cut in ribbon {ribbon}: cut the ribbon, or leave it whole.',
  longestPull: 'The longest piece to pull off is {pull}; {most} is the most.',
  loopReaches: 'The slack loop of {loop} reaches the bench at {reach}.',
  loopTooShort: 'The slack loop is {missing} too short to reach the bench at {reach}.',
  bendRadius: 'Bend the cable no tighter than {load} in radius under load, {rest} at rest.',
});

export * from './steps.ts';
export * from './works.ts';

const SLEEVES = '{sleeve, select, single {single-fiber} other {ribbon}}';

/** Where hardware, a closure's trays and its plan contradict each other. */
export const hardwareConflictText = catalog<HardwareConflict>()({
  tooManyTrays:
    '{hardware} holds {maximum, plural, one {# tray} other {# trays}}, and this closure has {trays}. Choose larger hardware or remove trays.',
  tooManySlots:
    `{trays, plural, one {# tray is} other {# trays are}} set to {slots} ${SLEEVES} slots. A tray of {hardware} has {maximum}. Correct the trays of the closure.` as string,
  noSlots:
    `{hardware} has no ${SLEEVES} slots, and the plan needs {sleeves}. Change the method in the plan or choose other hardware.` as string,
});
