import { GROUND_LIMESTONE } from '@/core/data/usualLime'
import { SCHOOLS, type School } from './schools'
import type { Part, Recipe } from '@/model/garden/schemas'
import worked from './starters.json'

export interface Starter extends School {
  parts: Part[]
  /** ISO date. */
  workedOn: string
}

/** A starter mix for each school of practice, as our own finder worked it out. */
export const STARTERS: readonly Starter[] = SCHOOLS.flatMap((school) => {
  const mix = worked.mixes.find((m) => m.id === school.id)
  return mix ? [{ ...school, parts: mix.parts, workedOn: worked.workedOn }] : []
})

/** Its recipe: lime to the pH its school aims at, no dressings. */
export const starterRecipe = ({ parts, pH }: Starter): Recipe => ({
  parts,
  mixes: [],
  lime: {
    mode: pH === null ? 'none' : 'toTarget',
    target: pH ?? 6.4,
    gramsPerLitre: 0,
    dolomiteShare: 0.5,
    limeId: GROUND_LIMESTONE,
  },
  dressings: [],
})
