import { useLocalSearchParams } from 'expo-router';
import { type ReactNode } from 'react';
import { View } from 'react-native';
import { useWork } from '@/data/queries';
import { useProjectView } from '@/projects/context';
import { Waiting } from '@/ui/Notice';
import { type Bench, useBench } from './useBench';
import { type Setup, useSetup } from './useSetup';
import { type Station, useStation } from './useStation';

export interface Closeup {
  closure: string;
  /** Path of this closure's Bench. */
  base: string;
  bench: Bench;
  station: Station;
  setup: Setup;
}

/** A page about the bench of one closure: waits for its work, then shows it. */
export function AtClosure({ children }: { children(at: Closeup): ReactNode }) {
  const { closureId } = useLocalSearchParams<{ closureId: string }>();
  const work = useWork(closureId);
  if (!work.data)
    return (
      <View role="main" style={{ padding: 16 }}>
        <Waiting error={work.error} again={() => void work.refetch()} />
      </View>
    );
  return <Inside key={closureId} work={work.data} render={children} />;
}

function Inside({
  work,
  render,
}: {
  work: NonNullable<ReturnType<typeof useWork>['data']>;
  render(at: Closeup): ReactNode;
}) {
  const { project } = useProjectView();
  const station = useStation(project.id);
  const bench = useBench(work, 'splice', station.records);
  const setup = useSetup(work.closure.id, bench.fibers, station);
  return render({
    closure: work.closure.name,
    base: `/p/${project.id}/bench/${work.closure.id}`,
    bench,
    station,
    setup,
  });
}
