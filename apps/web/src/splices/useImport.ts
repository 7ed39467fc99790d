import { type Remote, proxy, wrap } from 'comlink';
import { useEffect, useMemo, useState } from 'react';
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
import { commands } from '@cordel/client';
import { fileProblemText } from '@cordel/text/files';
import { type CsvNote } from '@cordel/core/csv';
import { type SheetNote } from '@cordel/core/xlsx';
import { useImport as t } from '@cordel/text/pages/splices/useImport';
import { errorText } from '@cordel/text/record';
import { readWork } from '@/data/queries';
import { outbox } from '@/data/client';
import { type TypedMakeUp, readMakeUp, typeMakeUp } from '@/kit/typedMakeUp';
import { type ProjectView, useProjectView } from '@/projects/context';
import { pickFile } from '@/ui/pickFile';
import { useSameNames } from './useSameNames';
import type { ListPreview, ListReader } from './list.worker';

/** A cable the list names and the project does not have, as its make-up is typed. */
export interface NewCable {
  id: string;
  name: string;
  typed: TypedMakeUp;
  schemeId: string;
  /** Whether a person has changed what was proposed; such a cable stays as it is when the list changes. */
  edited: boolean;
}

interface OpenFile {
  name: string;
  header: string[];
  rows: number;
  sample: string[][];
  /** What of a workbook was passed over. */
  notes: (SheetNote | CsvNote)[];
  /** The sheets of a workbook, and the one that is read; none in a text file. */
  sheets: string[];
  sheet: string;
  /** The row the titles stand in, from 1. */
  titlesRow: number;
  bytes: Uint8Array;
}

