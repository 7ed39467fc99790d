import { sql } from 'drizzle-orm';
import { type Reading, spliceStateOf } from '@cordel/core';
import { measuredMs } from '@cordel/core/otdr';
import type { Receipt } from '../accounts/receipts.ts';
import type { Db } from '../db/client.ts';
import { splices } from '../db/schema.ts';
import { bySplice, evidenceOf, idArray, record } from '../evidence/queries.ts';
import { derivedId } from '../splices/derivedId.ts';
import type { Proof } from './proof.ts';

/** Figures of the traces as the Ledger takes them. */
/** Why a figure is not put into the Ledger. */
export const HELD_BACK = ['filesInDoubt', 'shotBeforeSplice', 'lossTooLarge'] as const;
type HeldBack = (typeof HELD_BACK)[number];

export interface LedgerFigures {
  /** Readings that are not in the Ledger yet. */
  fresh: Reading[];
  /** How many are there already. */
  there: number;
  /** How many wait for something to be fixed, and what. */
  held: { count: number; why: HeldBack }[];
}

/**
 * What the traces say of each splice, one reading a direction and wavelength. A reading speaks for the
 * try that lay in the tray when the trace was shot. Circuits whose files are mixed up or copies of each other are
 * held back.
 */
export async function ledgerFigures(
  db: Db,
  proof: Proof,
  signed: { by: string; at: string },
): Promise<LedgerFigures> {
  const evidence = bySplice(
    await evidenceOf(db, sql`${splices.id} = any(${idArray([...proof.splices.keys()])}::uuid[])`),
  );
  const held = new Map<HeldBack, number>();
  const hold = (why: HeldBack) => held.set(why, (held.get(why) ?? 0) + 1);
  const doubted = new Set(
    proof.problems
      .filter(
        ({ kind }) =>
          kind === 'mixed up' ||
          kind === 'same samples' ||
          kind === 'other wavelength' ||
          kind === 'end from one side',
      )
      .flatMap(({ traces }) => traces),
  );
  const origins = new Map(proof.rows.map(({ id, origin }) => [id, origin]));
  const shotAt = new Map(proof.rows.map(({ id, facts }) => [id, measuredMs(facts)]));
  const result: LedgerFigures = { fresh: [], there: 0, held: [] };
  for (const splice of proof.figured) {
    const own = evidence.get(splice.spliceId) ?? [];
    const forward = proof.plant.isForward(proof.circuits.get(splice.circuit)!, splice.point);
    for (const [direction, figure] of [
      ['AB', splice.forward],
      ['BA', splice.backward],
    ] as const) {
      const traceId = splice.traces[direction];
      if (!figure || traceId === null) continue;
      const id = derivedId(traceId, `reading ${splice.spliceId}`);
      if (own.some((entry) => entry.id === id)) {
        result.there++;
        continue;
      }
      if (doubted.has(traceId)) {
        hold('filesInDoubt');
        continue;
      }
      const tries = spliceStateOf(own).tries;
      const shot = shotAt.get(traceId) ?? null;
      const tryThen =
        shot === null ? tries.at(-1) : tries.filter(({ at }) => Date.parse(at) <= shot).at(-1);
      if (tries.length > 0 && !tryThen) {
        hold('shotBeforeSplice');
        continue;
      }
      if (Math.abs(figure.lossDb) > 10) {
        hold('lossTooLarge');
        continue;
      }
      result.fresh.push({
        type: 'reading',
        id,
        spliceId: splice.spliceId,
        ...signed,
        tryId: tryThen?.tryId ?? null,
        grade: 'one-way',
        direction: (direction === 'AB') === forward ? 'AB' : 'BA',
        wavelengthNm: splice.wavelengthNm,
        // Rounded up, so that rounding never turns a fail into a pass.
        lossMdb: Math.ceil(figure.lossDb * 1000 - 1e-6),
        traceId,
        origin: origins.get(traceId)!,
        supersedes: null,
        void: false,
        why: null,
      });
    }
  }
  result.held = [...held].map(([why, count]) => ({ count, why }));
  return result;
}

const BATCH = 2000;

/** Puts figures into the Ledger; the same once more changes nothing. */
export async function putFigures(
  db: Db,
  figures: readonly Reading[],
  receipt: Receipt | undefined,
): Promise<number> {
  let count = 0;
  for (let start = 0; start < figures.length; start += BATCH)
    count += await record(
      db,
      figures.slice(start, start + BATCH).map((figure) => ({ ...figure, measured: true, receipt })),
    );
  return count;
}
