import { type Remote, proxy, wrap } from 'comlink';
import { useEffect, useMemo, useState } from 'react';
import { v7 as uuid } from 'uuid';
import { type Outcome, commands } from '@cordel/client';
import { type Direction, type Told, type TracePlace, fiberCount } from '@cordel/core';
import { type NamedPlace, type NamingSetting, endsKey } from '@cordel/core/otdr';
import { placeProblemText } from '@cordel/text/otdr';
import { toldText } from '@cordel/text/record';
import { useTraceImport as t } from '@cordel/text/pages/traces/useTraceImport';
import { outbox, queryClient, useOutbox } from '@/data/client';
import { personNow } from '@/data/session';
import { useProjectView } from '@/projects/context';
import { circuitEndsQuery, useTraces } from '../queries';
import type { LookedFile, TraceReader } from './traces.worker';

/** What a person fixed by hand for one file. */
export type OwnPlace = Pick<NamedPlace, 'cableId' | 'fiber' | 'direction' | 'wavelengthNm'>;

export type FileState =
  | 'unreadable'
  | 'known'
  | 'twice'
  | 'placeUnclear'
  | 'ready'
  /** Kept on this device until the server has it. */
  | 'waiting'
  | 'sent'
  | 'refused';

export interface ImportedFile extends LookedFile {
  id: string;
  place: NamedPlace | null;
  state: FileState;
  /** Why it is not ready, or was refused. */
  words: string;
}

interface Held extends LookedFile {
  id: string;
  own: OwnPlace | null;
  /** What became of it, once it was to be imported. */
  sent: { state: 'waiting' } | { state: 'sent'; isKnown: boolean } | Refusal | null;
}

interface Refusal {
  state: 'refused';
  problem: Told;
}

type Busy = { what: 'reading' | 'sending'; done: number; all: number } | null;

/** Importing traces: files, pattern, preview, what does not fit, and handing them to the outbox. */
export function useTraceImport() {
  const { project, cables } = useProjectView();
  const reader = useReader();
  const here = useTraces(project.id);
  const { offline } = useOutbox();
  const [held, setHeld] = useState<Held[]>([]);
  const [pattern, setPatternText] = useState('');
  const [words, setWords] = useState<{ word: string; direction: Direction | null }[]>([]);
  const [directions, setDirections] = useState<Record<string, Direction>>({});
  const [cableId, setCable] = useState<string | null>(null);
  /** Whether they were shot on the reel, before the cable was placed. */
  const [isOnReel, setOnReel] = useState(false);
  const [trust, setTrust] = useState<'name' | 'file' | null>(null);
  const [places, setPlaces] = useState<Record<string, NamedPlace>>({});
  const [busy, setBusy] = useState<Busy>(null);
  const [stopped, setStopped] = useState('');
  /** Files that a stop left unread. */
  const [unread, setUnread] = useState<readonly File[]>([]);

  const list = useMemo(
    () => cables.map(({ id, name, makeUp }) => ({ id, name, fibers: fiberCount(makeUp) })),
    [cables],
  );
  const settle = async (part: Partial<NamingSetting>) => {
    const setting: NamingSetting = { pattern, cables: list, cableId, directions, trust, ...part };
    const found = await reader.settle(setting);
    setPlaces(found);
    // Where circuits end tells from where a file was shot; without a line the words of its name do.
    const ends = await endsOf(project.id, found).catch(() => null);
    if (ends) setPlaces(await reader.settle({ ...setting, ends }));
  };

  const add = async (files: readonly File[]) => {
    const wanted = files.filter(({ name }) => /\.(sor|trc|msor)$/i.test(name) || files.length < 40);
    if (wanted.length === 0) return setStopped(t('noTraceFilesAreAmongThese'));
    setStopped('');
    setUnread([]);
    setBusy({ what: 'reading', done: 0, all: wanted.length });
    const looked = await reader.look(
      wanted.map((file) => ({ key: uuid(), name: file.name, file })),
      proxy((done: number) => setBusy({ what: 'reading', done, all: wanted.length })),
    );
    setBusy(null);
    setUnread(wanted.slice(looked.length));
    setHeld((before) => [
      ...before,
      ...looked.map((entry) => ({ ...entry, id: uuid(), own: null, sent: null })),
    ]);
    const proposal = await reader.propose(list.map(({ name }) => name));
    setPatternText(proposal.pattern);
    setWords(proposal.words);
    await settle({ pattern: proposal.pattern });
  };

  const files = useMemo((): ImportedFile[] => {
    const known = new Set(here.data?.map(({ digest }) => digest));
    const seen = new Set<string>();
    return held.map((entry) => {
      const place = placed(places[entry.key] ?? null, entry.own);
      const again = seen.has(entry.digest);
      seen.add(entry.digest);
      return { ...entry, place, ...stateOf(entry, place, known, again) };
    });
  }, [held, places, here.data]);

  const ready = files.filter(({ state }) => state === 'ready');
  const waiting = files.filter(({ state }) => state === 'waiting').length;
  const through = files.filter(({ state }) => state === 'sent' || state === 'refused').length;
  const sending: Busy =
    waiting > 0 ? { what: 'sending', done: through, all: through + waiting } : null;
  const setSent = (key: string, sent: Held['sent']) =>
    setHeld((before) => before.map((entry) => (entry.key === key ? { ...entry, sent } : entry)));
  /** Hands files to the outbox: they are safe on this device then, and go by themselves. */
  const send = async () => {
    setStopped('');
    const [by, at] = [personNow(), new Date().toISOString()];
    for (const { key, id, name, digest, facts, place } of ready) {
      setSent(key, { state: 'waiting' });
      const bytes = await reader.bytesOf(key);
      const file = { digest, size: bytes.length };
      const told = {
        id: uuid(),
        traceId: id,
        by,
        at,
        ...own(place!),
        stage: isOnReel ? 'reel' : null,
        why: null,
      } as TracePlace;
      const input = { projectId: project.id, id, name, file, place: told, facts: facts! };
      void outbox
        .add(commands.addTrace, input, t('traceName', { name }), [{ ...file, bytes }])
        .then((outcome) => setSent(key, sentOf(outcome)));
    }
  };
  const stop = () => {
    void reader.stop();
    const left = new Set(held.filter(({ sent }) => sent?.state === 'waiting').map(({ id }) => id));
    for (const { id, input } of outbox.snapshot().writes)
      if (left.has((input as { id: string }).id)) void outbox.discard(id);
    setHeld((before) =>
      before.map((entry) => (left.has(entry.id) ? { ...entry, sent: null } : entry)),
    );
    setStopped(t('stoppedWhatIsLeftWaitsHere'));
  };

  return {
    files,
    ready,
    here,
    busy: busy ?? sending,
    stopped,
    /** Files wait on this device until there is a connection. */
    isWaiting: sending !== null && offline,
    unread,
    pattern,
    words: words.map(({ word, direction }) => ({
      word,
      direction: directions[word] ?? direction,
    })),
    cableId,
    trust,
    isOnReel,
    setOnReel,
    add,
    send,
    stop,
    setPattern: (text: string) => {
      setPatternText(text);
      void reader.words(text).then(setWords);
      void settle({ pattern: text });
    },
    setDirection: (word: string, direction: Direction) => {
      const next = { ...directions, [word]: direction };
      setDirections(next);
      void settle({ directions: next });
    },
    setCable: (id: string | null) => {
      setCable(id);
      void settle({ cableId: id });
    },
    setTrust: (side: 'name' | 'file') => {
      setTrust(side);
      void settle({ trust: side });
    },
    putRight: (key: string, place: OwnPlace) =>
      setHeld((before) =>
        before.map((entry) => (entry.key === key ? { ...entry, own: place } : entry)),
      ),
    drop: (key: string) => {
      void reader.forget([key]);
      setHeld((before) => before.filter((entry) => entry.key !== key));
    },
    clear: () => {
      void reader.forget(held.map(({ key }) => key));
      setHeld([]);
      setUnread([]);
      setPlaces({});
      setStopped('');
    },
  };
}

