const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);

// Zod's texts in forty languages would ride along into the page and every worker; Cordel writes its own.
const resolve = config.resolver.resolveRequest;
config.resolver.resolveRequest = (context, name, platform) => {
  if (/locales\/index(\.js|\.cjs)?$/.test(name) && /zod/.test(context.originModulePath)) {
    return { type: 'empty' };
  }
  return (resolve ?? context.resolveRequest)(context, name, platform);
};

module.exports = config;
