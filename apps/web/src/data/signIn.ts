import { Unreached, answerOf, createApi } from '@cordel/client';
import { api } from './api';
import { forgetAnswers, outbox, queryClient } from './client';
import { isPin, keepPin } from './pin';
import { type Session, heldSession, keepSession, onSignedOut, sessionNow } from './session';

/** Whether this browser knows passkeys, which need a page that came over TLS. */
export const hasPasskeys = (): boolean =>
  typeof window !== 'undefined' && window.isSecureContext && 'PublicKeyCredential' in window;

/** Asked as whoever the browser's cookie names, and nobody else. */
const plainApi = createApi();

/** Takes a session over: what waited for its person is sent, and what others saw is asked for anew. */
function take(session: Session): void {
  const before = sessionNow();
  keepSession(session);
  if (session.person) void outbox.signedIn();
  const isOther = before !== null && before.person?.id !== session.person?.id;
  if (isOther || JSON.stringify(before?.roles) !== JSON.stringify(session.roles))
    void queryClient.invalidateQueries();
}

/** Asks the server who is signed in. Without a connection it stays as it was. */
export async function renewSession(): Promise<void> {
  const session = await answerOf(api.GET('/api/session'));
  take(session.why === 'otherPerson' ? await answerOf(plainApi.GET('/api/session')) : session);
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
  const others = (sessionNow()?.here ?? []).length > 1;
  // What is shown is for people of the project; those who stay signed in here see it anew.
  if (!others) await forgetAnswers();
  take(await answerOf(plainApi.GET('/api/session')));
}

/**
 * Lets another person who is signed in on this device take their turn. Without a connection the device itself knows the PIN.
 * @returns false where the PIN is wrong, and there is no server to say so
 */
export async function takeTurn(personId: string, pin: string): Promise<boolean> {
  try {
    const session = await answerOf(api.POST('/api/session/person', { body: { personId, pin } }));
    await keepPin(personId, pin);
    take(session);
    return true;
  } catch (error) {
    const session = heldSession(personId);
    if (!(error instanceof Unreached) || !session) throw error;
    const isRight = await isPin(personId, pin);
    if (isRight === null) throw error;
    if (isRight) take(session);
    return isRight;
  }
}

export async function setPin(personId: string, pin: string | null): Promise<void> {
  await answerOf(api.PUT('/api/session/pin', { body: { pin } }));
  await keepPin(personId, pin);
  await renewSession();
}
