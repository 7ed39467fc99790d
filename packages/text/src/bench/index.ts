import type {
  Action,
  ArcReason,
  AskReason,
  ColourQuestion,
  Fault,
  FiberAddress,
  HealthSeries,
  PassReason,
  RecordDoubt,
  RecordFileMessage,
  RedoFigure,
  RedoReason,
  SetupMessage,
  SplicerError,
  StepCaution,
  StepMessage,
  Trouble,
  TroubleMessage,
  Units,
  Way,
} from '@cordel/core';
import type { ShiftUnitKind } from '@cordel/core/shift';
import { catalog } from '../catalog.ts';
import { placeText } from '../fiber/index.ts';
import { gradeText } from '../loss/states.ts';
import { numberProblemText } from '../measure/index.ts';
import { phrases } from '../phrases.ts';
import { issueText } from '../record/issue.ts';

const CHANCES = 'another attempt passes with {next}, this one with {now}';

/** Why a redo is advised or not. */
export const redoReasonText = catalog<RedoReason>()({
  noLimit: 'The project sets no limit for this kind of splice.',
  likely: 'Likely to pass: {now}.',
  modeFields:
    'Another attempt passes with {next} only: the mode fields alone cost {floor}, which no redo changes. Tell the lead.',
  noBetter:
    'Another attempt passes with {next} only: this splice has shown no better. Tell the lead.',
  attemptsUsed: `{used} of {most} attempts used; ${CHANCES}.` as string,
  noSlack: `No slack left for a redo; ${CHANCES}.` as string,
  windowCloses: `The window closes before a redo is done; ${CHANCES}.` as string,
  redoHelps: 'Another attempt passes with {next}, this one with {now}.',
});

/** How a loss is known is in words already. */
type WordedFigure<M> = M extends { code: 'chances' } ? Omit<M, 'grade'> & { grade: string } : M;

const figures = catalog<WordedFigure<RedoFigure>>()({
  chances:
    'Chance to pass as it lies: {now}; another attempt: {next}. Accepted by {grade}, at most {limit}.',
  usual:
    'This splicer usually makes {usual} ({estimates} of its own estimates, weighed with {weight} of a usual splicer: {prior}).',
  estimateError:
    'Its estimates are off by about {error} ({measured} measured splices, weighed with {weight} of 0.01 dB).',
  cleave: 'Cleave {degrees} degrees: about {loss} that the picture does not show.',
  modeFields: 'Mode fields: {floor} at least, whatever is done.',
  slack: 'Slack: {left} left, a redo uses {redo}.',
  window: 'Window: {leftMinutes} min left, a redo takes about {redoMinutes} min.',
  failCost:
    'A splice that fails its test counts as {redos} redos. An estimate is not a measured loss.',
});

/** A figure that the advice rests on. */
export const redoFigureText = (figure: RedoFigure, units: Units): string =>
  figures(
    figure.code === 'chances' ? { ...figure, grade: gradeText(figure.grade) } : figure,
    units,
  );

const SINCE =
  '{rise, select, up {+} other {\u2212}}{change} since the last good check; {much} is much.';
const SINCE_PERCENT =
  '{rise, select, up {+} other {\u2212}}{change} % since the last good check; {much} % is much.';

/** Why the arc is to be checked, or is not. */
export const arcReasonText = catalog<ArcReason>()({
  roundFailed: 'Round {round} did not pass: run it again.',
  noGoodCheck: 'No good check of this splicer is known.',
  newSession: 'A new session: this project checks the arc at the start of each.',
  electrodes: 'Electrodes were {what} since the last good check.',
  streak: '{splices} failed or high splices in a row.',
  arcsCounted:
    '{arcs, plural, one {# arc} other {# arcs}} on {glassUm} um fiber since the last good check; {most} is the count.',
  arcsLeft: 'Arc check in {arcs, plural, one {# arc} other {# arcs}}.',
  checkHolds: 'The last good check holds: {arcs, plural, one {# arc} other {# arcs}} left.',
  idle: 'Not used for {days, plural, one {# day} other {# days}}.',
  temperature: `Temperature ${SINCE}` as string,
  pressure: `Air pressure ${SINCE}` as string,
  humidity: `Humidity ${SINCE_PERCENT}` as string,
});

/** What of a splicer's record cannot be as it stands. */
export const recordDoubtText = catalog<RecordDoubt>()({
  noEstimate:
    '{fiber, plural, =0 {} other {Fiber {fiber}: }}{loss} is not an estimate of a splice: it does not count. Type what the screen shows.',
  clockBehind: 'The clock of the splicer is {by} behind: the time it came in counts.',
  clockAhead: 'The clock of the splicer is {by} ahead: the time it came in counts.',
  meantFahrenheit: '{figure} C is hotter than any site: it is taken as {figure} F, {celsius} C.',
  noWeather: '{figure} C is outside what any site has: it does not count.',
});

