import { useState } from 'react';
import { View } from 'react-native';
import {
  FACE_LIMITS,
  type FaceMarks,
  MARK_ZONES,
  NO_MARKS,
  type POLISHES,
  gradeFace,
} from '@cordel/core';
import { endFacePages as t } from '@cordel/text/pages/ledger/EndFace';
import { keepPhoto, showsEndFace } from '@/closing/photos';
import { Button } from '@/ui/Button';
import { Notice } from '@/ui/Notice';
import { Text } from '@/ui/Text';
import { pickFile } from '@/ui/pickFile';
import { ZoneRings } from './ZoneRings';

/** What is said of an end face besides whether it passes. */
export interface FaceDetails {
  marks: FaceMarks | null;
  cleanings: number;
  photoId: string | null;
}

export const NO_DETAILS: FaceDetails = { marks: null, cleanings: 0, photoId: null };

interface EndFacePartProps {
  closureId: string;
  polish: (typeof POLISHES)[number];
  details: FaceDetails;
  onChange(details: FaceDetails): void;
}

/** Marks counted by zone, cleaning, and a picture of an end face. */
export function EndFacePart({ closureId, polish, details, onChange }: EndFacePartProps) {
  const { marks } = details;
  const change = (part: Partial<FaceDetails>) => onChange({ ...details, ...part });
  return (
    <View style={{ gap: 12 }}>
      <Button
        label={t('countMarks')}
        aria-pressed={marks !== null}
        look={marks ? 'dark' : 'plain'}
        onPress={() => change({ marks: marks ? null : NO_MARKS })}
      />
      {marks ? (
        <View role="group" aria-label={t('marksByZone', { polish })} style={{ gap: 8 }}>
          <ZoneRings zones={gradeFace(marks, polish).zones} />
          {(Object.keys(NO_MARKS) as (keyof FaceMarks)[]).map((kind) => (
            <Counter
              key={kind}
              name={`${t(MARK_ZONES[kind])}: ${t(kind)}`}
              note={
                Number.isFinite(FACE_LIMITS[polish][kind])
                  ? t('atMost', { most: FACE_LIMITS[polish][kind] })
                  : t('noLimit')
              }
              value={marks[kind]}
              onChange={(value) => change({ marks: { ...marks, [kind]: value } })}
            />
          ))}
        </View>
      ) : null}
      <Counter
        name={t('cleanedSince')}
        note={t('cleanFirst')}
        value={details.cleanings}
        most={20}
        onChange={(cleanings) => change({ cleanings })}
      />
      <PicturePart
        closureId={closureId}
        photoId={details.photoId}
        onKept={(photoId) => change({ photoId })}
      />
    </View>
  );
}

function Counter({
  name,
  note,
  value,
  most = 99,
  onChange,
}: {
  name: string;
  note: string;
  value: number;
  most?: number;
  onChange(value: number): void;
}) {
  return (
    <View style={{ flexDirection: 'row', gap: 8, alignItems: 'center' }}>
      <View style={{ flex: 1 }}>
        <Text>{name}</Text>
        <Text kind="small" color="ink2">
          {note}
        </Text>
      </View>
      <Button
        label={t('less', { name })}
        icon="minus"
        disabled={value === 0}
        onPress={() => onChange(value - 1)}
      >
        <></>
      </Button>
      <Text kind="strong" aria-live="polite" style={{ minWidth: 28, textAlign: 'center' }}>
        {String(value)}
      </Text>
      <Button
        label={t('more', { name })}
        icon="plus"
        disabled={value >= most}
        onPress={() => onChange(value + 1)}
      >
        <></>
      </Button>
    </View>
  );
}

function PicturePart({
  closureId,
  photoId,
  onKept,
}: {
  closureId: string;
  photoId: string | null;
  onKept(id: string): void;
}) {
  const [state, setState] = useState<{ busy?: true; problem?: string; doubted?: Blob }>({});
  const keep = async (picture: Blob) => {
    const kept = await keepPhoto(closureId, picture);
    if ('error' in kept) return setState({ problem: kept.error });
    setState({});
    onKept(kept.id);
  };
  const choose = async () => {
    const picture = await pickFile('image/*');
    if (!picture) return;
    setState({ busy: true });
    const isFace = await showsEndFace(picture);
    if (isFace === null) setState({ problem: t('noPicture') });
    else if (isFace) await keep(picture);
    else setState({ problem: t('noFace'), doubted: picture });
  };
  return (
    <View style={{ gap: 8 }}>
      <Button
        label={photoId ? t('anotherPicture') : t('picture')}
        icon="camera-outline"
        onPress={() => void choose()}
      />
      {state.busy ? <Notice live>{t('lookingAtIt')}</Notice> : null}
      {state.problem ? (
        <Notice color="accent" live>
          {state.problem}
        </Notice>
      ) : null}
      {state.doubted ? (
        <Button label={t('keepAnyway')} onPress={() => void keep(state.doubted!)} />
      ) : null}
      {photoId && !state.problem ? (
        <Notice color="green" live>
          {t('pictureKept')}
        </Notice>
      ) : null}
    </View>
  );
}
