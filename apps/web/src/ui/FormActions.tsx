import { View } from 'react-native';
import { Button } from './Button';
import { Notice } from './Notice';

interface FormActionsProps {
  saveLabel: string;
  closeLabel: string;
  /** Why it is not saved, with the word before it; nothing where there is no such. */
  problem: string;
  problemWord: string;
  onSave(): void;
  onClose(): void;
}

/** The end of a form: what is wrong, and the two ways on. */
export function FormActions({
  saveLabel,
  closeLabel,
  problem,
  problemWord,
  onSave,
  onClose,
}: FormActionsProps) {
  return (
    <View style={{ gap: 8 }}>
      {problem ? (
        <Notice word={problemWord} color="accent" live>
          {problem}
        </Notice>
      ) : null}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button label={saveLabel} look="next" onPress={onSave} />
        <Button label={closeLabel} onPress={onClose} />
      </View>
    </View>
  );
}
