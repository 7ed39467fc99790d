import { type Hardware, type Port, type SealRow, TEST_MINUTES } from '../record/hardware.ts';

const MADE_UP = 'Made up, with lengths of common practice: replace by your hardware’s own sheet.';
const mm = (value: number): number => value * 10;
const inch = (value: number): number => Math.round(value * 254);

/** Rows of seals from one diameter to the next, in mm. */
function rows(bounds: number[], name: string, bushingBelow = 0): SealRow[] {
  return bounds.slice(1).map((to, index) => ({
    from: mm(bounds[index]!),
    to: mm(to),
    seal: `${name} ${index + 1}`,
    layers: bounds.length - 2 - index,
    clip: index < (bounds.length - 1) / 2 ? 'small clip' : 'large clip',
    bushing: to <= bushingBelow,
  }));
}

const ports = (count: number, name: string, part: Omit<Port, 'name'>): Port[] =>
  Array.from({ length: count }, (_, index) => ({ ...part, name: `${name} ${index + 1}` }));

/** Crosswise round a ring: each bolt lies across from the one before, or nearly. */
const crosswise = (count: number): number[] =>
  Array.from({ length: count }, (_, index) => {
    const half = Math.ceil(count / 2);
    return index % 2 === 0 ? index / 2 + 1 : half + (index + 1) / 2;
  });

/** Two rows of bolts along a case, from the middle outwards, side by side; rows are numbered one after the other. */
const outwards = (perRow: number): number[] =>
  Array.from({ length: perRow }, (_, index) => {
    const step = Math.ceil(index / 2) * (index % 2 === 0 ? 1 : -1);
    return Math.ceil(perRow / 2) + step;
  }).flatMap((at) => [at, perRow + at]);

const KEEP = {
  strength: inch(3),
  centralTube: inch(2.25),
  aramid: inch(3),
  ripcord: inch(4),
  dropTube: inch(6),
  strengthAtFirst: inch(8),
};

/** The gland, the gel or the rack's clamp holds the cable. */
const NO_HOSE_CLAMP = 0;

const COMMON = {
  source: MADE_UP,
  keep: KEEP,
  window: inch(15),
  clamp: inch(1.25),
  hoseClamp: inch(0.25),
  bushingBelow: inch(0.5),
  testMinutes: TEST_MINUTES,
  access: 0,
  torqueMilliNm: null,
  sleeve: '60 mm' as const,
  parts: [],
  procedure: null,
};

/** Where a cable's end is slit for its ripcord: 2 to 3 in are common practice. */
const ACCESS = inch(3);

