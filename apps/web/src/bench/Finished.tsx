import { stageOf } from '@cordel/core/session';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import type { ClosureWork } from '@cordel/client';
import { finished as t } from '@cordel/text/pages/bench/Finished';
import { benchShared as shared } from '@cordel/text/pages/bench/shared';
import { useProjectView } from '@/projects/context';
import { Empty } from '@/ui/Notice';
import { Button } from '@/ui/Button';
import type { Bench } from './useBench';

/** What stands on the Bench when nothing waits any more: the next steps. */
export function Finished({ bench, work }: { bench: Bench; work: ClosureWork }) {
  const { project } = useProjectView();
  const router = useRouter();
  const go = (path: string) => router.replace(`/p/${project.id}/${path}` as never);
  const redo = bench.splices.filter((splice) => stageOf(splice) === 'redo').length;
  const [skipped] = bench.skipped;
  const title = {
    splice: bench.skipped.length > 0 ? t('noneLeftButThoseSkipped') : t('allSpliced'),
    redo: t('nothingToRedo'),
    measure: t('nothingLeftToMeasureThisWay'),
  }[bench.mode];
  return (
    <Empty
      title={title}
      action={
        <View style={{ gap: 10, alignItems: 'stretch' }}>
          {bench.mode !== 'redo' && redo > 0 ? (
            <Button
              look="next"
              label={t('redoSplices', { splices: redo })}
              onPress={() => go(`bench/${work.closure.id}?mode=redo`)}
            />
          ) : null}
          {bench.mode === 'splice' && skipped ? (
            <Button
              look={redo > 0 ? 'plain' : 'next'}
              label={t('goOnWithSkippedSplices', { skippedSplices: bench.skipped.length })}
              onPress={() =>
                bench.dispatch({
                  type: 'select',
                  sleeve: `${skipped.tray}.${skipped.slot}`,
                  spliceId: skipped.id,
                })
              }
            />
          ) : null}
          {bench.mode !== 'measure' ? (
            <Button
              label={t('addMeasuredFigures')}
              onPress={() => go(`bench/${work.closure.id}?mode=measure`)}
            />
          ) : null}
          <Button label={t('seeTheClosure')} onPress={() => go(`route/${work.closure.id}`)} />
          {bench.last ? (
            <Button
              label={shared('undo', { what: bench.last.words })}
              icon="undo"
              onPress={() => bench.dispatch({ type: 'undo' })}
            />
          ) : null}
        </View>
      }
    >
      {t('ofSplicesAreMadeHere', {
        done: bench.done,
        splices: bench.due,
        skipped: bench.skipped.length > 0 ? t('skipped', { skipped: bench.skipped.length }) : '',
      })}
    </Empty>
  );
}
