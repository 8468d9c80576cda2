import { createInterface } from 'node:readline'
import { once } from 'node:events'
import type { Readable, Writable } from 'node:stream'
import { availableParallelism } from 'node:os'
import { Worker } from 'node:worker_threads'
import type { CaseName } from '../src/model/headless/cases'
import type { RowsAtHand } from '../src/model/headless/tablesOfCase'
import { answerOf, short } from './core'

/** Cases that one worker takes at a time: enough that handing over costs nothing, few enough that all stay busy. */
const AT_ONCE = 16
/** Chunks under way for each worker, so that none waits and memory stays small. */
const AHEAD = 3

/** Lines of a stream, the first of them by its number from 1. */
export interface Chunk {
  first: number
  lines: string[]
}

/**
 * The answers to some lines, one line of JSON for each: `{"line", "answer"}`, or `{"line", "error"}` where the case
 * cannot be used. An empty line is passed over.
 */
export const answerLines = (command: CaseName, { first, lines }: Chunk, rows?: RowsAtHand): string =>
  lines
    .map((text, i) => {
      if (text.trim() === '') return ''
      const line = first + i
      const done = answerOf(command, text, rows)
      return `${JSON.stringify(done.ok ? { line, answer: done.answer } : { line, error: done.wrong }, short)}\n`
    })
    .join('')

/** One worker and the chunk it has. */
class Hand {
  constructor(private readonly worker: Worker) {}
  async answer(chunk: Chunk): Promise<string> {
    const back = once(this.worker, 'message')
    this.worker.postMessage(chunk)
    return ((await back) as [string])[0]
  }
  stop = () => this.worker.terminate()
}

async function* chunksOf(input: Readable): AsyncGenerator<Chunk> {
  let [first, lines] = [1, [] as string[]]
  for await (const line of createInterface({ input, crlfDelay: Infinity })) {
    lines.push(line)
    if (lines.length < AT_ONCE) continue
    yield { first, lines }
    first += lines.length
    lines = []
  }
  if (lines.length > 0) yield { first, lines }
}

/**
 * Answers a stream of cases, one JSON in each line, in their order, on all cores. A line that cannot be used gets its
 * error and the others go on; the answer counts them. `script` is this program, started anew in each worker.
 */
export async function answerStream(
  command: CaseName,
  { input, output, script }: { input: Readable; output: Writable; script: string },
  cores = availableParallelism(),
): Promise<{ wrong: number }> {
  const hands = Array.from({ length: cores }, () => new Hand(new Worker(script, { workerData: { command } })))
  const free = [...hands]
  const waiting: (() => void)[] = []
  const hand = async () => {
    while (free.length === 0) await new Promise<void>((go) => waiting.push(go))
    return free.pop()!
  }
  let wrong = 0
  const under: Promise<string>[] = []
  const put = async () => {
    const text = await under.shift()!
    wrong += text.split('\n').filter((l) => /^\{"line":\d+,"error"/.test(l)).length
    if (!output.write(text)) await once(output, 'drain')
  }
  try {
    for await (const chunk of chunksOf(input)) {
      const mine = await hand()
      under.push(
        mine.answer(chunk).finally(() => {
          free.push(mine)
          waiting.shift()?.()
        }),
      )
      if (under.length >= cores * AHEAD) await put()
    }
    while (under.length > 0) await put()
  } finally {
    await Promise.all(hands.map((h) => h.stop()))
  }
  return { wrong }
}
