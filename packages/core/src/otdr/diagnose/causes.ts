import { median } from 'simple-statistics';
import { scaledMad } from '../detect/scaledMad.ts';
import type { WhereMessage } from '../messages.ts';
import { breaksOf } from './breaks.ts';
import {
  CAUSES,
  type Cause,
  type Finding,
  type SpliceFigures,
  type SplicePlace,
  bendOf,
  dB,
  isBad,
  withError,
  worst,
} from './finding.ts';
import { edgesOf, traysOf, unlikeCables } from './groupCauses.ts';
import type { SpliceProof } from '../measure/pairTraces.ts';
import type { AlignedTraces } from '../align/alignedTraces.ts';
import type { CircuitRoute } from '../align/route.ts';
import { unmatchedEventsOf } from './unmatchedEvents.ts';
import type { TraceFigures } from '../measure/measureTrace.ts';

// Constants of this file that name no source were tuned on traces of the simulated OTDR (`packages/standin`).

/** A connector pair is bad from here on, dB: TIA-568, from memory. */
const CONNECTOR = 0.75;

/** Causes of all that is bad, tray and ribbon before single fibers: who explains more comes first. */
export function findCauses(
  proof: AlignedTraces,
  circuits: ReadonlyMap<string, CircuitRoute>,
  figures: ReadonlyMap<string, TraceFigures>,
  proven: readonly SpliceProof[],
  splices: ReadonlyMap<string, SplicePlace>,
): Finding[] {
  const bySplice = new Map<string, SpliceFigures>();
  for (const figure of proven) {
    const place = splices.get(figure.spliceId);
    if (!place) continue;
    const own = bySplice.get(figure.spliceId) ?? { place, circuit: figure.circuit, figures: [] };
    own.figures.push(figure);
    bySplice.set(figure.spliceId, own);
  }
  for (const { figures: own } of bySplice.values())
    own.sort((a, b) => a.wavelengthNm - b.wavelengthNm);
  const all = [...bySplice.values()];
  const fields = usualFields(all);
  const findings = [
    ...breaksOf(proof, circuits, splices),
    ...unmatchedEventsOf(proof, circuits, figures),
  ];
  const explained = new Set<string>();
  for (const finding of [...traysOf(all), ...edgesOf(all)]) {
    findings.push(finding);
    for (const id of finding.spliceIds) explained.add(id);
  }
  for (const own of all) {
    if (explained.has(own.place.id)) continue;
    const finding = causeOf(own, circuits, fields);
    if (finding) findings.push(finding);
  }
  findings.push(...unlikeCables(all));
  const order = (cause: Cause) => CAUSES.indexOf(cause);
  return findings.sort(
    (a, b) =>
      Number(a.weight === 'look') - Number(b.weight === 'look') || order(a.cause) - order(b.cause),
  );
}

/** What directions usually differ by at a closure and wavelength, half of it, AB less BA; told by four fibers or more. */
type UsualFields = ReadonlyMap<string, { middle: number; spread: number }>;
const fieldKey = (closureId: string, nm: number): string => `${closureId} ${nm}`;

function usualFields(all: readonly SpliceFigures[]): UsualFields {
  const lists = new Map<string, number[]>();
  for (const { place, figures } of all)
    for (const { modeField, wavelengthNm } of figures) {
      if (!modeField) continue;
      const key = fieldKey(place.closureId, wavelengthNm);
      lists.set(key, [...(lists.get(key) ?? []), modeField.lossDb]);
    }
  return new Map(
    [...lists].flatMap(([key, list]) => {
      if (list.length < 4) return [];
      const middle = median(list);
      return [[key, { middle, spread: scaledMad(list) }] as const];
    }),
  );
}

/** A splice seen one way only, less what its peers' directions differ by. */
function oneWayOf({ place, figures }: SpliceFigures, fields: UsualFields) {
  const { oneWay } = place.limitDb;
  for (const { forward, backward, wavelengthNm } of figures) {
    const figure = forward ?? backward;
    if (!figure || oneWay === null || figure.lossDb <= oneWay) continue;
    const usual = fields.get(fieldKey(place.closureId, wavelengthNm)) ?? null;
    const loss = usual === null ? null : figure.lossDb - (forward ? usual.middle : -usual.middle);
    return {
      direction: forward ? ('AB' as const) : ('BA' as const),
      figure,
      loss,
      spread: usual?.spread ?? 0,
      wavelengthNm,
    };
  }
  return null;
}

