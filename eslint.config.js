import js from '@eslint/js'
import prettier from 'eslint-config-prettier'
import vue from 'eslint-plugin-vue'
import globals from 'globals'
import ts from 'typescript-eslint'

const OUTSIDE = ['vue', 'vue-router', 'pinia', 'primevue*', 'localforage', '@vueuse/*', 'express']
const forbid = (dirs, message, outside = OUTSIDE) => [
  'error',
  {
    patterns: [
      { group: outside, message },
      { group: dirs.flatMap((d) => [`@/${d}/*`, `@/${d}`, `**/${d}/*`]), message },
    ],
  },
]

/** What each layer may not know, from the inside out; each may use what stands before it. */
const LAYERS = [
  [
    'model',
    ['stores', 'views', 'components', 'composables', 'storage', 'workers', 'text', 'demo'],
    'src/model is plain data and commands: it uses the core and Zod only.',
  ],
  [
    'text',
    ['stores', 'views', 'components', 'composables', 'workers', 'demo'],
    'src/text is sentences about the core, the model and storage.',
  ],
  [
    'storage',
    ['stores', 'views', 'components', 'composables', 'workers', 'demo', 'text'],
    'src/storage keeps records: it uses the core and the model only.',
  ],
  [
    'workers',
    ['stores', 'views', 'composables', 'demo', 'text'],
    'src/workers runs the core, the model, the reading of files and the painter beside the page.',
  ],
]

export default ts.config(
  {
    ignores: [
      'dist',
      'dist-server',
      'dist-core',
      '.cache',
      'node_modules',
      'test-results',
      'playwright-report',
    ],
  },
  js.configs.recommended,
  ...ts.configs.recommended,
  ...vue.configs['flat/recommended'],
  {
    files: ['**/*.vue'],
    languageOptions: { parserOptions: { parser: ts.parser }, globals: globals.browser },
  },
  {
    files: ['scripts/**', 'server/**', 'cli/**', '*.config.*', 'e2e/**', 'bench/**'],
    languageOptions: { globals: globals.node },
  },
  { files: ['src/**/*.ts'], languageOptions: { globals: globals.browser } },
  {
    rules: {
      'vue/multi-word-component-names': 'off',
      // The compiler knows better.
      'no-undef': 'off',
      'no-unused-vars': 'off',
      '@typescript-eslint/no-unused-vars': 'off',
      eqeqeq: 'error',
      '@typescript-eslint/consistent-type-imports': 'error',
    },
  },
  {
    // The core is pure: no interface, no storage, no clock, no chance of its own.
    files: ['src/core/**/*.ts'],
    ignores: ['src/core/**/*.test.ts'],
    languageOptions: { globals: {} },
    rules: {
      'no-restricted-imports': forbid(
        ['stores', 'views', 'components', 'composables', 'storage', 'workers', 'text', 'model', 'demo'],
        'src/core imports nothing outside itself.',
      ),
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'navigator',
        'localStorage',
        'indexedDB',
        'fetch',
        'Date',
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Seed it from outside.' },
      ],
    },
  },
  ...LAYERS.map(([layer, hidden, message]) => ({
    files: [`src/${layer}/**/*.ts`],
    ignores: ['src/**/*.test.ts'],
    rules: {
      'no-restricted-imports': forbid(
        hidden,
        message,
        // Storage is where the browser's database is at home.
        OUTSIDE.filter((name) => !(layer === 'storage' && name === 'localforage')),
      ),
    },
  })),
  {
    files: ['src/stores/**/*.ts', 'src/composables/**/*.ts', 'src/stations.ts'],
    ignores: ['src/**/*.test.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: ['@/views/*', '@/components/*', '@/demo/*'],
              message: 'Stores, composables and the table of stations know no pages and no pieces of them.',
            },
          ],
        },
      ],
    },
  },
  {
    // Types may come from anywhere; what runs may not.
    files: ['src/components/**'],
    rules: {
      '@typescript-eslint/no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: ['@/stores/*', '@/storage/*', '@/views/*'],
              message: 'Components get props and send events.',
              allowTypeImports: true,
            },
          ],
        },
      ],
    },
  },
  prettier,
)
