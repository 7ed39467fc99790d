const { getDefaultConfig } = require('expo/metro-config');
const { createProxyMiddleware } = require('http-proxy-middleware');

const { mkdirSync, readFileSync, readdirSync, writeFileSync } = require('node:fs');
const { dirname, join } = require('node:path');

const config = getDefaultConfig(__dirname);
const root = join(__dirname, '../..');

/** Every text file below a folder. */
function* sourcesBelow(folder) {
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) yield* sourcesBelow(path);
    else if (/\.(tsx?|js)$/.test(entry.name)) yield path;
  }
}

/**
 * Names of seven thousand icons weigh 50 kB gzipped; the page gets those that stand as a word in its own
 * sources or in Paper's.
 */
function usedGlyphs() {
  const all = JSON.parse(
    readFileSync(
      require.resolve('@expo/vector-icons/build/vendor/react-native-vector-icons/glyphmaps/MaterialCommunityIcons.json'),
      'utf8',
    ),
  );
  const paper = join(dirname(require.resolve('react-native-paper/package.json')), 'src');
  const used = {};
  for (const folder of [join(__dirname, 'src'), join(__dirname, 'app'), paper])
    for (const path of sourcesBelow(folder))
      for (const [, word] of readFileSync(path, 'utf8').matchAll(/['"]([a-z0-9-]+)['"]/g))
        if (word in all) used[word] = all[word];
  const file = join(root, 'node_modules/.cache/cordel/glyphs.json');
  mkdirSync(dirname(file), { recursive: true });
  writeFileSync(file, JSON.stringify(used));
  return file;
}

const glyphs = usedGlyphs();

// Zod's texts in forty languages would ride along into the page and every worker; Cordel writes its own.
const resolve = config.resolver.resolveRequest;
config.resolver.resolveRequest = (context, name, platform) => {
  if (/locales\/index(\.js|\.cjs)?$/.test(name) && /zod/.test(context.originModulePath)) {
    return { type: 'empty' };
  }
  // The page reads no JSON Schema and compiles none of its schemas ahead.
  if (
    /(from-json-schema|\/compile)(\.js|\.cjs)?$/.test(name) &&
    /zod/.test(context.originModulePath)
  ) {
    return { type: 'empty' };
  }
  if (/glyphmaps\/MaterialCommunityIcons\.json$/.test(name)) {
    return { type: 'sourceFile', filePath: glyphs };
  }
  return (resolve ?? context.resolveRequest)(context, name, platform);
};

// While developing, the page comes from here and its data from Cordel's server beside it.
const api = createProxyMiddleware({
  target: `http://127.0.0.1:${process.env.PORT ?? 8044}`,
  pathFilter: '/api',
});
config.server.enhanceMiddleware = (metro) => (request, response, next) =>
  api(request, response, () => metro(request, response, next));

module.exports = config;
