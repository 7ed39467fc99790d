import { useState } from 'react';
import { View } from 'react-native';
import { type PrepStep, type PrepTick, missingBefore, plainSteps } from '@cordel/core';
import { prepShared as t } from '@cordel/text/pages/prep/shared';
import { askText, legText, prepCautionText, prepStepText } from '@cordel/text/prep';
import { Photos } from '@/closing/Photos';
import { keepPhoto } from '@/closing/photos';
import { useProjectView } from '@/projects/context';
import { useClock } from '@/projects/useClock';
import { Button } from '@/ui/Button';
import { StepPanel } from '@/ui/StepPanel';
import { Text } from '@/ui/Text';
import { TextField } from '@/ui/TextField';
import { useColors } from '@/ui/theme';
import { pickFile } from '@/ui/pickFile';

/** What is kept with a tick. */
type TickWords = Pick<PrepTick, 'answers' | 'photos' | 'override'>;

interface StepListProps {
  steps: readonly PrepStep[];
  done: readonly PrepTick[];
  closureId: string;
  /** A step is done, or, with null, is not after all. */
  onTick(key: string, tick: TickWords | null): void;
}

const NOTHING: TickWords = { answers: {}, photos: [], override: null };

/** Steps to tick off with a thumb, each with its caution and what it asks to be written down. */
export function StepList({ steps, done, closureId, onTick }: StepListProps) {
  const [open, setOpen] = useState<string | null>(null);
  const ticked = new Set(done.map(({ step }) => step));
  const next = steps.find(({ key }) => !ticked.has(key));
  const plain = plainSteps(steps, ticked);
  return (
    <View style={{ gap: 8 }}>
      {plain.length > 1 ? (
        <Button
          icon="check-all"
          label={t('tickPlain', { steps: plain.length })}
          onPress={() => plain.forEach(({ key }) => onTick(key, NOTHING))}
        />
      ) : null}
      {steps.map((step, index) => (
        <StepRow
          key={step.key}
          step={step}
          number={index + 1}
          tick={done.find((one) => one.step === step.key) ?? null}
          isNext={step === next}
          missing={missingBefore(steps, ticked, step.key)}
          closureId={closureId}
          isOpen={open === step.key}
          onOpen={(isOpen) => setOpen(isOpen ? step.key : null)}
          onTick={(tick) => {
            setOpen(null);
            onTick(step.key, tick);
          }}
        />
      ))}
    </View>
  );
}

function StepRow({
  step,
  number,
  tick,
  isNext,
  missing,
  closureId,
  isOpen,
  onOpen,
  onTick,
}: {
  step: PrepStep;
  number: number;
  tick: PrepTick | null;
  /** The first that is not done. */
  isNext: boolean;
  /** Steps that protect people or live fibers and are to be done before it. */
  missing: readonly PrepStep[];
  closureId: string;
  isOpen: boolean;
  onOpen(isOpen: boolean): void;
  onTick(tick: TickWords | null): void;
}) {
  const { units } = useProjectView().project;
  const { moment } = useClock();
  const asks = step.asks.length > 0 || step.timerS !== null || step.photo;
  const asksMore = asks || missing.length > 0;
  const [override, setOverride] = useState<string | null>(null);
  const press = () => {
    if (tick) onTick(null);
    else if (asksMore) onOpen(!isOpen);
    else onTick(NOTHING);
  };
  const answers = step.asks.flatMap((ask) => {
    const answer = tick?.answers[ask.key];
    return answer ? [t('answer', { asked: askText(ask), answer })] : [];
  });
  return (
    <View style={{ gap: 6 }}>
      <Button
        role="checkbox"
        aria-checked={tick !== null}
        aria-expanded={asksMore && !tick ? isOpen : undefined}
        icon={tick ? 'checkbox-marked-outline' : 'checkbox-blank-outline'}
        style={{
          justifyContent: 'flex-start',
          paddingVertical: 8,
          borderLeftWidth: isNext ? 8 : 2,
        }}
        onPress={press}
      >
        <View style={{ flex: 1 }}>
          <Text>
            {isNext ? <Text kind="strong" color="accent">{`${t('next')} `}</Text> : null}
            <Text kind="strong">{`${number}. `}</Text>
            {step.leg ? <Text kind="strong">{`${legText(step.leg)}: `}</Text> : null}
            {prepStepText(step.message, units)}
          </Text>
          {step.caution ? <Text color="accent">{prepCautionText(step.caution)}</Text> : null}
          {tick?.by && tick.at ? (
            <Text kind="small" color="ink2">
              {[t('tickedBy', { by: tick.by, moment: moment(tick.at) }), ...answers].join(' · ')}
            </Text>
          ) : null}
          {tick?.override ? (
            <Text kind="small" color="accent">
              {t('overridden', { why: tick.override })}
            </Text>
          ) : null}
        </View>
      </Button>
      {tick && tick.photos.length > 0 ? <Photos ids={tick.photos} /> : null}
      {isOpen && !tick && missing.length > 0 && override === null ? (
        <Held
          missing={missing}
          onOverride={(why) => {
            if (asks) setOverride(why);
            else onTick({ ...NOTHING, override: why });
          }}
        />
      ) : isOpen && !tick ? (
        <Asked
          step={step}
          closureId={closureId}
          onTick={(words) => onTick({ ...words, override })}
        />
      ) : null}
    </View>
  );
}

/** Why a step is held back, and the way on for who has a reason. */
function Held({
  missing,
  onOverride,
}: {
  missing: readonly PrepStep[];
  onOverride(why: string): void;
}) {
  const colors = useColors();
  const { units } = useProjectView().project;
  const [why, setWhy] = useState('');
  return (
    <View style={{ borderLeftWidth: 6, borderColor: colors.accent, paddingLeft: 12, gap: 8 }}>
      <Text kind="strong" color="accent">
        {t('notYet')}
      </Text>
      {missing.map((step) => (
        <Text key={step.key}>{prepStepText(step.message, units)}</Text>
      ))}
      <TextField label={t('reasonToGoOn')} value={why} onChange={setWhy} />
      <Button
        label={t('goOnAnyway')}
        disabled={why.trim() === ''}
        onPress={() => onOverride(why.trim())}
        style={{ alignSelf: 'flex-start' }}
      />
    </View>
  );
}

/** What a step asks for before it is ticked. */
function Asked({
  step,
  closureId,
  onTick,
}: {
  step: PrepStep;
  closureId: string;
  onTick(tick: TickWords): void;
}) {
  const [photos, setPhotos] = useState<string[]>([]);
  const [problem, setProblem] = useState('');
  const addPhoto = async () => {
    setProblem('');
    const file = await pickFile('image/*');
    if (!file) return;
    const kept = await keepPhoto(closureId, file);
    if ('error' in kept) setProblem(kept.error);
    else setPhotos((list) => [...list, kept.id]);
  };
  return (
    <StepPanel
      asks={step.asks}
      timerS={step.timerS}
      answers={{}}
      onDone={(answers) => onTick({ answers, photos, override: null })}
    >
      {step.photo ? (
        <Button
          icon="camera-outline"
          label={t('takeAPhoto')}
          onPress={() => void addPhoto()}
          style={{ alignSelf: 'flex-start' }}
        />
      ) : null}
      {photos.length > 0 ? <Photos ids={photos} /> : null}
      {problem ? <Text color="accent">{problem}</Text> : null}
    </StepPanel>
  );
}
