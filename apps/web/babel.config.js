const { dirname, join } = require('node:path');

const STATISTICS = join(dirname(require.resolve('simple-statistics/package.json')), 'src');
const fileOf = (name) => `${name.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`)}.js`;

/** The package is one file of all its functions: an import brings the function's own file alone. */
const oneFunctionEach = ({ types }) => ({
  visitor: {
    ImportDeclaration(path) {
      if (path.node.source.value !== 'simple-statistics') return;
      path.replaceWithMultiple(
        path.node.specifiers.map(({ imported, local }) =>
          types.importDeclaration(
            [types.importDefaultSpecifier(local)],
            types.stringLiteral(join(STATISTICS, fileOf(imported.name))),
          ),
        ),
      );
    },
  },
});

module.exports = (api) => {
  api.cache.using(() => process.env.NODE_ENV);
  const plugins = process.env.NODE_ENV === 'production' ? ['react-native-paper/babel'] : [];
  return { presets: ['babel-preset-expo'], plugins: [oneFunctionEach, ...plugins] };
};
