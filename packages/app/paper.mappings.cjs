/**
 * Where each export of Paper has its own file. The package's table leaves out the themes: importing one of them
 * would bring all of Paper onto the first screen.
 */
const paper = require('react-native-paper/lib/mappings.json');

const themes = { MD3LightTheme: 'LightTheme', MD3DarkTheme: 'DarkTheme' };

module.exports = {
  ...paper,
  mappings: {
    ...paper.mappings,
    ...Object.fromEntries(
      Object.entries(themes).map(([name, file]) => [name, { path: `lib/module/styles/themes/v3/${file}`, name }]),
    ),
  },
};
