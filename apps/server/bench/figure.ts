/** One figure of the bench: a ratio measured in one run, and the most it may be. */
export interface Figure {
  name: string;
  ratio: number;
  limit: number;
  note: string;
}

export const median = (list: readonly number[]): number =>
  [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)]!;

/** Middles of two kinds of work timed in turn, so that both meet the same weather. */
export async function medians(
  runs: number,
  one: (run: number) => Promise<unknown>,
  other: (run: number) => Promise<unknown>,
): Promise<[number, number]> {
  await one(-1);
  await other(-1);
  const times: [number[], number[]] = [[], []];
  for (let run = 0; run < runs; run++) {
    for (const [index, work] of [one, other].entries()) {
      const start = performance.now();
      await work(run);
      times[index]!.push(performance.now() - start);
    }
  }
  return times.map(median) as [number, number];
}
