import { View } from 'react-native';
import { Notice } from '@/ui/Notice';
import { Press } from '@/ui/Press';
import type { Removal } from './useRemoval';

const HOW = {
  deleted: 'Deleted.',
  archived: 'Archived.',
  'taken back': 'Taken out of the archive.',
} as const;

/** What last became of a record, with undo; or why it cannot be deleted, with the other way. */
export function RemovalNotice({ removal }: { removal: Removal }) {
  const { done, problem, setArchived } = removal;
  if (problem)
    return (
      <View style={{ gap: 8 }}>
        <Notice word={`${problem.item.name} stays.`} ink="accent" live>
          {problem.message}
        </Notice>
        <Press
          label={`Archive ${problem.item.name}`}
          icon="archive-outline"
          look="next"
          onPress={() => setArchived(problem.item, true)}
        />
      </View>
    );
  if (!done) return null;
  return (
    <View style={{ gap: 8 }}>
      <Notice word={`${done.item.name}:`} live>
        {HOW[done.how]}
      </Notice>
      <Press label={`Undo: ${done.item.name}`} icon="undo" onPress={done.undo} />
    </View>
  );
}
