import { expose, transfer } from 'comlink';
import { FACE_SEARCH_SIDE, findFace } from '@cordel/core/face';
import { PHOTO_BYTES, PHOTO_SIDE } from '@cordel/core/close';

/** A picture ready to be kept, or why it is none. */
export type ScaledPhoto =
  | { ok: true; width: number; height: number; bytes: Uint8Array }
  | { ok: false; error: { code: 'tooLarge'; megabytes: number } | { code: 'noPicture' } };

/** No camera makes larger files; reading one would only fill the phone. */
const MOST = 60 * 1024 * 1024;

const QUALITIES = [0.82, 0.7, 0.55, 0.4];

/** Scales photos down and looks at them, off the page's own thread. */
const photoScaler = {
  /** Whether a picture shows the round face of a fiber; null where it is no picture. */
  async showsFace(file: Blob): Promise<boolean | null> {
    const picture = await createImageBitmap(file).catch(() => null);
    if (!picture) return null;
    const scale = Math.min(1, FACE_SEARCH_SIDE / Math.max(picture.width, picture.height));
    const width = Math.max(8, Math.round(picture.width * scale));
    const height = Math.max(8, Math.round(picture.height * scale));
    const context = new OffscreenCanvas(width, height).getContext('2d')!;
    context.drawImage(picture, 0, 0, width, height);
    picture.close();
    const { data } = context.getImageData(0, 0, width, height);
    const levels = new Uint8ClampedArray(width * height);
    // Luma as in ITU-R BT.601.
    for (let at = 0; at < levels.length; at++)
      levels[at] = 0.299 * data[4 * at]! + 0.587 * data[4 * at + 1]! + 0.114 * data[4 * at + 2]!;
    return findFace({ width, height, levels }) !== null;
  },
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
