import { useSessionStorage, useThrottleFn } from '@vueuse/core'
import { computed, onUnmounted, shallowRef, toRaw, watch } from 'vue'
import {
  candidateCount,
  type Candidate,
  type FinderProgress,
  type FinderResult,
  type Relaxation,
  type Rules,
  type Without,
} from '@/core/finder'
import type { Judgement } from '@/core/judgement'
import { LITRES } from '@/core/units'
import {
  concernsOf,
  easyWaterFor,
  finderProblem,
  severityOf,
  materialsFrom,
  complexityOf,
  thirstOf,
  type Source,
} from '@/model/find/bench'
import { shelfItemOf } from '@/model/garden/garden'
import { mixWanted } from '@/model/mix/reckoning'
import { materialById } from '@/core/data'
import { fitText, meetsAll } from '@/text/finder'
import { problemText, type Sentence } from '@/text/problems.en'
import { partsText } from '@/text/recipes'
import { volumeText } from '@/text/units'
import { findInWorker, inTheWayInWorker } from '@/workers/core.client'
import type { useJob } from './useJob'

/** Loose litres that one litre of mix is ever made of, for fine grains fall between coarse ones. Source: our bound. */
const MOST_LOOSE = 1.35

/** So many of the best are looked at as the bench would look at them. */
const MOST_WEIGHED = 60

/** A recipe found, as it is written out. */
export const written = (c: Candidate) =>
  partsText(c.parts.map((p) => ({ materialId: p.id, twelfths: p.parts * 12 })))

