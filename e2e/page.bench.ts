import { ledgerShared } from '@cordel/text/pages/ledger/shared';
import { PHONE, newPerson, readApi, removeServer, sees, startBrowser, startServer } from './app.ts';
import { reportFigures } from './benchReport.ts';

const MOST_NODES = 2500;

/** What the built app costs a phone while the Ledger's rows scroll: nodes of the page. */
async function measure() {
  const [server, browser] = await Promise.all([startServer({ demo: true }), startBrowser()]);
  try {
    const { page } = await newPerson(browser, server, 'M.', PHONE);
    const [project] = await readApi<{ id: string }[]>(server, '/projects');
    await page.goto(`${server.url}/p/${project!.id}/ledger?view=splices`, {
      waitUntil: 'networkidle2',
    });
    await sees(page, ledgerShared('splices', { count: 1_517 }));
    const nodes = () => page.evaluate(() => document.querySelectorAll('*').length);
    let most = await nodes();
    await page.mouse.move(200, 600);
    for (let step = 0; step < 80; step++) {
      await page.mouse.wheel({ deltaY: 1500 });
      await new Promise((resolve) => setTimeout(resolve, 50));
      most = Math.max(most, await nodes());
    }
    return [{ name: 'scroll-nodes', value: most, limit: MOST_NODES, unit: 'nodes' }];
  } finally {
    await browser.close();
    await removeServer(server);
  }
}

reportFigures(await measure(), 0);
