import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { Page } from 'puppeteer-core';

const APP = fileURLToPath(new URL('../apps/web/app', import.meta.url));

/** Every route of the app as its folder has it, such as `/p/[projectId]/bench/[closureId]/arc`. */
export function routesOf(folder = APP, path = ''): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    if (entry.isDirectory()) return routesOf(join(folder, entry.name), `${path}/${entry.name}`);
    const name = entry.name.replace(/\.tsx$/, '');
    if (name.startsWith('_') || name.startsWith('+')) return [];
    return [name === 'index' ? path || '/' : `${path}/${name}`];
  });
}

/** A route with its parameters filled. */
export const pathOf = (route: string, values: Readonly<Record<string, string>>): string =>
  route.replace(/\[(\w+)\]/g, (_, name: string) => {
    const value = values[name];
    if (value === undefined) throw new Error(`The walker does not know ${name} of ${route}.`);
    return value;
  });

/** The least width and height of what a thumb presses, px. */
const LEAST_TOUCH = 44;

/** What is wrong with a page, each fault in a line; what passes by itself, as a label that is being laid out, is no fault. */
export async function faultsOf(page: Page): Promise<string[]> {
  let faults = await faultsNow(page);
  for (let again = 0; again < 12 && faults.length > 0; again++) {
    await pause(300);
    const now = new Set(await faultsNow(page));
    faults = faults.filter((fault) => now.has(fault));
  }
  return faults;
}

/** What is wrong with a page as it stands. */
const faultsNow = (page: Page): Promise<string[]> =>
  page.evaluate((least) => {
    const faults: string[] = [];
    const nameOf = (node: Element): string =>
      (node.getAttribute('aria-label') ?? (node as HTMLElement).innerText ?? '')
        .replace(/\s+/g, ' ')
        .trim()
        .slice(0, 60) || node.tagName.toLowerCase();
    const dialogs = [...document.querySelectorAll('[role=dialog]')];
    const scope: Element = dialogs.at(-1) ?? document.getElementById('root')!;
    const main = document.querySelector('[role=main]')?.textContent ?? '';
    if (main.trim().length < 15) faults.push('blank');
    const isShown = (node: Element): boolean => {
      const { width, height } = node.getBoundingClientRect();
      return width > 0 && height > 0 && getComputedStyle(node).visibility !== 'hidden';
    };
    const controls = [
      ...scope.querySelectorAll<HTMLElement>(
        '[role=button],[role=checkbox],[role=radio],[role=tab],[role=link],[role=switch],button,a[href],input,textarea,select',
      ),
    ].filter((node) => isShown(node) && !node.closest('[aria-hidden=true]'));
    for (const node of controls) {
      const { width, height } = node.getBoundingClientRect();
      const isLine = /^(INPUT|TEXTAREA)$/.test(node.tagName);
      if (!isLine && (width < least - 0.5 || height < least - 0.5))
        faults.push(`small: ${nameOf(node)}, ${Math.round(width)} x ${Math.round(height)}`);
      node.scrollIntoView({ block: 'center', inline: 'center' });
      const box = node.getBoundingClientRect();
      const [x, y] = [(box.left + box.right) / 2, (box.top + box.bottom) / 2];
      if (box.left < -1 || box.right > window.innerWidth + 1)
        faults.push(`off the screen: ${nameOf(node)}`);
      const middle = document.elementFromPoint(x, y);
      if (!middle || !(node.contains(middle) || middle.contains(node)))
        faults.push(`covered: ${nameOf(node)} by ${middle ? nameOf(middle) : 'nothing'}`);
    }
    for (const node of scope.querySelectorAll<HTMLElement>('*')) {
      const own = [...node.childNodes].some(
        (child) => child.nodeType === Node.TEXT_NODE && child.textContent!.trim() !== '',
      );
      if (!own || !isShown(node) || node.closest('svg,[aria-hidden=true]')) continue;
      const { overflowX } = getComputedStyle(node);
      if (overflowX !== 'hidden' && overflowX !== 'clip') continue;
      const isCut =
        node.scrollWidth > node.clientWidth + 1 || node.scrollHeight > node.clientHeight + 3;
      // A line that opens in full over the page may be short on it.
      if (isCut && !node.closest('[aria-haspopup=dialog]')) faults.push(`cut off: ${nameOf(node)}`);
    }
    const { scrollWidth, clientWidth } = document.documentElement;
    if (scrollWidth > clientWidth + 1)
      faults.push(`wider than the screen by ${scrollWidth - clientWidth}`);
    return [...new Set(faults)];
  }, LEAST_TOUCH);

