import { computed, inject, provide, type InjectionKey, type MaybeRefOrGetter } from 'vue'
import { partNames } from '@/text/recipes'
import { useBench } from './useBench'
import { useDelayedByFrame } from './useDelayedByFrame'
import { useJob } from './useJob'
import { useReplaceRecipe } from './useReplaceRecipe'
import { useRanges } from './useRanges'

function makeBench(jobId: MaybeRefOrGetter<string>) {
  const of = useJob(jobId)
  const bench = useBench(of)
  const answer = computed(() => (of.evaluation.value?.ok ? of.evaluation.value.value : null))
  const mixes = computed(() => of.job.value?.mixes)
  return {
    ...of,
    ...bench,
    answer,
    /** For what stands below the figures under the hand: a frame after them. */
    calm: useDelayedByFrame(answer),
    ranges: useRanges(of.mixInput),
    put: useReplaceRecipe(of),
    nameOf: computed(() => partNames(mixes.value && { mixes: mixes.value })),
    hasParts: computed(() => (of.job.value?.parts.length ?? 0) > 0),
  }
}
type Bench = ReturnType<typeof makeBench>
const BENCH: InjectionKey<Bench> = Symbol('bench')

/** The bench of a job, made once and shared by its pieces: each asks only for what it shows, so a press redraws only that. */
export function provideBench(jobId: MaybeRefOrGetter<string>): Bench {
  const bench = makeBench(jobId)
  provide(BENCH, bench)
  return bench
}

/** The bench this piece stands on. Throws outside of one. */
export function useBenchContext(): Bench {
  const bench = inject(BENCH)
  if (!bench) throw new Error('A piece of the bench stands outside of a bench')
  return bench
}
