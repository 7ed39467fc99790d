import { join } from 'node:path';
import { pathToFileURL } from 'node:url';

/**
 * Runs a thread where the server runs unbundled: from its source while developing and in benches, and in tests from the
 * pack that was made of it before all of them, which loads in a tenth of the time.
 * @param name of its pack
 * @param source where its source is
 */
export async function loadThread(name, source) {
  const { CORDEL_TEST_THREADS: packs } = process.env;
  if (packs) return import(pathToFileURL(join(packs, `${name}.js`)).href);
  const { register } = await import('tsx/esm/api');
  register();
  return import(source.href);
}
