import { EMPTY_TALLY, type SpliceRow, type Tally, addTally, spliceStage } from '@cordel/core';

/** The tally of one splice; what is read of an end is no loss of a splice. */
const tallyOf = (row: SpliceRow): Tally => {
  const loss = row.end === null ? row.lossHalfMdb : null;
  return {
    ...EMPTY_TALLY,
    total: 1,
    [spliceStage(row)]: 1,
    failed: Number(row.verdict === 'fail'),
    simulated: Number(row.origin === 'simulated'),
    figures: Number(loss !== null),
    sumHalfMdb: loss ?? 0,
    maxHalfMdb: loss,
    weakest: row.end === null ? row.grade : null,
  };
};

/** Tallies of groups of splices that come one by one, by a key. */
export class Tallies<Key> {
  private readonly tallies = new Map<string, { key: Key; tally: Tally }>();

  add(name: string, key: Key, row: SpliceRow): void {
    const held = this.tallies.get(name);
    const own = tallyOf(row);
    if (held) held.tally = addTally(held.tally, own);
    else this.tallies.set(name, { key, tally: own });
  }

  get(name: string): Tally {
    return this.tallies.get(name)?.tally ?? EMPTY_TALLY;
  }

  all(): { key: Key; tally: Tally }[] {
    return [...this.tallies.values()];
  }
}
