import type { z } from 'zod';
import type { Right, Upload } from '@cordel/core';
import type { Api } from '../api/api.ts';
import type { Overlay } from '../snapshot/overlay.ts';

/** How a file goes with its record: within it, or by the name under which it was sent in pieces. */
type SentFile = { bytes: string } | { file: Upload };

/** One kind of write: what it takes, how it is sent, and how it shows before the server has it. */
export interface Command<Input = unknown, Answer = unknown> {
  /** As it is stored on the device: it never changes. */
  readonly name: string;
  /** What it takes. What an older page stored is checked against it before it is sent. */
  readonly schema: z.ZodType<Input>;
  /** What a person must be allowed in the project to make it; `anywhere`: in any project. */
  needs(this: void, input: Input): { right: Right; anywhere?: boolean };
  /** It adds to the record and carries no file: kept for a server that comes back from an older backup. */
  readonly isRecord?: boolean;
  /** Several that wait one behind the other as one, all of it or nothing; null where it is too much at once. */
  merge?(this: void, inputs: readonly Input[]): Input | null;
  /** Brings what an earlier page stored to what the schema takes; without it, it is taken as it is. */
  upgrade?(this: void, input: unknown): unknown;
  /**
   * The request. Sent twice, it does what it does once.
   * @param sentAs how a file goes along that was given with the input
   */
  send(api: Api, input: Input, sentAs: (file: Upload) => SentFile): Promise<Answer>;
  /** Lays it over what is shown. None where it shows only once the server has worked it out. */
  apply?(rows: Overlay, input: Input): void;
}

/** Declares a command; types follow from its schema and its request. */
export const command = <Input, Answer>(declared: Command<Input, Answer>) => declared;
