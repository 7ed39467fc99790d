import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { type Font, openSync } from 'fontkit';

const { resolve } = createRequire(import.meta.url);
const folderOf = (name: string): string =>
  dirname(resolve(`@expo-google-fonts/${name}/package.json`));
const atkinson = folderOf('atkinson-hyperlegible-next');
const noto = folderOf('noto-sans');

/** The fonts that are embedded in what is printed: the same as on the page. */
const FACES = {
  regular: join(atkinson, '400Regular/AtkinsonHyperlegibleNext_400Regular.ttf'),
  bold: join(atkinson, '700Bold/AtkinsonHyperlegibleNext_700Bold.ttf'),
  name: join(folderOf('bitter'), '800ExtraBold/Bitter_800ExtraBold.ttf'),
};

export type Face = keyof typeof FACES;

/** What is set in them that those have no letters for: Latin, Greek, Cyrillic and Vietnamese whole. */
const WIDE: Record<Face, string> = {
  regular: join(noto, '400Regular/NotoSans_400Regular.ttf'),
  bold: join(noto, '700Bold/NotoSans_700Bold.ttf'),
  name: join(noto, '800ExtraBold/NotoSans_800ExtraBold.ttf'),
};

/** Stands for a letter that no font has (U+FFFD, replacement character). */
const NO_LETTER = '\ufffd';

/** Makes the fonts known to a document by their names; only those that are used are embedded. */
export function registerFonts(doc: PDFKit.PDFDocument): void {
  for (const [name, path] of Object.entries(FACES)) doc.registerFont(name, path);
  for (const [name, path] of Object.entries(WIDE)) doc.registerFont(`${name} wide`, path);
}

const opened = new Map<string, Font>();

function hasAll(path: string, text: string): boolean {
  const font = opened.get(path) ?? (openSync(path) as Font);
  opened.set(path, font);
  for (const letter of text)
    if (!isSpace(letter) && !font.hasGlyphForCodePoint(letter.codePointAt(0)!)) return false;
  return true;
}

const isSpace = (letter: string): boolean => /\s/.test(letter);

/** Letters that every font here has: most texts hold no others, and asking a font takes long. */
const PLAIN = /^[\x20-\x7e\n]*$/;

/**
 * Chooses the font of a text, and sets it.
 * @returns the text as it can be set: what no font has a letter for is replaced by a sign
 */
export function useFace(doc: PDFKit.PDFDocument, face: Face, text: string): string {
  if (PLAIN.test(text) || hasAll(FACES[face], text)) {
    doc.font(face);
    return text;
  }
  doc.font(`${face} wide`);
  if (hasAll(WIDE[face], text)) return text;
  return [...text].map((letter) => (hasAll(WIDE[face], letter) ? letter : NO_LETTER)).join('');
}
