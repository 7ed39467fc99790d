import { Stopped, UnknownAnswer, Unreached, createApi, problemOf } from '@cordel/client';
import { takeEarly } from './early';
import { noteDatabase } from './restored';
import { proofOf } from './proofs';
import { personIdNow } from './session';
import { noteClock } from './clock';
import { noteBuild } from './updates';

const pathOf = ({ url }: Request): string => {
  const { pathname, search } = new URL(url);
  return `${pathname}${search}`;
};

const send = (request: Request): Promise<Response> =>
  (request.method === 'GET' ? takeEarly(pathOf(request)) : undefined) ?? fetch(request);

function noteHeaders(headers: Headers): void {
  noteBuild(headers);
  noteClock(headers);
  noteDatabase(headers);
}

/** The server that this page came from. */
export const api = createApi({
  fetch: send,
  personId: personIdNow,
  proofOf,
  onHeaders: noteHeaders,
});

/** The same as it is asked with an account that is signed in on this device. */
export const apiAs = (personId: string) =>
  createApi({ fetch: send, personId: () => personId, proofOf, onHeaders: noteHeaders });

/** A file on its way to the server. */
export interface Sending {
  /** Resolves with the id of what it brings, once the server has read it. */
  answer: Promise<{ id: string }>;
  stop(): void;
}

/** Sends a project's file as it is, however large; the browser reads it from where it lies. */
export function sendProjectFile(file: File, onSent: (bytes: number) => void): Sending {
  // Fetch does not tell how much has been sent.
  const request = new XMLHttpRequest();
  const answer = new Promise<{ id: string }>((resolve, reject) => {
    request.upload.onprogress = ({ loaded }) => onSent(loaded);
    request.onload = async () => {
      const response = new Response(request.responseText, { status: request.status });
      if (request.getResponseHeader('x-cordel-database') === null)
        reject(new UnknownAnswer({ code: 'otherServer' }));
      else if (response.ok) resolve((await response.json()) as { id: string });
      else reject(await problemOf(response));
    };
    request.onerror = () => reject(new Unreached({ code: 'brokenOff' }));
    request.onabort = () => reject(new Stopped({ code: 'stopped' }));
  });
  request.open('POST', '/api/documents');
  // The server works on it by itself: lines are cut that carry nothing for minutes (RFC 7240).
  request.setRequestHeader('prefer', 'respond-async');
  request.send(file);
  return { answer, stop: () => request.abort() };
}
