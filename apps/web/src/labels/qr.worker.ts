import { expose } from 'comlink';
import jsQR from 'jsqr';

/** Looks for a QR code in a picture, off the page's own thread. */
const qrReader = {
  find(pixels: Uint8ClampedArray, width: number, height: number): string | null {
    return jsQR(pixels, width, height)?.data ?? null;
  },
};

export type QrReader = typeof qrReader;

expose(qrReader);
