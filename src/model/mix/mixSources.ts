import { tablesOf } from '../garden/tables'
import type { Tables } from '@/core/data'
import { GROUND_LIMESTONE } from '@/core/data/usualLime'
import { succeed, type Outcome } from '@/core/outcome'
import type { Problem } from '@/core/problems'
import { describeBag, recipeOfMix } from './bags'
import { recipeOf } from './versions'
import { bagsOf, jobsOf, type Garden } from '@/model/garden/garden'
import { innerMixOf } from './innerMix'
import { prepareJob } from './evaluateJob'
import { sameData } from '@/model/garden/same'
import type { Bag, InnerMix, Job, Recipe } from '@/model/garden/schemas'
import { starterRecipe, STARTERS } from './starterMixes'

/** A whole mix to compare with another or become a part of one. */
export interface MixSource {
  id: string
  kind: 'bench' | 'version' | 'bag' | 'starter' | 'job'
  /** Empty where the grower gave none. */
  name: string
  /** The job it is the mix of, where it is another's. */
  job?: Job
  /** Where it comes in bags. */
  bag?: Bag
  recipe: Recipe
  /** Where a label leaves open what is in it: the mixes at the corners of that. */
  corners: Recipe[]
  /** Why it cannot be worked out. */
  problem: Problem | null
}

const NOTHING: Recipe = {
  parts: [],
  mixes: [],
  lime: { mode: 'none', target: 6.4, gramsPerLitre: 0, dolomiteShare: 0.5, limeId: GROUND_LIMESTONE },
  dressings: [],
}
const whole = { corners: [], problem: null }

/**
 * Every whole mix of a garden beside a job's own: what is on the bench first, then its versions, bags, starters,
 * other jobs.
 */
export function mixSources(garden: Garden, job: Job): MixSource[] {
  return [
    ...(job.parts.length > 0
      ? [{ ...whole, id: 'bench', kind: 'bench' as const, name: '', recipe: recipeOf(job) }]
      : []),
    ...[...job.versions].reverse().map((v): MixSource => ({
      ...whole,
      id: `version ${v.id}`,
      kind: 'version',
      name: v.name,
      recipe: recipeOf(v),
    })),
    ...bagsOf(garden).map((bag): MixSource => {
      const found = describeBag(bag, `mix:${bag.id}`, tablesOf(garden))
      const base = { id: `bag ${bag.id}`, kind: 'bag' as const, name: bag.name, bag }
      return found.ok
        ? {
            ...base,
            recipe: recipeOfMix(found.value.mix),
            corners: found.value.corners.map(recipeOfMix),
            problem: null,
          }
        : { ...base, recipe: NOTHING, corners: [], problem: found.problem }
    }),
    ...STARTERS.map((s): MixSource => ({
      ...whole,
      id: `starter ${s.id}`,
      kind: 'starter',
      name: s.name,
      recipe: starterRecipe(s),
    })),
    ...jobsOf(garden)
      .filter((other) => other.id !== job.id && other.parts.length > 0)
      .map((other): MixSource => ({
        ...whole,
        id: `job ${other.id}`,
        kind: 'job',
        name: '',
        job: other,
        recipe: recipeOf(other),
      })),
  ]
}

/**
 * A whole mix as a part of a job's mix, under a new id, or the one that is a part already where it is the same. Lime
 * to a pH is worked out as if it were mixed today. Errors: those of working it out.
 */
export function asPart(
  source: MixSource,
  job: Job,
  { id, name, tables }: { id: string; name: string; tables: Tables },
): Outcome<InnerMix> {
  const taken = (mix: InnerMix) => job.mixes.find((m) => sameData({ ...m, id }, mix)) ?? mix
  const bagged = source.bag ? describeBag(source.bag, id, tables) : null
  if (bagged) return bagged.ok ? succeed(taken(bagged.value.mix)) : bagged
  const prepared = prepareJob({ ...(source.job ?? job), ...source.recipe }, undefined, tables)
  if (!prepared.ok) return prepared
  const mix = innerMixOf(
    source.recipe,
    prepared.value.lime.own,
    { id, name, origin: { kind: 'made' } },
    tables,
  )
  return mix.ok ? succeed(taken(mix.value)) : mix
}
