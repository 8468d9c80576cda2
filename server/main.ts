import { existsSync } from 'node:fs'
import { resolve } from 'node:path'
import { createApp, serverOf } from './createApp'

const DEFAULT_PORT = 4170
/** This machine alone, unless told otherwise: HOST=0.0.0.0 lets the whole network in. */
const host = process.env.HOST ?? '127.0.0.1'

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

const server = serverOf(createApp({ dist, startGarden }))
server.on('error', (error: Error & { code?: string }) => {
  if (error.code === 'EADDRINUSE')
    fail(
      `Port ${port} is taken by another program. Choose another: PORT=${port + 1} npm run ${startGarden === 'demo' ? 'demo' : 'start'}`,
    )
  if (error.code === 'EACCES')
    fail(`This machine does not let you use port ${port}. Choose one above 1024, like ${DEFAULT_PORT}.`)
  if (error.code === 'EADDRNOTAVAIL' || error.code === 'ENOTFOUND')
    fail(`HOST is “${host}”, which is not an address of this machine. Leave it out, or try HOST=0.0.0.0.`)
  fail(`The server could not start: ${error.message}`)
})
server.listen(port, host, () => {
  const address = server.address()
  const actual = typeof address === 'object' && address ? address.port : port
  const name = host === '127.0.0.1' || host === '0.0.0.0' ? 'localhost' : host
  console.log(`Open Bed is at http://${name}:${actual}/${startGarden}   (stop with Ctrl+C)`)
})
for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.on(signal, () => {
    server.closeAllConnections()
    server.close(() => process.exit(0))
  })
