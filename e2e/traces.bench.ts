import { circuitPage } from '@cordel/text/pages/traces/CircuitPage';
import {
  WIDE,
  newId,
  newPerson,
  press,
  readApi,
  removeServer,
  sees,
  startBrowser,
  startServer,
  writeApi,
} from './app.ts';

/** Frames a second that the page keeps while traces are moved. */
const FRAMES = 50;
const FIBERS = 12;

/** Moves a stack of traces of 30 000 samples each for some seconds, and counts the page's frames. */
async function measure() {
  const [server, browser] = await Promise.all([startServer({ demo: true }), startBrowser()]);
  try {
    const project = (await readApi<{ id: string }[]>(server, '/projects'))[0]!.id;
    const { cables } = await readApi<{ cables: { id: string; name: string }[] }>(
      server,
      `/projects/${project}`,
    );
    const cableId = cables.find(({ name }) => name === 'L')!.id;
    let samples = 0;
    for (let fiber = 1; fiber <= FIBERS; fiber++) {
      const shot = { cableId, fiber, direction: 'AB', wavelengthNm: 1550 };
      const response = await fetch(`${server.url}/api/projects/${project}/standin/otdr`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ ...shot, pulseNs: 100, averages: 8192 }),
      });
      const { name, bytes } = (await response.json()) as { name: string; bytes: string };
      const id = newId();
      await writeApi(server, 'POST', `/projects/${project}/traces`, {
        id,
        name,
        bytes,
        place: {
          id: newId(),
          traceId: id,
          by: 'M.',
          at: new Date().toISOString(),
          ...shot,
          why: null,
        },
      });
      // Two bytes a sample; headers are small.
      samples += Math.floor(Buffer.from(bytes, 'base64').length / 2);
    }
    const { page } = await newPerson(browser, server, 'M.', WIDE);
    // The runner names functions by a helper that the page does not have.
    await page.evaluateOnNewDocument('globalThis.__name = (given) => given');
    await page.goto(`${server.url}/p/${project}/ledger/circuit?cable=${cableId}&fiber=5`, {
      waitUntil: 'networkidle2',
    });
    await press(page, circuitPage('tubeFromA'));
    await sees(page, 'mean');
    await new Promise((resolve) => setTimeout(resolve, 2000));
    const canvas = (await page.waitForSelector('canvas'))!;
    const box = (await canvas.boundingBox())!;
    const y = box.y + box.height / 2;
    const counted = page.evaluate(
      (ms) =>
        new Promise<number>((resolve) => {
          const start = performance.now();
          let frames = 0;
          const tick = () => {
            frames++;
            const passed = performance.now() - start;
            if (passed > ms) resolve((1000 * frames) / passed);
            else requestAnimationFrame(tick);
          };
          requestAnimationFrame(tick);
        }),
      4000,
    );
    await page.mouse.move(box.x + 900, y);
    const until = Date.now() + 4000;
    for (let step = 0; Date.now() < until; step++) {
      await page.mouse.wheel({ deltaY: step % 20 < 10 ? -120 : 120 });
      await new Promise((resolve) => setTimeout(resolve, 16));
    }
    return { rate: await counted, samples };
  } finally {
    await browser.close();
    await removeServer(server);
  }
}

const { rate, samples } = await measure();
const ratio = FRAMES / rate;
console.log(
  `trace-frames  ${ratio.toFixed(2)}  limit 1.00  ${ratio <= 1 ? 'ok' : 'MISS'}  (${rate.toFixed(0)} frames a second while ${FIBERS} traces, ${samples} samples in all, are zoomed; ${FRAMES} are the limit)`,
);
process.exit(ratio <= 1 ? 0 : 3);
