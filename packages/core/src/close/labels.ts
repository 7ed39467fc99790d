import { groupBy } from '../groupBy.ts';
import { encode } from 'uqr';
import { type Cable, type MakeUp, isDevice } from '../record/cable.ts';
import type { Closure } from '../record/closure.ts';
import type { Assembly } from '../record/hardware.ts';
import type { Project } from '../record/project.ts';
import type { Quantity } from '../record/message.ts';
import type { Splice } from '../record/splice.ts';
import { shortCode } from './shortCode.ts';

export const LABEL_KINDS = ['closure', 'tray', 'cable'] as const;
export type LabelKind = (typeof LABEL_KINDS)[number];

/** The large line of a label. */
export type LabelTitle =
  | { code: 'closure'; name: string }
  | { code: 'tray'; tray: number }
  | { code: 'cable'; name: string };

/** A line of a label. Of a practice project, names are marked as such. */
export type LabelLine =
  | { code: 'name' | 'practice'; name: string }
  | { code: 'noDistance' | 'empty' }
  | { code: 'distance'; distance: Quantity }
  | { code: 'fibers'; fibers: string }
  | { code: 'makeUp'; makeUp: MakeUp };

/** What stands on a label. */
export interface Label {
  kind: LabelKind;
  /** Read from a ladder: the closure's name, the tray, the cable. */
  title: LabelTitle;
  lines: LabelLine[];
  /** Typed where nothing can be scanned. */
  code: string;
  /** What the QR code says: an address that opens the closure. */
  url: string;
}

export interface LabelTask {
  /** Where Cordel is reached: `https://cordel.example`. */
  origin: string;
  project: string;
  /** Every label of a practice project says so. */
  practiceOnly: boolean;
  closure: Closure;
  /** Fibers that lie on each tray, by its number: `A 1 to A 12`. */
  trays: ReadonlyMap<number, string>;
  /** Cables that enter, with what they are. */
  cables: readonly { name: string; makeUp: MakeUp }[];
}

/** What labels of a closure say, from its record. */
export function labelTask(
  origin: string,
  project: Pick<Project, 'name' | 'practiceOnly'>,
  closure: Closure,
  splices: readonly Splice[],
  assembly: Assembly | null,
  cables: readonly Cable[],
): LabelTask {
  const names = new Map(cables.map((cable) => [cable.id, cable.name]));
  const entered = new Set([
    ...(assembly?.entries ?? []).map(({ cableId }) => cableId),
    ...splices.flatMap(({ cableA, cableB }) => [cableA, cableB]),
  ]);
  return {
    origin,
    project: project.name,
    practiceOnly: project.practiceOnly,
    closure,
    trays: new Map(
      closure.trays.flatMap(({ number }) => {
        const own = splices.filter(({ tray }) => tray === number);
        return own.length === 0 ? [] : [[number, fibersOf(own, names)] as const];
      }),
    ),
    cables: cables
      .filter(({ id, makeUp }) => entered.has(id) && !isDevice(makeUp))
      .map(({ name, makeUp }) => ({ name, makeUp })),
  };
}

/** Fibers of side A on a tray, in runs: `A 1-12, C 25`. */
function fibersOf(splices: readonly Splice[], names: ReadonlyMap<string, string>): string {
  return [...groupBy(splices, ({ cableA }) => cableA)]
    .map(([cable, own]) => {
      const fibers = runsOf(own.map(({ fiberA }) => fiberA));
      return `${names.get(cable) ?? cable} ${fibers.join(', ')}`;
    })
    .join('; ');
}

function runsOf(numbers: readonly number[]): string[] {
  const runs: [number, number][] = [];
  for (const number of [...numbers].sort((a, b) => a - b)) {
    const last = runs.at(-1);
    if (last && number === last[1] + 1) last[1] = number;
    else runs.push([number, number]);
  }
  return runs.map(([from, to]) => (from === to ? `${from}` : `${from}-${to}`));
}

/** Labels of a closure, of its trays and of its cables. */
export function labelsOf(task: LabelTask, kinds: readonly LabelKind[]): Label[] {
  const { closure, project } = task;
  const code = shortCode(closure.id);
  const base = { code, url: `${task.origin}/c/${code}` };
  const named = (name: string): LabelLine => ({
    code: task.practiceOnly ? 'practice' : 'name',
    name,
  });
  const labels: Label[] = [];
  if (kinds.includes('closure'))
    labels.push({
      ...base,
      kind: 'closure',
      title: { code: 'closure', name: closure.name },
      lines: [
        named(project),
        closure.distance === null
          ? { code: 'noDistance' }
          : { code: 'distance', distance: { distanceTenthsMm: closure.distance } },
      ],
    });
  if (kinds.includes('tray'))
    for (const { number } of closure.trays) {
      const fibers = task.trays.get(number);
      labels.push({
        ...base,
        kind: 'tray',
        title: { code: 'tray', tray: number },
        lines: [named(closure.name), fibers ? { code: 'fibers', fibers } : { code: 'empty' }],
        url: `${base.url}?tray=${number}`,
      });
    }
  if (kinds.includes('cable'))
    for (const { name, makeUp } of task.cables)
      labels.push({
        ...base,
        kind: 'cable',
        title: { code: 'cable', name },
        lines: [named(closure.name), { code: 'makeUp', makeUp }],
      });
  return labels;
}

