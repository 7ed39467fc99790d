import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { commands, waitingInputs } from '@cordel/client';
import type { LookedPoint } from '@cordel/core/close';
import { pointCautionText, pointText, remedyText } from '@cordel/text/close';
import { pointRow as t } from '@cordel/text/pages/closing/PointRow';
import { outbox, useOutbox } from '@/data/client';
import { useProjectView } from '@/projects/context';
import { useClock } from '@/projects/useClock';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { TextField } from '@/ui/TextField';
import { pickFile } from '@/ui/pickFile';
import { useColors } from '@/ui/theme';
import { keepPhoto } from './photos';
import { pointStateText } from './pointWords';

/** What a person says of a point. */
export interface Word {
  verdict: 'good' | 'bad' | 'waived';
  why?: string;
  slots?: number[];
  photos?: string[];
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
        onPress={() => onSay({ verdict: 'good', photos })}
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
            onPress={() => void addPhoto()}
          >
            <></>
          </Button>
        )}
      </View>
      {photos.length > 0 ? <Photos ids={photos} /> : null}
      {problem ? <Text color="accent">{problem}</Text> : null}
      {point.caution ? <Text color="accent">{pointCautionText(point.caution)}</Text> : null}
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

/** Photos of a point, small. */
function Photos({ ids }: { ids: readonly string[] }) {
  return (
    <View style={{ flexDirection: 'row', gap: 8 }}>
      {ids.map((id, index) => (
        <PhotoImage key={id} id={id} alt={t('photoIndex', { index: index + 1 })} />
      ))}
    </View>
  );
}

function PhotoImage({ id, alt }: { id: string; alt: string }) {
  const colors = useColors();
  const style = {
    height: 84,
    maxWidth: 150,
    objectFit: 'cover',
    border: `2px solid ${colors.ink}`,
  } as const;
  return <img src={usePhotoSource(id)} alt={alt} style={style} />;
}

/** Where a photo is shown from: one that waits to be sent lies on this device. */
function usePhotoSource(id: string): string | undefined {
  const { writes } = useOutbox();
  const waiting = waitingInputs(writes, commands.addPhoto).find((photo) => photo.id === id);
  const digest = waiting?.file?.digest;
  const [held, setHeld] = useState<{ digest: string; url: string } | null>(null);
  useEffect(() => {
    if (!digest) return;
    let url = '';
    let isOver = false;
    void outbox.file(digest).then((bytes) => {
      if (!bytes || isOver) return;
      url = URL.createObjectURL(new Blob([bytes as Uint8Array<ArrayBuffer>]));
      setHeld({ digest, url });
    });
    return () => {
      isOver = true;
      URL.revokeObjectURL(url);
    };
  }, [digest]);
  if (!waiting) return `/api/photos/${id}`;
  if (waiting.bytes) return `data:image/jpeg;base64,${waiting.bytes}`;
  return held?.digest === digest ? held?.url : undefined;
}
