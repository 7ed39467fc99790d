import type { CellProblem } from '@cordel/core/xlsx';
import type { CableListMessage } from '@cordel/core/csv';
import type { NetworkMessage, SpliceListMessage } from '@cordel/core/lists';
import { type WithText, catalog } from '../catalog.ts';
import { cellProblemText } from '../files/index.ts';
import { fiberProblemText } from '../fiber/index.ts';
import { issueText } from '../record/issue.ts';
import { clashText, unequalText } from './plan.ts';

type ClashCode = Parameters<typeof clashText>[0]['code'];
type CellCode = CellProblem['code'];

/** What rows of a list can lack that neither a clash nor a cell tells. */
type OwnMessage = WithText<Exclude<SpliceListMessage, { code: ClashCode }>, 'problem'>;

const TUBE_FIBER = 'Which fiber of the tube? Write its number or its color.';

const spliceList = catalog<OwnMessage>()({
  columnUnmatched: 'No column is matched to “{title}”: choose the one that holds it.',
  tooManyRows:
    'The list has {rows, number} rows; the most is {most, number}. Split it by closure and import the parts one after the other.' as string,
  closureMissing: 'The closure is missing: name it.',
  closureNameTooLong: 'Keep the closure’s name to 80 characters.',
  unequal: unequalText,
  slotsUnequal:
    'The range has {slots, plural, one {# slot} other {# slots}}, and what is spliced takes {sleeves, plural, one {# slot} other {# slots}}.',
  numberMissing: 'The {column} is missing: write a whole number from 1 to 200.',
  noNumber: '“{text}” is not a {column} number: write a whole number from 1 to 200.',
  cableMissing: 'Cable {side} is missing: name it.',
  noMakeUp: 'Cable “{cable}” has no make-up yet: enter what it is made of.',
  fiberProblem: 'Cable {cable}: {problem}',
  noLeg: '“{text}” is not a leg: write “in” or “out”, or leave it blank.',
  noEnd:
    '“{text}” is not a way to end a fiber: write pigtail, splice-on, mechanical or breakout, or leave it blank.',
  endNeedsPorts: '{cable} has no ports: leave the end blank where fibers are spliced.',
  portsNeedEnd: '{cable} are ports: say how the fiber ends, such as pigtail or mechanical.',
  noMethod: '“{text}” is not a method: write “single” or “ribbon”.',
});

const CLASHES: ReadonlySet<string> = new Set<ClashCode>([
  'fiberSpliced',
  'otherSleeve',
  'slotUsed',
  'otherRibbon',
  'ribbonFull',
  'trayFull',
  'noTray',
]);
const CELLS: ReadonlySet<string> = new Set<CellCode>([
  'formulaWithoutValue',
  'merged',
  'errorValue',
  'dateValue',
]);

const isClash = (message: { code: string }): message is Parameters<typeof clashText>[0] =>
  CLASHES.has(message.code);
const isCell = (message: { code: string }): message is CellProblem => CELLS.has(message.code);

/** What is wrong in a row of a splice list. */
export function spliceListText(message: SpliceListMessage | CellProblem): string {
  if (isClash(message)) return clashText(message);
  if (isCell(message)) return cellProblemText(message);
  if (message.code !== 'fiberProblem') return spliceList(message);
  const { problem } = message;
  return spliceList({
    ...message,
    problem: problem.code === 'tubeFiberMissing' ? TUBE_FIBER : fiberProblemText(problem),
  });
}

const cableList = catalog<Exclude<CableListMessage, { code: 'invalid' }>>()({
  columnMissing: 'Which column holds “{title}”? Title it so.',
  listedTwice: '“{name}” stands in row {row} already.',
  inProject: 'The project has a cable “{name}” already.',
  noKind: 'Write loose tube, grouped tube, ribbon or drop.',
  dropNeedsFibers: 'A drop needs its number of fibers.',
  cableNeedsFibers: 'A cable needs its fibers or its tubes.',
  ribbonNeedsFibers: 'A ribbon cable needs its fibers or its ribbons.',
  noCount: 'A whole number from 1 to {most}.',
  countsDisagree:
    '{fibers} fibers, {tubes} tubes, {perTube} a tube: {tubes} x {perTube} is {product}. Correct one of them.',
  notByTwelves: '{fibers} fibers and {tubes} tubes do not go together: groups have 12 fibers each.',
  notTubesOf: '{fibers} fibers are not {tubes} tubes of {perTube}.',
  notRibbons: '{fibers} fibers are not a whole number of ribbons of 12.',
  ribbonsUneven:
    '{fibers} fibers are {ribbons} ribbons of 12, which do not fill {units} tubes or ribbons evenly.',
});

/** What is wrong in a row of a cable list. */
export function cableListText(message: CableListMessage | CellProblem): string {
  if (message.code === 'invalid') return issueText(message.issue);
  return isCell(message) ? cellProblemText(message) : cableList(message);
}

/** What looks wrong in a network of splices. */
export const networkText = catalog<NetworkMessage>()({
  thirdSplice: '{fibers} joins a fiber that has two splices already.',
  circle: '{fibers} closes a loop: the fiber comes back to where it began.',
  ribbonFlipped:
    '{fibers} and {neighbors, plural, one {# neighbor} other {# neighbors}} run the other way round: the ribbon is flipped. If it is meant, write “reversed” in the plan.',
  countsDown:
    '{fibers} and {neighbors, plural, one {# neighbor} other {# neighbors}} run the other way round: the fibers count down. If it is meant, write “reversed” in the plan.',
  outOfLine: '{fibers} is out of line: its neighbors would put it onto {cable} {fiber}.',
  fedFromTwo: 'Outputs of {splitters} meet: a fiber is fed from one side.',
  notFed:
    'Outputs of {splitter} are in use, and nothing feeds it: splice a fiber to “{splitter} in”.',
  unassigned:
    '{cable} {runs} {fibers, plural, one {is an unassigned end} other {are unassigned ends}} here: spliced elsewhere, and neither spliced, dead nor reserved here.',
});
