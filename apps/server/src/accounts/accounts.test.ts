import { sql } from 'drizzle-orm';
import type { ProjectDocument } from '@cordel/core/document';
import { v7 as uuid } from 'uuid';
import { rowsOf } from '../db/client.ts';
import { append } from '../evidence/queries.ts';
import { PASSWORD, type TestBrowser, startWithAccounts } from '../testing/people.ts';
import { attemptOn, smallDocument } from '../testing/small.ts';
import { firstStart, invite } from './invitations.ts';
import { readCertificate, readListening } from '../http/listening.ts';

let world: Awaited<ReturnType<typeof startWithAccounts>>;
let document: ProjectDocument;
let projectId: string;

beforeAll(async () => {
  world = await startWithAccounts();
  document = smallDocument();
  projectId = document.project.id;
  await world.owner.post('/documents', document);
});
afterAll(() => world.api.close());

const codeOf = ({ body }: { body: never }) => (body as { code: string }).code;
const entryOf = async (id: string) => {
  const [row] = await rowsOf<{ by: string; receiver: string | null; late: boolean | null }>(
    world.api.db,
    sql`select a.by, p.name as receiver, r.after_lockout as late from attempts a
        left join receipts r on r.entry_id = a.id left join people p on p.id = r.person_id
        where a.id = ${id}::uuid`,
  );
  return row;
};
const madeBy = (person: string, proof?: string) => ({
  'x-cordel-person': person,
  ...(proof && { 'x-cordel-proof': proof }),
});
const record = (browser: TestBrowser, entry: object, headers: Record<string, string> = {}) =>
  browser.call('POST', '/evidence', { entries: [entry] }, headers);
/** Signs in, and gives what shows that the person was there. */
const proofAt = async (browser: TestBrowser, email: string): Promise<string> =>
  ((await browser.post('/session', { email, password: PASSWORD })).body as { proof: string }).proof;

const signature = (role: string) => ({
  id: uuid(),
  closureId: document.closures[0]!.id,
  at: '2026-05-14T12:00:00.000Z',
  by: 'Whoever',
  kind: 'sign',
  role,
  digest: 'a'.repeat(64),
  strokes: [[0, 0, 1, 1]],
  read: [],
});

describe('the first start', () => {
  it('makes one owner, by a link that works once', async () => {
    // The owner is there: no further link is made.
    expect(await firstStart(world.api.db)).toBeNull();
    expect((await world.owner.get('/people')).body).toMatchObject([
      { name: 'Olga Host', ownsServer: true },
    ]);
  });
});

