import { readFileSync } from 'node:fs'
import { main } from './core'

const read = () => {
  try {
    return readFileSync(0, 'utf8')
  } catch {
    return ''
  }
}
const command = process.argv[2]
process.exitCode = main(
  command,
  command === undefined ? '' : read(),
  (s) => process.stdout.write(s),
  (s) => process.stderr.write(`${s}\n`),
)
