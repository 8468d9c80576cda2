import { materialIn, type Tables } from '../data'
import { burdenOf, type Finding } from '../appraisal'
import type { Verdicts } from '../judgement'
import { FINDER_LIMITS } from './limits'
import type { Candidate, FinderResult } from './problem'

/**
 * Is a miss, in steps, so small that nobody could measure it?
 * Steps are those of the score: one is what a grower would just notice. Range: 0 and up.
 *
 * @example
 * isMet(0.005) // true
 */
export const isMet = (miss: number): boolean => miss < FINDER_LIMITS.met.value

/**
 * Does a recipe miss nothing that anybody could measure?
 *
 * @example
 * meetsAll({ misses: { airFilledPorosity: 0, pH: 0.3 } }) // false
 */
export const meetsAll = ({ misses }: Pick<Candidate, 'misses'>): boolean => Object.values(misses).every(isMet)

/**
 * A recipe by what is in it: two with the same key are the same.
 *
 * @example
 * keyOf({
 *   parts: [
 *     { id: 'peat_medium', parts: 3 },
 *     { id: 'pumice', parts: 1 },
 *   ],
 * }) // 'peat_medium 3, pumice 1'
 */
export const keyOf = ({ parts }: Pick<Candidate, 'parts'>): string =>
  parts.map((p) => `${p.id} ${p.parts}`).join(', ')

/** Share of a recipe in materials whose figures are known badly. Fraction. */
function doubtIn({ parts }: Pick<Candidate, 'parts'>, tables: Tables): number {
  const total = parts.reduce((sum, p) => sum + p.parts, 0)
  const vague = parts.filter((p) => materialIn(tables, p.id)?.confidence === 'low')
  return vague.reduce((sum, p) => sum + p.parts, 0) / total
}

/**
 * How hard a recipe is to believe in and to measure out: the share known badly, and how many parts there are to
 * count, ten to one sooner than two to one. For setting in order what fits alike. Source: common practice, by
 * judgement.
 */
export const complexityOf = (c: Pick<Candidate, 'parts'>, tables: Tables): number =>
  doubtIn(c, tables) + c.parts.reduce((sum, p) => sum + p.parts, 0) / FINDER_LIMITS.oddParts.value

/** Recipes that meet everything are alike in that; the others by fiftieths of a step. */
const rankOf = (c: Candidate) => (meetsAll(c) ? 0 : Math.round(c.score * 50) + 1)
/** A recipe of unknown cost comes behind those whose cost is known. */
const costOf = (c: Candidate) => c.figures.costPerLitre || Number.MAX_VALUE

/** What a search found, best fit first; of those that fit alike the cheaper, then the plainer. */
export function inOrder(
  { families, front }: Pick<FinderResult, 'families' | 'front'>,
  tables: Tables,
): Candidate[] {
  const each = new Map([...families, ...front].map((c) => [keyOf(c), c]))
  return [...each.values()].sort(
    (a, b) =>
      rankOf(a) - rankOf(b) || costOf(a) - costOf(b) || complexityOf(a, tables) - complexityOf(b, tables),
  )
}

/** A recipe as the bench would show it. */
export interface Look {
  /** Share of drawn lots of such materials in which every band is met; null where nobody drew any. */
  chance: number | null
  /** With its lime, six weeks after mixing; and that lime, g per litre. */
  pH: number
  limeGramsPerLitre: number
  /** Money for lime and dressings of a litre, of those with a price. */
  dosesPerLitre: number
  /** Feed it is given with it, g per litre. */
  feeds: { dressingId: string; gramsPerLitre: number }[]
  /** Its appraisal, the gravest first, and its figures against what is wanted. */
  findings: Finding[]
  verdicts: Verdicts
  air: number
  /** Easily available, in a bed on soil plant-available. */
  water: number
}

/** A recipe found, with how it would look on the bench; null where nobody looked. */
export interface Found {
  candidate: Candidate
  onFront: boolean
  look: Look | null
}

/** The families of material a recipe is of: fine peat and medium peat are one kind. */
const kindOf = ({ parts }: Pick<Candidate, 'parts'>, tables: Tables): string =>
  [...new Set(parts.map((p) => materialIn(tables, p.id)?.family ?? p.id))].sort().join(' ')

/**
 * Of recipes in order one for each set of kinds of material, and a later one of the same kinds only where it fits as
 * well and is a good deal cheaper.
 * Errors: none. Source: beside the limit.
 */
export function distinctKinds(ordered: readonly Candidate[], tables: Tables): Candidate[] {
  const kept = new Map<string, Candidate[]>()
  for (const candidate of ordered) {
    const kind = kindOf(candidate, tables)
    const same = kept.get(kind) ?? []
    const cheapest = Math.min(...same.map(costOf))
    const saves = costOf(candidate) < (1 - FINDER_LIMITS.cheaperOfAKind.value) * cheapest
    if (same.length === 0 || (saves && meetsAll(candidate))) kept.set(kind, [...same, candidate])
  }
  const list = new Set([...kept.values()].flat())
  return ordered.filter((c) => list.has(c))
}

/** Where nobody drew a chance, it comes behind the least one drawn. */
const UNKNOWN = -0.1

/**
 * The order a grower sees: by what the appraisal says against them, then by tenths of the chance that every band is
 * met, then as `inOrder`. Those that were not looked at come behind those that were.
 */
export function rankFound(found: readonly Found[]): Found[] {
  const tenths = ({ look }: Found) => (look ? Math.round((look.chance ?? UNKNOWN) * 10) : -1)
  const said = ({ look }: Found) => (look ? burdenOf(look.findings) : Number.MAX_VALUE)
  return [...found].sort(
    (a, b) => said(a) - said(b) || tenths(b) - tenths(a) || rankOf(a.candidate) - rankOf(b.candidate),
  )
}