describe('an invitation', () => {
  it('works once, for one of two who open it at the same moment', async () => {
    const secret = await world.owner.invite(projectId, 'reader');
    const two = [world.browser(), world.browser()];
    const answers = await Promise.all(two.map((one, index) => one.join(secret, `Twin ${index}`)));
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409]);
    const third = await world.browser().post('/invitations/look', { secret });
    expect([third.status, codeOf(third)]).toEqual([409, 'invitationUsed']);
  });

  it('says that it ran out, was taken back, or is none', async () => {
    const late = await invite(world.api.db, {
      id: uuid(),
      projectId,
      role: 'reader',
      note: '',
      invitedBy: null,
      days: -1,
    });
    const id = uuid();
    const { secret } = (
      await world.owner.post(`/projects/${projectId}/invitations`, { id, role: 'lead' })
    ).body as { secret: string };
    await world.owner.remove(`/projects/${projectId}/invitations/${id}`);
    const cases = {
      [late]: 'invitationExpired',
      [secret]: 'invitationRevoked',
      ['x'.repeat(43)]: 'invitationUnknown',
    };
    for (const [link, code] of Object.entries(cases)) {
      const browser = world.browser();
      expect(codeOf(await browser.post('/invitations/look', { secret: link }))).toBe(code);
      expect(codeOf(await browser.join(link, 'Nobody'))).toBe(code);
    }
    expect((await world.owner.get('/people')).text).not.toContain('Nobody');
  });

  it('ends with the right of whoever made it, and does not come back with it', async () => {
    const maker = await world.member(projectId, 'owner', 'Mia Maker');
    const id = await maker.me();
    const links = {
      owner: await maker.invite(projectId, 'owner'),
      technician: await maker.invite(projectId, 'technician'),
    };
    const listed = (await world.owner.get(`/projects/${projectId}/members`)).body as {
      invitations: { by: string }[];
    };
    expect(listed.invitations.filter(({ by }) => by === 'Mia Maker')).toHaveLength(2);
    const look = async (secret: string) =>
      (await world.browser().post('/invitations/look', { secret })).status;
    const role = (next: string | null) =>
      world.owner.put(`/projects/${projectId}/members/${id}`, { role: next });
    await role('lead');
    expect([await look(links.owner), await look(links.technician)]).toEqual([409, 200]);
    await role(null);
    const tried = await maker.post('/invitations/accept', { secret: links.owner, person: null });
    expect([tried.status, codeOf(tried)]).toEqual([409, 'invitationRevoked']);
    expect(codeOf(await world.browser().join(links.technician, 'Mia Again'))).toBe(
      'invitationRevoked',
    );
    await maker.post('/invitations/accept', {
      secret: await world.owner.invite(projectId, 'owner'),
      person: null,
    });
    expect([await look(links.owner), await look(links.technician)]).toEqual([409, 409]);
    await role(null);
  });

  it('refuses a name or an e-mail that is somebody’s, and stays good for another', async () => {
    const secret = await world.owner.invite(projectId, 'reader');
    const browser = world.browser();
    const taken = await browser.post('/invitations/accept', {
      secret,
      person: { name: 'olga host', email: 'other@firm.example', password: PASSWORD },
    });
    expect([taken.status, codeOf(taken)]).toEqual([409, 'nameTaken']);
    expect((await browser.join(secret, 'Rita Reader')).status).toBe(200);
  });

  it('brings somebody who is here into another project, and lets a lead invite no lead', async () => {
    const lead = await world.member(projectId, 'lead', 'Lena Lead');
    const mine = uuid();
    const created = await lead.put(`/projects/${mine}`, {
      ...document.project,
      id: mine,
      name: 'Own',
    });
    expect(created.status).toBe(200);
    const asOwner = (await lead.get('/session')).body as { roles: object };
    expect(asOwner.roles).toEqual({ [projectId]: 'lead', [mine]: 'owner' });
    const refused = await lead.post(`/projects/${projectId}/invitations`, {
      id: uuid(),
      role: 'lead',
    });
    expect([refused.status, codeOf(refused)]).toEqual([403, 'ownerInvites']);
    const rita = world.browser();
    await rita.post('/session', { email: 'rita.reader@firm.example', password: PASSWORD });
    const secret = await lead.invite(mine, 'technician');
    const joined = await rita.post('/invitations/accept', { secret, person: null });
    expect(joined.body).toMatchObject({ roles: { [projectId]: 'reader', [mine]: 'technician' } });
  });
});

describe('an entry', () => {
  it('goes into the project alone that the right was asked for in', async () => {
    const [personId, deviceId] = (
      await rowsOf<{ person: string; device: string }>(
        world.api.db,
        sql`select person_id as person, device_id as device from sessions where device_id is not null limit 1`,
      )
    ).flatMap(({ person, device }) => [person, device]);
    const entry = attemptOn(document.splices[5]!.id, 20);
    const sent = (project: string) => [
      {
        ...entry,
        receipt: {
          personId: personId!,
          deviceId: deviceId!,
          lockedOutAt: null,
          projectId: project,
        },
      },
    ];
    await expect(append(world.api.db, 'attempt', sent(uuid()))).rejects.toThrow();
    expect(await append(world.api.db, 'attempt', sent(projectId))).toBe(1);
    expect(await entryOf(entry.id)).toMatchObject({ late: false });
  });

  it('is known to people of its project, and to nobody else', async () => {
    const ana = await world.member(projectId, 'technician', 'Ana Known');
    const entry = attemptOn(document.splices[6]!.id, 20);
    await record(ana, entry);
    const ids = { ids: [entry.id, uuid()] };
    expect((await ana.post('/receipts/known', ids)).body).toEqual({ ids: [entry.id] });
    const others = smallDocument();
    await world.owner.post('/documents', others);
    const eve = await world.member(others.project.id, 'owner', 'Eve Elsewhere');
    expect((await eve.post('/receipts/known', ids)).body).toEqual({ ids: [] });
    expect((await world.browser().post('/receipts/known', ids)).status).toBe(401);
  });
});

