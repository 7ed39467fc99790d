import type { ParsedPlan } from './lines.ts';
import { readLine } from './readLine.ts';
import type { ListCable } from './spliceList.ts';
import { PlanSyntaxError } from './tokens.ts';

/**
 * Reads a splice plan. A line is one sentence:
 *
 * ```
 * splice A tubes 1-6 to B tubes 1-6
 * splice A 73-96 to C 1-24
 * splice R ribbons 1-12 to T ribbons 1-12 mass
 * splice R ribbon 5 to T ribbon 5 mass reversed
 * splice F.in tube 3 to S 1-12
 * splice A 1 to SP1 in
 * splice SP1 out 1-8 to D 1-8
 * terminate D 9-12 on T1 ports 1-4 SC APC mechanical
 * terminate R ribbons 1-6 on M1 ports 1-72 polarity A
 * through A tubes 7-12
 * dead A 17 "nicked at the ring cut"
 * reserve A tube 9 "clinic"
 * reserve F.out tube 3 "stub"
 * ```
 *
 * `#` begins a remark. A cable whose name has a space stands in quotes. A line with an error is left
 * out of `lines`; all others stay in use.
 * @param cables the cables that meet in the closure
 */
export function parsePlan(text: string, cables: readonly ListCable[]): ParsedPlan {
  const byName = new Map(cables.map((cable) => [cable.name.toLowerCase(), cable]));
  const plan: ParsedPlan = { lines: [], errors: [] };
  text.split('\n').forEach((source, line) => {
    try {
      const read = readLine(source, line, byName);
      if (read) plan.lines.push(read);
    } catch (error) {
      if (!(error instanceof PlanSyntaxError)) throw error;
      const { line: at, from, to } = error.at;
      plan.errors.push({ line: at, from, to, message: error.problem });
    }
  });
  return plan;
}
