import type { Hardware } from '../record/hardware.ts';

/** Seams that can leak, by the names that are kept with what was seen there. */
export const SEAMS = [
  'Clamp ring',
  'Air valve',
  'Upper gasket',
  'Lower gasket',
  'Lid gasket',
] as const;
export type Seam = (typeof SEAMS)[number];

/** A place on a drawing, in its units. */
export interface Spot {
  x: number;
  y: number;
}

/** A hole or a bolt: a circle. */
export interface Round extends Spot {
  r: number;
}

/** A closure as its ports are looked at: what a person points at when something bubbles. */
export interface Face {
  width: number;
  height: number;
  /** The body: a circle for a dome, a box for the others. */
  body: { round: Round } | { box: Spot & { width: number; height: number } };
  ports: (Round & { name: string; holes: Round[] })[];
  /** Seams that can leak, each with the line along which it is drawn and where its name stands. */
  seams: { name: Seam; path: string }[];
  bolts: (Round & { number: number })[];
}

/** Where a hole lies in its port: in a row for two, round its middle for more. */
function holesOf(port: Round, count: number): Round[] {
  if (count === 1) return [{ x: port.x, y: port.y, r: port.r * 0.5 }];
  const r = count === 2 ? port.r * 0.34 : port.r * Math.min(0.3, 1.6 / count);
  return Array.from({ length: count }, (_, index) => {
    const turn = (2 * Math.PI * index) / count;
    return {
      x: port.x + Math.cos(turn) * port.r * 0.55,
      y: port.y + Math.sin(turn) * port.r * 0.55,
      r,
    };
  });
}

const onRing = (center: Spot, radius: number, count: number, index: number): Spot => {
  const turn = (2 * Math.PI * index) / count - Math.PI / 2;
  return { x: center.x + radius * Math.cos(turn), y: center.y + radius * Math.sin(turn) };
};

const circle = ({ x, y, r }: Round): string =>
  `M ${x - r} ${y} a ${r} ${r} 0 1 0 ${2 * r} 0 a ${r} ${r} 0 1 0 ${-2 * r} 0`;

/** The end plate of a dome: an express port in the middle, the others round it, bolts on the rim. */
function domeFace(hardware: Hardware): Face {
  const center = { x: 60, y: 60 };
  const [first, ...rest] = hardware.ports;
  const inMiddle = first!.takes.includes('express') ? [first!] : [];
  const round = inMiddle.length > 0 ? rest : hardware.ports;
  const r = Math.min(9, 100 / Math.max(4, round.length));
  const ports = [
    ...inMiddle.map((port) => ({ name: port.name, ...center, r: 13, holes: port.holes })),
    ...round.map((port, index) => ({
      name: port.name,
      ...onRing(center, 31, round.length, index),
      r,
      holes: port.holes,
    })),
  ];
  return {
    width: 120,
    height: 120,
    body: { round: { ...center, r: 48 } },
    ports: ports.map((port) => ({ ...port, holes: holesOf(port, port.holes) })),
    seams: [
      { name: 'Clamp ring', path: circle({ ...center, r: 48 }) },
      { name: 'Air valve', path: circle({ x: 110, y: 10, r: 4 }) },
    ],
    bolts: hardware.bolts.map((_, index) => ({
      number: index + 1,
      ...onRing(center, 54, hardware.bolts.length, index),
      r: 4,
    })),
  };
}

/** A case from above: ports on both ends where cables run through it, seams and bolts along its sides. */
function caseFace(hardware: Hardware): Face {
  const box = { x: 26, y: 20, width: 108, height: 60 };
  const both = hardware.form === 'in-line';
  const ends = hardware.ports.map((_, index) => (both ? index % 2 : 0));
  const onEnd = (end: number) => ends.filter((own) => own === end).length;
  const seen = [0, 0];
  const ports = hardware.ports.map((port, index) => {
    const end = ends[index]!;
    const room = box.height / onEnd(end);
    const r = Math.min(12, room / 2 - 1);
    const place = {
      x: end === 0 ? box.x - r - 1 : box.x + box.width + r + 1,
      y: box.y + room * (seen[end]!++ + 0.5),
      r,
    };
    return { name: port.name, ...place, holes: holesOf(place, port.holes) };
  });
  const right = box.x + box.width;
  const below = box.y + box.height;
  const seams: Face['seams'] = both
    ? [
        { name: 'Upper gasket', path: `M ${box.x} ${box.y} H ${right}` },
        { name: 'Lower gasket', path: `M ${box.x} ${below} H ${right}` },
        { name: 'Air valve', path: circle({ x: 80, y: 50, r: 4 }) },
      ]
    : [
        { name: 'Lid gasket', path: `M ${box.x} ${box.y} H ${right} V ${below} H ${box.x}` },
        ...(hardware.testKpa !== 0
          ? [{ name: 'Air valve' as const, path: circle({ x: 80, y: 50, r: 4 }) }]
          : []),
      ];
  const perRow = Math.ceil(hardware.bolts.length / 2);
  return {
    width: 160,
    height: 100,
    body: { box },
    ports,
    seams: hardware.form === 'rack' ? [] : seams,
    bolts: hardware.bolts.map((_, index) => ({
      number: index + 1,
      x: box.x + ((index % perRow) + 0.5) * (box.width / perRow),
      y: index < perRow ? box.y - 8 : below + 8,
      r: 4,
    })),
  };
}

/** The drawing of a closure's own ports, seams and bolts, from its profile. */
export const faceOf = (hardware: Hardware): Face =>
  hardware.form === 'dome' || hardware.form === 'wedge' ? domeFace(hardware) : caseFace(hardware);

/** What bubbles at a place come from, by what the place is. */
export type LeakCause = 'valve' | 'port' | 'seam';

export function leakCause(hardware: Hardware, place: string): LeakCause {
  if (place === ('Air valve' satisfies Seam)) return 'valve';
  return hardware.ports.some(({ name }) => name === place) ? 'port' : 'seam';
}
