import { isDose } from '@/core/amounts'
import { acidForTarget, releasedFraction } from '@/core/chemistry'
import { LIMES, type Tables } from '@/core/data'
import { dressingIn } from '@/core/data/dressings'
import { USUAL_TEMPERATURE, type Evaluation } from '@/core/evaluate'
import { firstShort, isForSeedlings, JUDGEMENT_LIMITS } from '@/core/judgement'
import type { Fed } from '@/core/nutrients'
import type { Outcome } from '@/core/outcome'
import type { DressingLine } from '../garden/schemas'
import { prepareRecipe, type PreparedRecipe } from './prepareRecipe'
import { settingFor, type PreparedMix } from './prepare'

/** A dose worked out for the mix on the bench, and what it stands on. */
export interface DoseOffer {
  line: DressingLine
  /** Of the dressing, g/mL. */
  bulkDensity: number
  /** What it is for. */
  why:
    | { code: 'feed'; element: Fed; grams: number; released: number; days: number; capped: boolean }
    | { code: 'acid'; from: number; to: number; weeks: number; capped: boolean }
}

/** What feeds a season from one mixing: coated by how long the crop stands, and a meal. */
const COATED = [
  { id: 'crf_3_4', until: 110 },
  { id: 'crf_5_6', until: 175 },
  { id: 'crf_8_9', until: Infinity },
] as const
const MEAL = 'hoof_horn'
/** What mends each of the others; nitrogen has its own. */
const MENDS: Readonly<Record<Exclude<Fed, 'nitrogen'>, string>> = {
  phosphorus: 'bone_meal',
  potassium: 'potassium_sulfate',
  calcium: 'gypsum',
  magnesium: 'magnesium_sulfate',
  sulfur: 'gypsum',
}
const ACID = 'sulfur_elemental'
/** Sulfur has worked by then. */
const ACID_WEEKS = 12
/** Sulfur is offered from so much above the band: less is within what a meter and the course are sure of. */
const ACID_FROM = 0.25
/** pH outside a band that is still within it, for nobody measures finer. */
const PH_SLACK = 0.05
/** g of a nutrient short in a season that are not worth a dose. */
const LEAST_SHORT = 0.02

const middleOf = ({ low, high }: { low: number; high: number }) => (low + high) / 2

/** The same recipe with lime to a pH. Errors: those of `prepareRecipe`. */
const limedTo = ({ question, needed }: PreparedMix, target: number): Outcome<PreparedRecipe> =>
  prepareRecipe(
    { ...question.recipe, lime: { ...question.recipe.lime, aim: { kind: 'pH', target } } },
    settingFor(question, needed),
  )

/** Lime for a mix that is given none: g per litre, and the pH it brings. */
export interface LimeOffer {
  gramsPerLitre: number
  target: number
}

/**
 * Lime for a mix that is given none and is too acid for its crop, to the middle of the band; null where it lacks
 * none, or none would do. g per litre of mix. Source: as `limeForTarget`.
 */
export function limeOffer(prepared: PreparedMix, e: Evaluation): LimeOffer | null {
  const wanted = prepared.bands.pH
  if (prepared.question.recipe.lime.aim.kind !== 'none' || e.lime.pH >= wanted.low - PH_SLACK) return null
  const target = Number(middleOf(wanted).toFixed(1))
  const limed = limedTo(prepared, target)
  if (!limed.ok) return null
  const { gramsPerLitre } = limed.value.lime.own
  return isDose(gramsPerLitre) ? { gramsPerLitre, target } : null
}

/** A dose in two figures, never beyond what is usually given. */
const usualDose = (wanted: number, most: number) => Number(Math.min(wanted, most).toPrecision(2))
/** What a feed gives beyond what is short: some of it comes when nobody takes it up. Source: our assumption. */
const SPARE = 1.1
/** A feed is weighed out from here on, g per litre. Source: common practice: a level teaspoon to a bucket. */
const LEAST_FEED = 0.5

/**
 * Feeds that would give what the season lacks first; of nitrogen one coated and one meal. None where it lacks nothing.
 */
