import { ROLES, RIGHTS, LEAST_ROLE, may, type Right, type Role } from '@cordel/core';
import type { ProjectDocument } from '@cordel/core/document';
import { v7 as uuid } from 'uuid';
import * as tables from '../db/schema.ts';
import { attemptOn, readingOn, smallDocument } from '../testing/small.ts';
import { type TestBrowser, startWithAccounts } from '../testing/people.ts';

interface Operation {
  method: string;
  path: string;
  right: string;
}

let world: Awaited<ReturnType<typeof startWithAccounts>>;
let document: ProjectDocument;
let other: ProjectDocument;
let operations: Operation[];
const people = new Map<string, TestBrowser>();

beforeAll(async () => {
  world = await startWithAccounts();
  document = smallDocument();
  other = smallDocument();
  for (const one of [document, other])
    expect((await world.owner.post('/documents', one)).status).toBe(200);
  for (const role of ROLES)
    people.set(role, await world.member(document.project.id, role, `One ${role}`));
  people.set('elsewhere', await world.member(other.project.id, 'owner', 'Else Where'));
  people.set('anonymous', world.browser());
  await keepFiles(document);
  const openapi = (await world.owner.get('/openapi.json')).body as {
    paths: Record<string, Record<string, { 'x-right'?: string }>>;
  };
  operations = Object.entries(openapi.paths).flatMap(([path, methods]) =>
    Object.entries(methods).map(([method, operation]) => ({
      method: method.toUpperCase(),
      path: path.replace(/^\/api/, ''),
      right: operation['x-right'] ?? '',
    })),
  );
});
afterAll(() => world.api.close());

const rulingOn = (spliceId: string, kind: 'redo' | 'waive', why: string) => ({
  type: 'ruling',
  id: uuid(),
  spliceId,
  by: 'M.',
  at: '2026-05-04T20:15:00.000Z',
  tryId: null,
  kind,
  why,
});

const FILES = { traceId: uuid(), photoId: uuid(), packageId: uuid() };

/** A trace, a photo and a package of a project, by the shortest way. */
async function keepFiles({ project, closures }: ProjectDocument): Promise<void> {
  const { db } = world.api;
  const at = new Date();
  const bytes = new Uint8Array([1]);
  await db.insert(tables.traces).values({
    id: FILES.traceId,
    projectId: project.id,
    name: 'one.sor',
    digest: 'one',
    origin: 'instrument',
    bytes,
    facts: {} as never,
    found: {} as never,
  });
  await db.insert(tables.photos).values({
    id: FILES.photoId,
    closureId: closures[0]!.id,
    by: 'M.',
    at,
    width: 1,
    height: 1,
    digest: 'one',
    bytes,
  });
  await db.insert(tables.packages).values({
    id: FILES.packageId,
    projectId: project.id,
    paper: 'A4',
    by: 'M.',
    at,
    state: 'stopped',
  });
}

/** Ids of the project that the path is filled with. */
const idsOf = ({
  project,
  closures,
  cables,
  splices,
}: ProjectDocument): Record<string, string> => ({
  projectId: project.id,
  closureId: closures[0]!.id,
  cableId: cables[0]!.id,
  spliceId: splices[0]!.id,
  fiber: '1',
  kind: 'closure',
  id: closures[0]!.id,
  code: 'AAAA-AAAA',
  hardwareId: 'none',
  schemeId: 'none',
  instrumentId: 'none',
  splicerId: 'none',
  digest: '0'.repeat(64),
  start: '0',
  ...FILES,
});

const filled = (path: string, ids: Record<string, string>): string =>
  path.replace(/\{(\w+)\}/g, (_, name: string) => ids[name] ?? uuid());

/** Whether somebody may ask at all: what they send may still be wrong. */
const isLetIn = async (browser: TestBrowser, operation: Operation, ids: Record<string, string>) => {
  const { method, path } = operation;
  const body = method === 'GET' || method === 'DELETE' ? undefined : bodyOf(path, ids);
  const type = path.startsWith('/uploads') && body ? 'application/octet-stream' : null;
  const { status } = await browser.call(
    method,
    filled(path, ids),
    body,
    type ? { 'content-type': type } : {},
  );
  expect(status).toBeLessThan(500);
  return status !== 401 && status !== 403;
};

/** What names the project where the path does not; otherwise nothing that a route takes. */
const bodyOf = (path: string, { projectId, closureId }: Record<string, string>): object =>
  path === '/photos' ? { closureId } : path.startsWith('/cables') ? { projectId } : {};