/** A control that can be pressed: its place among all of them, and its name. */
export interface Control {
  index: number;
  name: string;
  /** What it looks like: rows of a list are of one look. */
  look: string;
  /** What it does as far as its name tells: numbers left out. */
  deed: string;
}

const CONTROLS =
  '[role=button]:not([aria-disabled=true]),[role=checkbox]:not([aria-disabled=true]),[role=radio]:not([aria-checked=true]):not([aria-disabled=true]),[role=tab]:not([aria-selected=true])';

/** Controls of a page, or of the sheet that is open, that do something when they are pressed. */
export const controlsOf = (page: Page): Promise<Control[]> =>
  page.evaluate((selector) => {
    const scope = [...document.querySelectorAll('[role=dialog]')].at(-1) ?? document;
    return [...scope.querySelectorAll<HTMLElement>(selector)].flatMap((node, index) => {
      const { width } = node.getBoundingClientRect();
      if (width === 0 || node.closest('[aria-hidden=true]') || node.hasAttribute('disabled'))
        return [];
      // What is where one is already changes nothing.
      if (node.getAttribute('aria-current')) return [];
      const name = (node.getAttribute('aria-label') ?? node.innerText)
        .replace(/\s+/g, ' ')
        .trim()
        .slice(0, 60);
      const icon = node.querySelector('path')?.getAttribute('d')?.slice(0, 24) ?? '';
      const role = node.getAttribute('role');
      const look = `${role} ${node.className} ${icon}`;
      return [{ index, name, look, deed: `${role} ${icon} ${name.replace(/[\d.,:]+/g, '#')}` }];
    });
  }, CONTROLS);

/** All that a press may change on a page. */
const stateOf = (page: Page): Promise<string> =>
  page.evaluate(() => {
    const states = [...document.querySelectorAll('[role],input,textarea')].map((node) =>
      [
        ...['aria-checked', 'aria-expanded', 'aria-selected', 'aria-pressed', 'aria-disabled'].map(
          (name) => node.getAttribute(name) ?? '',
        ),
        (node as HTMLInputElement).value ?? '',
      ].join(),
    );
    const walked = (window as never as { walked?: string[] }).walked ?? [];
    return [
      location.href,
      document.body.innerText,
      states.join('|'),
      JSON.stringify(localStorage),
      document.activeElement?.getAttribute('aria-label') ?? '',
      walked.join(),
      [...document.querySelectorAll('svg path, svg rect')].length,
    ].join('\n');
  });

/** Notes what a press does that the page does not show: printing, saving a file, choosing one, sharing, leaving full screen. */
export const watchPresses = (page: Page): Promise<unknown> =>
  page.evaluateOnNewDocument(() => {
    const walked: string[] = [];
    (window as never as { walked: string[] }).walked = walked;
    window.print = () => void walked.push('print');
    HTMLAnchorElement.prototype.click = function () {
      walked.push(`file ${this.download}`);
    };
    HTMLInputElement.prototype.click = function () {
      walked.push('chooser');
    };
    HTMLInputElement.prototype.showPicker = function () {
      walked.push('chooser');
    };
    const { fetch } = window;
    window.fetch = (...given) => {
      walked.push('request');
      return fetch(...given);
    };
  });

/**
 * Waits until a page stands: it shows something, waits for nothing, and is the same for a while but for clocks. It is
 * watched from within, for each question from outside takes as long as several looks.
 */
export async function settle(page: Page, mostMs = 10_000): Promise<void> {
  const end = Date.now() + mostMs;
  let stands = false;
  while (!stands && Date.now() < end)
    // A page that is left takes the question with it: the next one is asked.
    stands = await page.evaluate(standsFor, end).catch(() => pause(50));
}

const pause = (ms: number): Promise<false> =>
  new Promise((resolve) => setTimeout(() => resolve(false), ms));

