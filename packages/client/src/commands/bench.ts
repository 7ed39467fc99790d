import { z } from 'zod';
import {
  type Instrument,
  idSchema,
  instrumentEntrySchema,
  instrumentSchema,
  setAsideSchema,
  splicerRecordSchema,
} from '@cordel/core';
import { answerOf } from '../api/api.ts';
import { command } from './command.ts';
import { savedSchema } from './saved.ts';

export const saveInstrument = command({
  name: 'instrument.save',
  needs: () => ({ right: 'record', anywhere: true }),
  schema: savedSchema(instrumentSchema),
  send: (api, instrument) =>
    answerOf(
      api.PUT('/api/instruments/{instrumentId}', {
        params: { path: { instrumentId: instrument.id } },
        body: instrument,
      }),
    ),
  apply: (rows, { base: _read, ...instrument }) =>
    rows.put('instruments', instrument as Instrument),
});

export const logInstruments = command({
  name: 'instrument.log',
  needs: () => ({ right: 'record' }),
  isRecord: true,
  schema: z.object({ projectId: idSchema, entries: z.array(instrumentEntrySchema).min(1) }),
  send: (api, { projectId, entries }) =>
    answerOf(
      api.POST('/api/projects/{projectId}/instrument-log', {
        params: { path: { projectId } },
        body: { entries },
      }),
    ),
  apply: (rows, { projectId, entries }) => {
    if (rows.isOf(projectId)) rows.append('instrumentLog', entries);
  },
});

export const setRecordsAside = command({
  name: 'records.set-aside',
  needs: () => ({ right: 'record' }),
  isRecord: true,
  schema: z.object({ projectId: idSchema, entries: z.array(setAsideSchema).min(1) }),
  send: (api, { projectId, entries }) =>
    answerOf(
      api.POST('/api/projects/{projectId}/set-aside', {
        params: { path: { projectId } },
        body: { entries },
      }),
    ),
  apply: (rows, { projectId, entries }) => {
    if (rows.isOf(projectId)) rows.append('setAside', entries);
  },
});

export const importSplicerRecords = command({
  name: 'records.import',
  needs: () => ({ right: 'record' }),
  isRecord: true,
  schema: z.object({ projectId: idSchema, records: z.array(splicerRecordSchema).min(1) }),
  send: (api, { projectId, records }) =>
    answerOf(
      api.POST('/api/projects/{projectId}/splicer-records', {
        params: { path: { projectId } },
        body: { records },
      }),
    ),
});
