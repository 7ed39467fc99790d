import { z } from '@hono/zod-openapi';
import { accountsProblems as say } from '@cordel/text/server/accounts';
import { eq, sql } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';
import { rowsOf } from '../../db/client.ts';
import { people } from '../../db/schema.ts';
import { Problem } from '../../http/problem.ts';
import { answers, idParams, router } from '../../http/router.ts';
import { forServerOwner, route } from '../access.ts';
import { requirePerson } from '../actor.ts';
import { invite } from '../invitations.ts';
import { personSchema } from '../session.ts';

const listPeople = route(forServerOwner, {
  method: 'get',
  path: '/people',
  summary: 'Everybody who has an account, and their devices',
  responses: answers(
    z.array(
      personSchema.extend({
        email: z.string(),
        ownsServer: z.boolean(),
        devices: z.array(
          z.object({ id: z.string(), name: z.string(), lockedOut: z.boolean(), since: z.string() }),
        ),
      }),
    ),
    'The people',
  ),
});

const passwordLink = route(forServerOwner, {
  method: 'post',
  path: '/people/{personId}/password-link',
  summary: 'A link by which a person sets their password anew: it works once, for a day',
  request: { params: idParams('personId') },
  responses: answers(z.object({ secret: z.string() }), 'The link’s secret'),
});

/** Everybody on the server, for its owner. */
export const peopleRoutes = router()
  .openapi(listPeople, async (c) => {
    const all = await c.var.db.select().from(people).orderBy(people.name);
    const rows = await rowsOf<{
      personId: string;
      id: string;
      name: string;
      lockedOut: boolean;
      since: string;
    }>(
      c.var.db,
      sql`select distinct on (s.person_id, d.id) s.person_id as "personId", d.id, d.name,
              d.locked_out_at is not null as "lockedOut",
              to_char(d.created_at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') as since
            from sessions s join devices d on d.id = s.device_id`,
    );
    return c.json(
      all.map(({ id, name, email, ownsServer }) => ({
        id,
        name,
        email,
        ownsServer,
        devices: rows
          .filter(({ personId }) => personId === id)
          .map(({ personId: _person, ...device }) => device),
      })),
      200,
    );
  })
  .openapi(passwordLink, async (c) => {
    const { personId } = c.req.valid('param');
    const [person] = await c.var.db.select().from(people).where(eq(people.id, personId));
    if (!person) throw new Problem(404, say('personUnknown'));
    const secret = await invite(c.var.db, {
      id: uuid(),
      projectId: null,
      role: 'reader',
      note: person.name,
      invitedBy: requirePerson(c.var.actor).personId,
      forPersonId: personId,
      days: 1,
    });
    return c.json({ secret }, 200);
  });
