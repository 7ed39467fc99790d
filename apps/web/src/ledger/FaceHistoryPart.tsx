import { View } from 'react-native';
import {
  type Evidence,
  type Inspection,
  type POLISHES,
  faceHistoryOf,
  gradeFace,
} from '@cordel/core';
import { endFacePages as t } from '@cordel/text/pages/ledger/EndFace';
import { PhotoImage } from '@/closing/Photos';
import { useClock } from '@/projects/useClock';
import { Text } from '@/ui/Text';
import { ZoneRings } from './ZoneRings';
import { useRecordLevel } from './useRecordLevel';

type Polish = (typeof POLISHES)[number];

/** After so many rounds an end that still fails is not worth cleaning. Common practice, no source. */
const MANY_CLEANINGS = 5;

/** An end face before and after it was cleaned: pictures, zones, rounds. */
export function FaceHistoryPart({
  evidence,
  tryId,
  polish,
}: {
  evidence: readonly Evidence[];
  tryId: string | null;
  polish: Polish;
}) {
  const level = useRecordLevel();
  const { looks, before, after, cleanings } = faceHistoryOf(evidence, tryId);
  if (!before) return null;
  const last = after ?? before;
  return (
    <View style={{ gap: 8 }}>
      <Text kind="strong" heading={level.part}>
        {t('endFace')}
      </Text>
      <View style={{ flexDirection: 'row', gap: 16, flexWrap: 'wrap' }}>
        <Look look={before} when={after ? t('before') : t('now')} polish={polish} />
        {after ? <Look look={after} when={t('after')} polish={polish} /> : null}
      </View>
      <Text>
        {`${t('looks', { looks: looks.length })} ${t('cleanedTimes', { times: cleanings })}`}
        {last.face === 'fail' && cleanings >= MANY_CLEANINGS ? ` ${t('ifItStaysDirty')}` : ''}
      </Text>
    </View>
  );
}

function Look({ look, when, polish }: { look: Inspection; when: string; polish: Polish }) {
  const { moment } = useClock();
  return (
    <View style={{ gap: 6, flexShrink: 1 }}>
      <Text>
        <Text kind="strong" color={look.face === 'fail' ? 'accent' : 'green'}>{`${when}: `}</Text>
        {t('lookBy', { face: look.face ?? 'fail', by: look.by, moment: moment(look.at) })}
      </Text>
      {look.photoId ? (
        <PhotoImage id={look.photoId} alt={t('faceOf', { when })} height={150} />
      ) : null}
      {look.marks ? <ZoneRings zones={gradeFace(look.marks, polish).zones} /> : null}
    </View>
  );
}
