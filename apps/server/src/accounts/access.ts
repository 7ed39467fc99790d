import { type RouteConfig, createRoute } from '@hono/zod-openapi';
import {
  type Evidence,
  type RemovableKind,
  type Right,
  rightForClosing,
  rightForEvidence,
} from '@cordel/core';
import type { ClosingEntry } from '@cordel/core/close';
import { accountsProblems as say } from '@cordel/text/server/accounts';
import { type SQL, sql } from 'drizzle-orm';
import type { Context, MiddlewareHandler } from 'hono';
import { validate as isUuid } from 'uuid';
import { type Db, rowsOf } from '../db/client.ts';
import { projectsOfSplices } from '../splices/projectsOf.ts';
import { Problem } from '../http/problem.ts';
import type { Env } from '../http/router.ts';
import { isBackupKey } from './backupKey.ts';
import {
  type Actor,
  hasRightAnywhere,
  requireMaker,
  requirePerson,
  requireRight,
} from './actor.ts';

/** A right that a request needs in a project. */
interface Need {
  projectId: string;
  right: Right;
}

/** Who may ask a route. */
interface Access {
  /** As the API's document has it, `x-right`. */
  name: string;
  /** @throws Problem 401 or 403 */
  check(actor: Actor, c: Context<Env>): Promise<void> | void;
}

/** Whoever asks, signed in or not. */
export const forEveryone: Access = { name: 'everyone', check: () => undefined };

/** People who have signed in; what they get goes by their roles. */
export const forPeople: Access = {
  name: 'person',
  check: (actor) => void (actor.kind === 'open' || requirePerson(actor)),
};

/** The owner of the server. */
export const forServerOwner: Access = {
  name: 'server owner',
  check: (actor) => {
    if (actor.kind === 'open' || requirePerson(actor).ownsServer) return;
    throw new Problem(403, say('serverOwnerOnly'));
  },
};

/** The owner of the server; or whoever runs it, who can read its key for backups. */
export const forBackup: Access = {
  name: 'server owner',
  check: async (actor, c) => {
    const key = /^Bearer (\S+)$/.exec(c.req.header('authorization') ?? '')?.[1];
    if (actor.kind !== 'open' && key && (await isBackupKey(c.var.db, key))) return;
    await forServerOwner.check(actor, c);
  },
};

/** People who have a right in some project: what they write is of no project. */
export const anywhere = (right: Right): Access => ({
  name: `${right} in any project`,
  check: (actor) => {
    if (actor.kind === 'open') return;
    const maker = requireMaker(actor);
    if (hasRightAnywhere(maker, right)) return;
    if (maker.isAway) requirePerson(maker);
    throw new Problem(403, say('rightNowhere', { right }));
  },
});

/** People who have the rights that a request needs in the projects that it is of. */
const inProjects = (
  name: string,
  needs: (c: Context<Env>) => Promise<readonly Need[]> | readonly Need[],
): Access => ({
  name,
  check: async (actor, c) => {
    if (actor.kind === 'open') return;
    requireMaker(actor);
    for (const { projectId, right } of await needs(c)) requireRight(actor, projectId, right);
  },
});

/** A right in the project of the path. */
export const inProject = (right: Right): Access =>
  inProjects(right, (c) => [{ projectId: c.req.param('projectId')!, right }]);

const isId = (value: unknown): value is string => typeof value === 'string' && isUuid(value);

/** What is asked of the database by an id; nothing where it is no id, which the route itself refuses. */
const projectsBy = async (db: Db, id: unknown, query: (id: string) => SQL): Promise<string[]> =>
  isId(id)
    ? (await rowsOf<{ projectId: string }>(db, query(id))).map(({ projectId }) => projectId)
    : [];

const projectsOfClosure = (db: Db, id: unknown) =>
  projectsBy(
    db,
    id,
    (own) => sql`select project_id as "projectId" from closures where id = ${own}::uuid`,
  );

/** A body as JSON; an empty one where it is none, which the route itself refuses. */
async function bodyOf(c: Context<Env>): Promise<Record<string, unknown>> {
  const body: unknown = await c.req.json().catch(() => ({}));
  return typeof body === 'object' && body !== null ? (body as Record<string, unknown>) : {};
}

const needsOf = (projectIds: readonly string[], right: Right): Need[] =>
  projectIds.map((projectId) => ({ projectId, right }));

/** A right in the project of the closure in the path. */
export const atClosure = (right: Right): Access =>
  inProjects(right, async (c) =>
    needsOf(await projectsOfClosure(c.var.db, c.req.param('closureId')), right),
  );

/** A right in the project of the closure that the body names. */
export const atBodysClosure = (right: Right): Access =>
  inProjects(right, async (c) =>
    needsOf(await projectsOfClosure(c.var.db, (await bodyOf(c)).closureId), right),
  );

