import { rm } from 'node:fs/promises';
import { fileURLToPath } from 'node:url';
import { openFolder } from '../client.ts';

/** Makes the empty database that each new data folder begins as, beside this file of the built server. */
const FOLDER = fileURLToPath(new URL('./empty-database', import.meta.url));
const MIGRATIONS = fileURLToPath(new URL('../drizzle', import.meta.url));

await rm(FOLDER, { recursive: true, force: true });
await (await openFolder(FOLDER, MIGRATIONS)).close();
