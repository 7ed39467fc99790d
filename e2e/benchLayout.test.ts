import { jest } from '@jest/globals';
import type { Page } from 'puppeteer-core';
import type { Splice } from '@cordel/core';
import { demoOnAPhone, readApi, sees, visit } from './app.ts';

jest.setTimeout(300_000);

const SIZES = [
  [360, 640],
  [390, 844],
  [768, 1024],
  [1280, 800],
] as const;
const TEXT = [1, 1.3] as const;

const demo = demoOnAPhone('B. Layout');
const page = (): Page => demo.page();

/** What has to be in sight and free at the first open, by role and name. */
const KEYS = [...'0123456789', 'Point', 'Delete'];

interface Scene {
  name: string;
  closure: string;
  mode?: 'redo' | 'measure';
  /** Takes the first end of the closure in hand. */
  isEnd?: boolean;
}

const SCENES: Scene[] = [
  { name: 'splice', closure: 'Dairy lane' },
  { name: 'redo', closure: 'Sluice bridge', mode: 'redo' },
  { name: 'measure', closure: 'Dairy lane', mode: 'measure' },
  { name: 'end', closure: 'Clinic', isEnd: true },
  { name: 'ribbon', closure: 'Quarry gate' },
];

/** Enlarges all text, as a person's setting of the system does. */
const scaleText = (factor: number) =>
  page().evaluate((by) => {
    for (const node of document.querySelectorAll<HTMLElement>('#root *')) {
      const own = [...node.childNodes].some((child) => child.nodeType === Node.TEXT_NODE);
      if (!own) continue;
      node.style.fontSize = '';
      node.style.lineHeight = '';
      if (by === 1) continue;
      const { fontSize, lineHeight } = getComputedStyle(node);
      node.style.fontSize = `${Number.parseFloat(fontSize) * by}px`;
      node.style.lineHeight = `${Number.parseFloat(lineHeight) * by}px`;
    }
  }, factor);

/** Names of what is not whole in sight, or has its middle under something else. */
const hidden = (names: readonly string[]) =>
  page().evaluate((wanted) => {
    const nameOf = (node: Element) =>
      node.getAttribute('data-testid') ??
      node.getAttribute('aria-label') ??
      (node as HTMLElement).innerText?.trim() ??
      '';
    const all = [...document.querySelectorAll('[role],button')];
    return wanted.flatMap((name) => {
      const node = all.find(
        (one) =>
          nameOf(one) === name || (name.endsWith('…') && nameOf(one).startsWith(name.slice(0, -1))),
      );
      if (!node) return [`${name}: not there`];
      const { left, top, right, bottom } = node.getBoundingClientRect();
      if (left < 0 || top < 0 || right > innerWidth + 0.5 || bottom > innerHeight + 0.5)
        return [`${name}: ${Math.round(top)} to ${Math.round(bottom)} of ${innerHeight}`];
      const middle = document.elementFromPoint((left + right) / 2, (top + bottom) / 2);
      return middle && (node.contains(middle) || middle.contains(node)) ? [] : [`${name}: covered`];
    });
  }, names);

const openScene = async ({ closure, mode, isEnd }: Scene) => {
  const closureId = demo.idOf(closure);
  const { splices } = await readApi<{ splices: Splice[] }>(
    demo.server(),
    `/closures/${closureId}/work`,
  );
  const end = isEnd ? splices.find((splice) => splice.end !== null) : undefined;
  const query = end ? `?splice=${end.id}` : mode ? `?mode=${mode}` : '';
  await visit(page(), `${demo.server().url}/p/${demo.project()}/bench/${closureId}${query}`);
  await sees(page(), closure);
  if (end) await page().waitForSelector('::-p-aria(Light seen)');
};

/** A splicer that plays with a worn setup, so that alerts stand there, and a timer that runs. */
const withSplicer = (closure: string) =>
  page().evaluate(
    (closureId, projectId, name) => {
      const setup = { splicerId: 'single-splicer', standin: true };
      localStorage.setItem(`cordel.setup.${closureId}`, JSON.stringify(setup));
      const timer = { id: 't', projectId, closureId, closure: name, kind: 'heater', label: 'A 1' };
      localStorage.setItem(
        'cordel.timers',
        JSON.stringify([{ ...timer, startedAt: Date.now(), seconds: 3000, cool: 0 }]),
      );
      // By then the caution of the session was read.
      sessionStorage.setItem('cordel.caution', '1');
    },
    demo.idOf(closure),
    demo.project(),
    closure,
  );

const wantedIn = ({ name, mode }: Scene): string[] => [
  ...(name === 'measure' ? ['A to B at…'] : ['step']),
  'Fiber pair',
  'recommendation',
  'Loss typed',
  ...KEYS,
  ...(mode === 'measure' ? ['Plus or minus'] : ['Redo']),
  name === 'ribbon' ? 'Next fiber' : 'Save, next',
  'More',
  ...(name === 'end' ? ['Light seen', 'No light', 'Face pass', 'Face fail'] : []),
];

describe.each(SCENES)('the Bench fits one screen: $name', (scene) => {
  it.each([
    ['at the first open', false],
    ['with a splicer, a timer and an alert', true],
  ])('%s', async (_, isBusy) => {
    await page().setViewport({ width: 390, height: 844 });
    await openScene(scene);
    await page().evaluate(() => {
      localStorage.removeItem('cordel.timers');
      sessionStorage.clear();
    });
    if (isBusy) await withSplicer(scene.closure);
    else
      await page().evaluate(
        (id) => localStorage.removeItem(`cordel.setup.${id}`),
        demo.idOf(scene.closure),
      );
    await openScene(scene);
    const missing: string[] = [];
    for (const [width, height] of SIZES)
      for (const text of TEXT) {
        await page().setViewport({ width, height });
        await new Promise((resolve) => setTimeout(resolve, 80));
        await scaleText(text);
        const found = await hidden(wantedIn(scene));
        missing.push(...found.map((one) => `${width}x${height} at ${text}: ${one}`));
        await scaleText(1);
      }
    expect(missing).toEqual([]);
  });
});

test('Save without a loss says what is missing, and nothing is recorded', async () => {
  await page().setViewport({ width: 390, height: 844 });
  await openScene(SCENES[0]!);
  await (await page().waitForSelector('::-p-aria(Save, next)'))!.click();
  await sees(page(), 'Missing. Enter the loss first.');
});
