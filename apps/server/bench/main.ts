import { databaseFigures } from './database.ts';

const wanted = process.argv.slice(2);
let missed = false;
for (const { name, ratio, limit, note } of await databaseFigures()) {
  if (wanted.length > 0 && !wanted.includes(name)) continue;
  const ok = ratio <= limit;
  missed ||= !ok;
  console.log(`${name}  ${ratio.toFixed(2)}  limit ${limit}  ${ok ? 'ok' : 'MISS'}  (${note})`);
}
process.exit(missed ? 1 : 0);
