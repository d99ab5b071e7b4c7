import boundaries from 'eslint-plugin-boundaries';
import importX from 'eslint-plugin-import-x';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';
import { createTypeScriptImportResolver } from 'eslint-import-resolver-typescript';
import { builtinModules } from 'node:module';

/** The layers from top to bottom, each with what below it it may import (and its own kind). */
const MAY_IMPORT = {
  app: ['ui', 'services', 'core'],
  ui: ['workers', 'services', 'devices', 'core'],
  workers: ['core'],
  services: ['workers', 'devices', 'store', 'core'],
  devices: ['core'],
  store: ['core'],
  core: [],
};
const LAYERS = Object.keys(MAY_IMPORT);

const arrows = LAYERS.map((layer) => ({
  from: { element: { type: layer } },
  allow: { to: { element: { types: { anyOf: [layer, ...MAY_IMPORT[layer]] } } } },
}));

/** The floors of the core from bottom to top. A room may look into itself and into rooms on lower floors. */
const CORE_FLOORS = [
  ['calendar', 'units'],
  ['model'],
  ['foods', 'kitchen', 'packaging', 'firstout', 'life'],
  ['keeping', 'thermal'],
  ['portions', 'placement', 'powercut'],
  ['quickline', 'drill'],
  ['haul', 'meals'],
  ['ledger'],
  ['labels'],
  ['stock'],
  ['shopping', 'lump', 'rounds', 'leaving', 'lookback'],
];

const coreArrows = CORE_FLOORS.flatMap((rooms, floor) =>
  rooms.map((room) => ({
    target: `./src/core/${room}/**/!(*.test).ts`,
    from: './src/core',
    except: [room, ...CORE_FLOORS.slice(0, floor).flat()].map((below) => `./${below}`),
    message: 'Arrows in the core point down: nouns at the bottom, verbs above.',
  })),
);

/** What the pure core must never know of. */
const OUTSIDE_CORE = ['react', 'react-dom', 'next', 'mysql2', 'joi', ...builtinModules];

export default tseslint.config(
  { ignores: ['node_modules', '.next', 'var', 'next-env.d.ts', 'test-results'] },
  ...tseslint.configs.recommended,
  {
    files: ['src/**/*.{ts,tsx}'],
    plugins: { boundaries, 'import-x': importX, 'react-hooks': reactHooks },
    settings: {
      'import/resolver': { typescript: { alwaysTryTypes: true } },
      'import-x/resolver-next': [createTypeScriptImportResolver({ alwaysTryTypes: true })],
      'import-x/extensions': ['.ts', '.tsx'],
      'import-x/parsers': { '@typescript-eslint/parser': ['.ts', '.tsx'] },
      'boundaries/elements': LAYERS.map((layer) => ({ type: layer, pattern: `src/${layer}` })),
    },
    rules: {
      ...reactHooks.configs.recommended.rules,
      'import-x/no-cycle': 'error',
      'import-x/no-duplicates': ['error', { 'prefer-inline': true }],
      'boundaries/dependencies': [
        'error',
        {
          default: 'disallow',
          message:
            'Arrows between layers point down: app > ui > workers > services > devices > store > core.',
          policies: [{ allow: { to: { module: { origin: ['external', 'core'] } } } }, ...arrows],
        },
      ],
    },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['src/core/**/*.test.ts'],
    rules: {
      'import-x/no-restricted-paths': ['error', { zones: coreArrows }],
      'no-restricted-imports': [
        'error',
        {
          paths: OUTSIDE_CORE.map((name) => ({ name, message: 'The core is pure.' })),
          patterns: [
            {
              group: ['node:*', 'react/*', 'react-dom/*', 'next/*', 'mysql2/*'],
              message: 'The core is pure.',
            },
          ],
        },
      ],
      'no-restricted-globals': ['error', 'process', 'window', 'document', 'localStorage', 'fetch'],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Chance is passed in.' },
        { object: 'Date', property: 'now', message: 'The clock is passed in.' },
      ],
    },
  },
  {
    files: ['**/*.{ts,tsx}'],
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
    },
  },
);
