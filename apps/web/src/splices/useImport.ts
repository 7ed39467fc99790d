import { type Remote, proxy, wrap } from 'comlink';
import { useEffect, useMemo, useReducer, useState } from 'react';
import { v7 as uuid } from 'uuid';
import {
  USUAL_GLASS,
  USUAL_RUN,
  type Cable,
  type Closure,
  type ColumnMatch,
  type Evidence,
  type ListCable,
  type ListSetting,
  type Method,
  NO_SAME_NAMES,
  type SameNames,
  type Splice,
  proposeMakeUp,
} from '@cordel/core';
import { Refused, commands } from '@cordel/client';
import { fileProblemText } from '@cordel/text/files';
import { useImport as t } from '@cordel/text/pages/splices/useImport';
import { errorText } from '@cordel/text/record';
import { readWork } from '@/data/queries';
import { outbox } from '@/data/client';
import { readMakeUp, typeMakeUp } from '@/kit/typedMakeUp';
import { type ProjectView, useProjectView } from '@/projects/context';
import { pickFile } from '@/ui/pickFile';
import {
  type ImportError,
  type ImportEvent,
  type ImportWork,
  NO_IMPORT,
  type NewCable,
  importReducer,
  isSettled,
} from './importState';
import { useSameNames } from './useSameNames';
import type { ListReader } from './list.worker';

/** Importing a list by {@link importReducer}. Reading runs in a worker. */
export function useImport() {
  const view = useProjectView();
  const reader = useReader();
  const [state, dispatch] = useReducer(importReducer, NO_IMPORT);
  const { file, match, method, newCables, pasted, work, error } = state;
  const existing = useExisting(view, dispatch);
  const [proposals, setProposals] = useState<SameNames>(NO_SAME_NAMES);
  const names = useSameNames([
    ...proposals.closures.map((one) => ({ ...one, noun: 'closure' as const })),
    ...proposals.cables.map((one) => ({ ...one, noun: 'cable' as const })),
  ]);
  const [closureNames, cableNames] = [names.sameOf('closure'), names.sameOf('cable')];
  const sameText = JSON.stringify({ closures: closureNames, cables: cableNames });
  const sameNames = useMemo(() => JSON.parse(sameText) as SameNames, [sameText]);

  const open = async (name: string, bytes: Uint8Array, wanted?: string) => {
    dispatch({ code: 'reading', name });
    const told = proxy((rows: number) => dispatch({ code: 'rowsRead', rows }));
    const opened = await reader.open(bytes, wanted, told);
    if ('error' in opened && opened.error)
      return dispatch({ code: 'notRead', name, problem: opened.error });
    const { match: guessed, ...rest } = opened;
    dispatch({ code: 'read', file: { name, bytes, ...rest }, match: guessed });
  };

  const choose = async () => {
    const chosen = await pickFile('.csv,.txt,.xlsx,text/csv,text/plain');
    if (chosen) await open(chosen.name, new Uint8Array(await chosen.arrayBuffer()));
  };

  const settled = isSettled(state);

  // Names that are likely the same are asked about before anything is made of them.
  useEffect(() => {
    if (!file || !match || settled) return;
    let current = true;
    const known = {
      closures: view.closures.map(({ name }) => name),
      cables: view.planCables().map(({ name }) => name),
    };
    void reader.sameNames(match, known).then((found) => current && setProposals(found));
    return () => {
      current = false;
    };
  }, [file, match, settled, reader, view]);

  // Cables follow from the columns; what is typed for a cable already is kept.
  useEffect(() => {
    if (!file || !match || settled) return;
    let current = true;
    const scheme = view.schemes.find(({ id }) => id === view.project.schemeId)!;
    void reader.cables({ match, method, scheme, sameNames }).then((found) => {
      if (!current) return;
      const known = new Set(view.planCables().map((cable) => cable.name));
      const cables = found
        .filter((cable) => !known.has(cable.name))
        .map((cable) => ({
          id: uuid(),
          name: cable.name,
          typed: typeMakeUp(proposeMakeUp(cable)),
          schemeId: view.project.schemeId,
          edited: false,
        }));
      dispatch({ code: 'cablesFound', cables });
    });
    return () => {
      current = false;
    };
  }, [file, match, method, sameNames, settled, reader, view]);

  // The preview follows from all of it.
  useEffect(() => {
    if (!file || !match || !existing || settled) return;
    let current = true;
    const of = file.rows;
    const checking = (rows: number) => current && dispatch({ code: 'checking', rows, of });
    void reader
      .preview(
        match,
        { ...settingOf(view, newCables, existing, method), sameNames },
        proxy(checking),
      )
      .then((preview) => current && dispatch({ code: 'checked', preview }));
    return () => {
      current = false;
    };
  }, [file, match, method, sameNames, newCables, existing, settled, reader, view]);

  const runImport = async () => {
    dispatch({ code: 'importing' });
    const body = {
      projectId: view.project.id,
      importId: uuid(),
      text: await reader.text(),
      match: match!,
      method,
      cables: madeCables(view, newCables),
      sameNames,
    };
    const label = t('spliceListName', { name: file?.name ?? '' });
    const outcome = await outbox.add(commands.importSpliceList, body, label);
    dispatch(
      'refused' in outcome
        ? { code: 'refused', error: outcome.refused }
        : { code: 'imported', result: outcome.answer },
    );
  };

  return {
    ...state,
    setMatch: (wanted: ColumnMatch) => dispatch({ code: 'matched', match: wanted }),
    setMethod: (wanted: Method) => dispatch({ code: 'methodChosen', method: wanted }),
    chooseSheet: (sheet: string) => file && void open(file.name, file.bytes, sheet),
    names,
    setOpenCable: (name: string | null) => dispatch({ code: 'cableOpened', name }),
    busy: work ? workText(work) : '',
    bringing: work?.code === 'importing',
    error: error ? importErrorText(error) : '',
    choose,
    runImport,
    /** Puts another value into a cell of the list and reads it again. */
    fix: async (row: number, column: number, value: string) => {
      await reader.fix(row, column, value);
      dispatch({ code: 'fixed' });
    },
    /** Cables by whose make-up and colors the pairs are shown. */
    cables: listCables(view, newCables),
    setCable: (cable: NewCable) => dispatch({ code: 'cableEdited', cable }),
    showPaste: () => dispatch({ code: 'pasted', text: pasted ?? '' }),
    paste: (text: string) => dispatch({ code: 'pasted', text }),
    readPasted: () => open(t('pastedList'), new TextEncoder().encode(pasted ?? '')),
  };
}