/** Both ends of every circuit of the cables that files belong to. */
async function endsOf(projectId: string, places: Readonly<Record<string, NamedPlace>>) {
  const cables = new Set(Object.values(places).flatMap(({ cableId }) => cableId ?? []));
  const lists = await Promise.all(
    [...cables].map(async (cableId) => {
      const ends = await queryClient.ensureQueryData(circuitEndsQuery(projectId, cableId));
      return ends.map(({ fiber, from, to }) => [endsKey(cableId, fiber), [from, to]] as const);
    }),
  );
  return Object.fromEntries(lists.flat());
}

export type TraceImport = ReturnType<typeof useTraceImport>;

const own = ({ cableId, fiber, direction, wavelengthNm }: NamedPlace) => ({
  cableId,
  fiber,
  direction,
  wavelengthNm,
});

const sentOf = (outcome: Outcome<{ known: boolean }>): Held['sent'] =>
  'refused' in outcome
    ? { state: 'refused', problem: outcome.refused.told }
    : { state: 'sent', isKnown: outcome.answer.known };

const placed = (read: NamedPlace | null, hand: OwnPlace | null): NamedPlace | null =>
  hand ? { ...hand, isDisputed: false, problems: [] } : read;

function stateOf(
  { error, sent, digest }: Held,
  place: NamedPlace | null,
  known: ReadonlySet<string>,
  again: boolean,
): { state: FileState; words: string } {
  if (error !== null) return { state: 'unreadable', words: error };
  if (sent?.state === 'refused') return { state: 'refused', words: toldText(sent.problem) };
  if (sent?.state === 'sent')
    return { state: 'sent', words: sent.isKnown ? t('itWasHereAlready') : '' };
  if (sent) return { state: 'waiting', words: '' };
  if (known.has(digest)) return { state: 'known', words: t('theSameContentWasImportedBefore') };
  if (again) return { state: 'twice', words: t('theSameContentAsAnotherFile') };
  if (!place) return { state: 'placeUnclear', words: t('beingRead') };
  if (place.problems.length > 0)
    return {
      state: 'placeUnclear',
      words: place.problems.map((problem) => placeProblemText(problem)).join(' '),
    };
  return { state: 'ready', words: '' };
}

/** The worker that reads files; it ends with the page. */
function useReader(): Remote<TraceReader> {
  const [worker] = useState(() => new Worker(new URL('./traces.worker', import.meta.url)));
  useEffect(() => () => worker.terminate(), [worker]);
  return useMemo(() => wrap<TraceReader>(worker), [worker]);
}