describe('signing in', () => {
  it('keeps cookies from scripts and other pages, and says the same of a wrong name and a wrong password', async () => {
    const set = await world.api.open('/session', {
      method: 'POST',
      headers: {
        origin: 'http://cordel.example',
        'content-type': 'application/json',
        'content-length': '80',
      },
      body: JSON.stringify({ email: 'olga.host@firm.example', password: PASSWORD }),
    });
    for (const cookie of set.headers.getSetCookie())
      expect(cookie).toMatch(/HttpOnly.*SameSite=Lax|SameSite=Lax.*HttpOnly/i);
    const wrong = { email: 'olga.host@firm.example', password: 'not this one' };
    const nobody = { email: 'nobody@firm.example', password: PASSWORD };
    const answers = [
      await world.browser().post('/session', wrong),
      await world.browser().post('/session', nobody),
    ];
    expect(answers[0]!.body).toEqual(answers[1]!.body);
    expect(answers[0]!.status).toBe(401);
  });

  it('is let go on only so often', async () => {
    await world.member(projectId, 'reader', 'Often Wrong');
    const body = { email: 'often.wrong@firm.example', password: 'guess' };
    const statuses = [];
    for (let tries = 0; tries < 11; tries++)
      statuses.push((await world.browser().post('/session', body)).status);
    expect(statuses).toEqual([...Array.from({ length: 10 }, () => 401), 429]);
    // The right one waits too: whoever guesses learns nothing.
    const right = await world.browser().post('/session', { ...body, password: PASSWORD });
    expect([right.status, codeOf(right)]).toEqual([429, 'tooOften']);
  });

  it('lets a person in on their own device whatever others try elsewhere', async () => {
    const phone = await world.member(projectId, 'technician', 'Gil Guessed');
    const email = 'gil.guessed@firm.example';
    const guess = { email, password: 'guess' };
    for (let tries = 0; tries < 11; tries++) await world.browser().post('/session', guess);
    expect((await world.browser().post('/session', guess)).status).toBe(429);
    expect((await phone.post('/session', { email, password: PASSWORD })).status).toBe(200);
    // There too nobody guesses for long.
    const statuses = [];
    for (let tries = 0; tries < 11; tries++)
      statuses.push((await phone.post('/session', guess)).status);
    expect(statuses.at(-1)).toBe(429);
  });

  it('takes made-up addresses one at a time, and not without end', async () => {
    const made = Array.from({ length: 60 }, (_none, index) =>
      world.browser().post('/session', { email: `nobody${index}@firm.example`, password: 'guess' }),
    );
    const statuses = new Map<number, number>();
    for (const { status } of await Promise.all(made))
      statuses.set(status, (statuses.get(status) ?? 0) + 1);
    expect([...statuses.keys()].sort()).toEqual([401, 429]);
    expect(statuses.get(401)!).toBeLessThan(40);
    await rowsOf(
      world.api.db,
      sql`update tries set until = now() where key like 'passwords from%'`,
    );
  });

  it('ends a session that turns up on another device', async () => {
    const victim = await world.member(projectId, 'technician', 'Vera Victim');
    const thief = world.browser();
    thief.cookies.set('cordel.session_token', victim.cookies.get('cordel.session_token')!);
    const stolen = await thief.get(`/projects/${projectId}`);
    expect([stolen.status, codeOf(stolen)]).toEqual([401, 'otherDevice']);
    expect((await victim.get(`/projects/${projectId}`)).status).toBe(401);
  });

  it('ends other sessions with a new password, and sets one anew by a link of the owner', async () => {
    const phone = await world.member(projectId, 'technician', 'Pia Phone');
    const email = 'pia.phone@firm.example';
    const desk = world.browser();
    await desk.post('/session', { email, password: PASSWORD });
    expect(
      (await desk.put('/session/password', { current: 'wrong', next: 'other bread lamp' })).status,
    ).toBe(401);
    expect((await desk.put('/session/password', { current: PASSWORD, next: 'short' })).status).toBe(
      422,
    );
    expect(
      (await desk.put('/session/password', { current: PASSWORD, next: 'other bread lamp' })).status,
    ).toBe(200);
    expect((await phone.get(`/projects/${projectId}`)).status).toBe(401);
    expect((await desk.get(`/projects/${projectId}`)).status).toBe(200);
    const { secret } = (await world.owner.post(`/people/${await desk.me()}/password-link`, {}))
      .body as {
      secret: string;
    };
    const set = await phone.post('/invitations/accept', {
      secret,
      person: null,
      password: 'third bread lamp',
    });
    expect(set.body).toMatchObject({ person: { name: 'Pia Phone' } });
    expect((await desk.get(`/projects/${projectId}`)).status).toBe(401);
  });
});