/** What a mix is wished to be, the search for it in the worker, and what was found. Wishes outlive the page, not the tab. */
export function useFinder({ garden, job, place, units }: ReturnType<typeof useJob>, jobId: string) {
  /** A shelf of one thing or none is nothing to find a mix on. */
  const startingSource = (): Source =>
    job.value && materialsFrom(garden.records, job.value, 'shelf').length < 2 ? 'all' : 'shelf'
  const wish = useSessionStorage(`open-bed-finder-${jobId}`, {
    source: startingSource(),
    without: [] as Without[],
    mustUse: [] as string[],
    mustNotUse: [] as string[],
    useUp: [] as string[],
    minFamilies: 2,
    maxMaterials: 4,
    budget: null as number | null,
    everyDays: null as number | null,
  })

  const ids = computed(() => (job.value ? materialsFrom(garden.records, job.value, wish.value.source) : []))
  const named = (list: readonly string[]) => list.map((id) => ({ id, label: materialById(id)?.name ?? id }))
  const materials = computed(() => named(ids.value))
  const stockOf = (id: string) => shelfItemOf(garden.records, id)?.stock ?? 0
  const inStock = computed(() =>
    named(ids.value.filter((id) => stockOf(id) > 0)).map(({ id, label }) => ({
      id,
      label: `${label}, ${volumeText(stockOf(id), units.value)}`,
    })),
  )
  /** More is to be used up than the job takes, whatever the recipe; null where it may go in. Litres. */
  const tooMuch = computed(() => {
    const left = wish.value.useUp.reduce((sum, id) => sum + stockOf(id), 0)
    return volume.value !== null && left > volume.value * MOST_LOOSE ? { left, takes: volume.value } : null
  })
  /** How often it can be asked to want water: only where the place and the crop are known. */
  const canAskWater = computed(() => Boolean(season.value?.growing?.thirstiestMonth))
  const volume = computed(() => (job.value ? mixWanted(job.value) : null))
  const season = computed(() => (job.value ? thirstOf(job.value, place.value) : null))
  const total = computed(() =>
    candidateCount(
      ids.value.length,
      Math.min(wish.value.maxMaterials, ids.value.length || 1),
      12,
      wish.value.mustUse.length,
    ),
  )

  /** Kept for a litre, asked for in the grower's measure. */
  const perUnit = computed(() => (units.value === 'us' ? LITRES.usGallon : 1))
  const budget = computed({
    get: () => (wish.value.budget ?? 0) * perUnit.value,
    set: (money) => (wish.value.budget = money / perUnit.value),
  })
  const problem = computed(() => {
    const j = job.value
    if (!j) return null
    const w = wish.value
    const rules: Rules = {
      without: [...w.without],
      mustUse: [...w.mustUse],
      mustNotUse: [...w.mustNotUse],
      useUp: volume.value === null ? [] : [...w.useUp],
      minFamilies: Math.min(w.minFamilies, w.maxMaterials),
      maxMaterials: w.maxMaterials,
      ...(w.budget === null ? {} : { maxCostPerLitre: w.budget }),
    }
    const easyWater = w.everyDays !== null && season.value ? easyWaterFor(season.value, j, w.everyDays) : null
    return finderProblem(garden.records, toRaw(j), toRaw(place.value), {
      source: w.source,
      rules,
      volume: volume.value,
      easyWater,
    })
  })

  const progress = shallowRef<FinderProgress | null>(null)
  const result = shallowRef<FinderResult | null>(null)
  const way = shallowRef<Relaxation[] | null>(null)
  const asking = shallowRef(false)
  const trouble = shallowRef<Sentence | null>(null)
  let abort: AbortController | null = null
  let enough: AbortController | null = null
  const running = shallowRef(false)

  function stop() {
    abort?.abort()
    abort = enough = null
    running.value = asking.value = false
  }
  onUnmounted(stop)
  // What was found belongs to what was asked.
  watch(problem, () => {
    stop()
    result.value = way.value = progress.value = trouble.value = null
  })
  /** Progress is drawn a few times a second: oftener, drawing it would cost the page its smoothness. */
  const told = useThrottleFn((x: FinderProgress) => (progress.value = x), 250)
  async function find() {
    const p = problem.value
    if (!p) return
    stop()
    result.value = way.value = progress.value = trouble.value = null
    if (!p.ok) {
      trouble.value = problemText(p.problem, units.value)
      return
    }
    running.value = true
    const mine = (abort = new AbortController())
    enough = new AbortController()
    const answer = await findInWorker(p.value, {
      signal: mine.signal,
      enough: enough.signal,
      onProgress: told,
    })
    if (mine.signal.aborted || !answer) return
    if (answer.ok) {
      const weighed = await weigh(answer.value, mine.signal)
      if (mine.signal.aborted) return
      concerns.value = weighed
      result.value = answer.value
    } else trouble.value = problemText(answer.problem, units.value)
    running.value = false
  }
  async function askWay() {
    const p = problem.value
    if (!p?.ok) return
    stop()
    asking.value = true
    const mine = (abort = new AbortController())
    const answer = await inTheWayInWorker(p.value, { signal: mine.signal })
    if (mine.signal.aborted || !answer) return
    asking.value = false
    if (answer.ok) way.value = answer.value
    else trouble.value = problemText(answer.problem, units.value)
  }

  /** All that meet everything are alike in that. */
  const rankOf = (c: Candidate) => (meetsAll(c) ? 0 : Math.round(c.score * 50) + 1)
  /** Everything found, best first; of those alike the cheaper, then the plainer. */
  function inOrder({ families, front }: FinderResult): Candidate[] {
    const each = new Map([...families, ...front].map((c) => [written(c), c]))
    return [...each.values()].sort(
      (a, b) =>
        rankOf(a) - rankOf(b) ||
        (a.figures.costPerLitre || 9e9) - (b.figures.costPerLitre || 9e9) ||
        complexityOf(a) - complexityOf(b),
    )
  }
  /** What would stand out about the best of them, one at a time so that the page lives meanwhile. */
  async function weigh(found: FinderResult, signal: AbortSignal) {
    const weighed = new Map<string, Judgement[]>()
    const j = toRaw(job.value)
    for (const c of inOrder(found).slice(0, MOST_WEIGHED)) {
      if (!j || signal.aborted) break
      const concerns = concernsOf(j, toRaw(place.value), c)
      if (concerns) weighed.set(written(c), concerns)
      await new Promise((on) => setTimeout(on))
    }
    return weighed
  }
  const concerns = shallowRef<ReadonlyMap<string, Judgement[]>>(new Map())
  /** Nobody looked: behind those that were looked at. */
  const gravity = (concern: Judgement[] | undefined) => (concern ? severityOf(concern) : Number.MAX_VALUE)
  /** Of those that fit alike, what would have less said against it on the bench comes first. */
  const found = computed(() => {
    const r = result.value
    if (!r) return []
    const front = new Set(r.front.map(written))
    return inOrder(r)
      .map((c) => {
        const parts = written(c)
        return { c, parts, fit: fitText(c), onFront: front.has(parts), concern: concerns.value.get(parts) }
      })
      .sort((a, b) => rankOf(a.c) - rankOf(b.c) || gravity(a.concern) - gravity(b.concern))
  })

  return {
    wish,
    ids,
    materials,
    inStock,
    tooMuch,
    canAskWater,
    total,
    budget,
    units,
    running,
    progress,
    result,
    way,
    asking,
    trouble,
    found,
    find,
    askWay,
    /** Ends the search with what it has. */
    show: () => enough?.abort(),
  }
}
