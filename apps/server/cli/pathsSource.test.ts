import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { pathsSource } from './pathsSource.ts';

const WRITTEN = fileURLToPath(
  new URL('../../../packages/client/src/api/paths.ts', import.meta.url),
);

test('the client’s types are those of the routes: otherwise `npm run api` writes them anew', async () => {
  expect((await pathsSource()) === readFileSync(WRITTEN, 'utf8')).toBe(true);
});