/** Runs in a page: whether it stands by a moment, milliseconds since 1970. */
async function standsFor(end: number): Promise<boolean> {
  let [before, same] = ['', 0];
  while (Date.now() < end && same < 4) {
    await new Promise((resolve) => setTimeout(resolve, 35));
    const main = document.querySelector<HTMLElement>('[role=main]')?.innerText ?? '';
    const isEmpty = main.trim().length < 15 || main.includes('Reading …');
    const now = isEmpty ? '' : `${location.href} ${document.body.innerText.replace(/\d/g, '')}`;
    same = now !== '' && now === before ? same + 1 : 0;
    before = now;
  }
  return same >= 4;
}

/** Whether a control is where it was, on the page or on the sheet that is open. */
export const isThere = (page: Page, { index, name }: Control): Promise<boolean> =>
  page.evaluate(
    (selector, at, own) => {
      const scope = [...document.querySelectorAll('[role=dialog]')].at(-1) ?? document;
      const node = scope.querySelectorAll<HTMLElement>(selector)[at];
      const named = node?.getAttribute('aria-label') ?? node?.innerText ?? '';
      return node !== undefined && named.replace(/\s+/g, ' ').trim().slice(0, 60) === own;
    },
    CONTROLS,
    index,
    name,
  );

/** Presses a control that is there, and says what is wrong with what comes of it. */
export async function pressAndLook(page: Page, { index, name }: Control): Promise<string[]> {
  const before = await stateOf(page);
  await page.evaluate(
    (selector, at) => {
      const scope = [...document.querySelectorAll('[role=dialog]')].at(-1) ?? document;
      const node = scope.querySelectorAll<HTMLElement>(selector)[at]!;
      node.scrollIntoView({ block: 'center' });
      node.focus();
      node.dispatchEvent(new MouseEvent('click', { bubbles: true, cancelable: true }));
    },
    CONTROLS,
    index,
  );
  await settle(page);
  const faults = await faultsOf(page);
  // What comes of it may take a while longer than the page stood still.
  for (let looks = 0; (await stateOf(page)) === before; looks++) {
    if (looks === 10) return [...faults, `“${name}” changes nothing and says nothing`];
    await pause(200);
  }
  return faults;
}

/** Chooses what a walk presses, so that neither the rows of a list nor what stands on every page is pressed through. */
export class Choice {
  private readonly pressed = new Map<string, number>();
  private readonly ofALook: number;
  private readonly ofADeed: number;

  /** At most `ofALook` controls of each look on a page; of each deed as many in the whole walk. */
  constructor(ofALook: number, ofADeed: number) {
    this.ofALook = ofALook;
    this.ofADeed = ofADeed;
  }

  take(controls: readonly Control[]): Control[] {
    const looks = new Map<string, number>();
    return controls.filter(({ look, deed }) => {
      const [alike, done] = [looks.get(look) ?? 0, this.pressed.get(deed) ?? 0];
      if (alike >= this.ofALook || done >= this.ofADeed) return false;
      looks.set(look, alike + 1);
      this.pressed.set(deed, done + 1);
      return true;
    });
  }
}

/** Controls that a press brought with it: of the sheet it opened, or those that were not there. */
export async function controlsBrought(page: Page, before: readonly Control[]): Promise<Control[]> {
  const known = new Set(before.map(({ name }) => name));
  const now = await controlsOf(page);
  return (await sheetIsOpen(page)) ? now : now.filter(({ name }) => !known.has(name));
}

/** Whether a sheet lies over the page. */
export const sheetIsOpen = (page: Page): Promise<boolean> =>
  page.evaluate(() => document.querySelector('[role=dialog]') !== null);

/** Closes a sheet that is open by Esc, and says what is wrong with that. */
export async function closeByEsc(page: Page): Promise<string[]> {
  const open = () => page.evaluate(() => document.querySelectorAll('[role=dialog]').length);
  const before = await open();
  if (before === 0) return [];
  await page.keyboard.press('Escape');
  await settle(page);
  const faults = (await open()) < before ? [] : ['a sheet that Esc does not close'];
  const isFocused = await page.evaluate(() => document.activeElement !== document.body);
  return isFocused ? faults : [...faults, 'a sheet that does not give the focus back'];
}
