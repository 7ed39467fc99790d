import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { type Plan, emptyAssembly } from '@cordel/core';
import {
  type ClosingEntry,
  type ClosingState,
  type Photo,
  closingPoints,
  closingSplices,
  closingState,
  closureRecord,
  digestOf,
  sealRecord,
} from '@cordel/core/close';
import { v7 as uuid } from 'uuid';
import { read } from '@/data/api';
import { outbox, useOutbox } from '@/data/client';
import type { Write } from '@/data/outbox';
import { useWork } from '@/data/queries';
import { personNow } from '@/data/storage';
import { useProjectView } from '@/projects/context';

interface Held {
  entries: ClosingEntry[];
  photos: { id: string; digest: string; by: string; at: string }[];
  plan: Plan | null;
  digest: string;
  signed: { digest: string; whole: boolean; changes: string[] }[];
}

const pathOf = (closureId: string) => `/api/closures/${closureId}/closing`;

const waitingAt = <Body>(writes: readonly Write[], path: string): Body[] =>
  writes.flatMap((write) =>
    write.state === 'waiting' && write.path === path ? [write.body as Body] : [],
  );

const withFresh = <Item extends { id: string }>(held: readonly Item[], more: readonly Item[]) => {
  const known = new Set(held.map(({ id }) => id));
  return [...held, ...more.filter(({ id }) => !known.has(id))];
};

type Unsigned<Entry = ClosingEntry> = Entry extends ClosingEntry
  ? Omit<Entry, 'id' | 'closureId' | 'by' | 'at'> & { id?: string; by?: string; at?: string }
  : never;

/** The closing of a closure as the server has it, with what waits to be sent, and the ways to go on. */
export function useClosing(closureId: string) {
  const view = useProjectView();
  const { writes } = useOutbox();
  const work = useWork(closureId);
  const query = useQuery({
    queryKey: ['closing', closureId],
    queryFn: () => read<Held>(pathOf(closureId)),
  });
  const held = query.data;
  const closure = view.closures.find(({ id }) => id === closureId);
  const made = useMemo(() => {
    if (!held || !work.data || !closure) return null;
    const pending = waitingAt<{ entries: ClosingEntry[] }>(writes, pathOf(closureId));
    const entries = withFresh(
      held.entries,
      pending.flatMap((body) => body.entries),
    );
    const own = waitingAt<Photo>(writes, '/api/photos').filter(
      (photo) => photo.closureId === closureId,
    );
    const photos = withFresh(
      held.photos,
      own.map(({ id, by, at, bytes }) => ({ id, by, at, digest: digestOf(bytesOf(bytes)) })),
    );
    const assembly = view.assemblies.find((entry) => entry.closureId === closureId) ?? null;
    const hardware = view.hardware.find(({ id }) => id === assembly?.hardwareId) ?? null;
    const { project, cables } = view;
    const { splices, retired, evidence } = work.data;
    const judged = closingSplices(splices, evidence, project.limits);
    const state: ClosingState = closingState({
      entries,
      points: closingPoints({
        closure,
        assembly: assembly ?? emptyAssembly(closureId),
        hardware,
        splices: judged,
        cableName: (id) => view.cable(id)?.name ?? id,
        unit: project.units.length,
      }),
      hardware,
      splices: judged,
      leakLimit: project.practice.leakLimit,
    });
    const parts = { project, closure, hardware: view.hardware, assembly, plan: held.plan };
    /** What a signature would stand under, as it lies here with what waits to be sent. */
    const seal = () =>
      sealRecord(closureRecord({ ...parts, cables, splices, retired, evidence, entries, photos }))
        .digest;
    return { closure, hardware, entries, photos, state, seal, signed: held.signed };
  }, [held, work.data, closure, writes, view, closureId]);
  const write = (list: readonly Unsigned[], what: string) => {
    const signed = list.map((entry) => ({
      id: uuid(),
      closureId,
      by: personNow(),
      at: new Date().toISOString(),
      ...entry,
    }));
    return outbox.add({
      method: 'POST',
      path: pathOf(closureId),
      body: { entries: signed },
      what: `${closure?.name ?? 'Closure'}: ${what}`,
    });
  };
  return { made, write, error: query.error ?? work.error };
}

export type ClosingHook = ReturnType<typeof useClosing>;
export type Closing = NonNullable<ClosingHook['made']>;

/** Bytes of base 64. */
const bytesOf = (base64: string): Uint8Array =>
  Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0));
