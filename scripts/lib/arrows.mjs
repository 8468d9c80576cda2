/**
 * Who may use whom in src: the drawing in docs/architecture.md, as data. The linter holds every import to it, and
 * scripts/arrows.test.ts holds it to the drawing and to what is really used. `types` may be imported as types alone.
 */
export const ARROWS = {
  core: { pattern: 'src/core/**', uses: [], types: [] },
  model: { pattern: 'src/model/**', uses: ['core'], types: [] },
  painting: { pattern: 'src/painting/**', uses: ['core', 'text'], types: [] },
  storage: { pattern: 'src/storage/**', uses: ['model'], types: [] },
  text: { pattern: 'src/text/**', uses: ['core', 'model'], types: ['storage'] },
  demo: { pattern: 'src/demo/**', uses: ['core', 'model'], types: [] },
  workers: { pattern: 'src/workers/**', uses: ['core', 'model', 'painting', 'storage'], types: [] },
  stores: { pattern: 'src/stores/**', uses: ['model', 'storage', 'text'], types: [] },
  page: { pattern: 'src/composables/page/**', uses: ['model', 'text', 'workers'], types: ['painting'] },
  composables: {
    pattern: 'src/composables/**',
    uses: ['core', 'model', 'page', 'stores', 'text', 'workers'],
    types: ['storage'],
  },
  components: {
    pattern: 'src/components/**',
    uses: ['core', 'model', 'page', 'painting', 'text'],
    types: ['composables', 'storage'],
  },
  stations: { pattern: 'src/stations/**', uses: ['text'], types: ['model'] },
  views: {
    pattern: 'src/views/**',
    uses: ['components', 'composables', 'core', 'model', 'page', 'stations', 'stores', 'text'],
    types: ['storage'],
  },
  app: {
    pattern: 'src/app/**',
    uses: ['components', 'composables', 'demo', 'page', 'stations', 'stores', 'text', 'views'],
    types: [],
  },
}

/** Kinds of import for the linter: files of one element may always use each other. */
export const elements = Object.entries(ARROWS)
  .map(([type, { pattern }]) => ({ type, pattern, partialMatch: false }))
  // A pattern that lies within another comes first.
  .sort((a, b) => b.pattern.length - a.pattern.length)