describe('who did what', () => {
  it('is the session’s word, whatever the body says', async () => {
    const tom = await world.member(projectId, 'technician', 'Tom Tray');
    const entry = { ...attemptOn(document.splices[0]!.id, 20), by: 'Olga Host' };
    expect((await record(tom, entry)).status).toBe(200);
    expect(await entryOf(entry.id)).toEqual({ by: 'Tom Tray', receiver: 'Tom Tray', late: false });
    // Sent again it changes nothing; by somebody else it is another entry, and refused.
    expect((await record(tom, entry)).body).toEqual({ recorded: 0 });
    const again = await record(world.owner, entry);
    expect([again.status, codeOf(again)]).toEqual([409, 'entryChanged']);
    expect(await entryOf(entry.id)).toEqual({ by: 'Tom Tray', receiver: 'Tom Tray', late: false });
  });

  it('goes by turns on a phone that two share, and work waits for who did it', async () => {
    const phone = await world.member(projectId, 'technician', 'Ana Arc');
    const ana = await phone.me();
    const proof = await proofAt(phone, 'ana.arc@firm.example');
    await phone.put('/session/pin', { pin: '2580' });
    expect(
      (await phone.join(await world.owner.invite(projectId, 'technician'), 'Ben Blade')).status,
    ).toBe(200);
    const ben = await phone.me();
    expect((await phone.get('/session')).body).toMatchObject({
      here: [
        { name: 'Ana Arc', hasPin: true },
        { name: 'Ben Blade', hasPin: false },
      ],
    });
    // What Ana did before Ben took the phone is hers.
    const entry = attemptOn(document.splices[1]!.id, 20);
    expect(codeOf(await record(phone, entry, madeBy(ana)))).toBe('otherPerson');
    expect((await record(phone, entry, madeBy(ana, proof))).status).toBe(200);
    expect((await entryOf(entry.id))!.by).toBe('Ana Arc');
    expect(codeOf(await phone.post('/session/person', { personId: ana, pin: '0000' }))).toBe(
      'wrongPin',
    );
    expect(
      (await phone.post('/session/person', { personId: ana, pin: '2580' })).body,
    ).toMatchObject({
      person: { id: ana },
    });
    expect(codeOf(await phone.post('/session/person', { personId: ben, pin: '2580' }))).toBe(
      'noPin',
    );
    const elsewhere = await world.owner.post('/session/person', { personId: ana, pin: '2580' });
    expect([elsewhere.status, codeOf(elsewhere)]).toEqual([409, 'notHere']);
    // A PIN is not guessed: after five tries the right one waits too.
    for (let tries = 0; tries < 5; tries++)
      await phone.post('/session/person', { personId: ana, pin: '1111' });
    expect((await phone.post('/session/person', { personId: ana, pin: '2580' })).status).toBe(429);
    // Nobody signs out another than themselves.
    const out = await phone.call('DELETE', '/session', undefined, madeBy(ben));
    expect(codeOf(out)).toBe('otherPerson');
    expect((await phone.get('/session')).body).toMatchObject({ person: { id: ana } });
    // Who is signed in nowhere here: what they did waits for them.
    const left = await record(
      phone,
      attemptOn(document.splices[2]!.id, 20),
      madeBy(await world.owner.me(), proof),
    );
    expect([left.status, codeOf(left)]).toEqual([401, 'otherPerson']);
  });

  it('lets nobody act as another: a proof sends what was recorded, on its own device, and decides nothing', async () => {
    const phone = await world.member(projectId, 'lead', 'Lea Lent');
    const lea = await phone.me();
    const proof = await proofAt(phone, 'lea.lent@firm.example');
    await phone.join(await world.owner.invite(projectId, 'technician'), 'Tess Takes');
    const [mill] = document.closures;
    const project = `/projects/${projectId}`;
    // What a technician tried with a lead who is signed in on the same phone.
    for (const headers of [madeBy(lea), madeBy(lea, 'x'.repeat(43)), madeBy(lea, proof)]) {
      const refused = [
        await phone.call('PUT', project, { ...document.project, name: 'Hers' }, headers),
        await phone.call(
          'POST',
          `${project}/invitations`,
          { id: uuid(), role: 'technician' },
          headers,
        ),
        await phone.call('PUT', '/session/pin', { pin: '9999' }, headers),
        await record(
          phone,
          {
            ...attemptOn(document.splices[7]!.id, 20),
            type: 'ruling',
            kind: 'waive',
            reason: 'mine',
          },
          headers,
        ),
        await phone.call(
          'POST',
          `/closures/${mill!.id}/closing`,
          { entries: [signature('lead')] },
          headers,
        ),
      ];
      expect(refused.map((answer) => [answer.status, codeOf(answer)])).toEqual(
        refused.map(() => [401, 'otherPerson']),
      );
    }
    const entry = attemptOn(document.splices[7]!.id, 20);
    expect((await record(phone, entry, madeBy(lea, proof))).status).toBe(200);
    // On another device it is worth nothing, nor is it once the person signs in anew.
    const thief = await world.member(projectId, 'technician', 'Theo Thief');
    const more = attemptOn(document.splices[8]!.id, 20);
    expect(codeOf(await record(thief, more, madeBy(lea, proof)))).toBe('otherPerson');
    await phone.post('/session', { email: 'lea.lent@firm.example', password: PASSWORD });
    await phone.post('/session', { email: 'tess.takes@firm.example', password: PASSWORD });
    expect(codeOf(await record(phone, more, madeBy(lea, proof)))).toBe('otherPerson');
  });

  it('makes a device’s secret anew with each sign-in, and takes none that it did not make', async () => {
    const phone = await world.member(projectId, 'technician', 'Sam Secret');
    const before = phone.cookies.get('cordel.device')!;
    const planted = world.browser();
    planted.cookies.set('cordel.device', 'p'.repeat(43));
    await planted.post('/session', { email: 'sam.secret@firm.example', password: PASSWORD });
    expect(planted.cookies.get('cordel.device')).not.toBe('p'.repeat(43));
    await phone.post('/session', { email: 'sam.secret@firm.example', password: PASSWORD });
    const after = phone.cookies.get('cordel.device')!;
    expect(after).not.toBe(before);
    // Where the answer of a sign-in is lost, the one before holds; once the new one has been in use for a while, no more.
    phone.cookies.set('cordel.device', before);
    expect((await phone.get('/projects')).status).toBe(200);
    await rowsOf(world.api.db, sql`update devices set renewed_at = now() - interval '2 minutes'`);
    phone.cookies.set('cordel.device', after);
    expect((await phone.get('/projects')).status).toBe(200);
    phone.cookies.set('cordel.device', before);
    expect(codeOf(await phone.get(`/projects/${projectId}`))).toBe('otherDevice');
  });

  it('is signed by PIN or password each time, and for some minutes', async () => {
    const phone = await world.member(projectId, 'technician', 'Pat Pen');
    const closing = `/closures/${document.closures[0]!.id}/closing`;
    const sign = () => phone.post(closing, { entries: [signature('technician')] });
    const unconfirmed = await sign();
    expect([unconfirmed.status, codeOf(unconfirmed)]).toEqual([401, 'notConfirmed']);
    expect(codeOf(await phone.post('/session/confirm', { password: 'not this one' }))).toBe(
      'wrongOwnPassword',
    );
    expect(codeOf(await phone.post('/session/confirm', { pin: '2580' }))).toBe('noPin');
    await phone.put('/session/pin', { pin: '2580' });
    expect(codeOf(await phone.post('/session/confirm', { pin: '0000' }))).toBe('wrongPin');
    expect(codeOf(await sign())).toBe('notConfirmed');
    for (const by of [{ pin: '2580' }, { password: PASSWORD }]) {
      expect((await phone.post('/session/confirm', by)).status).toBe(200);
      // It is refused for what is open in the closure, no more for who signs.
      expect((await sign()).status).not.toBe(401);
      await rowsOf(
        world.api.db,
        sql`update sessions set confirmed_at = now() - interval '6 minutes'`,
      );
      expect(codeOf(await sign())).toBe('notConfirmed');
    }
  });

  it('keeps work of a lost phone, marked, and lets nobody else use it', async () => {
    const phone = await world.member(projectId, 'technician', 'Lou Lost');
    const before = attemptOn(document.splices[3]!.id, 20);
    const [device] = ((await phone.get('/sessions')).body as { deviceId: string }[]).map(
      ({ deviceId }) => deviceId,
    );
    // By who is signed in on it, from elsewhere, or the owner; by nobody else.
    const tom = await world.member(projectId, 'technician', 'Tia Tube');
    expect((await tom.post(`/devices/${device}/lock-out`, {})).status).toBe(404);
    expect((await world.owner.post(`/devices/${device}/lock-out`, {})).status).toBe(200);
    const refused = await record(phone, before);
    expect([refused.status, codeOf(refused)]).toEqual([401, 'lockedOut']);
    await phone.post('/session', { email: 'lou.lost@firm.example', password: PASSWORD });
    expect((await record(phone, before)).status).toBe(200);
    expect(await entryOf(before.id)).toMatchObject({ by: 'Lou Lost', late: true });
    const after = { ...attemptOn(document.splices[4]!.id, 20), at: new Date().toISOString() };
    expect((await record(phone, after)).status).toBe(200);
    expect(await entryOf(after.id)).toMatchObject({ late: false });
  });

  it('ends with a role that is taken away, while the entry can still be sent once it is given back', async () => {
    const tim = await world.member(projectId, 'technician', 'Tim Taken');
    const id = await tim.me();
    const entry = attemptOn(document.splices[5]!.id, 20);
    await world.owner.put(`/projects/${projectId}/members/${id}`, { role: null });
    const refused = await record(tim, entry);
    expect([refused.status, codeOf(refused)]).toEqual([403, 'noMember']);
    expect(((await tim.get('/projects')).body as unknown[]).length).toBe(0);
    const again = await world.owner.invite(projectId, 'technician');
    await tim.post('/invitations/accept', { secret: again, person: null });
    expect((await record(tim, entry)).status).toBe(200);
  });
});

