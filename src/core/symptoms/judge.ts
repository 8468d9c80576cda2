import { READ_MORE, STRENGTHS, type Evidence, type EvidenceCode, type Strength } from './evidence'
import type { BedFacts } from './facts'
import { FACTS, type Fact } from './factTable'

/** A fact beside a number, or beside so many times another fact and so much more. */
export interface Condition {
  of: Fact
  is: 'above' | 'below' | 'notAbove' | 'notBelow'
  than: number | Fact
  times?: number
  plus?: number
}

/** What is said where all conditions hold, and one of `any` where there are such. */
export interface Level {
  all?: readonly Condition[]
  any?: readonly Condition[]
  says: EvidenceCode
  strength: Strength
  /** Shown with it. */
  value?: Fact
  limit?: Fact | number
}

/** What a bed's numbers say for or against a cause: the first level that holds speaks; none, and nothing is said. */
export interface Sign {
  levels: readonly Level[]
  /** Nothing is said while one of these is not known. */
  needs?: readonly Fact[]
  /** A reading of it speaks louder. */
  read?: 'pH' | 'salts'
  source: string
}

const numberOf = (of: Fact | number, f: BedFacts): number | null =>
  typeof of === 'number' ? of : FACTS[of](f)

/** Does it hold? What nobody knows is neither above nor below anything. */
function holds({ of, is, than, times = 1, plus = 0 }: Condition, f: BedFacts): boolean {
  const [value, limit] = [numberOf(of, f), numberOf(than, f)]
  const known = value !== null && limit !== null
  const at = (limit ?? 0) * times + plus
  switch (is) {
    case 'above':
      return known && value > at
    case 'below':
      return known && value < at
    case 'notAbove':
      return !(known && value > at)
    case 'notBelow':
      return !(known && value < at)
  }
}

const isSaid = ({ all = [], any = [] }: Level, f: BedFacts) =>
  all.every((c) => holds(c, f)) && (any.length === 0 || any.some((c) => holds(c, f)))

/** The evidence of a sign for these facts; null where it says nothing. */
export function evidenceOf(sign: Sign, f: BedFacts): Evidence | null {
  if (sign.needs?.some((fact) => FACTS[fact](f) === null)) return null
  const level = sign.levels.find((l) => isSaid(l, f))
  if (!level) return null
  const { says, strength, value, limit } = level
  const isRead = sign.read !== undefined && f[sign.read].isRead
  const factor = STRENGTHS[strength]
  return {
    code: says,
    factor: isRead ? (factor > 1 ? factor * READ_MORE : factor / READ_MORE) : factor,
    ...(value === undefined ? {} : { value: FACTS[value](f) ?? 0 }),
    ...(limit === undefined ? {} : { limit: numberOf(limit, f) ?? 0 }),
    ...(value === 'pH' || value === 'salts' ? { isRead: f[value].isRead } : {}),
  }
}
