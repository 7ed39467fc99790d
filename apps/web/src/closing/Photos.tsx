import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { commands, waitingInputs } from '@cordel/client';
import { pointRow as t } from '@cordel/text/pages/closing/PointRow';
import { outbox, useOutbox } from '@/data/client';
import { personIdNow } from '@/data/session';
import { useColors } from '@/ui/theme';

/** Photos of a point or a step, small. */
export function Photos({ ids }: { ids: readonly string[] }) {
  return (
    <View style={{ flexDirection: 'row', gap: 8 }}>
      {ids.map((id, index) => (
        <PhotoImage key={id} id={id} alt={t('photoIndex', { index: index + 1 })} />
      ))}
    </View>
  );
}

export function PhotoImage({ id, alt, height = 84 }: { id: string; alt: string; height?: number }) {
  const colors = useColors();
  const style = {
    height,
    maxWidth: '100%',
    // A large one is shown whole.
    objectFit: height > 84 ? 'contain' : 'cover',
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
  // What the device keeps of it is kept for whoever works on it.
  if (!waiting) return `/api/photos/${id}?for=${personIdNow() ?? 'all'}`;
  if (waiting.bytes) return `data:image/jpeg;base64,${waiting.bytes}`;
  return held?.digest === digest ? held?.url : undefined;
}
