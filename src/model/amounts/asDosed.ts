import { liveJob, type Garden } from '../garden/garden'
import { dressingIn } from '@/core/data/dressings'
import { followsJob } from '../garden/said'
import type { DressingLine, Job, LimeSetting } from '../garden/schemas'
import { tablesOf } from '../garden/tables'
import { amountSaid, doseOf, type AmountSetting } from './counting'
import { jobAmounts, lineAmounts } from './setting'

/** Doses worked out before, by the lines as they are kept: the same array as long as they come to the same. */
const LINES = new WeakMap<readonly DressingLine[], DressingLine[]>()
const LIMES = new WeakMap<LimeSetting, LimeSetting>()

function limeAsDosed(lime: LimeSetting, setting: AmountSetting): LimeSetting {
  const amount = amountSaid(lime.measure)
  const gramsPerLitre = (amount && doseOf(amount, setting)) ?? lime.gramsPerLitre
  const known = LIMES.get(lime)
  if (known?.gramsPerLitre === gramsPerLitre) return known
  const next = gramsPerLitre === lime.gramsPerLitre ? lime : { ...lime, gramsPerLitre }
  LIMES.set(lime, next)
  return next
}

function linesAsDosed(lines: DressingLine[], settingOf: (line: DressingLine) => AmountSetting) {
  const next = lines.map((line) => {
    const amount = followsJob(line.measure) ? amountSaid(line.measure) : null
    const dose = amount && doseOf(amount, settingOf(line))
    return dose === null || dose === line.gramsPerLitre ? line : { ...line, gramsPerLitre: dose }
  })
  const known = LINES.get(lines) ?? lines
  if (next.every((line, i) => line.gramsPerLitre === known[i]!.gramsPerLitre)) return known
  LINES.set(lines, next)
  return next
}

/**
 * A job as its beds are now, each dose in g per litre as the grower's own amount comes to in it: two spoons for each
 * part are more of them when there are more parts. A dose that the job does not tell stays as it was.
 */
export function asDosed(garden: Garden, stored: Job): Job {
  const job = liveJob(garden, stored)
  const limed = job.lime.mode === 'fixed' && followsJob(job.lime.measure)
  if (!limed && !job.dressings.some((line) => followsJob(line.measure))) return job
  const tables = tablesOf(garden)
  const amounts = jobAmounts(garden, job)
  const bulkDensity = dressingIn(tables, job.lime.limeId)?.bulkDensity.value ?? 1
  return {
    ...job,
    lime: limed ? limeAsDosed(job.lime, { ...amounts, bulkDensity }) : job.lime,
    dressings: linesAsDosed(job.dressings, (line) => lineAmounts(amounts, job, line, tables)),
  }
}
