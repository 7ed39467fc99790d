const { dirname, join } = require('node:path');
const { getDefaultConfig } = require('expo/metro-config');
const { createProxyMiddleware } = require('http-proxy-middleware');

const config = getDefaultConfig(__dirname);
config.resolver.assetExts.push('woff2');

// A module is run when it is first used: the first view does without most of them.
config.transformer.getTransformOptions = async () => ({
  transform: { experimentalImportSupport: false, inlineRequires: true },
});

const polyfills = config.serializer.getPolyfills;
config.serializer.getPolyfills = (context) => [
  ...(polyfills?.(context) ?? []),
  require.resolve('./noEval.js'),
];

// Zod's texts in forty languages would ride along into the page and every worker; Cordel writes its own.
const statistics = dirname(require.resolve('simple-statistics/package.json'));
const resolve = config.resolver.resolveRequest;
config.resolver.resolveRequest = (context, name, platform) => {
  if (/locales\/index(\.js|\.cjs)?$/.test(name) && /zod/.test(context.originModulePath)) {
    return { type: 'empty' };
  }
  // The page reads and writes no JSON Schema and compiles none of its schemas ahead.
  if (/to-json-schema(\.js|\.cjs)?$/.test(name) && /zod/.test(context.originModulePath)) {
    return { type: 'sourceFile', filePath: require.resolve('./noJsonSchema.js') };
  }
  if (
    /(from-json-schema|json-schema-processors|\/compile)(\.js|\.cjs)?$/.test(name) &&
    /zod/.test(context.originModulePath)
  ) {
    return { type: 'empty' };
  }
  // Texts have plurals and choices, no patterns of dates and numbers.
  if (/^@formatjs\/icu-skeleton-parser/.test(name)) return { type: 'empty' };
  // Expo asks for its script's address when a module is run, which here is long after the script was.
  if (/utils\/getBundleUrl$/.test(name)) {
    return { type: 'sourceFile', filePath: require.resolve('./bundleUrl.js') };
  }
  // The package does not list its functions' own files (babel.config.js).
  if (/^simple-statistics\/src\//.test(name)) {
    return { type: 'sourceFile', filePath: join(statistics, name.replace(/^[^/]+\//, '')) };
  }
  // There is no page that lists all pages.
  if (/views\/Sitemap$/.test(name)) {
    return { type: 'empty' };
  }
  // Paper looks for an icon font; the page draws its icons from outlines of its own.
  if (/(MaterialCommunityIcons|material-design-icons)$/.test(name)) {
    return { type: 'empty' };
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
