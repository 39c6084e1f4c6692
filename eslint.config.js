import js from '@eslint/js';
import astro from 'eslint-plugin-astro';
import { importX } from 'eslint-plugin-import-x';
import reactHooks from 'eslint-plugin-react-hooks';
import { defineConfig } from 'eslint/config';
import tseslint from 'typescript-eslint';

/**
 * The rooms of the core, top to bottom: a room may import from itself and from the
 * rooms above it. A new room gets its line here.
 */
const CORE_ROOMS = [
  'problems',
  'units',
  'geometry',
  'measures',
  'instruments',
  'photo',
  'person',
  'rules',
  'body',
  'props',
  'poses',
  'cautions',
  'solver',
  'setup',
  'sessions',
  'progress',
  'drawing',
  'paper',
  'poseCheck',
  'formats',
  'backup',
  'extract',
];

/** Who may be imported by whom outside the core: pages → islands → data and workers → core. */
const COLUMNS = {
  core: [],
  data: ['core'],
  workers: ['core'],
  server: ['core'],
  islands: ['core', 'data', 'workers'],
  layouts: ['islands', 'styles'],
  pages: ['core', 'islands', 'layouts', 'server', 'styles'],
};

const coreZones = CORE_ROOMS.flatMap((room, index) =>
  CORE_ROOMS.slice(index + 1).map((below) => ({
    target: `./src/core/${room}`,
    from: `./src/core/${below}`,
    message: `core/${room} stands above core/${below} and may not import from it.`,
  })),
);

const columnZones = Object.entries(COLUMNS).map(([column, allowed]) => ({
  target: `./src/${column}`,
  from: './src',
  except: [column, ...allowed].map((each) => `./${each}`),
  message: `src/${column} may import only from ${[column, ...allowed].join(', ')}.`,
}));

/** The core has no interface, storage, clock, network or unseeded random. */
const CORE_FORBIDDEN = ['react', 'react-dom', 'dexie', 'dexie-react-hooks', 'comlink', 'astro'];

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
    files: ['src/**/*.{ts,tsx,astro}'],
    plugins: { 'import-x': importX },
    settings: { 'import-x/parsers': { '@typescript-eslint/parser': ['.ts', '.tsx'] } },
    rules: {
      'import-x/no-cycle': 'error',
      'import-x/no-restricted-paths': ['error', { zones: [...coreZones, ...columnZones] }],
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
