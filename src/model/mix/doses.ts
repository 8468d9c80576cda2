import { acidForTarget } from '@/core/chemistry'
import { releasedFraction } from '@/core/chemistry/release'
import type { Evaluation } from '@/core/evaluate'
import type { DressingLine, Job } from '@/model/garden/schemas'
import { dressingById } from '@/core/data/dressings'
import { limeGramsPerLitre } from './reckoning'

/** A dose worked out for the mix on the bench, and what it stands on. */
export interface DoseOffer {
  line: DressingLine
  /** What it is for. */
  why:
    | { code: 'feed'; grams: number; released: number; days: number; capped: boolean }
    | { code: 'acid'; from: number; to: number; weeks: number; capped: boolean }
}

/** What feeds a season from one mixing: coated by how long the crop stands, and a meal. */
const COATED = [
  { id: 'crf_3_4', until: 110 },
  { id: 'crf_5_6', until: 175 },
  { id: 'crf_8_9', until: Infinity },
] as const
const MEAL = 'hoof_horn'
const ACID = 'sulfur_elemental'
/** Sulfur has worked by then. */
const ACID_WEEKS = 12

/**
 * Lime for a mix that is given none and is too acid for its crop, to the middle of the band; null where it lacks none, or none would
 * do. g per litre of mix. Source: as `limeForTarget`.
 */
export function limeOffer(job: Job, e: Evaluation, pHWanted: { low: number; high: number }) {
  if (job.lime.mode !== 'none' || e.lime.pH >= pHWanted.low - 0.05) return null
  const target = Number(((pHWanted.low + pHWanted.high) / 2).toFixed(1))
  const grams = limeGramsPerLitre({ ...job, lime: { ...job.lime, mode: 'toTarget', target } })
  return grams.ok && grams.value > 0.005 ? { gramsPerLitre: grams.value, target } : null
}

/**
 * Doses that would mend what the mix lacks: nitrogen short over the season, as coated fertilizer or as meal; a pH above the band,
 * with sulfur where no lime is given. g per litre of mix, never beyond what is usually given. Empty where nothing is lacking.
 * Source: shortage over what is released in the season; sulfur as `acidForTarget`.
 */
export function doseOffers(job: Job, e: Evaluation, pHWanted: { low: number; high: number }): DoseOffer[] {
  const offers: DoseOffer[] = []
  const given = new Set(job.dressings.map((d) => d.dressingId))
  const feeding = e.growing?.feeding
  const short = feeding ? feeding.nitrogenToFeed : 0
  if (feeding && feeding.nitrogenMet < 0.95 && short > 0.02) {
    const days = feeding.weeks.nitrogen.at(-1)?.day ?? 120
    const coated = COATED.find((c) => days <= c.until)!.id
    for (const id of [coated, MEAL]) {
      const dressing = dressingById(id)
      if (!dressing || given.has(id)) continue
      const released = releasedFraction(dressing.release, days, e.growing!.plantingTemperature)
      const nitrogen = dressing.analysis.nitrogen?.value ?? 0
      const wanted = short / e.fill.mixVolume / (nitrogen * released)
      const gramsPerLitre = Number(Math.min(wanted, dressing.dose.high).toPrecision(2))
      if (gramsPerLitre > 0)
        offers.push({
          line: { dressingId: id, gramsPerLitre, place: { kind: 'throughout' }, share: 1 },
          why: { code: 'feed', grams: short, released, days, capped: wanted > dressing.dose.high },
        })
    }
  }
  const acid = dressingById(ACID)
  if (acid && !given.has(ACID) && e.lime.gramsPerLitre < 0.005 && e.lime.pH > pHWanted.high + 0.05) {
    const target = (pHWanted.low + pHWanted.high) / 2
    const plan = acidForTarget(e.blend, acid, target, ACID_WEEKS * 7)
    const wanted = plan.ok ? plan.value.gramsPerLitre : acid.dose.high
    const gramsPerLitre = Number(Math.min(wanted, acid.dose.high).toPrecision(2))
    if (gramsPerLitre > 0)
      offers.push({
        line: { dressingId: ACID, gramsPerLitre, place: { kind: 'throughout' }, share: 1 },
        why: {
          code: 'acid',
          from: e.lime.pH,
          to: target,
          weeks: ACID_WEEKS,
          capped: wanted > acid.dose.high,
        },
      })
  }
  return offers
}
