/** What is kept out of the bundles: of the app (metro.config.js), of the workers and of the extension (scripts/unused.mjs). */
const path = require('node:path');

// Metro does not drop what is not used, nor does esbuild of a package that is handed on as one object. So what is never called
// is kept out by name: of a package (`from`: a folder or file of it) the modules whose request matches. What nothing asks for
// as it is read is empty; the rest has a stub.
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

/** The file that stands for a module that is not used; null: nothing does; undefined: it is used. */
function standsFor(origin, name) {
  const found = unused.find(
    ({ from, name: pattern }) => origin.startsWith(path.join(modules, from)) && pattern.test(name),
  );
  if (!found) return undefined;
  return found.to ? path.join(__dirname, found.to) : null;
}

module.exports = { standsFor };
