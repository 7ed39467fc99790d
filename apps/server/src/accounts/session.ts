import { z } from '@hono/zod-openapi';
import { roleSchema } from '@cordel/core';
import { eq } from 'drizzle-orm';
import type { Context } from 'hono';
import { people } from '../db/schema.ts';
import type { Env } from '../http/router.ts';
import { peopleHere } from './signIn.ts';

export const personSchema = z.object({ id: z.string(), name: z.string() });

export const sessionSchema = z.object({
  /** Whether people sign in on this server at all. */
  accounts: z.boolean(),
  person: personSchema.extend({ email: z.string(), ownsServer: z.boolean() }).nullable(),
  /** Why nobody is signed in, where nobody is. */
  why: z.enum(['signedOut', 'lockedOut', 'otherDevice', 'otherPerson']).nullable(),
  /** People who are signed in on this device, and whether a PIN lets them take their turn. */
  here: z.array(personSchema.extend({ hasPin: z.boolean() })),
  /** What the person is in projects, by their ids. */
  roles: z.record(z.string(), roleSchema),
  /** Told once, to whoever has just signed in: with it what they made is sent while another is at the device. */
  proof: z.string().optional(),
});

export type SessionAnswer = z.infer<typeof sessionSchema>;

/**
 * Who is signed in on the device that a request is from.
 * @param hasAccounts whether people sign in on this server
 * @param proof of whoever has just signed in
 */
export async function sessionOf(
  c: Context<Env>,
  hasAccounts: boolean,
  proof?: string,
): Promise<SessionAnswer> {
  const { actor, db } = c.var;
  const nobody = { accounts: hasAccounts, person: null, here: [], roles: {} };
  if (actor.kind !== 'person')
    return { ...nobody, why: actor.kind === 'anonymous' ? actor.why : null };
  const [person] = await db.select().from(people).where(eq(people.id, actor.personId));
  return {
    accounts: true,
    why: null,
    person: {
      id: actor.personId,
      name: actor.name,
      email: person!.email,
      ownsServer: actor.ownsServer,
    },
    here: await peopleHere(db, actor.deviceId),
    roles: Object.fromEntries(actor.roles),
    ...(proof !== undefined && { proof }),
  };
}
