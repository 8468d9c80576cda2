import { otherwise as words } from '@/text/composables/make'
import { computed, toRaw, type ComputedRef } from 'vue'
import { materialsToChoose } from '@/model/garden/tables'
import type { Job } from '@/model/garden/schemas'
import {
  madeMix,
  measuresAsMade,
  otherwiseAfter,
  totalsAsMade,
  type MadeMix,
  type OtherwiseAnswer,
} from '@/model/make/asMade'
import { batchCards, type BatchCard } from '@/model/make/batchCard'
import { otherwiseTexts, remadeText } from '@/text/make/making'
import { problemText } from '@/text/base/problems.en'
import type { GardenDoor } from '../garden/gardenDoor'
import type { JobInHand } from '../job/useJob'

/** Measures of the batch at hand that ran short or were something else, and what becomes of it and of the whole. */
export function useOtherwise(
  { garden, job, prepared, quantities, units }: JobInHand<GardenDoor>,
  card: ComputedRef<BatchCard | undefined>,
  made: ComputedRef<MadeMix | null>,
  keep: (change: Partial<Pick<Job, 'otherwise'>>, what: string) => void,
) {
  const q = computed(() => (quantities.value?.ok ? quantities.value.value : null))
  const after = (answer: OtherwiseAnswer) =>
    otherwiseAfter(toRaw(job.value!.otherwise), q.value!.plan, card.value!.index, answer)
  return {
    /** Measures of the batch as planned; none for a finished mix made first. */
    planned: computed(() =>
      job.value && q.value && card.value && !card.value.mix
        ? batchCards(job.value, q.value)
            .find((c) => !c.mix && c.index === card.value!.index)!
            .lines.filter((l) => l.kind === 'measure')
        : [],
    ),
    /** What may go in instead: what is in the mix first. */
    others: computed(() => {
      const inMix = new Set(job.value?.parts.map((p) => p.materialId))
      return materialsToChoose(garden.records)
        .map((m) => ({ value: m.id, label: m.name }))
        .sort((a, b) => Number(inMix.has(b.value)) - Number(inMix.has(a.value)))
    }),
    isChanged: computed(
      () => card.value?.mix === null && job.value!.otherwise.some((o) => o.batch === card.value!.index),
    ),
    lines: computed(() => (job.value && q.value ? otherwiseTexts(job.value, q.value.plan, units.value) : [])),
    /** What all batches together become. */
    becomes: computed(() =>
      made.value && q.value
        ? remadeText(made.value, q.value.plan.blendLitres, q.value.asMeasured, units.value)
        : '',
    ),
    says(answer: OtherwiseAnswer): string[] {
      if (!prepared.value?.ok || !q.value || !card.value) return []
      const otherwise = after(answer)
      const { plan, asMeasured } = q.value
      const batch = plan.batches[card.value.index]!
      const one = madeMix(prepared.value.value, measuresAsMade(batch, card.value.index, otherwise))
      const all = madeMix(prepared.value.value, totalsAsMade(plan, otherwise))
      return [
        one.ok
          ? words.thisBatch(remadeText(one.value, batch.blendLitres, asMeasured, units.value))
          : problemText(one.problem, units.value).why,
        ...(all.ok && plan.batches.length > 1
          ? [`All together: ${remadeText(all.value, plan.blendLitres, asMeasured, units.value)}`]
          : []),
      ]
    },
    keep: (answer: OtherwiseAnswer) => keep({ otherwise: after(answer) }, words.whatWentIn),
    asPlanned: () =>
      keep(
        { otherwise: toRaw(job.value!.otherwise).filter((o) => o.batch !== card.value!.index) },
        words.goingByThePlanAgain,
      ),
  }
}
