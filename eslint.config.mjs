import js from '@eslint/js';
import ts from 'typescript-eslint';
import hooks from 'eslint-plugin-react-hooks';

// The core's folders in the order in which they may depend on each other: a folder may import only those before it.
const CORE_ORDER = [
  'measure',
  'geometry',
  'stock',
  'flock',
  'unit',
  'strength',
  'join',
  'frame',
  'model',
  'structure',
  'cut',
  'takeoff',
  'saw',
  'site',
  'steps',
  'price',
  'check',
  'days',
  'crews',
  'haul',
  'draw',
  'formats',
  'order',
];
const CORE_PACKAGES = ['earcut', 'papaparse', 'polygon-clipping', '@tarikjabiri/dxf'];

const coreFolderRule = (folder, index) => ({
  files: [`core/src/${folder}/**/*.ts`],
  ignores: ['**/*.test.ts'],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          ...CORE_ORDER.slice(index + 1).map((later) => ({
            regex: `(^|/)\\.\\./(\\.\\./)*${later}/`,
            message: `core/${folder} comes before core/${later}: it may not import it.`,
          })),
          {
            regex: `^(?!\\.|(${CORE_PACKAGES.join('|')})$)`,
            message: `core imports nothing but itself and ${CORE_PACKAGES.join(', ')}.`,
          },
        ],
      },
    ],
    'no-restricted-globals': ['error', 'window', 'document', 'process', 'Buffer', 'fetch', 'performance'],
  },
});

const outerRule = (files, banned) => ({
  files,
  ignores: ['**/*.test.ts', '**/*.test.tsx'],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          { regex: '(^|/)core/(src|dist)/', message: 'Import core by its folder entry points: @rubbet/core/<folder>.' },
          { regex: '^@rubbet/core/[^/]+/', message: 'Import core by its folder entry points: @rubbet/core/<folder>.' },
          ...banned.map((b) => ({ regex: `(^@rubbet/${b}|/${b}/src/)`, message: `This package may not import ${b}.` })),
        ],
      },
    ],
  },
});

export default ts.config(
  { ignores: ['scripts/*.tmp.mjs', '**/dist/**', '**/node_modules/**', '.rubbet/**', '.rubbet-own/**', 'coverage/**'] },
  js.configs.recommended,
  ...ts.configs.recommended,
  {
    rules: {
      eqeqeq: ['error', 'always', { null: 'ignore' }],
      'no-console': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': ['error', { disallowTypeAnnotations: false }],
    },
  },
  { files: ['server/src/**/*.ts'], rules: { '@typescript-eslint/consistent-type-imports': 'off' } },
  {
    files: ['web/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
  {
    files: ['**/*.mjs'],
    languageOptions: {
      globals: Object.fromEntries(
        [
          'process',
          'console',
          'setTimeout',
          'clearTimeout',
          'setInterval',
          'clearInterval',
          'URL',
          'fetch',
          'AbortController',
          'AbortSignal',
          'TextDecoder',
          'Buffer',
          'location',
          'document',
          'localStorage',
          'performance',
        ].map((n) => [n, 'readonly']),
      ),
    },
  },
  ...CORE_ORDER.map(coreFolderRule),
  outerRule(['cli/src/**/*.ts'], ['server', 'web', 'demo']),
  outerRule(['web/src/**/*.{ts,tsx}'], ['server', 'cli', 'demo']),
  outerRule(['server/src/**/*.ts'], ['web', 'cli']),
);
