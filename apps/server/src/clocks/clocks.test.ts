import type { ProjectDocument } from '@cordel/core/document';
import { v7 as uuid } from 'uuid';
import { type TestApi, startApi } from '../testing/api.ts';
import { attemptOn, smallDocument } from '../testing/small.ts';
import { clockOffMs } from './correct.ts';

let api: TestApi;
let document: ProjectDocument;
beforeAll(async () => {
  api = await startApi();
});
afterAll(() => api.close());
beforeEach(async () => {
  document = smallDocument();
  expect((await api.post('/documents', document)).status).toBe(200);
});

const MINUTE = 60_000;
const HOUR = 60 * MINUTE;

/** A device whose clock is off by so much, ms; negative where it is slow. */
const device = (offMs: number) => {
  const now = (agoMs = 0) => new Date(Date.now() + offMs - agoMs).toISOString();
  const post = (path: string, body: object) => api.post(path, body, { 'x-cordel-clock': now() });
  return {
    now,
    record: (entries: object[]) => post('/evidence', { entries }),
    close: (entries: object[]) =>
      post(`/closures/${document.closures[0]!.id}/closing`, { entries }),
  };
};

const attempts = async () => {
  const { body } = await api.get(`/closures/${document.closures[0]!.id}/work`);
  return (body as { evidence: { id: string; at: string; type: string }[] }).evidence;
};
const corrections = async () =>
  (await api.get(`/projects/${document.project.id}/clock-corrections`)).body as {
    by: string;
    offS: number;
    entries: number;
  }[];
/** An attempt of some time ago, as the device tells it. */
const attemptOf = (at: string, splice = 0) => ({
  ...attemptOn(document.splices[splice]!.id, 0),
  at,
});
const awayMs = (at: string, fromMs: number) => Math.abs(Date.parse(at) - fromMs);

describe('a device whose clock is wrong', () => {
  it.each([
    ['three hours slow', -3 * HOUR],
    ['forty minutes fast', 40 * MINUTE],
    ['two years slow', -2 * 365 * 24 * HOUR],
  ])('is %s: what it made is recorded by our clock, and what it said is kept', async (_, offMs) => {
    const phone = device(offMs);
    const entry = attemptOf(phone.now(2 * HOUR));
    const made = Date.now() - 2 * HOUR;
    expect((await phone.record([entry])).status).toBe(200);
    const [held] = (await attempts()).filter(({ id }) => id === entry.id);
    expect(awayMs(held!.at, made)).toBeLessThan(10_000);
    const [correction] = await corrections();
    expect(correction).toMatchObject({ by: entry.by, entries: 1 });
    expect(Math.abs(correction!.offS + offMs / 1000)).toBeLessThan(10);
  });

  it('may send the same entry again, with its clock as it was or set right', async () => {
    const phone = device(-HOUR);
    const entry = attemptOf(phone.now());
    await phone.record([entry]);
    const before = await attempts();
    expect((await phone.record([entry])).body).toEqual({ recorded: 0 });
    expect((await device(0).record([entry])).body).toEqual({ recorded: 0 });
    expect((await phone.record([{ ...entry, estimateMdb: 777 }])).status).toBe(409);
    expect(await attempts()).toEqual(before);
    expect(await corrections()).toMatchObject([{ entries: 1 }]);
  });

  it('does not change what came while its clock was right', async () => {
    const entry = attemptOf(device(0).now());
    await device(0).record([entry]);
    expect((await device(-HOUR).record([entry])).body).toEqual({ recorded: 0 });
    expect(await attempts()).toMatchObject([{ at: entry.at }]);
    expect(await corrections()).toEqual([]);
  });

  it('keeps the order of what it made, over several requests', async () => {
    const phone = device(-HOUR);
    const begun = Date.parse(phone.now(HOUR));
    const at = (ms: number) => new Date(begun + ms).toISOString();
    const [first, second] = [attemptOf(at(0), 0), attemptOf(at(5), 1)];
    await phone.record([second]);
    await phone.record([first]);
    const held = new Map((await attempts()).map(({ id, at: moment }) => [id, Date.parse(moment)]));
    expect(held.get(second.id)! - held.get(first.id)!).toBe(5);
  });

  it('is what an entry of the future comes from, though the clock has been set meanwhile', async () => {
    const entry = attemptOf(new Date(Date.now() + 26 * HOUR).toISOString());
    expect((await device(0).record([entry])).status).toBe(200);
    const [held] = await attempts();
    expect(awayMs(held!.at, Date.now())).toBeLessThan(10_000);
    expect(await corrections()).toMatchObject([{ entries: 1 }]);
  });

  it('has what it closed corrected as well, and all of a write or nothing', async () => {
    const phone = device(-HOUR);
    const closureId = document.closures[0]!.id;
    const leave = {
      kind: 'leave',
      id: uuid(),
      closureId,
      by: 'M.',
      at: phone.now(),
      done: 'Tray 1.',
    };
    expect((await phone.close([{ ...leave, closureId: uuid() }])).status).toBe(422);
    expect(await corrections()).toEqual([]);
    expect((await phone.close([leave])).status).toBe(200);
    const { body } = await api.get(`/closures/${closureId}/closing`);
    const [entry] = (body as { entries: { at: string }[] }).entries;
    expect(awayMs(entry!.at, Date.now())).toBeLessThan(10_000);
    expect(await corrections()).toMatchObject([{ by: 'M.', entries: 1 }]);
  });
});

it('takes two clocks that are five minutes apart for the same', () => {
  const now = Date.parse('2026-05-04T20:00:00Z');
  expect(clockOffMs('2026-05-04T20:05:00Z', now)).toBe(0);
  expect(clockOffMs('2026-05-04T19:54:59Z', now)).toBe(5 * MINUTE + 1000);
  expect(clockOffMs('2026-05-04T20:05:01Z', now)).toBe(-5 * MINUTE - 1000);
  expect([undefined, '', 'noon'].map((header) => clockOffMs(header, now))).toEqual([0, 0, 0]);
});
