import { averaged } from '@/core/fieldTests'
import { convertExtract } from '@/core/nutrients'
import type { Entry, Test } from '../garden/schemas'

/** What was noted and tested of a job. */
export interface Noted {
  entries: readonly Entry[]
  tests: readonly Test[]
}
export interface Read {
  at: string
  value: number
}

const FIGURE = { pH: 'pH', salts: 'electricalConductivity', sunk: 'sunk' } as const

/** Readings of a kind in the log and by tests, oldest first; salts as dS/m in the saturated extract, sinking in cm. */
export function readingsOf(kind: 'pH' | 'salts' | 'sunk', { entries, tests }: Noted): Read[] {
  const ofTests = tests.flatMap((t): Read[] => {
    const found = t.finishedAt ? averaged(t.test, t.repeats) : null
    const mean = found?.ok ? found.value[FIGURE[kind]]?.mean : undefined
    if (mean === undefined) return []
    const method =
      t.test === 'paste' ? 'saturatedExtract' : t.test === 'pourThrough' ? 'pourThrough' : 'oneToTwo'
    return [
      {
        at: t.finishedAt!,
        value: kind === 'salts' ? convertExtract(mean, method, 'saturatedExtract') : mean,
      },
    ]
  })
  const logged = entries.flatMap((e): Read[] =>
    e.kind === kind && e.value !== null
      ? [
          {
            at: e.at,
            value: kind === 'salts' ? convertExtract(e.value, 'oneToTwo', 'saturatedExtract') : e.value,
          },
        ]
      : [],
  )
  return [...logged, ...ofTests].sort((a, b) => (a.at < b.at ? -1 : 1))
}
