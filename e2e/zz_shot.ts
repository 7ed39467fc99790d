import { newPerson, removeServer, startBrowser, startServer, readApi, PHONE, WIDE } from './app.ts';
const [server, browser] = await Promise.all([startServer({ demo: true }), startBrowser()]);
const [project] = await readApi<{ id: string }[]>(server, '/projects');
const wide = process.argv.includes('--wide');
for (const arg of process.argv.slice(2).filter((a) => a !== '--wide')) {
  const [path, name] = arg.split('=>') as [string, string];
  const { page, trouble, context } = await newPerson(browser, server, 'M.', wide ? WIDE : PHONE);
  await page.goto(server.url + path.replace('P', `/p/${project!.id}`), { waitUntil: 'load' });
  await new Promise((r) => setTimeout(r, 4000));
  await page.screenshot({ path: `/tmp/shots/${name}.png` as `${string}.png` });
  if (trouble.length) console.log(name, trouble);
  await context.close();
}
await browser.close();
await removeServer(server);
