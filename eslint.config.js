import js from '@eslint/js'
import globals from 'globals'
import ts from 'typescript-eslint'
import vue from 'eslint-plugin-vue'

const oneWay = (room, patterns) => ({
  files: [`${room}/src/**/*.{ts,vue}`],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: patterns.map((group) => ({
          group: [group],
          message: `${room} may not import this: see docs/architecture.md`,
        })),
      },
    ],
  },
})

/** Rooms of core, lowest first: each may use those before it, and none after it. `testing` is for tests. */
const CORE_ROOMS = [
  'basis',
  'quantity',
  'assumptions',
  'model',
  'reference',
  'sheet',
  'weldlist',
  'catalogue',
  'library',
  'calculation',
  'trade',
  'supply',
  'duty',
  'capability',
  'demand',
  'criteria',
  'capacity',
  'power',
  'assembly',
  'fit',
  'board',
  'purchase',
  'words',
  'decision',
]
const coreRoom = (room, index) => ({
  files: [`core/src/${room}/**/*.ts`],
  ignores: ['core/src/**/*.{test,bench}.ts'],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          { group: ['node:*', 'vue', 'express', 'pg', '@brannik/*'], message: 'core depends on Zod alone' },
          ...[...CORE_ROOMS.slice(index + 1), 'testing'].map((above) => ({
            group: [`../${above}/*`, `../../${above}/*`],
            message: `${room} stands below ${above}: see the rooms of core in docs/architecture.md`,
          })),
        ],
      },
    ],
  },
})

export default ts.config(
  { ignores: ['**/node_modules', '**/dist', '.data', 'test-results', 'playwright-report'] },
  js.configs.recommended,
  ...ts.configs.strict,
  ...ts.configs.stylistic,
  ...vue.configs['flat/recommended'],
  { files: ['**/*.vue'], languageOptions: { parserOptions: { parser: ts.parser } } },
  {
    rules: {
      'no-console': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      eqeqeq: ['error', 'always'],
      '@typescript-eslint/consistent-type-imports': [
        'error',
        { fixStyle: 'inline-type-imports', prefer: 'type-imports' },
      ],
      // Layout is Prettier's.
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/multiline-html-element-content-newline': 'off',
      'vue/html-self-closing': 'off',
      'vue/html-indent': 'off',
      'vue/html-closing-bracket-newline': 'off',
      'vue/first-attribute-linebreak': 'off',
      // Vuetify's slots are named `item.name`.
      'vue/valid-v-slot': ['error', { allowModifiers: true }],
      // An optional prop is undefined where it is not given: the type says so.
      'vue/require-default-prop': 'off',
      // TypeScript resolves names.
      'no-undef': 'off',
    },
  },
  // Core runs anywhere: no DOM, no Node, no clock, no randomness.
  {
    files: ['core/src/**/*.ts'],
    ignores: ['core/src/**/*.{test,bench}.ts', 'core/src/testing/**'],
    rules: {
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'process',
        'fetch',
        'Date',
        'setTimeout',
        'localStorage',
      ],
      'no-restricted-properties': ['error', { object: 'Math', property: 'random' }],
    },
  },
  ...CORE_ROOMS.map(coreRoom),
  oneWay('server', ['vue', 'vuetify', 'pinia', '@brannik/web']),
  oneWay('web', ['express', 'pg', 'node:*', '@brannik/server']),
  {
    files: ['scripts/**/*.mjs', 'e2e/**/*.ts'],
    languageOptions: { globals: globals.node },
    rules: { 'no-console': 'off' },
  },
)
