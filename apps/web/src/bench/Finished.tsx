import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { plural } from '@cordel/core';
import type { ClosureWork } from '@cordel/client';
import { useProjectView } from '@/projects/context';
import { Empty } from '@/ui/Notice';
import { Press } from '@/ui/Press';
import { stateOf } from './benchSplices';
import type { Bench } from './useBench';

/** What stands on the Bench when nothing waits any more: the next steps. */
export function Finished({ bench, work }: { bench: Bench; work: ClosureWork }) {
  const { project } = useProjectView();
  const router = useRouter();
  const go = (path: string) => router.replace(`/p/${project.id}/${path}` as never);
  const redo = bench.splices.filter((splice) => stateOf(splice) === 'redo').length;
  const [skipped] = bench.skipped;
  const title = {
    splice: bench.skipped.length > 0 ? 'None left but those skipped' : 'All spliced',
    redo: 'Nothing to redo',
    measure: 'Nothing left to measure this way',
  }[bench.mode];
  return (
    <Empty
      title={title}
      action={
        <View style={{ gap: 10, alignItems: 'stretch' }}>
          {bench.mode !== 'redo' && redo > 0 ? (
            <Press
              look="next"
              label={`Redo ${plural(redo, 'splice')}`}
              onPress={() => go(`bench/${work.closure.id}?mode=redo`)}
            />
          ) : null}
          {bench.mode === 'splice' && skipped ? (
            <Press
              look={redo > 0 ? 'plain' : 'next'}
              label={`Go on with ${plural(bench.skipped.length, 'skipped splice')}`}
              onPress={() => bench.go(`${skipped.tray}.${skipped.slot}`, skipped.id)}
            />
          ) : null}
          {bench.mode !== 'measure' ? (
            <Press
              label="Add measured figures"
              onPress={() => go(`bench/${work.closure.id}?mode=measure`)}
            />
          ) : null}
          <Press label="See the closure" onPress={() => go(`route/${work.closure.id}`)} />
          {bench.last ? (
            <Press label={`Undo ${bench.last.words}`} icon="undo" onPress={bench.undo} />
          ) : null}
        </View>
      }
    >
      {`${bench.done} of ${plural(bench.due, 'splice')} are made here${bench.skipped.length > 0 ? `, ${bench.skipped.length} skipped` : ''}.`}
    </Empty>
  );
}
