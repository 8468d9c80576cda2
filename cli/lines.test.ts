import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { PassThrough, Readable } from 'node:stream'
import { afterAll, beforeAll, expect, test } from 'vitest'
import type { RowsAtHand } from '../src/model/headless/tablesOfCase'
import { main } from './core'
import { answerLines, answerStream } from './lines'

const example = readFileSync('docs/formats/examples/volume.json', 'utf8')
const oneLine = JSON.stringify(JSON.parse(example))

test('a line of a stream has the answer its case has alone; a wrong one has its error, an empty one nothing', () => {
  const text = answerLines('volume', { first: 7, lines: [oneLine, '', '{"containers": []}', 'no JSON'] })
  const answers = text
    .trimEnd()
    .split('\n')
    .map((line) => JSON.parse(line))
  expect(answers.map((a) => a.line)).toEqual([7, 9, 10])
  let alone = ''
  main(
    'volume',
    example,
    (s) => (alone += s),
    () => null,
  )
  expect(answers[0].answer).toEqual(JSON.parse(alone))
  expect(answers[1].error).toMatch(/^containers: /)
  expect(answers[2].error).toMatch(/^the case is not JSON/)
})

test('lines that share own rows work them out once, and each has the rows of its own line', () => {
  const mixOf = (pH: number) => ({
    mix: [{ material: 'mine', parts: 1 }],
    ownMaterials: [{ id: 'mine', name: 'Mine', family: 'compost', known: { dryBulkDensity: 0.4, pH } }],
    container: {
      shape: { kind: 'roundPot', topDiameter: 30, baseDiameter: 24, height: 28 },
      headspace: 2,
      base: { kind: 'drainHoles' },
    },
    answer: 'figures',
  })
  const rows: RowsAtHand = new Map()
  const lines = [7, 5.5, 7].map((pH) => JSON.stringify(mixOf(pH)))
  const together = answerLines('evaluate', { first: 1, lines }, rows)
  const pHs = together
    .trimEnd()
    .split('\n')
    .map((l) => JSON.parse(l).answer.figures.pH as number)
  expect(pHs[0]).toBe(pHs[2])
  // A compost of pH 5.5 stays more acid than one of 7.
  expect(pHs[1]!).toBeLessThan(pHs[0]! - 0.5)
  expect(rows.size).toBe(2)
  expect(together).toBe(lines.map((l, i) => answerLines('evaluate', { first: i + 1, lines: [l] })).join(''))
})

let folder = ''
beforeAll(() => void (folder = mkdtempSync(join(tmpdir(), 'lines-'))))
afterAll(() => rmSync(folder, { recursive: true }))

test('answers come in the order of their lines, however long each takes, on as many workers as are asked for', async () => {
  // A worker that takes its time by chance and says which lines it had: what is tested is the order and the count.
  const script = join(folder, 'worker.mjs')
  writeFileSync(
    script,
    `import { parentPort } from 'node:worker_threads'
     parentPort.on('message', ({ first, lines }) => setTimeout(() => parentPort.postMessage(
       lines.map((l, i) => JSON.stringify(l === 'bad' ? { line: first + i, error: 'x' } : { line: first + i }) + '\\n').join('')
     ), (first * 7919) % 13))`,
  )
  const lines = Array.from({ length: 500 }, (_, i) => (i % 50 === 3 ? 'bad' : '{}'))
  for (const cores of [1, 4]) {
    const output = new PassThrough()
    let text = ''
    output.on('data', (part) => (text += part))
    const input = Readable.from([lines.join('\n')])
    const { wrong } = await answerStream('volume', { input, output, script }, cores)
    expect(wrong).toBe(10)
    const got = text
      .trimEnd()
      .split('\n')
      .map((line) => JSON.parse(line).line)
    expect(got).toEqual(lines.map((_, i) => i + 1))
  }
})
