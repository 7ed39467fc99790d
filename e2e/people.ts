import type { Role } from '@cordel/core';
import { v7 as uuid } from 'uuid';
import type { Browser } from 'puppeteer-core';
import {
  type Person,
  type Server,
  newPerson,
  readApi,
  removeServer,
  startServer,
  until,
} from './app.ts';

const PASSWORD = 'bread sled lamp';

/** Headers by which a server knows somebody. */
export type SignedIn = Record<'cookie' | 'origin', string>;

/** Asks a server as somebody; fails where it refuses. */
export async function askAs<Answer>(
  server: Pick<Server, 'url'>,
  who: Record<string, string>,
  path: string,
  body?: unknown,
): Promise<Answer> {
  const answer = await fetch(`${server.url}/api${path}`, {
    ...(body !== undefined && { method: 'POST', body: JSON.stringify(body) }),
    headers: { 'content-type': 'application/json', origin: server.url, ...who },
  });
  if (!answer.ok) throw new Error(`${path}: ${answer.status} ${await answer.text()}`);
  return (await answer.json()) as Answer;
}

/** Makes an account by the secret of a link. */
async function join(server: Server, secret: string, name: string): Promise<SignedIn> {
  const email = `${name.toLowerCase().replace(/\W+/g, '.')}@firm.example`;
  const answer = await fetch(`${server.url}/api/invitations/accept`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin: server.url },
    body: JSON.stringify({ secret, person: { name, email, password: PASSWORD } }),
  });
  if (!answer.ok) throw new Error(await answer.text());
  const cookies = answer.headers.getSetCookie().map((set) => set.split(';')[0]);
  return { cookie: cookies.join('; '), origin: server.url };
}

/** The owner of a server that has just started for the first time. */
export async function firstOwner(server: Server): Promise<SignedIn> {
  // It prints its address first.
  const secret = await until(
    () => Promise.resolve(/join#(\S+)/.exec(server.output())?.[1]),
    'the link for the owner',
  );
  return join(server, secret!, 'Olga Host');
}

/** Somebody new, with a role in a project. */
export async function memberOf(
  server: Server,
  owner: SignedIn,
  projectId: string,
  role: Role,
  name = `A ${role} of ${projectId.slice(-4)}`,
): Promise<SignedIn> {
  const invitation = { id: uuid(), role, note: '' };
  const { secret } = await askAs<{ secret: string }>(
    server,
    owner,
    `/projects/${projectId}/invitations`,
    invitation,
  );
  return join(server, secret, name);
}

/** A page of a browser on which somebody is signed in. */
export async function pageOf(browser: Browser, server: Server, who: SignedIn): Promise<Person> {
  const person = await newPerson(browser, server, null);
  const cookies = who.cookie.split('; ').map((pair) => {
    const [name, ...value] = pair.split('=');
    return { name: name!, value: value.join('='), url: server.url };
  });
  await person.page.setCookie(...cookies);
  return person;
}

/** A server for real work on which somebody has brought the demo's project in. */
export async function servedDemo(
  env: Record<string, string> = {},
): Promise<{ server: Server; owner: SignedIn; project: string }> {
  const demo = await startServer({ demo: true });
  const [one] = await readApi<{ id: string }[]>(demo, '/projects');
  const document = await readApi(demo, `/projects/${one!.id}/document.json`);
  await removeServer(demo);
  const server = await startServer({ serve: true, env });
  const owner = await firstOwner(server);
  await askAs(server, owner, '/documents', document);
  return { server, owner, project: one!.id };
}
