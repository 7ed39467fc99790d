import type { DistanceUnit } from '@cordel/core';
import { FONTS, type Colors } from '@/ui/theme';
import { distanceTicks, stepOf } from './axis';
import { fillBar, wordOf } from './pixels';
import type { Columns } from './view.worker';
import type { Segment } from './useTraceView';

/** A place on the cord. */
export interface Peg {
  /** Meters of fiber from end A. */
  at: number;
  name: string;
  /** What stands under the name. */
  words: string;
  bad: boolean;
  /** Whether it is an end of the circuit. */
  end: boolean;
}

/** A trace as it is drawn: a solid string, or a hollow one. */
export interface StringLook {
  id: string;
  label: string;
  hollow: boolean;
  strong: boolean;
  /** Hung lower by so much, dB. */
  drop: number;
}

export interface Picture {
  width: number;
  height: number;
  shown: Segment;
  columns: readonly Columns[];
  looks: readonly StringLook[];
  pegs: readonly Peg[];
  colors: Colors;
  /** Of the distance axis. */
  unit: DistanceUnit;
}

const LEFT = 46;
const TOP = 76;
const BOTTOM = 30;
/** Share of the columns that the picture is made for: reflections stick out of it. */
const SHARE = 0.96;

/** Meters at a pixel of the picture. */
export const plotLeft = LEFT;

interface Place {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** The part of the picture that strings are drawn on, pixel by pixel; it is kept from one picture to the next. */
export class StringLayer {
  private readonly canvas = document.createElement('canvas');
  private image: ImageData | null = null;
  private words = new Uint32Array(0);
  private place: Place = { x: 0, y: 0, width: 0, height: 0 };
  private ratio = 1;

  /** Begins anew; `ratio` is how many pixels of the screen a pixel of the page has. */
  begin(place: Place, ratio: number): void {
    this.place = place;
    this.ratio = ratio;
    const width = Math.max(1, Math.round(place.width * ratio));
    const height = Math.max(1, Math.round(place.height * ratio));
    if (this.image?.width === width && this.image.height === height) {
      this.words.fill(0);
      return;
    }
    this.canvas.width = width;
    this.canvas.height = height;
    this.image = new ImageData(width, height);
    this.words = new Uint32Array(this.image.data.buffer);
  }

  bar(left: number, right: number, top: number, bottom: number, word: number): void {
    const { words, ratio, place, image } = this;
    fillBar(
      { words, width: image!.width, height: image!.height },
      [(left - place.x) * ratio, (right - place.x) * ratio],
      [(top - place.y) * ratio, (bottom - place.y) * ratio],
      word,
    );
  }

