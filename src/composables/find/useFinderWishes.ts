import { useSessionStorage } from '@vueuse/core'
import { computed, toRaw, type ComputedRef, type Ref, type WritableComputedRef } from 'vue'
import { materialIn } from '@/core/data'
import { candidateCount, USUAL_MOST_PARTS, type Rules, type Without } from '@/core/finder'
import type { Outcome } from '@/core/outcome'
import { LITRES } from '@/core/units'
import { waterByDays, finderProblem } from '@/model/find/finderProblem'
import { dosePrices } from '@/model/mix/doseCost'
import type { FindRequest } from '@/model/find/findMixes'
import { finderShelf, materialsFrom, type Source } from '@/model/find/materialsFrom'
import { afterFinding } from '@/model/find/nextMoves'
import { shelfItemOf } from '@/model/garden/garden'
import { mixWanted } from '@/model/make/quantities'
import { questionOfJob } from '@/model/mix/questionOfJob'
import { volumeText, type UnitSystem } from '@/text/base/units'
import type { JobInHand } from '../job/useJob'

/** Loose litres that one litre of mix is ever made of, for fine grains fall between coarse ones. Source: our bound. */
const MOST_LOOSE = 1.35

/** What a mix is wished to be. */
export interface Wish {
  source: Source
  without: Without[]
  mustUse: string[]
  mustNotUse: string[]
  useUp: string[]
  minFamilies: number
  maxMaterials: number
  /** Parts of the smallest measure in all. */
  maxParts: number
  /** Money for a litre at the most. */
  budget: number | null
  everyDays: number | null
}

interface Named {
  value: string
  label: string
}

export interface FinderWishing {
  wish: Ref<Wish>
  units: ComputedRef<UnitSystem>
  /** Ids of the materials that may be used. */
  ids: ComputedRef<string[]>
  materials: ComputedRef<Named[]>
  /** Those of which something is left, with how much. */
  inStock: ComputedRef<Named[]>
  /** More is to be used up than the job takes, whatever the recipe; null where it may go in. Litres. */
  tooMuch: ComputedRef<{ left: number; takes: number } | null>
  /** Whether it can be asked how often to water: only where place and crop are known. */
  canAskWater: ComputedRef<boolean>
  /** Recipes that will be tried. */
  total: ComputedRef<number>
  /** Kept for a litre, asked for in the grower's measure. */
  budget: WritableComputedRef<number>
  /** What the finder is asked; null without a job. */
  request: ComputedRef<Outcome<FindRequest> | null>
}

/**
 * What a mix for a job is wished to be, and the question it makes for the finder. Wishes outlive the page, not the
 * tab.
 */
export function useFinderWishes(
  { garden, job, place, tables, units }: JobInHand,
  jobId: string,
): FinderWishing {
  /** A shelf of one thing or none is nothing to find a mix on. */
  const startingSource = (): Source =>
    job.value && materialsFrom(garden.records, job.value, 'shelf').length < 2 ? 'all' : 'shelf'
  const wish = useSessionStorage<Wish>(
    `open-bed-finder-${jobId}`,
    {
      source: startingSource(),
      without: [],
      mustUse: [],
      mustNotUse: [],
      useUp: [],
      minFamilies: 2,
      maxMaterials: 4,
      maxParts: USUAL_MOST_PARTS,
      budget: null,
      everyDays: null,
    },
    { mergeDefaults: true },
  )
  const ids = computed(() => (job.value ? materialsFrom(garden.records, job.value, wish.value.source) : []))
  const named = (list: readonly string[]) =>
    list.map((id) => ({ value: id, label: materialIn(tables.value, id)?.name ?? id }))
  const stockOf = (id: string) => shelfItemOf(garden.records, id)?.stock ?? 0
  const volume = computed(() => (job.value ? mixWanted(job.value, tables.value) : null))
  const easyWater = computed(() => (job.value ? waterByDays(job.value, place.value, tables.value) : null))
  const perUnit = computed(() => (units.value === 'us' ? LITRES.usGallon : 1))

  function rulesOf(w: Wish): Rules {
    return {
      without: [...w.without],
      mustUse: [...w.mustUse],
      mustNotUse: [...w.mustNotUse],
      useUp: volume.value === null ? [] : [...w.useUp],
      minFamilies: Math.min(w.minFamilies, w.maxMaterials),
      maxMaterials: w.maxMaterials,
      maxParts: w.maxParts,
      oneGrade: true,
      ...(w.budget === null ? {} : { maxCostPerLitre: w.budget }),
    }
  }
  const request = computed<Outcome<FindRequest> | null>(() => {
    const j = toRaw(job.value)
    if (!j) return null
    const w = wish.value
    const shelf = finderShelf(garden.records, j, w.source)
    if (!shelf.ok) return shelf
    const question = questionOfJob(
      { ...j, ...afterFinding(j, { parts: [] }) },
      toRaw(place.value),
      tables.value,
    )
    const problem = finderProblem(question, shelf.value, {
      rules: rulesOf(w),
      volume: volume.value,
      easyWater: w.everyDays === null ? null : (easyWater.value?.(w.everyDays) ?? null),
    })
    return problem.ok
      ? { ...problem, value: { problem: problem.value, question, prices: dosePrices(garden.records) } }
      : problem
  })

  return {
    wish,
    units,
    ids,
    materials: computed(() => named(ids.value)),
    inStock: computed(() =>
      named(ids.value.filter((id) => stockOf(id) > 0)).map(({ value, label }) => ({
        value,
        label: `${label}, ${volumeText(stockOf(value), units.value)}`,
      })),
    ),
    tooMuch: computed(() => {
      const left = wish.value.useUp.reduce((sum, id) => sum + stockOf(id), 0)
      return volume.value !== null && left > volume.value * MOST_LOOSE ? { left, takes: volume.value } : null
    }),
    canAskWater: computed(() => easyWater.value !== null),
    total: computed(() =>
      candidateCount(
        ids.value.length,
        Math.min(wish.value.maxMaterials, ids.value.length || 1),
        wish.value.maxParts,
        wish.value.mustUse.length,
      ),
    ),
    budget: computed({
      get: () => (wish.value.budget ?? 0) * perUnit.value,
      set: (money) => (wish.value.budget = money / perUnit.value),
    }),
    request,
  }
}
