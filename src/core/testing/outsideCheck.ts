import { expect, test } from 'vitest'

/** What a check leans on. A published work may itself be quoted from memory: `source` says so. */
export type CheckBasis =
  | 'published'
  | 'standard'
  | 'closed form'
  | 'reference program'
  | 'common practice'
  | 'from memory'

export interface OutsideCheck {
  module:
    | 'batch'
    | 'chemistry'
    | 'climate'
    | 'data'
    | 'fieldTests'
    | 'finder'
    | 'footprint'
    | 'geometry'
    | 'heap'
    | 'irrigation'
    | 'laboratory'
    | 'liquid'
    | 'mixing'
    | 'nutrients'
    | 'preparing'
    | 'raising'
    | 'ranges'
    | 'rotation'
    | 'season'
    | 'structure'
    | 'trial'
    | 'units'
    | 'water'
    | 'weight'
  what: string
  source: string
  basis: CheckBasis
  unit: string
  /** One value, or a band both ends of which are allowed. */
  expected: number | { low: number; high: number }
  /** Allowed distance from the value or band; 0 where it should be exact. */
  tolerance: number
  /** Was it used to set a parameter? Then agreement proves nothing new, and the table says so. */
  usedToSet?: string
  /**
   * Why it is missed by more than its tolerance, where it is. The table tells it, and the test fails once it no
   * longer is.
   */
  missed?: string
  computed: () => number
}

/**
 * A test against the world outside the project. What it found is kept with the test's result, from which
 * `npm run checks` writes docs/method/checks.md.
 */
export function outsideCheck(check: OutsideCheck) {
  test(`outside: ${check.what} (${check.source})`, ({ task }) => {
    const computed = check.computed()
    const { low, high } =
      typeof check.expected === 'number' ? { low: check.expected, high: check.expected } : check.expected
    const difference = computed < low ? computed - low : computed > high ? computed - high : 0
    // The number takes the place of the function, which no report could hold.
    Object.assign(task.meta, { outsideCheck: { ...check, computed, difference } })
    expect(Number.isFinite(computed)).toBe(true)
    // Room for the last bit of a floating sum, no more.
    const allowed = check.tolerance + Math.abs(computed) * 1e-12
    if (check.missed) expect(Math.abs(difference), 'met after all').toBeGreaterThan(allowed)
    else expect(Math.abs(difference)).toBeLessThanOrEqual(allowed)
  })
}
