import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/ui/ListEditor.tsx`. */
export const listEditor = phrases({
  addWord: 'Add: {word}',
  removeWordNumber: 'Remove {word} {number}',
  wordNumber: '{word} {number}',
});