/** Routes that end the session of whoever asks, or that a role alone does not open. */
const OWN_TESTS = new Set([
  'DELETE /session',
  'POST /evidence',
  'POST /session',
  'POST /invitations/accept',
]);

const isRight = (right: string): right is Right => (RIGHTS as readonly string[]).includes(right);

describe('every route of the API', () => {
  it('names who may ask it', () => {
    expect(operations.length).toBeGreaterThan(80);
    expect(operations.filter(({ right }) => right === '')).toEqual([]);
  });

  it('is open to a stranger only where it is for everyone', async () => {
    for (const operation of operations) {
      if (OWN_TESTS.has(`${operation.method} ${operation.path}`)) continue;
      const letIn = await isLetIn(people.get('anonymous')!, operation, idsOf(document));
      expect({ ...operation, letIn }).toEqual({
        ...operation,
        letIn: operation.right === 'everyone',
      });
    }
  });

  it.each(ROLES)('lets %s in by its right, and nowhere else', async (role) => {
    for (const operation of operations) {
      const { right } = operation;
      if (OWN_TESTS.has(`${operation.method} ${operation.path}`)) continue;
      const anywhere = / in any project$/.exec(right) ? right.split(' ')[0]! : null;
      const wanted = isRight(right)
        ? may(role, right)
        : anywhere
          ? may(role, anywhere as Right)
          : right === 'by entry'
            ? may(role, 'record')
            : right !== 'server owner';
      const letIn = await isLetIn(people.get(role)!, operation, idsOf(document));
      expect({ ...operation, letIn }).toEqual({ ...operation, letIn: wanted });
    }
  });

  it('lets an owner of another project do nothing in this one', async () => {
    const ids = idsOf(document);
    for (const operation of operations) {
      if (OWN_TESTS.has(`${operation.method} ${operation.path}`)) continue;
      if (!isRight(operation.right) && operation.right !== 'by entry') continue;
      const letIn = await isLetIn(people.get('elsewhere')!, operation, ids);
      expect({ ...operation, letIn }).toEqual({ ...operation, letIn: false });
    }
  });

  it('lets the owner of the server do all', async () => {
    for (const operation of operations) {
      if (OWN_TESTS.has(`${operation.method} ${operation.path}`)) continue;
      const letIn = await isLetIn(world.owner, operation, idsOf(other));
      expect({ ...operation, letIn }).toEqual({ ...operation, letIn: true });
    }
  });
});

describe('evidence', () => {
  it('goes by what each entry is, and is all taken or none', async () => {
    const splice = document.splices[1]!.id;
    const reading = (of = splice) => ({
      ...readingOn(attemptOn(of, 20), 'AB', 1550, 20),
      tryId: null,
    });
    const cases: [Role, object, boolean][] = [
      ['reader', reading(), false],
      ['inspector', reading(), true],
      ['inspector', attemptOn(splice, 20), false],
      ['technician', attemptOn(splice, 20), true],
      ['technician', rulingOn(splice, 'redo', 'Bubble'), true],
      ['technician', rulingOn(splice, 'waive', 'Good enough'), false],
      ['lead', rulingOn(splice, 'waive', 'Good enough'), true],
    ];
    for (const [role, entry, isTaken] of cases) {
      const { status } = await people.get(role)!.post('/evidence', { entries: [entry] });
      expect({ role, entry, isTaken: status === 200 }).toEqual({ role, entry, isTaken });
    }
    // One that is not theirs to record takes the others with it.
    const entries = [reading(), reading(other.splices[0]!.id)];
    expect((await people.get('technician')!.post('/evidence', { entries })).status).toBe(403);
    const held = (await people.get('reader')!.get(`/splices/${splice}`)).text;
    expect(held).not.toContain(entries[0]!.id);
  });

  it('is refused of another project, whoever sends it', async () => {
    const entries = [attemptOn(document.splices[0]!.id, 20)];
    expect((await people.get('elsewhere')!.post('/evidence', { entries })).status).toBe(403);
    expect((await people.get('anonymous')!.post('/evidence', { entries })).status).toBe(401);
  });
});

it('has each role do all that the next may', () => {
  for (const right of RIGHTS) {
    const least = ROLES.indexOf(LEAST_ROLE[right]);
    for (const [index, role] of ROLES.entries()) expect(may(role, right)).toBe(index <= least);
  }
});
