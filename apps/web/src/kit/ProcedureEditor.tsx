import { useState } from 'react';
import { View } from 'react-native';
import {
  CABLE_TRAITS,
  CLOSING_GROUPS,
  CLOSING_TRAITS,
  CLOSING_WORKS,
  type CableTrait,
  type ClosingStepData,
  PREP_WORKS,
  type PrepStepData,
  type Procedure,
} from '@cordel/core';
import { pointGroupText } from '@cordel/text/close';
import { closingWorkText, prepWorkText } from '@cordel/text/prep';
import { procedureEditor as t } from '@cordel/text/pages/kit/ProcedureEditor';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Field';
import { Select } from '@/ui/Select';
import { SortableList } from '@/ui/SortableList';
import { Text } from '@/ui/Text';
import { StepForm } from './StepForm';

/** A step of a procedure that is wrong, as the schema tells it, and what is wrong there. */
export interface StepProblem {
  list: keyof Procedure;
  step: number;
  text: string;
}

interface ProcedureEditorProps {
  procedure: Procedure;
  problem: StepProblem | null;
  onChange(procedure: Procedure): void;
}

const OWN = 'own';

/** Steps of opening and of closing: moved, reworded, added and taken out. */
export function ProcedureEditor({ procedure, problem, onChange }: ProcedureEditorProps) {
  const [shown, setShown] = useState<keyof Procedure>('opening');
  const list = problem?.list ?? shown;
  return (
    <View style={{ gap: 10 }}>
      <Choice<keyof Procedure>
        label={t('steps')}
        value={list}
        options={[
          { value: 'opening', label: t('opening', { steps: procedure.opening.length }) },
          { value: 'closing', label: t('closing', { steps: procedure.closing.length }) },
        ]}
        onChange={(next) => {
          setShown(next);
          // What was wrong was seen: it holds nobody in its list.
          onChange(procedure);
        }}
      />
      <Text color="ink2">{t('moveAStepByItsHandle')}</Text>
      {list === 'opening' ? (
        <StepsOf<PrepStepData>
          steps={procedure.opening}
          works={PREP_WORKS}
          workText={prepWorkText}
          traits={CABLE_TRAITS}
          problem={problem}
          blank={(key, work) => ({ ...blankStep(key), work, per: 'cable' })}
          more={(step, change) => (
            <Choice
              label={t('doneOnce')}
              value={step.per}
              options={[
                { value: 'cable', label: t('aCable') },
                { value: 'leg', label: t('aLeg') },
              ]}
              onChange={(per) => change({ per })}
            />
          )}
          onChange={(opening) => onChange({ ...procedure, opening })}
        />
      ) : (
        <StepsOf<ClosingStepData>
          steps={procedure.closing}
          works={CLOSING_WORKS}
          workText={closingWorkText}
          traits={CLOSING_TRAITS}
          problem={problem}
          blank={(key, work) => ({ ...blankStep(key), work, group: 'cover' })}
          more={(step, change) => (
            <Choice
              label={t('partOfTheList')}
              value={step.group}
              options={CLOSING_GROUPS.map((group) => ({
                value: group,
                label: pointGroupText(group),
              }))}
              onChange={(group) => change({ group })}
            />
          )}
          onChange={(closing) => onChange({ ...procedure, closing })}
        />
      )}
    </View>
  );
}

const blankStep = (key: string) => ({
  key,
  words: '',
  caution: null,
  when: { entries: [], traits: [] },
  timerS: null,
  photo: false,
  asks: [],
});

/** A key that no step has yet. */
function newKey(steps: readonly { key: string }[], wanted: string): string {
  const used = new Set(steps.map(({ key }) => key));
  if (!used.has(wanted)) return wanted;
  let number = 2;
  while (used.has(`${wanted}-${number}`)) number++;
  return `${wanted}-${number}`;
}

type AnyStep = PrepStepData | ClosingStepData;

interface StepsOfProps<Step extends AnyStep> {
  steps: readonly Step[];
  works: readonly NonNullable<Step['work']>[];
  workText(work: NonNullable<Step['work']>): string;
  traits: readonly CableTrait[];
  problem: StepProblem | null;
  blank(key: string, work: Step['work']): Step;
  /** What only this kind of step has. */
  more(step: Step, change: (part: Partial<Step>) => void): React.ReactNode;
  onChange(steps: Step[]): void;
}

function StepsOf<Step extends AnyStep>({
  steps,
  works,
  workText,
  traits,
  problem,
  blank,
  more,
  onChange,
}: StepsOfProps<Step>) {
  const [open, setOpen] = useState<string | null>(null);
  const nameOf = ({ work, words }: Step): string =>
    words || (work === null ? t('ownStep') : workText(work as NonNullable<Step['work']>));
  const isOpen = (step: Step, index: number) => open === step.key || problem?.step === index;
  const add = (chosen: string) => {
    const work = chosen === OWN ? null : (chosen as NonNullable<Step['work']>);
    const step = blank(newKey(steps, chosen), work);
    onChange([...steps, step]);
    setOpen(step.key);
  };
  return (
    <View>
      <SortableList<Step>
        items={steps}
        keyOf={({ key }) => key}
        nameOf={nameOf}
        onChange={onChange}
        row={(step, index) => {
          const change = (part: Partial<Step>) =>
            onChange(steps.map((own, at) => (at === index ? { ...own, ...part } : own)));
          return (
            <View style={{ gap: 8 }}>
              <Button
                look="bare"
                aria-expanded={isOpen(step, index)}
                onPress={() => setOpen(open === step.key ? null : step.key)}
                style={{ justifyContent: 'flex-start', paddingHorizontal: 0 }}
              >
                <Text style={{ flex: 1 }}>
                  <Text kind="strong">{`${index + 1}. `}</Text>
                  {nameOf(step)}
                </Text>
              </Button>
              {isOpen(step, index) ? (
                <StepForm
                  step={step}
                  traits={traits}
                  problem={problem?.step === index ? problem.text : ''}
                  onChange={change}
                  onRemove={() => onChange(steps.filter((_, at) => at !== index))}
                >
                  {more(step, change)}
                </StepForm>
              ) : null}
            </View>
          );
        }}
      />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8, paddingTop: 10 }}>
        <Button icon="plus" label={t('addAStepOfYourOwn')} onPress={() => add(OWN)} />
        <Select
          label={t('addAKnownStep')}
          value=""
          options={[
            { value: '', label: t('addAKnownStep') },
            ...works.map((work) => ({ value: work as string, label: workText(work) })),
          ]}
          onChange={(work) => {
            if (work !== '') add(work);
          }}
        />
      </View>
    </View>
  );
}
