/**
 * What is known of a mix beside its figures: how it will be used, and where parts come from. All of it may be left out;
 * words are the grower's own.
 */
export interface Situation {
  /** 'seed', 'cutting', 'tuber', 'transplant' or 'mature'. */
  stage?: string
  /** Where it stands, as 'roof' or 'balcony'. */
  standing?: string
  /** What its floor bears, as '250 kg/m2' or 'unknown'. */
  loadAllowed?: string
  indoors?: boolean
  purpose?: string
  /** Years it is to last. */
  years?: number
  bagLimed?: boolean
  bagFed?: boolean
  /** Feed that is planned for later. */
  feedLater?: string
  manureFrom?: string
  vermiculiteFrom?: string
  /** Days from manuring to the harvest. */
  harvestAfterDays?: number
}

const says = (words: string | undefined, what: RegExp) => words !== undefined && what.test(words)

/**
 * Is it sown or rooted in? Cuttings are as tender as seeds.
 *
 * @example
 * isTender({ stage: 'cutting' }) // true
 */
export const isTender = ({ stage }: Situation): boolean => says(stage, /seed|cutting|plug/i)
/**
 * Does it stand where a floor must carry it?
 *
 * @example
 * isCarried({ standing: 'balcony, third floor' }) // true
 */
export const isCarried = ({ standing }: Situation): boolean => says(standing, /roof|balcony|rail|deck/i)
/**
 * Was vermiculite taken from old insulation?
 *
 * @example
 * isOldVermiculite({ vermiculiteFrom: 'attic, about 1975' }) // true
 */
export const isOldVermiculite = ({ vermiculiteFrom }: Situation): boolean =>
  says(vermiculiteFrom, /attic|insulation|loft|old|unknown|19[0-8]\d/i)
/**
 * May sprayed hay or straw be in the manure?
 *
 * @example
 * isDoubtfulManure({ manureFrom: 'own goats, own meadow' }) // false
 */
export const isDoubtfulManure = ({ manureFrom }: Situation): boolean =>
  says(manureFrom, /hay|straw|unknown|bought/i)
/**
 * Is the manure fresh from the stable?
 *
 * @example
 * isFreshManure({ manureFrom: 'stable, this week' }) // true
 */
export const isFreshManure = ({ manureFrom }: Situation): boolean =>
  says(manureFrom, /fresh|this week|yesterday|today/i)

/**
 * What a floor bears, kg/m2; null where nobody knows.
 *
 * @example
 * loadOf({ loadAllowed: '250 kg/m2' }) // 250
 */
export function loadOf({ loadAllowed }: Situation): number | null {
  const kilograms = Number.parseFloat(loadAllowed ?? '')
  return Number.isFinite(kilograms) ? kilograms : null
}
