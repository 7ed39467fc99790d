import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { Empty } from '@/ui/Notice';
import { Press } from '@/ui/Press';
import { Txt } from '@/ui/Txt';
import { useProjectView } from './context';

const WAYS = [
  {
    to: 'import',
    label: 'Import a splice list',
    says: 'CSV or XLSX: closures, cables and splices at once',
  },
  {
    to: 'network',
    label: 'Type cables and closures',
    says: 'One after the other, then plan each closure',
  },
  { to: 'ground', label: 'Import a route', says: 'GeoJSON: closures with their distances' },
  { to: 'cable-list', label: 'Import cables', says: 'CSV or XLSX' },
] as const;

/** What a project without closures offers: every way to begin. */
export function WaysToBegin() {
  const { project } = useProjectView();
  const router = useRouter();
  return (
    <Empty
      title="How do you begin?"
      action={
        <View style={{ gap: 10, alignSelf: 'stretch', maxWidth: 620 }}>
          {WAYS.map(({ to, label, says }, index) => (
            <Press
              key={to}
              look={index === 0 ? 'next' : 'plain'}
              onPress={() => router.push(`/p/${project.id}/kit/${to}` as never)}
            >
              <View style={{ flex: 1, paddingVertical: 8 }}>
                <Txt kind="strong" ink={index === 0 ? 'onAccent' : 'ink'}>
                  {label}
                </Txt>
                <Txt ink={index === 0 ? 'onAccent' : 'ink2'}>{says}</Txt>
              </View>
            </Press>
          ))}
        </View>
      }
    >
      The project is empty. What comes in one way can be completed by another.
    </Empty>
  );
}
