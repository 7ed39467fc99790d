import { type ReactNode, useState } from 'react';
import { View } from 'react-native';
import {
  type Ask,
  type CableTrait,
  type ClosingStepData,
  ENTRY_KINDS,
  PREP_CAUTIONS,
  PROFILE_FIGURES,
  type PrepStepData,
} from '@cordel/core';
import { entryKindText, prepCautionText, traitText } from '@cordel/text/prep';
import { stepForm as t } from '@cordel/text/pages/kit/StepForm';
import { Button } from '@/ui/Button';
import { ListEditor } from '@/ui/ListEditor';
import { NumberField } from '@/ui/NumberField';
import { Select } from '@/ui/Select';
import { Text } from '@/ui/Text';
import { TextField } from '@/ui/TextField';
import { Toggle } from '@/ui/Toggle';
import { useColors } from '@/ui/theme';

/** What steps of opening and points of closing have in common. */
type StepFields = Pick<
  PrepStepData & ClosingStepData,
  'words' | 'caution' | 'when' | 'timerS' | 'photo' | 'asks'
>;

interface StepFormProps {
  step: StepFields & { work: string | null };
  /** What a cable can be asked to be. */
  traits: readonly CableTrait[];
  problem: string;
  onChange(part: Partial<StepFields>): void;
  onRemove(): void;
  children: ReactNode;
}

const WAIT_S = 60;

/** The fields of one step of a procedure. */
export function StepForm({ step, traits, problem, onChange, onRemove, children }: StepFormProps) {
  const colors = useColors();
  const [isMore, setIsMore] = useState(false);
  const { words, caution, when, timerS, photo, asks } = step;
  const turned = <Value,>(list: readonly Value[], value: Value, isOn: boolean): Value[] =>
    isOn ? [...list, value] : list.filter((own) => own !== value);
  return (
    <View
      style={{
        borderLeftWidth: 4,
        borderColor: colors.ink,
        paddingLeft: 10,
        gap: 10,
        paddingBottom: 10,
      }}
    >
      <TextField
        label={step.work === null ? t('whatIsToBeDone') : t('ownWords')}
        hint={step.work === null ? t('figuresInBraces') : t('emptyKeepsTheUsualWords')}
        value={words}
        problem={problem}
        multiline
        onChange={(text) => onChange({ words: text })}
      />
      <Select
        label={t('putInAFigure')}
        value=""
        options={[
          { value: '', label: t('putInAFigure') },
          ...PROFILE_FIGURES.map((name) => ({ value: name, label: `{${name}}` })),
        ]}
        onChange={(name) => {
          if (name !== '') onChange({ words: `${words} {${name}}`.trim() });
        }}
      />
      {children}
      <Button
        label={isMore ? t('less') : t('whenCautionTimerPhoto')}
        aria-expanded={isMore}
        onPress={() => setIsMore(!isMore)}
        style={{ alignSelf: 'flex-start' }}
      />
      {isMore ? (
        <>
          <Text color="ink2">{t('onlyForCablesThatEnterAs')}</Text>
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
            {ENTRY_KINDS.map((kind) => (
              <Toggle
                key={kind}
                label={entryKindText(kind)}
                isOn={when.entries.includes(kind)}
                onChange={(isOn) =>
                  onChange({ when: { ...when, entries: turned(when.entries, kind, isOn) } })
                }
              />
            ))}
          </View>
          <Text color="ink2">{t('onlyForCablesThatAre')}</Text>
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
            {traits.map((trait) => (
              <Toggle
                key={trait}
                label={traitText(trait)}
                isOn={when.traits.includes(trait)}
                onChange={(isOn) =>
                  onChange({ when: { ...when, traits: turned(when.traits, trait, isOn) } })
                }
              />
            ))}
          </View>
          <Select
            label={t('caution')}
            value={caution ?? ''}
            options={[
              { value: '', label: t('noCaution') },
              ...PREP_CAUTIONS.map((own) => ({ value: own, label: prepCautionText(own) })),
            ]}
            onChange={(value) =>
              onChange({ caution: PREP_CAUTIONS.find((own) => own === value) ?? null })
            }
          />
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
            <Toggle
              label={t('askForAPhoto')}
              isOn={photo}
              onChange={(isOn) => onChange({ photo: isOn })}
            />
            <Toggle
              label={t('waitBeforeItIsTicked')}
              isOn={timerS !== null}
              onChange={(isOn) => onChange({ timerS: isOn ? WAIT_S : null })}
            />
            {timerS === null ? null : (
              <NumberField
                label={t('secondsToWait')}
                value={timerS}
                onChange={(seconds) => onChange({ timerS: seconds })}
              />
            )}
          </View>
          <Text color="ink2">{t('askToBeWrittenDown')}</Text>
          <ListEditor<Ask>
            word={t('value')}
            items={asks}
            least={0}
            newItem={(all) => ({ key: newAskKey(all), words: '', kind: 'text', unit: '' })}
            onChange={(list) => onChange({ asks: list })}
            row={(ask, change, index) => (
              <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
                <TextField
                  label={t('whatIsAsked')}
                  name={t('whatIsAskedNumber', { number: index + 1 })}
                  value={ask.words}
                  onChange={(text) => change({ words: text })}
                />
                <TextField
                  label={t('unit')}
                  name={t('unitOfNumber', { number: index + 1 })}
                  value={ask.unit}
                  onChange={(unit) => change({ unit, kind: unit === '' ? 'text' : 'number' })}
                />
              </View>
            )}
          />
        </>
      ) : null}
      <Button
        icon="close"
        label={t('takeTheStepOut')}
        onPress={onRemove}
        style={{ alignSelf: 'flex-start' }}
      />
    </View>
  );
}

/** A key that no value of the step has yet. */
function newAskKey(asks: readonly Ask[]): string {
  const used = new Set(asks.map(({ key }) => key));
  let number = asks.length + 1;
  while (used.has(`value-${number}`)) number++;
  return `value-${number}`;
}
