import { parsePlan } from './parsePlan.ts';
import { printName } from './printLine.ts';
import type { ListCable } from './spliceList.ts';

/**
 * The lines of a plan with a cable called by another name; remarks, notes and everything else stay as they
 * are written. A line that is not understood stays whole.
 * @param cables the cables that meet in the closure, by the names that the text has
 */
export const renameInPlan = (
  text: string,
  cables: readonly ListCable[],
  from: string,
  to: string,
): string => renameAllInPlan(text, cables, new Map([[from, to]]));

/** Several names at once, so that two cables may change places. */
export function renameAllInPlan(
  text: string,
  cables: readonly ListCable[],
  names: ReadonlyMap<string, string>,
): string {
  const lines = text.split('\n');
  const places = parsePlan(text, cables)
    .lines.flatMap(({ a, b }) => (b ? [a, b] : [a]))
    .filter(({ cable }) => names.has(cable))
    // From the right, so that places further left stay what they are.
    .sort((one, other) => other.span.from - one.span.from);
  for (const { span, leg, cable: from } of places) {
    const to = names.get(from)!;
    const line = lines[span.line]!;
    const rest = line.slice(span.from);
    const length = nameLength(rest, from);
    const name = printName(leg ? `${to}.${leg}` : to);
    lines[span.line] = `${line.slice(0, span.from)}${name}${rest.slice(length)}`;
  }
  return lines.join('\n');
}

const QUOTED =
  /^["\u201c-\u201f\u00ab\u00bb][^"\u201c-\u201f\u00ab\u00bb]*["\u201c-\u201f\u00ab\u00bb]/;

/** How far a name goes as it is written: in quotes, or word by word with blanks between. */
function nameLength(rest: string, name: string): number {
  const quoted = QUOTED.exec(rest);
  if (quoted) return quoted[0].length;
  const words = name.split(/\s+/).length;
  return new RegExp(`^(?:\\S+\\s+){${words - 1}}[^\\s,]+`).exec(rest)?.[0].length ?? name.length;
}
