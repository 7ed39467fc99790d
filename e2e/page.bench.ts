import { PHONE, newPerson, readApi, removeServer, sees, startBrowser, startServer } from './app.ts';

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
    await sees(page, '1,504 splices');
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

const wanted = process.argv.slice(2);
let missed = false;
for (const { name, value, limit, unit } of await measure()) {
  if (wanted.length > 0 && !wanted.includes(name)) continue;
  const ok = value <= limit;
  missed ||= !ok;
  console.log(
    `${name}  ${(value / limit).toFixed(2)}  limit 1.00  ${ok ? 'ok' : 'MISS'}  (${value.toFixed(0)} of ${limit} ${unit})`,
  );
}
process.exit(missed ? 1 : 0);
