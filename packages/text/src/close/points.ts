import type { ClosingPoint, FoundMessage, PointGroup, PointMessage } from '@cordel/core/close';
import { catalog } from '../catalog.ts';
import { phrases } from '../phrases.ts';

/** What a point of the closing list asks for. */
export const pointText = catalog<PointMessage>()({
  allSpliced: 'All planned splices are made',
  noneToRedo: 'No splice is to be redone',
  cablesEntered: 'Every cable that is spliced enters here',
  hardwareHolds: 'The closure holds what is in it',
  trayLaid:
    'Tray {tray}: {sleeves, plural, one {# sleeve} other {# sleeves}} seated; no fiber bent under {radius} or under the edge of the lid',
  traysStacked:
    '{trays, plural, one {# tray} other {# trays}} stacked in order, lid on the last, strap closed',
  tubesRouted:
    'Tubes of {cables} run to their trays without a kink, tied loosely; the basket is clear',
  cableHeld: 'Cable {cable} held: strength member clamped; it does not turn or slide',
  cableClamped:
    'Cable {cable} held: strength member clamped, hose clamp {hoseClamp} below the ring cut; it does not turn or slide',
  shieldBonded: 'Cable {cable}: shield connector and bond are on',
  tracerOut: 'Cable {cable}: tracer wire is out past its seal',
  portPlugged: '{port}: plugged, {plugs, plural, one {# plug} other {# plugs}}',
  portUnknownSeal:
    '{port}: cable {cables}, seal not known{plugs, plural, =0 {} one {, # plug} other {, # plugs}}',
  portSealed:
    '{port}: cable {cables} in {seal}{bushing, select, yes { with bushing} other {}}{slit, select, yes {, slit off the seam} other {}}{plugs, plural, =0 {} one {, # plug} other {, # plugs}}',
  facesClean: 'Both sealing faces clean and dry, no scratch, hair or grit',
  gelClean: 'Gel clean, whole and level; no fiber, tie or grit in it',
  gasketSeated: 'Gasket whole, greased as its sheet says, seated all round',
  wedgesSeated: 'Wedges seated, latches ready',
  boltTight: 'Bolt {bolt} tight, number {place} of {bolts} in the order',
  boltsAgain: 'All bolts tightened once more in this order, by hand, to the torque of the sheet',
});

const remedies = catalog<{ code: PointMessage['code'] }>()({
  allSpliced: 'Go to the Bench and splice them, or take them out of the plan.',
  noneToRedo: 'Go to the Bench and redo them, or let the lead accept them there.',
  cablesEntered: 'Enter them under Open the cables, with diameter and port.',
  hardwareHolds: 'Choose the hardware and the ports under Open the cables.',
  trayLaid:
    'Lift the lid, lay the fiber back in its guides, press the sleeve into its slot; no sleeve on another.',
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
  wedgesSeated: 'Seat every wedge until it clicks.',
  boltTight: 'Loosen them all and begin again in the order of the sheet.',
  boltsAgain: 'Go round until none turns.',
});

/** What to do where a point fails. */
export const remedyText = ({ message: { code } }: Pick<ClosingPoint, 'message'>): string =>
  remedies({ code });

/** What must be known before a point is touched. */
export const pointCautionText = phrases({
  metallicCable:
    'Metallic cable can carry current: bond and ground first, follow local codes and the practice of your company.',
});

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
} satisfies Record<PointGroup, string>);