/** What to do when a splicer stops or complains (common practice, no source). */
export const splicerErrorText = phrases({
  'fiber too long': 'Fiber too long: cleave shorter, or load further back.',
  'past center': 'Fiber past the center: load again, short of the electrodes.',
  'cleave angle': 'Cleave angle high: cleave that side again before it costs an arc and a sleeve.',
  chip: 'Chip on the end: cleave again; if it comes back, turn the blade.',
  dirt: 'Dirt seen: wipe the fiber, brush the groove, load again.',
  offset: 'Offset large: reseat the fiber; clean the grooves.',
  'not in groove': 'A fiber lies outside its groove: lift, comb and seat the ribbon again.',
  gap: 'Gap wrong: reset and load again.',
  tension: 'Tension test failed: the splice is broken. Cut back and splice it again.',
  heater: 'The heater stopped: check its program against the sleeve.',
} satisfies Record<SplicerError, string>);

/** Why a record passes by the bench. */
export const passReasonText = phrases({
  counted: 'It counts already.',
  otherSplicer: 'It comes from another splicer than that of this bench.',
} satisfies Record<PassReason, string>);

/** Why a person has to choose where a record belongs. */
export const askReasonText = catalog<AskReason>()({
  nothingInHand: 'Nothing is in hand: choose the splice it belongs to.',
  secondRecord: 'It is a second record for the splice in hand: was it spliced again?',
  otherLabel: 'It is labelled “{label}”, and this is {closure}.',
  cameLate: 'It is number {number}, older than number {last}, which counts already: it came late.',
  otherCount:
    'It has {fibers, plural, one {one fiber} other {# fibers}}, and {inHand, plural, one {one is} other {# are}} in hand.',
});

type WordedFile =
  | Exclude<RecordFileMessage, { code: 'invalid' | 'noFigure' }>
  | { code: 'noFigure'; text: string; problem: string };

const recordFile = catalog<WordedFile>()({
  lineCut: 'The line is cut off or not JSON: send the file again.',
  numberMissing: 'The running number of the splice is missing: a whole number.',
  holderPlaces: 'A holder has places 1 to 12.',
  columnUnmatched: 'No column is matched to “{title}”: choose the one that holds it.',
  fiberTwice: 'Number {number} has fiber {fiber} already: it stands there twice.',
  noFigure: '“{text}” is not a figure. {problem}',
  unknownError: '“{text}” is not an error that is known: {known}.',
  noTime: '“{text}” is not a time: write it as 2026-05-04T20:15:00Z.',
});

/** What is wrong in a line of a splicer's file. */
export function recordFileText(message: RecordFileMessage): string {
  if (message.code === 'invalid') return issueText(message.issue);
  return recordFile(
    message.code === 'noFigure'
      ? { ...message, problem: numberProblemText(message.problem) }
      : message,
  );
}

/** The name of a series. */
export const seriesText = catalog<HealthSeries['name']>()({
  estimates: 'Estimates',
  cleaves: 'Cleave angles',
  place: 'Ribbon place {place}',
});

/** What a series shows. */
export const troubleText = catalog<TroubleMessage>()({
  blade: 'Cleave angles rise: about {now} degrees now, {usual} at first.',
  arc: 'Estimates rise: about {now} now, {usual} at first; cleaves are steady.',
  groove:
    '{count, plural, one {# place} other {# places}} of the ribbon high, {places}, the others steady.',
  holder:
    '{count, plural, one {# place} other {# places}} of the ribbon high, {places}, the others steady.',
  dirt: 'One figure jumped to {loss}, its neighbours are steady.',
  'tray bend':
    'Tray {tray}: {bent} of {splices} splices lose {excess} more at the long wavelength.',
});

/** What to do about trouble, by its likely cause. */
export const troubleRemedyText = phrases({
  blade: 'Turn the blade one place and log it; wipe anvil and clamps.',
  arc: 'Run an arc check; if it does not pass, the electrodes are due.',
  holder: 'Edge fibers: seat the ribbon flat in its holder; check the stripper and holder edges.',
  groove: 'The same groove again: brush it out, and lift the lens cover for dirt.',
  dirt: 'Most likely dirt or a chip: clean the groove and splice this one again. Nothing else needs doing.',
  'tray bend':
    'Lift the tray and lay its fibers wider; look for a pinch at its entrance. Do not redo the splices.',
} satisfies Record<Trouble['cause'], string>);

