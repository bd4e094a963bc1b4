module.exports = function (api) {
  api.cache(true);
  return {
    presets: ['babel-preset-expo'],
    // Imports each Paper component from its own file: Metro does not drop what is not used.
    plugins: [
      ['react-native-paper/babel', { mappings: require.resolve('./paper.mappings.cjs') }],
      require('./lingui.macro.cjs'),
      require('./rem.babel.cjs'),
    ],
  };
};
