import { JUDGED_AFTER } from '@/core/chemistry'
import { USUAL_PLANTING_MONTH } from '@/core/growing'
import {
  treatedWater,
  UNTREATED,
  waterAim,
  WATER_TREATMENT_LIMITS,
  type IrrigationWater,
  type WaterAim,
  type WaterTreatment,
} from '@/core/irrigation'
import { JUDGEMENT_LIMITS } from '@/core/judgement'
import type { MixQuestion } from '../mix/question'
import { verdictOf, type Verdict } from '../mix/verdict'
import { appraised, type Unfed } from '../mix/withFeed'
import { underWater } from '../mix/jobWater'
import { isBetter, rainFirst, worthIn, type TriedWater } from './waterWorth'

/** Rain water to be mixed into a can, as a share of it. Source: our assumption: what can be measured with a can. */
const RAIN_SHARES = [0.25, 1 / 3, 0.5, 2 / 3, 0.75, 1] as const
/** pH an acid may bring water to, the mildest first. */
const ACID_TO = [6.5, 6.2, 6, 5.8] as const
/** Acids a gardener can get and keep. Source: common practice: the others burn too badly, or rot within days. */
const GARDEN_ACIDS = ['sulfuric35', 'phosphoric75'] as const

/** A mix with its water treated in one way, carried out and judged whole. Plain data. */
export interface WaterWay {
  treatment: WaterTreatment
  water: IrrigationWater
  /** Once what was mixed in has worked, and at the end of the season. */
  fromPH: number
  toPH: number
  /** pH by the week. */
  course: { day: number; pH: number }[]
  /** Most salts of the season, dS/m in the saturated extract. */
  salts: number
  /** Share of enough that the crop gets; null without a crop. */
  fed: number | null
  verdict: Verdict
}

/** What the water of a place does to one mix, and what would be better. Plain data. */
export interface JobWays {
  /** What suits its container and crop. */
  aim: WaterAim
  band: { low: number; high: number }
  /** As the grower waters it, and as the water comes. */
  given: WaterWay
  plain: WaterWay
  /** Better than as it comes: with rain water, with acid. */
  offers: WaterWay[]
  /**
   * Litres of water that one container is given in a day, January to December; null where no crop or climate
   * is known.
   */
  use: number[] | null
}

export interface WaysRequest {
  /** With the water its grower gives. */
  question: MixQuestion
  tap: IrrigationWater
  treatment: WaterTreatment
  answered: readonly string[]
}

interface TriedMix extends TriedWater {
  water: IrrigationWater
  mix: Unfed
}

/**
 * What a water does to a mix and what would do better: rain water mixed in by every share of a can, acids to every pH,
 * each carried out and appraised whole. Of rain and of acid the best is answered, where it leaves less to be said or
 * brings the water to what suits the container, and nothing graver. Null where the mix cannot be worked out, or
 * nobody said where the garden is. A generator: yields the share done. Errors: none.
 */
export function* waterWays({
  question,
  tap,
  treatment,
  answered,
}: WaysRequest): Generator<number, JobWays | null> {
  if (!question.place) return null
  const tryOn = (t: WaterTreatment): TriedMix | null => {
    const water = treatedWater(tap, t)
    const mix = appraised(underWater(question, water))
    return (
      mix && {
        treatment: t,
        alkalinity: water.alkalinity,
        endPH: mix.evaluation.acidity.at(-1)!.pH,
        findings: mix.findings,
        water,
        mix,
      }
    )
  }
  const plain = tryOn(UNTREATED)
  const given = isSame(treatment, UNTREATED) ? plain : tryOn(treatment)
  if (!plain || !given) return null
  const aim = aimOf(plain.mix)
  const tried: TriedMix[] = []
  const all = treatmentsOf(tap)
  for (const [i, t] of all.entries()) {
    const one = tryOn(t)
    if (one && isBetter(one, plain, aim)) tried.push(one)
    yield (i + 1) / all.length
  }
  const { pH } = plain.mix.prepared.bands
  const byWorth = worthIn(pH, aim)
  const offers = [true, false].flatMap((acid) => {
    const [best] = tried.filter((t) => (t.treatment.acid !== null) === acid).sort(byWorth)
    return best && !isSame(best.treatment, treatment) ? [best] : []
  })
  const way = wayOf(new Set(answered))
  return {
    aim,
    band: pH,
    given: way(given),
    plain: way(plain),
    // Of ways that do as well rain comes first: nobody burns himself on it.
    offers: offers.sort(rainFirst).map(way),
    use: useOf(plain.mix),
  }
}

const isSame = (a: WaterTreatment, b: WaterTreatment) =>
  a.rain === b.rain && a.acid?.id === b.acid?.id && a.acid?.toPH === b.acid?.toPH

/** Every way to treat a water that leaves its guard of alkalinity. */
function treatmentsOf(tap: IrrigationWater): WaterTreatment[] {
  const L = WATER_TREATMENT_LIMITS
  const rain = RAIN_SHARES.map((share): WaterTreatment => ({ rain: share, acid: null }))
  const acids = GARDEN_ACIDS.flatMap((id) =>
    ACID_TO.flatMap((toPH): WaterTreatment[] => {
      const treatment = { rain: 0, acid: { id, toPH } }
      const { alkalinity, acidified } = treatedWater(tap, treatment)
      if (!acidified || alkalinity < L.leastLeft.value) return []
      const much = id === 'phosphoric75' && acidified.neutralised > L.mostForPhosphoric.value
      return much ? [] : [treatment]
    }),
  )
  return [...rain, ...acids]
}

function aimOf({ prepared, evaluation }: Unfed): WaterAim {
  const { bed, crops } = prepared.question
  return waterAim({
    litres: evaluation.fill.mixVolume,
    inGround: bed.wide,
    acid: crops.length > 0 && prepared.bands.pH.high <= JUDGEMENT_LIMITS.acidCrop.value,
  })
}

/** A way as plain data. */
const wayOf =
  (answered: ReadonlySet<string>) =>
  ({ treatment, water, mix: { prepared, evaluation, judgements } }: TriedMix): WaterWay => {
    const { acidity, salts, growing } = evaluation
    const settled = acidity.find((s) => s.day >= JUDGED_AFTER) ?? acidity[0]!
    return {
      treatment,
      water,
      fromPH: settled.pH,
      toPH: acidity.at(-1)!.pH,
      course: acidity.map(({ day, pH }) => ({ day, pH })),
      salts: salts.most.saturatedExtract,
      fed: growing?.feeding.fed ?? null,
      verdict: verdictOf(prepared, evaluation, { judgements, answered }),
    }
  }

/** Litres one container is given in a day of each month. */
function useOf({ prepared, evaluation }: Unfed): number[] | null {
  const { growing, fill } = evaluation
  if (!growing || growing.watering.length === 0) return null
  const planting = (prepared.question.care.plantingMonth ?? USUAL_PLANTING_MONTH) - 1
  const use = Array.from({ length: 12 }, () => 0)
  growing.water.forEach(({ given }, k) => (use[(planting + k) % 12] = given * fill.mixVolume))
  return use
}
