import createClient from 'openapi-fetch';
import type { paths } from './paths.ts';
import { UnknownAnswer, isFromServer, problemOf, unreached } from './problems.ts';

export interface ApiOptions {
  /** Where the server is, without a slash at its end. Default: where the page came from. */
  origin?: string;
  /** Sends requests; by default the platform's own. */
  fetch?: (request: Request) => Promise<Response>;
  /** The account that what is sent was made with, where people sign in. */
  personId?: () => string | null;
  /** What shows the server that this account was at the device, where another is by now. */
  proofOf?: (personId: string) => string | undefined;
  /** Told the headers of every answer. */
  onHeaders?: (headers: Headers) => void;
}

/**
 * The typed client of the server's API. What is no success rejects: see {@link problemOf}; a request that
 * did not arrive rejects with `Unreached`, as does one that something else answered in the server's place.
 */
export function createApi({ origin, fetch: send, personId, proofOf, onHeaders }: ApiOptions = {}) {
  const client = createClient<paths>({
    ...(origin === undefined ? {} : { baseUrl: origin }),
    fetch: (request) => (send ?? globalThis.fetch)(request),
  });
  client.use({
    onRequest: ({ request }) => {
      const id = personId?.() ?? null;
      if (id !== null) {
        request.headers.set('x-cordel-person', id);
        const proof = proofOf?.(id);
        if (proof !== undefined) request.headers.set('x-cordel-proof', proof);
      }
      // A device whose clock is wrong is found out by it.
      request.headers.set('x-cordel-clock', new Date().toISOString());
    },
    onError: () => unreached(),
    onResponse: async ({ response }) => {
      if (!isFromServer(response.headers)) throw unknownAnswer();
      onHeaders?.(response.headers);
      if (!response.ok) throw await problemOf(response);
    },
  });
  return client;
}

export type Api = ReturnType<typeof createApi>;

/**
 * What a request was answered with.
 * @throws UnknownAnswer where it is not what the API answers: something stands between, or is older
 */
export async function answerOf<Data>(asked: Promise<{ data?: Data }>): Promise<Data> {
  const { data } = await asked.catch((error: unknown) => {
    // What is not JSON: a proxy's page say.
    throw error instanceof SyntaxError ? unknownAnswer() : error;
  });
  if (data === undefined) throw unknownAnswer();
  return data;
}

const unknownAnswer = () => new UnknownAnswer({ code: 'otherServer' });
