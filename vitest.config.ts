import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  // Nothing here keeps state of its own; a world of its own for every file would take half of the time.
  test: {
    include: ['src/**/*.test.ts', 'server/**/*.test.ts', 'cli/**/*.test.ts', 'scripts/**/*.test.ts'],
    environment: 'node',
    // Thousands of draws on a slow machine: how fast they are is for the benchmarks to say.
    testTimeout: 60_000,
    expect: { poll: { timeout: 20_000 } },
    isolate: false,
    // Threads start and hand over faster than programs of their own.
    pool: 'threads',
    maxWorkers: 2,
    setupFiles: ['src/testing/setup.ts'],
  },
})
