import { type Draw, LineRunner, type LineRun, type Stretch } from './line.ts';
import {
  POOLS,
  STAGE,
  type ShiftLine,
  type ShiftSetting,
  type ShiftUnit,
  shiftLine,
} from './shift.ts';

/** A source of chance, passed in so that a run can be repeated. */
export interface Chance {
  /** Uniform in [0, 1). */
  uniform(): number;
  /** Normal with mean 0 and deviation 1. */
  normal(): number;
}

/** Chance drawn for the jobs of a shift. */
class ShiftDraw implements Draw {
  private readonly base: Float64Array[];
  private readonly redo: Float64Array;
  private readonly fused: Float64Array;
  private readonly line: ShiftLine;
  private readonly chance: Chance;
  private arcs = 0;

  constructor(line: ShiftLine, chance: Chance) {
    this.line = line;
    this.chance = chance;
    const { times, redo } = line.setting;
    const ways = line.jobs.map(({ unit }) => line.units[unit]?.way ?? 'single');
    const ofStage = [
      () => times.open,
      () => times.ribbonize,
      () => times.adhesive,
      (way: ShiftUnit['way']) => (way === 'single' ? times.prepSingle : times.prepRibbon),
      () => times.load,
      () => times.arc,
      () => times.test,
      () => times.again,
      () => times.move,
      () => times.heat,
      () => times.seat,
      () => times.check,
    ];
    this.base = ofStage.map((time) => Float64Array.from(ways, (way) => time(way)));
    this.redo = Float64Array.from(ways, (way) => redo[way]);
    this.fused = Float64Array.from(line.jobs, () => 0);
  }

  begin(): void {
    this.arcs = 0;
    this.fused.fill(0);
  }

  time(job: number, stage: number): number {
    if (stage === STAGE.rest) return this.line.rests[job]!;
    const base = this.base[stage]![job]!;
    // Machines keep their time; hands do not.
    if (stage === STAGE.arc || stage === STAGE.heat || stage === STAGE.adhesive) return base;
    return base * Math.exp(this.line.setting.spread * this.chance.normal());
  }

  next(job: number, stage: number, next: number): number {
    if (stage !== STAGE.test) return next;
    // About three tries, then the best is kept.
    const again = this.fused[job]! < 2 && this.chance.uniform() < this.redo[job]!;
    if (!again) return next;
    this.fused[job]!++;
    return STAGE.again;
  }

  follows(_job: number, stage: number): number {
    if (stage !== STAGE.arc) return -1;
    this.arcs++;
    return this.arcs % this.line.setting.checkEvery === 0 ? this.line.check : -1;
  }
}

/** Answers of many runs, as far as they have come. Times in s from the start. */
export interface ShiftOutcome {
  runs: number;
  /** Finish that one run in ten, in two, in ten stays below: the 10th, 50th and 90th in a hundred. */
  finish: { p10: number; p50: number; p90: number; mean: number };
  /** Share of runs that finish within the window. */
  inWindow: number;
  /** For each kind of unit: the last moment to start one and be done in the window with 9 in 10. */
  lastStart: { unit: ShiftUnitKind; at: number }[];
  /** Share of the shift in which each pool was taken. */
  used: Record<(typeof POOLS)[number], number>;
  /** The pool that holds the others up. */
  bottleneck: (typeof POOLS)[number];
}

/** Runs a shift again and again, some at a time, so that a worker can report and be stopped. */
export class ShiftRuns {
  private readonly runner: LineRunner;
  private readonly draw: ShiftDraw;
  private readonly finishes: number[] = [];
  private readonly spans = new Map<string, { unit: ShiftUnitKind; list: number[] }>();
  private readonly used = POOLS.map(() => 0);
  private readonly line: ShiftLine;

  constructor(setting: ShiftSetting, units: readonly ShiftUnit[], chance: Chance) {
    this.line = shiftLine(setting, units);
    this.runner = new LineRunner(this.line);
    this.draw = new ShiftDraw(this.line, chance);
  }

  /** @param count how many runs to add */
  add(count: number): void {
    for (let index = 0; index < count; index++) this.take(this.once());
  }

  /** One more run with every stretch of it, for the picture; it does not count. */
  traced(): { finish: number; stretches: Stretch[]; line: ShiftLine } {
    this.runner.trace = [];
    const { finish } = this.once();
    const stretches = this.runner.trace;
    this.runner.trace = null;
    return { finish, stretches, line: this.line };
  }

  private once(): LineRun {
    this.draw.begin();
    return this.runner.run(this.draw);
  }

  private take({ finish, begun, finished, busy }: LineRun): void {
    this.finishes.push(finish);
    for (let pool = 0; pool < busy.length; pool++)
      this.used[pool]! += busy[pool]! / (this.line.pools[pool]!.count * Math.max(1, finish));
    // A unit's span says how long one takes once it is begun; a kind is spoken for by its largest.
    this.line.units.forEach((unit, index) => {
      const kind = kindOf(unit);
      const known = this.spans.get(kind);
      const span = finished[index]! - begun[index]!;
      const { way, sleeves, fibers } = unit;
      if (!known) this.spans.set(kind, { unit: { way, sleeves, fibers }, list: [span] });
      else if (known.list.length < 20_000) known.list.push(span);
    });
  }

