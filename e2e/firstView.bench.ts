import { readdirSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import type { BrowserContext, CDPSession, Page } from 'puppeteer-core';
import { PHONE, type Server, readApi, removeServer, startBrowser, startServer } from './app.ts';
import { reportFigures } from './benchReport.ts';

/** A slow line and a slow phone: 1.6 Mbit/s, 150 ms there and back, a processor four times slower. */
const BITS = 1.6e6;
const LATENCY_MS = 150;
const SLOWER = 4;

/** Each time is the middle one of so many. */
const ROUNDS = 3;

const KB = 1000;
const WORKERS = fileURLToPath(new URL('../apps/web/src', import.meta.url));
const DIST = fileURLToPath(new URL('../apps/web/dist/_expo/static/js/web', import.meta.url));

interface Visit {
  /** Bytes that came over the wire until the Route was shown. */
  bytes: number;
  seconds: number;
}

/** Opens the Route as a person does, until its closures are shown. */
async function visit(page: Page, url: string): Promise<Visit> {
  const session: CDPSession = await page.createCDPSession();
  await session.send('Network.enable');
  await session.send('Network.emulateNetworkConditions', {
    offline: false,
    latency: LATENCY_MS,
    downloadThroughput: BITS / 8,
    uploadThroughput: BITS / 8,
  });
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
  let bytes = 0;
  session.on('Network.dataReceived', ({ encodedDataLength }) => (bytes += encodedDataLength));
  session.on('Network.responseReceived', ({ response }) => (bytes += response.encodedDataLength));
  // The page itself notes when its closures are there: to ask from outside would slow it down.
  await page.evaluateOnNewDocument((text) => {
    const timer = setInterval(() => {
      if (!document.getElementById('root')?.textContent?.includes(text)) return;
      clearInterval(timer);
      requestAnimationFrame(() =>
        setTimeout(() => Object.assign(window, { shown: performance.now() })),
      );
    }, 20);
  }, 'Toll cottage');
  const loaded = page.goto(url);
  await page.waitForFunction(() => 'shown' in window, { polling: 500 });
  const seconds =
    (await page.evaluate(() => (window as unknown as { shown: number }).shown)) / 1000;
  const shown = bytes;
  await loaded;
  await session.detach();
  return { bytes: shown, seconds };
}

const median = (visits: readonly Visit[]): number =>
  visits.map(({ seconds }) => seconds).sort((a, b) => a - b)[Math.floor(visits.length / 2)]!;

/** Bytes of each worker as the server sends them to a browser that takes brotli. */
async function workers(server: Server): Promise<{ name: string; bytes: number }[]> {
  const names = new Set(
    readdirSync(WORKERS, { recursive: true, encoding: 'utf8' }).flatMap(
      (path) => /([^/]+)\.worker\.ts$/.exec(path)?.[1] ?? [],
    ),
  );
  const files = readdirSync(DIST).filter(
    (file) => file.endsWith('.js') && names.has(file.replace(/-[0-9a-f]{32}\.js$/, '')),
  );
  return Promise.all(
    files.map(async (file) => {
      const answer = await fetch(`${server.url}/_expo/static/js/web/${file}`, {
        method: 'HEAD',
        headers: { 'accept-encoding': 'br' },
      });
      return { name: file, bytes: Number(answer.headers.get('content-length')) };
    }),
  );
}

async function measure() {
  const [server, browser] = await Promise.all([startServer({ demo: true }), startBrowser()]);
  try {
    const [project] = await readApi<{ id: string }[]>(server, '/projects');
    const url = `${server.url}/p/${project!.id}/route`;
    const open = async (context: BrowserContext) => {
      const page = await context.newPage();
      await page.setViewport(PHONE);
      page.setDefaultTimeout(60_000);
      const seen = await visit(page, url);
      await page.close();
      return seen;
    };
    const firsts: Visit[] = [];
    const seconds: Visit[] = [];
    for (let round = 0; round < ROUNDS; round++) {
      const context = await browser.createBrowserContext();
      firsts.push(await open(context));
      seconds.push(await open(context));
      await context.close();
    }
    const first = { bytes: firsts[0]!.bytes, seconds: median(firsts) };
    const second = { seconds: median(seconds) };
    const largest = (await workers(server)).sort((a, b) => b.bytes - a.bytes)[0]!;
    return [
      { name: 'first-view-bytes', value: first.bytes / KB, limit: 650, unit: 'kB on the wire' },
      { name: 'first-view-time', value: first.seconds, limit: 7, unit: 's, slow line and phone' },
      { name: 'second-view-time', value: second.seconds, limit: 2.5, unit: 's, the same again' },
      { name: 'worker-bytes', value: largest.bytes / KB, limit: 120, unit: `kB, ${largest.name}` },
    ];
  } finally {
    await browser.close();
    await removeServer(server);
  }
}

reportFigures(await measure(), 2);