function feedOffers(
  { question, input }: PreparedMix,
  given: ReadonlySet<string>,
  e: Evaluation,
): DoseOffer[] {
  const temperature = input.temperature ?? USUAL_TEMPERATURE
  const feeding = e.growing?.feeding
  const short = feeding && firstShort(feeding)
  // Seedlings live on their seed, then on a weak liquid feed: nothing is mixed in for them.
  if (isForSeedlings(e) || !short || feeding.toFeed[short.element] <= LEAST_SHORT) return []
  const { element } = short
  const grams = feeding.toFeed[element]
  const days = feeding.weeks[element].at(-1)?.day ?? 120
  const coated = COATED.find((c) => days <= c.until)!.id
  return (element === 'nitrogen' ? [coated, MEAL] : [MENDS[element]]).flatMap((id): DoseOffer[] => {
    const dressing = dressingIn(question.tables, id)
    if (!dressing || given.has(id)) return []
    const released = releasedFraction(dressing.release, days, temperature)
    const content = dressing.analysis[element]?.value ?? 0
    const wanted = (SPARE * grams) / e.fill.mixVolume / (content * released)
    const { high } = dressing.dose
    const gramsPerLitre = usualDose(Math.max(wanted, LEAST_FEED), high)
    return gramsPerLitre > 0
      ? [
          {
            line: lineOf(id, gramsPerLitre),
            bulkDensity: dressing.bulkDensity.value,
            why: { code: 'feed', element, grams, released, days, capped: wanted > high },
          },
        ]
      : []
  })
}

/** Sulfur for a mix above its band, where no lime is given; what its dressings do to pH is counted. */
function acidOffer({ question, bands, blend, given, lime }: PreparedMix, e: Evaluation): DoseOffer[] {
  const acid = dressingIn(question.tables, ACID)
  if (bands.pH.high > JUDGEMENT_LIMITS.acidCrop.value) return []
  if (!acid || isDose(lime.together.gramsPerLitre) || e.lime.pH <= bands.pH.high + ACID_FROM) return []
  const target = middleOf(bands.pH)
  const plan = acidForTarget(blend, { dressing: acid, target }, ACID_WEEKS * 7, given)
  const { high } = acid.dose
  const wanted = plan.ok ? plan.value.gramsPerLitre : high
  const gramsPerLitre = usualDose(wanted, high)
  return gramsPerLitre > 0
    ? [
        {
          line: lineOf(ACID, gramsPerLitre),
          bulkDensity: acid.bulkDensity.value,
          why: { code: 'acid', from: e.lime.pH, to: target, weeks: ACID_WEEKS, capped: wanted > high },
        },
      ]
    : []
}

/**
 * Doses that would mend what the mix lacks: the nutrient that runs short first, nitrogen as coated fertilizer or meal;
 * a pH above the band, with sulfur where no lime is given. g per litre of mix, never beyond what is usually given.
 * Empty where nothing is lacking. Source: shortage over what is released in the season; sulfur as `acidForTarget`.
 */
export function doseOffers(prepared: PreparedMix, e: Evaluation): DoseOffer[] {
  const given = new Set(prepared.question.recipe.dressings.map((d) => d.dressingId))
  return [...feedOffers(prepared, given, e), ...(given.has(ACID) ? [] : acidOffer(prepared, e))]
}

/** A dressing all through a mix, g per litre, as the first line of its kind. */
export const lineOf = (dressingId: string, gramsPerLitre: number): DressingLine => ({
  id: dressingId,
  dressingId,
  gramsPerLitre,
  place: { kind: 'throughout' },
  share: 1,
})

/** An id that no other line of a recipe has: the dressing's own, then with a number. */
export function freeLineId(dressingId: string, lines: readonly DressingLine[]): string {
  // A lime's own id is that of the lime the whole mix is given.
  const taken = new Set([...lines.map((l) => l.id), ...LIMES.map((l) => l.id)])
  if (!taken.has(dressingId)) return dressingId
  let n = 2
  while (taken.has(`${dressingId} ${n}`)) n++
  return `${dressingId} ${n}`
}

/**
 * A dressing as it is first given beside the lines there are: the middle of what is usual, all through. Undefined
 * where nobody knows it.
 */
export function usualLine(
  dressingId: string,
  lines: readonly DressingLine[],
  tables: Tables,
): DressingLine | undefined {
  const dose = dressingIn(tables, dressingId)?.dose
  return (
    dose && {
      ...lineOf(dressingId, Number(middleOf(dose).toPrecision(2))),
      id: freeLineId(dressingId, lines),
    }
  )
}
