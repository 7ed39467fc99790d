import type { Colour, ColourScheme } from '../record/scheme.ts';

const colour = (name: string, code: string, hex: string, ...aliases: string[]): Colour => ({
  name,
  code,
  hex,
  aliases,
});

/** The two schemes that ship; users add their own. */
export const BUILT_IN_SCHEMES: readonly ColourScheme[] = [
  {
    id: 'tia-598',
    name: 'TIA-598 order',
    source:
      'TIA-598-D, from memory; the same order with the names grey, pink and turquoise in IEC 60794-2 and IEC 60304, from memory.',
    mark: 'tracer',
    colours: [
      colour('blue', 'BL', '#1F5FBF'),
      colour('orange', 'OR', '#E8791E'),
      colour('green', 'GR', '#2B8A3E'),
      colour('brown', 'BR', '#7A4A21'),
      colour('slate', 'SL', '#7C8794', 'grey', 'gray'),
      colour('white', 'WH', '#FFFFFF'),
      colour('red', 'RD', '#CF2B2B'),
      colour('black', 'BK', '#1B1B1B'),
      colour('yellow', 'YL', '#F2C91D'),
      colour('violet', 'VI', '#7B3FA0', 'purple'),
      colour('rose', 'RS', '#EFA0B9', 'pink'),
      colour('aqua', 'AQ', '#4FC3CB', 'turquoise'),
    ],
  },
  {
    id: 'vde-0888',
    name: 'VDE 0888 order',
    source: 'DIN VDE 0888, from memory.',
    mark: 'ring',
    colours: [
      colour('red', 'RD', '#CF2B2B'),
      colour('green', 'GR', '#2B8A3E'),
      colour('blue', 'BL', '#1F5FBF'),
      colour('yellow', 'YL', '#F2C91D'),
      colour('white', 'WH', '#FFFFFF'),
      colour('grey', 'GY', '#7C8794', 'gray', 'slate'),
      colour('brown', 'BR', '#7A4A21'),
      colour('violet', 'VI', '#7B3FA0', 'purple'),
      colour('turquoise', 'TQ', '#4FC3CB', 'aqua'),
      colour('black', 'BK', '#1B1B1B'),
      colour('orange', 'OR', '#E8791E'),
      colour('pink', 'PK', '#EFA0B9', 'rose'),
    ],
  },
];

/** A color at a place of the order, with how many marks (tracers or rings) it carries there. */
export interface ColourPlace {
  colour: Colour;
  marks: number;
  /** Of what kind the marks are, and their color; null without any. */
  mark: { kind: ColourScheme['mark']; colour: 'yellow' | 'black' } | null;
  /** In letters, such as `BR` or `BR-T`. */
  letters: string;
}

/**
 * The color at a place of a scheme.
 * @param place counted from 1; past the last colour the order repeats with a mark
 */
export function colourAt(scheme: ColourScheme, place: number): ColourPlace {
  const count = scheme.colours.length;
  const colour = scheme.colours[(place - 1) % count]!;
  const marks = Math.floor((place - 1) / count);
  if (marks === 0) return { colour, marks, mark: null, letters: colour.code };
  const letter = scheme.mark === 'tracer' ? 'T' : 'R';
  return {
    colour,
    marks,
    mark: { kind: scheme.mark, colour: markColour(colour) },
    letters: `${colour.code}-${marks > 1 ? marks : ''}${letter}`,
  };
}

/** The color of the tracer or ring: black, and yellow on black (TIA-598-D, from memory). */
export const markColour = (colour: Colour): 'yellow' | 'black' =>
  colour.name === 'black' ? 'yellow' : 'black';

/**
 * The place, from 1, that a color word or its letters name in a scheme, or null.
 * @param word such as `brown`, `BR`, `grey`
 */
export function placeOfColour(scheme: ColourScheme, word: string): number | null {
  const wanted = word.toLowerCase();
  const index = scheme.colours.findIndex((colour) =>
    [colour.name, colour.code, ...colour.aliases].some((known) => known.toLowerCase() === wanted),
  );
  return index < 0 ? null : index + 1;
}
