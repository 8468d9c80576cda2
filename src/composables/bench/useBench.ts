import { computed, shallowRef, toRaw, type ComputedRef, type Ref, type ShallowRef } from 'vue'
import type { Material } from '@/core/data'
import type { Evaluation } from '@/core/evaluate'
import { STEPS } from '@/core/mixing'
import type { Source } from '@/model/find/materialsFrom'
import { movesRequest } from '@/model/find/nextMoves'
import { materialsToChoose } from '@/model/garden/tables'
import type { Job, Recipe } from '@/model/garden/schemas'
import { shelfEntry } from '@/model/garden/shelfEntry'
import { mixCost, pricePerLitre, type MixCost } from '@/model/mix/cost'
import { evaluatePrepared, prepare, type PreparedMix } from '@/model/mix/prepare'
import type { RestAnswer } from '@/model/mix/rest'
import { questionOfJob, recipeQuestion } from '@/model/mix/questionOfJob'
import { recipeOf } from '@/model/mix/versions'
import { moveText } from '@/text/mix/moves'
import { partNames } from '@/text/mix/recipes'
import type { JobInHand } from '../job/useJob'
import { useNextMoves, type NextMovesInHand } from './useNextMoves'
import { movesInWorker, restInWorker } from '@/workers/core.client'
import { useRest, type Rested } from './useRest'
import { useDelayedByFrame } from '../page/useDelayedByFrame'

/** What a change brings, looked at before it is made. */
export type Look = { kind: 'part'; materialId: string; direction: 1 | -1 } | { kind: 'move'; index: number }

/** What the shelf holds or knows the price of. */
export interface OnShelf {
  material: Material
  stock: number
  perLitre: number | null
}

export interface Bench {
  /** Twelfths to one press of plus or minus. */
  step: ComputedRef<number>
  /** What comes when the hand rests. */
  later: Rested<RestAnswer>
  /** The job a frame later, for what may follow the figures under the hand. */
  delayedJob: Readonly<ShallowRef<Job | undefined>>
  source: Ref<Source>
  next: NextMovesInHand
  /** Makes the next move of this index, if it is still of the mix in hand. */
  take: (index: number) => void
  look: Ref<Look | null>
  /** The mix as it would be after the change looked at; while that is `undecided`, after the one before. */
  whatIf: ComputedRef<Evaluation | null>
  undecided: ComputedRef<boolean>
  /** Materials on the shelf that are not in the mix. */
  shelf: ComputedRef<OnShelf[]>
  cost: ComputedRef<MixCost>
}

const MOST_MOVES = 5

/**
 * Everything the bench shows beside the mix itself: what a change would do, next moves, warnings, cost; and what can
 * be done there.
 */
export function useBench(inHand: JobInHand, runs = { moves: movesInWorker, rest: restInWorker }): Bench {
  const { job, prepared } = inHand
  const step = computed(() => STEPS[job.value?.step ?? 'whole'])
  const mix = computed<PreparedMix | null>(() => (prepared.value?.ok ? prepared.value.value : null))
  const later = useAtRest(inHand, mix, runs.rest)
  const look = shallowRef<Look | null>(null)
  const { source, next, take } = useMoves(inHand, { mix, look }, runs.moves)
  const delayedJob = useDelayedByFrame(job)
  const { whatIf, undecided } = useWhatIf(inHand, { delayedJob, look, next, step })
  const { shelf, cost } = useShelfBeside(inHand, delayedJob, mix)
  return { step, later, delayedJob, source, next, take, look, whatIf, undecided, shelf, cost }
}

/** What is worked out when the hand rests: of the mix, and of the same mix in the other beds of its job. */
function useAtRest(
  { job, place, tables }: JobInHand,
  mix: ComputedRef<PreparedMix | null>,
  run: typeof restInWorker,
): Rested<RestAnswer> {
  const fills = computed(() => job.value?.fills)
  const answered = computed(() => job.value?.dismissed)
  const key = computed(() => mix.value && { mix: mix.value, fills: fills.value, answered: answered.value })
  return useRest(
    key,
    ({ mix, fills, answered }) => {
      const j = toRaw(job.value)!
      const others = fills && fills.length > 1 ? fills : []
      return {
        question: mix.question,
        answered: (answered ?? []).map((d) => d.code),
        others: others.map(({ id }) => ({
          id,
          question: questionOfJob({ ...j, judgedIn: id }, toRaw(place.value), tables.value),
        })),
      }
    },
    run,
  )
}

