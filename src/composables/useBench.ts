import { computed, shallowRef, toRaw } from 'vue'
import { MATERIALS, type Material } from '@/core/data'
import type { Evaluation } from '@/core/evaluate'
import { STEPS } from '@/core/mixing'
import { afterMove, judgementsOf, movesOf, recipeOf, type Source } from '@/model/find/bench'
import { shelfEntry } from '@/model/make/batchCard'
import { mixCost, pricePerLitre } from '@/model/mix/cost'
import { doseOffers, limeOffer } from '@/model/mix/doses'
import { evaluateJob, evaluateLater } from '@/model/mix/reckoning'
import type { Recipe } from '@/model/garden/schemas'
import { moveText } from '@/text/moves'
import { partNames } from '@/text/recipes'
import type { useJob } from './useJob'
import { useDelayedByFrame } from './useDelayedByFrame'
import { useDebouncedWork } from './useDebouncedWork'

/** What a change brings, looked at before it is made. */
export type Look = { kind: 'part'; materialId: string; direction: 1 | -1 } | { kind: 'move'; index: number }

interface ShelfItem {
  material: Material
  stock: number
  perLitre: number | null
}

const MOST_MOVES = 5
/** Fields of a job that its figures follow from. */
const BENCH_KEYS = [
  'parts',
  'mixes',
  'lime',
  'dressings',
  'cropId',
  'companionIds',
  'fills',
  'judgedIn',
  'bands',
  'plants',
  'plantMonth',
] as const

/** Everything the mix bench shows beside the mix itself: what-if, next moves, warnings, cost; and what can be done there. */
export function useBench({ garden, job, place, bands }: ReturnType<typeof useJob>) {
  const step = computed(() => STEPS[job.value?.step ?? 'whole'])
  const run = garden.run
  const id = () => job.value!.id

  /** What the work at rest depends on: a key that changes with the mix and its surroundings, not with names and ticks. */
  const key = computed<string | null>((old) => {
    const j = job.value
    if (!j || j.parts.length === 0) return null
    const next = JSON.stringify([BENCH_KEYS.map((k) => j[k]), place.value])
    return next === old ? old : next
  })
  const later = useDebouncedWork(key, () => {
    const j = toRaw(job.value)
    const answer = j && evaluateLater(j, toRaw(place.value))
    return j && answer?.ok
      ? {
          evaluation: answer.value,
          judgements: judgementsOf(j, place.value, answer.value),
          offers: doseOffers(j, answer.value, bands.value.pH),
          lime: limeOffer(j, answer.value, bands.value.pH),
        }
      : null
  })

  const source = shallowRef<Source>('shelf')
  const moveKey = computed(() => key.value && `${source.value} ${key.value}`)
  const next = useDebouncedWork(moveKey, () => {
    const found = job.value && movesOf(garden.records, job.value, place.value, source.value, MOST_MOVES)
    return found?.ok ? found.value : null
  })
  function take(index: number) {
    const move = next.value.value?.moves[index]
    if (!move || next.stale.value || !job.value) return
    look.value = null
    run({
      type: 'recipe/replace',
      jobId: id(),
      recipe: afterMove(job.value, move),
      what: moveText(move, partNames(job.value)).replace(/^./, (c) => c.toLowerCase()),
    })
  }

  /** For what may follow a press a frame later. */
  const delayedJob = useDelayedByFrame(job)
  const look = shallowRef<Look | null>(null)
  /** A press changes what the next one would do; that is worked out after its own answer is painted. */
  const undecided = computed(() => look.value !== null && delayedJob.value !== job.value)
  const lookedAt = computed<Recipe | null>((old) => {
    if (undecided.value) return old ?? null
    const j = delayedJob.value
    const l = look.value
    if (!j || !l) return null
    if (l.kind === 'move') {
      const move = next.value.value?.moves[l.index]
      return move && !next.stale.value ? afterMove(j, move) : null
    }
    const parts = j.parts.flatMap((p) => {
      if (p.materialId !== l.materialId) return [p]
      const twelfths = p.twelfths + l.direction * step.value
      return twelfths > 0 ? [{ ...p, twelfths }] : []
    })
    return { ...recipeOf(j), parts }
  })
  /** The mix as it would be after the change looked at; while that is `undecided`, after the one before. */
  const whatIf = computed<Evaluation | null>((old) => {
    if (undecided.value) return old ?? null
    if (!lookedAt.value || !job.value || lookedAt.value.parts.length === 0) return null
    const answer = evaluateJob({ ...job.value, ...lookedAt.value }, undefined, place.value)
    return answer.ok ? answer.value : null
  })

  const delayedRecords = useDelayedByFrame(computed(() => garden.records))
  /** What the shelf holds or knows the price of, not yet in the mix. */
  const shelf = computed<ShelfItem[]>((old) => {
    const taken = new Set(delayedJob.value?.parts.map((p) => p.materialId))
    const now = MATERIALS.flatMap((m) => {
      if (taken.has(m.id)) return []
      const { stock } = shelfEntry(delayedRecords.value, m)
      const perLitre = pricePerLitre(delayedRecords.value, m)
      return perLitre !== null || stock > 0 ? [{ material: m, stock, perLitre }] : []
    })
    const same =
      old?.length === now.length &&
      now.every((item, i) => {
        const before = old[i]!
        return (
          item.material === before.material &&
          item.stock === before.stock &&
          item.perLitre === before.perLitre
        )
      })
    return same ? old : now
  })
  const cost = computed(() => {
    const j = delayedJob.value
    return j && j.parts.length > 0 ? mixCost(delayedRecords.value, toRaw(j)) : { perLitre: null, missing: [] }
  })

  return { step, later, delayedJob, source, next, take, look, whatIf, undecided, shelf, cost }
}
