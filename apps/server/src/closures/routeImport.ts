import { z } from '@hono/zod-openapi';
import { eq } from 'drizzle-orm';
import { type Closure, type SameName, idSchema, meantBy, sameNameSchema } from '@cordel/core';
import { readGeoJson } from '@cordel/core/geo';
import { geoProblemText } from '@cordel/text/files';
import { inProject, route } from '../accounts/access.ts';
import type { Db } from '../db/client.ts';
import { closures, imports, projects } from '../db/schema.ts';
import { problemAt, sentence } from '../http/problem.ts';
import { answers, idParams, jsonBody, router } from '../http/router.ts';
import { getClosures, getProject } from '../projects/queries.ts';
import { derivedId } from '../splices/derivedId.ts';
import { renewCircuitOrigins } from '../splices/circuitOrigins.ts';

const resultSchema = z.object({ lines: z.int(), placed: z.int(), added: z.int() });

const bring = route(inProject('decide'), {
  method: 'post',
  path: '/projects/{projectId}/geojson',
  summary: 'Import a route and closures as GeoJSON, all or nothing',
  description:
    'Closures are found by their names; distances are along the line, on the ellipsoid. The same import sent again changes nothing.',
  request: {
    params: idParams('projectId'),
    body: jsonBody(
      z.object({
        importId: idSchema,
        text: z.string(),
        /** Whether the file has latitude first. */
        swap: z.boolean().default(false),
        /** Added to every distance: where the first line begins, in tenths of a millimeter. */
        start: z.int().min(0).max(1e11).default(0),
        /** Closures that the file calls otherwise than the project. */
        sameNames: z.array(sameNameSchema).max(2000).default([]),
      }),
    ),
  },
  responses: answers(resultSchema, 'What came of it'),
});

interface Bring {
  importId: string;
  text: string;
  swap: boolean;
  start: number;
  sameNames: SameName[];
}

async function bringGround(db: Db, projectId: string, asked: Bring) {
  const project = await getProject(db, projectId);
  const read = readGeoJson(asked.text, asked.swap);
  if (!read.ok) throw problemAt(422, '/text', sentence(geoProblemText(read.error), read.error));
  const { lines } = read.value;
  const meant = meantBy(asked.sameNames);
  const found = read.value.closures.map((one) => ({ ...one, name: meant(one.name) }));
  const known = await getClosures(db, projectId);
  const result = {
    lines: lines.length,
    placed: found.filter(({ name }) => known.some((closure) => closure.name === name)).length,
    added: found.filter(({ name }) => !known.some((closure) => closure.name === name)).length,
  };
  await db.transaction(async (tx) => {
    const [fresh] = await tx
      .insert(imports)
      .values({
        id: asked.importId,
        projectId,
        result: { splices: 0, closures: result.added, cables: 0 },
      })
      .onConflictDoNothing()
      .returning({ id: imports.id });
    if (!fresh) return;
    if (lines.length > 0)
      await tx.update(projects).set({ route: lines }).where(eq(projects.id, project.id));
    let ordinal = Math.max(-1, ...known.map((closure) => closure.ordinal));
    for (const { name, position, along } of found) {
      const before = known.find((closure) => closure.name === name);
      const distance = along ? asked.start + Math.round(along.meters * 10_000) : null;
      if (before) {
        await tx
          .update(closures)
          .set({ position, ...(distance === null ? {} : { distance }) })
          .where(eq(closures.id, before.id));
        continue;
      }
      const closure: Closure = {
        id: derivedId(asked.importId, `closure ${name}`),
        projectId,
        name,
        ordinal: ++ordinal,
        distance,
        branchOf: null,
        position,
        trays: [],
      };
      await tx.insert(closures).values(closure);
    }
    // The head of a fiber is its end nearest the start of the route.
    await renewCircuitOrigins(tx as unknown as Db, projectId);
  });
  return result;
}

export const routeImportRoutes = router().openapi(bring, async (c) => {
  const { projectId } = c.req.valid('param');
  return c.json(await bringGround(c.var.db, projectId, c.req.valid('json')), 200);
});
