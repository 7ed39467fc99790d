import { z } from '@hono/zod-openapi';
import { accountsProblems as say } from '@cordel/text/server/accounts';
import { and, desc, eq } from 'drizzle-orm';
import { devices, sessions } from '../../db/schema.ts';
import { Problem } from '../../http/problem.ts';
import { answers, idParams, router, savedSchema } from '../../http/router.ts';
import { forPeople, route } from '../access.ts';
import { requirePerson } from '../actor.ts';
import { appendAudit } from '../audit.ts';

const iso = (at: Date): string => at.toISOString();

const listSessions = route(forPeople, {
  method: 'get',
  path: '/sessions',
  summary: 'Where one is signed in',
  responses: answers(
    z.array(
      z.object({
        id: z.string(),
        deviceId: z.string(),
        device: z.string(),
        since: z.string(),
        until: z.string(),
        current: z.boolean(),
      }),
    ),
    'The sessions, the newest first',
  ),
});

const dropOne = route(forPeople, {
  method: 'delete',
  path: '/sessions/{sessionId}',
  summary: 'End a session of one’s own',
  request: { params: idParams('sessionId') },
  responses: answers(savedSchema, 'Ended'),
});

const lockOut = route(forPeople, {
  method: 'post',
  path: '/devices/{deviceId}/lock-out',
  summary: 'Lock out a device that was lost: everybody is signed out of it',
  description:
    'By whoever is signed in on it, or the owner of the server. What was recorded on it before is taken if it comes, and marked.',
  request: { params: idParams('deviceId') },
  responses: answers(savedSchema, 'Locked out'),
});

/** Where people are signed in, and how that ends. */
export const deviceRoutes = router()
  .openapi(listSessions, async (c) => {
    const { personId, sessionId } = requirePerson(c.var.actor);
    const rows = await c.var.db
      .select({ session: sessions, device: devices })
      .from(sessions)
      .innerJoin(devices, eq(devices.id, sessions.deviceId))
      .where(eq(sessions.personId, personId))
      .orderBy(desc(sessions.createdAt));
    return c.json(
      rows.map(({ session, device }) => ({
        id: session.id,
        deviceId: device.id,
        device: device.name,
        since: iso(session.createdAt),
        until: iso(session.expiresAt),
        current: session.id === sessionId,
      })),
      200,
    );
  })
  .openapi(dropOne, async (c) => {
    const { personId } = requirePerson(c.var.actor);
    const { sessionId } = c.req.valid('param');
    await c.var.db
      .delete(sessions)
      .where(and(eq(sessions.id, sessionId), eq(sessions.personId, personId)));
    await appendAudit(c.var.db, c.var.actor, { code: 'sessionEnded', sessionId });
    return c.json({ id: sessionId }, 200);
  })
  .openapi(lockOut, async (c) => {
    const { db } = c.var;
    const { deviceId } = c.req.valid('param');
    const { personId, ownsServer } = requirePerson(c.var.actor);
    const [device] = await db.select().from(devices).where(eq(devices.id, deviceId));
    const here = await db.select().from(sessions).where(eq(sessions.deviceId, deviceId));
    if (!device || (!ownsServer && !here.some((session) => session.personId === personId)))
      throw new Problem(404, say('deviceUnknown'));
    await db.transaction(async (tx) => {
      await tx.update(devices).set({ lockedOutAt: new Date() }).where(eq(devices.id, deviceId));
      await tx.delete(sessions).where(eq(sessions.deviceId, deviceId));
      await appendAudit(tx, c.var.actor, { code: 'deviceLockedOut', deviceId, name: device.name });
    });
    return c.json({ id: deviceId }, 200);
  });
