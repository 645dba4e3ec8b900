const alias = { '^@/(.*)$': '<rootDir>/src/$1' };
/** Packages that ship ES modules only. */
const ESM = [
  'nanoid',
  'd3-[a-z-]+',
  'internmap',
  'lucide-react-native',
  '@tanstack',
  'comlink',
  'nrel-spa',
  '@react-native-async-storage',
  'standard-navigation',
  'three',
];

/** Core, checks, records, server: plain Node. Components: jest-expo on its web target. */
module.exports = {
  // Nothing else runs beside them.
  maxWorkers: '100%',
  projects: [
    {
      displayName: 'node',
      testEnvironment: 'node',
      testMatch: ['<rootDir>/{src,server,checks}/**/*.test.ts'],
      transform: {
        '\\.m?[jt]sx?$': '<rootDir>/scripts/jest-esbuild.js',
      },
      transformIgnorePatterns: [`node_modules/(?!(${ESM.join('|')})/)`],
      moduleNameMapper: {
        ...alias,
        '^@react-native-async-storage/async-storage$':
          '@react-native-async-storage/async-storage/jest',
      },
    },
    {
      displayName: 'components',
      preset: 'jest-expo/web',
      transform: { '\\.mjs$': 'babel-jest' },
      testMatch: ['<rootDir>/src/**/*.test.tsx'],
      setupFiles: ['<rootDir>/scripts/jest-web.js'],
      transformIgnorePatterns: [
        `node_modules/(?!(${ESM.join('|')}|(jest-)?react-native|@react-native(-community)?|expo(nent)?|@expo(nent)?/.*|@expo-google-fonts/.*|react-navigation|@react-navigation/.*|nativewind|react-native-css-interop|react-native-svg)/?)`,
      ],
      moduleNameMapper: {
        ...alias,
        '\\.css$': '<rootDir>/scripts/empty-module.js',
        '^@react-native-async-storage/async-storage$':
          '@react-native-async-storage/async-storage/jest',
      },
    },
  ],
};
