const path = require('node:path');

const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);

config.resolver.assetExts.push('woff2');

// Metro does not drop what is not used, so what the app never calls is kept out by name.
const stubs = [
  // zod imports its messages in every language; English is enough.
  { from: /zod/, name: /locales\/index(\.js)?$/, to: 'src/stubs/zod-locales.ts' },
];

const { resolveRequest } = config.resolver;
config.resolver.resolveRequest = (context, name, platform) => {
  const stub = stubs.find(({ from, name: pattern }) => from.test(context.originModulePath) && pattern.test(name));
  if (stub) return { type: 'sourceFile', filePath: path.join(__dirname, stub.to) };
  // Its packages would come twice over, for development and as shipped.
  const lexical = /^(lexical|@lexical\/([a-z-]+))$/.exec(name);
  if (lexical) {
    const file = lexical[2]
      ? `Lexical${lexical[2]
          .split('-')
          .map((part) => part[0].toUpperCase() + part.slice(1))
          .join('')}`
      : 'Lexical';
    return { type: 'sourceFile', filePath: path.join(path.dirname(require.resolve(name)), `${file}.prod.js`) };
  }
  return (resolveRequest ?? context.resolveRequest)(context, name, platform);
};

module.exports = config;
