import {
  type ChainLink,
  type ChainProblem,
  type Checkpoint,
  checkChain,
  continueChain,
} from '@cordel/core/close';
import { and, asc, desc, eq, gt, sql } from 'drizzle-orm';
import { type Db, rowsOf } from '../db/client.ts';
import { chain, checkpoints } from '../db/schema.ts';
import { digestsOf, unchained } from './entries.ts';
import { isSigned, signCheckpoint } from './signing.ts';

/** Entries that are chained in one transaction. */
const PIECE = 2000;

/**
 * Chains what was recorded since, and puts the server's name to it. Whoever records does not wait for it: it is done
 * every minute, and before a package or a check.
 * @returns the last checkpoint; null where nothing was ever recorded
 */
export async function sealChain(db: Db, projectId: string): Promise<Checkpoint | null> {
  let isLonger = false;
  for (;;) {
    const count = await db.transaction(async (tx) => {
      const on = tx as unknown as Db;
      // Two servers go on with a chain one after the other.
      await rowsOf(
        on,
        sql`select pg_advisory_xact_lock(hashtextextended(${`chain ${projectId}`}, 0))`,
      );
      const entries = await unchained(on, projectId, PIECE);
      if (entries.length === 0) return 0;
      const digests = await digestsOf(on, entries);
      const last = await lastLink(on, projectId);
      const links = continueChain(
        projectId,
        last,
        entries.map((entry) => ({ ...entry, digest: digests.get(entry.entryId)! })),
      );
      for (let at = 0; at < links.length; at += 500)
        await tx
          .insert(chain)
          .values(links.slice(at, at + 500).map((link) => ({ projectId, ...link })));
      return links.length;
    });
    isLonger ||= count > 0;
    if (count < PIECE) break;
  }
  return isLonger ? signLast(db, projectId) : lastCheckpoint(db, projectId);
}

async function lastLink(db: Db, projectId: string): Promise<ChainLink | null> {
  const [row] = await db
    .select()
    .from(chain)
    .where(eq(chain.projectId, projectId))
    .orderBy(desc(chain.number))
    .limit(1);
  return row ?? null;
}

async function signLast(db: Db, projectId: string): Promise<Checkpoint> {
  const { number, hash } = (await lastLink(db, projectId))!;
  const checkpoint = await signCheckpoint(db, {
    projectId,
    number,
    hash,
    at: new Date().toISOString(),
  });
  await db
    .insert(checkpoints)
    .values({ ...checkpoint, at: new Date(checkpoint.at) })
    .onConflictDoNothing();
  return (await lastCheckpoint(db, projectId))!;
}

const toCheckpoint = ({ at, ...rest }: typeof checkpoints.$inferSelect): Checkpoint => ({
  ...rest,
  at: at.toISOString(),
});

async function lastCheckpoint(db: Db, projectId: string): Promise<Checkpoint | null> {
  const [row] = await db
    .select()
    .from(checkpoints)
    .where(eq(checkpoints.projectId, projectId))
    .orderBy(desc(checkpoints.number))
    .limit(1);
  return row ? toCheckpoint(row) : null;
}

/** The links of a chain, piece by piece, in their order. */
export async function* linkPages(db: Db, projectId: string): AsyncGenerator<ChainLink[]> {
  for (let after = 0; ;) {
    const page = await db
      .select({
        number: chain.number,
        kind: chain.kind,
        entryId: chain.entryId,
        digest: chain.digest,
        hash: chain.hash,
      })
      .from(chain)
      .where(and(eq(chain.projectId, projectId), gt(chain.number, after)))
      .orderBy(asc(chain.number))
      .limit(PIECE);
    if (page.length === 0) return;
    yield page;
    after = page.at(-1)!.number;
  }
}

/** What a check of a project's record gives. */
export interface ChainCheck {
  /** Entries that are chained. */
  links: number;
  checkpoint: Checkpoint | null;
  /** Empty where the record is what was chained and signed. */
  problems: ChainProblem[];
}

/** Chains what is new, then holds the whole record against its chain and what was signed of it. */
export async function checkRecord(db: Db, projectId: string): Promise<ChainCheck> {
  const checkpoint = await sealChain(db, projectId);
  const links: ChainLink[] = [];
  const digests = new Map<string, string>();
  for await (const page of linkPages(db, projectId)) {
    links.push(...page);
    for (const [id, digest] of await digestsOf(db, page)) digests.set(id, digest);
  }
  const signed = await db
    .select()
    .from(checkpoints)
    .where(eq(checkpoints.projectId, projectId))
    .orderBy(asc(checkpoints.number));
  const problems = checkChain({
    projectId,
    links,
    checkpoints: signed.map(toCheckpoint),
    digestNow: ({ entryId }) => digests.get(entryId) ?? null,
    isSigned,
  });
  return { links: links.length, checkpoint, problems };
}
