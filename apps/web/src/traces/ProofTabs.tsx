import { usePathname, useRouter } from 'expo-router';
import { View } from 'react-native';
import { common } from '@cordel/text/pages/common';
import { tracesShared as t } from '@cordel/text/pages/traces/shared';
import { useProjectView } from '@/projects/context';
import { Button } from '@/ui/Button';

const TABS = [
  { key: 'traces', label: common('traces') },
  { key: 'findings', label: t('findings') },
  { key: 'circuit', label: t('traceView') },
  { key: 'budget', label: t('budget') },
  { key: 'links', label: t('links') },
];

/** The pages of the proof by traces. */
export function ProofTabs() {
  const router = useRouter();
  const path = usePathname();
  const { project } = useProjectView();
  return (
    <View role="tablist" style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 4 }}>
      {TABS.map(({ key, label }) => {
        const here = path.endsWith(`/${key}`);
        return (
          <Button
            key={key}
            role="tab"
            aria-selected={here}
            label={label}
            look={here ? 'dark' : 'plain'}
            onPress={() => router.replace(`/p/${project.id}/ledger/${key}` as never)}
            textSize={16}
            style={{ paddingHorizontal: 4, flexGrow: 1 }}
          />
        );
      })}
    </View>
  );
}
