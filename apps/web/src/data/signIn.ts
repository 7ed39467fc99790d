import { Unreached, answerOf, createApi } from '@cordel/client';
import { api } from './api';
import { forgetAnswers, outbox, queryClient, showAnew } from './client';
import { isPin, keepPin } from './pin';
import { forgetUnseenPin, keepProof, keepUnseenPin, unseenPinOf } from './proofs';
import {
  type Session,
  heldAccounts,
  heldSession,
  keepSession,
  onAwaited,
  onSignedOut,
  personIdNow,
  sessionNow,
} from './session';

/** Whether this browser knows passkeys, which need a page that came over TLS. */
export const hasPasskeys = (): boolean =>
  typeof window !== 'undefined' && window.isSecureContext && 'PublicKeyCredential' in window;

/** Asked as whoever the browser's cookie names, and nobody else. */
const plainApi = createApi();

/** Takes a session over: what waited for its person is sent, and what others saw is asked for anew. */
function take({ proof, ...session }: Session): void {
  const before = sessionNow();
  if (session.person && proof !== undefined) keepProof(session.person.id, proof);
  const known = heldAccounts();
  keepSession(session);
  if (session.person) void outbox.signedIn();
  if (!session.accounts) return;
  const isOther = before !== null && before.person?.id !== session.person?.id;
  if (isOther) showAnew();
  else if (JSON.stringify(before?.roles) !== JSON.stringify(session.roles))
    void queryClient.invalidateQueries();
  const gone = accountsGone(known, before, session);
  if (gone.size > 0) void forgetAnswers((account) => gone.has(account));
}

/** Accounts of which the device keeps nothing any more: their sessions ended, or they left a project. */
function accountsGone(
  known: readonly string[],
  before: Session | null,
  { person, why, here, roles }: Session,
): ReadonlySet<string> {
  // Somebody else is at the device by their PIN: whoever was there comes back by theirs.
  if (person === null && why === 'otherPerson') return new Set();
  const gone = known.filter((id) => !here.some((one) => one.id === id));
  const hasLeft =
    person !== null &&
    before?.person?.id === person.id &&
    Object.keys(before.roles).some((projectId) => !(projectId in roles));
  return new Set(hasLeft ? [...gone, person.id] : gone);
}

/** Asks the server who is signed in. Without a connection it stays as it was. */
export async function renewSession(): Promise<void> {
  const session = await answerOf(api.GET('/api/session'));
  if (session.why !== 'otherPerson') return take(session);
  // Whoever is at the device took their turn without a connection: the server sees their PIN now.
  const personId = personIdNow();
  const pin = personId === null ? undefined : unseenPinOf(personId);
  if (personId !== null && pin !== undefined) return showPin(personId, pin);
  const other = await answerOf(plainApi.GET('/api/session'));
  // Nobody is taken for another without a word: they say who they are.
  take({ ...other, person: null, roles: {}, why: other.person ? 'otherPerson' : other.why });
}

/** Shows the server a PIN that was typed without a connection. One that it refuses is forgotten. */
async function showPin(personId: string, pin: string): Promise<void> {
  const session = await answerOf(
    plainApi.POST('/api/session/person', { body: { personId, pin } }),
  ).catch((error: unknown) => {
    if (!(error instanceof Unreached)) forgetUnseenPin(personId);
    throw error;
  });
  take(session);
  // What they signed meanwhile was signed with this PIN.
  await confirmSelf({ pin });
  forgetUnseenPin(personId);
}

let renewing: Promise<void> | null = null;

onSignedOut(() => {
  renewing ??= renewSession()
    .catch(() => undefined)
    .finally(() => {
      renewing = null;
    });
});

export async function signIn(email: string, password: string): Promise<void> {
  take(await answerOf(plainApi.POST('/api/session', { body: { email, password } })));
}

/** @throws NotAllowedError of the browser where the person does not go on */
export async function signInByPasskey(): Promise<void> {
  const { startAuthentication } = await import('@simplewebauthn/browser');
  const optionsJSON = await answerOf(plainApi.POST('/api/session/passkey/begin'));
  const response = await startAuthentication({ optionsJSON: optionsJSON as never });
  const body = { response: response as unknown as Record<string, unknown> };
  take(await answerOf(plainApi.POST('/api/session/passkey', { body })));
}

/** @throws NotAllowedError of the browser where the person does not go on */
export async function addPasskey(name: string): Promise<void> {
  const { startRegistration } = await import('@simplewebauthn/browser');
  const optionsJSON = await answerOf(api.POST('/api/session/passkeys/begin'));
  const response = await startRegistration({ optionsJSON: optionsJSON as never });
  const body = { name, response: response as unknown as Record<string, unknown> };
  await answerOf(api.POST('/api/session/passkeys', { body }));
}

export async function join(
  secret: string,
  person: { name: string; email: string; password: string } | null,
  password: string | null,
): Promise<void> {
  const body = { secret, person, password };
  const asked = person === null && password === null ? api : plainApi;
  take(await answerOf(asked.POST('/api/invitations/accept', { body })));
}

/** Ends the session of whoever works on this device. What is not sent stays, and waits for them. */
export async function signOut(): Promise<void> {
  await answerOf(api.DELETE('/api/session'));
  take(await answerOf(plainApi.GET('/api/session')));
}

/**
 * Lets another person who is signed in on this device take their turn. Without a connection the device itself knows the PIN.
 * @returns false where the PIN is wrong, and there is no server to say so
 */
export async function takeTurn(personId: string, pin: string): Promise<boolean> {
  try {
    const session = await answerOf(
      plainApi.POST('/api/session/person', { body: { personId, pin } }),
    );
    await keepPin(personId, pin);
    take(session);
    return true;
  } catch (error) {
    const session = heldSession(personId);
    if (!(error instanceof Unreached) || !session) throw error;
    const isRight = await isPin(personId, pin);
    if (isRight === null) throw error;
    if (isRight) {
      keepUnseenPin(personId, pin);
      take(session);
    }
    return isRight;
  }
}

/**
 * Shows that whoever signs is the person who works here. Without a connection the device itself knows the PIN, and the
 * server sees it later.
 * @returns false where the PIN is wrong, and there is no server to say so
 */
export async function confirmSelf(by: { pin: string } | { password: string }): Promise<boolean> {
  const personId = personIdNow();
  try {
    await answerOf(api.POST('/api/session/confirm', { body: by }));
    void outbox.signedIn();
    return true;
  } catch (error) {
    if (!(error instanceof Unreached) || personId === null || !('pin' in by)) throw error;
    const isRight = await isPin(personId, by.pin);
    if (isRight === null) throw error;
    if (isRight) keepUnseenPin(personId, by.pin);
    return isRight;
  }
}

/** Sends what waits for whoever works here, where they typed their PIN while there was no connection. */
onAwaited((personId) => {
  const pin = unseenPinOf(personId);
  if (personId !== personIdNow() || pin === undefined) return;
  renewing ??= showPin(personId, pin)
    .catch(() => undefined)
    .finally(() => {
      renewing = null;
    });
});

export async function setPin(personId: string, pin: string | null): Promise<void> {
  await answerOf(api.PUT('/api/session/pin', { body: { pin } }));
  await keepPin(personId, pin);
  await renewSession();
}
