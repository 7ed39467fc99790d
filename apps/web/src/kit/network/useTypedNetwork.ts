import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { commands } from '@cordel/client';
import { kitShared as t } from '@cordel/text/pages/kit/shared';
import { errorText } from '@cordel/text/record';
import { outbox } from '@/data/client';
import { usePersisted } from '@/data/storage';
import { useProjectView } from '@/projects/context';
import {
  type TypedNetwork,
  type TypedRow,
  isEmpty,
  readCables,
  readClosures,
  withEmptyRow,
} from './typedRows';

type Part = keyof TypedNetwork;

const NOTHING: TypedNetwork = { cables: [], closures: [] };

const readNetwork = (text: string): TypedNetwork => {
  try {
    return { ...NOTHING, ...(JSON.parse(text) as TypedNetwork) };
  } catch {
    return NOTHING;
  }
};

const filled = ({ cables, closures }: TypedNetwork): TypedNetwork => ({
  cables: cables.filter((row) => !isEmpty(row)),
  closures: closures.filter((row) => !isEmpty(row)),
});

/** Cables and closures that are typed row by row; kept on the device until they are saved. */
export function useTypedNetwork() {
  const { project, cables, devices, closures } = useProjectView();
  const [text, setText] = usePersisted(`cordel.network.${project.id}`, '');
  const [problems, setProblems] = useState<ReadonlyMap<string, string>>(new Map());
  const [savedCount, setSavedCount] = useState(0);
  const [emptyIds, setEmptyIds] = useState(() => ({ cables: uuid(), closures: uuid() }));
  const typed = readNetwork(text);

  const change = (part: Part, row: TypedRow) => {
    setSavedCount(0);
    const rows = typed[part];
    const known = rows.some(({ id }) => id === row.id);
    const next = known ? rows.map((one) => (one.id === row.id ? row : one)) : [...rows, row];
    if (!known) setEmptyIds({ ...emptyIds, [part]: uuid() });
    // A row that was emptied stays: it is the field in hand.
    setText(JSON.stringify({ ...typed, [part]: next }));
  };

  const save = async () => {
    const rows = filled(typed);
    const readRows = {
      cables: readCables(rows.cables, [...cables, ...devices], project),
      closures: readClosures(rows.closures, closures, project),
    };
    const all = [...rows.cables, ...rows.closures];
    const found = new Map<string, string>();
    [...readRows.cables, ...readRows.closures].forEach((one, index) => {
      if (!one.ok) found.set(all[index]!.id, one.error);
    });
    setProblems(found);
    if (found.size > 0) return;
    const outcomes = await Promise.all([
      ...readRows.cables.flatMap((one) =>
        one.ok
          ? [outbox.add(commands.saveCable, one.value, t('cableName', { name: one.value.name }))]
          : [],
      ),
      ...readRows.closures.flatMap((one) =>
        one.ok
          ? [
              outbox.add(
                commands.saveClosure,
                one.value,
                t('closureName', { name: one.value.name }),
              ),
            ]
          : [],
      ),
    ]);
    const refused = new Map<string, string>();
    outcomes.forEach((outcome, index) => {
      if (!('refused' in outcome)) return;
      refused.set(all[index]!.id, errorText(outcome.refused));
      // It stays in its row, with the reason.
      void outbox.discard(outcome.writeId);
    });
    setProblems(refused);
    const left = (list: TypedRow[]) => list.filter(({ id }) => refused.has(id));
    setText(JSON.stringify({ cables: left(rows.cables), closures: left(rows.closures) }));
    if (refused.size === 0) setSavedCount(all.length);
  };

  return {
    rows: {
      cables: withEmptyRow(typed.cables, emptyIds.cables),
      closures: withEmptyRow(typed.closures, emptyIds.closures),
    },
    count: filled(typed).cables.length + filled(typed).closures.length,
    problems,
    savedCount,
    change,
    save,
  };
}
