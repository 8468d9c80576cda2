import { defineConfig, mergeConfig } from 'vitest/config'
import base from './vitest.config'
import NearestFirst from './scripts/lib/nearestFirst'

/**
 * The tests that mutants are tried on. Pinned answers know what a figure is today and not what is right: they are not
 * counted. What starts programs of its own, or reads the tree, says nothing of a mutant either.
 */
export default mergeConfig(
  base,
  defineConfig({
    test: {
      exclude: [
        '**/pinned.test.ts',
        '**/standsAlone.test.ts',
        'server/**',
        'scripts/**',
        'src/components/**',
      ],
      setupFiles: ['src/testing/setup.ts'],
      sequence: { sequencer: NearestFirst },
    },
  }),
)
