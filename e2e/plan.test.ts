import { common } from '@cordel/text/pages/common';
import { hardwarePage } from '@cordel/text/pages/kit/HardwarePage';
import { kitPage } from '@cordel/text/pages/kit/KitPage';
import { packPage } from '@cordel/text/pages/kit/PackPage';
import { portsEditor } from '@cordel/text/pages/kit/PortsEditor';
import { kitShared } from '@cordel/text/pages/kit/shared';
import { changePart } from '@cordel/text/pages/plan/ChangePart';
import { circuitsPage } from '@cordel/text/pages/plan/CircuitsPage';
import { lineBuilder } from '@cordel/text/pages/plan/LineBuilder';
import { planShared } from '@cordel/text/pages/plan/shared';
import { trayPart } from '@cordel/text/pages/plan/TrayPart';
import { entryPart } from '@cordel/text/pages/prep/EntryPart';
import { closureSheet } from '@cordel/text/pages/route/ClosureSheet';
import { importPage } from '@cordel/text/pages/splices/ImportPage';
import { uiShared } from '@cordel/text/pages/ui/shared';
import { jest } from '@jest/globals';
import type { Browser, Page } from 'puppeteer-core';
import {
  type Person,
  type Server,
  fill,
  newPerson,
  press,
  pressText,
  readApi,
  removeServer,
  revisit,
  sees,
  seesNot,
  startBrowser,
  startServer,
  storyteller,
  visit,
  writeLines,
} from './app.ts';

jest.setTimeout(90_000);

let server: Server;
let browser: Browser;
let person: Person;
const page = () => person.page;

beforeAll(async () => {
  server = await startServer({ demo: true });
  browser = await startBrowser();
  person = await newPerson(browser, server, 'R. Aldous');
});

afterAll(async () => {
  await browser?.close();
  if (server) await removeServer(server);
});

const underlined = (on: Page) =>
  on.$$eval('.cm-lintRange-error', (marks) => marks.map((mark) => mark.textContent));

