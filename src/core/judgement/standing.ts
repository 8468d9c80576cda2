import type { Evaluation } from '../evaluate'
import type { Bands } from '../targets'
import { waterJudged } from '../targets'
import { severityOf, judgementKey } from './judge'
import type { Judgement } from './judgement'
import { JUDGEMENT_LIMITS, STEPS } from './limits'
import { verdictsOf, type Verdict, type Verdicts } from './verdicts'

/** How a mix compares with everything the bench asks of it. */
export interface Standing {
  /** Figures outside what is wanted, each in steps a grower would notice. */
  misses: Partial<Record<keyof Verdicts, number>>
  /** Warnings and alarms not answered yet. */
  warnings: Judgement[]
  /** All of it in one number; 0 where there is nothing to mend. */
  faults: number
}

/** One figure counts for no more than so many steps: nothing outweighs all the rest. Source: our assumption. */
const MOST_STEPS = 10
/** Steps a warning counts for; an alarm counts for three warnings. Source: our assumption. */
const STEPS_A_WARNING = 2

const distance = (x: number, band: { low: number; high: number } | null) =>
  band === null ? 0 : Math.max(band.low - x, x - band.high, 0)

/** Steps by which each figure misses what is wanted, whatever its verdict. */
function stepsOutside(e: Evaluation, bands: Bands): Record<keyof Verdicts, number> {
  const { growing } = e
  const days = growing?.thirstiestMonth ? growing.watering[growing.thirstiestMonth - 1]!.days.value : Infinity
  const wanted = bands.daysBetweenWaterings?.low ?? 0
  const heaviest = bands.drainedWeight?.high ?? Infinity
  const lost = e.seasons.find((s) => s.years === 3)?.volumeLost ?? 0
  return {
    air: distance(e.mix.airFilledPorosity, bands.airFilledPorosity) / STEPS.air.value,
    water:
      distance(waterJudged(e.mix, bands), bands.plantAvailableWater ?? bands.easilyAvailableWater) /
      STEPS.water.value,
    pH: distance(e.lime.pH, bands.pH) / STEPS.pH.value,
    salts: distance(e.salts.most.saturatedExtract, bands.electricalConductivity) / STEPS.salts.value,
    days: Math.max(0, wanted / days - 1) / STEPS.days.value,
    weight: Math.max(0, e.weights.drained / heaviest - 1) / STEPS.weight.value,
    feed: growing ? (1 - growing.feeding.fed) / STEPS.feed.value : 0,
    lasting: Math.max(0, lost - JUDGEMENT_LIMITS.slump.value) / STEPS.lasting.value,
  }
}

/**
 * How a mix compares: which figures lie outside what is wanted and by how much, what is warned of, and both in one
 * number for telling two mixes apart. `answered` are keys of warnings the grower has answered.
 * Errors: none. Source: verdicts as `verdictsOf`; steps as `STEPS`.
 */
export function standingOf(
  e: Evaluation,
  { bands, perennial }: { bands: Bands; perennial: boolean },
  judgements: readonly Judgement[],
  answered: ReadonlySet<string> = new Set(),
): Standing {
  const isOff = (verdict: Verdict) => verdict === 'low' || verdict === 'high'
  const steps = stepsOutside(e, bands)
  const off = (Object.entries(verdictsOf(e, bands, perennial)) as [keyof Verdicts, Verdict][]).filter(
    ([, verdict]) => isOff(verdict),
  )
  const misses: Standing['misses'] = {}
  for (const [figure] of off) misses[figure] = Math.min(MOST_STEPS, steps[figure])
  const warnings = judgements.filter((j) => j.level !== 'note' && !answered.has(judgementKey(j)))
  const sum = Object.values(misses).reduce((total, miss) => total + miss, 0)
  return { misses, warnings, faults: sum + STEPS_A_WARNING * severityOf(warnings) }
}

/**
 * Does a mix bring a fault that the other has not: a figure that leaves what is wanted, or a warning?
 * Errors: none.
 */
export function bringsFault(before: Standing, after: Standing): boolean {
  const known = new Set(before.warnings.map(judgementKey))
  return (
    after.warnings.some((j) => !known.has(judgementKey(j))) ||
    Object.keys(after.misses).some((figure) => !(figure in before.misses))
  )
}
