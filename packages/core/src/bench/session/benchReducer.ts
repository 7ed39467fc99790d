import {
  type Stamper,
  newAttempt,
  newInspection,
  newReading,
  newRuling,
  takeBack,
} from '../../record/entries.ts';
import type { Attempt, Evidence, Ruling } from '../../record/evidence.ts';
import { isFused } from '../../record/splice.ts';
import type { SplicerRecord } from '../../record/splicerRecord.ts';
import { nextSleeve } from '../queue.ts';
import { type BenchSplice, isDead } from './benchSplices.ts';
import {
  type BenchState,
  type MeasuredKind,
  NEW_IN_HAND,
  type RecordedStep,
  readingKind,
} from './benchState.ts';
import {
  type BenchScene,
  inHand,
  isRecordable,
  isSeen,
  isWaiting,
  measuredNm,
  readTyped,
  workedOn,
} from './inHand.ts';
import { positionOf, typedFrom } from './recordInHand.ts';
import type { OrderedPair } from './takeInOrder.ts';
import { typeKey } from './typeKey.ts';

/** What a thumb, or the splicer, does at the Bench. */
export type BenchEvent =
  /** A key of the keypad; see {@link typeKey}. */
  /** `isOneKey`: a digit is the loss of its fiber, and the next fiber of the ribbon follows. */
  | { type: 'key'; key: string; isOneKey?: boolean }
  /** Takes a sleeve in hand, at one of its fibers where one is named; null for the next that waits. */
  | { type: 'select'; sleeve: string | null; spliceId?: string }
  /** Goes to a fiber of the ribbon in hand. */
  | { type: 'fiber'; cursor: number }
  | { type: 'measure'; wavelengthNm?: number; kind?: MeasuredKind }
  /** Goes to a step; past that of the sleeve it is on. */
  | { type: 'step'; step: number; isSleeveOn: boolean }
  | { type: 'sleeve'; isOn: boolean }
  /** A record was looked at that is not taken in hand; `stopped` where the splicer stopped before the arc. */
  | { type: 'seen'; seq: number; stopped?: string }
  | { type: 'stopRead' }
  /** Takes a record in hand for a sleeve: its estimates stand as if they were typed. */
  | { type: 'take'; record: SplicerRecord; sleeve: string; seq?: number }
  /** The splice in hand was made again before it was kept: both tries count, the newer is in hand. */
  | { type: 'saveAndTake'; record: SplicerRecord }
  /** Records count for sleeves, each for its own, in one step. */
  | { type: 'takeAll'; pairs: readonly OrderedPair[] }
  /** Records what is typed; kept, a ribbon goes fiber by fiber first. `isRedo`: it stays for another try. */
  | { type: 'save'; isRedo: boolean }
  /** Puts the fiber in hand off, or calls it dead; `isWhole`: its whole ribbon. */
  | { type: 'rule'; kind: 'skip' | 'dead'; why: string; isWhole: boolean }
  /** What is seen of the end in hand. */
  | { type: 'end'; seen: Partial<BenchState['end']> }
  /** Takes back what was recorded last, step by step. */
  | { type: 'undo' };

/** What is recorded needs besides the scene: clock, signature and words come from outside. */
export interface BenchTools extends BenchScene {
  stamp: Stamper;
  /** Names fibers, for what is told of a step. */
  nameOf: (splices: readonly BenchSplice[]) => string;
  /** Reasons that entries give. */
  reasons: { redo: string; undo: string };
}

/** What was done, for the list of what waits to be sent. */
export type BenchDeed = 'estimate' | 'reading' | 'redo' | 'skip' | 'dead' | 'undo';

/** What follows from an event: the state after it, and what is to be recorded. */
export interface BenchOutcome {
  state: BenchState;
  recorded: { deed: BenchDeed; entries: Evidence[]; words: string } | null;
}

/** Steps that can be taken back. */
const MOST_STEPS = 30;

const withStep = (history: readonly RecordedStep[], step: RecordedStep): RecordedStep[] =>
  [...history, step].slice(-MOST_STEPS);

const only = (state: BenchState): BenchOutcome => ({ state, recorded: null });

/** What an event at the Bench does. Nothing is recorded before a thumb keeps it. */
export function benchReducer(
  state: BenchState,
  event: BenchEvent,
  tools: BenchTools,
): BenchOutcome {
  const { sleeve } = inHand(state, tools);
  const change = (part: Partial<BenchState>) => only({ ...state, ...part });
  switch (event.type) {
    case 'key':
      return only(typed(state, event.key, tools, event.isOneKey ?? false));
    case 'select':
      return only(selected(state, event.sleeve, event.spliceId, tools));
    case 'fiber':
      return change({ sleeve: sleeve?.key ?? null, cursor: event.cursor });
    case 'measure': {
      const { type: _type, ...measured } = event;
      return change({ sleeve: null, typed: {}, cursor: 0, ...measured });
    }
    case 'step':
      return change({
        sleeve: sleeve?.key ?? null,
        step: event.step,
        sleeveOn: state.sleeveOn || event.isSleeveOn,
      });
    case 'sleeve':
      return change({ sleeve: sleeve?.key ?? null, sleeveOn: event.isOn });
    case 'seen':
      return change({ seen: event.seq, ...(event.stopped && { stopped: event.stopped }) });
    case 'end':
      return change({ sleeve: sleeve?.key ?? null, end: { ...state.end, ...event.seen } });
    case 'stopRead':
      return change({ stopped: null });
    case 'take':
      return only(taken(state, event, tools));
    case 'saveAndTake':
      return saveAndTake(state, event.record, tools);
    case 'takeAll':
      return takeAll(state, event.pairs, tools);
    case 'save':
      return save(state, event.isRedo, tools);
    case 'rule':
      return rule(state, event, tools);
    case 'undo':
      return undo(state, tools);
  }
}

