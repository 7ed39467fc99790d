import type { Told } from '@cordel/core';

/** A place in what was sent, and what would be right there. */
export interface ProblemPlace {
  place: string;
  detail: string;
}

/** Why a request failed: what the server said, or a message that the page puts into words. */
class RequestError extends Error {
  readonly told: Told;

  constructor(told: Told) {
    super(typeof told === 'string' ? told : told.code);
    this.told = told;
  }
}

/** The server understood a request and refused it, in its own words: the same one is refused again. */
export class Refused extends RequestError {
  override name = 'Refused';
  readonly status: number;
  readonly errors: readonly ProblemPlace[];
  /** What the server says of it as data. */
  readonly code: string | undefined;

  constructor(
    status: number,
    told: Told,
    { errors = [], code }: Pick<ProblemDocument, 'errors' | 'code'> = {},
  ) {
    super(told);
    this.status = status;
    this.errors = errors;
    this.code = code;
  }
}

/** Somebody else changed the same since it was read (RFC 9110, section 15.5.13). */
const CHANGED_MEANWHILE = 412;

/** Whether a write was refused for what others did meanwhile: sent with the record as it is now it goes through. */
export const isConflict = ({ status }: Refused): boolean => status === CHANGED_MEANWHILE;

/** Nobody, or not the person who made it, is signed in: the same request goes through once they are. */
export class SignedOut extends RequestError {
  override name = 'SignedOut';
}

/** The server failed over a request: the same one may fail again. */
export class ServerFailed extends RequestError {
  override name = 'ServerFailed';
  readonly status: number;

  constructor(status: number) {
    super({ code: 'serverFailed', status });
    this.status = status;
  }
}

/** The server has no room: the same request goes through once it has. */
export class NoRoom extends RequestError {
  override name = 'NoRoom';
}

/** The server could not be reached; the same request may go through later. */
export class Unreached extends RequestError {
  override name = 'Unreached';
}

/** Somebody stopped it. */
export class Stopped extends RequestError {
  override name = 'Stopped';
}

/** What answered is not the API, or not the one that this page knows. */
export class UnknownAnswer extends Unreached {
  override name = 'UnknownAnswer';
}

/**
 * Whether the server itself answered. A page of a hotspot and a proxy on the way may answer anything with any status: it
 * settles nothing.
 */
export const isFromServer = (headers: Headers): boolean => headers.has('x-cordel-database');

/** What a proxy says of a server that does not answer. */
const NO_SERVER = [502, 503, 504];
/** What a server says whose disk is full (RFC 4918, section 11.5). */
const NO_ROOM = 507;

/** What the server says of a request that nobody has signed in for. */
const UNSIGNED = ['signedOut', 'lockedOut', 'otherDevice', 'otherPerson', 'notConfirmed'];

/** A problem document (RFC 9457), as far as it can be read. */
interface ProblemDocument {
  detail?: string;
  code?: string;
  errors?: ProblemPlace[];
}

/**
 * What an answer that is no success means: the one place that tells a refusal, which is final, from
 * what may go through later.
 */
export async function problemOf(response: Response): Promise<Error> {
  const { status } = response;
  if (NO_SERVER.includes(status)) return new Unreached({ code: 'noAnswer', status });
  if (status >= 500 && status !== NO_ROOM) return new ServerFailed(status);
  const problem = (await response.json().catch(() => null)) as ProblemDocument | null;
  if (status === NO_ROOM) return new NoRoom(problem?.detail ?? { code: 'noRoom' });
  if (status === 401 && UNSIGNED.includes(problem?.code ?? ''))
    return new SignedOut(problem?.detail ?? { code: 'refused', status });
  return new Refused(status, problem?.detail ?? { code: 'refused', status }, problem ?? {});
}

/** The network did not carry a request. */
export const unreached = (): Unreached => new Unreached({ code: 'unreached' });
