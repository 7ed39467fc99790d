import { figuresOf } from '../prep/figures.ts';
import { legsOf, namedLeg } from '../prep/legs.ts';
import { procedureOf } from '../prep/procedures/index.ts';
import type { PortUse } from '../prep/seal.ts';
import { isHoseClamped } from '../prep/steps.ts';
import { FIBER_RADIUS } from '../prep/storage.ts';
import type { CableEntry, Hardware } from '../record/hardware.ts';
import type { CableTrait, ClosingStepData } from '../record/procedure.ts';
import type { Leg } from '../record/splice.ts';
import type { ClosingPoint, ClosingView, PointLeg, PointMessage } from './pointTypes.ts';

/** What a point asks for, under the key that it is kept by. */
interface Asked {
  key: string;
  message: PointMessage;
  slots?: number[];
  port?: string;
}

/** The points of the closing steps of its hardware's procedure. */
export const procedurePoints = (view: ClosingView, ports: readonly PortUse[]): ClosingPoint[] =>
  (view.hardware ? procedureOf(view.hardware).closing : HARDWARE_UNKNOWN).flatMap((step) =>
    stepPoints(step, view, ports),
  );

/** The points that a step of the procedure makes: one, one for each thing that it is about, or none. */
function stepPoints(
  step: ClosingStepData,
  view: ClosingView,
  ports: readonly PortUse[],
): ClosingPoint[] {
  const { group, caution, timerS, photo, asks } = step;
  const own = ownMessage(step, view);
  return askedBy(step, view, ports, own).map(({ message, ...place }): ClosingPoint => ({
    group,
    message: own ?? message,
    ...place,
    ...(caution !== null && { caution }),
    ...(timerS !== null && { timerS }),
    ...(photo && { photo }),
    ...(asks.length > 0 && { asks }),
  }));
}

/** The words that a person gave a step; null where it has its work's own. */
const ownMessage = ({ words }: ClosingStepData, { hardware }: ClosingView): PointMessage | null =>
  words === '' || hardware === null
    ? null
    : { code: 'ownWords', words, figures: figuresOf(hardware, hardware.sheath.end) };

/** What a step asks for: nothing where no cable that enters is of its kind. */
function askedBy(
  { work, key, when }: ClosingStepData,
  view: ClosingView,
  ports: readonly PortUse[],
  own: PointMessage | null,
): Asked[] {
  const { hardware, assembly, cableName } = view;
  const entering = assembly.entries.filter(
    (entry) =>
      (when.entries.length === 0 || when.entries.includes(entry.kind)) &&
      when.traits.every((trait) => hasTrait(entry, trait)),
  );
  if (when.entries.length + when.traits.length > 0 && entering.length === 0) return [];
  const onLegs = (message: (entry: CableEntry, leg: Leg) => PointMessage): Asked[] =>
    entering.flatMap((entry) =>
      legsOf(entry).map((leg) => ({ key: legKey(key, entry, leg), message: message(entry, leg) })),
    );
  const onPorts = (uses: readonly PortUse[], message: (use: PortUse) => PointMessage): Asked[] =>
    uses.map((use) => ({
      key: `${key}:${use.port.name}`,
      message: message(use),
      port: use.port.name,
    }));
  const trays = traysInUse(view);
  switch (work) {
    case 'trayLaid':
      return [
        ...trays.map(({ tray, slots }) => ({
          key: `tray:${tray}`,
          message: {
            code: 'trayLaid' as const,
            tray,
            sleeves: slots.length,
            radius: { lengthTenthsMm: FIBER_RADIUS, towards: 'up' as const },
          },
          slots,
        })),
        ...endsAsked(view),
      ];
    case 'traysStacked':
      return trays.length > 0
        ? [{ key, message: { code: 'traysStacked', trays: trays.length } }]
        : [];
    case 'tubesRouted': {
      const cables = assembly.entries.map(({ cableId }) => cableName(cableId));
      return trays.length > 0 ? [{ key, message: { code: 'tubesRouted', cables } }] : [];
    }
    case 'cableHeld':
      return onLegs((entry, leg) => heldMessage(view, entry, leg));
    case 'shieldBonded':
      return onLegs((entry, leg) => ({
        code: 'shieldBonded',
        cable: cableName(entry.cableId),
        leg: legOf(entry, leg),
      }));
    case 'tracerOut':
      return entering.map((entry) => ({
        key: `${key}:${entry.id}`,
        message: { code: 'tracerOut', cable: cableName(entry.cableId) },
      }));
    case 'portSealed':
      return onPorts(ports, (use) => portMessage(view, use));
    case 'sealPin':
      return onPorts(
        ports.filter(({ entries }) => entries.length === 0),
        ({ port, plugs }) => ({ code: 'sealPin', port: port.name, plugs }),
      );
    case 'wedgeLatched':
      return onPorts(ports, ({ port }) => ({ code: 'wedgeLatched', port: port.name }));
    case 'bolts':
      return (hardware?.bolts ?? []).map((bolt, index, all) => ({
        key: `${key}:${bolt}`,
        message: { code: 'boltTight', bolt, place: index + 1, bolts: all.length },
      }));
    case 'boltsAgain':
      return hardware && hardware.bolts.length > 0
        ? [{ key, message: boltsMessage(hardware) }]
        : [];
    case null:
      return own ? [{ key, message: own }] : [];
    default:
      return [{ key, message: { code: work } }];
  }
}

