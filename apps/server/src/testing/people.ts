import type { Role } from '@cordel/core';
import { v7 as uuid } from 'uuid';
import { firstStart } from '../accounts/invitations.ts';
import { type Answer, type TestApi, startApi } from './api.ts';

/** Where the server of the tests is reached. */
const ORIGIN = 'http://cordel.example';

export const PASSWORD = 'bread sled lamp';

/** A browser that keeps its cookies, at a page of the server's own. */
export class TestBrowser {
  readonly cookies = new Map<string, string>();

  constructor(private readonly api: TestApi) {}

  async call(
    method: string,
    path: string,
    body?: unknown,
    headers: Record<string, string> = {},
  ): Promise<Answer> {
    const text = body === undefined ? null : JSON.stringify(body);
    const response = await this.api.open(path, {
      method,
      headers: {
        origin: ORIGIN,
        cookie: [...this.cookies].map(([name, value]) => `${name}=${value}`).join('; '),
        ...(text === null
          ? {}
          : {
              'content-type': 'application/json',
              'content-length': String(Buffer.byteLength(text)),
            }),
        ...headers,
      },
      body: text,
    });
    for (const cookie of response.headers.getSetCookie()) {
      const [, name, value] = /^([^=]+)=([^;]*)/.exec(cookie)!;
      if (/max-age=0/i.test(cookie)) this.cookies.delete(name!);
      else this.cookies.set(name!, value!);
    }
    const isStream = response.headers.get('content-type')?.startsWith('text/event-stream');
    if (isStream) await response.body?.cancel();
    const answer = isStream ? '' : await response.text();
    const type = response.headers.get('content-type') ?? '';
    return {
      status: response.status,
      type,
      text: answer,
      body: (/[/+]json/.test(type) ? JSON.parse(answer) : null) as never,
    };
  }

  get = (path: string) => this.call('GET', path);
  post = (path: string, body: unknown) => this.call('POST', path, body);
  put = (path: string, body: unknown) => this.call('PUT', path, body);
  remove = (path: string) => this.call('DELETE', path);

  /** The id of whoever is signed in. */
  async me(): Promise<string> {
    return ((await this.get('/session')).body as { person: { id: string } }).person.id;
  }

  /** Joins by a link as somebody new. */
  async join(secret: string, name: string): Promise<Answer> {
    const email = `${name.toLowerCase().replace(/\W+/g, '.')}@firm.example`;
    return this.post('/invitations/accept', {
      secret,
      person: { name, email, password: PASSWORD },
    });
  }

  async invite(projectId: string, role: Role): Promise<string> {
    const id = uuid();
    const answer = await this.post(`/projects/${projectId}/invitations`, { id, role });
    if (answer.status !== 200) throw new Error(answer.text);
    return (answer.body as { secret: string }).secret;
  }
}

/** The API with accounts, and the browser of the server's owner, who has just made theirs. */
export async function startWithAccounts() {
  const api = await startApi({ origin: ORIGIN });
  const owner = new TestBrowser(api);
  const answer = await owner.join((await firstStart(api.db))!, 'Olga Host');
  if (answer.status !== 200) throw new Error(answer.text);
  /** Somebody new, with a role in a project. */
  const member = async (projectId: string, role: Role, name: string): Promise<TestBrowser> => {
    const browser = new TestBrowser(api);
    const joined = await browser.join(await owner.invite(projectId, role), name);
    if (joined.status !== 200) throw new Error(joined.text);
    return browser;
  };
  return { api, owner, member, browser: () => new TestBrowser(api) };
}
