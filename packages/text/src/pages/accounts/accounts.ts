import { fill } from '../../fill.ts';
import { phrases } from '../../phrases.ts';
import { register } from '../../register.ts';

/** Texts of `apps/web/src/accounts`. */
export const accounts = phrases({
  cordel: 'Cordel',
  signIn: 'Sign in',
  signInByPasskey: 'Sign in by passkey',
  passkeys: 'Passkeys',
  passkeysSay:
    'A passkey signs you in by the lock of your own device: finger, face or its code. There is no password to be guessed.',
  noPasskeys: 'This browser takes no passkeys here: they need https.',
  passkeyLine: '{name}, since {day}',
  passkeyName: 'Name of this device',
  passkeyNameHint: 'For your list',
  addPasskey: 'Add a passkey',
  removePasskey: 'Remove it',
  email: 'E-mail',
  password: 'Password',
  newPassword: 'New password',
  currentPassword: 'Current password',
  passwordHint: 'Ten characters or more: three or four words are easy to keep.',
  name: 'Name, as you sign',
  noAccountYet: 'No account? Ask the owner of your project for an invitation: a link or a QR code.',
  forgotten: 'Password forgotten? The owner of the server gives you a link to set a new one.',
  waitingHere:
    '{count, plural, one {# entry is kept on this device. It is} other {# entries are kept on this device. They are}} sent once {people} {count, plural, one {signs} other {signs}} in.',
  whyLockedOut: 'Locked out.',
  lockedOut:
    'This device was locked out. What was recorded on it is kept: sign in and it is sent, marked as made before that.',
  whyOtherDevice: 'Signed out.',
  otherDevice:
    'The sign-in of this device turned up on another one, so it was ended. Sign in again, and change your password if you do not know why.',
  whyOtherPerson: 'Who is working?',
  otherPerson:
    'Another person is signed in on this device. Choose your name and enter your PIN, or sign in.',
  notSignedIn: 'Not signed in.',
  join: 'Join',
  joinProject: 'Join {project}',
  firstOwner: 'The owner’s account',
  firstOwnerSays:
    'You make the first account of this server: its owner. The owner invites others, and backs it up.',
  invitedAs: '{by} invites you as {role}.',
  invitedWithout: 'You are invited as {role}.',
  setPassword: 'Set a new password',
  setPasswordFor: 'A new password for {name}. You are signed out everywhere else.',
  joinAs: 'Join as {name}',
  joinAsOther: 'Join as somebody else',
  linkFails: 'This link does not work.',
  linkMissing:
    'The link is not whole: it ends with a # and letters after it. Open it again as you got it.',
  goOn: 'Go on',
  makeAccount: 'Make the account',
  haveAccount: 'I have an account',
  people: 'People',
  peopleSay: 'who may do what',
  yourRole: 'Your role here: {role}.',
  ownsServer: 'You are the owner of this server: you may do all.',
  openToAll:
    'Nobody signs in on this server: it is for trying, on this machine. Started with npm run serve, people sign in, have roles, and sign as themselves.',
  role: 'Role',
  roleOf: 'Role of {name}',
  takeOut: 'Take out of the project',
  takenOut: '{name} is out of the project. What they recorded stays.',
  invite: 'Invite somebody',
  inviteAs: 'As',
  inviteNote: 'For whom',
  inviteNoteHint: 'A name for your list',
  makeLink: 'Make a link',
  linkSays: 'It works once, until {day}. Let it be scanned, or send it; it is shown this once.',
  copyLink: 'Copy the link',
  copied: 'Copied.',
  qrOfLink: 'QR code of the invitation',
  openLinks: 'Links not used yet',
  openLink: '{role}{note, select, none {} other {, {note}}}: made by {by}, until {day}',
  takeBack: 'Take it back',
  trail: 'What was done',
  trailMore: 'Show older',
  trailEmpty: 'Nothing yet.',
  you: 'Your account',
  youSay: 'PIN, password, devices',
  switchPerson: 'Who works now?',
  hereToo: 'Signed in on this device',
  pin: 'PIN',
  pinOf: 'PIN of {name}',
  pinHint: 'Four to eight digits',
  takeTurn: 'Go on as {name}',
  noPin: '{name} has set no PIN: they sign in with their password.',
  signInAnother: 'Sign in another person',
  yourPin: 'Your PIN on shared phones',
  pinSays:
    'A PIN lets you take turns with others who are signed in on the same phone, without signal too.',
  setPin: 'Set the PIN',
  removePin: 'Remove the PIN',
  pinSet: 'The PIN is set.',
  pinRemoved: 'The PIN is removed.',
  changePassword: 'Change the password',
  passwordChanged: 'The password is changed. You are signed out everywhere else.',
  devices: 'Where you are signed in',
  deviceNow: 'this one',
  deviceLine: '{device, select, phone {Phone} other {Computer}}, since {day}',
  endIt: 'Sign it out',
  lockOut: 'It is lost: lock it out',
  lockedOutNow:
    'It is locked out: everybody is signed out of it. What was recorded on it and comes later is marked.',
  signOut: 'Sign out',
  signOutWaiting:
    '{count, plural, one {# entry is not sent: it waits} other {# entries are not sent: they wait}} on this device until you sign in here again.',
  signOutAnyway: 'Sign out all the same',
  server: 'This server',
  serverSays: 'Everybody, devices, what was done',
  serverOwner: 'owner of the server',
  passwordLink: 'Link for a new password',
  passwordLinkOf: 'For {name}. It works once, for a day, and is shown this once.',
  noDevices: 'signed in nowhere',
  signedInAs: 'Signed in as {name}',
  confirmHint: 'To sign as yourself',
  sendWaiting: 'Send what waits for you',
  sendWaitingSays:
    'What you signed without a connection is sent once you enter your PIN or password.',
  wrongPinHere: 'The PIN is wrong.',
});

