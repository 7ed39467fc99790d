import { databaseFigures } from './database.ts';
import { importFigures } from './import.ts';

const IMPORTS = ['import-rows', 'import-growth'];

const wanted = process.argv.slice(2);
let missed = false;
const isWanted = (names: readonly string[]) =>
  wanted.length === 0 || wanted.some((name) => names.includes(name));
const figures = [
  ...(wanted.length === 0 || wanted.some((name) => !IMPORTS.includes(name))
    ? await databaseFigures()
    : []),
  ...(isWanted(IMPORTS) ? await importFigures() : []),
];
for (const { name, ratio, limit, note } of figures) {
  if (wanted.length > 0 && !wanted.includes(name)) continue;
  const ok = ratio <= limit;
  missed ||= !ok;
  console.log(`${name}  ${ratio.toFixed(2)}  limit ${limit}  ${ok ? 'ok' : 'MISS'}  (${note})`);
}
process.exit(missed ? 1 : 0);
