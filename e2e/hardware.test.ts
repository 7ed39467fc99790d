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
    await press(page(), 'Kit');
    await pressText(page(), 'Hardware');
    await press(page(), 'New profile');
    await press(page(), 'Gland joint');
    await fill(page(), 'Name of the hardware', 'Yard joint');
    await fill(page(), 'Where its figures come from', 'Sheet in the van');
    await fill(page(), 'Name of port 1', 'Gland A');
    await press(page(), 'Add: Port');
    await fill(page(), 'Name of port 2', 'Gland B');
    await fill(page(), 'Torque of the bolts', '25');
    await press(page(), 'Save the hardware');
    await sees(page(), /Not saved\. Torque: Say the unit of the torque, such as 2\.8 N m/);
    await fill(page(), 'Torque of the bolts', '2.8 N m');
  });

  step('its procedure is copied, and a step of one’s own is moved to its place', async () => {
    await press(page(), 'Copy it, to make it your own');
    await press(page(), 'Add a step of your own');
    await fill(page(), 'What is to be done', 'Tag the cable; leave {stength} of steel.');
    await press(page(), 'Save the hardware');
    await sees(
      page(),
      /Opening, step 21: No profile has a figure called “stength”: use one of strength/,
    );
    await fill(page(), 'What is to be done', 'Tag the cable; leave {strength} of steel.');
    await press(page(), 'When, caution, timer, photo, values');
    await press(page(), 'Add: Value');
    await fill(page(), 'What is asked, value 1', 'Tag number');
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
    await press(page(), 'Take the step out');
    await press(page(), 'Save the hardware');
    await sees(page(), /Not saved\. A procedure has a ring cut: put that step back/);
    await page().select('[aria-label="Add a step from the list"]', 'ring');
    await press(page(), 'Save the hardware');
    await sees(page(), /Yard joint 2 ports/);
  });

  step('it is worked by: the own step with its figure, and what it asks', async () => {
    await demo.goTo('Clinic corner', 'open');
    await press(page(), 'Other hardware');
    await press(page(), 'Yard joint');
    // 90 mm of strength member: the figure of a gland joint.
    await sees(page(), /Tag the cable; leave 90 mm of steel\./);
    await pressText(page(), 'Tag the cable; leave 90 mm of steel.');
    await sees(page(), 'Still to write down: Tag number.');
    await fill(page(), 'Tag number', 'T-17');
    await press(page(), 'Done');
    await sees(page(), /R\. Aldous, \d{4}-\d\d-\d\d .*Tag number: T-17/);
    await seesNot(page(), 'Still to write down');
  });

  step('without trouble on the page', async () => {
    expect(demo.person().trouble).toEqual([]);
  });
});