/** How a splice is made. */
export const wayText = phrases({
  single: 'Single fiber',
  ribbon: 'Ribbon',
  ribbonize: 'Loose fibers, ribbonized',
  'splice-on': 'Splice-on connector',
  pigtail: 'Pigtail',
  mechanical: 'Mechanical connector',
} satisfies Record<Way, string>);

const sleeve = (name: string): string =>
  `{${name}, select, ribbon {ribbon sleeves} other {{${name}} sleeves}}`;

type WordedSetup =
  | Exclude<SetupMessage, { code: 'wayDoesNotFit' }>
  | { code: 'wayDoesNotFit'; way: string; fibers: number; ways: string };

const setup = catalog<WordedSetup>()({
  glassDiffers: 'One side is {left}, the other {right}: these cannot be spliced. Check the cables.',
  wayDoesNotFit:
    '{way} does not fit {fibers, plural, one {a single fiber} other {# fibers}} here: {ways}.',
  chooseProgram: 'Choose a program of {splicer}.',
  chooseHeater: 'Choose a heater program of {splicer}.',
  programGlass: '{program} is made for {made} fiber, and this is {glass}.',
  programFibers: '{program} fuses at most {most} at once; {fibers} fibers lie in this ribbon.',
  heaterBurns:
    `The heater is set for ${sleeve('heater')}, and these are ${sleeve('sleeve')}: they would come out burnt.` as string,
  heaterTooCold:
    `The heater is set for ${sleeve('heater')}, and these are ${sleeve('sleeve')}: they would not shrink through.` as string,
  ribbonSleeve: 'A ribbon takes ribbon sleeves.',
  singleSleeve: 'A single fiber takes single-fiber sleeves, not ribbon sleeves.',
  holderMissing: 'The holder must take {fibers}; none is chosen.',
  holderSmall: 'The holder must take {fibers}; this one takes {holder}.',
  holderLarge:
    'The holder is for {holder} fibers, and the ribbon has {fibers}: grooves stay empty, watch the edge.',
  splicerCleave: '{name} does not take a cleave of {cleaveMm} mm.',
  cleaverCleave: '{name} does not cut {cleaveMm} mm.',
});

/** What of a setup does not fit. */
export const setupText = (message: SetupMessage): string =>
  setup(
    message.code === 'wayDoesNotFit'
      ? {
          ...message,
          way: wayText(message.way),
          ways: message.ways.map((way) => wayText(way).toLowerCase()).join(' or '),
        }
      : message,
  );

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

/** Why an action is right for a fault: said where it was missed. */
export const faultText = phrases({
  none: 'Nothing was wrong: colours, ends, program and estimate all fit.',
  chip: 'A chipped end makes a bad splice: it is cleaved again before it costs an arc and a sleeve.',
  dirt: 'Dirt was seen on the picture: wiped and loaded again it is gone; spliced, it stays.',
  offset:
    'The cores did not meet: the estimate says so. Another attempt costs a sleeve, a bad splice a visit.',
  swapped:
    'The colour in the holder was not that of the plan. A swap reads well on every screen, and two circuits are wrong.',
  flipped: 'Fiber 1 met fiber 12. Every splice reads well, and all twelve circuits are wrong.',
  'worn electrodes':
    'One high estimate after another with good cleaves: the arc is off. Redoing alone does not correct it.',
  'wrong program': 'The program was made for other fiber. It splices, and not as it should.',
  'no sleeve':
    'No sleeve was on. Found after the arc it breaks a good splice; it comes first, always.',
} satisfies Record<Fault, string>);

/** What a learner can do. */
export const actionText = phrases({
  keep: 'Keep it',
  redo: 'Redo it',
  'cleave again': 'Cleave again',
  'clean and load again': 'Clean, load again',
  'check colours and load again': 'Wrong colour: load again',
  'turn the ribbon': 'Turn the ribbon',
  'arc check': 'Check the arc',
  'set the program': 'Set the program',
  'sleeve on': 'Put the sleeve on',
} satisfies Record<Action, string>);

const why = phrases({
  counted:
    '{full, plural, one {# full {unit}} other {# full {unit}s}} of {size} are {before}; {fiber} less {before} is {rest}: {place}.',
});

/** Why an answer about colours is right, worked out. */
export function colourAnswerText(question: ColourQuestion, address: FiberAddress): string {
  const { fiber, fullUnits, unitSize, unit } = question;
  const before = fullUnits * unitSize;
  return why('counted', {
    full: fullUnits,
    unit,
    size: unitSize,
    before,
    fiber,
    rest: fiber - before,
    place: placeText(address),
  });
}

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
