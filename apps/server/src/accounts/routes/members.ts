import { z } from '@hono/zod-openapi';
import { idSchema, roleSchema } from '@cordel/core';
import { and, eq, isNull, sql } from 'drizzle-orm';
import { invitations, members, people } from '../../db/schema.ts';
import { answers, idParams, jsonBody, router, savedSchema } from '../../http/router.ts';
import { inProject, route } from '../access.ts';
import { hasRight } from '../actor.ts';
import { changeRole } from '../members.ts';
import { personSchema } from '../session.ts';

const project = idParams('projectId');

const iso = (at: Date): string => at.toISOString();

const memberSchema = personSchema.extend({ role: roleSchema, since: z.string() });

const listMembers = route(inProject('read'), {
  method: 'get',
  path: '/projects/{projectId}/members',
  summary: 'Who is in a project, and the links that still hold',
  request: { params: project },
  responses: answers(
    z.object({
      members: z.array(memberSchema),
      /** For those who may invite. */
      invitations: z.array(
        z.object({
          id: z.string(),
          role: roleSchema,
          note: z.string(),
          /** Who made it. */
          by: z.string(),
          until: z.string(),
        }),
      ),
    }),
    'The members',
  ),
});

const putMember = route(inProject('manage'), {
  method: 'put',
  path: '/projects/{projectId}/members/{personId}',
  summary: 'Change what a person is in a project; null takes them out of it',
  request: {
    params: project.extend({ personId: idSchema }),
    body: jsonBody(z.object({ role: roleSchema.nullable() })),
  },
  responses: answers(savedSchema, 'Changed'),
});

/** Who is in a project, and as what. */
export const memberRoutes = router()
  .openapi(listMembers, async (c) => {
    const { projectId } = c.req.valid('param');
    const rows = await c.var.db
      .select({ id: people.id, name: people.name, role: members.role, since: members.since })
      .from(members)
      .innerJoin(people, eq(people.id, members.personId))
      .where(eq(members.projectId, projectId))
      .orderBy(people.name);
    const open = hasRight(c.var.actor, projectId, 'decide')
      ? await c.var.db
          .select({
            id: invitations.id,
            role: invitations.role,
            note: invitations.note,
            by: people.name,
            expiresAt: invitations.expiresAt,
          })
          .from(invitations)
          .innerJoin(people, eq(people.id, invitations.invitedBy))
          .where(
            and(
              eq(invitations.projectId, projectId),
              isNull(invitations.usedAt),
              isNull(invitations.revokedAt),
              sql`${invitations.expiresAt} > now()`,
            ),
          )
          .orderBy(invitations.createdAt)
      : [];
    return c.json(
      {
        members: rows.map((row) => ({ ...row, since: iso(row.since) })),
        invitations: open.map(({ expiresAt, ...link }) => ({ ...link, until: iso(expiresAt) })),
      },
      200,
    );
  })
  .openapi(putMember, async (c) => {
    const { projectId, personId } = c.req.valid('param');
    await changeRole(c.var.db, c.var.actor, {
      projectId,
      personId,
      role: c.req.valid('json').role,
    });
    return c.json({ id: personId }, 200);
  });