export type Import = ReturnType<typeof useImport>;

function useReader(): Remote<ListReader> {
  const [worker] = useState(() => new Worker(new URL('./list.worker', import.meta.url)));
  const reader = useMemo(() => wrap<ListReader>(worker), [worker]);
  useEffect(() => () => worker.terminate(), [worker]);
  return reader;
}

type Existing = { closure: Closure; splices: Splice[]; evidence: Evidence[] }[];

/** How long after a failure the project is asked for again. */
const AGAIN_MS = 5000;

/** The splices of closures the project has already, against which the list is checked; asked for until they are there. */
function useExisting(view: ProjectView, dispatch: (event: ImportEvent) => void): Existing | null {
  const [existing, setExisting] = useState<Existing | null>(null);
  const ids = view.closures.map((closure) => closure.id).join();
  useEffect(() => {
    let current = true;
    let again: ReturnType<typeof setTimeout> | undefined;
    const wanted = ids === '' ? [] : ids.split(',');
    const read = async () => {
      try {
        const works = await Promise.all(wanted.map(workOrNothing));
        if (!current) return;
        setExisting(works.flatMap((work) => work ?? []));
        dispatch({ code: 'projectRead' });
      } catch (error) {
        if (!current) return;
        dispatch({ code: 'projectUnread', error: error as Error });
        again = setTimeout(() => void read(), AGAIN_MS);
      }
    };
    void read();
    return () => {
      current = false;
      clearTimeout(again);
    };
  }, [ids, dispatch]);
  return existing;
}

/** A closure that the server does not have yet has no splices. */
const workOrNothing = (closureId: string) =>
  readWork(closureId).catch((error: unknown) => {
    if (error instanceof Refused && error.status === 404) return null;
    throw error;
  });

function workText(work: ImportWork): string {
  const counted = (rows: number) => rows.toLocaleString('en');
  switch (work.code) {
    case 'reading':
      return work.rows === null
        ? t('readingName', { name: work.name })
        : t('readingNameRows', { name: work.name, rows: counted(work.rows) });
    case 'checking':
      return t('checkingRowOf', { count: counted(work.rows), rows: counted(work.of) });
    case 'importing':
      return t('importingSplices', { splices: work.splices });
  }
}

function importErrorText(error: ImportError): string {
  switch (error.code) {
    case 'file':
      return `${error.name}: ${fileProblemText(error.problem)}`;
    case 'projectUnread':
      return t('projectUnread', { problem: errorText(error.error) });
    case 'refused':
      return errorText(error.error);
  }
}

/** The new cables whose make-up can be read, as they are imported. */
const madeCables = (view: ProjectView, newCables: readonly NewCable[]): Cable[] =>
  newCables.flatMap(({ id, name, typed, schemeId }): Cable[] => {
    const made = readMakeUp(typed);
    if ('error' in made) return [];
    const { makeUp } = made;
    const use = { closureId: null, schemeId, glass: USUAL_GLASS, run: USUAL_RUN };
    return [{ id, projectId: view.project.id, name, makeUp, ...use }];
  });

/** Cables that a list may use: those of the project, its devices, and new ones whose make-up can be read. */
function listCables(view: ProjectView, newCables: readonly NewCable[]): ListCable[] {
  const schemeOf = (id: string) => view.schemes.find((scheme) => scheme.id === id);
  const fresh = newCables.flatMap((cable) => {
    const made = readMakeUp(cable.typed);
    return 'error' in made
      ? []
      : [{ name: cable.name, makeUp: made.makeUp, schemeId: cable.schemeId }];
  });
  return [...view.cables, ...view.devices, ...fresh].flatMap(({ name, makeUp, schemeId }) => {
    const scheme = schemeOf(schemeId);
    return scheme ? [{ name, makeUp, scheme }] : [];
  });
}

function settingOf(
  view: ProjectView,
  newCables: readonly NewCable[],
  existing: Existing,
  method: Method,
): Omit<ListSetting, 'sameNames'> {
  const names = new Map([...view.cables, ...view.devices].map((cable) => [cable.id, cable.name]));
  return {
    cables: listCables(view, newCables),
    closures: view.closures.map((closure) => ({
      name: closure.name,
      trays: closure.trays,
      splices: (existing.find((work) => work.closure.id === closure.id)?.splices ?? []).map(
        (splice) => ({
          ...splice,
          cableA: names.get(splice.cableA) ?? splice.cableA,
          cableB: names.get(splice.cableB) ?? splice.cableB,
        }),
      ),
    })),
    trayCapacity: view.project.trayCapacity,
    method,
  };
}
