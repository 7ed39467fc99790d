import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { ICON_PATHS } from './iconPaths';

/** Sources of the app's own parts. */
const sources = (folder: string): string[] =>
  readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return sources(path);
    return /\.tsx$/.test(entry.name) ? [readFileSync(path, 'utf8')] : [];
  });

it('every icon that a part names has its outline', () => {
  const names = sources(join(__dirname, '..')).flatMap((text) =>
    [...text.matchAll(/\b(?:icon|source)(?:=|: )["']([a-z-]+)["']/g)].map(([, name]) => name!),
  );
  expect(names.length).toBeGreaterThan(40);
  expect(names.filter((name) => !(name in ICON_PATHS))).toEqual([]);
});
