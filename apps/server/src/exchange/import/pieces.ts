/** How long a piece is to take, in ms: whoever records meanwhile waits for one at most. */
const PIECE_MS = 8;
const FIRST = 50;
const LEAST = 20;
const MOST = 2000;
/** How often the progress is told, in ms. */
const TELL_MS = 300;

/** Writes many rows piece by piece, each as large as it may be to keep nobody waiting. */
export class Pieces {
  private done = 0;
  private told = performance.now();

  /** @param tell takes how many rows are in; it throws where the work is to stop */
  constructor(private readonly tell: (done: number) => Promise<void>) {}

  /**
   * @param work writes a piece in one statement
   * @param sizeOf how many rows a unit is; units are never cut
   */
  async write<Unit>(
    units: readonly Unit[],
    work: (piece: readonly Unit[]) => Promise<unknown>,
    sizeOf: (unit: Unit) => number = () => 1,
  ): Promise<void> {
    let wanted = FIRST;
    for (let start = 0; start < units.length;) {
      let [end, size] = [start, 0];
      while (end < units.length && size < wanted) size += sizeOf(units[end++]!);
      const begun = performance.now();
      await work(units.slice(start, end));
      const took = performance.now() - begun;
      this.done += size;
      start = end;
      // Others who come in between make it longer, and the next piece smaller: work under way is left room.
      const fit = (size * PIECE_MS) / Math.max(took, 0.5);
      wanted = Math.round(Math.min(MOST, 2 * wanted, Math.max(LEAST, fit)));
      if (performance.now() - this.told < TELL_MS) continue;
      await this.tell(this.done);
      this.told = performance.now();
    }
  }
}
