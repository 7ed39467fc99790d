import { useState } from 'react';
import { View } from 'react-native';
import { type BenchStep, clockOf, isFused, stepsOf } from '@cordel/core';
import { stepCautionText, stepText, wayText } from '@cordel/text/bench';
import { stepLine as t } from '@cordel/text/pages/bench/StepLine';
import { benchShared as shared } from '@cordel/text/pages/bench/shared';
import { useProjectView } from '@/projects/context';
import { Button } from '@/ui/Button';
import { Sheet } from '@/ui/Sheet';
import { Text } from '@/ui/Text';
import { PadCounter } from './PadCounter';
import type { Bench } from './useBench';
import type { Setup } from './useSetup';
import type { Timers } from './useTimers';

/** Steps at which the pads are checked. */
const PAD_STEPS: ReadonlySet<string> = new Set(['pads', 'press', 'turn']);

interface StepLineProps {
  bench: Bench;
  setup: Setup;
  timers: Timers;
  label: string;
}

/** The current step of the splice in a line, with the sleeve that goes on first; all steps open over it. */
export function StepLine({ bench, setup, timers, label }: StepLineProps) {
  const { project } = useProjectView();
  const [open, setOpen] = useState(false);
  const steps = stepsOf({
    practice: project.practice,
    setup: setup.setup,
    splicer: setup.splicer,
    coatings: setup.needs.coatings,
  });
  const at = Math.min(bench.state.step, steps.length - 1);
  const step = steps[at]!;
  const go = (index: number) =>
    bench.dispatch({
      type: 'step',
      step: index,
      isSleeveOn: index > steps.findIndex(({ key }) => key === 'sleeve'),
    });
  const timer = step.timer && step.timer.kind !== 'heater' ? step.timer : null;
  return (
    <View style={{ flexDirection: 'row', gap: 6 }}>
      <SleeveKey bench={bench} />
      <Button
        testID="step"
        aria-haspopup="dialog"
        onPress={() => setOpen(true)}
        style={{ flex: 1, justifyContent: 'flex-start', paddingHorizontal: 8 }}
      >
        <Text
          numberOfLines={2}
          style={{ flex: 1, fontSize: 15, lineHeight: 18 }}
          role="status"
          aria-live="polite"
        >
          <Text kind="strong" style={{ lineHeight: 18 }}>{`${at + 1}/${steps.length} `}</Text>
          {stepText(step.message)}
        </Text>
        {step.caution ? (
          <Text kind="strong" color="accent">
            !
          </Text>
        ) : null}
      </Button>
      {timer ? (
        <Button
          label={t('startClock', { clock: clockOf(timer.seconds) })}
          icon="timer-outline"
          style={{ paddingHorizontal: 6 }}
          onPress={() => timers.start(timer.kind, label, timer.seconds)}
        >
          <></>
        </Button>
      ) : null}
      {at + 1 < steps.length ? (
        <Button
          label={t('nextStep')}
          icon="chevron-right"
          style={{ paddingHorizontal: 6 }}
          onPress={() => go(at + 1)}
        >
          <></>
        </Button>
      ) : null}
      <Sheet
        title={t('stepsOf', { way: wayText(setup.setup.way) })}
        visible={open}
        onClose={() => setOpen(false)}
      >
        {steps.map((one, index) => (
          <StepRow
            key={one.key}
            step={one}
            number={index + 1}
            isHere={index === at}
            onGo={() => {
              go(index);
              setOpen(false);
            }}
          />
        ))}
        <Text kind="small" color="ink2">
          {shared('shardsIntoTheClosedContainerEyes')}
        </Text>
      </Sheet>
    </View>
  );
}

function StepRow({
  step,
  number,
  isHere,
  onGo,
}: {
  step: BenchStep;
  number: number;
  isHere: boolean;
  onGo(): void;
}) {
  return (
    <View style={{ gap: 6 }}>
      <Button
        aria-current={isHere ? 'step' : undefined}
        onPress={onGo}
        style={{
          justifyContent: 'flex-start',
          paddingVertical: 6,
          borderLeftWidth: isHere ? 8 : 2,
        }}
      >
        <View style={{ flex: 1 }}>
          <Text>
            <Text kind="strong">{`${number}. `}</Text>
            {stepText(step.message)}
          </Text>
          {step.caution ? <Text color="accent">{stepCautionText(step.caution)}</Text> : null}
          {step.timer?.kind === 'heater' ? (
            <Text kind="small" color="ink2">
              {t('saveTheSpliceFirstItsHeater')}
            </Text>
          ) : null}
        </View>
      </Button>
      {PAD_STEPS.has(step.key) ? <PadCounter /> : null}
    </View>
  );
}

/** The sleeve that goes on first: a tap says that it is on. */
function SleeveKey({ bench }: { bench: Bench }) {
  const on = bench.state.sleeveOn;
  const isSleeve = isFused(bench.fiber?.end ?? null);
  return (
    <Button
      role="checkbox"
      aria-checked={on}
      label={isSleeve ? t('sleeve') : t('boot')}
      look={on ? 'dark' : 'plain'}
      icon={on ? 'checkbox-marked-outline' : 'checkbox-blank-outline'}
      aria-label={isSleeve ? shared('sleeveOn') : shared('bootOn')}
      style={{ paddingHorizontal: 4, gap: 2 }}
      onPress={() => bench.dispatch({ type: 'sleeve', isOn: !on })}
      textSize={15}
    />
  );
}
