import { View } from 'react-native';
import { removalNotice as t } from '@cordel/text/pages/removal/RemovalNotice';
import { removalShared as shared } from '@cordel/text/pages/removal/shared';
import { Notice } from '@/ui/Notice';
import { Button } from '@/ui/Button';
import type { Removal } from './useRemoval';

const HOW = {
  deleted: t('deleted'),
  archived: t('archived'),
  'taken back': t('takenOutOfTheArchive'),
} as const;

/** What last became of a record, with undo; or why it cannot be deleted, with the other way. */
export function RemovalNotice({ removal }: { removal: Removal }) {
  const { done, problem, setArchived } = removal;
  if (problem)
    return (
      <View style={{ gap: 8 }}>
        <Notice word={t('nameStays', { name: problem.item.name })} color="accent" live>
          {problem.message}
        </Notice>
        <Button
          label={shared('archiveName', { name: problem.item.name })}
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
      <Button label={t('undoName', { name: done.item.name })} icon="undo" onPress={done.undo} />
    </View>
  );
}
