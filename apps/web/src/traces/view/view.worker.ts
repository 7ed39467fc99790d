import { expose, transfer } from 'comlink';
import {
  type TableDifference,
  Pyramid,
  analyse,
  compareTables,
  instrumentEvents,
  readSor,
  samplesOf,
} from '@cordel/core/otdr';
import { sorProblemText } from '@cordel/text/files';
import { viewWorker as t } from '@cordel/text/pages/traces/viewWorker';

/** A trace to be shown, aligned with its circuit. Meters of fiber. */
export interface ShownTrace {
  id: string;
  /** Whether it was shot from end B: it runs backward along the circuit. */
  back: boolean;
  /** Where the circuit begins in it, what its distances are multiplied by, and how long the circuit is. */
  startM: number;
  indexRatio: number;
  lengthM: number;
}

/** What one trace shows of a section: least and most of each column, dB below where the circuit begins. */
export interface Columns {
  id: string;
  /** Two figures a column; NaN where there is nothing. */
  columns: Float32Array;
}

/** Both tables of a trace, and what its samples are like. */
export interface TraceTable {
  rows: TableDifference[];
  noiseDb: number;
  sharedSamples: number;
  storedStepDb: number;
}

interface Loaded {
  pyramid: Pyramid;
  spacingM: number;
  /** Place of the first sample. */
  firstM: number;
  /** Level where the circuit begins. */
  base: number;
  /** How far a reflection reaches behind the end, m. */
  tailM: number;
  /** How the glass falls, dB/m. */
  slopeDbPerM: number;
  endM: number | null;
  table: TraceTable;
}

const loaded = new Map<string, Promise<Loaded>>();

async function load({ id, startM, indexRatio }: ShownTrace): Promise<Loaded> {
  const response = await fetch(`/api/traces/${id}/file.sor`);
  if (!response.ok) throw new Error(t('theServerAnswered', { status: response.status }));
  const read = readSor(new Uint8Array(await response.arrayBuffer()));
  if (!read.ok) throw new Error(sorProblemText(read.error));
  const samples = samplesOf(read.value);
  const { levels } = samples;
  const spacingM = samples.spacing * indexRatio;
  const firstM = samples.first * indexRatio;
  const { events, endM, fadedM, ...noise } = analyse(read.value, samples);
  const end = endM === null ? null : Math.round((endM - samples.first) / samples.spacing);
  const at = Math.min(levels.length - 1, Math.max(0, Math.round((startM - firstM) / spacingM)));
  return {
    pyramid: new Pyramid(levels),
    spacingM,
    firstM,
    base: levelBehind(levels, at, Math.round(samples.pulse)),
    tailM: samples.pulse * spacingM,
    slopeDbPerM: slopeOf(levels, end ?? levels.length) / spacingM,
    endM: endM === null ? null : endM * indexRatio,
    table: {
      rows: compareTables(
        events,
        instrumentEvents(read.value),
        fadedM,
        samples.pulse * samples.spacing,
      ),
      ...noise,
    },
  };
}

const BLOCK = 256;

/** How glass falls from sample to sample: the middle of many short segments, so that no event counts. */
function slopeOf(levels: Float32Array, end: number): number {
  const means: number[] = [];
  for (let from = BLOCK; from + BLOCK < end; from += BLOCK) {
    let sum = 0;
    for (let at = from; at < from + BLOCK; at++) sum += levels[at]!;
    means.push(sum / BLOCK);
  }
  const falls = means.slice(1).map((mean, index) => means[index]! - mean);
  falls.sort((a, b) => a - b);
  return falls.length === 0 ? 0 : falls[falls.length >> 1]! / BLOCK;
}

/** The level behind the launch, drawn back to where the circuit begins: a middle, so that no peak counts. */
function levelBehind(levels: Float32Array, at: number, pulse: number): number {
  const run = (from: number) => {
    const part = levels.slice(from, from + 200).sort();
    return part.length === 0 ? (levels[at] ?? 0) : part[part.length >> 1]!;
  };
  const gap = 6 * pulse + 20;
  const [near, far] = [run(at + gap), run(at + gap + 400)];
  return near + ((near - far) / 400) * (gap + 100);
}

const loadOnce = (trace: ShownTrace): Promise<Loaded> => {
  const key = `${trace.id} ${trace.startM} ${trace.indexRatio}`;
  let own = loaded.get(key);
  if (!own) {
    own = load(trace);
    // What failed is tried again the next time.
    own.catch(() => loaded.delete(key));
    loaded.set(key, own);
  }
  return own;
};

