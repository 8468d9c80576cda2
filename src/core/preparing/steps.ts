import preparation from '../data/preparation.json'
import { q10Factor } from '../chemistry/q10'
import type { Confidence, ValueKind } from '../data/types'
import type { Days, Fraction } from '../units'

/** Something that is done to a material before mixing, or that a mix does between mixing and planting. */
export interface PrepStep {
  id: string
  /** Materials, limes and dressings of the tables it is for. */
  appliesTo: readonly string[]
  /** Done as a rule; the others where the grower has reason to. */
  usual: boolean
  phase: 'before' | 'after'
  /** Texts: "[metric|US]" stands where the two count differently. */
  title: string
  why: string
  how: string
  /** Which comes first for one material. */
  order: number
  /** Days at 20 C. */
  lead: { low: Days; value: Days; high: Days }
  /** By how much longer it takes for each 10 C less; 1 where warmth does not matter. */
  q10: number
  /** Below this it hardly goes on, C; null where it does not matter. */
  coldest: number | null
  /** Only for a pack of this kind. */
  only?: 'block'
  /** Share of the volume that is thrown out; what is bought is so much more. */
  loss?: { low: Fraction; value: Fraction; high: Fraction }
  source: string
  kind: ValueKind
  confidence: Confidence
}

/** Every step of the tables. */
export const PREP_STEPS = preparation as readonly PrepStep[]

/**
 * A step by its id; undefined where there is none.
 *
 * @example
 * prepStep('peat_soak')?.title // 'Loosen and wet the peat'
 */
export const prepStep = (id: string): PrepStep | undefined => PREP_STEPS.find((s) => s.id === id)

/** How the tables were made: at 20 C. */
const TABLE_TEMPERATURE = 20

export interface Lead {
  low: Days
  value: Days
  high: Days
  /** Too cold for it: it hardly goes on. */
  stalls: boolean
}

/**
 * How long a step takes at a mean temperature of the air: lead x q10^((20 - T) / 10), from what it takes at its
 * coldest on no more, for it then stalls.
 * Units: days, C. Range: -20 to 40 C. Source: leads of the table, common practice; Q10 as in its rows.
 *
 * @example
 * prepLead(prepStep('biochar_charge_compost'), 10).value // 28
 */
export function prepLead({ lead, q10, coldest }: PrepStep, temperature: number): Lead {
  const at = coldest === null ? temperature : Math.max(temperature, coldest)
  const factor = q10Factor(q10, TABLE_TEMPERATURE, at)
  return {
    low: lead.low * factor,
    value: lead.value * factor,
    high: lead.high * factor,
    stalls: coldest !== null && temperature < coldest,
  }
}

/**
 * Steps for a material, lime or dressing, in the order they are done; those for another kind of pack left out.
 *
 * @example
 * stepsFor('coir_pith', 'block').map((s) => s.id) // ['coir_swell', 'coir_wash', 'coir_buffer']
 */
export const stepsFor = (id: string, pack?: string): PrepStep[] =>
  PREP_STEPS.filter((s) => s.appliesTo.includes(id) && (!s.only || s.only === pack)).sort(
    (a, b) => a.order - b.order,
  )