/** The steps of importing a list: file, columns, cables, preview, import. Reading runs in a worker. */
export function useImport() {
  const view = useProjectView();
  const reader = useReader();
  const [file, setFile] = useState<OpenFile | null>(null);
  const [match, setMatch] = useState<ColumnMatch | null>(null);
  const [method, setMethod] = useState<Method>('single');
  const [newCables, setNewCables] = useState<NewCable[]>([]);
  const [openCable, setOpenCable] = useState<string | null>(null);
  const [preview, setPreview] = useState<ListPreview | null>(null);
  const [result, setResult] = useState<{
    splices: number;
    closures: number;
    cables: number;
  } | null>(null);
  const [pasted, setPasted] = useState<string | null>(null);
  const [busy, setBusy] = useState('');
  const [bringing, setBringing] = useState(false);
  const [error, setError] = useState('');
  const existing = useExisting(view);
  const [proposals, setProposals] = useState<SameNames>(NO_SAME_NAMES);
  const names = useSameNames([
    ...proposals.closures.map((one) => ({ ...one, noun: 'closure' as const })),
    ...proposals.cables.map((one) => ({ ...one, noun: 'cable' as const })),
  ]);
  const [closureNames, cableNames] = [names.sameOf('closure'), names.sameOf('cable')];
  const sameText = JSON.stringify({ closures: closureNames, cables: cableNames });
  const sameNames = useMemo(() => JSON.parse(sameText) as SameNames, [sameText]);

  const open = async (name: string, bytes: Uint8Array, wanted?: string) => {
    setResult(null);
    setPreview(null);
    setError('');
    setBusy(t('readingName', { name }));
    const opened = await reader.open(
      bytes,
      wanted,
      proxy((rows: number) =>
        setBusy(t('readingNameRows', { name, rows: rows.toLocaleString('en') })),
      ),
    );
    setBusy('');
    if ('error' in opened && opened.error) {
      setFile(null);
      setError(`${name}: ${fileProblemText(opened.error)}`);
      return;
    }
    const { match: guessed, ...rest } = opened;
    setFile({ name, bytes, ...rest });
    setMatch(guessed);
  };

  const choose = async () => {
    const chosen = await pickFile('.csv,.txt,.xlsx,text/csv,text/plain');
    if (chosen) await open(chosen.name, new Uint8Array(await chosen.arrayBuffer()));
  };

  // What is being imported, or is in, is checked no more: it would clash with itself.
  const settled = bringing || result !== null;

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
      setNewCables((before) =>
        found
          .filter((cable) => !known.has(cable.name))
          .map(
            (cable) =>
              before.find((entry) => entry.name === cable.name && entry.edited) ?? {
                id: uuid(),
                name: cable.name,
                typed: typeMakeUp(proposeMakeUp(cable)),
                schemeId: view.project.schemeId,
                edited: false,
              },
          ),
      );
    });
    return () => {
      current = false;
    };
  }, [file, match, method, sameNames, settled, reader, view]);

  // The preview follows from all of it.
  useEffect(() => {
    if (!file || !match || !existing || settled) return;
    let current = true;
    const rows = file.rows;
    void reader
      .preview(
        match,
        { ...settingOf(view, newCables, existing, method), sameNames },
        proxy(
          (count: number) =>
            current &&
            setBusy(
              t('checkingRowOf', {
                count: count.toLocaleString('en'),
                rows: rows.toLocaleString('en'),
              }),
            ),
        ),
      )
      .then((found) => {
        if (!current) return;
        setPreview(found);
        setBusy('');
      });
    return () => {
      current = false;
    };
  }, [file, match, method, sameNames, newCables, existing, settled, reader, view]);

  const runImport = async () => {
    setBringing(true);
    setBusy(t('importingSplices', { splices: preview?.splices ?? 0 }));
    const cables = newCables.flatMap((cable): Cable[] => {
      const made = readMakeUp(cable.typed);
      return 'error' in made
        ? []
        : [
            {
              id: cable.id,
              projectId: view.project.id,
              name: cable.name,
              makeUp: made.makeUp,
              closureId: null,
              schemeId: cable.schemeId,
              glass: USUAL_GLASS,
              run: USUAL_RUN,
            },
          ];
    });
    const body = {
      projectId: view.project.id,
      importId: uuid(),
      text: await reader.text(),
      match: match!,
      method,
      cables,
      sameNames,
    };
    const outcome = await outbox.add(
      commands.importSpliceList,
      body,
      t('spliceListName', { name: file?.name ?? '' }),
    );
    setBringing(false);
    setBusy('');
    if ('refused' in outcome) setError(errorText(outcome.refused));
    else setResult(outcome.answer);
  };

  return {
    file,
    match,
    setMatch,
    method,
    setMethod,
    chooseSheet: (sheet: string) => file && void open(file.name, file.bytes, sheet),
    names,
    newCables,
    openCable,
    setOpenCable,
    preview,
    result,
    pasted,
    busy,
    bringing,
    error,
    choose,
    runImport,
    /** Puts another value into a cell of the list and reads it again. */
    fix: async (row: number, column: number, value: string) => {
      await reader.fix(row, column, value);
      setError('');
      setFile((before) => before && { ...before });
    },
    /** Cables by whose make-up and colors the pairs are shown. */
    cables: listCables(view, newCables),
    setCable: (cable: NewCable) =>
      setNewCables((list) =>
        list.map((entry) => (entry.name === cable.name ? { ...cable, edited: true } : entry)),
      ),
    showPaste: () => setPasted(pasted ?? ''),
    paste: setPasted,
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

/** The splices of closures the project has already, against which the list is checked. */
function useExisting(view: ProjectView): Existing | null {
  const [existing, setExisting] = useState<Existing | null>(null);
  const ids = view.closures.map((closure) => closure.id).join();
  useEffect(() => {
    let current = true;
    const wanted = ids === '' ? [] : ids.split(',');
    void Promise.all(wanted.map((id) => readWork(id)))
      .then((works) => current && setExisting(works))
      // A closure not sent yet has no splices; the server checks again when the list is imported.
      .catch(() => current && setExisting([]));
    return () => {
      current = false;
    };
  }, [ids]);
  return existing;
}

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
