import { gzipSync } from 'node:zlib';
import { PHONE, newPerson, readApi, removeServer, sees, startBrowser, startServer } from './app.ts';

const FIRST_VIEW_KB = 600;
const MOST_NODES = 2500;

/** What the built app costs a phone: gzipped JavaScript of the first view, and nodes while 864 rows scroll. */
async function measure() {
  const [server, browser] = await Promise.all([startServer({ demo: true }), startBrowser()]);
  try {
    const { page } = await newPerson(browser, server, 'M.', PHONE);
    const [project] = await readApi<{ id: string }[]>(server, '/projects');
    const scripts: Promise<number>[] = [];
    page.on('response', (response) => {
      if (response.url().endsWith('.js'))
        scripts.push(response.buffer().then((script) => gzipSync(script).length));
    });
    await page.goto(`${server.url}/p/${project!.id}/route`, { waitUntil: 'networkidle2' });
    await sees(page, 'Toll cottage');
    const firstView = (await Promise.all([...scripts])).reduce((sum, bytes) => sum + bytes, 0);
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
    return [
      { name: 'first-view', value: firstView / 1000, limit: FIRST_VIEW_KB, unit: 'kB gzipped' },
      { name: 'scroll-nodes', value: most, limit: MOST_NODES, unit: 'nodes' },
    ];
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
