import { PHONE, WIDE, newPerson, press, readApi, removeServer, sees, startBrowser, startServer } from './app.ts';
const [server, browser] = await Promise.all([startServer({ demo: true }), startBrowser()]);
const project = (await readApi<{ id: string }[]>(server, '/projects'))[0]!.id;
const cables = (await readApi<{ cables: { id: string; name: string }[] }>(server, `/projects/${project}`)).cables;
const L = cables.find((c) => c.name === 'L')!.id;
const { page } = await newPerson(browser, server, 'Crew 1');
page.on('pageerror', (e) => console.log('PAGEERROR', e.message));
page.on('console', (m) => m.type()==='error' && console.log('CONSOLE', m.text()));
const shots: [string, string, boolean, ((p: typeof page) => Promise<void>)?][] = [
  ['traces', 'ledger/traces', false],
  ['findings', 'ledger/findings', false],
  ['circuit', `ledger/circuit?cable=${L}&fiber=5`, false],
  ['circuitwide', `ledger/circuit?cable=${L}&fiber=5`, true],
  ['stack', `ledger/circuit?cable=${L}&fiber=5`, true, async (p) => { await press(p, 'tube from A'); await new Promise((r) => setTimeout(r, 2500)); }],
  ['budget', 'ledger/budget', false],
  ['ledger', 'ledger', false],
];
const only = process.argv.slice(2);
for (const [name, path, wide, before] of shots) {
  if (only.length && !only.includes(name)) continue;
  await page.setViewport(wide ? WIDE : PHONE);
  await page.goto(`${server.url}/p/${project}/${path}`, { waitUntil: 'networkidle2' });
  await new Promise((r) => setTimeout(r, 1500));
  if (before) await before(page);
  await page.screenshot({ path: `/tmp/shot-${name}.png` });
}
await browser.close();
await removeServer(server);
