import { existsSync } from 'node:fs'
import { resolve } from 'node:path'
import { createApp } from './createApp'

const DEFAULT_PORT = 4170

function fail(sentence: string): never {
  console.error(sentence)
  process.exit(1)
}

const startGarden = process.argv.includes('--demo') ? 'demo' : 'my'
const wanted = process.env.PORT ?? String(DEFAULT_PORT)
const port = Number(wanted)
if (!Number.isInteger(port) || port < 0 || port > 65_535)
  fail(`PORT is “${wanted}”, which is not a port number. Try PORT=${DEFAULT_PORT}.`)

const dist = resolve('dist')
if (!existsSync(dist))
  fail('The app has not been built yet: run “npm run build”, or start with “npm run demo”.')

const server = createApp({ dist, startGarden }).listen(port, (error?: Error & { code?: string }) => {
  if (error) {
    if (error.code === 'EADDRINUSE')
      fail(
        `Port ${port} is taken by another program. Choose another: PORT=${port + 1} npm run ${startGarden === 'demo' ? 'demo' : 'start'}`,
      )
    if (error.code === 'EACCES')
      fail(`This machine does not let you use port ${port}. Choose one above 1024, like ${DEFAULT_PORT}.`)
    fail(`The server could not start: ${error.message}`)
  }
  const address = server.address()
  const actual = typeof address === 'object' && address ? address.port : port
  console.log(`Open Bed is at http://localhost:${actual}/${startGarden}   (stop with Ctrl+C)`)
})
for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.on(signal, () => {
    server.closeAllConnections()
    server.close(() => process.exit(0))
  })
