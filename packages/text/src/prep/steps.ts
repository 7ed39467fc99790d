import type {
  Figures,
  KnownAsk,
  Leg,
  PrepCaution,
  PrepStepMessage,
  ProfileFigure,
  Units,
} from '@cordel/core';
import { type WithText, catalog } from '../catalog.ts';
import { colourText } from '../fiber/index.ts';
import { phrases } from '../phrases.ts';
import { shown } from '../shown.ts';

/** A figure that stands in own words while its sheet's is not typed yet. */
const bySheet = phrases({ notTyped: '(by the sheet)' });

/** Own words of a step with the figures of the profile in the units of the project. */
export const withFigures = (words: string, figures: Figures, units: Units): string =>
  words.replace(/\{(\w+)\}/g, (text, name: string) => {
    if (!(name in figures)) return text;
    const figure = figures[name as ProfileFigure];
    return figure === null ? bySheet('notTyped') : String(shown(figure, units));
  });

type OwnWords = { code: 'ownWords'; words: string };
type Said = Exclude<WithText<PrepStepMessage, 'colour'>, { code: 'ownWords' }> | OwnWords;

const prepSteps = catalog<Said>()({
  ownWords: '{words}',
  rightCable:
    'The right cable, and every part of the kit there? Check at the van: a missing part stops the work in the hole.',
  voltage:
    'Metal in this cable can carry foreign voltage: have it tested, and bonded or made safe, before it is cut or handled.',
  diameter: 'Measure the outside diameter in three places; the largest counts.',
  tracer: 'Split off the messenger, tracer or tone wire, back past where the seal will sit.',
  slitSeal:
    'Mark the slit on the seal by its chart; press the blade straight through on a flat board.',
  chooseSeal: 'Choose and thread the seal before anything is opened.',
  threadSeal:
    'Thread {seal}{layers, plural, =0 {} one {, # layer peeled or spacers added} other {, # layers peeled or spacers added}}{clip, select, none {} other {, {clip}}}{bushing, select, yes {, with a bushing} other {}} onto the cable for {port}{slit, select, yes {, slit} other {}}, before anything is opened.',
  fitSeal:
    'Fit {seal} for {port} now that the cable lies in the case{layers, plural, =0 {} one {: # layer comes off} other {: # layers come off}}. Sealing tape round the cable, sealant over the seal and every face to be sealed.',
  tapeAtEnd: 'Lay the tape with its zero at the end of the cable and set every mark of the plan.',
  tapeAtRingCut:
    'Lay the tape with its zero at the first ring cut, on the feed side, and set every mark of the plan.',
  access:
    'Set the depth of the ring cutter on the end of the cable. Ring-cut {at} from the end and pull the short piece off; where it sits tight, slit it on both sides, from the mark towards the end.',
  ringCut: 'Ring-cut at {at}, through the sheath only.',
  ringCutTwice: 'Ring-cut at 0 and at {at}, through the sheath only.',
  edges: 'Score both edges of the drop down to the rods over {at}.',
  split: 'Split the drop between the rods and peel both halves of the sheath back.',
  peelDrop: 'Score both edges down to the rods, split and peel the sheath off.',
  slitRipcord:
    'Ripcord round the jaws of the pliers: pull it along the cable, not out from it, back to the ring cut. Peel the sheath off.',
  slitMidSheath:
    'Open the sheath between the ring cuts with a mid-sheath slitter or a shallow cut along it: there is no end to start a ripcord from. Peel it off.',
  yarn: 'Take off binder tape, yarn, filler rods and the second ripcord.',
  aramid: 'Keep {kept} of aramid for tying off; the rest comes off.',
  aramidTrim: 'Trim the aramid off at the sheath.',
  centralTube: 'Keep {kept} of the central tube past the sheath.',
  trimStrength: 'Trim the strength member to {kept} past the sheath.',
  strengthLong: 'Leave about {kept} of the strength member for now.',
  strengthFlush: 'Cut strength members and ripcords flush at the sheath.',
  bracket:
    'Sheath edge to the bracket. Mark the strength member at the end of the bracket and cut it there; under its cap, nut tight. Aramid round the stud, under the same nut.',
  tieToBracket: 'Cable through the bracket, and tied to it.',
  clamp: 'Strength member under its clamp, nut tight. The cable does not turn or slide.',
  rackClamp:
    'Clamp on its bracket: first half, cable, second half, snug. The sheath ends {below} below the lower edge of the clamp.',
  spacer: 'Strength members trimmed in line; spacer between the tubes.',
  hoseClamp: 'Hose clamp {below} below the ring cut, inside the groove.',
  shieldStud: 'Stud of the shield connector through the slot: strength member first, then the nut.',
  bond: 'Fit the shield connector and the bond.',
  noneSqueezed: 'Look that no tube is squeezed.',
  sealIn:
    'Grease the outside of the seal; slit away from the seam of the plate; press it into its port.',
  groundStud: 'Ground stud through the plate, with washer and nut.',
  sealCap: 'Cap on the seal; bolts by hand and evenly, until the seal begins to bulge at its edge.',
  bushing: 'Bushing round the cable: it is thin for this seal.',
  gelChannel:
    'Lay the cable into the channel of the gel; attachment unit on; tail of the clamp and ground clear of the wedge.',
  wedgeIn: 'Push the wedge in until it latches; compression screw fully in.',
  glandLoose: 'Put the gland together loosely, cone greased, and slide it onto the cable.',
  glandGrease: 'Strip the jacket of the strength member; grease the first part of the sheath.',
  glandClamp:
    'Gland up until the back of its clip is at the second mark; strength member through its boss; nut tight, hose clamp with a nut driver, boss screw tight. Cut the excess off.',
  glandIn:
    'Blanking plug out, gland in until it clicks; then the nut again, less than a quarter turn.',
  dark: '{unit, select, tube {Tube} other {Ribbon}} {number}{colour}: prove it dark here. Live-fiber detector on it, number and color read twice, and the owner’s release for it.',
  dedicateUnit:
    '{unit, select, tube {Tube} other {Ribbon}} {number}{colour}: cut it {leg, select, in {at the second ring cut, on the exit side} out {at the first ring cut, on the feed side} other {in the middle, so that both sides reach}}. Mark the stub.',
  windowTube:
    'Tube {number}{colour}: cut a window at {from} from each sheath edge; take out only the fibers that are needed.',
  scoreWithScorer:
    'Score the tube with a fixed-depth scorer, snap, and pull off in pieces as marked: none over {most}.',
  scoreWithStripper:
    'Score the tube with a wire stripper (it can nick fibers: slowly), snap, and pull off in pieces as marked: none over {most}.',
  dropTube: 'Score the tube, snap, and pull it off, all but {kept}.',
  clean: 'Clean the gel off with solvent wipes, then dry.',
  hitches: 'Group 1: six half hitches of its binder round it before the binder comes off.',
  cutMark: 'Group 2: cut an inch off its ends, as a second mark.',
  tubesRound: 'Lay the tubes round the inside of the case.',
  wrap: 'Wrap the tubes where they are tied.',
  cutSleeves:
    'Cut {sleeves, plural, one {# protective sleeve} other {# protective sleeves}} of {length}, one for two ribbons.',
  forks: 'Grip the sleeves on their forks; forks into the retainer.',
  runRibbons:
    'Tape the ends of two ribbons in a row with as little tape as holds, cut them to a point, and run each pair through its tube, {tubes, plural, one {# tube} other {# tubes}} in all: none twisted or crossed. Note which runs where.',
  entryPlate: 'Knock-out of the entry plate by the diameter; housing on.',
  conduit: 'Cut the conduit from the kit to the chassis; hold both its ends.',
  conduitOf: 'Cut {length} of conduit from the kit to the chassis; hold both its ends.',
  pairsThrough:
    'Pairs into the chassis: which hole a pair takes goes by what lies without a twist.',
  pairSleeves: 'A plain sleeve over each pair where it leaves.',
  routeFiber: 'Route the fiber to its tray; tie at the tray’s entrance, loose enough to turn.',
  routeTubes:
    'Route tubes and fibers to their trays; tie at the tray’s entrance, loose enough to turn.',
  spliceHolder: 'Stick the splice holder on.',
  moduleEntry: 'Tie the cable down at the module; ribbons are never bare there.',
  trunkLoop: 'Trunk clockwise round one loop; mark it at the zero guide.',
  pigtailLoop: 'Pigtails round the other way; mark them too.',
  workingLength: 'Cut to the working length of {length}.',
  holderOrder:
    'Ribbons 1, 2, 3 in the first holder, the next three in the second, strength rods upright; sleeves on the trunk side.',
  warmTools: 'Keep stripping tools warm: cold jaws shrink and nick the glass.',
  coreStrip: 'Strip the core down to its fiber.',
  dropConnector: 'Make the connector, fused or mechanical, and look for light through it.',
});

