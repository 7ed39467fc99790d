import { normalFrom } from '../otdr/detect/normal.testing.ts';
import { type GrayPicture, findFace } from './findFace.ts';

const SIDE = 200;
const HIGH = 150;

/** A picture by what is seen at each pixel, with a camera's noise. */
function pictureOf(seed: number, levelAt: (x: number, y: number) => number): GrayPicture {
  const normal = normalFrom(seed);
  const levels = new Uint8ClampedArray(SIDE * HIGH);
  for (let y = 0; y < HIGH; y++)
    for (let x = 0; x < SIDE; x++) levels[y * SIDE + x] = levelAt(x, y) + 5 * normal();
  return { width: SIDE, height: HIGH, levels };
}

const soft = (off: number, width: number) => 1 / (1 + Math.exp(off / width));

/**
 * A fiber through a microscope: a bright face with its core, a dark ring of adhesive, the ferrule, lit from one side and
 * not quite sharp. How such pictures look: common practice, no source.
 */
function facePicture(seed: number, { x = 100, y = 75, radius = 48, blur = 1, dirt = 0 } = {}) {
  const normal = normalFrom(seed + 1000);
  const spots = Array.from({ length: dirt }, () => ({
    x: x + 25 * normal(),
    y: y + 25 * normal(),
    size: 1 + Math.abs(2 * normal()),
  }));
  return pictureOf(seed, (px, py) => {
    const off = Math.hypot(px - x, py - y);
    const face = 150 * soft(off - radius, blur);
    const core = 60 * soft(off - radius / 12, blur);
    const ring = -60 * soft(Math.abs(off - radius * 1.05) - 2, blur);
    const spot = spots.some((one) => Math.hypot(px - one.x, py - one.y) < one.size) ? -90 : 0;
    return 70 + face + core + ring + spot + 0.12 * px;
  });
}

describe('a picture of an end face', () => {
  it.each([
    ['in the middle', {}],
    ['off to a side', { x: 120, y: 68 }],
    ['small', { radius: 26 }],
    ['large', { radius: 62 }],
    ['out of focus', { blur: 3 }],
    ['dirty', { dirt: 25 }],
  ])('%s is found where it lies', (_, part) => {
    const found = findFace(facePicture(7, part));
    const at = { x: 100, y: 75, radius: 48, ...part };
    expect(found).not.toBeNull();
    expect(Math.hypot(found!.x - at.x, found!.y - at.y)).toBeLessThan(4);
    expect(Math.abs(found!.radius - at.radius)).toBeLessThan(0.1 * at.radius + 2);
  });
});

describe('a picture of something else', () => {
  const normal = normalFrom(3);
  const hills = Array.from({ length: 12 }, () => [
    0.1 * normal(),
    0.1 * normal(),
    6.3 * normal(),
  ]) as [number, number, number][];
  it.each<[string, (x: number, y: number) => number]>([
    ['is an even wall', () => 128],
    ['is nothing but noise', () => 128 + 60 * normal()],
    ['is a horizon', (x, y) => (y < 60 + 6 * Math.sin(x / 17) ? 220 : 60)],
    ['is a page of text', (x, y) => (y % 9 < 5 && Math.sin(x * 2.1 + y * 7.7) > 0.2 ? 20 : 235)],
    ['is a tray of straight fibers', (x) => (x % 14 < 4 ? 220 : 40)],
    ['is a cable cut lengthwise', (x, y) => (Math.abs(y - 70 - x / 9) < 22 ? 30 : 190)],
    ['is a box', (x, y) => (Math.abs(x - 100) < 50 && Math.abs(y - 75) < 45 ? 210 : 70)],
    [
      'is a landscape',
      (x, y) => 120 + 18 * hills.reduce((sum, [a, b, c]) => sum + Math.sin(a * x + b * y + c), 0),
    ],
    [
      'is a coil of cable: rings, but no even face',
      (x, y) => (Math.hypot(x - 100, y - 75) % 12 < 6 ? 200 : 40),
    ],
  ])('%s', (_, levelAt) => expect(findFace(pictureOf(5, levelAt))).toBeNull());
});