it('keeps an owner in every project', async () => {
  const only = await world.owner.me();
  const answer = await world.owner.put(`/projects/${projectId}/members/${only}`, { role: 'lead' });
  expect([answer.status, codeOf(answer)]).toEqual([409, 'lastOwner']);
});

it('takes writes from pages of its own alone, as JSON', async () => {
  const body = { entries: [attemptOn(document.splices[0]!.id, 20)] };
  for (const origin of ['http://evil.example', 'null', ''])
    expect((await world.owner.call('POST', '/evidence', body, { origin })).status).toBe(403);
  for (const type of [
    'text/plain',
    'application/x-www-form-urlencoded',
    'multipart/form-data; boundary=x',
  ])
    expect(
      (await world.owner.call('POST', '/evidence', body, { 'content-type': type })).status,
    ).toBe(415);
});

it('says with every answer that it is from here, a refusal too', async () => {
  const ask = (path: string, method = 'GET', headers: Record<string, string> = {}) =>
    world.api.open(path, { method, headers });
  const length = { 'content-length': '999999999', 'content-type': 'application/json' };
  const origin = { origin: 'http://cordel.example' };
  const asked = await Promise.all([
    ask('/session'),
    ask('/projects'),
    ask('/nothing'),
    ask('/evidence', 'POST'),
    ask('/evidence', 'POST', { ...origin, ...length }),
  ]);
  expect(asked.map(({ status }) => status)).toEqual([200, 401, 404, 403, 401]);
  const ids = new Set(asked.map(({ headers }) => headers.get('x-cordel-database')));
  expect([...ids]).toEqual([expect.stringMatching(/^[0-9a-f-]{36}$/)]);
});

