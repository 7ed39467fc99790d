const fileOf = (name) => `${name.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`)}.js`;

/**
 * The package is one file of all its functions: an import brings the function's own file alone. metro.config.js knows
 * where that is.
 */
const oneFunctionEach = ({ types }) => ({
  visitor: {
    ImportDeclaration(path) {
      if (path.node.source.value !== 'simple-statistics') return;
      path.replaceWithMultiple(
        path.node.specifiers.map(({ imported, local }) =>
          types.importDeclaration(
            [types.importDefaultSpecifier(local)],
            // Without the folder that it lies in: what is made of a file is kept for other checkouts too.
            types.stringLiteral(`simple-statistics/src/${fileOf(imported.name)}`),
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