function typed(state: BenchState, key: string, tools: BenchTools, isOneKey: boolean): BenchState {
  const { sleeve, fiber, fibers, cursor } = inHand(state, tools);
  if (!fiber || !sleeve) return state;
  const before = state.typed[fiber.id] ?? '';
  const keys = typeKey(before, key, tools.mode === 'measure');
  const goesOn =
    isOneKey &&
    before === '' &&
    /^[0-9]$/.test(key) &&
    sleeve.method === 'mass' &&
    fibers.length > 1;
  return {
    ...state,
    sleeve: sleeve.key,
    typed: { ...state.typed, [fiber.id]: keys },
    ...(goesOn && { cursor: Math.min(cursor + 1, fibers.length - 1) }),
  };
}

function selected(
  state: BenchState,
  key: string | null,
  spliceId: string | undefined,
  tools: BenchTools,
): BenchState {
  const target = tools.sleeves.find((other) => other.key === key);
  const place = workedOn(target?.splices ?? [], tools).findIndex(({ id }) => id === spliceId);
  return { ...state, ...NEW_IN_HAND, sleeve: key, cursor: Math.max(0, place) };
}

function taken(
  state: BenchState,
  { record, sleeve: key, seq }: { record: SplicerRecord; sleeve: string; seq?: number },
  tools: BenchTools,
): BenchState {
  const target = tools.sleeves.find((other) => other.key === key);
  if (!target) return state;
  const isSame = key === inHand(state, tools).sleeve?.key;
  return {
    ...state,
    ...NEW_IN_HAND,
    sleeveOn: isSame && state.sleeveOn,
    step: isSame ? state.step : 0,
    sleeve: key,
    recordId: record.id,
    typed: typedFrom(record, target.splices),
    ...(seq !== undefined && { seen: seq }),
  };
}

/** What is typed as entries. A ribbon that is redone had its arc on every fiber, whether its figure was typed or not. */
function entriesTyped(state: BenchState, tools: BenchTools): Evidence[] {
  const { sleeve, fibers, record } = inHand(state, tools);
  return fibers.flatMap((splice): Evidence[] => {
    const loss = readTyped(state, splice, tools);
    if (tools.mode === 'measure')
      return [
        newReading(tools.stamp(), splice.id, splice.spliceState.tries.at(-1)?.tryId ?? null, {
          ...readingKind(state.kind),
          wavelengthNm: measuredNm(state, tools),
          lossMdb: loss.ok ? loss.value : 0,
        }),
      ];
    if (splice.end !== null && !isFused(splice.end)) return endEntries(state, splice, tools);
    const position = record ? positionOf(record, sleeve!.splices, fibers, splice) : null;
    const from =
      position === null ? null : { recordId: record!.id, position, origin: record!.origin };
    const made = newAttempt(tools.stamp(), splice.id, loss.ok ? loss.value : null, from);
    return splice.end === null ? [made] : [made, ...seenOf(made, state, tools)];
  });
}

/** An end that nobody fuses: it is made, what is typed is read by a meter, and what was seen of it. */
function endEntries(state: BenchState, splice: BenchSplice, tools: BenchTools): Evidence[] {
  const made = newAttempt(tools.stamp(), splice.id, null);
  const loss = readTyped(state, splice, tools);
  const figure = {
    ...readingKind('insertion'),
    wavelengthNm: measuredNm(state, tools),
    lossMdb: loss.ok ? loss.value : 0,
  };
  const read = loss.ok ? [newReading(tools.stamp(), splice.id, made.tryId, figure)] : [];
  return [made, ...read, ...seenOf(made, state, tools)];
}

const seenOf = (made: Attempt, state: BenchState, tools: BenchTools): Evidence[] =>
  isSeen(state) ? [newInspection(tools.stamp(), made.spliceId, made.tryId, state.end)] : [];

/** The word that the splice of a try just made is to be redone. */
const sentToRedo = (entry: Evidence, { stamp, reasons }: BenchTools): Ruling[] =>
  entry.type === 'attempt'
    ? [newRuling(stamp(), entry.spliceId, entry.tryId, 'redo', reasons.redo)]
    : [];

