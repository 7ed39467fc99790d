import type { Units } from '@cordel/core';
import type { ClosingPoint, FoundMessage, PointGroup, PointMessage } from '@cordel/core/close';
import { catalog } from '../catalog.ts';
import { phrases } from '../phrases.ts';
import { withFigures } from '../prep/index.ts';

type OwnWords = { code: 'ownWords'; words: string };

const LEG = '{leg, select, in {, feed side} out {, exit side} other {}}';

const points = catalog<Exclude<PointMessage, { code: 'ownWords' }> | OwnWords>()({
  ownWords: '{words}',
  allSpliced: 'All planned splices are made',
  noneToRedo: 'No splice is to be redone',
  cablesEntered: 'Every cable that is spliced enters here',
  hardwareHolds: 'The closure holds what is in it',
  trayLaid:
    'Tray {tray}: {sleeves, plural, one {# sleeve} other {# sleeves}} seated; no fiber bent under {radius} or under the edge of the lid',
  endsCapped:
    '{ends, plural, one {# connector seated in its port} other {# connectors seated in their ports}}, boots on; dust caps on the free ports',
  traysStacked:
    '{trays, plural, one {# tray} other {# trays}} stacked in order, lid on the last, strap closed',
  tubesRouted:
    'Tubes of {cables} run to their trays without a kink, tied loosely; the basket is clear',
  cableHeld:
    `Cable {cable}${LEG}: held, strength member clamped; it does not turn or slide` as string,
  cableClamped:
    `Cable {cable}${LEG}: held, strength member clamped, hose clamp {hoseClamp} below the ring cut; it does not turn or slide` as string,
  shieldBonded: `Cable {cable}${LEG}: shield connector and bond are on` as string,
  tracerOut: 'Cable {cable}: tracer wire is out past its seal',
  portPlugged: '{port}: plugged, {plugs, plural, one {# plug} other {# plugs}}',
  portUnknownSeal:
    '{port}: cable {cables}, seal not known{plugs, plural, =0 {} one {, # plug} other {, # plugs}}',
  portSealed:
    '{port}: cable {cables} in {seal}{bushing, select, yes { with bushing} other {}}{slit, select, yes {, slit off the seam} other {}}{plugs, plural, =0 {} one {, # plug} other {, # plugs}}',
  facesClean: 'Both sealing faces clean and dry, no scratch, hair or grit',
  gelClean: 'Gel clean, whole and level; no fiber, tie or grit in it',
  gasketSeated: 'Gasket whole, greased as its sheet says, seated all round',
  gasketGreased: 'Gasket whole, greased inside and out, the right way up in its flange',
  sealPin: '{port}: pin in its unused seal',
  wedgeLatched:
    '{port}: wedge latched, compression screw fully in, plug or bushing where it needs one',
  ringClean: 'No dirt on ring and base',
  filmOff: 'Film peeled off the gel slowly, and the gel left to settle',
  sealant: 'Sealing tape round each cable, sealant over every seal and every face to be sealed',
  strapsOn:
    'Trays down, basket clear, both straps on with the hook side outwards; side straps first where there are fewer than six trays',
  slotsHome: 'Slots of the bracket over the knobs, pressed home',
  holdersIn: 'Sleeve holders snapped in, strength rods upright',
  slackLaid: 'Slack laid by turning the module, never by twisting the ribbons; bend checked',
  tiesOn: 'Both ties on',
  lidOn: 'Lid on',
  domeIn: 'Dome in, flange the right way round',
  lipCaptured: 'Lip captured all round by the collar',
  domeTurned: 'Dome turned to its tab and lowered slowly; no gap',
  ringOn: 'Ring on, its latch clear of the mount',
  latchClosed: 'Latch closed',
  pinIn: 'Pin in',
  collarTight: 'Collar tight',
  tabsLocked: 'Squeezed until both tabs lock',
  housingOn: 'Housing on, conduit held at both ends',
  collarLocked: 'Collar locked with a tie',
  valveCap: 'Pressure released, valve cap back on',
  mounted: 'Mounted as its place asks: strand, pole, wall or handhole',
  slackStored: 'Slack coiled within its bend and tied, with a drip loop where it hangs',
  labelled: 'Labeled',
  boltTight: 'Bolt {bolt} tight, number {place} of {bolts} in the order',
  boltsAgain:
    'All bolts gone round once more in this order, by hand, to the torque of the sheet: write down which',
  boltsToTorque: 'All bolts gone round once more in this order, by hand, to {torque}',
});

/** What a point of the closing list asks for. */
export const pointText = (message: PointMessage, units: Units): string =>
  points(
    message.code === 'ownWords'
      ? { code: 'ownWords', words: withFigures(message.words, message.figures, units) }
      : message,
    units,
  );

