import type { Plugin } from 'vite'

/**
 * What a row of limits tells people who read the code: its range, unit and source. The page asks for its value alone.
 */
const FOR_READERS =
  /\b(?:low|high|unit|source):\s*(?:'(?:[^'\\]|\\.)*'|"(?:[^"\\]|\\.)*"|[-\d._e]+|[A-Z_]+),?\s*/g
const TABLE = /defineLimits\(\{\n[\s\S]*?\n\}\)/g

/** Leaves the ranges, units and sources of limits out of the page; stops the build where a row is written otherwise. */
export const limitsByValue: Plugin = {
  name: 'limits-by-value',
  apply: 'build',
  enforce: 'pre',
  transform(code, id) {
    if (!id.endsWith('.ts') || !code.includes('defineLimits({\n')) return null
    const text = code.replace(TABLE, (table) => {
      const bare = table.replace(FOR_READERS, '')
      if (/\b(low|high|unit|source):/.test(bare)) this.error(`a limit in ${id} is written in another way`)
      return bare
    })
    return { code: text, map: null }
  },
}
