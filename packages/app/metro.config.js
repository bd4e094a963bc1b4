const path = require('node:path');

const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);

config.resolver.assetExts.push('woff2');

// Metro does not drop what is not used, so what the app never calls is kept out by name: of a package (`from`: a folder or
// file of it) the modules whose request matches. What nothing asks for as it is read is empty; the rest has a stub.
const unused = [
  // Its messages in every language; English is enough.
  { from: 'zod', name: /locales\/index(\.js)?$/, to: 'src/stubs/zod-locales.ts' },
  // JSON Schema and compiled schemas.
  { from: 'zod/v4', name: /\/(to-json-schema|from-json-schema|json-schema-(processors|generator)|compile)\.js$/ },
  // Ways to stand around pages: ours is `Frame`. Its own pages for errors and lost ways: we have others.
  {
    from: 'expo-router/build',
    name: /\/(layouts\/(Tabs|experimental-stack)|stack-utils|standard-navigation|color|stack|link|Link|native-tabs\/NativeTabTrigger|views\/(Sitemap|useSitemap|Unmatched|RootUnmatched|ErrorBoundary)|Toast)$/,
  },
  {
    from: 'expo-router/build',
    name: /\/(createNativeStackNavigator|screensFeatureFlags|head)$/,
    to: 'src/stubs/router.ts',
  },
  // What is used of it is imported file by file; packages that import it whole use none of these.
  {
    from: 'react-native-web/dist/index.js',
    name: /\/(Button|CheckBox|FlatList|ImageBackground|Picker|ProgressBar|SectionList|Switch|Touchable(Highlight|NativeFeedback)|VirtualizedList)$/,
  },
  { from: 'react-native-web/dist/vendor/react-native/Animated', name: /\/Animated(FlatList|SectionList)$/ },
  // Drawings from texts.
  { from: 'react-native-svg/lib/module/ReactNativeSVG', name: /\/(xml|utils\/fetchData)$/ },
];
const modules = path.join(path.dirname(require.resolve('expo/package.json')), '..');

/** What stands for a module that is not used; undefined: it is. */
function standsFor(origin, name) {
  const found = unused.find(
    ({ from, name: pattern }) => origin.startsWith(path.join(modules, from)) && pattern.test(name),
  );
  if (!found) return undefined;
  return found.to ? { type: 'sourceFile', filePath: path.join(__dirname, found.to) } : { type: 'empty' };
}

// A module is run when it is first needed: much of what a first screen imports it does not call.
config.transformer.getTransformOptions = async () => ({ transform: { inlineRequires: true } });

const { resolveRequest } = config.resolver;
config.resolver.resolveRequest = (context, name, platform) => {
  const stub = standsFor(context.originModulePath, name);
  if (stub) return stub;
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
