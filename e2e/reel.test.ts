import { common } from '@cordel/text/pages/common';
import { runForm } from '@cordel/text/pages/kit/RunForm';
import { kitShared } from '@cordel/text/pages/kit/shared';
import { fileRows } from '@cordel/text/pages/traces/FileRows';
import { otdrPart } from '@cordel/text/pages/traces/OtdrPart';
import { reelPage } from '@cordel/text/pages/traces/ReelPage';
import { tracesShared } from '@cordel/text/pages/traces/shared';
import { tracesPage } from '@cordel/text/pages/traces/TracesPage';
import { jest } from '@jest/globals';
import type { Browser } from 'puppeteer-core';
import {
  type Person,
  type Server,
  fill,
  newId,
  newPerson,
  press,
  readApi,
  removeServer,
  sees,
  startBrowser,
  startServer,
  storyteller,
  until,
  visit,
  writeApi,
} from './app.ts';
import { type QuayLine, makeQuayLine } from './quayLine.ts';

jest.setTimeout(180_000);

let server: Server;
let browser: Browser;
let person: Person;
let line: QuayLine;
let cable: string;

const page = () => person.page;
const goTo = (path: string) => visit(page(), `${server.url}/p/${line.project}/${path}`);
const traces = () =>
  readApi<{ place: { stage: string | null } | null }[]>(server, `/projects/${line.project}/traces`);
const noteLength = async (length: string) => {
  await goTo(`ledger/reel?cable=${cable}`);
  await press(page(), reelPage('noteTheReel'));
  await fill(page(), runForm('numberOfItsReel'), 'R 2207');
  await fill(page(), runForm('lengthOnItsReel'), length);
  await press(page(), kitShared('save'));
  await until(async () => {
    const { cables } = await readApi<{
      cables: { id: string; run: { reel?: { length: number | null } } }[];
    }>(server, `/projects/${line.project}`);
    return (
      cables.find(({ id }) => id === cable)!.run.reel?.length ===
      Number(length.replace(' m', '')) * 10_000
    );
  }, `a reel of ${length}`);
};

beforeAll(async () => {
  server = await startServer({ demo: true });
  browser = await startBrowser();
  person = await newPerson(browser, server, 'R. Aldous');
  line = await makeQuayLine(server);
  cable = await line.cableId('A');
});
afterAll(async () => {
  await browser?.close();
  if (server) await removeServer(server);
});

describe('a cable from its reel to where it lies', () => {
  const step = storyteller();

  step('has the number and the length of its reel noted', async () => {
    await goTo(`ledger/reel?cable=${cable}`);
    await sees(page(), /Nothing was shot on the reel of cable A yet/);
    await noteLength('2500 m');
    await goTo(`ledger/reel?cable=${cable}`);
    await sees(page(), /Reel R 2207, 2.5\d* km by its sheath/);
  });

  step('is shot fiber by fiber before it is placed', async () => {
    await press(page(), reelPage('importShots'));
    await press(page(), tracesPage('onTheReel'));
    await press(page(), tracesShared('simulatedOtdr'));
    await fill(page(), common('fibers'), '1-4');
    await press(page(), otdrPart('shoot'));
    await sees(page(), /16 files: 16 ready, 0 to fix/);
    await press(page(), fileRows('importTraces', { traces: 16 }));
    await sees(page(), /Imported. 16 traces/);
    expect((await traces()).every(({ place }) => place?.stage === 'reel')).toBe(true);
  });

  step('is accepted by length, attenuation and evenness', async () => {
    await press(page(), reelPage('reels'));
    await sees(page(), /4 of 12 fibers accepted, none rejected/);
    await sees(page(), /Attenuation of each fiber at 1550 nm/);
    await sees(page(), /Every shot is accepted/);
  });

  step('is to be checked where the sheath says another length than light', async () => {
    await noteLength('2700 m');
    await goTo(`ledger/reel?cable=${cable}`);
    await sees(page(), /0 of 12 fibers accepted/);
    await sees(page(), /By light 2,500 m, by the sheath 2,700 m: shorter/);
    await noteLength('2500 m');
  });

  step('what was shot on the reel proves no circuit', async () => {
    const proof = await readApi<{ circuits: unknown[]; problems: unknown[] }>(
      server,
      `/projects/${line.project}/proof`,
    );
    expect(proof).toMatchObject({ circuits: [], problems: [] });
  });

  step('is compared with its reel once it lies', async () => {
    for (const direction of ['AB', 'BA']) {
      const { name, bytes } = await line.shoot(1, direction, 1550);
      const id = newId();
      await writeApi(server, 'POST', `/projects/${line.project}/traces`, {
        id,
        name,
        bytes: bytes.toString('base64'),
        place: {
          id: newId(),
          traceId: id,
          by: 'R. Aldous',
          at: new Date().toISOString(),
          cableId: cable,
          fiber: 1,
          direction,
          wavelengthNm: 1550,
          why: null,
        },
      });
    }
    await goTo(`ledger/circuit?cable=${cable}&fiber=1`);
    await sees(page(), /Fiber on the reel and now, dB\/km: from Harbour office at 1550 nm/);
    await sees(
      page(),
      /A from Harbour office to Lock gate 0.2\d\d dB\/km 0.2\d\d dB\/km [+-]?0.0\d\d ± 0.0\d\d dB, no change/,
    );
    expect(person.trouble).toEqual([]);
  });
});
