import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import vue from 'eslint-plugin-vue';
import tseslint from 'typescript-eslint';

/**
 * Which folders of core a folder may import, besides itself. The direction is the architecture: what is not listed here
 * is not allowed.
 */
const MAY_IMPORT = {
  numeric: [],
  plane: ['numeric'],
  polygon: ['numeric', 'plane'],
  surface: ['numeric', 'plane'],
  blank: ['numeric', 'surface'],
  photo: ['plane'],
  artwork: ['plane', 'polygon', 'photo'],
  wrap: ['numeric', 'plane', 'polygon', 'surface', 'blank', 'artwork', 'stack'],
  sheet: ['numeric', 'plane', 'polygon', 'artwork'],
  stack: ['plane', 'polygon', 'artwork', 'sheet'],
  cut: ['plane', 'polygon', 'artwork', 'stack', 'sheet'],
  proof: ['numeric', 'plane', 'polygon', 'surface', 'blank', 'artwork', 'stack', 'sheet', 'wrap'],
  bench: ['numeric', 'plane', 'artwork', 'surface', 'blank', 'wrap', 'cut', 'proof'],
  log: [],
  document: ['artwork', 'blank', 'stack', 'sheet', 'wrap', 'proof', 'log'],
  io: [
    'plane',
    'surface',
    'polygon',
    'artwork',
    'blank',
    'stack',
    'sheet',
    'cut',
    'wrap',
    'bench',
    'proof',
    'document',
  ],
};
const folders = Object.keys(MAY_IMPORT);

const coreDirections = folders.map((folder) => ({
  files: [`core/src/${folder}/**/*.ts`],
  ignores: ['**/*.test.ts', '**/*.bench.ts'],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          {
            group: [
              ...folders.filter((f) => f !== folder && !MAY_IMPORT[folder].includes(f)).map((f) => `**/${f}/**`),
              '@mivet/*',
              'node:*',
              'vue',
            ],
            message: `core/src/${folder} may import only: ${['itself', ...MAY_IMPORT[folder]].join(', ')}.`,
          },
        ],
      },
    ],
  },
}));

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
      // The compiler of the page knows these globals.
      'no-undef': 'off',
    },
  },
  ...coreDirections,
  {
    files: ['app/src/components/**'],
    rules: {
      'no-restricted-imports': [
        'error',
        { patterns: [{ group: ['@mivet/core/*', '**/core/src/**'], message: 'Use what core exports.' }] },
      ],
    },
  },
  {
    files: ['core/src/**/*.ts'],
    rules: { 'no-restricted-globals': ['error', 'document', 'window', 'process', 'Date'] },
  },
  prettier,
);
