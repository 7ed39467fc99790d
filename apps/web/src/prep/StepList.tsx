import { View } from 'react-native';
import type { PrepStep } from '@cordel/core';
import { prepCautionText, prepStepText } from '@cordel/text/prep';
import { useProjectView } from '@/projects/context';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';

interface StepListProps {
  steps: readonly PrepStep[];
  done: readonly string[];
  onTick(key: string, ticked: boolean): void;
}

/** Steps to tick off with a thumb, each with its caution. */
export function StepList({ steps, done, onTick }: StepListProps) {
  const { units } = useProjectView().project;
  return (
    <View style={{ gap: 8 }}>
      {steps.map((step, index) => {
        const ticked = done.includes(step.key);
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
              {step.caution ? <Text ink="accent">{prepCautionText(step.caution)}</Text> : null}
            </View>
          </Button>
        );
      })}
    </View>
  );
}
