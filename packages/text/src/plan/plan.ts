import type {
  ClashMessage,
  ClashPlace,
  LayoutReason,
  NoRoomMessage,
  PlanMessage,
  PlanObstacle,
  RefusedChange,
  SleeveType,
} from '@cordel/core';
import { type WithText, catalog } from '../catalog.ts';
import { fill } from '../fill.ts';
import { fiberProblemText } from '../fiber/index.ts';
import { listed } from '../listed.ts';

const unit = (name: string): string =>
  `{${name}, select, fiber {fiber} tube {tube} group {group} port {port} output {output} other {ribbon}}`;
const FIBERS_MEET =
  '{fibersA, plural, one {# fiber} other {# fibers}} of {cableA} cannot meet {fibersB, plural, one {# fiber} other {# fibers}} of {cableB}: name as many on both sides.';

/** Said of plans and of lists alike. */
export const unequalText: string = FIBERS_MEET;

const planMessages = catalog<WithText<PlanMessage, 'problem'>>()({
  quoteOpen: 'The quote is not closed: write " at its end.',
  sayOnto: 'Write “to” and the other cable.',
  sayPorts: 'Write “on” and the ports, such as T1 ports 1-4.',
  nameCable: 'Name a cable and its fibers, such as A 1-12.',
  fiberMissing: 'A fiber is missing: write 7/12.',
  noVerb: 'A line begins with splice, terminate, through, dead or reserve, not with “{text}”.',
  noCables: 'There is no cable “{text}” here: add what enters the closure first.',
  noCableMeant: 'There is no cable “{text}” here: did you mean {meant}?',
  noCable: 'There is no cable “{text}” here: {cables}.',
  whichFibers: 'Name the fibers of {cable}: 1-12, tube 2, ribbon 3 or all.',
  fiberProblem: '{cable}: {problem}',
  groupsInTube: 'Groups are counted in their tube: write “{cable} tube 2 group 1”.',
  noUnits: `{cable} has no ${unit('unit')}s: count it by ${unit('countedBy')}s.` as string,
  noGroups: `{cable} has no groups in its ${unit('unit')}s.` as string,
  numberMissing:
    `A number is missing: write {unit, select, fiber {1-12} other {${unit('unit')} 1 or ${unit('unit')}s 1-6}}.` as string,
  outside:
    `{cable} has {most, plural, =1 {one ${unit('unit')}} other {${unit('unit')}s 1 to {most}}}{unit, select, fiber {} other { here}}: “{text}” is outside.` as string,
  backwards: 'Write the smaller number first: {from}-{to}. To turn ribbons round, add “reversed”.',
  notUnderstood:
    '“{text}” is not understood. {verb, select, splice {Only single, mass, reversed or a note in quotes may follow} terminate {Only pigtail, splice-on, mechanical or breakout, the connector and its polish, polarity A or B, single, mass or a note in quotes may follow} other {Only a note in quotes may follow}}.',
  unequal: FIBERS_MEET,
  notWhole:
    '{for, select, mass {Mass splices take} other {Reversed takes}} whole ribbons of {size, plural, =12 {12, such as 13-24} other {#}}: {from}-{to} is {fibers, plural, one {# fiber} other {# fibers}}{over, select, yes { over two of them} other {}}.',
  notPorts:
    '{cable} has no ports: fibers end at the ports of a terminal, panel or module. Add it to the closure first, or write “splice”.',
  portsTerminate: '{cable} are ports: write “terminate”, the fibers, “on {cable}” and its ports.',
  portsFirst: 'Name the fibers first: write “terminate”, the fibers, “on {cable}” and its ports.',
  connectorDiffers:
    '{cable} takes {has} connectors, not {text}: write {has}, or choose other ports.',
  polishDiffers:
    '{cable} is {has}: {text} does not mate with it and would scratch it. Write {has}, or choose other ports.',
  whichPolarity: 'Write “polarity A” (1 to 1) or “polarity B” (1 to 12).',
  massNotFused:
    '{end, select, mechanical {Mechanical connectors} other {Breakout tubes}} take one fiber each: leave “mass” out.',
  polarityCrosses:
    '{cable} has the other polarity in line {earlier}: polarity {polarity} here would cross its fibers. A module has one.',
  portTaken:
    '{cable} {ports, plural, one {port} other {ports}} {runs} {ports, plural, one {has its fiber} other {have their fibers}} in {earlier, plural, =0 {this line} other {line {earlier}}} already: a port takes one.',
  fedTwice:
    '{cable} is fed in {earlier, plural, =0 {this line} other {line {earlier}}} already: a splitter has one input.',
  legNotHere: 'A fiber that passes through has both legs: write “{verb} {cable}” without “.{leg}”.',
  namedTwice:
    '{cable} {runs} {fibers, plural, one {is} other {are}} named in {earlier, plural, =0 {this line} other {line {earlier}}} already: a fiber has one place in a plan.',
});

