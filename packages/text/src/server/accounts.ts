import { problems } from '../problems.ts';

/** What the server refuses of accounts: `apps/server/src/accounts`. */
export const accountsProblems = problems({
  signedOut: 'Sign in first. What you recorded is kept on this device until it is sent.',
  lockedOut:
    'This device was locked out. What is recorded on it is kept: sign in again and it is sent, marked as made before that.',
  otherDevice:
    'This sign-in belongs to another device, so it was ended. Sign in again, and change your password if you do not know why.',
  otherPerson:
    'This was recorded by somebody who is not signed in on this device any more. It is kept: they sign in here and it is sent.',
  notConfirmed: 'Enter your PIN or password again to sign.',
  noAccounts: 'Nobody signs in on this server: it was started without accounts.',
  noMember: 'You are not in this project, or not any more. Ask its owner to invite you.',
  roleLacks:
    'As {role, select, owner {the owner} lead {a lead} technician {a technician} inspector {an inspector} other {a reader}} of this project you may not do this. It needs {right, select, inspect {an inspector, a technician or a lead} record {a technician or a lead} decide {a lead} other {the owner}}.',
  rightNowhere:
    'You may not do this. It needs {right, select, record {a technician or a lead} decide {a lead} other {the owner}} of a project.',
  serverOwnerOnly: 'Only the owner of the server may do this.',
  wrongPassword: 'E-mail or password is wrong.',
  wrongOwnPassword: 'The password is wrong.',
  wrongPin: 'The PIN is wrong.',
  noPin: 'This person has no PIN. They sign in with their password, and may set one.',
  notHere: 'This person is not signed in on this device. They sign in with their password first.',
  manySignIn: 'Many people are signing in right now. Try again in a few seconds.',
  tooOften:
    'Too many tries. Wait {minutes, plural, one {# minute} other {# minutes}}, then try again.',
  invitationUnknown: 'This link is none of this server: ask for a new one.',
  invitationUsed:
    'This link was used already: it works once. If it was not you, tell whoever invited you. Otherwise sign in.',
  invitationExpired: 'This link ran out on {day}. Ask for a new one.',
  invitationRevoked:
    'This link does not work any more: it was taken back, or whoever made it may not invite now. Ask for a new one.',
  emailTaken: 'Somebody with this e-mail is here already: sign in, then open the link again.',
  nameTaken:
    'Somebody with this name is here already: add an initial. What is signed has to name one person.',
  lastOwner: 'A project needs an owner: make somebody else the owner first.',
  otherImporter: 'Somebody else imports this project.',
  deviceUnknown: 'Nobody of yours is signed in on that device.',
  noSuchMember: 'This person is not in the project.',
  ownerInvites:
    'A lead invites technicians, inspectors and readers. Ask the owner to invite leads and owners.',
  personUnknown: 'There is no such person.',
  passwordMissing: 'Choose a new password.',
  wrongOrigin: 'This came from another address than the server’s own: open Cordel at {origin}.',
  notJsonType: 'Send JSON, as application/json.',
  signInAnew:
    'You signed in here a while ago: sign in with your password again, then add the passkey.',
  passkeyFailed: 'The passkey was not accepted. Try again, or sign in with your password.',
});
