import { View } from 'react-native';
import { type BenchStep, clockOf, stepsOf } from '@cordel/core';
import { stepCautionText, stepText, wayText } from '@cordel/text/bench';
import { stepsPart as t } from '@cordel/text/pages/bench/StepsPart';
import { usePersisted } from '@/data/storage';
import { useProjectView } from '@/projects/context';
import { Card } from '@/ui/Card';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { PadCounter } from './PadCounter';
import type { Bench } from './useBench';
import type { Setup } from './useSetup';
import type { Timers } from './useTimers';

/** Steps at which the pads are checked. */
const PAD_STEPS: ReadonlySet<string> = new Set(['pads', 'press', 'turn']);

/** The steps of the joint in hand, one at a time; folded away for those who know them. */
export function StepsPart({
  bench,
  setup,
  timers,
  label,
}: {
  bench: Bench;
  setup: Setup;
  timers: Timers;
  label: string;
}) {
  const { project } = useProjectView();
  const [open, setOpen] = usePersisted('cordel.steps', 'open');
  const steps = stepsOf({
    practice: project.practice,
    setup: setup.setup,
    splicer: setup.splicer,
    coatings: setup.needs.coatings,
  });
  const at = Math.min(bench.state.step, steps.length - 1);
  const step = steps[at]!;
  const title = t('wayStepAtOfSteps', {
    way: wayText(setup.setup.way),
    at: at + 1,
    steps: steps.length,
  });
  if (open !== 'open')
    return (
      <Button
        look="bare"
        icon="chevron-down"
        label={t('showTheSteps')}
        onPress={() => setOpen('open')}
        style={{ alignSelf: 'flex-start' }}
      />
    );
  const go = (index: number) =>
    bench.dispatch({
      type: 'step',
      step: index,
      isSleeveOn: index > steps.findIndex(({ key }) => key === 'sleeve'),
    });
  return (
    <Card style={{ gap: 6, padding: 10 }}>
      <View style={{ flexDirection: 'row', justifyContent: 'space-between', alignItems: 'center' }}>
        <Text kind="small" color="ink">
          {title}
        </Text>
        <Button
          look="bare"
          icon="chevron-up"
          label={t('hideTheSteps')}
          textSize={14}
          onPress={() => setOpen('folded')}
        />
      </View>
      <StepWords step={step} />
      {PAD_STEPS.has(step.key) ? <PadCounter /> : null}
      {step.timer?.kind === 'heater' ? (
        <Text color="ink2">{t('saveTheSpliceFirstItsHeater')}</Text>
      ) : null}
      <View style={{ flexDirection: 'row', gap: 8 }}>
        {at > 0 ? (
          <Button label={t('stepBack')} onPress={() => go(at - 1)} style={{ flex: 1 }} />
        ) : null}
        {step.timer && step.timer.kind !== 'heater' ? (
          <Button
            label={t('startClock', { clock: clockOf(step.timer.seconds) })}
            icon="timer-outline"
            onPress={() => timers.start(step.timer!.kind, label, step.timer!.seconds)}
            style={{ flex: 2 }}
          />
        ) : null}
        {at + 1 < steps.length ? (
          <Button
            label={t('doneNextStep')}
            look="dark"
            onPress={() => go(at + 1)}
            style={{ flex: 2 }}
          />
        ) : null}
      </View>
    </Card>
  );
}

function StepWords({ step }: { step: BenchStep }) {
  return (
    <View role="status" aria-live="polite" aria-label={t('stepInHand')} style={{ gap: 2 }}>
      <Text kind="strong">{stepText(step.message)}</Text>
      {step.caution ? <Text color="accent">{stepCautionText(step.caution)}</Text> : null}
    </View>
  );
}
