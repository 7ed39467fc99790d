import {
  type Cable,
  type ColourScheme,
  type Hardware,
  type PrepTick,
  type Units,
  colourAt,
  procedureOf,
  unitKind,
} from '@cordel/core';
import { askText, prepStepText } from '@cordel/text/prep';
import { prepRows as say } from '@cordel/text/handover/prepRows';
import type { Column } from '../../exchange/columns.ts';
import type { PackageClosure } from '../messages.ts';

/** A step of cable prep at which something was written down: a proof, a figure, or why it came before its guard. */
export interface PrepRow {
  closure: string;
  cable: string;
  step: string;
  by: string | null;
  at: string | null;
  written: string;
  override: string | null;
}

/** What a package knows of a project's plant. */
export interface PrepPlant {
  cables: readonly Cable[];
  schemes: readonly ColourScheme[];
  units: Units;
}

/** Steps of a closure at which something was written down, in the order in which cables enter it. */
export function prepRows(own: PackageClosure, { cables, schemes, units }: PrepPlant): PrepRow[] {
  return (own.assembly?.entries ?? []).flatMap(({ cableId, done }) => {
    const cable = cables.find(({ id }) => id === cableId);
    if (!cable) return [];
    const scheme = schemes.find(({ id }) => id === cable.schemeId) ?? null;
    return done
      .filter(({ answers, override }) => Object.keys(answers).length > 0 || override !== null)
      .map((tick): PrepRow => ({
        closure: own.closure.name,
        cable: cable.name,
        step: stepText(tick, cable, scheme, own.hardware, units),
        by: tick.by,
        at: tick.at,
        written: answersText(tick, own.hardware),
        override: tick.override,
      }));
  });
}

/** What a step asked for and was told, such as `Detector used: D-1; Number read twice: yes`. */
export function answersText(
  { answers }: Pick<PrepTick, 'answers'>,
  hardware: Hardware | null,
): string {
  const { opening, closing } = hardware ? procedureOf(hardware) : { opening: [], closing: [] };
  const asks = new Map(
    [...opening, ...closing].flatMap((step) => step.asks.map((ask) => [ask.key, ask] as const)),
  );
  return Object.entries(answers)
    .map(([key, answer]) => {
      const ask = asks.get(key);
      const unit = ask?.unit ? ` ${ask.unit}` : '';
      return say('answer', { asked: ask ? askText(ask) : key, answer: `${answer}${unit}` });
    })
    .join('; ');
}

function stepText(
  { step: key }: PrepTick,
  { makeUp }: Cable,
  scheme: ColourScheme | null,
  hardware: Hardware | null,
  units: Units,
): string {
  const [, kind, digits] = /^(dark|tube) (\d+)$/.exec(key) ?? [];
  const number = Number(digits);
  const unit = unitKind(makeUp);
  const colour = unit === 'tube' && scheme && digits ? colourAt(scheme, number) : null;
  if (kind === 'dark') return prepStepText({ code: 'dark', unit, number, colour }, units);
  if (kind === 'tube') return say('cut', { unit, number });
  const own = hardware
    ? procedureOf(hardware).opening.find((step) => step.key === key.replace(/ out$/, ''))
    : undefined;
  if (!own) return key;
  if (own.words !== '') return own.words;
  return own.work === 'voltage' || own.work === 'rightCable'
    ? prepStepText({ code: own.work }, units)
    : key;
}

export const PREP: Column<PrepRow>[] = [
  { title: 'closure', width: 22, cell: (row) => row.closure },
  { title: 'cable', cell: (row) => row.cable },
  { title: 'step', width: 50, cell: (row) => row.step },
  {
    title: 'at (UTC)',
    width: 22,
    format: 'yyyy-mm-dd hh:mm:ss',
    cell: (row) => (row.at === null ? null : new Date(row.at)),
  },
  { title: 'by', width: 14, cell: (row) => row.by },
  { title: 'written down', width: 60, cell: (row) => row.written },
  { title: 'done before a safety step', width: 40, cell: (row) => row.override },
];
