import { fail, succeed, type Outcome } from '../outcome'
import { LIME_DRESSINGS } from '../data/limes'
import type { Dressing, Grind, LimeNature, Property } from '../data/types'

/** Sieve shares as in `LimeNature`. Source: our assumption, between the horticultural and the poultry grades. */
const SIEVES: Record<Grind, LimeNature['sieveShares']> = {
  powder: [0, 0, 0.05, 0.95],
  ground: [0.03, 0.22, 0.3, 0.45],
  grit: [0.6, 0.3, 0.08, 0.02],
}

/** A lime of a grower's own: what its bag says. */
export interface OwnLime {
  id: string
  name: string
  /** Id of the lime of the tables it is a kind of. */
  like: string
  /** Calcium carbonate equivalent as a fraction; pure calcium carbonate = 1. */
  calciumCarbonateEquivalent: number
  /** How fine it is; as its kin where left out. */
  grind?: Grind
  /** g/mL; as its kin where left out. */
  bulkDensity?: number
}

/** Least and most neutralizing value believed: quicklime is 1.79. */
const BELIEVED = { low: 0.05, high: 1.8 }

/**
 * A whole lime from its neutralizing value and its grind; the rest is that of the lime it is a kind of, doses scaled
 * by how much stronger it is. Errors: a kind that is no lime, a neutralizing value outside 0.05 to 1.8, a density not
 * above zero. Source: our assumption.
 */
export function completeLime(own: OwnLime): Outcome<Dressing> {
  const kin = LIME_DRESSINGS.find((l) => l.id === own.like)
  if (!kin?.lime) return fail({ code: 'unknown-dressing', dressing: own.like })
  const value = own.calciumCarbonateEquivalent
  if (!(value >= BELIEVED.low && value <= BELIEVED.high))
    return fail({ code: 'value-out-of-range', field: 'calciumCarbonateEquivalent', value, ...BELIEVED })
  if (own.bulkDensity !== undefined && !(own.bulkDensity > 0))
    return fail({ code: 'size-not-positive', field: 'bulkDensity', value: own.bulkDensity })
  const told = (value: number, spread: number): Property => ({
    low: value * (1 - spread),
    value,
    high: value * (1 + spread),
    source: 'measured-by-you',
    kind: 'measured',
    confidence: 'medium',
  })
  const weaker = kin.lime.calciumCarbonateEquivalent.value / value
  return succeed({
    ...kin,
    id: own.id,
    name: own.name,
    detail: own.name,
    confidence: 'low',
    lime: {
      ...kin.lime,
      calciumCarbonateEquivalent: told(value, 0.05),
      sieveShares: own.grind ? SIEVES[own.grind] : kin.lime.sieveShares,
    },
    bulkDensity: own.bulkDensity === undefined ? kin.bulkDensity : told(own.bulkDensity, 0.1),
    dose: {
      low: kin.dose.low * weaker,
      high: kin.dose.high * weaker,
      limit: kin.dose.limit * weaker,
      source: `like:${kin.id}`,
    },
  })
}
