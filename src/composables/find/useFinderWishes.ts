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
export function useFinderWishes(inHand: JobInHand, jobId: string): FinderWishing {
  const { garden, job, place, tables, units } = inHand
  const wish = useKeptWish(inHand, jobId)
  const ids = computed(() => (job.value ? materialsFrom(garden.records, job.value, wish.value.source) : []))
  const stockOf = (id: string) => shelfItemOf(garden.records, id)?.stock ?? 0
  const volume = computed(() => (job.value ? mixWanted(job.value, tables.value) : null))
  const easyWater = computed(() => (job.value ? waterByDays(job.value, place.value, tables.value) : null))
  const perUnit = computed(() => (units.value === 'us' ? LITRES.usGallon : 1))
  const named = (id: string): Named => ({ value: id, label: materialIn(tables.value, id)?.name ?? id })
  const withStock = ({ value, label }: Named): Named => ({
    value,
    label: `${label}, ${volumeText(stockOf(value), units.value)}`,
  })
  return {
    wish,
    units,
    ids,
    materials: computed(() => ids.value.map(named)),
    inStock: computed(() =>
      ids.value
        .filter((id) => stockOf(id) > 0)
        .map(named)
        .map(withStock),
    ),
    tooMuch: computed(() => {
      const left = wish.value.useUp.reduce((sum, id) => sum + stockOf(id), 0)
      return volume.value !== null && left > volume.value * MOST_LOOSE ? { left, takes: volume.value } : null
    }),
    canAskWater: computed(() => easyWater.value !== null),
    total: computed(() => {
      const { maxMaterials, maxParts, mustUse } = wish.value
      const many = ids.value.length
      return candidateCount(many, Math.min(maxMaterials, many || 1), maxParts, mustUse.length)
    }),
    budget: computed({
      get: () => (wish.value.budget ?? 0) * perUnit.value,
      set: (money) => (wish.value.budget = money / perUnit.value),
    }),
    request: computed(() => requestOf(inHand, wish.value, volume.value, easyWater.value)),
  }
}

function useKeptWish({ garden, job }: JobInHand, jobId: string) {
  /** A shelf of one thing or none is nothing to find a mix on. */
  const isBare = job.value && materialsFrom(garden.records, job.value, 'shelf').length < 2
  const usual: Wish = {
    source: isBare ? 'all' : 'shelf',
    without: [],
    mustUse: [],
    mustNotUse: [],
    useUp: [],
    minFamilies: 2,
    maxMaterials: 4,
    maxParts: USUAL_MOST_PARTS,
    budget: null,
    everyDays: null,
  }
  return useSessionStorage<Wish>(`open-bed-finder-${jobId}`, usual, { mergeDefaults: true })
}

const rulesOf = (w: Wish, volume: number | null): Rules => ({
  without: [...w.without],
  mustUse: [...w.mustUse],
  mustNotUse: [...w.mustNotUse],
  useUp: volume === null ? [] : [...w.useUp],
  minFamilies: Math.min(w.minFamilies, w.maxMaterials),
  maxMaterials: w.maxMaterials,
  maxParts: w.maxParts,
  oneGrade: true,
  ...(w.budget === null ? {} : { maxCostPerLitre: w.budget }),
})

function requestOf(
  { garden, job, place, tables }: JobInHand,
  wish: Wish,
  volume: number | null,
  easyWater: ReturnType<typeof waterByDays> | null,
): Outcome<FindRequest> | null {
  const j = toRaw(job.value)
  if (!j) return null
  const shelf = finderShelf(garden.records, j, wish.source)
  if (!shelf.ok) return shelf
  const bare = { ...j, ...afterFinding(j, { parts: [] }) }
  const question = questionOfJob(bare, toRaw(place.value), tables.value)
  const problem = finderProblem(question, shelf.value, {
    rules: rulesOf(wish, volume),
    volume,
    easyWater: wish.everyDays === null ? null : (easyWater?.(wish.everyDays) ?? null),
  })
  return problem.ok
    ? { ...problem, value: { problem: problem.value, question, prices: dosePrices(garden.records) } }
    : problem
}
