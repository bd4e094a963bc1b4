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
  const stub = stubs.find(
    ({ from, name: pattern }) => from.test(context.originModulePath) && pattern.test(name),
  );
  if (stub) return { type: 'sourceFile', filePath: path.join(__dirname, stub.to) };
  return (resolveRequest ?? context.resolveRequest)(context, name, platform);
};

module.exports = config;
