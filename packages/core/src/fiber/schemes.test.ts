import { schemeSchema } from '../record/scheme.ts';
import { BUILT_IN_SCHEMES, colourAt, markColour, placeOfColour } from './schemes.ts';

const [tia, vde] = BUILT_IN_SCHEMES as [
  (typeof BUILT_IN_SCHEMES)[number],
  (typeof BUILT_IN_SCHEMES)[number],
];

describe('the TIA-598 order', () => {
  // TIA-598-D, from memory.
  const order = 'blue orange green brown slate white red black yellow violet rose aqua'.split(' ');

  it.each(order.map((name, index) => [index + 1, name] as const))(
    'place %i is %s',
    (place, name) => {
      expect(colourAt(tia, place).colour.name).toBe(name);
      expect(colourAt(tia, place).marks).toBe(0);
    },
  );

  it('repeats from 13 with a black tracer, yellow on black', () => {
    // TIA-598-D, from memory.
    const marked = (place: number) => {
      const { colour, mark } = colourAt(tia, place);
      return [colour.name, mark];
    };
    expect(marked(13)).toEqual(['blue', { kind: 'tracer', colour: 'black' }]);
    expect(marked(20)).toEqual(['black', { kind: 'tracer', colour: 'yellow' }]);
    expect(marked(24)).toEqual(['aqua', { kind: 'tracer', colour: 'black' }]);
    expect(colourAt(tia, 24).letters).toBe('AQ-T');
    expect(markColour(tia.colours[7]!)).toBe('yellow');
  });

  it('counts the repeats past 24', () => {
    expect(colourAt(tia, 25)).toMatchObject({ marks: 2, colour: { name: 'blue' } });
    expect(colourAt(tia, 25).letters).toBe('BL-2T');
  });

  it('knows the names of IEC 60794-2 for the same places', () => {
    // IEC 60794-2 and IEC 60304 color names, from memory.
    expect(placeOfColour(tia, 'grey')).toBe(5);
    expect(placeOfColour(tia, 'pink')).toBe(11);
    expect(placeOfColour(tia, 'Turquoise')).toBe(12);
    expect(placeOfColour(tia, 'BR')).toBe(4);
    expect(placeOfColour(tia, 'magenta')).toBeNull();
  });
});

describe('the VDE 0888 order', () => {
  // DIN VDE 0888, from memory.
  const order = 'red green blue yellow white grey brown violet turquoise black orange pink'.split(
    ' ',
  );

  it.each(order.map((name, index) => [index + 1, name] as const))(
    'place %i is %s',
    (place, name) => {
      expect(colourAt(vde, place).colour.name).toBe(name);
    },
  );

  it('repeats from 13 with a ring', () => {
    expect(colourAt(vde, 13)).toMatchObject({
      colour: { name: 'red' },
      mark: { kind: 'ring', colour: 'black' },
    });
    expect(colourAt(vde, 13).letters).toBe('RD-R');
  });
});

describe('a scheme', () => {
  it.each(BUILT_IN_SCHEMES.map((scheme) => [scheme.name, scheme] as const))(
    '%s that ships is one that users could add, with its source',
    (_, scheme) => {
      expect(schemeSchema.parse(scheme)).toEqual(scheme);
      expect(scheme.source).toMatch(/from memory/);
    },
  );

  it('gives each word to one color only', () => {
    const twice = { ...tia, colours: tia.colours.map((colour) => ({ ...colour })) };
    twice.colours[3]!.name = 'blue';
    const read = schemeSchema.safeParse(twice);
    expect(read.error?.issues[0]).toMatchObject({
      path: ['colours', 3, 'name'],
      message: 'colourTwice',
      params: { word: 'blue', place: 1 },
    });
  });

  it('refuses colors that no screen can draw', () => {
    const bad = { ...tia, colours: [{ ...tia.colours[0]!, hex: 'blue' }, ...tia.colours.slice(1)] };
    expect(schemeSchema.safeParse(bad).error?.issues[0]?.message).toBe('colourHexWrong');
  });
});
