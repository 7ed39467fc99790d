import type { Right } from './role.ts';

/** What became of a request where the server itself said nothing. */
export type ConnectionMessage =
  | { code: 'unreached' }
  | { code: 'noAnswer' | 'serverFailed' | 'refused'; status: number }
  | { code: 'noRoom' }
  | { code: 'otherServer' }
  | { code: 'brokenOff' }
  | { code: 'stopped' }
  | { code: 'fileMissing' }
  | { code: 'outdatedWrite'; place: string }
  | { code: 'rightMissing'; right: Right };

/** Why something failed: what the server said, or a message. */
export type Told = string | ConnectionMessage;
