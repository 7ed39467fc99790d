import type {
  CircuitsProblem,
  FiberNumbersProblem,
  Label,
  LabelLine,
  LabelTitle,
  RecordChange,
  ShortCodeProblem,
  WordedLabel,
} from '@cordel/core/close';
import type { Units } from '@cordel/core';
import { catalog } from '../catalog.ts';
import { makeUpText } from '../fiber/index.ts';

/** What changed of a closure since it was signed. */
export const recordChangeText = catalog<RecordChange>()({
  openedAgain: 'Opened again by {by}.',
  openedAgainFor: 'Opened again by {by}: {why}.',
  added: 'Splices added: {splices}.',
  removed: 'Splices removed: {splices}.',
  dropped: 'Splices dropped: {splices}.',
  moved: 'Splices moved: {splices}.',
  spliced: 'Spliced or corrected ({entries, plural, one {# entry} other {# entries}}): {splices}.',
  measured: 'Measured ({entries, plural, one {# entry} other {# entries}}): {splices}.',
  ruled: 'Ruled on ({entries, plural, one {# entry} other {# entries}}): {splices}.',
  closingEntries: '{entries, plural, one {# entry} other {# entries}} of closing added.',
  assembly: 'What enters the closure changed.',
  hardware: 'Its hardware changed.',
  plan: 'Its plan changed.',
  closure: 'The closure’s name, place or trays changed.',
  cable: 'A cable changed.',
  limits: 'The project’s limits changed.',
  photos: 'Photos changed.',
});

const fiberNumbers = catalog<FiberNumbersProblem>()({
  noFiberOrRange: '“{text}” is not a fiber or a range: write 1-4, 7.',
  runsBackwards: '“{text}” runs backwards: write the lower number first.',
  fiberTwice: 'A fiber is named twice.',
});

type WordedCircuits =
  | Exclude<CircuitsProblem, { code: 'lineFibers' }>
  | { code: 'lineFibers'; line: number; problem: string };

const circuits = catalog<WordedCircuits>()({
  lineUnreadable: 'Line {line}: write a name, a colon and its fibers, such as clinic: 1-2, 7.',
  lineFibers: 'Line {line}: {problem}',
  circuitTwice: 'Line {line}: {name} is named twice.',
  noCircuits: 'Name the circuits in service, a line each, such as clinic: 1-2.',
});

/** Why circuits in service cannot be read. */
export const circuitsProblemText = (problem: CircuitsProblem): string =>
  circuits(
    problem.code === 'lineFibers'
      ? { ...problem, problem: fiberNumbers(problem.problem) }
      : problem,
  );

/** Why a list of fibers by number cannot be read. */
export const fiberNumbersProblemText = fiberNumbers;

/** Why a short code cannot be read. */
export const shortCodeProblemText = catalog<ShortCodeProblem>()({
  notEight: 'A code has eight letters and digits, such as 4K7M-Q2ZX.',
  checkFails: 'A letter or digit of this code is wrong: compare it with the label.',
});

const titles = catalog<LabelTitle>()({
  closure: '{name}',
  tray: 'Tray {tray}',
  cable: 'Cable {name}',
});

type WordedLine = Exclude<LabelLine, { code: 'makeUp' }> | { code: 'makeUp'; makeUp: string };

const lines = catalog<WordedLine>()({
  name: '{name}',
  practice: 'PRACTICE ONLY: {name}',
  noDistance: 'no distance yet',
  empty: 'empty',
  distance: 'at {distance}',
  fibers: '{fibers}',
  makeUp: '{makeUp}',
});

/** A label with its words. */
export const wordedLabel = (label: Label, units: Units): WordedLabel => ({
  ...label,
  title: titles(label.title),
  lines: label.lines.map((line) =>
    lines(
      line.code === 'makeUp' ? { code: 'makeUp', makeUp: makeUpText(line.makeUp) } : line,
      units,
    ),
  ),
});
