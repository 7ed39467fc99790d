import { fiberCount, inputOf } from '../record/cable.ts';
import { isFused } from '../record/splice.ts';
import { unitSize } from '../fiber/address.ts';
import type { PlanLine, Run, Selection } from './lines.ts';
import type { ListCable } from './spliceList.ts';

/** What of a selection is printed. */
type PrintedSide = Pick<Selection, 'cable' | 'leg' | 'runs'>;

/** A line of a plan without its place in a text. */
export type LineToPrint = Omit<PlanLine, 'span' | 'a' | 'b'> & {
  a: PrintedSide;
  b: PrintedSide | null;
};

/**
 * Writes a line as `parsePlan` reads it, in the largest words that fit: tubes or ribbons where runs
 * are whole ones, fibers otherwise.
 */
export function printLine(line: LineToPrint, cables: readonly ListCable[]): string {
  const words: string[] = [line.verb, printSelection(line.a, cables)];
  if (line.b) words.push(line.end ? 'on' : 'to', printSelection(line.b, cables));
  if (line.end && line.end !== 'pigtail') words.push(line.end);
  if (line.b && isFused(line.end)) {
    const sides = line.end ? [line.a] : [line.a, line.b];
    const byRibbon = sides.every((side) => wholeUnits(side, cables) === 'ribbon');
    if (line.method === 'mass' ? !byRibbon : byRibbon) words.push(line.method);
  }
  const polarity = line.polarity ?? (line.end && line.reversed ? 'B' : null);
  if (polarity) words.push('polarity', polarity);
  else if (line.reversed) words.push('reversed');
  if (line.note !== null) words.push(`"${line.note}"`);
  return words.join(' ');
}

/** A cable's name as a line has it: in quotes where it would not be read whole. */
export const printName = (name: string): string => (/[\s",#]/.test(name) ? `"${name}"` : name);

function printSelection(side: PrintedSide, cables: readonly ListCable[]): string {
  const name = printName(side.leg ? `${side.cable}.${side.leg}` : side.cable);
  const cable = cables.find((entry) => entry.name === side.cable);
  const unit = wholeUnits(side, cables);
  if (cable?.makeUp.kind === 'splitter') {
    const [first] = side.runs[0]!;
    if (first === inputOf(cable.makeUp)) return `${name} in`;
  }
  if (!cable || !unit) return `${name} ${printRuns(side.runs)}`;
  const size = unitSize(cable.makeUp);
  const units = side.runs.map(([first, last]): Run => [Math.ceil(first / size), last / size]);
  const one = units.length === 1 && units[0]![0] === units[0]![1];
  return `${name} ${unit}${one ? '' : 's'} ${printRuns(units)}`;
}

/** What the runs are whole ones of, where they are. */
function wholeUnits(
  side: Pick<Selection, 'cable' | 'runs'>,
  cables: readonly ListCable[],
): 'tube' | 'ribbon' | 'port' | 'output' | null {
  const makeUp = cables.find((entry) => entry.name === side.cable)?.makeUp;
  if (!makeUp || makeUp.kind === 'drop') return null;
  if (makeUp.kind === 'splitter') return 'output';
  const size = unitSize(makeUp);
  if (fiberCount(makeUp) === size && makeUp.kind !== 'ribbon' && makeUp.kind !== 'ports')
    return null;
  const whole = side.runs.every(([first, last]) => (first - 1) % size === 0 && last % size === 0);
  if (!whole) return null;
  return makeUp.kind === 'ribbon' ? 'ribbon' : makeUp.kind === 'ports' ? 'port' : 'tube';
}

const printRuns = (runs: readonly Run[]): string =>
  runs.map(([first, last]) => (first === last ? `${first}` : `${first}-${last}`)).join(', ');
