/** What a person wrote on a line of a plan beyond what it does. */
export interface PlanNote {
  /** From 0. */
  line: number;
  /** The line as it stands. */
  text: string;
  /** What stands in quotes, and the remark behind `#`. */
  note: string;
}

const QUOTED = /["\u201c-\u201f\u00ab]([^"\u201c-\u201f\u00bb]*)["\u201c-\u201f\u00bb]/g;
const REMARK = /#\s*(.*)$/;

/** The lines of a plan that carry a note or a remark, also where the plan cannot be read. */
export function planNotes(text: string): PlanNote[] {
  return text.split('\n').flatMap((source, line) => {
    const quoted = [...source.matchAll(QUOTED)].map(([, words]) => words!);
    const remark = REMARK.exec(source.replace(QUOTED, ' '))?.[1];
    const note = [...quoted, remark ?? ''].filter(Boolean).join(' ');
    return note === '' ? [] : [{ line, text: source.trim(), note }];
  });
}
