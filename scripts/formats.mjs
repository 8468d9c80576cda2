/** npm run formats: writes the JSON Schemas of the headless door's cases to docs/formats. */
import { ensureCoreBuilt, ensureInstalled, run } from './lib/setup.mjs'

ensureInstalled()
ensureCoreBuilt()
process.exit(run(process.execPath, ['dist-core/formats.js', '--write-schemas']))