const remedies = catalog<{ code: PointMessage['code'] }>()({
  allSpliced: 'Go to the Bench and splice them, or take them out of the plan.',
  noneToRedo: 'Go to the Bench and redo them, or let the lead accept them there.',
  cablesEntered: 'Enter them under Open the cables, with diameter and port.',
  hardwareHolds: 'Choose the hardware and the ports under Open the cables.',
  trayLaid:
    'Lift the lid, lay the fiber back in its guides, press the sleeve into its slot; no sleeve on another.',
  endsCapped:
    '{ends, plural, one {# connector seated in its port} other {# connectors seated in their ports}}, boots on; dust caps on the free ports',
  traysStacked: 'Close the strap; a tray that moves pulls its fibers.',
  tubesRouted:
    'Take the tie off, lay the tube in a wider bend; a kinked tube is cut back and spliced again.',
  cableHeld: 'Loosen, set the cable to its mark, clamp again, pull by hand.',
  cableClamped: 'Loosen, set the cable to its mark, clamp again, pull by hand.',
  shieldBonded: 'Put the bond on as the practice of your company says.',
  tracerOut: 'Bring the wire out before the seal is closed.',
  portPlugged: 'Put a plug into every empty hole; a port is never closed by tape.',
  portUnknownSeal: 'Measure the cable under Open the cables: the seal follows from its diameter.',
  portSealed:
    'Take the seal off, clean cable and seal, measure the cable again, seat the seal square.',
  facesClean: 'Wipe them with a lint-free cloth; a deep scratch needs a new part.',
  gelClean: 'Stretch the gel and set it back; a wedge that is torn is replaced.',
  gasketSeated: 'Lay it back into its groove; a gasket that is cut is replaced.',
  ownWords: 'Put it right as its own sheet says.',
  gasketGreased: 'Lay it back into its flange; a gasket that is cut is replaced.',
  sealPin: 'Put the pin in; an unused seal without its pin leaks.',
  wedgeLatched: 'Loosen the screw, set the gel back, push the wedge in until it latches, screw in.',
  ringClean: 'Wipe them with a lint-free cloth.',
  filmOff: 'Peel the rest of the film off; torn gel is replaced.',
  sealant: 'Clean the face and put sealant on again.',
  strapsOn: 'Take the straps off, press the trays down, straps on again.',
  slotsHome: 'Lift the bracket and press it home on both knobs.',
  holdersIn: 'Lift the holder and snap it in again.',
  slackLaid: 'Turn the module back and lay the slack in a wider loop.',
  tiesOn: 'Put the ties on, loose enough to turn.',
  lidOn: 'Lift the lid, look what holds it up, and put it on again.',
  domeIn: 'Lift the dome, turn it to its flange, and lower it again.',
  lipCaptured: 'Open the collar and seat it on the lip all round.',
  domeTurned: 'Lift the dome, look what holds it up, turn it to its tab.',
  ringOn: 'Take the ring off and set it with its latch clear of the mount.',
  latchClosed: 'Open it, look that ring or collar lies all round, and close it again.',
  pinIn: 'Close the latch fully; the pin then goes in by hand.',
  collarTight: 'Open the collar, seat it again, tighten it by hand.',
  tabsLocked: 'Open it, look for a fiber or a tie in the way, and squeeze again.',
  housingOn: 'Take the housing off and set the conduit into its holders.',
  collarLocked: 'Put the tie on.',
  valveCap: 'Release the pressure, then put the cap on by hand.',
  mounted: 'Mount it again as its sheet says.',
  slackStored: 'Take the coil down and lay it within its bend.',
  labelled: 'Print a label and put it on.',
  boltTight: 'Loosen them all and begin again in the order of the sheet.',
  boltsAgain: 'Go round until none turns.',
  boltsToTorque: 'Go round until none turns.',
});

/** What to do where a point fails. */
export const remedyText = ({ message: { code } }: Pick<ClosingPoint, 'message'>): string =>
  remedies({ code });

/** What the record itself says of a point. */
export const foundText = catalog<FoundMessage>()({
  nothingPlanned: 'Nothing is planned.',
  noneToRedo: 'None.',
  noHardware: 'No hardware is chosen.',
  spliced:
    '{made} of {planned} are spliced{dead, plural, =0 {} other {, {dead} dead}}{open, plural, =0 {} other {; not yet: {places}}}.',
  toRedo: 'To redo: {places}.',
  cablesEntered: '{cables, plural, one {# cable} other {# cables}}.',
  notEntered: 'Not entered: {cables}.',
  noPort: 'No port for {cables}.',
  traysHeld: '{hardware}: {trays} of {most} trays.',
});

/** Headings of the groups of points. */
export const pointGroupText = phrases({
  work: 'Work',
  trays: 'Trays',
  cables: 'Cables',
  ports: 'Ports',
  faces: 'Faces',
  bolts: 'Bolts',
  cover: 'Cover',
  after: 'After the test',
} satisfies Record<PointGroup, string>);
