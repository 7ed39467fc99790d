import { View } from 'react-native';
import type { PrepStep, PrepTick } from '@cordel/core';
import { prepShared as t } from '@cordel/text/pages/prep/shared';
import { prepCautionText, prepStepText } from '@cordel/text/prep';
import { useProjectView } from '@/projects/context';
import { useClock } from '@/projects/useClock';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';

interface StepListProps {
  steps: readonly PrepStep[];
  done: readonly PrepTick[];
  onTick(key: string, ticked: boolean): void;
}

/** Steps to tick off with a thumb, each with its caution. */
export function StepList({ steps, done, onTick }: StepListProps) {
  const { units } = useProjectView().project;
  const { moment } = useClock();
  return (
    <View style={{ gap: 8 }}>
      {steps.map((step, index) => {
        const tick = done.find((one) => one.step === step.key);
        const ticked = tick !== undefined;
        return (
          <Button
            key={step.key}
            role="checkbox"
            aria-checked={ticked}
            icon={ticked ? 'checkbox-marked-outline' : 'checkbox-blank-outline'}
            style={{ justifyContent: 'flex-start', paddingVertical: 8 }}
            onPress={() => onTick(step.key, !ticked)}
          >
            <View style={{ flex: 1 }}>
              <Text>
                <Text kind="strong">{`${index + 1}. `}</Text>
                {prepStepText(step.message, units)}
              </Text>
              {step.caution ? <Text color="accent">{prepCautionText(step.caution)}</Text> : null}
              {tick?.by && tick.at ? (
                <Text kind="small" color="ink2">
                  {t('tickedBy', { by: tick.by, moment: moment(tick.at) })}
                </Text>
              ) : null}
            </View>
          </Button>
        );
      })}
    </View>
  );
}
