/**
 * npm run --silent core -- evaluate|find|dose|batch|volume|water|feed|treat|raise|rotate < case.json: sets up and
 * builds what is missing, then runs it; with `--lines` a case in each line and an answer for each, in their order, on
 * all cores.
 */
import { ensureCoreBuilt, ensureInstalled, run } from './lib/setup.mjs'

// What is set up is said on stderr: stdout holds the answer and nothing else.
console.log = console.error
ensureInstalled()
ensureCoreBuilt()
process.exit(run(process.execPath, ['dist-core/core.js', ...process.argv.slice(2)]))
