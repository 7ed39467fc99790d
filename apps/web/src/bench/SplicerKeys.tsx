import { useState } from 'react';
import { View } from 'react-native';
import { splicerKeys as t } from '@cordel/text/pages/bench/SplicerKeys';
import { useProjectView } from '@/projects/context';
import { Button } from '@/ui/Button';
import { Sheet } from '@/ui/Sheet';
import { AskedNotice, StopNotice } from './RecordPart';
import type { Bench } from './useBench';
import type { Records } from './useRecords';

/** What a splicer that is connected wants of a person, a line each; each opens over the page. */
export function SplicerKeys({
  bench,
  records,
  name,
}: {
  bench: Bench;
  records: Records;
  /** The fibers in hand. */
  name: string;
}) {
  const { project } = useProjectView();
  const [open, setOpen] = useState<'stopped' | 'asked' | null>(null);
  const [asked] = records.asked;
  const { stopped } = records;
  const close = () => setOpen(null);
  return (
    <>
      {stopped ? (
        <Button label={t('stopped')} look="next" onPress={() => setOpen('stopped')} />
      ) : asked ? (
        <Button
          label={t('asked', { number: asked.record.number })}
          look="next"
          onPress={() => setOpen('asked')}
        />
      ) : null}
      <Sheet title={t('splicer')} visible={open === 'stopped' && stopped !== null} onClose={close}>
        {stopped ? (
          <StopNotice
            record={stopped}
            onDone={() => {
              close();
              bench.dispatch({ type: 'stopRead' });
            }}
          />
        ) : null}
      </Sheet>
      <Sheet title={t('splicer')} visible={open === 'asked' && asked !== undefined} onClose={close}>
        {asked ? (
          <View>
            <AskedNotice
              asked={asked}
              count={records.asked.length}
              bench={bench}
              projectId={project.id}
              name={name}
              onDone={close}
            />
          </View>
        ) : null}
      </Sheet>
    </>
  );
}
