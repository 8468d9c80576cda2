import {
  computed,
  inject,
  provide,
  type ComputedRef,
  type InjectionKey,
  type MaybeRefOrGetter,
  type ShallowRef,
} from 'vue'
import type { Evaluation } from '@/core/evaluate'
import type { useGarden } from '@/stores/garden'
import { partNames } from '@/text/mix/recipes'
import { useBench, type Bench } from './useBench'
import { useDelayedByFrame } from '../page/useDelayedByFrame'
import { useJob, type JobInHand } from '../job/useJob'
import { useRanges, type LikelyRanges } from './useRanges'
import { useReplaceRecipe } from './useReplaceRecipe'

/** A job on its bench, with all that the pieces of the bench share. */
export interface BenchContext extends JobInHand<ReturnType<typeof useGarden>>, Bench {
  answer: ComputedRef<Evaluation | null>
  /** The answer a frame later, for what is below the figures under the hand. */
  delayedAnswer: Readonly<ShallowRef<Evaluation | null>>
  likely: LikelyRanges
  replaceRecipe: ReturnType<typeof useReplaceRecipe>
  nameOf: ComputedRef<(id: string) => string>
  hasParts: ComputedRef<boolean>
}

function makeBench(jobId: MaybeRefOrGetter<string>): BenchContext {
  const inHand = useJob(jobId)
  const answer = computed(() => (inHand.evaluation.value?.ok ? inHand.evaluation.value.value : null))
  const mixes = computed(() => inHand.job.value?.mixes)
  return {
    ...inHand,
    ...useBench(inHand),
    answer,
    delayedAnswer: useDelayedByFrame(answer),
    likely: useRanges(() => {
      const input = inHand.mixInput.value
      return input && { input, bands: inHand.bands.value, learning: inHand.tables.value.learning }
    }),
    replaceRecipe: useReplaceRecipe(inHand),
    nameOf: computed(() => partNames(mixes.value && { mixes: mixes.value })),
    hasParts: computed(() => (inHand.job.value?.parts.length ?? 0) > 0),
  }
}
const BENCH: InjectionKey<BenchContext> = Symbol('bench')

/**
 * The bench of a job, made once and shared by its pieces: each asks only for what it shows, so a press redraws only
 * that.
 */
export function provideBench(jobId: MaybeRefOrGetter<string>): BenchContext {
  const bench = makeBench(jobId)
  provide(BENCH, bench)
  return bench
}

/** The bench this piece stands on. Throws outside of one. */
export function useBenchContext(): BenchContext {
  const bench = inject(BENCH)
  if (!bench) throw new Error('A piece of the bench is used outside a bench')
  return bench
}
