import { useState } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { benchShared as t } from '@cordel/text/pages/bench/shared';
import { usePerson } from '@/data/storage';
import { Page } from '@/ui/Page';
import { Press } from '@/ui/Press';
import { Txt } from '@/ui/Txt';

/** Asks once who works on this device: every entry is signed. */
export function NamePanel({ onward = t('goToTheBench') }: { onward?: string }) {
  const [, setPerson] = usePerson();
  const [name, setName] = useState('');
  const save = () => name.trim() !== '' && setPerson(name.trim());
  return (
    <Page title={t('whoIsSplicing')}>
      <Txt>{t('everyEntryIsSignedAName')}</Txt>
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
        <Press label={onward} look="next" disabled={name.trim() === ''} onPress={save} />
      </View>
    </Page>
  );
}
