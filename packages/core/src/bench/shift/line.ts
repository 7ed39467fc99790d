/**
 * A stage of work. It starts when its queue is not empty and all it takes is free, and ends after its
 * time. What is taken and not given back is held on until a later stage of the same job gives it.
 */
export interface Stage {
  name: string;
  /** Pools it takes one of when it starts. */
  takes: readonly number[];
  /** Pools it gives one back to when it ends. */
  gives: readonly number[];
  /** The stage a job goes to next; -1 where it is finished. */
  next: number;
}

/** What does the work: people, machines, places. */
export interface Pool {
  name: string;
  count: number;
}

/**
 * Work on a line: jobs enter at a stage, all at once or when the job before them is finished or when a
 * moment comes.
 */
export interface Line {
  pools: readonly Pool[];
  /** Later stages go first: what is under way is finished before more is begun. */
  stages: readonly Stage[];
  jobs: readonly Job[];
}

export interface Job {
  /** The stage it enters at. */
  stage: number;
  /** The unit (tube or ribbon) it belongs to; -1 for none. */
  unit: number;
  /** The job it waits for, or -1. */
  after: number;
  /** Seconds from the start before which it does not enter. */
  from: number;
  /** Enters only when a stage calls for it (see {@link Draw.follows}), any number of times. */
  called?: boolean;
}

/** How long a job is at a stage in s, and where it goes when it ends. Drawn anew each time. */
export interface Draw {
  time(job: number, stage: number): number;
  /** The stage after this one: `next` in most cases, an earlier one where the work is made again. */
  next(job: number, stage: number, next: number): number;
  /** A job that enters of itself when a stage has ended; -1 for none. */
  follows?(job: number, stage: number): number;
}

/** One stretch of work, for the picture of it. */
export interface Stretch {
  job: number;
  stage: number;
  from: number;
  to: number;
}

/** A run of a line. Times in s from its start. */
export interface LineRun {
  finish: number;
  /** For each unit, when it was begun and finished. */
  begun: Float64Array;
  finished: Float64Array;
  /** For each pool, how long its parts were taken or held, added up. */
  busy: Float64Array;
}

/**
 * Runs a line again and again; its arrays are kept from run to run. The model is event by event: at each
 * end of a stage everything that can start does, later stages and earlier jobs first.
 */
export class LineRunner {
  private readonly line: Line;
  private readonly queues: Int32Array[];
  private readonly heads: Int32Array;
  private readonly tails: Int32Array;
  private readonly free: Int32Array;
  private readonly counts: Int32Array;
  private readonly waiters: readonly (readonly number[])[];
  private readonly timed: readonly number[];
  // Stages under way: few at a time, so that the next end is found by looking at all of them.
  private readonly ends: Float64Array;
  private readonly underJob: Int32Array;
  private readonly underStage: Int32Array;
  private under = 0;
  private readonly unitJobs: number;
  private readonly capacity: number;
  private readonly result: LineRun;
  /** Filled with every stretch of the next run where it is not null. */
  trace: Stretch[] | null = null;

  constructor(line: Line) {
    this.line = line;
    const { jobs, stages, pools } = line;
    this.unitJobs = jobs.filter(({ unit }) => unit >= 0).length;
    this.capacity = jobs.length + 1;
    this.queues = stages.map(() => new Int32Array(this.capacity));
    this.heads = new Int32Array(stages.length);
    this.tails = new Int32Array(stages.length);
    this.free = new Int32Array(pools.length);
    this.counts = Int32Array.from(pools, ({ count }) => count);
    const waiters: number[][] = jobs.map(() => []);
    jobs.forEach(({ after }, job) => {
      if (after >= 0) waiters[after]!.push(job);
    });
    this.waiters = waiters;
    this.timed = jobs
      .map((_, job) => job)
      .filter((job) => jobs[job]!.from > 0 && jobs[job]!.after < 0)
      .sort((a, b) => jobs[a]!.from - jobs[b]!.from);
    this.ends = new Float64Array(jobs.length);
    this.underJob = new Int32Array(jobs.length);
    this.underStage = new Int32Array(jobs.length);
    const units = 1 + Math.max(-1, ...jobs.map(({ unit }) => unit));
    this.result = {
      finish: 0,
      begun: new Float64Array(units),
      finished: new Float64Array(units),
      busy: new Float64Array(pools.length),
    };
  }

