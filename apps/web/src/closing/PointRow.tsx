import { useState } from 'react';
import { View } from 'react-native';
import type { LookedPoint } from '@cordel/core/close';
import { pointText, remedyText } from '@cordel/text/close';
import { prepCautionText } from '@cordel/text/prep';
import { pointRow as t } from '@cordel/text/pages/closing/PointRow';
import { useProjectView } from '@/projects/context';
import { useClock } from '@/projects/useClock';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { TextField } from '@/ui/TextField';
import { StepPanel } from '@/ui/StepPanel';
import { pickFile } from '@/ui/pickFile';
import { useColors } from '@/ui/theme';
import { Photos } from './Photos';
import { keepPhoto } from './photos';
import { pointStateText } from './pointWords';

/** What a person says of a point. */
export interface Word {
  verdict: 'good' | 'bad' | 'waived';
  why?: string;
  slots?: number[];
  photos?: string[];
  answers?: Record<string, string>;
}

const MOST_PHOTOS = 2;

interface PointRowProps {
  looked: LookedPoint;
  closureId: string;
  /** Whether it may be ticked now: bolts go in their order. */
  ready: boolean;
  onSay(word: Word): void;
}

/** A point of the list: one tap says it is good; what fails opens what to do. */
export function PointRow({ looked, closureId, ready, onSay }: PointRowProps) {
  const colors = useColors();
  const { clock } = useClock();
  const { point, state, entry } = looked;
  const bad = state === 'bad';
  const answered = state === 'good' || state === 'waived';
  const photos = entry?.photos ?? [];
  const [problem, setProblem] = useState('');
  const [isOpen, setIsOpen] = useState(false);
  const isAsked = point.asks !== undefined || point.timerS !== undefined;
  const addPhoto = async () => {
    setProblem('');
    const file = await pickFile('image/*');
    if (!file) return;
    const kept = await keepPhoto(closureId, file);
    if ('error' in kept) return setProblem(kept.error);
    onSay({
      verdict: entry?.verdict ?? 'good',
      why: entry?.why ?? undefined,
      slots: entry?.slots ?? [],
      photos: [...photos, kept.id],
      answers: entry?.answers,
    });
  };
  const asked = pointText(point.message, useProjectView().project.units);
  const mark = bad
    ? 'close-box-outline'
    : answered
      ? 'checkbox-marked-outline'
      : 'checkbox-blank-outline';
  return (
    <View style={{ borderBottomWidth: 1, borderColor: colors.rule, paddingVertical: 6, gap: 6 }}>
      <Button
        role="checkbox"
        aria-checked={answered}
        aria-label={`${asked}: ${pointStateText(looked, clock)}`}
        icon={mark}
        look="bare"
        disabled={point.found !== undefined || (!ready && !answered)}
        onPress={() => (isAsked ? setIsOpen(!isOpen) : onSay({ verdict: 'good', photos }))}
        style={{ justifyContent: 'flex-start', paddingHorizontal: 0, opacity: 1 }}
      >
        <Text style={{ flex: 1, paddingVertical: 4 }} color={!ready && !answered ? 'ink2' : 'ink'}>
          {asked}
        </Text>
      </Button>
      <View style={{ flexDirection: 'row', gap: 8, alignItems: 'center', paddingLeft: 30 }}>
        <Text style={{ flex: 1 }} kind="small" color={bad ? 'accent' : answered ? 'green' : 'ink2'}>
          {pointStateText(looked, clock)}
        </Text>
        {point.found || bad ? null : (
          <Button
            label={t('fail')}
            textSize={15}
            onPress={() => onSay({ verdict: 'bad', slots: [], photos })}
          />
        )}
        {point.found || photos.length >= MOST_PHOTOS ? null : (
          <Button
            label={t('photoAsked', { asked })}
            icon="camera-outline"
            look={point.photo && photos.length === 0 ? 'next' : 'plain'}
            onPress={() => void addPhoto()}
          >
            <></>
          </Button>
        )}
      </View>
      {photos.length > 0 ? <Photos ids={photos} /> : null}
      {problem ? <Text color="accent">{problem}</Text> : null}
      {point.caution ? <Text color="accent">{prepCautionText(point.caution)}</Text> : null}
      {isOpen ? (
        <StepPanel
          asks={point.asks ?? []}
          timerS={point.timerS ?? null}
          answers={entry?.answers ?? {}}
          onDone={(answers) => {
            setIsOpen(false);
            onSay({ verdict: 'good', photos, answers });
          }}
        />
      ) : null}
      {bad ? <Fixing looked={looked} onSay={onSay} /> : null}
    </View>
  );
}

/** What to do where a point fails, and the two ways on. */
function Fixing({ looked, onSay }: { looked: LookedPoint; onSay(word: Word): void }) {
  const colors = useColors();
  const { point, entry } = looked;
  const [why, setWhy] = useState('');
  const [waiving, setWaiving] = useState(false);
  const slots = entry?.slots ?? [];
  const photos = entry?.photos ?? [];
  const turn = (slot: number) =>
    onSay({
      verdict: 'bad',
      photos,
      slots: slots.includes(slot)
        ? slots.filter((own) => own !== slot)
        : [...slots, slot].sort((a, b) => a - b),
    });
  return (
    <View style={{ borderLeftWidth: 6, borderColor: colors.accent, paddingLeft: 12, gap: 8 }}>
      <Text>
        <Text kind="strong">{t('do')}</Text>
        {remedyText(point)}
      </Text>
      {point.slots ? (
        <View style={{ gap: 4 }}>
          <Text color="ink2">{t('whichSlots')}</Text>
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 6 }}>
            {point.slots.map((slot) => (
              <Button
                key={slot}
                label={String(slot)}
                aria-label={t('slot', { slot })}
                aria-pressed={slots.includes(slot)}
                look={slots.includes(slot) ? 'dark' : 'plain'}
                onPress={() => turn(slot)}
              />
            ))}
          </View>
        </View>
      ) : null}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        {point.found ? null : (
          <Button
            label={t('repairedOkNow')}
            look="next"
            onPress={() => onSay({ verdict: 'good', photos })}
          />
        )}
        {waiving ? null : <Button label={t('waiveIt')} onPress={() => setWaiving(true)} />}
      </View>
      {waiving ? (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8, alignItems: 'center' }}>
          <TextField label={t('whyIsItWaived')} value={why} onChange={setWhy} />
          <Button
            label={t('waiveForThisReason')}
            look="next"
            disabled={why.trim() === ''}
            onPress={() => onSay({ verdict: 'waived', why: why.trim(), slots, photos })}
          />
        </View>
      ) : null}
    </View>
  );
}
