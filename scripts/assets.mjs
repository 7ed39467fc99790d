import { mkdirSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import subsetFont from 'subset-font';
import { ROOT, npx } from './setup.mjs';

// Makes the fonts and icons that the page ships: cut to what is used. Run it where either changes.
const web = join(ROOT, 'apps/web');
const require = createRequire(import.meta.url);

/**
 * What people write in Latin letters, and the signs of the interface: ASCII, Latin-1, Latin Extended-A,
 * dashes, quotes, primes, bullets, fractions, arrows, mathematical signs. Others fall back to the system's font.
 */
const RANGES = [
  [0x20, 0x7e],
  [0xa0, 0x17f],
  [0x2010, 0x2027],
  [0x2030, 0x203a],
  [0x2044, 0x2044],
  [0x20ac, 0x20ac],
  [0x2150, 0x215e],
  [0x2190, 0x2193],
  [0x2212, 0x2212],
  [0x2248, 0x2265],
  [0x2713, 0x2717],
];
const LETTERS = RANGES.flatMap(([from, to]) =>
  Array.from({ length: to - from + 1 }, (_, index) => String.fromCodePoint(from + index)),
).join('');

const FACES = [
  'atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf',
  'atkinson-hyperlegible-next/600SemiBold/AtkinsonHyperlegibleNext_600SemiBold.ttf',
  'atkinson-hyperlegible-next/700Bold/AtkinsonHyperlegibleNext_700Bold.ttf',
  'bitter/800ExtraBold/Bitter_800ExtraBold.ttf',
];

async function makeFonts() {
  const folder = join(web, 'assets/fonts');
  mkdirSync(folder, { recursive: true });
  for (const face of FACES) {
    const whole = readFileSync(require.resolve(`@expo-google-fonts/${face}`));
    const cut = await subsetFont(whole, LETTERS, { targetFormat: 'woff2' });
    const name = face.split('/').at(-1).replace('.ttf', '.woff2');
    writeFileSync(join(folder, name), cut);
    console.log(`${name}: ${whole.length} bytes, ${cut.length} as cut`);
  }
}

function* sourcesBelow(folder) {
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) yield* sourcesBelow(path);
    else if (/\.tsx?$/.test(entry.name) && entry.name !== 'iconPaths.ts') yield path;
  }
}

/** Icons that parts of React Native Paper ask for by themselves. */
const PAPER = ['close', 'menu-down', 'check', 'eye', 'eye-off', 'alert-circle'];

const camel = (name) => `mdi-${name}`.replace(/-([a-z0-9])/g, (_, letter) => letter.toUpperCase());

function makeIcons() {
  const all = require('@mdi/js/commonjs/mdi.js');
  const words = new Set(PAPER);
  for (const path of sourcesBelow(join(web, 'src')))
    for (const line of readFileSync(path, 'utf8').split('\n'))
      for (const [, word] of line.matchAll(/['"]([a-z][a-z0-9-]+)['"]/g))
        // A single word may be any; it names an icon where its line says so.
        if (word.includes('-') || /\b(icon|source)\b/.test(line)) words.add(word);
  const used = [...words].filter((word) => camel(word) in all).sort();
  const lines = used.map(
    (name) => `  ${/-/.test(name) ? `'${name}'` : name}: '${all[camel(name)]}',`,
  );
  const file = join(web, 'src/ui/iconPaths.ts');
  writeFileSync(
    file,
    [
      '// Made by `npm run assets`. Material Design Icons by the Pictogrammers, Apache License 2.0.',
      '',
      '/** Outlines of the icons in use, on a field of 24 x 24. */',
      'export const ICON_PATHS: Record<string, string> = {',
      ...lines,
      '};',
      '',
    ].join('\n'),
  );
  npx(['prettier', '--write', '--log-level', 'warn', file], { cwd: ROOT });
  console.log(`${used.length} icons`);
}

await makeFonts();
makeIcons();
