import type { z } from 'zod';
import type { Api } from '../api/api.ts';
import type { Overlay } from '../snapshot/overlay.ts';

/** One kind of write: what it takes, how it is sent, and how it shows before the server has it. */
export interface Command<Input = unknown, Answer = unknown> {
  /** As it is stored on the device: it never changes. */
  readonly name: string;
  /** What it takes. What an older page stored is checked against it before it is sent. */
  readonly schema: z.ZodType<Input>;
  /** The request. Sent twice, it does what it does once. */
  send(api: Api, input: Input): Promise<Answer>;
  /** Lays it over what is shown. None where it shows only once the server has worked it out. */
  apply?(rows: Overlay, input: Input): void;
}

/** Declares a command; types follow from its schema and its request. */
export const command = <Input, Answer>(declared: Command<Input, Answer>) => declared;
