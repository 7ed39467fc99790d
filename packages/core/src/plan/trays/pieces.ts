import { type Strand, weightOf } from './strands.ts';

/** Strands that are to lie on one tray. */
export type Piece = Strand[];

export const pieceWeight = (piece: Piece): number =>
  piece.reduce((sum, strand) => sum + weightOf(strand), 0);

/** A way to lay the first sleeves of a bundle. */
interface Way {
  splits: number;
  pieces: number;
  /** Squares of the pieces' weights: fuller pieces pack better. */
  squares: number;
  /** Where the last piece begins. */
  from: number;
}

/**
 * Cuts a bundle into pieces that fit a tray, with as few splits as the order of its fibers allows, then
 * with as few pieces, then with pieces as full as can be. Dynamic programming over the sleeves.
 */
export function piecesOf(bundle: readonly Strand[], capacity: number): Piece[] {
  const cuts = cutsBefore(bundle);
  const count = cuts.length;
  if (count <= capacity) return [[...bundle]];
  const best: Way[] = [{ splits: 0, pieces: 0, squares: 0, from: 0 }];
  for (let end = 1; end <= count; end++) {
    let found: Way | null = null;
    for (let from = Math.max(0, end - capacity); from < end; from++) {
      const before = best[from]!;
      const way = {
        splits: before.splits + cuts[from]!,
        pieces: before.pieces + 1,
        squares: before.squares + (end - from) ** 2,
        from,
      };
      if (!found || isBetter(way, found)) found = way;
    }
    best.push(found!);
  }
  const pieces: Piece[] = [];
  for (let end = count; end > 0; end = best[end]!.from)
    pieces.unshift(sleevesBetween(bundle, best[end]!.from, end));
  return pieces;
}

const isBetter = (one: Way, other: Way): boolean =>
  one.splits !== other.splits
    ? one.splits < other.splits
    : one.pieces !== other.pieces
      ? one.pieces < other.pieces
      : one.squares > other.squares;

/** The sleeves from one place in a bundle to another, as strands. */
function sleevesBetween(bundle: readonly Strand[], from: number, to: number): Piece {
  const piece: Piece = [];
  let at = 0;
  for (const strand of bundle) {
    const sleeves = strand.sleeves.slice(Math.max(0, from - at), Math.max(0, to - at));
    if (sleeves.length > 0) piece.push({ ...strand, sleeves });
    at += weightOf(strand);
  }
  return piece;
}

/** For each sleeve, how many tubes and ribbons have sleeves both before it and from it on. */
function cutsBefore(bundle: readonly Strand[]): number[] {
  const first = new Map<string, number>();
  const last = new Map<string, number>();
  let count = 0;
  for (const strand of bundle) {
    for (const unit of strand.units) {
      if (!first.has(unit)) first.set(unit, count);
      last.set(unit, count + weightOf(strand) - 1);
    }
    count += weightOf(strand);
  }
  const cuts = new Array<number>(count).fill(0);
  for (const [unit, from] of first)
    for (let at = from + 1; at <= last.get(unit)!; at++) cuts[at]!++;
  return cuts;
}