/** The work on one cable. */
export const prepStepText = (message: PrepStepMessage, units: Units): string => {
  if (message.code === 'ownWords')
    return prepSteps(
      { code: 'ownWords', words: withFigures(message.words, message.figures, units) },
      units,
    );
  if (!('colour' in message)) return prepSteps(message, units);
  const colour = message.colour ? ` ${colourText(message.colour)}` : '';
  return prepSteps({ ...message, colour }, units);
};

/** The leg of an express cable. */
export const legText = phrases({
  in: 'Feed side',
  out: 'Exit side',
} satisfies Record<Leg, string>);

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
  handTools: 'By hand, no power driver: an over-tight clamp deforms the cable.',
  pressure: 'Release the pressure first.',
  height: 'Ladders, buckets and power lines: follow local codes and the practice of your company.',
} satisfies Record<PrepCaution, string>);

const asks = phrases({
  testedBy: 'Tested and made safe by',
  voltageFound: 'Voltage found',
  detector: 'What the detector showed',
  numberTwice: 'Number and color read twice',
  releasedBy: 'Released by (owner)',
  torqueUsed: 'Torque that was used, with its unit',
} satisfies Record<KnownAsk, string>);

/** What a step asks to be written down: its own words, or those for its key. */
export const askText = ({ key, words }: { key: string; words: string }): string =>
  words === '' ? asks(key as KnownAsk) : words;
