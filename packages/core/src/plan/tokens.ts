import { dashed } from '../fiber/parse.ts';
import type { PlanMessage, Span } from './lines.ts';

/** A word of a line, a name in quotes or a comma, and where it stands. */
export interface Token extends Span {
  text: string;
  quoted: boolean;
}

/** Thrown inside a line and turned into a {@link PlanError} at the end of it. */
export class PlanSyntaxError extends Error {
  readonly at: Span;
  readonly problem: PlanMessage;

  constructor(at: Span, problem: PlanMessage) {
    super(problem.code);
    this.at = at;
    this.problem = problem;
  }
}

const TOKEN = /"[^"]*"?|[^\s",]+|,/g;

/**
 * Parts a line of a plan into its words; a remark ends it.
 * @throws PlanSyntaxError where a quote is not closed
 */
export function tokenize(source: string, line: number): Token[] {
  const tokens: Token[] = [];
  // Quotes and dashes of print, letter for letter, so that places stay what they are.
  const plain = dashed(source).replace(/[\u201c-\u201f\u00ab\u00bb]/g, '"');
  for (const match of plain.matchAll(TOKEN)) {
    const [text] = match;
    if (text.startsWith('#')) break;
    const quoted = text.startsWith('"');
    const token = { line, from: match.index, to: match.index + text.length, text, quoted };
    if (quoted && (text.length === 1 || !text.endsWith('"')))
      throw new PlanSyntaxError(token, { code: 'quoteOpen' });
    if (quoted) token.text = text.slice(1, -1);
    tokens.push(token);
  }
  return tokens;
}
