import { useState } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { benchShared as t } from '@cordel/text/pages/bench/shared';
import { usePerson } from '@/data/session';
import { Page } from '@/ui/Page';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';

/** Asks once who works on this device: every entry is signed. */
export function NamePanel({ onward = t('goToTheBench') }: { onward?: string }) {
  const [, setPerson] = usePerson();
  const [name, setName] = useState('');
  const save = () => name.trim() !== '' && setPerson(name.trim());
  return (
    <Page title={t('whoIsSplicing')}>
      <Text>{t('everyEntryIsSignedAName')}</Text>
      <View style={{ gap: 12 }}>
        <TextInput
          mode="outlined"
          label={t('nameOrInitials')}
          aria-label={t('nameOrInitials')}
          value={name}
          onChangeText={setName}
          onSubmitEditing={save}
          maxLength={80}
          outlineStyle={{ borderWidth: 2 }}
        />
        <Button label={onward} look="next" disabled={name.trim() === ''} onPress={save} />
      </View>
    </Page>
  );
}
