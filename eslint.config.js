import js from '@eslint/js';
import astro from 'eslint-plugin-astro';
import jsdoc from 'eslint-plugin-jsdoc';
import reactHooks from 'eslint-plugin-react-hooks';
import { defineConfig } from 'eslint/config';
import tseslint from 'typescript-eslint';

/** The core has no interface, storage, clock, network or unseeded random. */
const CORE_FORBIDDEN = ['react', 'react-dom', 'dexie', 'dexie-react-hooks', 'comlink', 'astro'];

const EXPORTED = [
  'ExportNamedDeclaration > FunctionDeclaration',
  'ExportNamedDeclaration > VariableDeclaration > VariableDeclarator > ArrowFunctionExpression',
];

export default defineConfig(
  { ignores: ['dist', '.astro', 'node_modules', 'test-results', 'playwright-report'] },
  js.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    extends: [tseslint.configs.strictTypeChecked],
    languageOptions: { parserOptions: { projectService: true } },
    rules: {
      // Numeric code indexes arrays whose length it knows; the compiler does not.
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      // Naming a field in a rest pattern is how it is left out.
      '@typescript-eslint/no-unused-vars': ['error', { ignoreRestSiblings: true }],
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: false }],
    },
  },
  {
    files: ['src/core/**/*.ts'],
    rules: {
      'no-restricted-imports': ['error', ...CORE_FORBIDDEN],
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'localStorage',
        'fetch',
        'setTimeout',
      ],
      'no-restricted-properties': [
        'error',
        {
          object: 'Math',
          property: 'random',
          message: 'The core takes its randomness from a seed.',
        },
        { object: 'Date', property: 'now', message: 'The core has no clock.' },
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'The core has no clock.',
        },
      ],
    },
  },
  {
    // Every exported function of the core says what it takes and what it returns.
    files: ['src/core/**/*.ts'],
    plugins: { jsdoc },
    settings: { jsdoc: { mode: 'typescript' } },
    rules: {
      'jsdoc/require-jsdoc': [
        'error',
        {
          publicOnly: true,
          require: { ArrowFunctionExpression: true, FunctionDeclaration: true },
          enableFixer: false,
        },
      ],
      'jsdoc/require-param': [
        'error',
        {
          checkDestructured: false,
          checkDestructuredRoots: false,
          contexts: EXPORTED,
          enableFixer: false,
        },
      ],
      'jsdoc/require-param-description': 'error',
      'jsdoc/require-returns': ['error', { contexts: EXPORTED, enableFixer: false }],
      'jsdoc/require-returns-description': 'error',
      'jsdoc/check-tag-names': 'error',
      'jsdoc/no-types': 'error',
    },
  },
  { files: ['src/islands/**/*.{ts,tsx}'], extends: [reactHooks.configs.flat.recommended] },
  ...astro.configs.recommended,
  {
    files: ['*.{js,mjs,ts}', 'scripts/**/*.{js,mjs,ts}', 'tests/**/*.ts'],
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        URL: 'readonly',
        setTimeout: 'readonly',
      },
    },
  },
);
