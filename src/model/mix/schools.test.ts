import { describe, expect, test } from 'vitest'
import { SCHOOLS, workOut } from './schools'
import { starterRecipe, STARTERS } from './starterMixes'

describe('starter mixes', () => {
  test('are what the finder has for each school today', () => {
    expect(STARTERS.map((s) => s.id)).toEqual(SCHOOLS.map((s) => s.id))
    for (const school of SCHOOLS)
      expect(STARTERS.find((s) => s.id === school.id)!.parts, school.id).toEqual(workOut(school))
  })
  test('keep the rules of their school', () => {
    for (const { rules, id } of SCHOOLS) {
      const parts = STARTERS.find((s) => s.id === id)!.parts.map((p) => p.materialId)
      expect(parts.length).toBeLessThanOrEqual(rules.maxMaterials!)
      for (const must of rules.mustUse ?? []) expect(parts).toContain(must)
      if (rules.without?.includes('peat')) expect(parts.some((p) => p.startsWith('peat'))).toBe(false)
    }
  })
  test('come with lime where their school limes, and are dated', () => {
    const white = starterRecipe(STARTERS[0]!)
    expect(white.lime).toMatchObject({ mode: 'toTarget', target: 6.2 })
    expect(starterRecipe(STARTERS.find((s) => s.id === 'sour-ground')!).lime.mode).toBe('none')
    expect(STARTERS[0]!.workedOn).toMatch(/^\d{4}-\d\d-\d\d$/)
  })
})