/** Generic hardware to begin with. Every one is to be replaced by the sheet of what is at hand. */
export const BUILT_IN_HARDWARE: readonly Hardware[] = [
  {
    ...COMMON,
    id: 'dome',
    name: 'Dome, six ports',
    form: 'dome',
    bolts: crosswise(6),
    trays: { most: 12, single: 12, mass: 6 },
    basket: { width: mm(150), length: mm(320), depth: mm(30) },
    tubeToTray: mm(450),
    sheath: { end: inch(64), express: inch(66), drop: inch(64) },
    access: ACCESS,
    testKpa: null,
    ports: [
      {
        name: 'Oval',
        takes: ['express', 'end'],
        holes: 2,
        rows: rows([10, 13, 16, 19, 22, 25], 'Oval seal', 13),
      },
      ...ports(4, 'Round', {
        takes: ['end', 'drop'],
        holes: 1,
        rows: rows([8, 11, 14, 17, 20], 'Round seal', 11),
      }),
      { name: 'Drop port', takes: ['drop'], holes: 4, rows: rows([3, 5, 8], 'Four-hole seal') },
    ],
  },
  {
    ...COMMON,
    id: 'in-line',
    name: 'In-line express case',
    form: 'in-line',
    bolts: outwards(5),
    trays: { most: 6, single: 24, mass: 12 },
    basket: { width: mm(130), length: mm(400), depth: mm(35) },
    tubeToTray: mm(380),
    sheath: { end: inch(64), express: inch(70), drop: inch(64) },
    access: ACCESS,
    testKpa: null,
    ports: [
      ...ports(2, 'Trunk', {
        takes: ['express', 'end'],
        holes: 1,
        rows: rows([9, 12, 15, 18, 21, 24], 'Split seal', 12),
      }),
      ...ports(2, 'Branch', {
        takes: ['end', 'drop'],
        holes: 2,
        rows: rows([4, 7, 10, 13], 'Two-hole seal'),
      }),
    ],
  },
  {
    ...COMMON,
    id: 'gel-drop',
    name: 'Small gel drop case',
    form: 'drop',
    bolts: [],
    trays: { most: 1, single: 24, mass: 0 },
    basket: { width: mm(80), length: mm(160), depth: mm(20) },
    tubeToTray: inch(6),
    sheath: { end: inch(20), express: inch(24), drop: inch(20) },
    keep: { ...KEEP, strength: inch(1.5) },
    hoseClamp: NO_HOSE_CLAMP,
    sleeve: '40 mm',
    testKpa: 0,
    ports: [
      // A cable that passes comes in by one hole and leaves by the other.
      { name: 'Feed', takes: ['express', 'end'], holes: 2, rows: rows([6, 10, 14], 'Gel wedge') },
      { name: 'Drops', takes: ['drop'], holes: 8, rows: rows([2, 4, 7], 'Gel comb') },
    ],
  },
  {
    ...COMMON,
    id: 'gland',
    name: 'Gland-entry joint',
    form: 'gland',
    bolts: crosswise(8),
    trays: { most: 24, single: 12, mass: 0 },
    basket: { width: mm(180), length: mm(360), depth: mm(40) },
    tubeToTray: mm(600),
    sheath: { end: mm(2000), express: mm(2000), drop: mm(2000) },
    keep: { ...KEEP, strength: mm(90) },
    hoseClamp: NO_HOSE_CLAMP,
    // Only where its sheet gives a figure.
    testKpa: 0,
    ports: [
      ...ports(2, 'Large gland', {
        takes: ['express', 'end'],
        holes: 1,
        rows: rows([12, 16, 20, 24, 28], 'Gland insert', 13),
      }),
      ...ports(6, 'Small gland', {
        takes: ['end', 'drop'],
        holes: 1,
        rows: rows([5, 8, 12, 16], 'Small insert'),
      }),
    ],
  },
  {
    ...COMMON,
    id: 'wedge',
    name: 'Dome with gel wedges',
    form: 'wedge',
    bolts: [],
    trays: { most: 12, single: 24, mass: 6 },
    basket: { width: mm(160), length: mm(320), depth: mm(35) },
    tubeToTray: mm(450),
    sheath: { end: inch(64), express: inch(66), drop: inch(64) },
    access: ACCESS,
    hoseClamp: NO_HOSE_CLAMP,
    testKpa: null,
    ports: [
      ...ports(3, 'Wedge', {
        takes: ['express', 'end'],
        holes: 2,
        rows: rows([8, 12, 16, 20, 24], 'Gel channel', 12),
      }),
      ...ports(2, 'Drop wedge', {
        takes: ['drop'],
        holes: 4,
        rows: rows([3, 6, 9], 'Four-cable gel'),
      }),
    ],
  },
  {
    ...COMMON,
    id: 'rack',
    name: 'Rack module for ribbons',
    form: 'rack',
    bolts: [],
    trays: { most: 12, single: 0, mass: 6 },
    basket: { width: mm(220), length: mm(420), depth: mm(40) },
    tubeToTray: mm(300),
    sheath: { end: inch(48), express: inch(48), drop: inch(48) },
    // Cut flush at the ring cut.
    keep: { ...KEEP, strength: 0 },
    hoseClamp: NO_HOSE_CLAMP,
    testKpa: 0,
    ports: ports(4, 'Rear entry', {
      takes: ['end'],
      holes: 1,
      rows: rows([8, 14, 20, 26], 'Cable clamp'),
    }),
  },
  {
    ...COMMON,
    id: 'drop-end',
    name: 'Terminal for a drop',
    form: 'drop-end',
    bolts: [],
    trays: { most: 1, single: 4, mass: 0 },
    basket: { width: mm(80), length: mm(120), depth: mm(20) },
    tubeToTray: inch(6),
    sheath: { end: inch(20), express: inch(20), drop: inch(20) },
    // Both rods are cut short at the sheath.
    keep: { ...KEEP, strength: 0 },
    hoseClamp: NO_HOSE_CLAMP,
    sleeve: '40 mm',
    testKpa: 0,
    ports: [
      { name: 'Drop entry', takes: ['drop'], holes: 2, rows: rows([2, 5, 8], 'Drop grommet') },
    ],
  },
];
