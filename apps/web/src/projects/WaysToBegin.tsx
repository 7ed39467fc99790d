import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { common } from '@cordel/text/pages/common';
import { waysToBegin as t } from '@cordel/text/pages/projects/WaysToBegin';
import { Empty } from '@/ui/Notice';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { useProjectView } from './context';

const WAYS = [
  {
    to: 'import',
    label: common('importASpliceList'),
    says: t('csvOrXlsxClosuresCablesAnd'),
  },
  {
    to: 'network',
    label: t('typeCablesAndClosures'),
    says: t('oneAfterTheOtherThenPlan'),
  },
  {
    to: 'route-import',
    label: common('importARoute'),
    says: t('geojsonClosuresWithTheirDistances'),
  },
  { to: 'cable-list', label: t('importCables'), says: t('csvOrXlsx') },
] as const;

/** What a project without closures offers: every way to begin. */
export function WaysToBegin() {
  const { project } = useProjectView();
  const router = useRouter();
  return (
    <Empty
      title={t('howDoYouBegin')}
      action={
        <View style={{ gap: 10, alignSelf: 'stretch', maxWidth: 620 }}>
          {WAYS.map(({ to, label, says }, index) => (
            <Button
              key={to}
              look={index === 0 ? 'next' : 'plain'}
              onPress={() => router.push(`/p/${project.id}/kit/${to}` as never)}
            >
              <View style={{ flex: 1, paddingVertical: 8 }}>
                <Text kind="strong" color={index === 0 ? 'onAccent' : 'ink'}>
                  {label}
                </Text>
                <Text color={index === 0 ? 'onAccent' : 'ink2'}>{says}</Text>
              </View>
            </Button>
          ))}
        </View>
      }
    >
      {t('theProjectIsEmptyWhatComes')}
    </Empty>
  );
}
