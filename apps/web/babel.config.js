module.exports = (api) => {
  api.cache.using(() => process.env.NODE_ENV);
  const plugins = process.env.NODE_ENV === 'production' ? ['react-native-paper/babel'] : [];
  return { presets: ['babel-preset-expo'], plugins };
};
