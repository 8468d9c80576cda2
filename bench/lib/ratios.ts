import { existsSync, readFileSync, writeFileSync } from 'node:fs'

/**
 * Ratios of times, taken pairwise: a piece of work and its reference in turn, in one process, fifteen rounds; of each
 * its fastest round counts. What else the machine does only ever adds, and hardly to every round.
 */
const ROUNDS = 15
/** A round of each lasts about so long, ms. */
const LEAST = 12

const short = process.env.SHORT === '1'
const file = 'bench/baseline.json'
/** Worse by more than this is a failure. */
const WORSE = 1.2

const ms = (work: () => void): number => {
  const start = performance.now()
  work()
  return performance.now() - start
}
/** Done for so long before it is timed, ms: by then the engine has made of it what it makes. */
const WARM = 150
function warm(work: () => void) {
  const start = performance.now()
  do work()
  while (performance.now() - start < WARM)
}

/** How often a piece of work is done in a round. */
function timesIn(work: () => void): number {
  work()
  let times = 1
  for (;;) {
    const took = ms(() => {
      for (let i = 0; i < times; i++) work()
    })
    if (took >= LEAST / 4) return Math.max(1, Math.round((times * LEAST) / took))
    times *= 4
  }
}

interface Measured {
  name: string
  of: string
  ratio: number
  /** A goal, where there is one: at most that, or at least. */
  goal?: { most: number } | { least: number }
}

/** Ratios of one bench; `done` prints them and holds them to the baseline. */
export function ratiosOf(bench: string) {
  const rows: Measured[] = []
  const add = (row: Measured) => {
    rows.push(row)
    const { name, ratio, of, goal } = row
    const aim = !goal
      ? ''
      : 'most' in goal
        ? ` (goal: at most ${goal.most})`
        : ` (goal: at least ${goal.least})`
    console.log(`${name.padEnd(58)} ${ratio.toFixed(ratio < 1 ? 3 : 2).padStart(9)} x ${of}${aim}`)
  }
  return {
    add,
    /** Time of `work` over that of `reference`, each counted so many times. */
    pair(
      [name, work]: readonly [string, () => void],
      [of, reference]: readonly [string, () => void],
      { times = 1, goal, rounds = ROUNDS }: { times?: number; goal?: Measured['goal']; rounds?: number } = {},
    ): void {
      warm(work)
      warm(reference)
      const [ours, theirs] = [timesIn(work), timesIn(reference)]
      const each = (count: number, one: () => void) =>
        ms(() => {
          for (let i = 0; i < count; i++) one()
        }) / count
      let [mine, other] = [Infinity, Infinity]
      for (let i = 0; i < (short ? Math.min(rounds, 9) : rounds); i++) {
        mine = Math.min(mine, each(ours, work))
        other = Math.min(other, each(theirs, reference))
      }
      add({ name, of, ratio: mine / other / times, goal })
    },
    /** With `--check`: fails where a ratio is a fifth worse than the baseline; with `--write` it becomes that. */
    done(): void {
      const all = existsSync(file)
        ? (JSON.parse(readFileSync(file, 'utf8')) as Record<string, Record<string, number>>)
        : {}
      if (process.argv.includes('--write')) {
        all[bench] = Object.fromEntries(rows.map((r) => [r.name, Number(r.ratio.toPrecision(3))]))
        writeFileSync(file, `${JSON.stringify(all, null, 2)}\n`)
        console.log(`\n${rows.length} ratios written to ${file}`)
      }
      if (!process.argv.includes('--check')) return
      const known = all[bench] ?? {}
      const worse = rows.filter(({ name, ratio, goal }) => {
        const was = known[name]
        if (was === undefined) return true
        return goal && 'least' in goal ? ratio < was / WORSE : ratio > was * WORSE
      })
      for (const { name, ratio } of worse)
        console.error(`${name}: ${ratio.toPrecision(3)}, ${known[name] ?? 'nothing'} in ${file}`)
      console.log(`\n${rows.length - worse.length} of ${rows.length} ratios are within a fifth of ${file}`)
      if (worse.length > 0) process.exitCode = 1
    },
  }
}