/** Loss of two fields that do not fit, dB: a splice of the mode fields that the directions tell of. */
function mismatchLoss(modeField: number): number {
  const ratio = 10 ** (modeField / 10);
  return 20 * Math.log10((ratio + 1 / ratio) / 2);
}

function causeOf(
  own: SpliceFigures,
  circuits: ReadonlyMap<string, CircuitRoute>,
  fields: UsualFields,
): Finding | null {
  const { place, circuit, figures } = own;
  const base = {
    circuits: [circuit],
    spliceIds: [place.id],
    closureId: place.closureId,
    place: null,
    where: [whereIn(own)],
  };
  const most = worst(own);
  const bad = isBad(own);
  const reflects = figures.find(({ peakDb }) => peakDb !== null);
  if (reflects) {
    const loss = (reflects.mean ?? reflects.forward ?? reflects.backward)!.lossDb;
    return {
      ...base,
      cause: 'connector',
      weight: bad || loss > CONNECTOR ? 'bad' : 'look',
      message: {
        code: 'reflects',
        label: place.label,
        peakDb: reflects.peakDb!.toFixed(1),
        wavelengthNm: reflects.wavelengthNm,
        loss: dB(loss),
      },
    };
  }
  if (!most) {
    const one = oneWayOf(own, fields);
    const seen = ({ direction, wavelengthNm, figure }: NonNullable<typeof one>) => ({
      label: place.label,
      direction,
      wavelengthNm,
      loss: withError(figure),
    });
    if (
      !one ||
      (one.loss !== null && one.loss - 2 * one.spread <= (place.limitDb.mean ?? Infinity))
    )
      return null;
    return {
      ...base,
      cause: 'splice',
      // With no peers to go by it may be all mode fields.
      weight: one.loss === null ? 'look' : 'bad',
      message:
        one.loss === null
          ? { code: 'highOneWay', ...seen(one) }
          : { code: 'highOneWayCorrected', ...seen(one), corrected: dB(one.loss) },
    };
  }
  if (!bad) return null;
  const bend = bendOf(own);
  if (bend)
    return {
      ...base,
      cause: 'bend',
      weight: 'bad',
      message: bend,
    };
  const field = most.modeField!;
  const explains = mismatchLoss(field.lossDb);
  if (explains > most.mean!.lossDb / 2 && Math.abs(field.lossDb) > 3 * field.sigmaDb)
    return {
      ...base,
      cause: 'mode field',
      weight: 'bad',
      message: {
        code: 'modeFields',
        label: place.label,
        difference: dB(2 * Math.abs(field.lossDb)),
        percent: Math.round(Math.abs(10 ** (field.lossDb / 10) - 1) * 100),
        alone: dB(explains),
        loss: dB(most.mean!.lossDb),
      },
    };
  const route = circuits.get(circuit)!;
  return {
    ...base,
    cause: 'splice',
    weight: 'bad',
    message: {
      code: 'badSplice',
      label: place.label,
      loss: withError(most.mean!),
      wavelengthNm: most.wavelengthNm,
      limit: dB(place.limitDb.mean!),
      circuit: route.label,
    },
  };
}

/** Where a splice is: its tray, or off its closure where it was found apart from it. */
function whereIn({ place, figures }: SpliceFigures): WhereMessage {
  const at = { closure: place.closure, tray: place.tray, slot: place.slot };
  const offset = figures.find((figure) => figure.offsetM !== null)?.offsetM;
  if (offset == null || Math.abs(offset) < 8) return { code: 'slot', ...at };
  return {
    code: 'slotOffset',
    ...at,
    offset: { tapeM: Math.abs(offset) },
    side: offset < 0 ? 'before' : 'behind',
  };
}
