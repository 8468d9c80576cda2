import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { isMainThread, parentPort, workerData } from 'node:worker_threads'
import { isCaseName } from '../src/model/headless/run'
import type { CaseName } from '../src/model/headless/cases'
import type { RowsAtHand } from '../src/model/headless/tablesOfCase'
import { main } from './core'
import { answerLines, answerStream, type Chunk } from './lines'

const read = () => {
  try {
    return readFileSync(0, 'utf8')
  } catch {
    return ''
  }
}

/** In a worker of a stream: chunks of cases in, their answers out. */
function work() {
  const { command } = workerData as { command: CaseName }
  const rows: RowsAtHand = new Map()
  parentPort!.on('message', (chunk: Chunk) => parentPort!.postMessage(answerLines(command, chunk, rows)))
}

async function run() {
  const [command, how] = process.argv.slice(2)
  if (command !== undefined && isCaseName(command) && how === '--lines') {
    const streams = { input: process.stdin, output: process.stdout, script: fileURLToPath(import.meta.url) }
    const { wrong } = await answerStream(command, streams)
    if (wrong > 0) process.stderr.write(`core ${command}: ${wrong} of the lines could not be used.\n`)
    process.exitCode = wrong > 0 ? 2 : 0
    return
  }
  process.exitCode = main(
    command,
    command === undefined ? '' : read(),
    (s) => process.stdout.write(s),
    (s) => process.stderr.write(`${s}\n`),
  )
}

if (isMainThread) await run()
else work()
