import { computed, type ComputedRef } from 'vue'
import { AT_REST, evaluatePrepared } from '@/model/mix/prepare'
import { verdictOf, type Verdict } from '@/model/mix/verdict'
import type { JobInHand } from './useJob'

/** What is said first of a job's mix; null while it cannot be worked out. */
export const useVerdict = ({ job, prepared }: JobInHand): ComputedRef<Verdict | null> =>
  computed(() => {
    const mix = prepared.value
    if (!mix?.ok || !job.value) return null
    const evaluation = evaluatePrepared(mix.value, AT_REST)
    const answered = new Set(job.value.dismissed.map((d) => d.code))
    return evaluation.ok ? verdictOf(mix.value, evaluation.value, { answered }) : null
  })