function columnsOf(
  trace: ShownTrace,
  own: Loaded,
  from: number,
  to: number,
  count: number,
  level: boolean,
) {
  const sample = (meters: number) =>
    ((trace.back ? trace.lengthM - meters : meters) + trace.startM - own.firstM) / own.spacingM;
  const [a, b] = trace.back ? [sample(to), sample(from)] : [sample(from), sample(to)];
  const view = own.pyramid.view(a, b, count);
  const columns = new Float32Array(2 * count);
  const stop = own.endM === null ? Infinity : own.endM + own.tailM;
  for (let at = 0; at < count; at++) {
    const source = trace.back ? count - 1 - at : at;
    // Noise behind the end says nothing and hides the rest.
    const meters = own.firstM + (a + ((source + 0.5) * (b - a)) / count) * own.spacingM;
    const beyond = meters > stop || meters < trace.startM - 5;
    const lift = level ? own.slopeDbPerM * Math.max(0, meters - trace.startM) : 0;
    columns[2 * at] = beyond ? NaN : view[2 * source]! - own.base + lift;
    columns[2 * at + 1] = beyond ? NaN : view[2 * source + 1]! - own.base + lift;
  }
  return columns;
}

/** A fiber unlike the others of its tube. */
export interface OddOne {
  id: string;
  /** m of fiber from end A. */
  at: number;
  /** How far its level is off there; null where it ends there and the others go on. */
  offDb: number | null;
}

/** Columns by which the ends of fibers of one tube may differ. */
const ENDS_TOGETHER = 4;

/** Reads traces and decimates them off the page's own thread. */
const traceViewer = {
  async load(traces: ShownTrace[], progress: (done: number) => void): Promise<void> {
    let done = 0;
    await Promise.all(
      traces.map(async (trace) => {
        await loadOnce(trace);
        progress(++done);
      }),
    );
  },
  /**
   * A section of every trace, in meters from end A, as so many columns.
   * @param level whether the fall of the glass is taken out, so that events stand out
   */
  async view(
    traces: ShownTrace[],
    from: number,
    to: number,
    count: number,
    level: boolean,
  ): Promise<Columns[]> {
    const list = await Promise.all(
      traces.map(async (trace) => ({
        id: trace.id,
        columns: columnsOf(trace, await loadOnce(trace), from, to, count, level),
      })),
    );
    return transfer(
      list,
      list.map(({ columns }) => columns.buffer),
    );
  },
  /** The one that ends early, or strays most from the middle of all: where, and how far. */
  async oddOne(traces: ShownTrace[], from: number, to: number): Promise<OddOne | null> {
    const count = 240;
    const views = await traceViewer.view(traces, from, to, count, true);
    if (views.length < 3) return null;
    const place = (column: number) => from + ((column + 0.5) * (to - from)) / count;
    const shown = views.map(({ columns }) =>
      Array.from({ length: count }, (_, column) => column).filter(
        (column) => !Number.isNaN(columns[2 * column]!),
      ),
    );
    const reach = shown.map((list) => list.length);
    const usual = [...reach].sort((a, b) => a - b)[reach.length >> 1]!;
    const least = reach.indexOf(Math.min(...reach));
    if (usual - reach[least]! > ENDS_TOGETHER) {
      const edge = shown[least]!.at(traces[least]!.back ? 0 : -1) ?? 0;
      return { id: views[least]!.id, at: place(edge), offDb: null };
    }
    let odd: OddOne | null = null;
    for (let column = 0; column < count; column++) {
      const levels = views.map(({ columns }) => columns[2 * column]!);
      const sorted = levels.filter((level) => !Number.isNaN(level)).sort((a, b) => a - b);
      if (sorted.length < 3) continue;
      const middle = sorted[sorted.length >> 1]!;
      levels.forEach((level, index) => {
        const off = Math.abs(level - middle);
        if (off > (odd?.offDb ?? 0.15))
          odd = { id: views[index]!.id, at: place(column), offDb: off };
      });
    }
    return odd;
  },
  table: async (trace: ShownTrace): Promise<TraceTable> => (await loadOnce(trace)).table,
};

export type TraceViewer = typeof traceViewer;

expose(traceViewer);
