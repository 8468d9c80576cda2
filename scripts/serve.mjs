/** npm run demo, npm start: sets up what is missing, builds what is stale, serves. */
import { spawn } from 'node:child_process'
import { ensureBuilt, ensureInstalled } from './lib/setup.mjs'

ensureInstalled()
ensureBuilt()
const server = spawn(process.execPath, ['dist-server/main.js', ...process.argv.slice(2)], {
  stdio: 'inherit',
})
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal))
server.on('exit', (code) => process.exit(code ?? 0))
