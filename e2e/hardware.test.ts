import { benchShared } from '@cordel/text/pages/bench/shared';
import { hardwarePage } from '@cordel/text/pages/kit/HardwarePage';
import { kitPage } from '@cordel/text/pages/kit/KitPage';
import { portsEditor } from '@cordel/text/pages/kit/PortsEditor';
import { procedureEditor } from '@cordel/text/pages/kit/ProcedureEditor';
import { kitShared } from '@cordel/text/pages/kit/shared';
import { stepForm } from '@cordel/text/pages/kit/StepForm';
import { openPage } from '@cordel/text/pages/prep/OpenPage';
import { stepPanel } from '@cordel/text/pages/ui/StepPanel';
import { jest } from '@jest/globals';
import { demoOnAPhone, fill, press, pressText, sees, seesNot, storyteller, visit } from './app.ts';

jest.setTimeout(90_000);

const demo = demoOnAPhone('R. Aldous');
const { page } = demo;

/** Names of the steps as they lie. */
const stepsShown = () =>
  page().$$eval('[aria-label^="Move: "]', (handles) =>
    handles.map((handle) => handle.getAttribute('aria-label')!.slice('Move: '.length)),
  );

/** Drags a step by its handle with the thumb, up over so many others. */
async function dragUp(name: string, over: number): Promise<void> {
  const handle = (await page().$(`[aria-label="Move: ${name}"]`))!;
  await handle.evaluate((node) => node.scrollIntoView({ block: 'center' }));
  const { x, y, width, height } = (await handle.boundingBox())!;
  const row = await handle.evaluate((node) => node.parentElement!.getBoundingClientRect().height);
  const [middleX, middleY] = [x + width / 2, y + height / 2];
  await page().mouse.move(middleX, middleY);
  await page().mouse.down();
  for (let part = 1; part <= 10; part++)
    await page().mouse.move(middleX, middleY - ((row * over + 8) * part) / 10);
  await page().mouse.up();
}

describe('hardware of one’s own, from nothing, on a phone', () => {
  const step = storyteller();

  step('a form is chosen, and its figures and seals are typed in rows', async () => {
    await visit(page(), demo.server().url);
    await press(page(), kitPage('kit'));
    await pressText(page(), kitShared('hardware'));
    await press(page(), hardwarePage('newProfile'));
    await press(page(), 'Gland joint');
    await fill(page(), hardwarePage('nameOfTheHardware'), 'Yard joint');
    await fill(page(), kitShared('whereItsFiguresComeFrom'), 'Sheet in the van');
    await fill(page(), portsEditor('nameOfPort', { number: 1 }), 'Gland A');
    await press(page(), 'Add: Port');
    await fill(page(), portsEditor('nameOfPort', { number: 2 }), 'Gland B');
    await fill(page(), hardwarePage('torqueOfTheBolts'), '25');
    await press(page(), hardwarePage('saveTheHardware'));
    await sees(page(), /Not saved\. Torque: Say the unit of the torque, such as 2\.8 N m/);
    await fill(page(), hardwarePage('torqueOfTheBolts'), '2.8 N m');
  });

  step('its procedure is copied, and a step of one’s own is moved to its place', async () => {
    await press(page(), hardwarePage('makeItYourOwnProcedure'));
    await press(page(), procedureEditor('addAStepOfYourOwn'));
    await fill(page(), stepForm('whatIsToBeDone'), 'Tag the cable; leave {stength} of steel.');
    await press(page(), hardwarePage('saveTheHardware'));
    await sees(
      page(),
      /Opening, step 21: No profile has a figure called “stength”: use one of strength/,
    );
    await fill(page(), stepForm('whatIsToBeDone'), 'Tag the cable; leave {strength} of steel.');
    await press(page(), stepForm('whenCautionTimerPhoto'));
    await press(page(), 'Add: Value');
    await fill(page(), stepForm('whatIsAskedNumber', { number: 1 }), 'Tag number');
    const before = await stepsShown();
    expect(before.at(-1)).toMatch(/^Tag the cable/);
    await press(page(), '21. Tag the cable; leave {strength} of steel.');
    await dragUp(before.at(-1)!, 2);
    const after = await stepsShown();
    expect(after.indexOf(before.at(-1)!)).toBe(before.length - 3);
    expect([...after].sort()).toEqual([...before].sort());
  });

  step('a procedure without its ring cut is refused, at its place', async () => {
    await press(page(), '8. Ring cut');
    await press(page(), stepForm('takeTheStepOut'));
    await press(page(), hardwarePage('saveTheHardware'));
    await sees(page(), /Not saved\. A procedure has a ring cut: put that step back/);
    await page().select('[aria-label="Add a step from the list"]', 'ring');
    await press(page(), hardwarePage('saveTheHardware'));
    await sees(page(), /Yard joint 2 ports/);
  });

  step('it is worked by: the own step with its figure, and what it asks', async () => {
    await demo.goTo('Clinic corner', 'open');
    await press(page(), openPage('otherHardware'));
    await press(page(), 'Yard joint');
    // 90 mm of strength member: the figure of a gland joint.
    await sees(page(), /Tag the cable; leave 90 mm of steel\./);
    await pressText(page(), 'Tag the cable; leave 90 mm of steel.');
    await sees(page(), stepPanel('stillToWriteDown', { open: 'Tag number' }));
    await fill(page(), 'Tag number', 'T-17');
    await press(page(), benchShared('done'));
    await sees(page(), /R\. Aldous, \d{4}-\d\d-\d\d .*Tag number: T-17/);
    await seesNot(page(), 'Still to write down');
  });

  step('without trouble on the page', async () => {
    expect(demo.person().trouble).toEqual([]);
  });
});
