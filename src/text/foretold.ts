import type { Foretold, Miss } from '@/model/make/foretold'
import { counted } from './counted'
import { dayText } from './dates'
import { percentText, pHText } from './units'

const valueText = (kind: Foretold['kind'], value: number) =>
  kind === 'pH' ? `pH ${pHText(value)}` : `${value.toFixed(1)} dS/m`

/** Readings beside what was expected of them: day, job, expected, read. */
export const foretoldRows = (foretold: readonly Foretold[]): string[][] =>
  foretold.map((f) => [
    `${f.jobName}, ${dayText(f.at)}`,
    valueText(f.kind, f.expected),
    valueText(f.kind, f.read),
  ])

/** Less than this no meter tells. */
const TELLS = { pH: 0.15, salts: 0.1 }
/** How well the readings of one kind were foretold. */
export function missText({ kind, count, mean, size }: Miss): string {
  const amount = (x: number) => (kind === 'pH' ? pHText(Math.abs(x)) : percentText(Math.abs(x)))
  const name = kind === 'pH' ? 'pH' : 'Salts'
  const off =
    Math.abs(mean) < TELLS[kind]
      ? 'on the mean as expected'
      : `on the mean ${amount(mean)} ${mean < 0 ? 'lower' : 'higher'} than expected`
  return `${name}, ${counted(count, 'reading')}: ${off}${count > 1 ? `, ${amount(size)} off in either direction` : ''}.`
}
