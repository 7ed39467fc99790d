import { createHash } from 'node:crypto';
import { readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { join, relative } from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, constants, gzip } from 'node:zlib';
import { generateSW } from 'workbox-build';

const brotli = promisify(brotliCompress);
const zip = promisify(gzip);

/** Below this a file is sent as it is: its headers are longer than what would be saved. */
const LEAST = 1000;

function* filesBelow(folder) {
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) yield* filesBelow(path);
    else yield path;
  }
}

/** Puts brotli and gzip beside every text of the built web app, so that the server need not. */
async function compress(folder) {
  const waiting = [...filesBelow(folder)].filter((path) =>
    /\.(js|html|css|json|svg|ico|map)$/.test(path),
  );
  const next = async () => {
    for (let path = waiting.pop(); path; path = waiting.pop()) await compressFile(path);
  };
  await Promise.all(Array.from({ length: availableParallelism() }, next));
}

async function compressFile(path) {
  const bytes = readFileSync(path);
  if (bytes.length < LEAST) return;
  const params = {
    [constants.BROTLI_PARAM_QUALITY]: constants.BROTLI_MAX_QUALITY,
    [constants.BROTLI_PARAM_LGWIN]: constants.BROTLI_MAX_WINDOW_BITS,
    [constants.BROTLI_PARAM_SIZE_HINT]: bytes.length,
  };
  const [br, gz] = await Promise.all([brotli(bytes, { params }), zip(bytes, { level: 9 })]);
  writeFileSync(`${path}.br`, br);
  writeFileSync(`${path}.gz`, gz);
}

/** Parts of the app that its first view is made of. */
const FIRST_ROUTES = [
  './_layout.tsx',
  './p/[projectId]/_layout.tsx',
  './p/[projectId]/route/index.tsx',
];

/** Where the export put the chunk of each route. Metro lists routes and chunks in the same order. */
function chunksOf(entry) {
  const routes = [
    ...entry.matchAll(/"(\.\/[^"]+\.tsx)":\{enumerable:!0,get:\(\)=>\w+\(\w+\[1\]\)\(\w+\[\d+\]/g),
  ];
  const chunks = [...entry.matchAll(/"\d+":"(\/_expo\/static\/js\/web\/[^"]+\.js)"/g)].map(
    ([, path]) => path,
  );
  return new Map(routes.map(([, route], index) => [route, chunks[index]]));
}

/**
 * What the first view needs is asked for while the scripts are still on their way: the project's data, which
 * `data/early.ts` hands to the queries.
 */
const EARLY = `(()=>{const e=window.cordelEarly=new Map(),a=p=>{const f=fetch(p);f.catch(()=>0);e.set(p,f)},m=/^\\/p\\/([0-9a-f-]{36})\\//.exec(location.pathname);a("/api/session");if(m){a("/api/projects/"+m[1]);a("/api/projects/"+m[1]+"/ledger/closures")}})()`;

/** Tells the browser what comes before any script has run: fonts, the first view's chunks, its data. */
function preload(folder) {
  const page = join(folder, 'index.html');
  const files = [...filesBelow(folder)];
  const entry = files.find((path) => /\/entry-[0-9a-f]+\.js$/.test(path));
  const chunks = chunksOf(readFileSync(entry, 'utf8'));
  const missing = FIRST_ROUTES.filter((route) => !chunks.get(route));
  if (missing.length > 0) throw new Error(`No chunk of ${missing.join(', ')} in the export.`);
  const links = [
    ...files
      .filter((path) => path.endsWith('.woff2'))
      .map((path) => `as="font" type="font/woff2" crossorigin href="/${relative(folder, path)}"`),
    ...FIRST_ROUTES.map((route) => `as="script" href="${chunks.get(route)}"`),
  ].map((link) => `<link rel="preload" ${link}>`);
  const text = readFileSync(page, 'utf8');
  const head = `<script>${EARLY}</script>${links.join('')}</head>`;
  writeFileSync(
    page,
    text.replace('</head>', () => head),
  );
}

/** What the first view runs: `entry`, and what it shares with the pages. */
const FIRST_SCRIPTS = /\/(entry|__common)-[0-9a-f]+\.js$/;

/**
 * Has the first view's scripts compiled while they arrive, beside the page's own thread, and not function by
 * function as each is called. Source: Explicit Compile Hints of V8; other browsers read a remark.
 */
function compileEarly(folder) {
  for (const path of filesBelow(folder)) {
    if (!FIRST_SCRIPTS.test(path)) continue;
    writeFileSync(path, `//# allFunctionsCalledOnLoad\n${readFileSync(path, 'utf8')}`);
  }
}

/** What tells this build from others: the page knows which it is of, and the server which it has. */
function markBuild(folder) {
  const page = join(folder, 'index.html');
  const text = readFileSync(page, 'utf8');
  const names = [...filesBelow(folder)].map((path) => relative(folder, path)).sort();
  const build = createHash('sha256').update(text).update(names.join()).digest('hex').slice(0, 16);
  const head = [
    `<meta name="cordel-build" content="${build}">`,
    '<link rel="manifest" href="/manifest.webmanifest">',
    '<link rel="apple-touch-icon" href="/icon-180.png">',
  ].join('');
  writeFileSync(
    page,
    text.replace('</head>', () => `${head}</head>`),
  );
}

/**
 * A service worker that keeps the whole app on the device, so that it starts without a connection. A newer one waits
 * until the person agrees (`ui/UpdateStrip`). It keeps nothing of the API: what was read lies with the page's own store.
 */
async function keepOnDevice(folder) {
  const { warnings } = await generateSW({
    globDirectory: folder,
    globPatterns: ['**/*.{js,html,css,woff2,png,ico,webmanifest}'],
    // Named by their content: they are asked for as they are.
    dontCacheBustURLsMatching: /\/_expo\/static\/|\/assets\//,
    maximumFileSizeToCacheInBytes: 8 * 1024 * 1024,
    swDest: join(folder, 'sw.js'),
    navigateFallback: '/index.html',
    navigateFallbackDenylist: [/^\/api\//],
    // Photos of the record never change.
    runtimeCaching: [
      {
        urlPattern: /\/api\/photos\//,
        handler: 'CacheFirst',
        options: { cacheName: 'photos', expiration: { maxEntries: 2000 } },
      },
    ],
    inlineWorkboxRuntime: true,
    sourcemap: false,
    mode: 'production',
    cleanupOutdatedCaches: true,
    skipWaiting: false,
    clientsClaim: true,
  });
  if (warnings.length > 0) throw new Error(warnings.join('\n'));
}

/** Makes the built web app ready to be served. */
async function finishWeb(folder) {
  preload(folder);
  compileEarly(folder);
  markBuild(folder);
  await keepOnDevice(folder);
  await compress(folder);
}

await finishWeb(process.argv[2]);
