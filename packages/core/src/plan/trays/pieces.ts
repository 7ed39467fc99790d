import { type Strand, weightOf } from './strands.ts';

/** Strands that are to lie on one tray. */
export type Piece = Strand[];

export const pieceWeight = (piece: Piece): number =>
  piece.reduce((sum, strand) => sum + weightOf(strand), 0);

/**
 * Cuts a bundle into pieces that fit a tray, with as few splits as the order of its fibers allows, then
 * with as few pieces, then with pieces as full as can be. Dynamic programming over the strands.
 */
export function piecesOf(bundle: readonly Strand[], capacity: number): Piece[] {
  const strands = bundle.flatMap((strand) => chunksOf(strand, capacity));
  if (strands.reduce((sum, strand) => sum + weightOf(strand), 0) <= capacity) return [strands];
  const cuts = cutsBefore(strands);
  /** Best way to lay the first `n` strands: splits, pieces, and the squares of their weights. */
  const best: { splits: number; pieces: number; squares: number; from: number }[] = [
    { splits: 0, pieces: 0, squares: 0, from: 0 },
  ];
  for (let end = 1; end <= strands.length; end++) {
    let filled = 0;
    for (let from = end - 1; from >= 0; from--) {
      filled += weightOf(strands[from]!);
      if (filled > capacity) break;
      const before = best[from]!;
      const way = {
        splits: before.splits + cuts[from]!,
        pieces: before.pieces + 1,
        squares: before.squares + filled * filled,
        from,
      };
      const known = best[end];
      if (!known || isBetter(way, known)) best[end] = way;
    }
  }
  const pieces: Piece[] = [];
  for (let end = strands.length; end > 0; end = best[end]!.from)
    pieces.unshift(strands.slice(best[end]!.from, end));
  return pieces;
}

const isBetter = (
  one: { splits: number; pieces: number; squares: number },
  other: { splits: number; pieces: number; squares: number },
): boolean =>
  one.splits !== other.splits
    ? one.splits < other.splits
    : one.pieces !== other.pieces
      ? one.pieces < other.pieces
      : one.squares > other.squares;

/** A strand in parts of at most the capacity, the full ones first. */
function chunksOf(strand: Strand, capacity: number): Strand[] {
  const chunks: Strand[] = [];
  for (let at = 0; at < strand.sleeves.length; at += capacity)
    chunks.push({ ...strand, sleeves: strand.sleeves.slice(at, at + capacity) });
  return chunks;
}

/** For each strand, how many tubes and ribbons have strands both before it and from it on. */
function cutsBefore(strands: readonly Strand[]): number[] {
  const first = new Map<string, number>();
  const last = new Map<string, number>();
  strands.forEach((strand, index) => {
    for (const unit of strand.units) {
      if (!first.has(unit)) first.set(unit, index);
      last.set(unit, index);
    }
  });
  const cuts = new Array<number>(strands.length).fill(0);
  for (const [unit, from] of first)
    for (let index = from + 1; index <= last.get(unit)!; index++) cuts[index]!++;
  return cuts;
}
