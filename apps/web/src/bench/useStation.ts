import { queryOptions, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { type InstrumentEntry, type ReceivedRecord, type Splicer } from '@cordel/core';
import { v7 as uuid } from 'uuid';
import { COMMANDS, answerOf, commands, withWrites } from '@cordel/client';
import { benchShared as t } from '@cordel/text/pages/bench/shared';
import { api } from '@/data/api';
import { useLive } from '@/data/changes';
import { outbox, useOutbox, usePendingEvidence } from '@/data/client';
import { personNow } from '@/data/session';

/** The bench as the server has it, as tables of a snapshot. */
async function readBench(projectId: string) {
  const { log, ...rest } = await answerOf(
    api.GET('/api/projects/{projectId}/bench', { params: { path: { projectId } } }),
  );
  return { ...rest, projectId, instrumentLog: log };
}

type Held = Awaited<ReturnType<typeof readBench>>;

const NOTHING: Omit<Held, 'projectId'> = {
  instruments: [],
  instrumentLog: [],
  taken: [],
  setAside: [],
};
const NO_RECORDS: ReceivedRecord[] = [];

/** What splicers recorded in a project, as it was read; those that come in are added. */
export const recordsQuery = (projectId: string) =>
  queryOptions({
    queryKey: ['records', projectId],
    queryFn: () =>
      answerOf(
        api.GET('/api/projects/{projectId}/splicer-records', { params: { path: { projectId } } }),
      ),
    // Those that come in are added to them.
    staleTime: Infinity,
  });

export const useSplicerRecords = (projectId: string, enabled = true) =>
  useQuery({ ...recordsQuery(projectId), enabled });

/** The instruments of a project and what was done to them, as the server has it. */
export const benchQuery = (projectId: string) =>
  queryOptions({
    queryKey: ['bench', projectId],
    queryFn: () => readBench(projectId),
  });

export const useBenchHeld = (projectId: string) => useQuery(benchQuery(projectId));

/**
 * The instruments of a project, what was done to them and what splicers recorded: as the server has it,
 * with what waits to be sent, and as it comes in.
 */
export function useStation(projectId: string) {
  const { writes } = useOutbox();
  const evidence = usePendingEvidence();
  const query = useBenchHeld(projectId);
  const records = useSplicerRecords(projectId);
  const live = useLive();
  const held = query.data ?? NOTHING;
  const list = records.data ?? NO_RECORDS;
  return useMemo(() => {
    const shown = withWrites({ ...held, projectId }, writes, COMMANDS);
    const taken = new Set(held.taken);
    for (const entry of evidence) {
      if (entry.type !== 'attempt' || entry.recordId === null) continue;
      if (entry.void) taken.delete(entry.recordId);
      else taken.add(entry.recordId);
    }
    const aside = new Set(shown.setAside.map(({ recordId }) => recordId));
    return {
      loaded: query.isSuccess && records.isSuccess,
      live,
      instruments: shown.instruments,
      splicers: shown.instruments.filter((one): one is Splicer => one.kind === 'splicer'),
      log: shown.instrumentLog,
      records: list,
      taken,
      aside,
    };
  }, [writes, evidence, held, list, live, projectId, query.isSuccess, records.isSuccess]);
}

export type Station = ReturnType<typeof useStation>;

const signed = () => ({ id: uuid(), by: personNow(), at: new Date().toISOString() });

type Logged = InstrumentEntry extends infer Entry
  ? Entry extends InstrumentEntry
    ? Omit<Entry, 'id' | 'by' | 'at' | 'projectId'>
    : never
  : never;

/** Logs what was done to an instrument. */
export function logInstrument(projectId: string, entry: Logged, what: string): void {
  const full = { ...signed(), projectId, ...entry };
  void outbox.add(commands.logInstruments, { projectId, entries: [full] }, what);
}

/** Says of a record that it belongs to no splice. */
export function setAside(projectId: string, recordId: string, why: string): void {
  void outbox.add(
    commands.setRecordsAside,
    { projectId, entries: [{ ...signed(), recordId, why }] },
    t('aRecordSetAside'),
  );
}
