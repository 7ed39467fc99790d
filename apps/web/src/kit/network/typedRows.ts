import {
  type Cable,
  type Closure,
  type DistanceUnit,
  type Project,
  USUAL_GLASS,
  USUAL_RUN,
  cableNameSchema,
  nameSchema,
  parseDistance,
  parseMakeUp,
  parsed,
} from '@cordel/core';
import { makeUpProblemText } from '@cordel/text/fiber';
import { distanceProblemText } from '@cordel/text/measure';
import { issueText } from '@cordel/text/record';
import { kitShared as t } from '@cordel/text/pages/kit/shared';
import type { FormRead } from '@/ui/formRead';

const refused = (error: string): { ok: false; error: string } => ({ ok: false, error });

/** A row as it is typed: a name, and a cable's fibers or a closure's distance. */
export interface TypedRow {
  id: string;
  name: string;
  figure: string;
}

/** What is typed and not saved yet. */
export interface TypedNetwork {
  cables: TypedRow[];
  closures: TypedRow[];
}

export const isEmpty = ({ name, figure }: TypedRow): boolean =>
  name.trim() === '' && figure.trim() === '';

/** The rows that are shown: those with something in them, and an empty one behind them. */
export function withEmptyRow(rows: readonly TypedRow[], id: string): TypedRow[] {
  const last = rows.at(-1);
  return last && isEmpty(last) ? [...rows] : [...rows, { id, name: '', figure: '' }];
}

const same = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase();

/** The name of a row: its own, and not that of another one, in whatever case. */
function readName(
  row: TypedRow,
  rows: readonly TypedRow[],
  known: readonly { id: string; name: string }[],
  schema: typeof cableNameSchema | typeof nameSchema,
): FormRead<string> {
  const checked = schema.safeParse(row.name);
  if (!checked.success) return refused(issueText(checked.error.issues[0]!));
  // A row that waits for a signal is known by its own id: saving it again is no clash.
  if (known.some(({ id, name }) => id !== row.id && same(name, row.name)))
    return refused(t('isHereAlreadyChooseAnotherName', { data: checked.data }));
  const first = rows.find((other) => same(other.name, row.name));
  return first === row
    ? parsed(checked.data)
    : refused(t('standsFurtherUpChooseAnotherName', { data: checked.data }));
}

/** Cables as they are typed; each row is a cable or says what would be right. */
export const readCables = (
  rows: readonly TypedRow[],
  known: readonly Cable[],
  { id: projectId, schemeId }: Pick<Project, 'id' | 'schemeId'>,
): FormRead<Cable>[] =>
  rows.map((row) => {
    const name = readName(row, rows, known, cableNameSchema);
    if (!name.ok) return name;
    const makeUp = parseMakeUp(row.figure);
    if (!makeUp.ok) return refused(makeUpProblemText(makeUp.error));
    return parsed({
      id: row.id,
      projectId,
      name: name.value,
      makeUp: makeUp.value,
      closureId: null,
      schemeId,
      glass: USUAL_GLASS,
      run: USUAL_RUN,
    });
  });

/** Closures as they are typed; a distance may be left out. Trays follow from the plan. */
export const readClosures = (
  rows: readonly TypedRow[],
  known: readonly Closure[],
  { id: projectId, units }: { id: string; units: { distance: DistanceUnit } },
): FormRead<Closure>[] => {
  const others = known.filter(({ id }) => !rows.some((row) => row.id === id));
  const next = Math.max(-1, ...others.map(({ ordinal }) => ordinal)) + 1;
  return rows.map((row, index) => {
    const name = readName(row, rows, known, nameSchema);
    if (!name.ok) return name;
    const distance =
      row.figure.trim() === '' ? parsed(null) : parseDistance(row.figure, units.distance);
    if (!distance.ok) return refused(distanceProblemText(distance.error));
    return parsed({
      id: row.id,
      projectId,
      name: name.value,
      ordinal: next + index,
      distance: distance.value,
      branchOf: null,
      position: null,
      trays: [],
    });
  });
};
