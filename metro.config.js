const { readdirSync, readFileSync } = require('node:fs');
const path = require('node:path');
const { buildSync } = require('esbuild');
const { getDefaultConfig } = require('expo/metro-config');
const { withNativeWind } = require('nativewind/metro');

const config = getDefaultConfig(__dirname);
// Names are shortened, expressions stay as written: the first start is half a minute shorter on two cores,
// and what is sent grows by two in a hundred.
config.transformer.minifierConfig = { ...config.transformer.minifierConfig, compress: false };

/** It asks which script runs while it runs, so it can't wait until it is needed. */
const ASKS_AT_ONCE = path.join(
  path.dirname(require.resolve('expo/package.json')),
  'src/winter/ImportMetaRegistry.ts',
);
// A module is set up when something of it is first used: half of what is sent is not used by the first page.
config.transformer.getTransformOptions = async () => ({
  transform: {
    experimentalImportSupport: true,
    inlineRequires: { blockList: { [ASKS_AT_ONCE]: true } },
  },
});

/**
 * Left out of what is sent: what packages bring along in one piece and nobody here uses. By the file that asks, and
 * what it asks for; a name at the end is that of a stand-in, where something is called while loading.
 */
const LEFT_OUT = [
  // Animations that the gestures offer; of zod its messages in other languages, compiler and JSON schemas.
  [/./, /^react-native-reanimated$/],
  [
    /node_modules\/zod\//,
    /^(?:\.\.\/locales\/index|\.\/compile|\.\/json-schema-generator|\.\/from-json-schema)\.js$/,
  ],
  // Gestures by the older engine, and components made of gestures.
  [/react-native-gesture-handler\//, /^\.\.?\/web_hammer\//],
  [
    /react-native-gesture-handler\/lib\/module\/index\.js$/,
    /^\.\/components\/(?:GestureButtons|touchables|GestureComponents|Text|Swipeable|Pressable|DrawerLayout|gestureHandlerRootHOC)$/,
  ],
  [
    /react-native-gesture-handler\/lib\/module\/findNodeHandle\.web\.js$/,
    /\/exports\/FlatList$/,
    'flat-list.js',
  ],
  // Scales of time.
  [/node_modules\/d3-scale\//, /^d3-time(?:-format)?$/],
  // Drawings out of files, and what fetches these.
  [
    /react-native-svg\/lib\/module\/ReactNativeSVG\.web\.js$/,
    /^\.\/(?:xml|deprecated|utils\/fetchData)$/,
  ],
  // What nobody asks react-native-web for by name.
  [
    /react-native-web\/dist\/index\.js$/,
    /\/exports\/(?:Animated|FlatList|SectionList|VirtualizedList|Touchable\w*|ImageBackground|Picker|CheckBox|ProgressBar|Switch|Button|KeyboardAvoidingView|LayoutAnimation|DrawerLayoutAndroid|YellowBox|LogBox)$/,
  ],
  // Navigators that are not used: addresses are all there is between screens.
  [/expo-router\/build\/layouts\/StackClient\.js$/, /^\.\/stack-utils$/],
  [/expo-router\/build\/stack\/index\.js$/, /^\.\.\/layouts\/Stack$/],
  [
    /expo-router\/build\/layouts\/StackClient\.js$/,
    /\/createNativeStackNavigator$/,
    'native-stack.js',
  ],
  [
    /expo-router\/build\/exports\.js$/,
    /^\.\/(?:layouts\/(?:Tabs|experimental-stack)|views\/ErrorBoundary)$/,
  ],
  [/expo-router\/build\/views\/\w+\.js$/, /^\.\/Toast$/, 'router-toast.js'],
  [/expo-router\/build\/useScreens\.js$/, /^\.\/views\/SuspenseFallback$/, 'suspense-fallback.js'],
  [/expo-router\/build\/getRoutes\.js$/, /^\.\/getRoutesCore$/, 'routes-core.js'],
  [/expo-router\/build\/ExpoRoot\.js$/, /^\.\/screensFeatureFlags$/, 'screens-flags.js'],
];

const FRAME = path.join(__dirname, 'src/figures/frame');
const THREE = path.join(__dirname, 'build/three.js');

/** Of three only what the frame names: the bundler sends packages whole, and whole it is twice as large. */
function buildThree() {
  const names = readdirSync(FRAME)
    .filter((name) => /\.tsx?$/.test(name))
    .flatMap((name) => {
      const text = readFileSync(path.join(FRAME, name), 'utf8');
      const [, list = ''] = /import \{([^}]*)\} from 'three'/.exec(text) ?? [];
      return list.split(',').map((one) => one.trim().split(' as ')[0]);
    })
    .filter((one) => one && !one.startsWith('type '));
  buildSync({
    stdin: {
      contents: `export { ${[...new Set(names)].sort().join(', ')} } from 'three';`,
      resolveDir: __dirname,
    },
    outfile: THREE,
    ...{ bundle: true, minify: true, format: 'esm', target: 'es2022' },
  });
}
buildThree();

config.resolver.resolveRequest = (context, name, platform) => {
  if (name === 'three') return { type: 'sourceFile', filePath: THREE };
  const found = LEFT_OUT.find(
    ([from, asked]) => from.test(context.originModulePath) && asked.test(name),
  );
  if (!found) return context.resolveRequest(context, name, platform);
  const [, , standIn] = found;
  if (!standIn) return { type: 'empty' };
  return { type: 'sourceFile', filePath: path.join(__dirname, 'scripts/stand-ins', standIn) };
};

module.exports = withNativeWind(config, { input: './src/global.css' });
