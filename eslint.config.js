import { resolve } from 'node:path'
import js from '@eslint/js'
import boundaries from 'eslint-plugin-boundaries'
import prettier from 'eslint-config-prettier'
import vue from 'eslint-plugin-vue'
import globals from 'globals'
import ts from 'typescript-eslint'
import { ARROWS, elements } from './scripts/lib/arrows.mjs'

/** What a page has and the core and the model must not ask for. */
const PAGE = ['window', 'document', 'navigator', 'localStorage', 'indexedDB', 'fetch']
/** What only the outer layers may know. */
const INTERFACE = ['vue', 'vue-router', 'pinia', 'primevue*', '@vueuse/*', 'express']
const STORAGE = ['localforage']
const without = (...group) => ({
  'no-restricted-imports': [
    'error',
    { patterns: [{ group, message: 'This layer knows no page and no storage.' }] },
  ],
})

/** The arrows of docs/architecture.md, each an allowance; everything else is refused. */
const arrow = (type, kind, to) => ({
  from: { element: { type } },
  allow: { to: { element: { types: { anyOf: to } } }, dependency: { kind } },
})
const policiesOf = (type) => {
  const { uses, types } = ARROWS[type]
  return [
    { from: { element: { type } }, allow: { to: { element: { types: { anyOf: [type, ...uses] } } } } },
    ...(types.length > 0 ? [arrow(type, 'type', types)] : []),
  ]
}
const UNTESTED = ['src/**/*.test.ts', 'src/**/testing/**']
/** A layer is asked about its own arrows only. A pattern within another comes last, because the last one counts. */
const layers = elements.toReversed().map(({ type, pattern }) => ({
  files: [`${pattern}/*.{ts,vue}`],
  ignores: UNTESTED,
  rules: { 'boundaries/dependencies': ['error', { default: 'disallow', policies: policiesOf(type) }] },
}))

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
  ...vue.configs['flat/recommended'].map((config) => ({ ...config, files: ['**/*.vue'] })),
  {
    files: ['**/*.vue'],
    languageOptions: { parserOptions: { parser: ts.parser }, globals: globals.browser },
    rules: { 'vue/multi-word-component-names': 'off' },
  },
  {
    // Of the rules of components those that a composable or a store can break as well.
    files: ['src/{app,composables,stores,components}/**/*.ts'],
    plugins: { vue },
    rules: {
      'vue/no-async-in-computed-properties': 'error',
      'vue/no-ref-as-operand': 'error',
      'vue/no-side-effects-in-computed-properties': 'error',
      'vue/no-watch-after-await': 'error',
      'vue/return-in-computed-property': 'error',
    },
  },
  {
    files: ['scripts/**', 'server/**', 'cli/**', '*.config.*', 'e2e/**', 'bench/**'],
    languageOptions: { globals: globals.node },
  },
  { files: ['src/**/*.ts'], languageOptions: { globals: globals.browser } },
  { files: ['**/*.cjs'], rules: { '@typescript-eslint/no-require-imports': 'off' } },
  {
    rules: {
      // The compiler knows better.
      'no-undef': 'off',
      'no-unused-vars': 'off',
      '@typescript-eslint/no-unused-vars': 'off',
      eqeqeq: 'error',
      '@typescript-eslint/consistent-type-imports': 'error',
    },
  },
  // A function does one thing that has a name, of few things given.
  {
    files: ['src/**/*.{ts,vue}', 'bench/**', 'scripts/**', 'cli/**', 'server/**'],
    ignores: ['**/*.test.ts', '**/testing/**'],
    rules: { 'max-lines-per-function': ['error', 60], 'max-params': ['error', 4] },
  },
  // Every sentence of the interface is in src/text: a component names it.
  {
    files: ['src/**/*.vue'],
    rules: {
      'vue/no-bare-strings-in-template': [
        'error',
        {
          attributes: {
            '/.+/': [
              'title',
              'aria-label',
              'aria-description',
              'placeholder',
              'alt',
              'label',
              'hint',
              'header',
              'legend',
              'keep',
              'none',
              'search',
              'help',
              'heading',
              'note',
              'text',
              'file-name',
            ],
          },
          directives: ['v-text'],
          // Signs, not words.
          allowlist: [
            '(',
            ')',
            ',',
            '.',
            '&',
            '+',
            '-',
            '=',
            '*',
            '/',
            '#',
            '%',
            '!',
            '?',
            ':',
            ';',
            '[',
            ']',
            '{',
            '}',
            '<',
            '>',
            '·',
            '•',
            '–',
            '—',
            '−',
            '|',
            '×',
            '⚠',
            '✓',
            '→',
            '…',
          ],
        },
      ],
    },
  },
  // Plain scripts have no compiler that knows.
  { files: ['**/*.{js,mjs,cjs}'], rules: { 'no-unused-vars': 'error' } },
  {
    files: ['src/**/*.ts', 'src/**/*.vue'],
    ignores: UNTESTED,
    plugins: { boundaries },
    settings: {
      'boundaries/elements': elements,
      'import/resolver': { [resolve('scripts/lib/resolver.cjs')]: {} },
    },
  },
  ...layers,
  {
    // Nothing an answer could depend on but what is asked: no state, no clock, no chance of its own, no page.
    files: ['src/core/**/*.ts', 'src/model/**/*.ts'],
    ignores: ['src/**/*.test.ts', 'src/**/testing/**'],
    languageOptions: { globals: {} },
    rules: {
      ...without(...INTERFACE, ...STORAGE),
      'no-restricted-syntax': [
        'error',
        {
          selector:
            'Program > VariableDeclaration[kind!="const"], Program > ExportNamedDeclaration > VariableDeclaration[kind!="const"]',
          message: 'A module keeps no state: make it an argument.',
        },
        {
          // What decides is a row of limits or a constant with its source; loops and rounding may count.
          selector:
            ':not(ForStatement) > BinaryExpression[operator=/^[<>]=?$/] > Literal[raw=/^(?!0$|1$|2$|12$|1e|0\\.0*1$)[0-9]/]',
          message: 'A bare threshold: make it a limit with its unit and source.',
        },
      ],
      'no-restricted-globals': ['error', ...PAGE],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Seed it from outside.' },
      ],
    },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['src/**/*.test.ts', 'src/**/testing/**'],
    rules: {
      'no-restricted-globals': ['error', ...PAGE, 'Date'],
    },
  },
  {
    files: ['src/text/**/*.ts', 'src/painting/**/*.ts'],
    ignores: ['src/**/*.test.ts'],
    rules: without(...INTERFACE, ...STORAGE),
  },
  {
    // Storage is where the browser's database is at home.
    files: ['src/storage/**/*.ts', 'src/workers/**/*.ts'],
    ignores: ['src/**/*.test.ts'],
    rules: without(...INTERFACE),
  },
  {
    files: ['src/{views,components,composables,stores}/**'],
    ignores: ['src/**/*.test.ts'],
    rules: without(...STORAGE, 'express'),
  },
  prettier,
)
