import type { ConnectionMessage, Told } from '@cordel/core';
import { catalog } from '../catalog.ts';

const messages = catalog<ConnectionMessage>()({
  rightMissing:
    'Only {right, select, inspect {an inspector, technician, lead or owner} record {a technician, lead or owner} decide {a lead or owner} other {an owner}} can do this. Nothing was changed.',
  unreached: 'The server does not answer. What you record is kept on this device and sent later.',
  noAnswer: 'The server does not answer ({status}). It will be tried again.',
  serverFailed: 'The server failed over it ({status}).',
  refused: 'The server refused ({status}).',
  noRoom: 'The server has no room.',
  otherServer:
    'What answers here is not this server: a network may ask you to sign in first. What you record is kept on this device.',
  brokenOff:
    'The line broke before the server answered. What had arrived whole is listed here; if it is not, send it again.',
  stopped: 'Stopped; nothing of it is kept.',
  fileMissing: 'Its file is no longer on this device: choose it again.',
  outdatedWrite: 'An older version of this page made it: {place} is not what is sent today.',
});

/** Why something failed, in words. What the server said is words already. */
export const toldText = (told: Told): string => (typeof told === 'string' ? told : messages(told));

/** Why a request failed, in words. */
export const errorText = (error: Error & { told?: Told }): string =>
  toldText(error.told ?? error.message);
