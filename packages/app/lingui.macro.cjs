/**
 * How sentences in the sources are written out, for Metro and Jest alike. They stay where they are: English needs no
 * catalogue, and what is fetched late brings its own.
 */
const { makeConfig } = require('@lingui/conf');

module.exports = [
  '@lingui/babel-plugin-lingui-macro',
  { stripMessageField: false, linguiConfig: makeConfig({ locales: ['en'] }, { skipValidation: true }) },
];
