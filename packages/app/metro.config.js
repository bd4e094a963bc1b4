const path = require('node:path');

const { getDefaultConfig } = require('expo/metro-config');

const { standsFor } = require('./unused.cjs');

const config = getDefaultConfig(__dirname);

config.resolver.assetExts.push('woff2');

// A module is run when it is first needed: much of what a first screen imports it does not call.
config.transformer.getTransformOptions = async () => ({ transform: { inlineRequires: true } });

const { resolveRequest } = config.resolver;
config.resolver.resolveRequest = (context, name, platform) => {
  const stub = standsFor(context.originModulePath, name);
  if (stub !== undefined) return stub === null ? { type: 'empty' } : { type: 'sourceFile', filePath: stub };
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
