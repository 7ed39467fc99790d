/** A picture in gray, a byte a pixel, row by row. */
export interface GrayPicture {
  width: number;
  height: number;
  levels: Uint8Array | Uint8ClampedArray;
}

/** The round edge of a fiber in a picture, pixels. */
export interface FoundFace {
  x: number;
  y: number;
  radius: number;
  /** The part of the circle along which an edge is seen, 0 to 1. */
  covered: number;
}

/** Pixels along the longer side: what is searched is scaled down to it by whoever has the picture. */
export const FACE_SEARCH_SIDE = 200;

/** The edge of a fiber is seen along so much of its circle at least. Chosen on drawn pictures. */
const LEAST_COVERED = 0.7;
/** The fiber takes so much of the shorter side at least: a microscope fills its picture with it. */
const LEAST_RADIUS = 0.12;
/** Directions in which a circle is looked along. */
const ANGLES = 72;
/** An edge is as strong as the strongest so many hundredths of a picture. */
const STRONG = 0.06;

/**
 * Finds the round edge of a fiber in a picture through a microscope: edges vote for the center that they face, and the
 * circle around the best center is looked for whose edge is seen all around, with an even face inside it.
 * @returns null where there is none: a picture of something else
 */
export function findFace(picture: GrayPicture): FoundFace | null {
  const edges = edgesOf(picture);
  const center = centerOf(picture, edges);
  if (!center) return null;
  const best = circleAround(picture, edges, center);
  if (!best || best.covered < LEAST_COVERED) return null;
  return isEven(picture, best) ? best : null;
}

interface Edges {
  /** Slope of the levels to the right and down, a pixel. */
  dx: Float32Array;
  dy: Float32Array;
  /** Over this an edge is strong. */
  strong: number;
}

/** Sobel's operator. */
function edgesOf({ width, height, levels }: GrayPicture): Edges {
  const [dx, dy] = [new Float32Array(width * height), new Float32Array(width * height)];
  const sizes: number[] = [];
  for (let y = 1; y < height - 1; y++)
    for (let x = 1; x < width - 1; x++) {
      const at = y * width + x;
      const level = (right: number, down: number) => levels[at + down * width + right]!;
      dx[at] =
        level(1, -1) +
        2 * level(1, 0) +
        level(1, 1) -
        level(-1, -1) -
        2 * level(-1, 0) -
        level(-1, 1);
      dy[at] =
        level(-1, 1) +
        2 * level(0, 1) +
        level(1, 1) -
        level(-1, -1) -
        2 * level(0, -1) -
        level(1, -1);
      sizes.push(Math.hypot(dx[at]!, dy[at]!));
    }
  sizes.sort((a, b) => b - a);
  const strong = sizes[Math.floor(STRONG * sizes.length)] ?? 0;
  // In a picture without edges none is strong.
  return { dx, dy, strong: Math.max(40, strong) };
}

/** Where most strong edges point to: each votes along its slope, both ways. */
function centerOf(
  { width, height }: GrayPicture,
  { dx, dy, strong }: Edges,
): { x: number; y: number } | null {
  const short = Math.min(width, height);
  const [least, most] = [LEAST_RADIUS * short, 0.75 * short];
  const votes = new Float32Array(width * height);
  for (let y = 1; y < height - 1; y++)
    for (let x = 1; x < width - 1; x++) {
      const at = y * width + x;
      const size = Math.hypot(dx[at]!, dy[at]!);
      if (size < strong) continue;
      for (const way of [-1, 1])
        for (let radius = least; radius <= most; radius++) {
          const to = Math.round(x + (way * radius * dx[at]!) / size);
          const down = Math.round(y + (way * radius * dy[at]!) / size);
          if (to < 0 || to >= width || down < 0 || down >= height) break;
          votes[down * width + to]! += 1 / radius;
        }
    }
  let best = { x: 0, y: 0, votes: 0 };
  for (let y = 2; y < height - 2; y++)
    for (let x = 2; x < width - 2; x++) {
      let sum = 0;
      for (let down = -2; down <= 2; down++)
        for (let right = -2; right <= 2; right++) sum += votes[(y + down) * width + x + right]!;
      if (sum > best.votes) best = { x, y, votes: sum };
    }
  return best.votes > 0 ? best : null;
}

/** The circle around a center along which the most of an edge is seen. */
function circleAround(
  { width, height }: GrayPicture,
  { dx, dy, strong }: Edges,
  { x, y }: { x: number; y: number },
): FoundFace | null {
  const short = Math.min(width, height);
  let best: FoundFace | null = null;
  for (let radius = Math.ceil(LEAST_RADIUS * short); radius <= 0.6 * short; radius++) {
    let [seen, inside] = [0, 0];
    for (let angle = 0; angle < ANGLES; angle++) {
      const [right, down] = [
        Math.cos((2 * Math.PI * angle) / ANGLES),
        Math.sin((2 * Math.PI * angle) / ANGLES),
      ];
      const slack = Math.max(1, 0.04 * radius);
      let found = false;
      for (let off = -slack; off <= slack && !found; off++) {
        const px = Math.round(x + (radius + off) * right);
        const py = Math.round(y + (radius + off) * down);
        if (px < 0 || px >= width || py < 0 || py >= height) continue;
        const at = py * width + px;
        const size = Math.hypot(dx[at]!, dy[at]!);
        // It faces the center, or away from it.
        found = size >= strong / 2 && Math.abs(dx[at]! * right + dy[at]! * down) > 0.85 * size;
      }
      inside++;
      if (found) seen++;
    }
    const covered = seen / inside;
    if (!best || covered > best.covered) best = { x, y, radius, covered };
  }
  return best;
}

/** A polished face is even: its levels spread less within the fiber than they do in the whole picture. */
function isEven({ width, height, levels }: GrayPicture, { x, y, radius }: FoundFace): boolean {
  const inside: number[] = [];
  for (let down = 0; down < height; down++)
    for (let right = 0; right < width; right++) {
      const off = Math.hypot(right - x, down - y) / radius;
      // Between the core and the edge.
      if (off > 0.3 && off < 0.85) inside.push(levels[down * width + right]!);
    }
  if (inside.length < 50) return false;
  return spreadOf(inside) < Math.max(14, 0.75 * spreadOf(levels));
}

function spreadOf(levels: ArrayLike<number>): number {
  let [sum, square] = [0, 0];
  for (let at = 0; at < levels.length; at++) {
    sum += levels[at]!;
    square += levels[at]! ** 2;
  }
  const mean = sum / levels.length;
  return Math.sqrt(Math.max(0, square / levels.length - mean ** 2));
}
