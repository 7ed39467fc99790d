import type {
  ReelProblem,
  BudgetMessage,
  CorrectionMessage,
  FindingMessage,
  PlaceProblem,
  ProofMessage,
  SeenLoss,
  WhereMessage,
} from '@cordel/core/otdr';
import type { Units } from '@cordel/core';
import { type WithText, catalog } from '../catalog.ts';

/** What is odd about traces. */
export const proofMessageText = catalog<ProofMessage>()({
  copyOfOther:
    '{label}: both directions hold the same samples ({files}). One is a copy of the other: shoot the missing direction.',
  savedForSeveral: '{files} hold the same samples: one shot was saved for several fibers.',
  noiseOnly: '{file}: noise only, no fiber is seen. Was it plugged in, and into the right port?',
  groupIndex:
    '{files}: shot with a group index of {index}, the others at {wavelengthNm} nm with {usual}. Distances are calculated with that of the others.',
  otherWavelength:
    '{file}: its fiber loses {measured} a kilometer, where {usual} is usual at {wavelengthNm} nm: it looks like a trace of {likelyNm} nm. Its figures are held back until that is fixed.',
  lengthUnknown:
    'The length of cable {cable} between its closures is not known: enter their distances or its sheath marks, or what lies behind it cannot be located.',
  scaleLong:
    'All distances come out {percent} % long. The group index was set to {index}; {fitting} would fit, or the helix factors are off. Places are located by the closures that are seen, so they hold.',
  scaleShort:
    'All distances come out {percent} % short. The group index was set to {index}; {fitting} would fit, or the helix factors are off. Places are located by the closures that are seen, so they hold.',
  receiveFiber:
    '{file}: there are {length} of fiber behind the end of the circuit. A receive fiber, or the wrong circuit?',
  lostInNoise:
    '{file}: {label} is lost in noise from {from} on. Average longer, or use a longer pulse.',
  rangeTooShort: '{file}: the range of {range} is too short for {label}, which ends at {end}.',
  noEndSeen: '{file}: no end is seen within {range}. Shoot with a longer range.',
  endFromOneSide:
    '{label}: {direction} it ends at {at}, from the other side it is whole. A fiber breaks for both: are two files swapped, or was it repaired between the shots?',
  launchFiber:
    '{files}: the first {length} are a launch fiber. They are taken off; distances count from its end.',
  otherWavelengths:
    '{label}: AB was shot at {ab} nm, BA at {ba} nm. Two directions of different wavelengths make no average: shoot one of them again.',
  directionMissing:
    '{label} at {wavelengthNm} nm: {missing} is missing, so its losses are one-way.',
  swapped:
    '{first} and {second} look swapped: {direction} at {wavelengthNm} nm of one goes with {otherDirection} at {otherNm} nm of the other. Check {files}; {otherFiles}.',
  cutOverSince:
    '{files}: shot before fibers were cut over at {closure} on {day}. They show the fiber as it was then and are not counted: shoot again.',
});

const SPAN =
  'Cable {cable} from {from} to {to} is {by} {longer, select, yes {longer} other {shorter}} than written.';

/** A written length that the traces do not bear out. */
export const correctionText = catalog<CorrectionMessage>()({
  loops:
    'The slack loops at {closure} are {by} {longer, select, yes {longer} other {shorter}} than written, on both cables: written {written}, the traces say {measured}.',
  place:
    '{closure} lies {by} {farther, select, yes {farther along} other {nearer}} than its distance says: what is missing before it is there behind it.',
  spanMarks: `${SPAN} Read its sheath marks again.` as string,
  spanLoop:
    `${SPAN} Most likely the slack loop at {closure}: written {written}, the traces say {measured}, as at the other closures.` as string,
  spanLoops: `${SPAN} Measure its slack loops at {closures}.` as string,
  span: `${SPAN} Measure it again.` as string,
});

