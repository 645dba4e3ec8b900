const plugin = require('tailwindcss/plugin');
const tokens = require('./src/ui/tokens.json');

const channels = (hex) =>
  [1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16)).join(' ');
const variables = (inks) =>
  Object.fromEntries(Object.entries(inks).map(([name, hex]) => [`--${name}`, channels(hex)]));

/** @type {import('tailwindcss').Config} */
module.exports = {
  content: ['./src/**/*.{ts,tsx}'],
  darkMode: 'class',
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
