import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { jest } from '@jest/globals';
import { encode } from 'uqr';
import type { Browser } from 'puppeteer-core';
import {
  closureFinder,
  type Server,
  newPerson,
  readApi,
  removeServer,
  sees,
  startBrowser,
  startServer,
} from './app.ts';

jest.setTimeout(120_000);

const [WIDTH, HEIGHT] = [640, 480];

/** A film of one picture with a QR code in it, as the browser plays it for a camera: YUV4MPEG2, 4:2:0. */
function film(text: string): Buffer {
  const { data } = encode(text, { border: 4 });
  const scale = Math.floor((HEIGHT * 0.8) / data.length);
  const light = Buffer.alloc(WIDTH * HEIGHT, 235);
  const left = (WIDTH - scale * data.length) >> 1;
  const top = (HEIGHT - scale * data.length) >> 1;
  data.forEach((row, y) =>
    row.forEach((dark, x) => {
      if (!dark) return;
      for (let line = 0; line < scale; line++) {
        const from = (top + y * scale + line) * WIDTH + left + x * scale;
        light.fill(16, from, from + scale);
      }
    }),
  );
  const colour = Buffer.alloc((WIDTH * HEIGHT) / 2, 128);
  const head = Buffer.from(`YUV4MPEG2 W${WIDTH} H${HEIGHT} F10:1 Ip A1:1 C420jpeg\n`);
  const frames = Array.from({ length: 10 }, () => [Buffer.from('FRAME\n'), light, colour]).flat();
  return Buffer.concat([head, ...frames]);
}

let server: Server;
let browser: Browser;
let folder: string;
beforeAll(async () => {
  server = await startServer({ demo: true });
  folder = await mkdtemp(join(tmpdir(), 'cordel-scan-'));
});
afterAll(async () => {
  await browser.close();
  await removeServer(server);
  await rm(folder, { recursive: true, force: true });
});

test('a label held before the camera opens its closure', async () => {
  const [project] = await readApi<{ id: string }[]>(server, '/projects');
  const closureId = (await closureFinder(server, project!.id))('Pump house');
  browser = await startBrowser();
  const reader = await newPerson(browser, server, 'M.');
  await reader.page.goto(`${server.url}/p/${project!.id}/kit/labels?closure=${closureId}`);
  await sees(reader.page, 'Typed, the code is');
  const words = await reader.page.evaluate(() => document.body.innerText);
  const code = /the code is ([0-9A-Z]{4}-[0-9A-Z]{4})/.exec(words)![1]!;
  await browser.close();
  const path = join(folder, 'label.y4m');
  await writeFile(path, film(`${server.url}/c/${code}?tray=3`));
  browser = await startBrowser([
    '--use-fake-ui-for-media-stream',
    '--use-fake-device-for-media-stream',
    `--use-file-for-fake-video-capture=${path}`,
  ]);
  const { page, trouble } = await newPerson(browser, server, 'M.');
  await page.goto(`${server.url}/scan`);
  await page.waitForFunction(
    (id) => location.pathname.includes(id),
    { timeout: 30_000 },
    closureId,
  );
  await sees(page, 'Pump house');
  expect(trouble).toEqual([]);
});
