import js from '@eslint/js'
import prettier from 'eslint-config-prettier'
import vue from 'eslint-plugin-vue'
import globals from 'globals'
import ts from 'typescript-eslint'

const OUTSIDE = ['vue', 'vue-router', 'pinia', 'primevue*', 'localforage', '@vueuse/*', 'express']
const forbid = (dirs, message) => [
  'error',
  {
    patterns: [
      { group: OUTSIDE, message },
      { group: dirs.flatMap((d) => [`@/${d}/*`, `@/${d}`, `**/${d}/*`]), message },
    ],
  },
]

export default ts.config(
  { ignores: ['dist', 'dist-server', 'dist-core', '.cache', 'node_modules', 'test-results', 'playwright-report'] },
  js.configs.recommended,
  ...ts.configs.recommended,
  ...vue.configs['flat/recommended'],
  {
    files: ['**/*.vue'],
    languageOptions: { parserOptions: { parser: ts.parser }, globals: globals.browser },
  },
  { files: ['scripts/**', 'server/**', 'cli/**', '*.config.*', 'e2e/**', 'bench/**'], languageOptions: { globals: globals.node } },
  { files: ['src/**/*.ts'], languageOptions: { globals: globals.browser } },
  {
    rules: {
      'vue/multi-word-component-names': 'off',
      'no-undef': 'off', // the compiler knows better
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
      'no-restricted-globals': ['error', 'window', 'document', 'navigator', 'localStorage', 'indexedDB', 'fetch', 'Date'],
      'no-restricted-properties': ['error', { object: 'Math', property: 'random', message: 'Seed it from outside.' }],
    },
  },
  {
    // The model is plain data and commands: it may use the core and Zod, nothing else.
    files: ['src/model/**/*.ts'],
    ignores: ['src/model/**/*.test.ts'],
    rules: {
      'no-restricted-imports': forbid(
        ['stores', 'views', 'components', 'composables', 'storage', 'workers', 'text', 'demo'],
        'src/model uses the core only.',
      ),
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
