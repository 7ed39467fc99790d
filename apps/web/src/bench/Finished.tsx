import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { plural } from '@cordel/core';
import type { Work } from '@/data/setting';
import { useProjectView } from '@/projects/context';
import { Empty } from '@/ui/Notice';
import { Press } from '@/ui/Press';
import type { Bench } from './useBench';

/** What stands on the Bench when nothing waits any more: the next steps. */
export function Finished({ bench, work }: { bench: Bench; work: Work }) {
  const { project } = useProjectView();
  const router = useRouter();
  const go = (path: string) => router.replace(`/p/${project.id}/${path}` as never);
  const redo = bench.splices.filter((splice) => splice.judgement.redo).length;
  const title = {
    splice: 'All spliced',
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
          {bench.mode !== 'measure' ? (
            <Press
              label="Add measured figures"
              onPress={() => go(`bench/${work.closure.id}?mode=measure`)}
            />
          ) : null}
          <Press label="See the closure" onPress={() => go(`route/${work.closure.id}`)} />
          {bench.draft.last ? (
            <Press label={`Undo ${bench.draft.last.words}`} icon="undo" onPress={bench.undo} />
          ) : null}
        </View>
      }
    >
      {`${bench.done} of ${bench.splices.length} splices are done here.`}
    </Empty>
  );
}
