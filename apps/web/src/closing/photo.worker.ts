import { expose, transfer } from 'comlink';
import { PHOTO_BYTES, PHOTO_SIDE } from '@cordel/core/close';

/** A picture ready to be kept, or why it is none. */
export type ScaledPhoto =
  | { ok: true; width: number; height: number; bytes: Uint8Array }
  | { ok: false; error: { code: 'tooLarge'; megabytes: number } | { code: 'noPicture' } };

/** No camera makes larger files; reading one would only fill the phone. */
const MOST = 60 * 1024 * 1024;

const QUALITIES = [0.82, 0.7, 0.55, 0.4];

/** Scales photos down, off the page's own thread. */
const photoScaler = {
  async scale(file: Blob): Promise<ScaledPhoto> {
    if (file.size > MOST)
      return {
        ok: false,
        error: { code: 'tooLarge', megabytes: Math.round(file.size / 1024 / 1024) },
      };
    let picture: ImageBitmap;
    try {
      picture = await createImageBitmap(file);
    } catch {
      return { ok: false, error: { code: 'noPicture' } };
    }
    for (let side = PHOTO_SIDE; ; side = Math.round(side * 0.75)) {
      const scale = Math.min(1, side / Math.max(picture.width, picture.height));
      const width = Math.max(1, Math.round(picture.width * scale));
      const height = Math.max(1, Math.round(picture.height * scale));
      const canvas = new OffscreenCanvas(width, height);
      canvas.getContext('2d')!.drawImage(picture, 0, 0, width, height);
      for (const quality of QUALITIES) {
        const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality });
        if (blob.size > PHOTO_BYTES) continue;
        picture.close();
        const bytes = new Uint8Array(await blob.arrayBuffer());
        return transfer({ ok: true, width, height, bytes }, [bytes.buffer]);
      }
    }
  },
};

export type PhotoScaler = typeof photoScaler;

expose(photoScaler);
