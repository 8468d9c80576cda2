/** npm run starters: works the starter mixes out anew and writes them with today's date. */
import { ensureCoreBuilt, ensureInstalled, run } from './lib/setup.mjs'

ensureInstalled()
ensureCoreBuilt()
process.exit(run(process.execPath, ['dist-core/starters.js', '--write-starters']))
