import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import importX, { createNodeResolver } from 'eslint-plugin-import-x';
import vue from 'eslint-plugin-vue';
import { fileURLToPath } from 'node:url';
import tseslint from 'typescript-eslint';
import { directions } from './lint/directions.js';
import * as everyImport from './lint/every-import-parser.js';

const EVERY_IMPORT = fileURLToPath(new URL('lint/every-import-parser.js', import.meta.url));

export default tseslint.config(
  { ignores: ['**/dist/', '**/node_modules/', 'app/components.d.ts', '.tmp/', 'e2e/results/', 'e2e/report/'] },
  js.configs.recommended,
  ...tseslint.configs.strict,
  ...vue.configs['flat/recommended'],
  {
    files: ['**/*.vue'],
    languageOptions: { parserOptions: { parser: tseslint.parser } },
  },
  {
    rules: {
      // Indexes are checked by the compiler; where an invariant holds, `!` says so.
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'vue/multi-word-component-names': 'error',
      'vue/no-v-html': 'error',
      // What the library of components has is its component; what is drawn in SVG, and the file inputs that a label stands
      // for, are ours (docs/decisions/0036).
      'vue/no-restricted-html-elements': [
        'error',
        ...['button', 'select', 'textarea', 'table', 'details', 'dialog', 'progress'].map((element) => ({
          element,
          message: `Use the library's component instead of <${element}>.`,
        })),
      ],
      // The compiler of the page knows these globals.
      'no-undef': 'off',
    },
  },
  ...directions,
  {
    // No file imports another that imports it, however far round, and be it only for a type.
    files: ['{core,app,cli,server}/src/**/*.{ts,vue}'],
    languageOptions: { parser: everyImport },
    plugins: { 'import-x': importX },
    settings: {
      'import-x/parsers': { [EVERY_IMPORT]: ['.ts', '.vue'] },
      'import-x/extensions': ['.ts', '.vue'],
      'import-x/resolver-next': [createNodeResolver({ extensions: ['.ts', '.vue'] })],
    },
    rules: { 'import-x/no-cycle': ['error', { ignoreExternal: true }] },
  },
  {
    files: ['core/src/**/*.ts'],
    rules: { 'no-restricted-globals': ['error', 'document', 'window', 'process', 'Date'] },
  },
  {
    // Left to themselves they give up after a second, which is a judgement of speed.
    files: ['app/**/*.test.ts'],
    rules: {
      'no-restricted-properties': [
        'error',
        { object: 'vi', property: 'waitFor', message: 'Use `eventually` of app/test/until.ts.' },
        { object: 'vi', property: 'waitUntil', message: 'Use `until` of app/test/until.ts.' },
      ],
    },
  },
  prettier,
);
