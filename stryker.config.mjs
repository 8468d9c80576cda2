/** Mutation testing of what works things out and what keeps them; see scripts/mutate.mjs. */
export default {
  testRunner: 'vitest',
  plugins: ['@stryker-mutator/vitest-runner'],
  vitest: { configFile: 'vitest.mutate.config.ts', related: false },
  coverageAnalysis: 'perTest',
  mutate: [
    'src/{core,model,storage}/**/*.ts',
    '!src/**/*.test.ts',
    '!src/**/testing/**',
    '!src/core/data/**',
    '!src/storage/migrations/**',
  ],
  // Words of errors of our own making, and names of codes, decide nothing a figure shows.
  mutator: { excludedMutations: ['StringLiteral'] },
  ignoreStatic: true,
  ignorePatterns: ['dist*', 'docs/screenshots', 'e2e', 'test-results', 'public', '.cache', 'bench'],
  incremental: true,
  incrementalFile: 'node_modules/.cache/open-bed/mutants.json',
  tempDirName: '.cache/stryker',
  concurrency: Number(process.env.CORES ?? 2),
  timeoutMS: 10_000,
  timeoutFactor: 3,
  reporters: ['json', 'progress-append-only'],
  jsonReporter: { fileName: 'test-results/mutants.json' },
  clearTextReporter: { allowColor: false },
  disableTypeChecks: false,
}
