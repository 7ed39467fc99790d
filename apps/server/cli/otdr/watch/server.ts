import { setTimeout as sleep } from 'node:timers/promises';
import type { Cable, Units } from '@cordel/core';
import type { WatchEvent } from '@cordel/text/otdr/watch';

/** Between tries while the server or the folder is away, ms. */
export const RETRY_MS = [1000, 2000, 5000, 10_000] as const;

/** What keeps watching from beginning: said once, and nothing is watched. */
export class CannotWatch extends Error {
  readonly event: WatchEvent;

  constructor(event: WatchEvent) {
    super(event.code);
    this.event = event;
  }
}

export interface Answer {
  status: number;
  body: unknown;
}

/** Asks the server; the cookies of a sign-in go along. */
export class Server {
  private readonly url: string;
  private cookie = '';

  constructor(url: string) {
    this.url = url.replace(/\/$/, '');
  }

  /** @throws TypeError where the server is not reached */
  async ask(path: string, body?: unknown): Promise<Answer> {
    const answer = await fetch(`${this.url}/api${path}`, {
      ...(body !== undefined && { method: 'POST', body: JSON.stringify(body) }),
      headers: {
        'content-type': 'application/json',
        origin: this.url,
        ...(this.cookie && { cookie: this.cookie }),
      },
    });
    const set = answer.headers.getSetCookie().map((one) => one.split(';')[0]);
    if (set.length > 0) this.cookie = set.join('; ');
    return { status: answer.status, body: await answer.json().catch(() => null) };
  }

  /** Asks until the server answers: it may be out of reach for hours. */
  async insist(
    path: string,
    body: unknown,
    tell: (event: WatchEvent) => void,
    signal: AbortSignal,
  ): Promise<Answer> {
    for (let tries = 0; ; tries++) {
      try {
        const answer = await this.ask(path, body);
        if (answer.status < 500) {
          if (tries > 0) tell({ code: 'serverBack' });
          return answer;
        }
      } catch (error) {
        if (!(error instanceof TypeError)) throw error;
      }
      if (tries === 0) tell({ code: 'serverAway' });
      await sleep(RETRY_MS[Math.min(tries, RETRY_MS.length - 1)], undefined, { signal });
    }
  }
}

/** A project that traces are sent to. */
export interface Project {
  id: string;
  name: string;
  units: Units;
  cables: Cable[];
}

/**
 * Signs in, and looks for the project.
 * @throws CannotWatch where either is not there
 */
export async function openProject(
  server: Server,
  wanted: string | null,
  account: { email: string; password: string } | null,
): Promise<Project> {
  if (account) {
    const { status } = await server.ask('/session', account);
    if (status !== 200) throw new CannotWatch({ code: 'signInFailed' });
  }
  const { status, body } = await server.ask('/projects');
  if (status === 401) throw new CannotWatch({ code: 'signInNeeded' });
  const list = body as { id: string; name: string }[];
  const found = list.filter(({ id, name }) => wanted === null || id === wanted || name === wanted);
  if (found.length !== 1)
    throw new CannotWatch({ code: 'whichProject', names: { items: list.map(({ name }) => name) } });
  const { project, cables } = (await server.ask(`/projects/${found[0]!.id}`)).body as {
    project: { units: Units };
    cables: Cable[];
  };
  return { ...found[0]!, units: project.units, cables };
}