type Finding = WithText<FindingMessage, 'seen'>;

const seenLoss = catalog<{ code: 'seen' } & SeenLoss>()({
  seen: '{direction} at {wavelengthNm} nm {loss}',
});

const worded = (message: FindingMessage): Finding =>
  'seen' in message
    ? {
        ...message,
        seen: message.seen.map((one) => seenLoss({ code: 'seen', ...one })).join(', '),
      }
    : message;

const titles = catalog<Finding>()({
  notJoined: '{label} is not spliced yet at {closure}',
  severalNotJoined: '{fibers, plural, other {# fibers}} are not spliced yet at {closure}',
  broken: '{label} is broken',
  brokenSamePlace: '{label} is broken',
  brokenTwoPlaces: '{label} is broken',
  echo: 'An echo in {label}, not an event',
  echoOneWay: 'An echo in {label}, not an event',
  unplanned: 'An event in {label} that nobody planned',
  unplannedBend: '{label} is bent where no splice was planned',
  reflects: '{label} reflects, where a fusion splice was planned',
  highOneWay: '{label} reads high one way',
  highOneWayCorrected: '{label} reads high one way',
  bent: '{label} is bent',
  modeFields: '{label} joins fibers of different mode fields',
  badSplice: '{label} is a bad splice',
  goodOneWay:
    '{high, plural, one {{label} reads high one way and is good} other {# of {fibers} fibers at {closure} read high one way and are good}}',
  trayHigh: 'Tray {tray} at {closure} is high as a whole',
  ribbonEdges: 'The edges of a ribbon at {closure} are high',
});

/** What a finding is, in a few words. */
export const findingTitle = (message: FindingMessage, units: Units): string =>
  titles(worded(message), units);

const evidence = catalog<Finding>()({
  notJoined: 'The trace ends where nothing is spliced yet: not a break. Shoot again when it is.',
  severalNotJoined:
    'The traces end where nothing is spliced yet: not a break. Shoot again when it is.',
  broken: 'The trace ends at {at} {direction}; the other end has not been shot.',
  brokenSamePlace:
    'The trace ends at {at} {direction} and at {otherAt} {otherDirection}, the same place from both ends.',
  brokenTwoPlaces:
    'The trace ends at {at} {direction} and at {otherAt} {otherDirection}: two places, what lies between is not seen.',
  echo: 'A reflection without loss, as far as two others together: {seen}.',
  echoOneWay: 'A reflection without loss, and the other direction has none: {seen}.',
  unplanned: '{seen}{reflects, select, yes {; it reflects} other {}}.',
  unplannedBend:
    '{seen}{reflects, select, yes {; it reflects} other {}}. More at long wavelengths: a bend or a squeezed cable.',
  reflects:
    'A peak of {peakDb} dB at {wavelengthNm} nm, loss {loss}: a connector, a mechanical splice or air between the ends; a fusion splice does not reflect.',
  highOneWay:
    '{direction} {loss} at {wavelengthNm} nm. One direction alone cannot tell a bad splice from a mode-field mismatch: shoot the other.',
  highOneWayCorrected:
    '{direction} {loss} at {wavelengthNm} nm, about {corrected} without what the directions of its peers differ by. One direction alone cannot tell a bad splice from a mode-field mismatch: shoot the other.',
  bent: '{long} at {longNm} nm and {short} at {shortNm} nm: a bend loses more at long wavelengths, a bad splice loses at both. Lay it in a wider bend before it is spliced again.',
  modeFields:
    'The directions differ by {difference}: mode fields {percent} % apart, which alone costs {alone} of {loss}. Splicing again changes little.',
  badSplice:
    '{loss} both ways at {wavelengthNm} nm, limit {limit}; its tray is good, the wavelengths agree, the directions do too. Splice {circuit} again.',
  goodOneWay:
    '{label} at {wavelengthNm} nm: AB {ab}, BA {ba}, average {mean}. A mode-field mismatch of the cables: leave them.',
  trayHigh:
    '{high} of its {fibers} fibers are high, median {median} against {usual} in the other trays{bent, select, yes {, and more so at long wavelengths: a pinched or bent tube or tray, not its splices} other {: what its fibers have in common, not one splice}}.',
  ribbonEdges:
    'Fibers {positions} of the ribbon: {lossesDb} dB, its middle {usual}. Check the holder, the outer grooves or the stripper before the next ribbon.',
});

