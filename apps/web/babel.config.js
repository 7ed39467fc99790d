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

/**
 * Paper's own plugin brings each component alone, and for the two themes the whole package: they lie in a file of
 * their own.
 */
const themesAlone = ({ types }) => ({
  visitor: {
    ImportDeclaration(path) {
      if (path.node.source.value !== 'react-native-paper') return;
      const isTheme = ({ imported }) => /^MD3(Light|Dark)Theme$/.test(imported?.name);
      const themes = path.node.specifiers.filter(isTheme);
      if (themes.length === 0) return;
      const rest = path.node.specifiers.filter((specifier) => !isTheme(specifier));
      path.replaceWithMultiple([
        types.importDeclaration(
          themes,
          types.stringLiteral('react-native-paper/lib/module/styles/themes'),
        ),
        ...(rest.length > 0 ? [types.importDeclaration(rest, path.node.source)] : []),
      ]);
    },
  },
});

module.exports = (api) => {
  api.cache.using(() => process.env.NODE_ENV);
  const plugins =
    process.env.NODE_ENV === 'production' ? [themesAlone, 'react-native-paper/babel'] : [];
  return { presets: ['babel-preset-expo'], plugins: [oneFunctionEach, ...plugins] };
};
