import { useRouter } from 'expo-router';
import { useState } from 'react';
import { fiberCount, parseFiber } from '@cordel/core';
import { addressParts, fiberProblemText, makeUpText } from '@cordel/text/fiber';
import { ledgerShared as t } from '@cordel/text/pages/ledger/shared';
import { View } from 'react-native';
import { useProjectView } from '@/projects/context';
import { Button } from '@/ui/Button';
import { FiberEye } from '@/ui/FiberEye';
import { Text } from '@/ui/Text';
import { TextField } from '@/ui/TextField';
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
      <FiberColors cableId={cableId} />
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

/** The colors of any fiber of a cable, planned or not. */
function FiberColors({ cableId }: { cableId: string }) {
  const { cable, schemes, address, fiberName } = useProjectView();
  const [typed, setTyped] = useState('1');
  const own = cable(cableId);
  const scheme = schemes.find(({ id }) => id === own?.schemeId);
  if (!own || !scheme) return null;
  const most = fiberCount(own.makeUp);
  const read = parseFiber(typed, own.makeUp, scheme);
  const place = read.ok ? address(cableId, read.value) : null;
  const step = (by: number) => read.ok && setTyped(String(read.value + by));
  return (
    <View style={{ gap: 8 }}>
      <TextField
        label={t('colorsOfFiber')}
        value={typed}
        hint={t('numberPlaceOrColors')}
        problem={read.ok ? undefined : fiberProblemText(read.error)}
        onChange={setTyped}
      />
      <View style={{ flexDirection: 'row', gap: 8 }}>
        <Button
          label={t('before')}
          disabled={!read.ok || read.value <= 1}
          onPress={() => step(-1)}
        />
        <Button
          label={t('next')}
          disabled={!read.ok || read.value >= most}
          onPress={() => step(1)}
        />
      </View>
      {place && read.ok ? (
        <View style={{ flexDirection: 'row', gap: 12, alignItems: 'center' }}>
          <FiberEye address={place} size={72} />
          <View style={{ flexShrink: 1 }}>
            <Text kind="strong">{fiberName(cableId, read.value)}</Text>
            <Text>{addressParts(place).join(' · ')}</Text>
          </View>
        </View>
      ) : null}
    </View>
  );
}
