import { writeFileSync } from 'node:fs'
import { SCHOOLS, workOut } from '../src/model/mix/schools'

/** Every school's mix as the finder has it today. */
export const workAllOut = () => SCHOOLS.map((s) => ({ id: s.id, parts: workOut(s) }))

if (process.argv[2] === '--write-starters') {
  const workedOn = new Date().toISOString().slice(0, 10)
  const text = JSON.stringify({ workedOn, mixes: workAllOut() }, null, 2)
  writeFileSync('src/model/mix/starters.json', `${text}\n`)
}
