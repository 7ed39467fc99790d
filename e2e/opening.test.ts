import { benchShared } from '@cordel/text/pages/bench/shared';
import { testPart } from '@cordel/text/pages/closing/TestPart';
import { entryPart } from '@cordel/text/pages/prep/EntryPart';
import { planConflicts } from '@cordel/text/pages/prep/PlanConflicts';
import { jest } from '@jest/globals';
import { demoOnAPhone, fill, press, readApi, sees, storyteller } from './app.ts';

jest.setTimeout(120_000);

const demo = demoOnAPhone('R. Aldous');
const { page } = demo;
const openAt = (name: string) => demo.goTo(name, 'open');

/** What the next step of the first cable is, as it is read; empty where all are done. */
const nextStep = () =>
  page().$$eval('[role=checkbox][aria-checked=false]', (boxes) => {
    const next = boxes.find((box) => box.textContent?.startsWith('Next:'));
    return next?.textContent ?? '';
  });

/** Taps the step that is next. */
const tapNext = () =>
  page().$$eval('[role=checkbox][aria-checked=false]', (boxes) => {
    const next = boxes.find((box) => box.textContent?.startsWith('Next:'));
    (next as HTMLElement).scrollIntoView({ block: 'center' });
    (next as HTMLElement).click();
  });

interface Ticks {
  assemblies: {
    closureId: string;
    entries: { done: { step: string; by: string; answers: Record<string, string> }[] }[];
  }[];
}
const ticksAt = async (name: string) => {
  const { assemblies } = await readApi<Ticks>(demo.server(), `/projects/${demo.project()}`);
  return assemblies.find(({ closureId }) => closureId === demo.idOf(name))!.entries[0]!.done;
};

/** Goes through the steps of the first cable, one tap a step; gives what was read, in order. */
async function goThrough(answer: (step: string) => Promise<void>): Promise<string[]> {
  const read: string[] = [];
  for (let step = await nextStep(); step !== ''; step = await nextStep()) {
    // The first step of the next cable comes once those of this one are done.
    if (read.length > 0 && step.startsWith('Next: 1.')) break;
    read.push(step.replace(/^Next: \d+\. /, ''));
    await tapNext();
    await answer(step);
    await page().waitForFunction(
      (before) =>
        [...document.querySelectorAll('[role=checkbox][aria-checked=false]')].find((box) =>
          box.textContent?.startsWith('Next:'),
        )?.textContent !== before,
      {},
      step,
    );
  }
  return read;
}

describe('an express closure, opened by both its legs', () => {
  const step = storyteller();

  step(
    'each leg has its port, seal and steps; the plan says which tube is cut, and where',
    async () => {
      await openAt('School');
      await sees(page(), /Feed side: Trunk 1: Split seal 1.* Exit side: Trunk 2: Split seal 1/);
      await press(page(), entryPart('changeHowEnters', { name: 'F' }));
      // Only how is chosen: that tube 1 is opened follows from the plan.
      await sees(page(), /Tubes that the plan splices; press to choose how.* 1 blue cut/);
      await press(page(), entryPart('closeWhatIsKnownOf', { name: 'F' }));
    },
  );

  step('its steps are gone through: held on both sides, dark, and only then cut', async () => {
    let taps = 0;
    const read = await goThrough(async (words) => {
      taps++;
      if (!words.includes('prove it dark')) return;
      await fill(page(), 'What the detector showed', 'dark, three tries');
      await press(page(), 'Number and color read twice');
      await fill(page(), 'Released by (owner)', 'K. Lind');
      await press(page(), benchShared('done'));
      taps += 2;
    });
    const at = (pattern: RegExp) => read.findIndex((words) => pattern.test(words));
    const order = [
      /Ring-cut at 0 and at 1778 mm/,
      /Feed side: Strength member under its clamp/,
      /Exit side: Strength member under its clamp/,
      /Tube 1 blue: prove it dark here/,
      /Tube 1 blue: cut it at the second ring cut, on the exit side/,
      /Feed side: Fit Split seal 1 for Trunk 1/,
      /Exit side: Fit Split seal 1 for Trunk 2/,
    ];
    const places = order.map(at);
    expect(places.every((place) => place >= 0)).toBe(true);
    expect([...places].sort((a, b) => a - b)).toEqual(places);
    // A tap a step, and two more for what is written down of the tube.
    expect(taps).toBe(read.length + 2);
    const dark = (await ticksAt('School')).find((tick) => tick.step === 'dark 1');
    expect(dark).toMatchObject({
      by: 'R. Aldous',
      answers: { detector: 'dark, three tries', numberTwice: 'yes', releasedBy: 'K. Lind' },
    });
  });

  step('a cable that is said to end, and passes by its plan, is told and set right', async () => {
    await press(page(), entryPart('changeHowEnters', { name: 'F' }));
    await press(page(), entryPart('cutEnd'));
    await sees(page(), /The plan says otherwise\. F 13-24 pass through by the plan/);
    await press(page(), planConflicts('itEntersAsExpress'));
    await sees(page(), /Do not cut\. 1 tube passes through/);
  });
});

describe('a rack kit', () => {
  const step = storyteller();

  step('its lengths add up: sleeves and what is bare past them', async () => {
    await openAt('Quarry gate');
    await sees(
      page(),
      /Sheath off: 950 mm of sleeves \+ 1300 mm of working length past them = 2250 mm/,
    );
    await sees(page(), /12 x 950 mm: protective sleeves/);
    await sees(page(), /Conduit: 720 mm, shorter than the 950 mm of sleeves/);
    await sees(page(), /The sheath ends 32 mm below the lower edge of the clamp/);
    await sees(page(), /Cut 12 protective sleeves of 950 mm/);
    await sees(page(), /Cut to the working length of 1300 mm/);
  });

  step('its list is that of a rack: no bolts, no gasket, no pressure test', async () => {
    await demo.goTo('Quarry gate', 'close?part=list');
    await sees(page(), 'Sleeve holders snapped in, strength rods upright');
    await sees(page(), 'Housing on, conduit held at both ends');
    const text = await page().evaluate(() => document.body.innerText);
    expect(text).not.toMatch(/Bolt 1|Gasket|hose clamp/);
    await demo.goTo('Quarry gate', 'close?part=test');
    await sees(page(), testPart('noPressureTest'));
  });

  step('without trouble on the page', async () => {
    expect(demo.person().trouble).toEqual([]);
  });
});