/** A sheet of labels. Lengths in millimeters. */
export interface LabelSheet {
  id: string;
  name: string;
  paper: 'A4' | 'Letter';
  columns: number;
  rows: number;
  width: number;
  height: number;
  /** The first label's corner, and from one label to the next. */
  left: number;
  top: number;
  across: number;
  down: number;
}

/** Common sheets by their dimensions (from memory: measure yours, and print on plain paper first). */
export const LABEL_SHEETS: readonly LabelSheet[] = [
  {
    id: 'a4-24',
    name: 'A4, 3 × 8 of 64 × 34 mm',
    paper: 'A4',
    columns: 3,
    rows: 8,
    width: 64,
    height: 33.9,
    left: 7,
    top: 12.9,
    across: 66,
    down: 33.9,
  },
  {
    id: 'a4-65',
    name: 'A4, 5 × 13 of 38 × 21 mm',
    paper: 'A4',
    columns: 5,
    rows: 13,
    width: 38.1,
    height: 21.2,
    left: 4.75,
    top: 10.7,
    across: 40.6,
    down: 21.2,
  },
  {
    id: 'letter-30',
    name: 'Letter, 3 × 10 of 2 5/8 × 1 in',
    paper: 'Letter',
    columns: 3,
    rows: 10,
    width: 66.675,
    height: 25.4,
    left: 4.7625,
    top: 12.7,
    across: 69.85,
    down: 25.4,
  },
  {
    id: 'letter-10',
    name: 'Letter, 2 × 5 of 4 × 2 in',
    paper: 'Letter',
    columns: 2,
    rows: 5,
    width: 101.6,
    height: 50.8,
    left: 4.7625,
    top: 12.7,
    across: 104.775,
    down: 50.8,
  },
];

/** Width and height of paper, millimeters. Source: ISO 216, and ANSI/ASME Y14.1 for Letter (from memory). */
export const PAPERS = { A4: [210, 297], Letter: [215.9, 279.4] } as const;

/** Where the labels of a sheet lie: page, and corner in millimeters. */
export function placesOn(
  sheet: LabelSheet,
  count: number,
): { page: number; x: number; y: number }[] {
  const each = sheet.columns * sheet.rows;
  return Array.from({ length: count }, (_, index) => {
    const at = index % each;
    return {
      page: Math.floor(index / each),
      x: sheet.left + (at % sheet.columns) * sheet.across,
      y: sheet.top + Math.floor(at / sheet.columns) * sheet.down,
    };
  });
}

/** Rows of dark and light squares of a QR code, its quiet zone left out. Source: ISO/IEC 18004, error level M. */
export const qrSquares = (text: string): boolean[][] => encode(text, { ecc: 'M', border: 0 }).data;

/** The dark squares of a QR code as one path, a unit a square. */
export function qrPath(squares: readonly (readonly boolean[])[]): string {
  const parts: string[] = [];
  squares.forEach((row, y) => {
    for (let x = 0; x < row.length; x++) {
      if (!row[x]) continue;
      const from = x;
      while (row[x + 1]) x++;
      parts.push(`M${from} ${y}h${x - from + 1}v1h${from - x - 1}z`);
    }
  });
  return parts.join('');
}

const escaped = (text: string): string =>
  text.replace(/[&<>"]/g, (letter) => `&#${letter.charCodeAt(0)};`);

/** Squares of quiet zone round a QR code. Source: ISO/IEC 18004. */
export const QR_QUIET = 4;

/** A label with its words. */
export interface WordedLabel extends Omit<Label, 'title' | 'lines'> {
  title: string;
  lines: string[];
}

/** A label as SVG, in millimeters: the code on the left, what it is on the right. */
export function labelSvg(
  label: WordedLabel,
  { width, height }: Pick<LabelSheet, 'width' | 'height'>,
): string {
  const squares = qrSquares(label.url);
  const side = Math.min(height, width * 0.5);
  const unit = side / (squares.length + 2 * QR_QUIET);
  const left = side + 1;
  const room = width - left - 1.5;
  const size = Math.min(height * 0.2, (room / Math.max(6, label.title.length)) * 1.75);
  const small = Math.min(height * 0.12, size * 0.62);
  const line = (text: string, y: number, fontSize: number, weight: string) => {
    const fits = text.length * fontSize * 0.55 <= room;
    // A long line is drawn together rather than cut off.
    const together = fits ? '' : ` textLength="${room.toFixed(2)}" lengthAdjust="spacingAndGlyphs"`;
    return `<text x="${left.toFixed(2)}" y="${y.toFixed(2)}" font-size="${fontSize.toFixed(2)}" font-weight="${weight}"${together}>${escaped(text)}</text>`;
  };
  const top = height * 0.12 + size;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}" font-family="Atkinson Hyperlegible Next, Arial, sans-serif">`,
    `<rect width="${width}" height="${height}" fill="#fff"/>`,
    `<path transform="translate(${(QR_QUIET * unit).toFixed(3)} ${((height - side) / 2 + QR_QUIET * unit).toFixed(3)}) scale(${unit.toFixed(4)})" d="${qrPath(squares)}" fill="#000"/>`,
    line(label.title, top, size, '700'),
    ...label.lines.map((text, index) => line(text, top + (index + 1) * small * 1.35, small, '400')),
    line(label.code, height - height * 0.1, small * 1.25, '700'),
    '</svg>',
  ].join('');
}