/** What speaks for a finding. */
export const findingEvidence = (message: FindingMessage, units: Units): string =>
  evidence(worded(message), units);

const where = catalog<WhereMessage>()({
  closure: '{closure}.',
  tray: '{closure}, tray {tray}: its tubes, its entrance, its loops.',
  slot: '{closure}, tray {tray}, slot {slot}.',
  slotOffset:
    '{closure}, tray {tray}, slot {slot}; it shows {offset} of fiber {side, select, before {before} other {behind}} its peers, so check along the cable too.',
  inLoop: 'In the slack loop of cable {cable} at {from}: {sheath} of sheath.',
  inLoopMark:
    'In the slack loop of cable {cable} at {from}: {sheath} of sheath, at sheath mark {mark}.',
  along: 'Cable {cable}, {sheath} of sheath from {from} toward {toward}.',
  alongMark:
    'Cable {cable}, {sheath} of sheath from {from} toward {toward}, at sheath mark {mark}.',
});

/** Where to go. */
export const whereText = (places: readonly WhereMessage[], units: Units): string =>
  places.map((place) => where(place, units)).join(' ');

/** What keeps the place of a file from being settled. */
export const placeProblemText = catalog<PlaceProblem>()({
  patternDoesNotFit: 'The name does not fit the pattern.',
  whichCable: 'In which cable is the fiber counted?',
  whichFiber: 'Which fiber? Neither the name nor the file says.',
  whichEnd: 'From which end was it shot?',
  disputed: 'The name says {what} {byName}, the file {byFile}.',
  fiberOutside: 'Cable {cable} has {fibers} fibers, not {fiber}.',
});

const budgets = catalog<WithText<BudgetMessage, 'where'>>()({
  broken: 'Broken. {where}',
  deadFiber: 'A fiber of the circuit is marked dead.',
  lengthUnknown: 'A length of the circuit is unknown.',
  noAttenuation: 'No fiber attenuation is set for these wavelengths.',
  over: '{by} over at {wavelengthNm} nm: {loss} of {most}.',
  notSpliced: '{splices, plural, one {# splice} other {# splices}} of it not made yet.',
  littleLeft: 'Only {left} left at {wavelengthNm} nm, known to ± {error}.',
  left: '{left} left at {wavelengthNm} nm.',
});

/** Why a circuit has light or not. */
export const budgetText = (message: BudgetMessage, units: Units): string =>
  budgets(
    message.code === 'broken' ? { ...message, where: whereText(message.where, units) } : message,
    units,
  );

/** What is wrong with a fiber on its reel. */
export const reelProblemText = catalog<ReelProblem>()({
  reelEndNotSeen: 'Its end is not seen: shoot it over a longer range, or with a longer pulse.',
  reelAttenuationUnknown: 'Its attenuation cannot be told.',
  reelAttenuationOver: 'It loses {measured} a kilometer at {wavelengthNm} nm, over {most}.',
  reelAttenuationUnsure:
    'It loses {measured} a kilometer at {wavelengthNm} nm, over {most} by less than can be told: shoot it with more averages.',
  reelStep: 'A step of {loss} at {at}, over {most}: a new fiber has none.',
  reelShort:
    'By light {byLight}, by the sheath {sheath}: shorter. Is the reel the right one, and the group index?',
  reelLong:
    'By light {byLight}, by the sheath {sheath}: longer. Is the reel the right one, and the group index?',
});