  end(canvas: CanvasRenderingContext2D): void {
    this.canvas.getContext('2d')!.putImageData(this.image!, 0, 0);
    const { x, y, width, height } = this.place;
    canvas.drawImage(this.canvas, x, y, width, height);
  }
}

/** Draws the cord, its pegs, and the traces that hang on it. */
export function draw(
  canvas: CanvasRenderingContext2D,
  strings: StringLayer,
  picture: Picture,
): void {
  const { width, height, colors } = picture;
  canvas.clearRect(0, 0, width, height);
  canvas.fillStyle = colors.leaf;
  canvas.fillRect(0, 0, width, height);
  const scale = scaleOf(picture);
  drawGrid(canvas, picture, scale);
  const x = (at: number) =>
    LEFT + ((at - picture.shown.from) / (picture.shown.to - picture.shown.from)) * (width - LEFT);
  drawPegs(canvas, picture, x);
  const ordered = [...picture.looks].sort((a, b) => Number(a.strong) - Number(b.strong));
  const plot = { x: LEFT, y: TOP - 14, width: width - LEFT, height: height - TOP - BOTTOM + 14 };
  strings.begin(plot, canvas.getTransform().a);
  const tags = ordered.flatMap((look) => {
    const own = picture.columns.find(({ id }) => id === look.id);
    return own ? drawString(strings, own.columns, look, picture, scale) : [];
  });
  strings.end(canvas);
  for (const { look, x: tagX, y: tagY } of tags)
    if (tagY < height - BOTTOM) tag(canvas, look, colors, tagX, tagY, look.hollow);
  drawCord(canvas, picture, x);
}

interface Scale {
  y(level: number): number;
  high: number;
  low: number;
}

function scaleOf({ columns, looks, height }: Picture): Scale {
  let [high, low] = [-Infinity, Infinity];
  for (const { id, columns: list } of columns) {
    const drop = looks.find((look) => look.id === id)?.drop ?? 0;
    const seen = (from: 0 | 1) =>
      // Every fourth column is enough for a share of them.
      list.filter((level, at) => at % 8 === from && !Number.isNaN(level)).sort();
    const [lows, highs] = [seen(0), seen(1)];
    if (lows.length === 0) continue;
    high = Math.max(high, highs[Math.floor(SHARE * (highs.length - 1))]! - drop);
    low = Math.min(low, lows[Math.ceil((1 - SHARE) * 0.25 * (lows.length - 1))]! - drop);
  }
  if (high < low) [high, low] = [1, -5];
  const room = Math.max(0.05, high - low);
  [high, low] = [high + 0.18 * room, low - 0.08 * room];
  return {
    high,
    low,
    y: (level) => TOP + ((high - level) / (high - low)) * (height - TOP - BOTTOM),
  };
}

function drawGrid(
  canvas: CanvasRenderingContext2D,
  { width, height, colors, shown, unit }: Picture,
  { high, low, y }: Scale,
): void {
  canvas.strokeStyle = colors.rule;
  canvas.fillStyle = colors.ink;
  canvas.lineWidth = 1;
  canvas.font = `14px ${FONTS.regular}`;
  canvas.textBaseline = 'middle';
  canvas.textAlign = 'right';
  const step = stepOf(high - low, 6);
  const digits = Math.max(0, -Math.floor(Math.log10(step)));
  for (let level = Math.ceil(low / step) * step; level <= high; level += step) {
    const at = Math.round(y(level)) + 0.5;
    line(canvas, LEFT, at, width, at);
    // Not a minus before nothing.
    canvas.fillText((Math.abs(level) < step / 2 ? 0 : level).toFixed(digits), LEFT - 5, at);
  }
  canvas.textAlign = 'center';
  canvas.textBaseline = 'alphabetic';
  const most = Math.max(2, width / 80);
  for (const { at, label } of distanceTicks(shown.from, shown.to, most, unit)) {
    const x = LEFT + ((at - shown.from) / (shown.to - shown.from)) * (width - LEFT);
    line(canvas, x, height - BOTTOM, x, height - BOTTOM + 5);
    if (x > LEFT + 20 && x < width - 24) canvas.fillText(label, x, height - 8);
  }
  canvas.textAlign = 'left';
  canvas.fillText('dB', 6, TOP - 20);
}

function drawPegs(
  canvas: CanvasRenderingContext2D,
  { width, height, pegs, colors }: Picture,
  x: (at: number) => number,
): void {
  canvas.textAlign = 'center';
  // Bad ones are named first, then closures, then the ends; a name that would touch another is left to the list below.
  const rank = ({ bad, end }: Peg) => (bad ? 0 : end ? 2 : 1);
  const named: [number, number][] = [];
  for (const { at, name, words, bad } of [...pegs].sort((a, b) => rank(a) - rank(b))) {
    const place = x(at);
    if (place < LEFT - 2 || place > width + 2) continue;
    canvas.strokeStyle = colors.ink2;
    canvas.lineWidth = 1;
    canvas.setLineDash([3, 4]);
    line(canvas, place, TOP - 8, place, height - BOTTOM);
    canvas.setLineDash([]);
    canvas.font = `15px ${FONTS.semi}`;
    const half = Math.max(canvas.measureText(name).width, canvas.measureText(words).width) / 2 + 5;
    const center = Math.min(width - half, Math.max(half, place));
    if (named.some(([from, to]) => center + half > from && center - half < to)) continue;
    named.push([center - half, center + half]);
    canvas.fillStyle = colors.ink;
    canvas.fillText(name, center, 18);
    canvas.fillStyle = bad ? colors.accent : colors.ink2;
    canvas.font = `14px ${bad ? FONTS.bold : FONTS.regular}`;
    canvas.fillText(words, center, 36);
  }
}

function drawCord(
  canvas: CanvasRenderingContext2D,
  { width, pegs, colors, shown }: Picture,
  x: (at: number) => number,
): void {
  const y = 50;
  const ends = [
    Math.max(LEFT, x(Math.min(...pegs.map(({ at }) => at)))),
    Math.min(width, x(Math.max(...pegs.map(({ at }) => at)))),
  ] as const;
  if (shown.to <= shown.from || ends[1] <= ends[0]) return;
  canvas.strokeStyle = colors.ink;
  canvas.lineWidth = 5;
  line(canvas, ends[0], y, ends[1], y);
  canvas.strokeStyle = colors.wood;
  canvas.lineWidth = 2;
  canvas.setLineDash([7, 5]);
  line(canvas, ends[0], y, ends[1], y);
  canvas.setLineDash([]);
  canvas.strokeStyle = colors.ink;
  canvas.lineWidth = 2;
  for (const { at, bad } of pegs) {
    const place = x(at);
    if (place < LEFT - 2 || place > width + 2) continue;
    canvas.fillStyle = bad ? colors.accent : colors.wood;
    canvas.beginPath();
    canvas.moveTo(place - 6, y - 6);
    canvas.lineTo(place + 6, y - 6);
    canvas.lineTo(place + 4, y + 14);
    canvas.lineTo(place - 4, y + 14);
    canvas.closePath();
    canvas.fill();
    canvas.stroke();
  }
}

/** Draws a string, and gives where its tag goes. */
function drawString(
  strings: StringLayer,
  list: Float32Array,
  look: StringLook,
  { width, colors }: Picture,
  { y, high: ceiling }: Scale,
): { look: StringLook; x: number; y: number }[] {
  const count = list.length / 2;
  const each = (width - LEFT) / count;
  const bars: [number, number, number][] = [];
  let before: [number, number] | null = null;
  let [firstX, firstY, lastX, lastY] = [0, 0, 0, 0];
  for (let at = 0; at < count; at++) {
    const [low, high] = [list[2 * at]!, list[2 * at + 1]!];
    if (Number.isNaN(low)) {
      before = null;
      continue;
    }
    const x = LEFT + at * each;
    const [top, bottom] = [y(high - look.drop), y(low - look.drop)];
    // A column reaches to its neighbor, so that a step is one line.
    bars.push([x, Math.min(top, before?.[1] ?? top), Math.max(bottom, before?.[0] ?? bottom)]);
    before = [top, bottom];
    // Tags stand by the string, not on a reflection.
    if (high - look.drop < ceiling) {
      if (firstX === 0) [firstX, firstY] = [x, (top + bottom) / 2];
      [lastX, lastY] = [x, (top + bottom) / 2];
    }
  }
  const fill = (ink: string, thick: number) => {
    const word = wordOf(ink);
    const half = thick / 2;
    for (const [x, top, bottom] of bars)
      strings.bar(x - half, x + each + half, top - half, bottom + half, word);
  };
  fill(look.strong ? colors.ink : colors.ink2, look.hollow ? 5 : look.strong ? 2.5 : 1.4);
  if (look.hollow) fill(colors.leaf, 2);
  if (firstX === 0) return [];
  const [tagX, tagY] = look.hollow ? [lastX, lastY] : [firstX, firstY];
  return [{ look, x: tagX, y: tagY }];
}

/** Says in a word which string it is, at the end it hangs from. */
function tag(
  canvas: CanvasRenderingContext2D,
  { label, strong }: StringLook,
  colors: Colors,
  x: number,
  y: number,
  right: boolean,
): void {
  if (label === '') return;
  canvas.font = `14px ${strong ? FONTS.bold : FONTS.regular}`;
  const wide = canvas.measureText(label).width + 8;
  const left = right ? x - wide - 4 : x + 4;
  canvas.fillStyle = colors.leaf;
  canvas.fillRect(left, y + 6, wide, 18);
  canvas.fillStyle = strong ? colors.ink : colors.ink2;
  canvas.textAlign = 'left';
  canvas.textBaseline = 'alphabetic';
  canvas.fillText(label, left + 4, y + 20);
}

function line(
  canvas: CanvasRenderingContext2D,
  x1: number,
  y1: number,
  x2: number,
  y2: number,
): void {
  canvas.beginPath();
  canvas.moveTo(x1, y1);
  canvas.lineTo(x2, y2);
  canvas.stroke();
}
