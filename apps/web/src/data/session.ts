import type { paths } from '@cordel/client/paths';
import { type Right, may } from '@cordel/core';
import { keep, keptNow, readKept, usePersisted } from './storage';

/** Who is signed in on this device, as the server said last. */
export type Session = paths['/api/session']['get']['responses'][200]['content']['application/json'];

/** An account that works on this device. */
export type Account = NonNullable<Session['person']>;

const KEY = 'cordel.session';

let last = { text: '', session: null as Session | null };

/** The same text is the same session. */
function sessionOf(text: string): Session | null {
  if (text !== last.text) last = { text, session: readKept<Session | null>(text, null) };
  return last.session;
}

/** The session as it was last told; null before the first answer. Without a connection it stays as it was. */
export const sessionNow = (): Session | null => sessionOf(keptNow(KEY) ?? '');

export function useSession(): Session | null {
  const [text] = usePersisted(KEY, '');
  return sessionOf(text);
}

/** Sessions of the people who take turns on this device, by their accounts: one is shown without a connection too. */
const OTHERS = 'cordel.sessions';

const heldSessions = (): Record<string, Session> => readKept(keptNow(OTHERS), {});

export const heldSession = (personId: string): Session | null => heldSessions()[personId] ?? null;

/** Accounts that work or have worked on this device since all were signed out. */
export const heldAccounts = (): string[] => Object.keys(heldSessions());

export function keepSession(session: Session): void {
  keep(KEY, JSON.stringify(session));
  const { person, here } = session;
  // Who took their turn without a connection comes back to it by their PIN.
  if (!person) return session.why === 'otherPerson' ? undefined : keep(OTHERS, null);
  const known = Object.entries(heldSessions()).filter(([id]) => here.some((one) => one.id === id));
  keep(OTHERS, JSON.stringify({ ...Object.fromEntries(known), [person.id]: session }));
}

let whenSignedOut = (): void => undefined;

/** Sets what is done when the server says that nobody is signed in. */
export const onSignedOut = (work: () => void): void => {
  whenSignedOut = work;
};

export const tellSignedOut = (): void => whenSignedOut();

let whenAwaited = (_personId: string): void => undefined;

/** Sets what is done when what a person made waits for them to show who they are. */
export const onAwaited = (work: (personId: string) => void): void => {
  whenAwaited = work;
};

export const tellAwaited = (personId: string): void => whenAwaited(personId);

/** The account of whoever works on this device; null where nobody signs in. */
export const personIdNow = (): string | null => sessionNow()?.person?.id ?? null;

const NAME = 'cordel.person';

/** Whoever works on this device, as evidence is signed: by account where people sign in, or by the name typed here. */
export function usePerson(): [name: string, set: (name: string) => void, isSignedIn: boolean] {
  const session = useSession();
  const [typed, setTyped] = usePersisted(NAME, '');
  if (session?.accounts) return [session.person?.name ?? '', () => undefined, true];
  return [typed, setTyped, false];
}

export function personNow(): string {
  const session = sessionNow();
  return (session?.accounts ? session.person?.name : keptNow(NAME)) ?? '';
}

/**
 * Whether whoever works on this device has a right in the project that is shown; `anywhere`: in any project. Of a project
 * that they have no role in the server knows more.
 */
export function mayNow(right: Right, anywhere: boolean): boolean {
  const session = sessionNow();
  if (!session?.accounts || session.person?.ownsServer) return true;
  const projectId = /^\/p\/([^/]+)/.exec(window.location.pathname)?.[1] ?? '';
  const own = anywhere ? undefined : session.roles[projectId];
  const roles = own === undefined ? Object.values(session.roles) : [own];
  return roles.length === 0 || roles.some((role) => role !== undefined && may(role, right));
}

/** Whether whoever works on this device has a right in a project; all have all where nobody signs in. */
export function useMay(projectId: string, right: Right): boolean {
  const session = useSession();
  if (!session?.accounts) return true;
  const role = session.roles[projectId];
  return session.person?.ownsServer === true || (role !== undefined && may(role, right));
}
