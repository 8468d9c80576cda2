import { watchDebounced } from '@vueuse/core'
import { computed, ref, toRaw, watch } from 'vue'
import type { Outcome } from '@/core/outcome'
import type { WateringPlan } from '@/core/watering'
import type { JudgedPlanRequest } from '@/model/water/plan'
import { belowOf, belowsFor, usualMonth, type BelowKind } from '@/model/water/pouring'
import { planInWorker } from '@/workers/core.client'
import type { JobInHand } from '../job/useJob'
import { useTask } from '../page/useTask'

/** Waits for the hand to rest, ms. */
const REST = 200

/** How often and how much a job's containers want water, worked out in the worker. */
export function useWateringPlan({ job, prepared, evaluation, tables }: JobInHand, run = planInWorker) {
  const below = ref<BelowKind>('free')
  const month = ref<number | null>(null)
  const mix = computed(() =>
    prepared.value?.ok && evaluation.value?.ok ? toRaw(prepared.value.value) : null,
  )
  const input = computed(() => mix.value && toRaw(mix.value.input))
  const chosen = computed(() =>
    evaluation.value?.ok ? (month.value ?? usualMonth(evaluation.value.value)) : null,
  )
  const asked = computed<JudgedPlanRequest | null>(() =>
    mix.value && input.value && chosen.value
      ? {
          question: toRaw(mix.value.question),
          answered: (job.value?.dismissed ?? []).map((d) => d.code),
          input: input.value,
          below: belowOf(below.value, input.value.container.shape),
          month: chosen.value,
          learning: toRaw(tables.value.learning),
        }
      : null,
  )
  const task = useTask<JudgedPlanRequest, number, Outcome<WateringPlan>>((request, controls) =>
    run(request, controls),
  )
  watch(asked, (request) => request || task.cancel())
  watchDebounced(asked, (request) => request && task.start(request), { debounce: REST, immediate: true })
  const answer = computed(() => task.answer.value?.value ?? null)
  return {
    below,
    month,
    chosen,
    belows: computed(() => (input.value ? belowsFor(input.value) : [])),
    plan: computed(() => (answer.value?.ok ? answer.value.value : null)),
    problem: computed(() => (answer.value && !answer.value.ok ? answer.value.problem : null)),
    progress: task.progress,
    failure: task.failure,
    again: task.again,
  }
}