describe('planning a closure on a phone', () => {
  const step = storyteller();
  step('a closure shows its splices in lines', async () => {
    await visit(page(), server.url);
    await pressText(page(), 'Dairy lane');
    await press(page(), closureSheet('splicePlanAndTrays'));
    await sees(page(), 'splice C tubes 1-11 to D 1-132');
    await sees(page(), 'reserve D 133-144');
    await sees(page(), changePart('splicesPlannedOfThemHereAlready', { splices: 144, kept: 144 }));
  });

  step('an error is underlined at its place, and the rest stays in use', async () => {
    await writeLines(page(), 'splice C tubes 1-11 to D 1-132\nsplice C tube 13 to E 1-12');
    await sees(page(), /Line 2\. C has tubes 1 to 12 here: “13” is outside/);
    expect(await underlined(page())).toEqual(['13']);
    await sees(page(), changePart('splicesPlannedOfThemHereAlready', { splices: 132, kept: 132 }));
    await sees(page(), changePart('linesToFixFirst', { lines: 1 }));
  });

  step('what is written stays after a reload', async () => {
    await revisit(page());
    await sees(page(), /Line 2\. C has tubes 1 to 12 here/);
  });

  step('a plan that would drop made splices is refused in words', async () => {
    await writeLines(page(), 'splice C tubes 2-11 to D 13-132');
    await sees(page(), /In the way\. C 1 to D 1 is spliced or ruled on/);
    await press(page(), changePart('backToThePlanAsIt'));
    await sees(page(), 'splice C tube 12 to E 1-12');
  });

  step('what is left over is reserved by one key, and the plan applied', async () => {
    await writeLines(page(), 'splice C tubes 1-11 to D 1-132\nsplice C 133-138 to E 1-6');
    await press(page(), 'Reserve D 133-144');
    await sees(page(), 'reserve D 133-144');
    // Six planned splices of E are not made yet: they may be dropped.
    await sees(page(), /Drops 6\. C 139 to E 7, tray 12 slot 7/);
    await press(page(), changePart('applyChanges', { changes: 6 }));
    await sees(page(), /Applied\. 0 added, 0 moved, 6 dropped/);
    const [project] = await readApi<{ id: string }[]>(server, '/projects');
    const { closures } = await readApi<{ closures: { name: string; total: number }[] }>(
      server,
      `/projects/${project!.id}/ledger/closures`,
    );
    expect(closures.find((closure) => closure.name === 'Dairy lane')!.total).toBe(138);
  });

  step('a tube is moved to another tray by thumb', async () => {
    await pressText(page(), 'C tube 12, 133-138 to E 1-6');
    await press(page(), 'Tray 12');
    await sees(page(), /slot 1 to 6 · pinned/);
  });

  step('where sleeves have no room, a tray is added by one key', async () => {
    // Tray 12 has six places left; twelve splices come.
    await writeLines(
      page(),
      [
        'splice C tubes 1-11 to D 1-132',
        'splice C 133-144 to E 1-12',
        'splice D 133-138 to F 1-6',
        'splice D 139-144 to F 7-12',
      ].join('\n'),
    );
    await sees(page(), /No room\. \d+ single-fiber sleeves found no room: add 1 tray\./);
    await press(page(), trayPart('addTraysFor', { trays: 1, method: 'single fibers' }));
    await seesNot(page(), 'found no room');
    await press(page(), changePart('backToThePlanAsIt'));
  });

  step('any fiber is followed to both ends, and loose ends are named', async () => {
    await visit(page(), server.url);
    await press(page(), circuitsPage('circuits'));
    await sees(page(), /A 1 blue · asked for tube 1 blue Toll cottage .* B 1 blue/);
    // Toll cottage at 3.1 km and Sluice bridge at 7.4 km: 4.3 km of B lie between.
    await sees(page(), /B 1 blue tube 1 blue · 4\.3 km/);
    await sees(page(), /Top barn\. U 13-144 are unassigned ends here/);
  });

  step('a line is made by thumb, and the loose end is gone', async () => {
    await press(page(), planShared('planOfName', { name: 'Top barn' }));
    await sees(page(), 'U 13-144');
    await press(page(), lineBuilder('buildALine'));
    await press(page(), planShared('reserve'));
    await press(page(), 'U');
    await fill(page(), common('from'), '2');
    await fill(page(), lineBuilder('to'), '13');
    await sees(page(), /Not yet\. U has tubes 1 to 12 here/);
    await fill(page(), lineBuilder('to'), '12');
    await sees(page(), 'reserve U tubes 2-12');
    await press(page(), lineBuilder('addTheLine'));
    await press(page(), changePart('saveThePlan'));
    await sees(page(), /Applied\. 0 added, 0 moved, 0 dropped/);
    await press(page(), uiShared('back'));
    await seesNot(page(), 'U 13-144 are unassigned ends');
  });

  step('the cut plan of a cable, its seal and its steps', async () => {
    await visit(page(), server.url);
    await pressText(page(), 'School rise');
    await press(page(), closureSheet('openTheCables'));
    // 15.2 mm: the second row of the oval port, 13 to 16 mm.
    await sees(page(), /Cable D .* Oval: Oval seal 2, 3 layers, small clip, not slit/);
    // 64 in are 1625.6 mm, and 3 in more give hold of the ripcord; 450 mm to the tray leave 1175.6 mm of fiber.
    await sees(page(), /1702 mm of sheath comes off\. Tape zero: the end of the cable/);
    await sees(page(), /Sheath off: 1626 mm \+ 77 mm that gives hold of the ripcord/);
    await sees(page(), /Tail: fiber past the tube 1175 mm/);
    await sees(page(), /Steps: 0 of \d+ done/);
    await pressText(page(), 'The right cable, and every part of the kit there');
    await sees(page(), /Steps: 1 of \d+ done/);
    await revisit(page());
    await sees(page(), /Steps: 1 of \d+ done/);
    await sees(page(), /stops the work in the hole\. R\. Aldous, \d{4}-\d\d-\d\d/);
  });

  step('a diameter that fits no port is said, with what would', async () => {
    await press(page(), entryPart('changeHowEnters', { name: 'D' }));
    await fill(page(), entryPart('diameterOfName', { name: 'D' }), '1.5 in');
    await page().keyboard.press('Tab');
    await sees(
      page(),
      /No port left\. No free port of Dome, six ports takes 38\.1 mm\. No hardware here does/,
    );
    await fill(page(), entryPart('diameterOfName', { name: 'D' }), '-3');
    await page().keyboard.press('Tab');
    await sees(page(), /A length cannot be negative/);
    await fill(page(), entryPart('diameterOfName', { name: 'D' }), 'c 47.8 mm');
    await page().keyboard.press('Tab');
    await sees(page(), /Cable D .* Oval: Oval seal 2/);
  });

  step('an express cable shows what must not be cut', async () => {
    await visit(page(), server.url);
    const [project] = await readApi<{ id: string }[]>(server, '/projects');
    const { closures } = await readApi<{ closures: { id: string; name: string }[] }>(
      server,
      `/projects/${project!.id}`,
    );
    const school = closures.find((closure) => closure.name === 'School')!;
    await visit(page(), `${server.url}/p/${project!.id}/route/${school.id}/open`);
    await sees(page(), /Do not cut\. 1 tube passes through: never cut, scored or bent/);
    // It comes in by one hole and leaves by another.
    await sees(page(), /Feed side: Trunk 1: Split seal 1.* Exit side: Trunk 2: Split seal 1/);
    // 70 in are 1778 mm; 380 mm to the tray leave 1398 mm.
    await sees(page(), /Tail: a cut tube leaves 1398 mm/);
    // Held before it is opened, and proven dark just before the cut.
    await sees(
      page(),
      /Exit side: Strength member under its clamp.* Tube 1 blue: prove it dark here\..* Tube 1 blue: cut it at the second ring cut/,
    );
  });

  step('a cable is taken out and described again: kind, diameter, loop, tubes', async () => {
    await press(page(), entryPart('changeHowEnters', { name: 'S' }));
    await press(page(), entryPart('takeOutOfThisClosure', { name: 'S' }));
    await sees(page(), /Enter here too\. S: spliced in this closure/);
    await press(page(), 'Add S');
    await sees(page(), /Cable S 12 fibers: drop · drop Measure\./);
    await fill(page(), entryPart('diameterOfName', { name: 'S' }), '5.8 mm');
    await page().keyboard.press('Tab');
    await sees(page(), /Branch 1: Two-hole seal 1/);
  });

  step('prints cut plan, trays and splice sheet on A4 and Letter', async () => {
    await page().emulateMediaType('print');
    await sees(page(), /School .* Cable F: cut plan Tape zero: the first ring cut/);
    await sees(page(), /School: trays .* School: splice sheet .* F.in 1 tube 1 blue blue/);
    const shown = await page().$eval('#root', (root) => getComputedStyle(root).display);
    expect(shown).toBe('none');
    for (const format of ['a4', 'letter'] as const) {
      const pages = Buffer.from(await page().pdf({ format })).toString('latin1');
      expect(pages.match(/\/Type \/Page\b/g)!.length).toBeGreaterThanOrEqual(3);
    }
    await page().emulateMediaType('screen');
  });

  step('an imported list is checked for circuits that run out of line', async () => {
    await visit(page(), server.url);
    await press(page(), kitPage('kit'));
    await pressText(page(), common('importASpliceList'));
    await press(page(), importPage('pasteOrType'));
    const onto = [1, 2, 3, 4, 6, 5, 7, 8, 9, 10, 11, 12];
    const rows = onto.map(
      (fiber, index) => `Ford pit,1,${index + 1},X,${index + 1},Y,${fiber},single`,
    );
    await fill(
      page(),
      importPage('spliceList'),
      ['closure,tray,slot,cable A,fiber A,cable B,fiber B,method', ...rows].join('\n'),
    );
    await press(page(), importPage('readIt'));
    await sees(page(), /Check 2 places first\./);
    await sees(page(), /Ford pit: X 5 to Y 6 is out of line: its neighbors would put it onto Y 5/);
  });

  step('the van is packed for a closure, against what is in stock', async () => {
    await visit(page(), server.url);
    await press(page(), kitPage('kit'));
    await pressText(page(), kitShared('packTheVan'));
    await press(page(), 'School rise');
    // 132 single splices to make and 5 in 100 for redos: 138.6, so 139.
    await sees(page(), /Single-fiber sleeves, 60 mm with 5 % for redos 139 pieces/);
    await fill(page(), 'Single-fiber sleeves, 60 mm in stock', '100');
    await sees(page(), packPage('countedShort', { counted: '39 pieces' }));
  });

  step('hardware is copied and edited; seals with a gap between them are refused', async () => {
    await visit(page(), server.url);
    await press(page(), kitPage('kit'));
    await pressText(page(), kitShared('hardware'));
    await press(page(), 'Copy Small gel drop case');
    await fill(page(), hardwarePage('nameOfTheHardware'), 'Yard case');
    await fill(page(), portsEditor('diameterFromOf', { place: 'port 1, seal 2' }), '11 mm');
    await press(page(), hardwarePage('saveTheHardware'));
    await sees(
      page(),
      /Not saved\. Port 1, seal 2: There is a gap: the range before ends at 10 mm/,
    );
    // Seen in the picture of the ranges too.
    await sees(page(), '1 gap, 0 overlaps');
    await fill(page(), portsEditor('diameterFromOf', { place: 'port 1, seal 2' }), '10 mm');
    await press(page(), hardwarePage('saveTheHardware'));
    await sees(page(), /Yard case 2 ports, at most 1 tray/);
  });

  step('without trouble on the page', async () => {
    expect(person.trouble).toEqual([]);
  });
});
