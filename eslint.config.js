const { defineConfig } = require('eslint/config');
const expo = require('eslint-config-expo/flat');

/** The one way through the house: a folder may use only what stands below it (docs/decisions.md). */
const FOLDERS = [
  'app',
  'core',
  'presets',
  'records',
  'formats',
  'answers',
  'workers',
  'figures',
  'ui',
  'features',
  'demo',
];
const MAY_USE = {
  app: ['features'],
  core: [],
  presets: ['core'],
  records: ['core', 'presets'],
  formats: ['core', 'presets', 'records'],
  answers: ['core', 'presets', 'records'],
  // What is long to read is read there, too.
  workers: ['core', 'records', 'formats', 'answers'],
  ui: [],
  figures: ['core', 'ui'],
  demo: ['core', 'presets', 'records'],
  features: [
    'core',
    'presets',
    'records',
    'formats',
    'answers',
    'workers',
    'figures',
    'ui',
    'demo',
  ],
};
const INTERFACE_CODE =
  '^(react|react-.*|expo|expo-.*|expo/.*|@tanstack/.*|@react-native.*|nativewind|lucide-.*)$';

/** Every way a forbidden folder can be written, from inside the folder it is forbidden to. */
const direction = (folder) => {
  const forbidden = FOLDERS.filter((other) => other !== folder && !MAY_USE[folder].includes(other));
  return {
    files: [`src/${folder}/**/*.{ts,tsx}`],
    ignores: ['**/*.test.{ts,tsx}'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          paths: [
            { name: 'lucide-react-native', message: 'Import icons deep: the barrel is 2 MB.' },
          ],
          patterns: [
            {
              group: forbidden.flatMap((other) => [
                `@/${other}`,
                `@/${other}/**`,
                `**/../${other}`,
                `**/../${other}/**`,
              ]),
              message: `${folder} may use only: ${MAY_USE[folder].join(', ') || 'nothing of ours'}.`,
            },
            ...(folder === 'core' || folder === 'answers'
              ? [{ regex: INTERFACE_CODE, message: `${folder} holds no interface code.` }]
              : []),
          ],
        },
      ],
    },
  };
};

const STEPS = [
  'brief',
  'ground',
  'light',
  'settings',
  'kit',
  'day',
  'field',
  'log',
  'practice',
  'draw',
];

/** A step is a folder: of the other features it may use the shell, and what reads files. */
const step = (name) => ({
  files: [`src/features/${name}/**/*.{ts,tsx}`],
  ignores: ['**/*.test.{ts,tsx}'],
  rules: {
    '@typescript-eslint/no-restricted-imports': [
      'error',
      {
        patterns: [
          {
            regex: `^@/features/(?!(${name}|shoot|files)/)`,
            message: `A step may import only features/shoot (and features/files), not another step.`,
          },
        ],
      },
    ],
  },
});
/** The shell knows none of the steps: a new one is a folder, a route and a line in steps.ts. */
const SHELL = {
  files: ['src/features/shoot/**/*.{ts,tsx}'],
  ignores: ['**/*.test.{ts,tsx}'],
  rules: {
    '@typescript-eslint/no-restricted-imports': [
      'error',
      {
        patterns: [
          {
            regex: `^@/features/(${STEPS.join('|')})/`,
            message: 'The shell of a shoot owns no step.',
          },
        ],
      },
    ],
  },
};

/** What is read for React's sake; it takes half of lint's time, and these hold no component and no hook. */
const REACT_RULES = expo
  .flatMap(({ rules = {} }) => Object.keys(rules))
  .filter((rule) => /^react(-hooks)?\//.test(rule));
const WITHOUT_REACT = {
  files: [
    'src/{core,presets,formats,answers,demo,workers}/**/*.ts',
    '{checks,e2e,scripts,server}/**/*.ts',
  ],
  rules: Object.fromEntries(REACT_RULES.map((rule) => [rule, 'off'])),
};

module.exports = defineConfig([
  {
    ignores: [
      'dist/**',
      'build/**',
      '.expo/**',
      '.cache/**',
      'test-results/**',
      'playwright-report/**',
    ],
  },
  expo,
  {
    rules: {
      eqeqeq: 'error',
      // fast-check is read as fc.property, fc.double … throughout its own documentation.
      'import/no-named-as-default-member': 'off',
      'no-console': 'error',
      'max-lines': ['error', { max: 400 }],
    },
  },
  {
    files: ['**/*.{ts,tsx}'],
    rules: {
      // The compiler knows what a module exports; asking again took nearly half of lint's time.
      'import/namespace': 'off',
      'import/named': 'off',
      'import/default': 'off',
      'import/no-named-as-default': 'off',
      'import/export': 'off',
      'import/no-unresolved': 'off',
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/ban-ts-comment': 'error',
      '@typescript-eslint/no-non-null-assertion': 'error',
    },
  },
  WITHOUT_REACT,
  { files: ['server/**', 'scripts/**'], rules: { 'no-console': 'off' } },
  ...FOLDERS.map(direction),
  ...STEPS.map(step),
  SHELL,
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: "MemberExpression[object.name='Date'][property.name='now']",
          message: 'core reads no clock.',
        },
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'core reads no clock.',
        },
        {
          selector: "MemberExpression[object.name='Math'][property.name='random']",
          message: 'core takes no chance.',
        },
      ],
    },
  },
]);
