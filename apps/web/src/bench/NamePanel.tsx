import { useState } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { usePerson } from '@/data/storage';
import { Page } from '@/ui/Page';
import { Press } from '@/ui/Press';
import { Txt } from '@/ui/Txt';

/** Asks once who works on this device: every entry is signed. */
export function NamePanel({ onward = 'Go to the Bench' }: { onward?: string }) {
  const [, setPerson] = usePerson();
  const [name, setName] = useState('');
  const save = () => name.trim() !== '' && setPerson(name.trim());
  return (
    <Page title="Who is splicing?">
      <Txt>
        Every entry is signed. A name or initials, kept on this device; you can change it in the
        Kit.
      </Txt>
      <View style={{ gap: 12 }}>
        <TextInput
          mode="outlined"
          label="Name or initials"
          aria-label="Name or initials"
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
