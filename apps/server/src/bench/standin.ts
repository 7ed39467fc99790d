import { desc, eq, inArray } from 'drizzle-orm';
import { type Air, type Fault, type Splicer, fiberKindOf, modeFieldOf } from '@cordel/core';
import {
  type LoadedPair,
  type StandinState,
  checkStandin,
  fieldOf,
  newStandin,
  runStandin,
} from '@cordel/standin';
import { benchProblems as say } from '@cordel/text/server/bench';
import type { Db } from '../db/client.ts';
import { cables, splicerRecords, splices, standinJoints, standins } from '../db/schema.ts';
import { Problem } from '../http/problem.ts';
import { forPractice } from '../projects/practice.ts';
import { allInstruments, receive } from './queries.ts';

/** What lies in the stand-in's holder and how it is set. */
export interface Load {
  /** Id of the record it makes, so that the same press sent again is the same arc. */
  id: string;
  spliceIds: readonly string[];
  program: string;
  heater: string | null;
  faults: readonly Fault[];
  tensionOff: boolean;
  label: string | null;
  air: Air;
}

const USUAL_FIELD = 9.2;
/** The air at the stand-in, where nobody says what it is. */
const USUAL_AIR: Air = { temperature: 11, humidity: 60, pressure: 95.2 };

/** What of the air is said. */
const known = (air: Air): Partial<Air> =>
  Object.fromEntries(Object.entries(air).filter(([, figure]) => figure !== null));

/** Works on a stand-in whose row is locked meanwhile, and keeps what became of it. */
async function withState<Result>(
  db: Db,
  splicerId: string,
  work: (on: Db, state: StandinState) => Promise<[StandinState, Result]>,
): Promise<Result> {
  return db.transaction(async (tx) => {
    const on = tx as unknown as Db;
    await tx
      .insert(standins)
      .values({ splicerId, state: await startState(on, splicerId) })
      .onConflictDoNothing();
    const [row] = await tx
      .select()
      .from(standins)
      .where(eq(standins.splicerId, splicerId))
      .for('update');
    const [state, result] = await work(on, row!.state);
    await tx.update(standins).set({ state }).where(eq(standins.splicerId, splicerId));
    return result;
  });
}

/** A stand-in goes on where the splicer it plays left off. */
async function startState(db: Db, splicerId: string): Promise<StandinState> {
  const seed = [...splicerId].reduce((sum, letter) => Math.imul(sum, 31) + letter.charCodeAt(0), 7);
  const [last] = await db
    .select({ record: splicerRecords.record })
    .from(splicerRecords)
    .where(eq(splicerRecords.splicerId, splicerId))
    .orderBy(desc(splicerRecords.number))
    .limit(1);
  const { number = 0, arcs = 0 } = last?.record ?? {};
  return { ...newStandin(seed), number, arcs };
}

/** Presses the arc of the stand-in: its record goes the way of every other splicer's. */
export async function pressArc(
  db: Db,
  projectId: string,
  splicerId: string,
  load: Load,
): Promise<{ id: string }> {
  await forPractice(db, projectId);
  const splicer = await splicerNamed(db, splicerId);
  const { pairs, unlikeProgram } = await pairsOf(db, projectId, load, splicer);
  return withState(db, splicerId, async (on, state) => {
    const [here] = await on
      .select({ id: splicerRecords.id })
      .from(splicerRecords)
      .where(eq(splicerRecords.id, load.id));
    if (here) return [state, { id: load.id }];
    const run = runStandin({
      state,
      fibers: pairs,
      program: load.program,
      heater: load.heater,
      at: new Date().toISOString(),
      label: load.label,
      air: { ...USUAL_AIR, ...known(load.air) },
      faults: unlikeProgram ? [...load.faults, 'wrong program'] : load.faults,
      tensionOff: load.tensionOff,
      cleaveLimit: splicer.cleaveLimit / 100,
    });
    await receive(on, [{ id: load.id, projectId, splicerId, ...run.record }]);
    await on.insert(standinJoints).values({ recordId: load.id, truth: run.truth });
    return [run.state, { id: load.id }];
  });
}

/** Runs a round of an arc check on the stand-in. */
export async function pressCheck(
  db: Db,
  projectId: string,
  splicerId: string,
): Promise<{ passed: boolean; arcs: number }> {
  await forPractice(db, projectId);
  await splicerNamed(db, splicerId);
  return withState(db, splicerId, async (_on, before) => {
    const { passed, state } = checkStandin(before);
    return [state, { passed, arcs: state.arcs }];
  });
}

/** Cleans or replaces the electrodes of the stand-in, or turns the cleaver's blade. */
export async function tendStandin(
  db: Db,
  projectId: string,
  splicerId: string,
  what: 'electrodes' | 'blade',
): Promise<{ arcs: number }> {
  await forPractice(db, projectId);
  await splicerNamed(db, splicerId);
  return withState(db, splicerId, async (_on, state) => [
    what === 'blade' ? { ...state, cleaves: 0 } : { ...state, arcs: 0, power: state.power + 0.1 },
    { arcs: what === 'blade' ? state.arcs : 0 },
  ]);
}

async function splicerNamed(db: Db, splicerId: string): Promise<Splicer> {
  const found = (await allInstruments(db)).find(({ id }) => id === splicerId);
  if (found?.kind !== 'splicer') throw new Problem(422, say('splicerUnknown'));
  return found;
}

async function pairsOf(
  db: Db,
  projectId: string,
  load: Load,
  splicer: Splicer,
): Promise<{ pairs: LoadedPair[]; unlikeProgram: boolean }> {
  const rows = await db
    .select()
    .from(splices)
    .where(inArray(splices.id, [...load.spliceIds]));
  const own = await db.select().from(cables).where(eq(cables.projectId, projectId));
  const byId = new Map(rows.map((row) => [row.id, row]));
  const program = splicer.programs.find(({ name }) => name === load.program);
  let unlikeProgram = false;
  const pairs = load.spliceIds.map((id): LoadedPair => {
    const splice = byId.get(id);
    if (splice?.projectId !== projectId) throw new Problem(422, say('spliceNotInProject'));
    const field = (cableId: string, fiber: number): number => {
      const { glass } = own.find((cable) => cable.id === cableId)!;
      unlikeProgram ||=
        program !== undefined && program.glass !== 'any' && program.glass !== fiberKindOf(glass);
      return fieldOf(modeFieldOf(glass) ?? USUAL_FIELD, cableId, fiber);
    };
    return {
      mfdLeft: field(splice.cableA, splice.fiberA),
      mfdRight: field(splice.cableB, splice.fiberB),
    };
  });
  return { pairs, unlikeProgram };
}
