import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { Plugin } from 'vite'
import { missingSources, TABLES } from '../../src/model/sheets/tableSchemas'

/** Stops a build whose data tables do not fit their Zod schemas, saying which row and why. */
export function checkTables(folder: string): Plugin {
  return {
    name: 'check-tables',
    buildStart() {
      const read = (file: string): unknown => JSON.parse(readFileSync(join(folder, file), 'utf8'))
      const sources = TABLES['sources.json'].parse(read('sources.json'))
      for (const [file, schema] of Object.entries(TABLES)) {
        const result = schema.safeParse(read(file))
        if (!result.success) {
          const first = result.error.issues[0]!
          this.error(
            `${file}, ${first.path.join('.')}: ${first.message} (${result.error.issues.length} in all)`,
          )
        }
        if (file === 'sources.json') continue
        const missing = missingSources(result.data, sources)
        if (missing.length > 0) this.error(`${file}: no source called ${missing.join(', ')}`)
      }
    },
  }
}
