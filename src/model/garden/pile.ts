import type { Tables } from '@/core/data'
import { mixNeededFor } from './mixNeededFor'
import type { DressingLine, Job, JobBed } from './schemas'

/** A line of a recipe as far as it tells whose mix gets it. */
export type OfBeds = Pick<DressingLine, 'share' | 'beds'>

/** Beds of a job whose mix gets a line: those it names, or all of them where it names none that is there. */
export function bedsOfLine(job: Pick<Job, 'fills'>, { beds }: Pick<DressingLine, 'beds'>): JobBed[] {
  const named = job.fills.filter((f) => beds?.includes(f.id))
  return named.length > 0 ? named : job.fills
}

export const isForBed = (job: Pick<Job, 'fills'>, line: Pick<DressingLine, 'beds'>, bedId: string): boolean =>
  bedsOfLine(job, line).some((f) => f.id === bedId)

/** Is a line for some beds of the job and not for others? */
export const isForSome = (job: Pick<Job, 'fills'>, line: Pick<DressingLine, 'beds'>): boolean =>
  bedsOfLine(job, line).length < job.fills.length

/** A stretch of the mix of a job, as shares of all of it, bed after bed. */
export interface Stretch {
  from: number
  to: number
}

/**
 * Which of the mix gets a line: its share from the first litre on, or the mix of its beds, the mix of all beds lying
 * one after the other. A bed that cannot be worked out has none.
 */
export function stretchesOf(job: Pick<Job, 'fills'>, line: OfBeds, tables: Tables): Stretch[] {
  if (!isForSome(job, line)) return [{ from: 0, to: line.share }]
  const litres = job.fills.map((f) => {
    const needed = mixNeededFor(f, tables)
    return needed.ok ? needed.value.net * f.count : 0
  })
  const all = litres.reduce((sum, l) => sum + l, 0)
  if (!(all > 0)) return [{ from: 0, to: line.share }]
  const stretches: Stretch[] = []
  let before = 0
  job.fills.forEach((fill, i) => {
    const from = before / all
    before += litres[i]!
    if (!isForBed(job, line, fill.id)) return
    const last = stretches.at(-1)
    if (last?.to === from) last.to = before / all
    else stretches.push({ from, to: before / all })
  })
  return stretches
}

/** The share of a job's mix that gets a line. */
export const shareOfLine = (job: Pick<Job, 'fills'>, line: OfBeds, tables: Tables): number =>
  stretchesOf(job, line, tables).reduce((sum, s) => sum + s.to - s.from, 0)