/** Ends at ports are seated and capped. */
function endsAsked({ splices }: ClosingView): Asked[] {
  const ends = splices.filter(({ splice }) => splice.end !== null).length;
  return ends > 0 ? [{ key: 'ends', message: { code: 'endsCapped', ends } }] : [];
}

/** Nothing but the trays and cables is known where no hardware is chosen. */
const HARDWARE_UNKNOWN = procedureOf({ form: 'drop-end', procedure: null }).closing.filter(
  ({ group }) => group === 'trays' || group === 'cables',
);

/** Steps of closing ask for nothing else of a cable. */
function hasTrait({ armoured, tracer }: CableEntry, trait: CableTrait): boolean {
  if (trait === 'armoured') return armoured;
  return trait === 'tracer' ? tracer : trait === 'metallic' && (armoured || tracer);
}

const legOf = (entry: CableEntry, leg: Leg): PointLeg => namedLeg(entry, leg) ?? 'none';

/** The first leg has the key of a cable that has one only. */
const legKey = (key: string, { id }: CableEntry, leg: Leg): string =>
  leg === 'in' ? `${key}:${id}` : `${key}:${id}:${leg}`;

/** Trays with splices, and the slots in use of each. */
function traysInUse({ splices, closure }: ClosingView): { tray: number; slots: number[] }[] {
  const slots = new Map<number, Set<number>>();
  for (const { splice } of splices)
    slots.set(splice.tray, (slots.get(splice.tray) ?? new Set()).add(splice.slot));
  return closure.trays
    .filter(({ number }) => slots.has(number))
    .map(({ number }) => ({
      tray: number,
      slots: [...slots.get(number)!].sort((a, b) => a - b),
    }));
}

function heldMessage(
  { cableName, hardware }: ClosingView,
  entry: CableEntry,
  leg: Leg,
): PointMessage {
  const held = { cable: cableName(entry.cableId), leg: legOf(entry, leg) };
  return hardware && isHoseClamped(hardware)
    ? {
        code: 'cableClamped',
        ...held,
        hoseClamp: { lengthTenthsMm: hardware.hoseClamp, towards: 'near' },
      }
    : { code: 'cableHeld', ...held };
}

const boltsMessage = ({ torqueMilliNm }: Hardware): PointMessage =>
  torqueMilliNm === null
    ? { code: 'boltsAgain' }
    : { code: 'boltsToTorque', torque: { torqueMilliNm } };

function portMessage({ cableName }: ClosingView, { port, entries, plugs }: PortUse): PointMessage {
  if (entries.length === 0) return { code: 'portPlugged', port: port.name, plugs: port.holes };
  const seals = entries.flatMap(({ seal }) => (seal?.ok ? [seal.value] : []));
  const seal = seals[0];
  const named = {
    port: port.name,
    cables: [...new Set(entries.map(({ entry }) => cableName(entry.cableId)))],
  };
  return seal
    ? {
        code: 'portSealed',
        ...named,
        seal: seal.row.seal,
        bushing: seal.bushing ? 'yes' : 'no',
        slit: seals.some((own) => own.slit) ? 'yes' : 'no',
        plugs,
      }
    : { code: 'portUnknownSeal', ...named, plugs };
}
