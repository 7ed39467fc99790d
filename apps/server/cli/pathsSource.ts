import { createHash } from 'node:crypto';
import openapiTs, { astToString } from 'openapi-typescript';
import { createApi } from '../src/app.ts';
import type { Db } from '../src/db/client.ts';

const HEAD = '// Written by `npm run api` from the routes of the server: change those.\n\n';

const DIGEST =
  '/** Changes with the API: what was kept of answers of another one is not shown. */\n' +
  "export const API_DIGEST = '";

/** Lines that say of a path or a request what it does not have. */
const NOTHING =
  /^ +(?:query|header|path|cookie|requestBody|get|put|post|delete|options|head|patch|trace)\?: never;\n/gm;

/** The types of the API's paths as TypeScript, by its OpenAPI document. */
export async function pathsSource(): Promise<string> {
  // No route is asked, so that there is no database to ask.
  const answer = await createApi({ db: {} as Db }).request('/api/openapi.json');
  const document = (await answer.json()) as Parameters<typeof openapiTs>[0];
  const types = astToString(await openapiTs(document)).replace(NOTHING, '');
  const digest = createHash('sha256').update(types).digest('hex').slice(0, 16);
  return `${HEAD}${types}\n${DIGEST}${digest}';\n`;
}
