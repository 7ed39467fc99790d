import { wrap } from 'comlink';
import { v7 as uuid } from 'uuid';
import { commands } from '@cordel/client';
import { digestOf } from '@cordel/core/close';
import { closingShared as t } from '@cordel/text/pages/closing/shared';
import { outbox } from '@/data/client';
import { personNow } from '@/data/session';
import type { PhotoScaler } from './photo.worker';

/** Whether a picture shows the end face of a fiber; null where it is no picture. */
export async function showsEndFace(picture: Blob): Promise<boolean | null> {
  const worker = new Worker(new URL('./photo.worker', import.meta.url));
  try {
    return await wrap<PhotoScaler>(worker).showsFace(picture);
  } finally {
    worker.terminate();
  }
}

/**
 * Keeps a photo with a closure's record, scaled down in a worker.
 * @returns its id, or why it is none
 */
export async function keepPhoto(
  closureId: string,
  picture: Blob,
): Promise<{ id: string } | { error: string }> {
  const worker = new Worker(new URL('./photo.worker', import.meta.url));
  try {
    const scaled = await wrap<PhotoScaler>(worker).scale(picture);
    if (!scaled.ok)
      return {
        error:
          scaled.error.code === 'tooLarge'
            ? t('photoTooLarge', { megabytes: scaled.error.megabytes })
            : t('noPicture'),
      };
    const id = uuid();
    const { width, height, bytes } = scaled;
    const file = { digest: digestOf(bytes), size: bytes.length };
    const at = new Date().toISOString();
    void outbox.add(
      commands.addPhoto,
      { id, closureId, by: personNow(), at, width, height, file },
      t('aPhotoOfKb', { bytes: Math.round(bytes.length / 1024) }),
      [{ ...file, bytes }],
    );
    return { id };
  } finally {
    worker.terminate();
  }
}