/** The moves that help most, and taking one. */
function useMoves(
  { garden, job, units }: JobInHand,
  { mix, look }: { mix: ComputedRef<PreparedMix | null>; look: Bench['look'] },
  runMoves: typeof movesInWorker,
) {
  const source = shallowRef<Source>('shelf')
  const answered = computed(() => job.value?.dismissed)
  const moveKey = computed(
    () => mix.value && { mix: mix.value, source: source.value, answered: answered.value },
  )
  const next = useNextMoves(
    moveKey,
    ({ mix, source }) => {
      const j = toRaw(job.value)
      const asked = j && movesRequest(garden.records, j, mix.question, { source, most: MOST_MOVES })
      return asked?.ok ? asked.value : null
    },
    runMoves,
  )
  function take(index: number) {
    const move = next.value.value?.moves[index]
    const j = job.value
    if (!move || next.stale.value || !j) return
    look.value = null
    const what = moveText(move, units.value, partNames(j)).replace(/^./, (c) => c.toLowerCase())
    garden.run({ type: 'recipe/replace', jobId: j.id, recipe: move.recipe, what })
  }
  return { source, next, take }
}

/** What the change under the pointer would do. */
function useWhatIf(
  { job, question }: JobInHand,
  { delayedJob, look, next, step }: Pick<Bench, 'delayedJob' | 'look' | 'next' | 'step'>,
) {
  /** A press changes what the next one would do; that is worked out after its own answer is painted. */
  const undecided = computed(() => look.value !== null && delayedJob.value !== job.value)
  const lookedAt = computed<Recipe | null>((old) => {
    if (undecided.value) return old ?? null
    const j = delayedJob.value
    const l = look.value
    if (!j || !l) return null
    if (l.kind === 'move') {
      const move = next.value.value?.moves[l.index]
      return move && !next.stale.value ? move.recipe : null
    }
    const parts = j.parts.flatMap((p) => {
      if (p.materialId !== l.materialId) return [p]
      const twelfths = p.twelfths + l.direction * step.value
      return twelfths > 0 ? [{ ...p, twelfths }] : []
    })
    return { ...recipeOf(j), parts }
  })
  const whatIf = computed<Evaluation | null>((old) => {
    if (undecided.value) return old ?? null
    const asked = question.value
    if (!lookedAt.value || !asked || lookedAt.value.parts.length === 0) return null
    const there = prepare({ ...asked, recipe: recipeQuestion(toRaw(lookedAt.value)) })
    const answer = there.ok ? evaluatePrepared(there.value) : null
    return answer?.ok ? answer.value : null
  })
  return { whatIf, undecided }
}

/** What is on the shelf and not in the mix, and what the mix costs. */
function useShelfBeside(
  { garden }: JobInHand,
  delayedJob: Bench['delayedJob'],
  mix: ComputedRef<PreparedMix | null>,
) {
  const delayedRecords = useDelayedByFrame(computed(() => garden.records))
  const shelf = computed<OnShelf[]>((old) => {
    const taken = new Set(delayedJob.value?.parts.map((p) => p.materialId))
    const now = materialsToChoose(delayedRecords.value).flatMap((material) => {
      if (taken.has(material.id)) return []
      const { stock } = shelfEntry(delayedRecords.value, material)
      const perLitre = pricePerLitre(delayedRecords.value, material)
      return perLitre !== null || stock > 0 ? [{ material, stock, perLitre }] : []
    })
    // The same list as long as it says the same, so that a press does not draw it anew.
    return old && sameShelf(old, now) ? old : now
  })
  const cost = computed(() => {
    const j = delayedJob.value
    return j && j.parts.length > 0
      ? mixCost(delayedRecords.value, toRaw(j), mix.value ?? undefined)
      : { perLitre: null, missing: [], missingDoses: [] }
  })
  return { shelf, cost }
}

const sameShelf = (a: readonly OnShelf[], b: readonly OnShelf[]): boolean =>
  a.length === b.length &&
  a.every((item, i) => {
    const { material, stock, perLitre } = b[i]!
    return item.material === material && item.stock === stock && item.perLitre === perLitre
  })
