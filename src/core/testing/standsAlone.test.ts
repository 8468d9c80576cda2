import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, test } from 'vitest'

describe('the core stands alone', () => {
  const files = (folder: string): string[] =>
    readdirSync(folder, { withFileTypes: true }).flatMap((e) =>
      e.isDirectory() ? files(join(folder, e.name)) : [join(folder, e.name)],
    )
  const sources = files('src/core').filter(
    (f) => f.endsWith('.ts') && !f.includes('testing') && !f.endsWith('.test.ts'),
  )
  test.each(sources)('%s imports nothing but the core, and is short', (file) => {
    const text = readFileSync(file, 'utf8')
    // The core must run in a page, a worker, a server and a test alike, and be read in one sitting.
    for (const [, from] of text.matchAll(/from '([^']+)'/g)) expect(from).toMatch(/^\.\.?(\/|$)/)
    expect(text).not.toMatch(/Math\.random|Date\.now|new Date|document\.|window\./)
    expect(text.split('\n').length).toBeLessThanOrEqual(300)
  })
})