/** What is wrong with a line of a plan. */
export const planMessageText = (message: PlanMessage): string =>
  planMessages(
    message.code === 'fiberProblem'
      ? { ...message, problem: fiberProblemText(message.problem) }
      : message,
  );

const clashPlaces = catalog<ClashPlace>()({
  row: 'row {row}',
  project: 'the project',
  splice: '{fibers}',
});

const SLEEVE = '{sleeve, select, ribbon {ribbon} other {single-fiber}}';

const clashes = catalog<WithText<ClashMessage, 'in'>>()({
  noTray: '{fibers} has no tray: choose one. Only an end that is made at its port has none.',
  fiberSpliced:
    'Fiber {cable} {fiber} is spliced in {in} already; a fiber has one splice in a closure.',
  otherSleeve:
    `Tray {tray} slot {slot} holds a ${SLEEVE} sleeve from {in}; a slot takes one kind.` as string,
  slotUsed: 'Tray {tray} slot {slot} is used in {in} already; choose a free slot.',
  otherRibbon:
    'Tray {tray} slot {slot} holds a ribbon of other cables from {in}; choose a free slot.',
  ribbonFull:
    'Tray {tray} slot {slot} holds a whole ribbon of {fibers} already; choose a free slot.',
  trayFull:
    `Tray {tray} is over its capacity: it holds {room} ${SLEEVE} {room, plural, one {sleeve} other {sleeves}} and this is number {count}.` as string,
});

/** What is wrong with the place of a splice. */
export const clashText = (message: ClashMessage): string =>
  clashes('in' in message ? { ...message, in: clashPlaces(message.in) } : message);

const refused = catalog<RefusedChange>()({
  staysAt: '{fibers} is spliced in tray {tray} slot {slot} already: it stays there.',
  hasEvidence: '{fibers} is spliced or ruled on: a plan drops it only where the splice is removed.',
});

/** Why no tray has room. */
export const noRoomText = catalog<NoRoomMessage>()({
  noTrayTakes: `No tray takes ${SLEEVE} sleeves: add one that does.` as string,
  noRoom:
    `{sleeves, plural, one {# ${SLEEVE} sleeve} other {# ${SLEEVE} sleeves}} found no room: add {trays, plural, one {# tray} other {# trays}}.` as string,
});

/** What stands against a plan that is at no place of its text. */
export function obstacleText(obstacle: PlanObstacle): string {
  switch (obstacle.code) {
    case 'staysAt':
    case 'hasEvidence':
      return refused(obstacle);
    case 'noTrayTakes':
    case 'noRoom':
      return noRoomText(obstacle);
    default:
      return clashText(obstacle);
  }
}

type WordedLayout =
  Exclude<LayoutReason, { code: 'split' }> | { code: 'split'; sleeve: SleeveType; units: string };

const layout = catalog<WordedLayout>()({
  noneSplit: `No tube or ribbon of ${SLEEVE} sleeves is split.` as string,
  split: `Split over trays, for ${SLEEVE} sleeves: {units}.` as string,
  spareLess:
    '{asked, plural, one {# spare place} other {# spare places}} a tray would cost a split or a tray: {kept, plural, one {# is} other {# are}} kept.',
});

const MOST_UNITS = 6;

/** Why trays are laid out as they are. */
export const layoutReasonText = (reason: LayoutReason): string =>
  layout(
    reason.code === 'split'
      ? {
          ...reason,
          units: listed({
            items: reason.units.map(({ unit: name, trays }) =>
              fill('{name} (trays {trays})', { name, trays: trays.join(', ') }),
            ),
            most: MOST_UNITS,
          }),
        }
      : reason,
  );
