const plugin = require('tailwindcss/plugin');
const tokens = require('./src/ui/tokens.json');

const channels = (hex) =>
  [1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16)).join(' ');
/**
 * What no screen uses. Each would give every element of the page variables of its own, which the browser works out
 * anew for each: with them a step’s styles took a fifth longer.
 */
const UNUSED = [
  ...['borderSpacing', 'transform', 'translate', 'rotate', 'skew', 'scale', 'touchAction'],
  ...['scrollSnapType', 'gradientColorStops', 'fontVariantNumeric', 'boxShadow', 'boxShadowColor'],
  ...['ringWidth', 'ringColor', 'ringOffsetWidth', 'ringOffsetColor', 'ringOpacity', 'contain'],
  ...['filter', 'blur', 'brightness', 'contrast', 'dropShadow', 'grayscale', 'hueRotate', 'invert'],
  ...['saturate', 'sepia', 'backdropFilter', 'backdropBlur', 'backdropBrightness'],
  ...['backdropContrast', 'backdropGrayscale', 'backdropHueRotate', 'backdropInvert'],
  ...['backdropOpacity', 'backdropSaturate', 'backdropSepia'],
  ...['backgroundOpacity', 'borderOpacity', 'textOpacity'],
];

const variables = (inks) =>
  Object.fromEntries(Object.entries(inks).map(([name, hex]) => [`--${name}`, channels(hex)]));

/** @type {import('tailwindcss').Config} */
module.exports = {
  content: ['./src/**/*.{ts,tsx}'],
  darkMode: 'class',
  corePlugins: Object.fromEntries(UNUSED.map((name) => [name, false])),
  presets: [require('nativewind/preset')],
  theme: {
    extend: {
      colors: Object.fromEntries(
        Object.keys(tokens.day).map((name) => [name, `rgb(var(--${name}) / <alpha-value>)`]),
      ),
      fontFamily: tokens.fonts,
      fontSize: tokens.type,
      minHeight: { touch: '48px' },
      minWidth: { touch: '48px' },
    },
  },
  plugins: [
    plugin(({ addBase }) =>
      addBase({
        ':root': variables(tokens.day),
        '.dark:root': variables(tokens.dark),
        '.dark.hide:root': variables(tokens.hide),
      }),
    ),
  ],
};
