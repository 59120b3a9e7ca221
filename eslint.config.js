import js from '@eslint/js'
import globals from 'globals'
import ts from 'typescript-eslint'
import vue from 'eslint-plugin-vue'

export default ts.config(
  { ignores: ['**/node_modules', '**/dist', '.data', 'test-results', 'playwright-report', '**/api.d.ts'] },
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
  {
    files: ['scripts/**/*.mjs', 'e2e/**/*.ts'],
    languageOptions: { globals: globals.node },
    rules: { 'no-console': 'off' },
  },
)
