import { View } from 'react-native';
import { sameNamesPart as t } from '@cordel/text/pages/splices/SameNamesPart';
import { Choice } from '@/ui/Field';
import { Card } from '@/ui/Card';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import type { SameNamesHook } from './useSameNames';

/** How many are asked at a time. */
const SHOWN = 12;

/** Names that are likely the same as others: a person says so, or that they are another. */
export function SameNamesPart({ names }: { names: SameNamesHook }) {
  const { questions, open, answer } = names;
  if (questions.length === 0) return null;
  const shown = [
    ...questions.filter(({ same }) => same === null),
    ...questions.filter(({ same }) => same !== null),
  ].slice(0, SHOWN);
  return (
    <Card style={{ gap: 12 }}>
      <Text kind="name" heading={2}>
        {t('theSameName')}
      </Text>
      <Text color="ink2">
        {open > 0 ? t('namesToAnswerBeforeAnythingIs', { names: open }) : t('allAreAnswered')}
      </Text>
      {open > 1 ? (
        <Button
          label={t('allAreTheSame', { questions: questions.length })}
          onPress={() => answer(questions, true)}
        />
      ) : null}
      {shown.map((one) => (
        <View key={`${one.noun} ${one.written} ${one.meant}`}>
          <Choice<string>
            label={t('theOfTheListAnd', { noun: one.noun, written: one.written, meant: one.meant })}
            value={one.same === null ? '' : one.same ? 'same' : 'other'}
            options={[
              { value: 'same', label: t('itIsMeant', { meant: one.meant }) },
              { value: 'other', label: t('writtenIsAnother', { written: one.written }) },
            ]}
            onChange={(value) => answer([one], value === 'same')}
          />
        </View>
      ))}
      {questions.length > shown.length ? (
        <Text>{t('andQuestionsMore', { questions: questions.length - shown.length })}</Text>
      ) : null}
    </Card>
  );
}