/** Roles as people read them. */
export const roleText = phrases({
  owner: 'owner',
  lead: 'lead',
  technician: 'technician',
  inspector: 'inspector',
  reader: 'reader',
});

/** What each role may, for whoever gives it. */
export const roleSays = phrases({
  owner: 'Does all, gives roles, and invites everybody.',
  lead: 'Plans, sets limits, accepts what is over a limit, signs as the lead, invites crews.',
  technician: 'Splices, records, opens and closes, signs as the technician.',
  inspector: 'Adds readings, inspections, traces and photos.',
  reader: 'Sees everything, changes nothing.',
});

const EVENTS: Readonly<Record<string, string>> = {
  signedIn:
    '{person} signed in {way, select, password {by password} pin {by PIN} passkey {by passkey} other {by a link}}',
  signInFailed: 'A sign-in as {email} failed',
  signedOut: '{person} signed out',
  passwordChanged: '{person} has a new password',
  sessionEnded: '{person} signed out one of their devices',
  deviceLockedOut: '{person} locked out a {name}',
  invited: '{person} invited a {role}{note, select, none {} other {: {note}}}',
  invitationTakenBack: '{person} took an invitation back{note, select, none {} other {: {note}}}',
  joined: '{name} joined as {role}',
  roleChanged: '{person} made {name} {to}, who was {from}',
  roleTaken: '{person} took {name}, who was {from}, out of the project',
  projectChanged: '{person} changed {parts}',
  projectAdded: '{person} added the project {name}',
  projectImported: '{person} imported the project {name}',
  planSaved:
    '{person} saved the plan of {closure}: {added, plural, one {# splice} other {# splices}} added, {moved} moved, {dropped} taken out, {retired} made ones removed',
  planSavedBefore: '{person} saved a plan',
  listImported:
    '{person} imported a splice list: {splices, plural, one {# splice} other {# splices}}, {closures, plural, one {# closure} other {# closures}}, {cables, plural, one {# cable} other {# cables}} added',
  listImportedBefore: '{person} imported a splice list',
  exported: '{person} took a copy: {what}',
  backedUp: 'A backup was made',
};
register(EVENTS);

/** Parts of a project as people read them. */
const PARTS: Readonly<Record<string, string>> = {
  limits: 'limits',
  practice: 'practice',
  budget: 'power budget',
  units: 'units',
  name: 'name',
  route: 'route',
  schemeId: 'color scheme',
  trayCapacity: 'tray capacity',
  practiceOnly: 'practice only',
};

/** Copies that are taken, as people read them. */
const COPIES: Readonly<Record<string, string>> = {
  package: 'the handover package',
  document: 'the project file',
  zip: 'the project file with its photos and traces',
  splices: 'the table of splices',
  evidence: 'the table of entries',
};

interface AuditEvent {
  code: string;
  person: string | null;
  parameters: Readonly<Record<string, unknown>>;
}

/** What the audit trail tells of, in words; its code where this page does not know it. */
export function auditText({ code, person, parameters }: AuditEvent): string {
  // Lines from before their counts were kept have less to tell.
  const isCounted = 'added' in parameters || 'splices' in parameters;
  const text = (isCounted ? undefined : EVENTS[`${code}Before`]) ?? EVENTS[code];
  if (text === undefined) return code;
  const { parts, note, what, ...others } = parameters;
  const names = Array.isArray(parts)
    ? parts.map((part) => PARTS[String(part)]).filter(Boolean)
    : [];
  return fill(text, {
    person: person ?? '?',
    parts: names.join(', ') || 'settings',
    what: COPIES[String(what)] ?? String(what),
    note: typeof note === 'string' && note !== '' ? note : 'none',
    ...(others as Record<string, string>),
  });
}
