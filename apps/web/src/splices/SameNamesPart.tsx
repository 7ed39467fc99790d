import { View } from 'react-native';
import { plural } from '@cordel/core';
import { Choice } from '@/ui/Field';
import { Leaf } from '@/ui/Leaf';
import { Press } from '@/ui/Press';
import { Txt } from '@/ui/Txt';
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
    <Leaf style={{ gap: 12 }}>
      <Txt kind="name" heading={2}>
        The same name?
      </Txt>
      <Txt ink="ink2">
        {open > 0
          ? `${plural(open, 'name')} to answer before anything is imported.`
          : 'All are answered.'}
      </Txt>
      {open > 1 ? (
        <Press
          label={`All ${questions.length} are the same`}
          onPress={() => answer(questions, true)}
        />
      ) : null}
      {shown.map((one) => (
        <View key={`${one.noun} ${one.written} ${one.meant}`}>
          <Choice<string>
            label={`The ${one.noun} “${one.written}” of the list and “${one.meant}”`}
            value={one.same === null ? '' : one.same ? 'same' : 'other'}
            options={[
              { value: 'same', label: `It is ${one.meant}` },
              { value: 'other', label: `${one.written} is another` },
            ]}
            onChange={(value) => answer([one], value === 'same')}
          />
        </View>
      ))}
      {questions.length > shown.length ? (
        <Txt>{`and ${questions.length - shown.length} more`}</Txt>
      ) : null}
    </Leaf>
  );
}
