import { differenceInCalendarDays, parseISO } from 'date-fns'
import type { Evaluation } from '@/core/evaluate'
import { SALTS_UNTIL } from '@/core/fieldTests'
import type { EntryKind, Job, MixRecord } from '../garden/schemas'

/** Days from mixing to a moment; from planting where no record says when it was mixed. Null where neither is known. */
export function dayOf(job: Job, record: MixRecord | undefined, at: string): number | null {
  const from = record?.madeOn ?? job.plantedOn
  if (!from) return null
  const days = differenceInCalendarDays(parseISO(at), parseISO(from))
  return days >= 0 ? days : null
}

/**
 * What the mix was to read so many days after mixing: pH by its course, water and feed counted in. Salts are given for
 * the first days only, before water has taken any. Null where that is not known.
 */
export function expectedOn(evaluation: Evaluation, kind: EntryKind, day: number | null): number | null {
  if (day === null) return null
  if (kind === 'salts')
    return day <= SALTS_UNTIL ? evaluation.salts.mix.electricalConductivity.oneToTwo : null
  if (kind !== 'pH') return null
  const { acidity } = evaluation
  const after = acidity.findIndex((s) => s.day >= day)
  if (after === -1) return acidity.at(-1)?.pH ?? null
  const [a, b] = [acidity[Math.max(0, after - 1)]!, acidity[after]!]
  const share = b.day > a.day ? (day - a.day) / (b.day - a.day) : 0
  return a.pH + share * (b.pH - a.pH)
}
