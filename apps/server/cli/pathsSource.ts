import openapiTs, { astToString } from 'openapi-typescript';
import { createApi } from '../src/app.ts';
import type { Db } from '../src/db/client.ts';

const HEAD = '// Written by `npm run api` from the routes of the server: change those.\n\n';

/** The types of the API's paths as TypeScript, by its OpenAPI document. */
export async function pathsSource(): Promise<string> {
  // No route is asked, so that there is no database to ask.
  const answer = await createApi({ db: {} as Db }).request('/api/openapi.json');
  const document = (await answer.json()) as Parameters<typeof openapiTs>[0];
  return `${HEAD}${astToString(await openapiTs(document))}`;
}