function save(state: BenchState, isRedo: boolean, tools: BenchTools): BenchOutcome {
  const { sleeve, fibers, fiber, cursor } = inHand(state, tools);
  if (!fiber || !sleeve) return only(state);
  const isRead = (splice: BenchSplice) => isRecordable(state, splice, tools);
  if (!isRead(fiber)) return only({ ...state, sleeve: sleeve.key, cursor });
  const after = fibers.findIndex((splice, index) => index > cursor && !isRead(splice));
  const rest = after >= 0 ? after : fibers.findIndex((splice) => !isRead(splice));
  if (!isRedo && rest >= 0) return only({ ...state, sleeve: sleeve.key, cursor: rest });
  const made = entriesTyped(state, tools);
  const entries = isRedo ? [...made, ...made.flatMap((entry) => sentToRedo(entry, tools))] : made;
  const words = tools.nameOf(fibers);
  const kept = !isRedo && tools.mode !== 'measure' && isFused(fiber.end);
  const history = withStep(state.history, { sleeve: sleeve.key, entries, words, kept });
  const deed = isRedo ? 'redo' : tools.mode === 'measure' ? 'reading' : 'estimate';
  return {
    state: isRedo
      ? { ...state, ...NEW_IN_HAND, sleeve: sleeve.key, history }
      : movedOn(state, history, tools),
    recorded: { deed, entries, words },
  };
}

/** The next sleeve that waits is in hand, and not the one of before, whose entries are on their way. */
function movedOn(state: BenchState, history: RecordedStep[], tools: BenchTools): BenchState {
  const { sleeve } = inHand(state, tools);
  const next = nextSleeve(
    tools.sleeves,
    sleeve?.key ?? null,
    (other) => other.key !== sleeve?.key && isWaiting(other, state, tools),
  );
  return { ...state, ...NEW_IN_HAND, sleeve: next?.key ?? null, history };
}

function saveAndTake(state: BenchState, record: SplicerRecord, tools: BenchTools): BenchOutcome {
  const { sleeve, fibers } = inHand(state, tools);
  if (!sleeve || !fibers.some((splice) => readTyped(state, splice, tools).ok)) return only(state);
  const entries = entriesTyped(state, tools);
  const words = tools.nameOf(fibers);
  const history = withStep(state.history, { sleeve: sleeve.key, entries, words, kept: false });
  return {
    state: { ...taken(state, { record, sleeve: sleeve.key }, tools), history },
    recorded: { deed: 'estimate', entries, words },
  };
}

/** Records that a file brought, all at once. */
function takeAll(
  state: BenchState,
  pairs: readonly OrderedPair[],
  tools: BenchTools,
): BenchOutcome {
  const scene = { ...tools, records: pairs.map(({ record }) => record) };
  const entries = pairs.flatMap(({ record, sleeve }) =>
    entriesTyped(taken(state, { record, sleeve: sleeve.key }, scene), scene),
  );
  const [first] = pairs;
  if (!first) return only(state);
  const words = tools.nameOf(pairs.flatMap(({ sleeve }) => sleeve.splices));
  const step = { sleeve: first.sleeve.key, entries, words, kept: false };
  return {
    state: { ...state, ...NEW_IN_HAND, sleeve: null, history: withStep(state.history, step) },
    recorded: { deed: 'estimate', entries, words },
  };
}

function rule(
  state: BenchState,
  { kind, why, isWhole }: { kind: 'skip' | 'dead'; why: string; isWhole: boolean },
  tools: BenchTools,
): BenchOutcome {
  const { sleeve, fibers, fiber } = inHand(state, tools);
  if (!sleeve || !fiber) return only(state);
  const list = isWhole ? sleeve.splices.filter((splice) => !isDead(splice)) : [fiber];
  const entries = list.map((splice) =>
    newRuling(tools.stamp(), splice.id, splice.spliceState.tries.at(-1)?.tryId ?? null, kind, why),
  );
  const words = tools.nameOf(list);
  const history = withStep(state.history, { sleeve: sleeve.key, entries, words, kept: false });
  return {
    state:
      isWhole || fibers.length <= 1
        ? movedOn(state, history, tools)
        : { ...state, sleeve: sleeve.key, cursor: 0, history },
    recorded: { deed: kind, entries, words },
  };
}

function undo(state: BenchState, tools: BenchTools): BenchOutcome {
  const last = state.history.at(-1);
  if (!last) return only(state);
  const back = {
    ...state,
    ...NEW_IN_HAND,
    sleeve: last.sleeve,
    history: state.history.slice(0, -1),
  };
  const [first] = last.entries;
  const recordId = first?.type === 'attempt' ? first.recordId : null;
  // A record that was kept by a slip is in hand again.
  const record = tools.records.find(({ id }) => id === recordId);
  return {
    state: record ? taken(back, { record, sleeve: last.sleeve }, tools) : back,
    recorded: {
      deed: 'undo',
      entries: last.entries.map((before) => takeBack(tools.stamp(), before, tools.reasons.undo)),
      words: last.words,
    },
  };
}
