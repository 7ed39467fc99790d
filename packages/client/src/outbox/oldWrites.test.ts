import { COMMANDS } from '../commands/index.ts';
import { fromOldWrite } from './oldWrites.ts';

const ID = '019da9e7-4800-7000-8000-000000000001';
const old = (method: 'PUT' | 'POST' | 'DELETE', path: string, body: unknown) =>
  fromOldWrite({ id: ID, method, path, body, what: 'So', state: 'waiting' });

/** Requests as pages stored them that had no commands yet, and what each command takes. */
test.each([
  ['POST', '/api/evidence', { entries: [1] }, 'evidence.record', { entries: [1] }],
  ['PUT', `/api/projects/${ID}`, { id: ID }, 'project.save', { id: ID }],
  ['PUT', `/api/cables/${ID}`, { id: ID }, 'cable.save', { id: ID }],
  ['PUT', `/api/closures/${ID}`, { id: ID }, 'closure.save', { id: ID }],
  ['PUT', '/api/schemes/own', { id: 'own' }, 'scheme.save', { id: 'own' }],
  ['PUT', '/api/hardware/own', { id: 'own' }, 'hardware.save', { id: 'own' }],
  ['PUT', '/api/instruments/own', { id: 'own' }, 'instrument.save', { id: 'own' }],
  ['PUT', `/api/closures/${ID}/plan`, { text: '' }, 'plan.save', { text: '' }],
  [
    'POST',
    `/api/assemblies/${ID}/changes`,
    { kind: 'reach', reach: 20 },
    'assembly.change',
    { closureId: ID, change: { kind: 'reach', reach: 20 } },
  ],
  ['DELETE', `/api/records/cable/${ID}`, null, 'record.delete', { kind: 'cable', id: ID }],
  [
    'PUT',
    `/api/records/cable/${ID}/archived`,
    { archived: true },
    'record.archive',
    { kind: 'cable', id: ID, archived: true },
  ],
  [
    'POST',
    `/api/projects/${ID}/instrument-log`,
    { entries: [1] },
    'instrument.log',
    { projectId: ID, entries: [1] },
  ],
  [
    'POST',
    `/api/projects/${ID}/set-aside`,
    { entries: [1] },
    'records.set-aside',
    { projectId: ID, entries: [1] },
  ],
  [
    'POST',
    `/api/projects/${ID}/splicer-records`,
    { records: [1] },
    'records.import',
    { projectId: ID, records: [1] },
  ],
  [
    'POST',
    `/api/closures/${ID}/closing`,
    { entries: [1] },
    'closing.append',
    { closureId: ID, entries: [1] },
  ],
  ['POST', '/api/photos', { id: ID }, 'photo.add', { id: ID }],
  [
    'POST',
    `/api/projects/${ID}/trace-places`,
    { entries: [1] },
    'traces.place',
    { projectId: ID, entries: [1] },
  ],
  [
    'POST',
    `/api/projects/${ID}/proof/readings`,
    { by: 'A. Reed' },
    'traces.record-readings',
    { projectId: ID, by: 'A. Reed' },
  ],
  [
    'POST',
    `/api/projects/${ID}/splice-list`,
    { text: 'a' },
    'splice-list.import',
    { projectId: ID, text: 'a' },
  ],
  [
    'POST',
    `/api/projects/${ID}/geojson`,
    { text: 'a' },
    'route.import',
    { projectId: ID, text: 'a' },
  ],
  ['POST', '/api/documents', { id: ID }, 'document.import', { document: { id: ID } }],
  ['POST', `/api/projects/${ID}/packages`, { id: ID }, 'package.ask', { projectId: ID, id: ID }],
  ['POST', `/api/packages/${ID}/stop`, {}, 'package.stop', { packageId: ID }],
] as const)('%s %s with %j is %s', (method, path, body, command, input) => {
  const write = old(method, path, body);
  expect(write).toMatchObject({ id: ID, command, label: 'So', state: 'waiting' });
  expect(write!.input).toEqual(input);
  expect(COMMANDS.has(command)).toBe(true);
});

test('what it was and when is kept, and what is no request of ours is no command', () => {
  expect(old('POST', '/api/evidence', { entries: [{ by: 'A. Reed' }] })).toMatchObject({
    person: 'A. Reed',
    // The first 48 bits of the id: 0x019da9e74800 ms.
    madeAt: new Date(0x019da9e74800).toISOString(),
  });
  expect(old('POST', '/api/nothing', {})).toBeNull();
});
