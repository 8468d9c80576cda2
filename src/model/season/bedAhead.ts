import { differenceInCalendarDays, parseISO } from 'date-fns'
import { jobsOf, recordOf, type Garden } from '../garden/garden'
import { mixNeededFor } from '../garden/mixNeededFor'
import { tablesOf } from '../garden/tables'
import type { Bed } from '../garden/schemas'
import { correctionFor, litresInBeds, type Correction } from './correction'
import { oldMixOf, type OldMix } from './nextYear'

/** What a bed's mix has become by a day, and what it asks for then. */
export interface BedAhead {
  mix: Pick<OldMix, 'sunk' | 'pH' | 'salts' | 'years'>
  /** Litres of the same mix that fill it up again; 0 where it has not sunk. */
  topUp: number
  /** What the pH asks for where it was read; null where it is only predicted. */
  correction: Correction | null
}

/** A correction of a whole job for these litres of it alone. */
const sharedOut = (of: Correction, litres: number): Correction => ({
  ...of,
  litres,
  add: of.add && { ...of.add, grams: (of.add.grams * litres) / of.litres },
})

/**
 * The mix that a bed was filled with, as it is on a day to come: rotted by its years, its last readings first where
 * they are fresh enough to say. Null where no recorded mix fills the bed, or it cannot be worked out. `day` is ISO.
 * Source: as `oldMixOf`.
 */
export function bedAhead(garden: Garden, bed: Bed, day: string): BedAhead | null {
  const filled = jobsOf(garden)
    .flatMap((job) => {
      const fill = job.fills.find((f) => f.bedId === bed.id && f.sunkBy === null)
      const record = job.recordId ? recordOf(garden, job.recordId) : undefined
      return fill && record && record.madeOn < day.slice(0, 10) ? [{ job, fill, record }] : []
    })
    .sort((a, b) => (a.record.madeOn < b.record.madeOn ? -1 : 1))
    .at(-1)
  if (!filled) return null
  const { job, fill, record } = filled
  const old = oldMixOf(garden, { ...job, fills: [fill] }, { ...record, vessel: fill.spec.vessel }, day)
  if (!old.ok) return null
  const { sunk, pH, salts, years } = old.value
  const needed = mixNeededFor({ spec: fill.spec, sunkBy: sunk.value }, tablesOf(garden))
  const age = differenceInCalendarDays(parseISO(day), parseISO(record.madeOn))
  const corrected = pH.isRead ? correctionFor(garden, job.id, { value: pH.value, day: age }) : null
  return {
    mix: { sunk, pH, salts, years },
    topUp: sunk.value > 0 && needed.ok ? needed.value.net * fill.count : 0,
    correction: corrected?.ok
      ? sharedOut(corrected.value, litresInBeds(garden, { ...job, fills: [fill] }))
      : null,
  }
}
