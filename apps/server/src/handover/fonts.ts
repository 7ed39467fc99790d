import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';

const { resolve } = createRequire(import.meta.url);
const folderOf = (name: string): string =>
  dirname(resolve(`@expo-google-fonts/${name}/package.json`));
const atkinson = folderOf('atkinson-hyperlegible-next');

/** The fonts that are embedded in what is printed: the same as on the page. */
const FACES = {
  regular: join(atkinson, '400Regular/AtkinsonHyperlegibleNext_400Regular.ttf'),
  bold: join(atkinson, '700Bold/AtkinsonHyperlegibleNext_700Bold.ttf'),
  name: join(folderOf('bitter'), '800ExtraBold/Bitter_800ExtraBold.ttf'),
};

export type Face = keyof typeof FACES;

/** Makes the fonts known to a document by their names. */
export function registerFonts(doc: PDFKit.PDFDocument): void {
  for (const [name, path] of Object.entries(FACES)) doc.registerFont(name, path);
}
