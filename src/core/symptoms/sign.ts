import type { EvidenceCode, Strength } from './evidence'
import type { Fact } from './factTable'
import type { Condition, Level, Sign } from './judge'

const OURS = 'our assumption'
export const MEMORY = 'from memory, as docs/method/symptoms.md'

export const above = (of: Fact, than: number | Fact, more: Partial<Condition> = {}): Condition => ({
  of,
  is: 'above',
  than,
  ...more,
})
export const below = (of: Fact, than: number | Fact, more: Partial<Condition> = {}): Condition => ({
  of,
  is: 'below',
  than,
  ...more,
})
export const level = (
  says: EvidenceCode,
  strength: Strength,
  all: readonly Condition[] = [],
  shown: Pick<Level, 'value' | 'limit'> & { any?: readonly Condition[] } = {},
): Level => ({ says, strength, all, ...shown })
export const sign = (levels: readonly Level[], more: Omit<Partial<Sign>, 'levels'> = {}): Sign => ({
  levels,
  source: OURS,
  ...more,
})
/** Said where it holds; nothing where it does not. */
export const only = (
  says: EvidenceCode,
  strength: Strength,
  all: readonly Condition[],
  shown: Pick<Level, 'value' | 'limit'> = {},
) => sign([level(says, strength, all, shown)])

/** pH below a limit: half a unit below speaks strongly, a tenth is no more than a meter shows. */
export const pHUnder = (limit: number | Fact): Sign => {
  const shown = { value: 'pH', limit } as const
  return sign(
    [
      level('pH-below', 'strong', [below('pH', limit, { plus: -0.5 })], shown),
      level('pH-below', 'some', [below('pH', limit, { plus: -0.1 })], shown),
      level('pH-not-below', 'hardly', [], shown),
    ],
    { read: 'pH' },
  )
}
export const coldUnder = (limit: number): Sign => {
  const shown = { value: 'temperature', limit } as const
  return sign(
    [
      level('cold', 'strong', [below('temperature', limit - 4)], shown),
      level('cold', 'some', [below('temperature', limit)], shown),
      level('not-cold', 'hardly', [], shown),
    ],
    { needs: ['temperature'] },
  )
}
/** A nutrient over a season, mg per litre of mix: half of what is little speaks strongly. */
export const littleOf = (
  of: 'potassium' | 'magnesium' | 'calcium' | 'boron' | 'phosphorus',
  limit: number,
): Sign => {
  const shown = { value: of, limit } as const
  return sign(
    [
      level(`${of}-little`, 'strong', [below(of, limit / 2)], shown),
      level(`${of}-little`, 'some', [below(of, limit)], shown),
      level(`${of}-enough`, 'against', [], shown),
    ],
    { source: MEMORY },
  )
}
/** Twice of what is much speaks strongly. */
export const muchOf = (of: 'phosphorus' | 'boron' | 'nitrogen', limit: number): Sign => {
  const shown = { value: of, limit } as const
  return sign(
    [
      level(`${of}-much`, 'strong', [above(of, 2 * limit)], shown),
      level(`${of}-much`, 'some', [above(of, limit)], shown),
      level(`${of}-not-much`, 'hardly', [], shown),
    ],
    { source: MEMORY, needs: [of] },
  )
}
/** Either one thing or its opposite. */
export const either = (
  all: readonly Condition[],
  [yes, forIt]: readonly [EvidenceCode, Strength],
  [no, against]: readonly [EvidenceCode, Strength],
  { value, limit, any, ...more }: Pick<Level, 'value' | 'limit' | 'any'> & Omit<Partial<Sign>, 'levels'> = {},
): Sign =>
  sign([level(yes, forIt, all, { value, limit, any }), level(no, against, [], { value, limit })], more)

/** mg per litre over a season from which an element harms. */
export const MUCH = { phosphorus: 120, boron: 1, nitrogen: 150 }