it('tells in its trail who signed in, joined, changed and exported', async () => {
  await world.owner.get(`/projects/${projectId}/csv/splices`);
  await world.owner.put(`/projects/${projectId}`, { ...document.project, name: 'Mill line 2' });
  const mill = document.closures.find(({ name }) => name === 'Mill')!.id;
  const plan = (await world.owner.get(`/closures/${mill}/plan`)).body as object;
  await world.owner.put(`/closures/${mill}/plan`, {
    ...plan,
    changeId: uuid(),
    anew: false,
    retire: null,
  });
  const own = (await world.owner.get(`/projects/${projectId}/audit`)).body as {
    code: string;
    person: string;
    parameters: object;
  }[];
  expect(own).toEqual(
    expect.arrayContaining([
      expect.objectContaining({
        code: 'exported',
        person: 'Olga Host',
        parameters: { what: 'splices' },
      }),
      expect.objectContaining({ code: 'projectChanged', parameters: { parts: ['name'] } }),
      expect.objectContaining({
        code: 'planSaved',
        parameters: expect.objectContaining({ closure: 'Mill', added: 0, dropped: 0 }) as object,
      }),
      expect.objectContaining({
        code: 'joined',
        parameters: { name: 'Tom Tray', role: 'technician' },
      }),
      expect.objectContaining({
        code: 'roleTaken',
        parameters: { name: 'Tim Taken', from: 'technician' },
      }),
    ]),
  );
  const all = (await world.owner.get('/audit')).body as { code: string }[];
  const codes = new Set(all.map(({ code }) => code));
  for (const code of ['signInFailed', 'deviceLockedOut', 'passwordChanged'])
    expect(codes).toContain(code);
  // Nothing that opens a door is in it.
  expect(JSON.stringify(all)).not.toContain(PASSWORD);
  await expect(rowsOf(world.api.db, sql`update audit set code = 'x'`)).rejects.toThrow();
  await expect(rowsOf(world.api.db, sql`delete from receipts`)).rejects.toThrow();
});

describe('where a server listens', () => {
  it('is this machine alone where nobody signs in', () => {
    expect(readListening({}, false, 0)).toMatchObject({ hostname: '127.0.0.1', origin: null });
    expect(() => readListening({ HOST: '0.0.0.0' }, false, 0)).toThrow(/npm run serve/);
  });

  it('goes by the address that people type', () => {
    const env = { CORDEL_ORIGIN: 'https://splices.example/', HOST: '0.0.0.0' };
    expect(readListening(env, true, 0)).toMatchObject({
      hostname: '0.0.0.0',
      origin: 'https://splices.example',
    });
    for (const wrong of ['splices.example', 'https://splices.example/x', 'ftp://splices.example'])
      expect(() => readListening({ CORDEL_ORIGIN: wrong }, true, 0)).toThrow(/CORDEL_ORIGIN/);
    expect(() => readCertificate({ CORDEL_TLS_CERT: 'a' }, 0)).toThrow(/go together/);
    expect(() => readCertificate({ CORDEL_TLS_CERT: '/none', CORDEL_TLS_KEY: '/none' }, 0)).toThrow(
      /read/,
    );
  });
});
