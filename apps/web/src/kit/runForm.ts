import {
  type CableRun,
  type Closure,
  type DistanceUnit,
  cableRunSchema,
  parseDistance,
} from '@cordel/core';
import { distanceProblemText } from '@cordel/text/measure';
import { runProblems as t } from '@cordel/text/pages/kit/runProblems';
import { issueText } from '@cordel/text/record';

/** How a cable runs, as it is typed. */
export interface TypedRun {
  helix: string;
  /** Sheath marks by closure. */
  marks: Record<string, string>;
  endName: string;
  endDistance: string;
  endMark: string;
  endCoil: string;
  reelNumber: string;
  reelLength: string;
}

const isFeet = (unit: DistanceUnit): boolean => unit === 'mi' || unit === 'ft';
const TENTHS = { m: 10_000, ft: 3048 };

/** A length in meters or feet, every digit of it. */
function spell(tenths: number | null | undefined, unit: DistanceUnit): string {
  if (tenths == null) return '';
  const small = isFeet(unit) ? 'ft' : 'm';
  return `${Number((tenths / TENTHS[small]).toFixed(4))} ${small}`;
}

export function typeRun(run: CableRun, unit: DistanceUnit): TypedRun {
  return {
    helix: (run.helix / 10_000).toFixed(4),
    marks: Object.fromEntries(
      run.marks.map(({ closureId, mark }) => [closureId, spell(mark, unit)]),
    ),
    endName: run.end?.name ?? '',
    endDistance: spell(run.end?.distance, unit),
    endMark: spell(run.end?.mark, unit),
    endCoil: run.end && run.end.coil > 0 ? spell(run.end.coil, unit) : '',
    reelNumber: run.reel?.number ?? '',
    reelLength: spell(run.reel?.length, unit),
  };
}

/** The reel; none where nothing was noted of it. */
const reelOf = (number: string, length: number | null): Pick<CableRun, 'reel'> =>
  number === '' && length === null ? {} : { reel: { number, length } };

/**
 * Reads what was typed.
 * @param closures those that the cable enters
 */
export function readRun(
  typed: TypedRun,
  closures: readonly Pick<Closure, 'id' | 'name'>[],
  unit: DistanceUnit,
): { run: CableRun } | { error: string } {
  const problems: string[] = [];
  const length = (text: string, what: string): number | null => {
    if (text.trim() === '') return null;
    // Sheaths are printed in whole meters or feet: a bare figure is one of these.
    const read = parseDistance(text, isFeet(unit) ? 'ft' : 'm');
    if (read.ok) return read.value;
    problems.push(`${what}: ${distanceProblemText(read.error)}`);
    return null;
  };
  const distance = typed.endDistance.trim() === '' ? null : parseDistance(typed.endDistance, unit);
  if (distance && !distance.ok)
    problems.push(t('distanceOfTheEnd', { distanceProblem: distanceProblemText(distance.error) }));
  const end = {
    name: typed.endName.trim(),
    distance: distance?.ok ? distance.value : null,
    mark: length(typed.endMark, t('markAtTheEnd')),
    coil: length(typed.endCoil, t('coilAtTheEnd')) ?? 0,
  };
  const named = end.name !== '';
  if (!named && (end.distance !== null || end.mark !== null || end.coil > 0))
    problems.push(t('nameTheEndARackA'));
  const run = {
    helix: Math.round(Number(typed.helix.replace(',', '.')) * 10_000),
    marks: closures.flatMap(({ id, name }) => {
      const mark = length(typed.marks[id] ?? '', t('markAtName', { name }));
      return mark === null ? [] : [{ closureId: id, mark }];
    }),
    end: named ? end : null,
    ...reelOf(typed.reelNumber.trim(), length(typed.reelLength, t('lengthOnTheReel'))),
  };
  if (problems.length > 0) return { error: problems[0]! };
  const read = cableRunSchema.safeParse(run);
  if (read.success) return { run: read.data };
  const issue = read.error.issues[0]!;
  return {
    error:
      issue.path[0] === 'helix'
        ? t('helixFactorSuchAs10050', { message: issueText(issue) })
        : issueText(issue),
  };
}
