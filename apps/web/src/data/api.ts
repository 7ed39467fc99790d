import { takeEarly } from './early';
import { noteBuild } from './updates';

/** What the server refused, in its own words. */
export class Refused extends Error {
  override name = 'Refused';
  readonly status: number;
  readonly errors: { place: string; detail: string }[];

  constructor(status: number, message: string, errors: { place: string; detail: string }[] = []) {
    super(message);
    this.status = status;
    this.errors = errors;
  }
}

/** The server failed over a request: the same one may fail again. */
export class ServerFailed extends Error {
  override name = 'ServerFailed';
  readonly status: number;

  constructor(status: number) {
    super(`The server failed over it (${status}).`);
    this.status = status;
  }
}

/** The server has no room: the same request goes through once it has. */
export class NoRoom extends Error {
  override name = 'NoRoom';
}

/** What a proxy says of a server that does not answer. */
const NO_SERVER = [502, 503, 504];
/** What a server says whose disk is full (RFC 4918, section 11.5). */
const NO_ROOM = 507;

/** Somebody stopped it. */
class Stopped extends Error {
  override name = 'Stopped';
}

/** The server could not be reached; the same request may go through later. */
export class Unreached extends Error {
  override name = 'Unreached';
}

async function request(
  path: string,
  ask: () => Promise<Response> = () => takeEarly(path) ?? fetch(path),
): Promise<unknown> {
  let response: Response;
  try {
    response = await ask();
  } catch {
    throw new Unreached(
      'The server does not answer. What you record is kept on this device and sent later.',
    );
  }
  noteBuild(response.headers);
  if (response.ok) return response.json();
  if (NO_SERVER.includes(response.status))
    throw new Unreached(`The server does not answer (${response.status}). It will be tried again.`);
  if (response.status >= 500 && response.status !== NO_ROOM)
    throw new ServerFailed(response.status);
  const problem = (await response.json().catch(() => null)) as {
    detail?: string;
    errors?: { place: string; detail: string }[];
  } | null;
  if (response.status === NO_ROOM) throw new NoRoom(problem?.detail ?? 'The server has no room.');
  throw new Refused(
    response.status,
    problem?.detail ?? `The server refused (${response.status}).`,
    problem?.errors,
  );
}

/** Reads a path of the API. Row types are core's own. */
export const read = <Answer>(path: string): Promise<Answer> => request(path) as Promise<Answer>;

/** A file on its way to the server. */
export interface Sending {
  /** Resolves with the answer, once the server has read it. */
  answer: Promise<unknown>;
  stop(): void;
}

/** Sends a file as it is, however large; the browser reads it from where it lies. */
export function sendFile(path: string, file: File, onSent: (bytes: number) => void): Sending {
  // Fetch does not tell how much has been sent.
  const way = new XMLHttpRequest();
  const answer = new Promise((resolve, reject) => {
    way.upload.onprogress = ({ loaded }) => onSent(loaded);
    way.onload = () => {
      const { status } = way;
      request(path, () => Promise.resolve(new Response(way.responseText, { status }))).then(
        resolve,
        reject,
      );
    };
    way.onerror = () =>
      reject(
        new Unreached(
          'The line broke before the server answered. What had arrived whole is listed here; if it is not, send it again.',
        ),
      );
    way.onabort = () => reject(new Stopped('Stopped; nothing of it is kept.'));
  });
  way.open('POST', path);
  // The server works on it by itself: lines are cut that carry nothing for minutes (RFC 7240).
  way.setRequestHeader('prefer', 'respond-async');
  way.send(file);
  return { answer, stop: () => way.abort() };
}

/** Sends a write. Only the outbox does, and keys for what is the server's own: the stand-in, and imports. */
export const send = (
  method: 'PUT' | 'POST' | 'DELETE',
  path: string,
  body: unknown,
): Promise<unknown> =>
  request(path, () =>
    fetch(path, {
      method,
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    }),
  );
