import { queryOptions, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { emptyAssembly } from '@cordel/core';
import {
  type ClosingEntry,
  type ClosingState,
  closingPoints,
  closingSplices,
  closingState,
  closureRecord,
  digestOf,
  sealRecord,
} from '@cordel/core/close';
import { v7 as uuid } from 'uuid';
import { COMMANDS, type ShownPhoto, answerOf, commands, withWrites } from '@cordel/client';
import type { paths } from '@cordel/client/paths';
import { common } from '@cordel/text/pages/common';
import { api } from '@/data/api';
import { outbox, useOutbox } from '@/data/client';
import { useWork } from '@/data/queries';
import { personNow } from '@/data/session';
import { useProjectView } from '@/projects/context';

/** What the server answers of a closing. */
export type ClosingAnswer =
  paths['/api/closures/{closureId}/closing']['get']['responses'][200]['content']['application/json'];

/** The closing of a closure as the server has it, as tables of a snapshot. */
export const closingTables = (
  closureId: string,
  { entries, photos, plan, signed }: Omit<ClosingAnswer, 'digest'>,
) => ({ closureId, closing: entries, photos, plan, signed });

const readClosing = async (closureId: string) =>
  closingTables(
    closureId,
    await answerOf(
      api.GET('/api/closures/{closureId}/closing', { params: { path: { closureId } } }),
    ),
  );

type Unsigned<Entry = ClosingEntry> = Entry extends ClosingEntry
  ? Omit<Entry, 'id' | 'closureId' | 'by' | 'at'> & { id?: string; by?: string; at?: string }
  : never;

export const closingQuery = (closureId: string) =>
  queryOptions({ queryKey: ['closing', closureId], queryFn: () => readClosing(closureId) });

/** The closing of a closure as the server has it, with what waits to be sent, and the ways to go on. */
export function useClosing(closureId: string) {
  const view = useProjectView();
  const { writes } = useOutbox();
  const work = useWork(closureId);
  const query = useQuery(closingQuery(closureId));
  const held = query.data;
  const closure = view.closures.find(({ id }) => id === closureId);
  const made = useMemo(() => {
    if (!held || !work.data || !closure) return null;
    const shown = withWrites(held, writes, COMMANDS);
    const entries = shown.closing;
    const photos = shown.photos.map(withDigest);
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
        isDevice: (id) => view.devices.some((device) => device.id === id),
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
    return { closure, hardware, splices, entries, photos, state, seal, signed: held.signed };
  }, [held, work.data, closure, writes, view, closureId]);
  const write = (list: readonly Unsigned[], what: string) => {
    const signed = list.map((entry) => ({
      id: uuid(),
      closureId,
      by: personNow(),
      at: new Date().toISOString(),
      ...entry,
    }));
    const label = `${closure?.name ?? common('closure')}: ${what}`;
    return outbox.add(commands.appendClosing, { closureId, entries: signed }, label);
  };
  return { made, write, error: query.error ?? work.error };
}

export type ClosingHook = ReturnType<typeof useClosing>;
export type Closing = NonNullable<ClosingHook['made']>;

/** Of a photo that an earlier page left to be sent the digest is worked out here. */
const withDigest = (photo: ShownPhoto & { digest?: string }) => ({
  ...photo,
  digest: photo.digest ?? photo.file?.digest ?? digestOf(bytesOf(photo.bytes ?? '')),
});

/** Bytes of base 64. */
const bytesOf = (base64: string): Uint8Array =>
  Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0));
