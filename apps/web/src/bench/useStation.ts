import { useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import {
  type Instrument,
  type InstrumentEntry,
  type ReceivedRecord,
  type SetAside,
  type Splicer,
} from '@cordel/core';
import { v7 as uuid } from 'uuid';
import { read } from '@/data/api';
import { outbox, queryClient, useOutbox, usePendingEvidence } from '@/data/client';
import type { Write } from '@/data/outbox';
import { personNow } from '@/data/storage';

interface Held {
  instruments: Instrument[];
  log: InstrumentEntry[];
  taken: string[];
  setAside: SetAside[];
}

const NOTHING: Held = { instruments: [], log: [], taken: [], setAside: [] };
const NO_RECORDS: ReceivedRecord[] = [];

/** What waits to be sent of one kind of entry. */
const pendingOf = <Entry>(writes: readonly Write[], path: string): Entry[] =>
  writes
    .filter((write) => write.state === 'waiting' && write.path === path)
    .flatMap((write) => (write.body as { entries: Entry[] }).entries);

/** What splicers recorded in a project, as it was read; {@link useStation} keeps it live. */
export const useSplicerRecords = (projectId: string, enabled = true) =>
  useQuery({
    queryKey: ['records', projectId],
    queryFn: () => read<ReceivedRecord[]>(`/api/projects/${projectId}/splicer-records`),
    // The stream keeps them up to date.
    staleTime: Infinity,
    enabled,
  });

/** The instruments of a project and what was done to them, as the server has it. */
export const useBenchHeld = (projectId: string) =>
  useQuery({
    queryKey: ['bench', projectId],
    queryFn: () => read<Held>(`/api/projects/${projectId}/bench`),
  });

/**
 * The instruments of a project, what was done to them and what splicers recorded: as the server has it,
 * with what waits to be sent, and live by the stream.
 */
export function useStation(projectId: string) {
  const { writes } = useOutbox();
  const evidence = usePendingEvidence();
  const query = useBenchHeld(projectId);
  const records = useSplicerRecords(projectId);
  const live = useStream(projectId, records.isSuccess);
  const held = query.data ?? NOTHING;
  const list = records.data ?? NO_RECORDS;
  const base = `/api/projects/${projectId}`;
  return useMemo(() => {
    const pendingLog = pendingOf<InstrumentEntry>(writes, `${base}/instrument-log`);
    const pendingAside = pendingOf<SetAside>(writes, `${base}/set-aside`);
    const known = new Set(held.log.map(({ id }) => id));
    const log = [...held.log, ...pendingLog.filter(({ id }) => !known.has(id))];
    const taken = new Set(held.taken);
    for (const entry of evidence) {
      if (entry.type !== 'attempt' || entry.recordId === null) continue;
      if (entry.void) taken.delete(entry.recordId);
      else taken.add(entry.recordId);
    }
    const aside = new Set([...held.setAside, ...pendingAside].map(({ recordId }) => recordId));
    return {
      loaded: query.isSuccess && records.isSuccess,
      live,
      instruments: held.instruments,
      splicers: held.instruments.filter((one): one is Splicer => one.kind === 'splicer'),
      log,
      records: list,
      taken,
      aside,
    };
  }, [writes, evidence, held, list, live, base, query.isSuccess, records.isSuccess]);
}

export type Station = ReturnType<typeof useStation>;

/** Listens to the stream and puts records where they are shown. It goes on by itself when it was cut off. */
function useStream(projectId: string, ready: boolean): boolean {
  const [live, setLive] = useState(false);
  useEffect(() => {
    if (!ready || typeof EventSource === 'undefined') return;
    const key = ['records', projectId];
    const held = queryClient.getQueryData<ReceivedRecord[]>(key) ?? [];
    const after = Math.max(0, ...held.map(({ seq }) => seq));
    const source = new EventSource(
      `/api/projects/${projectId}/splicer-records/stream?after=${after}`,
    );
    source.onopen = () => setLive(true);
    source.onerror = () => setLive(false);
    source.addEventListener('record', (event) => {
      const record = JSON.parse((event as MessageEvent<string>).data) as ReceivedRecord;
      queryClient.setQueryData<ReceivedRecord[]>(key, (list = []) =>
        list.some(({ id }) => id === record.id) ? list : [...list, record],
      );
    });
    return () => source.close();
  }, [projectId, ready]);
  return live;
}

const signed = () => ({ id: uuid(), by: personNow(), at: new Date().toISOString() });

type Logged = InstrumentEntry extends infer Entry
  ? Entry extends InstrumentEntry
    ? Omit<Entry, 'id' | 'by' | 'at' | 'projectId'>
    : never
  : never;

/** Logs what was done to an instrument. */
export function logInstrument(projectId: string, entry: Logged, what: string): void {
  const full = { ...signed(), projectId, ...entry };
  void outbox.add({
    method: 'POST',
    path: `/api/projects/${projectId}/instrument-log`,
    body: { entries: [full] },
    what,
  });
}

/** Says of a record that it belongs to no splice. */
export function setAside(projectId: string, recordId: string, why: string): void {
  void outbox.add({
    method: 'POST',
    path: `/api/projects/${projectId}/set-aside`,
    body: { entries: [{ ...signed(), recordId, why }] },
    what: 'A record set aside',
  });
}
