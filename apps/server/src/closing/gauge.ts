import { eq } from 'drizzle-orm';
import type { ClosingEntry } from '@cordel/core/close';
import { readingsOf } from '@cordel/core/close';
import { type Condition, gaugeWorld, readGauge } from '@cordel/standin/gauge';
import { closingProblems as say } from '@cordel/text/server/closing';
import { closures } from '../db/schema.ts';
import type { Db } from '../db/client.ts';
import { notFound, problemAt } from '../http/problem.ts';
import { forPractice } from '../projects/practice.ts';
import { getProject } from '../projects/queries.ts';
import { derivedId } from '../splices/derivedId.ts';
import { appendAt } from './append.ts';
import { closingOf } from './queries.ts';

/** What the simulated gauge is asked for. */
export interface GaugeTask {
  id: string;
  roundId: string;
  condition: Condition;
  by: string;
}

/** Minutes of its own clock that the simulated gauge goes on, and its readings in them. */
const GO_ON = 3;
const READINGS = 6;
const USUAL_TEMPERATURE = 15;

/**
 * Runs the simulated gauge on: its readings are recorded at this moment, with the minute of its own clock,
 * which runs faster.
 * @throws Problem 409 in a project for real work, 422 without such a round
 */
export async function runGauge(db: Db, closureId: string, task: GaugeTask): Promise<void> {
  const [closure] = await db.select().from(closures).where(eq(closures.id, closureId));
  if (!closure) throw notFound('closure');
  await forPractice(db, closure.projectId);
  const { practice } = await getProject(db, closure.projectId);
  const entries = await closingOf(db, closureId);
  const firstId = derivedId(task.id, 'reading 1');
  if (entries.some(({ id }) => id === firstId)) return;
  const round = entries.find((one) => one.id === task.roundId);
  if (round?.kind !== 'round') {
    throw problemAt(422, '/roundId', say('roundUnknown'));
  }
  const before = readingsOf(
    round,
    entries.flatMap((one) => (one.kind === 'gauge' && one.roundId === round.id ? [one] : [])),
  );
  const from = Math.max(0, ...before.map(({ minutes }) => minutes));
  const world = gaugeWorld(task.condition, parseInt(round.id.slice(-8), 16), {
    targetPa: round.targetPa,
    airPa: round.airPa,
    stepPa: round.stepPa,
    limit: practice.leakLimit,
    temperature:
      before.find(({ temperature }) => temperature !== null)?.temperature ?? USUAL_TEMPERATURE,
  });
  const minutes = Array.from(
    { length: READINGS },
    (_, at) => Math.round((from + ((at + 1) * GO_ON) / READINGS) * 1000) / 1000,
  );
  const at = new Date().toISOString();
  await appendAt(
    db,
    closureId,
    readGauge(world, minutes).map(
      ({ gaugePa, temperature, minutes: minute }, index): ClosingEntry => ({
        kind: 'gauge',
        id: derivedId(task.id, `reading ${index + 1}`),
        closureId,
        by: task.by,
        at,
        roundId: round.id,
        gaugePa: Math.min(gaugePa, round.limitPa),
        temperature,
        minute,
        origin: 'simulated',
      }),
    ),
  );
}
