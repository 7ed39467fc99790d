import { useState } from 'react';
import { type Command, isConflict } from '@cordel/client';
import { errorText } from '@cordel/text/record';
import { useLatest } from '@/ui/useLatest';
import { outbox } from './client';

/**
 * Saves what a form holds with the record as it was when the form was filled: what others have changed since is kept.
 * Where both changed the same, both versions are told, and saving once more is the decision for one's own.
 * @param shown the record as it stands now; none where it is new
 * @returns saves a record; what is wrong in words, or nothing
 */
export function useMergedSave<Row extends object>(
  command: Command<Row & { base?: Row | undefined }>,
  shown: Row | undefined,
): (record: Row, label: string) => Promise<string> {
  const [base, setBase] = useState(shown);
  const latest = useLatest(shown);
  return async (record, label) => {
    const outcome = await outbox.add(command, { ...record, base }, label);
    if (!('refused' in outcome)) return '';
    if (isConflict(outcome.refused)) {
      // What was typed stands in the form; who has seen what others did saves over it.
      void outbox.discard(outcome.writeId);
      setBase(latest.current);
    }
    return errorText(outcome.refused);
  };
}