const ROWS = {
  cable: sql`cables`,
  closure: sql`closures`,
  splice: sql`splices`,
  trace: sql`traces`,
  package: sql`packages`,
};

const projectsOfRow = (db: Db, kind: keyof typeof ROWS, id: unknown) =>
  projectsBy(
    db,
    id,
    (own) => sql`select project_id as "projectId" from ${ROWS[kind]} where id = ${own}::uuid`,
  );

/** A right in the project of the record in the path. */
export const ofRecord = (kind: keyof typeof ROWS, right: Right): Access =>
  inProjects(right, async (c) =>
    needsOf(await projectsOfRow(c.var.db, kind, c.req.param(`${kind}Id`)), right),
  );

/** A right in the project of a photo. */
export const ofPhoto = (right: Right): Access =>
  inProjects(right, async (c) =>
    needsOf(
      await projectsBy(
        c.var.db,
        c.req.param('photoId'),
        (own) => sql`select c.project_id as "projectId" from photos p
                     join closures c on c.id = p.closure_id where p.id = ${own}::uuid`,
      ),
      right,
    ),
  );

/** A right in the project that a record is of, and in the one that it is to be of. */
export const savesRecord = (kind: keyof typeof ROWS, right: Right): Access =>
  inProjects(right, async (c) => {
    const { projectId } = await bodyOf(c);
    const held = await projectsOfRow(c.var.db, kind, c.req.param(`${kind}Id`));
    return needsOf(isId(projectId) ? [...held, projectId] : held, right);
  });

/** To change a project that is here, a right in it; to add one, the same right in another. */
export const savesProject = (right: Right): Access => {
  const add = anywhere(right);
  return {
    name: right,
    check: async (actor, c) => {
      if (actor.kind === 'open') return;
      const id = c.req.param('projectId');
      const [held] = isId(id)
        ? await rowsOf(c.var.db, sql`select 1 from projects where id = ${id}::uuid`)
        : [];
      if (held) requireRight(actor, id!, right);
      else await add.check(actor, c);
    },
  };
};

/** What each entry of evidence in the body needs, in the project of its splice. */
export const recordsEvidence: Access = inProjects('by entry', async (c) => {
  const { entries } = (await bodyOf(c)) as { entries?: Evidence[] };
  const known = (Array.isArray(entries) ? entries : []).filter((entry) => isId(entry?.spliceId));
  const projectOf = await projectsOfSplices(
    c.var.db,
    known.map(({ spliceId }) => spliceId),
  );
  return known.flatMap((entry) => {
    const projectId = projectOf.get(entry.spliceId);
    return projectId ? [{ projectId, right: rightForEvidence(entry) ?? 'record' }] : [];
  });
});

/** What each entry of closing in the body needs, in the project of the closure in the path. */
export const recordsClosing: Access = inProjects('by entry', async (c) => {
  const { entries } = (await bodyOf(c)) as { entries?: ClosingEntry[] };
  const [projectId] = await projectsOfClosure(c.var.db, c.req.param('closureId'));
  if (!projectId) return [];
  const rights = (Array.isArray(entries) ? entries : []).map((entry) => rightForClosing(entry));
  return ['record' as const, ...rights].map((right) => ({ projectId, right }));
});

/** To delete or archive a record: a right in its project, or in any where it is of none. */
export const ofRemovable = (right: Right): Access => {
  const shared = anywhere(right);
  return {
    name: right,
    check: async (actor, c) => {
      if (actor.kind === 'open') return;
      requireMaker(actor);
      const kind = c.req.param('kind') as RemovableKind;
      const id = c.req.param('id');
      if (kind === 'project' && id) return requireRight(actor, id, 'manage');
      if (kind !== 'closure' && kind !== 'cable') return shared.check(actor, c);
      for (const projectId of await projectsOfRow(c.var.db, kind, id))
        requireRight(actor, projectId, right);
    },
  };
};

/** Whoever imports the project of the path. */
export const ofImport: Access = {
  name: 'importer',
  check: async (actor, c) => {
    if (actor.kind === 'open') return;
    const { personId, ownsServer } = requirePerson(actor);
    const id = c.req.param('projectId');
    const [held] = isId(id)
      ? await rowsOf<{ personId: string | null }>(
          c.var.db,
          sql`select person_id as "personId" from project_imports where project_id = ${id}::uuid`,
        )
      : [];
    if (held && held.personId !== personId && !ownsServer)
      throw new Problem(403, say('otherImporter'));
  },
};

/**
 * A route of the API with who may ask it. The document of the API says the same, `x-right`.
 */
export function route<
  Path extends string,
  Config extends Omit<RouteConfig, 'path'> & { path: Path },
>(access: Access, config: Config) {
  const check: MiddlewareHandler<Env> = async (c, next) => {
    await access.check(c.var.actor, c);
    await next();
  };
  return createRoute<Path, Config>({ ...config, 'x-right': access.name, middleware: check });
}
