import { defaultKeymap, history, historyKeymap } from '@codemirror/commands';
import { type Diagnostic, setDiagnostics } from '@codemirror/lint';
import { Annotation, EditorState } from '@codemirror/state';
import { EditorView, keymap, lineNumbers } from '@codemirror/view';
import { useEffect, useRef, useState } from 'react';
import type { PlanError, Span } from '@cordel/core';
import { planMessageText } from '@cordel/text/plan';
import { planShared as t } from '@cordel/text/pages/plan/shared';
import { FONTS, type Colors, useColors } from '@/ui/theme';

/** Marks text that the page imported, so that it does not count as typed. */
const brought = Annotation.define<boolean>();

interface PlanEditorProps {
  value: string;
  errors: readonly PlanError[];
  /** A place to go to, such as an error that was pressed. */
  goTo: Span | null;
  onChange(text: string): void;
}

/** The lines of a plan, each error underlined at its place. */
export function PlanEditor({ value, errors, goTo, onChange }: PlanEditorProps) {
  const colors = useColors();
  const holder = useRef<HTMLDivElement>(null);
  const [view, setView] = useState<EditorView | null>(null);
  const report = useRef(onChange);
  const first = useRef(value);
  useEffect(() => {
    report.current = onChange;
  }, [onChange]);
  useEffect(() => {
    const editor = new EditorView({
      parent: holder.current!,
      state: EditorState.create({
        doc: first.current,
        extensions: [
          lineNumbers(),
          history(),
          // Tab moves on to the next key of the page, as everywhere else.
          keymap.of([...defaultKeymap, ...historyKeymap]),
          EditorView.lineWrapping,
          EditorView.contentAttributes.of({ 'aria-label': t('linesOfThePlan') }),
          EditorView.updateListener.of((update) => {
            const typed = !update.transactions.some((change) => change.annotation(brought));
            if (update.docChanged && typed) report.current(update.state.doc.toString());
          }),
          looks(colors),
        ],
      }),
    });
    setView(editor);
    first.current = '';
    return () => {
      first.current = editor.state.doc.toString();
      editor.destroy();
    };
  }, [colors]);
  // Text that was changed elsewhere, by the builder or another page, comes in.
  useEffect(() => {
    if (!view || view.state.doc.toString() === value) return;
    view.dispatch({
      changes: { from: 0, to: view.state.doc.length, insert: value },
      annotations: brought.of(true),
    });
  }, [view, value]);
  useEffect(() => {
    if (!view) return;
    view.dispatch(
      setDiagnostics(
        view.state,
        errors.flatMap((error) => diagnosticOf(error, view)),
      ),
    );
  }, [view, errors, value]);
  useEffect(() => {
    if (!view || !goTo || goTo.line >= view.state.doc.lines) return;
    const line = view.state.doc.line(goTo.line + 1);
    const anchor = Math.min(line.from + goTo.from, line.to);
    view.dispatch({
      selection: { anchor, head: Math.min(line.from + goTo.to, line.to) },
      scrollIntoView: true,
    });
    view.focus();
  }, [view, goTo]);
  return <div ref={holder} />;
}

function diagnosticOf(error: PlanError, view: EditorView): Diagnostic[] {
  if (error.line >= view.state.doc.lines) return [];
  const line = view.state.doc.line(error.line + 1);
  const from = Math.min(line.from + error.from, line.to);
  const to = Math.max(from, Math.min(line.from + error.to, line.to));
  return [{ from, to, severity: 'error', message: planMessageText(error.message) }];
}

const looks = (colors: Colors) =>
  EditorView.theme({
    '&': {
      fontSize: '17px',
      color: colors.ink,
      backgroundColor: colors.leaf,
      border: `2px solid ${colors.ink}`,
    },
    '&.cm-focused': { outline: `3px solid ${colors.accent}`, outlineOffset: '2px' },
    '.cm-scroller': { fontFamily: FONTS.regular, lineHeight: '1.6', minHeight: '132px' },
    '.cm-content': { caretColor: colors.ink, padding: '8px 0' },
    '.cm-cursor': { borderLeftColor: colors.ink, borderLeftWidth: '2px' },
    '.cm-gutters': {
      backgroundColor: colors.paper,
      color: colors.ink2,
      borderRight: `1px solid ${colors.rule}`,
      fontFamily: FONTS.regular,
    },
    '.cm-lintRange-error': {
      backgroundImage: 'none',
      textDecorationLine: 'underline',
      textDecorationStyle: 'wavy',
      textDecorationColor: colors.accent,
      textDecorationThickness: '2px',
      textUnderlineOffset: '4px',
    },
    '.cm-tooltip': {
      backgroundColor: colors.leaf,
      color: colors.ink,
      border: `2px solid ${colors.ink}`,
      fontFamily: FONTS.regular,
    },
    '.cm-selectionBackground, &.cm-focused .cm-selectionBackground': {
      backgroundColor: `${colors.wood} !important`,
    },
  });