  /**
   * One run. What it returns is overwritten by the next.
   * @throws Error where jobs wait for each other for good
   */
  run(draw: Draw): LineRun {
    const { jobs, stages } = this.line;
    const { result } = this;
    this.reset();
    let now = 0;
    let timed = 0;
    let left = jobs.length;
    let unitsLeft = this.unitJobs;
    for (let job = 0; job < jobs.length; job++) {
      const { stage, after, from, called } = jobs[job]!;
      if (called) left--;
      else if (after < 0 && from <= 0) this.enqueue(stage, job);
    }
    for (;;) {
      this.dispatch(now, draw);
      let first = -1;
      let at = Infinity;
      for (let index = 0; index < this.under; index++)
        if (this.ends[index]! < at) {
          at = this.ends[index]!;
          first = index;
        }
      const waiting = this.timed[timed];
      if (waiting !== undefined && jobs[waiting]!.from <= at) {
        now = this.advance(now, Math.max(now, jobs[waiting]!.from));
        this.enqueue(jobs[waiting]!.stage, waiting);
        timed++;
        continue;
      }
      if (first < 0) break;
      now = this.advance(now, at);
      const job = this.underJob[first]!;
      const stage = this.underStage[first]!;
      this.under--;
      this.ends[first] = this.ends[this.under]!;
      this.underJob[first] = this.underJob[this.under]!;
      this.underStage[first] = this.underStage[this.under]!;
      const { gives, next } = stages[stage]!;
      for (let index = 0; index < gives.length; index++) this.free[gives[index]!]!++;
      const follower = draw.follows?.(job, stage) ?? -1;
      if (follower >= 0) {
        this.enqueue(jobs[follower]!.stage, follower);
        left++;
      }
      const onward = draw.next(job, stage, next);
      if (onward >= 0) {
        this.enqueue(onward, job);
        continue;
      }
      left--;
      const { unit } = jobs[job]!;
      if (unit >= 0) {
        result.finished[unit] = now;
        result.finish = now;
        // What is not of a unit, such as a break still to come, has no part in the work.
        if (--unitsLeft === 0) return result;
      }
      const waiters = this.waiters[job]!;
      for (let index = 0; index < waiters.length; index++)
        this.enqueue(jobs[waiters[index]!]!.stage, waiters[index]!);
    }
    if (left > 0) throw new Error('Jobs of the line wait for each other.');
    return result;
  }

  private reset(): void {
    this.heads.fill(0);
    this.tails.fill(0);
    this.under = 0;
    this.free.set(this.counts);
    this.result.finish = 0;
    this.result.begun.fill(-1);
    this.result.finished.fill(0);
    this.result.busy.fill(0);
  }

  private advance(now: number, to: number): number {
    const { busy } = this.result;
    for (let pool = 0; pool < busy.length; pool++)
      busy[pool]! += (this.counts[pool]! - this.free[pool]!) * (to - now);
    return to;
  }

  private enqueue(stage: number, job: number): void {
    const tail = this.tails[stage]!;
    this.queues[stage]![tail] = job;
    this.tails[stage] = tail + 1 === this.capacity ? 0 : tail + 1;
  }

  private dispatch(now: number, draw: Draw): void {
    const { stages, jobs } = this.line;
    const { free, heads, tails } = this;
    for (let stage = stages.length - 1; stage >= 0; stage--) {
      const { takes } = stages[stage]!;
      while (heads[stage] !== tails[stage]) {
        let ready = true;
        for (let index = 0; index < takes.length; index++)
          if (free[takes[index]!]! <= 0) {
            ready = false;
            break;
          }
        if (!ready) break;
        for (let index = 0; index < takes.length; index++) free[takes[index]!]!--;
        const head = heads[stage]!;
        const job = this.queues[stage]![head]!;
        heads[stage] = head + 1 === this.capacity ? 0 : head + 1;
        const time = draw.time(job, stage);
        const { unit } = jobs[job]!;
        if (unit >= 0 && this.result.begun[unit]! < 0) this.result.begun[unit] = now;
        this.ends[this.under] = now + time;
        this.underJob[this.under] = job;
        this.underStage[this.under] = stage;
        this.under++;
        this.trace?.push({ job, stage, from: now, to: now + time });
      }
    }
  }
}
