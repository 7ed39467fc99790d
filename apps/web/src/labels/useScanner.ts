import { transfer, wrap } from 'comlink';
import { type RefObject, useEffect, useState } from 'react';
import { labelsShared as t } from '@cordel/text/pages/labels/shared';
import type { QrReader } from './qr.worker';

/** Widest picture that is searched: a code fills a third of it, and that is enough. */
const SIDE = 640;

/** Shows the camera’s picture. */
async function show(field: HTMLVideoElement, stream: MediaStream): Promise<void> {
  field.srcObject = stream;
  await field.play().catch(() => undefined);
}

/**
 * Looks through the camera for a code, some times a second.
 * @returns why it does not, where it does not
 */
export function useScanner(
  video: RefObject<HTMLVideoElement | null>,
  onFound: (text: string) => void,
): string | null {
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    const worker = new Worker(new URL('./qr.worker', import.meta.url));
    const reader = wrap<QrReader>(worker);
    let stopped = false;
    let stream: MediaStream | null = null;
    const look = async (canvas: HTMLCanvasElement) => {
      const field = video.current;
      if (!field || field.videoWidth === 0) return;
      const scale = Math.min(1, SIDE / field.videoWidth);
      canvas.width = Math.round(field.videoWidth * scale);
      canvas.height = Math.round(field.videoHeight * scale);
      const pen = canvas.getContext('2d', { willReadFrequently: true })!;
      pen.drawImage(field, 0, 0, canvas.width, canvas.height);
      const { data } = pen.getImageData(0, 0, canvas.width, canvas.height);
      const text = await reader.find(transfer(data, [data.buffer]), canvas.width, canvas.height);
      if (text !== null && !stopped) onFound(text);
    };
    const run = async () => {
      if (!navigator.mediaDevices) return setProblem(t('thisBrowserGivesNoCameraHere'));
      try {
        stream = await navigator.mediaDevices.getUserMedia({
          video: { facingMode: 'environment' },
        });
      } catch {
        return setProblem(t('thereIsNoCameraOrIt'));
      }
      if (stopped) return stream.getTracks().forEach((track) => track.stop());
      await show(video.current!, stream);
      const canvas = document.createElement('canvas');
      while (!stopped) {
        await look(canvas);
        await new Promise((done) => setTimeout(done, 150));
      }
    };
    void run();
    return () => {
      stopped = true;
      stream?.getTracks().forEach((track) => track.stop());
      worker.terminate();
    };
  }, [video, onFound]);
  return problem;
}