  outcome(): ShiftOutcome {
    const sorted = [...this.finishes].sort((a, b) => a - b);
    const window = this.line.setting.window * 60;
    const used = Object.fromEntries(
      POOLS.map((name, pool) => [name, this.used[pool]! / Math.max(1, sorted.length)]),
    ) as ShiftOutcome['used'];
    return {
      runs: sorted.length,
      finish: {
        p10: quantile(sorted, 0.1),
        p50: quantile(sorted, 0.5),
        p90: quantile(sorted, 0.9),
        mean: sorted.reduce((sum, value) => sum + value, 0) / Math.max(1, sorted.length),
      },
      inWindow: sorted.filter((value) => value <= window).length / Math.max(1, sorted.length),
      lastStart: [...this.spans.values()].map(({ unit, list }) => ({
        unit,
        at:
          window -
          quantile(
            [...list].sort((a, b) => a - b),
            0.9,
          ),
      })),
      used,
      bottleneck: bottleneckOf(used),
    };
  }
}

/** Units of one kind take as long as each other. */
const kindOf = ({ way, sleeves, fibers }: ShiftUnit): string => `${way} ${sleeves} ${fibers}`;

/** A kind of unit: how it is spliced, its sleeves, and the fibers in each. */
export type ShiftUnitKind = Pick<ShiftUnit, 'way' | 'sleeves' | 'fibers'>;

/** The value that a share of a sorted list stays at or below; 0 for an empty list. */
export function quantile(sorted: readonly number[], share: number): number {
  if (sorted.length === 0) return 0;
  return sorted[Math.min(sorted.length - 1, Math.max(0, Math.ceil(share * sorted.length) - 1))]!;
}

/** Whatever is taken for most of the time; hands and their places count once. */
function bottleneckOf(used: ShiftOutcome['used']): ShiftOutcome['bottleneck'] {
  const kinds = ['people', 'splicers', 'heaters', 'places'] as const;
  return kinds.reduce<ShiftOutcome['bottleneck']>(
    (most, kind) => (used[kind] > used[most] + 1e-9 ? kind : most),
    'people',
  );
}

/** What one more of each would gain: minutes of the middle finish. */
export interface Gain {
  what: 'person' | 'splicer' | 'heater';
  minutes: number;
}

/** A setting with one more of something; places stay as they are, so that a crowd gains nothing. */
export function withOneMore(setting: ShiftSetting, what: Gain['what']): ShiftSetting {
  if (what === 'person') return { ...setting, people: setting.people + 1 };
  if (what === 'splicer') return { ...setting, splicers: setting.splicers + 1 };
  return { ...setting, heaters: setting.heaters + 1 };
}

/** Both ways of working loose tubes, side by side. Times in minutes, losses in dB. */
export interface WayFigures {
  way: 'single' | 'ribbonized';
  finish: number;
  inWindow: number;
  /** Consumables and what is expected of the joints. */
  sleeves: number;
  adhesive: number;
  pads: number;
  /** Typical estimates, thousandths of a dB. */
  lossMdb: { least: number; most: number };
  redo: number;
}

/** Loose tubes as ribbons of twelve, or one by one; true ribbons stay. */
export function unitsAs(units: readonly ShiftUnit[], way: WayFigures['way']): ShiftUnit[] {
  return units.map((unit) => {
    if (unit.isRibbon || unit.way === 'ribbon' || unit.way === way) return unit;
    const fibers = unit.sleeves * unit.fibers;
    return way === 'single'
      ? { ...unit, way, sleeves: fibers, fibers: 1 }
      : { ...unit, way, sleeves: Math.ceil(fibers / 12), fibers: Math.min(12, fibers) };
  });
}

/**
 * What a way takes and brings beside its time: sleeves and redos by chance; typical estimates of 0.01 dB
 * single and 0.01 to 0.03 dB in ribbons; a lower pad for two ribbons, an upper one for one (common
 * practice, no source).
 */
export function wayFigures(
  units: readonly ShiftUnit[],
  way: WayFigures['way'],
  setting: ShiftSetting,
  outcome: ShiftOutcome,
): WayFigures {
  const own = unitsAs(units, way).filter((unit) => unit.way === way && !unit.isRibbon);
  const sleeves = own.reduce((sum, unit) => sum + unit.sleeves, 0);
  const redo = setting.redo[way];
  const made = Math.ceil(sleeves * (1 + redo));
  const ribbons = way === 'ribbonized' ? made * 2 : 0;
  return {
    way,
    finish: outcome.finish.p50 / 60,
    inWindow: outcome.inWindow,
    sleeves: made,
    adhesive: ribbons,
    pads: ribbons + Math.ceil(ribbons / 2),
    lossMdb: { least: 10, most: way === 'single' ? 10 : 30 },
    redo,
  };
}
