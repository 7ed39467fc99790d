import { databaseFigures } from './database.ts';
import type { Figure } from './figure.ts';
import { importFigures } from './import.ts';

const IMPORTS = ['import-rows', 'import-growth'];

const wanted = process.argv.slice(2);
const isWanted = (name: string) => wanted.length === 0 || wanted.includes(name);
let [missed, failed] = [false, false];
/** Prints figures as they are measured: one that fails hides none that came before, nor those of others. */
async function print(figures: AsyncGenerator<Figure>): Promise<void> {
  try {
    for await (const { name, ratio, limit, note } of figures) {
      if (!isWanted(name)) continue;
      const ok = ratio <= limit;
      missed ||= !ok;
      console.log(`${name}  ${ratio.toFixed(2)}  limit ${limit}  ${ok ? 'ok' : 'MISS'}  (${note})`);
    }
  } catch (error) {
    console.error(error);
    failed = true;
  }
}
if (wanted.length === 0 || wanted.some((name) => !IMPORTS.includes(name)))
  await print(databaseFigures());
if (IMPORTS.some(isWanted)) await print(importFigures());
process.exit(failed ? 1 : missed ? 3 : 0);
