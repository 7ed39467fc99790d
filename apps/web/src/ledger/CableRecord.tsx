import { useRouter } from 'expo-router';
import { makeUpText } from '@cordel/text/fiber';
import { ledgerShared as t } from '@cordel/text/pages/ledger/shared';
import { View } from 'react-native';
import { useProjectView } from '@/projects/context';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { useRecordLevel } from './useRecordLevel';
import { useLedgerParams } from './useLedgerParams';

/** A cable: what it is made of, and the ways to its fibers. */
export function CableRecord({ cableId }: { cableId: string }) {
  const { project, schemes, closures, assemblies, cable } = useProjectView();
  const router = useRouter();
  const level = useRecordLevel();
  const { go } = useLedgerParams();
  const own = cable(cableId);
  if (!own) return <Text>{t('thereIsNoSuchCableIn')}</Text>;
  const entered = closures.filter(({ id }) =>
    assemblies.some(
      (assembly) =>
        assembly.closureId === id && assembly.entries.some((entry) => entry.cableId === cableId),
    ),
  );
  return (
    <View style={{ gap: 14 }}>
      <Text kind="name" heading={level.title}>
        {own.name}
      </Text>
      <Text>{makeUpText(own.makeUp)}</Text>
      <Text color="ink2">{`${schemes.find(({ id }) => id === own.schemeId)?.name ?? ''} · ${own.glass.type}`}</Text>
      {entered.length > 0 ? (
        <Text>{t('entersEntered', { entered: entered.map(({ name }) => name).join(', ') })}</Text>
      ) : null}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button
          label={t('fibersOfName', { name: own.name })}
          onPress={() => go({ view: 'fibers', q: own.name, found: '', open: '', verdict: '' })}
        />
        <Button
          label={t('splicesOfName', { name: own.name })}
          onPress={() => go({ view: 'splices', q: own.name, found: '', open: '', verdict: '' })}
        />
        <Button
          label={t('changeItInTheKit')}
          onPress={() => router.push(`/p/${project.id}/kit/cables` as never)}
        />
      </View>
    </View>
  );
}
