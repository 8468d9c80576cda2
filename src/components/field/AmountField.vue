<script setup lang="ts">
/**
 * An amount of a dressing as people say it, in the manner the grower chose; the weight it comes to beneath. What is
 * typed stays as typed; what is not understood is asked about, and nothing is changed meanwhile.
 */
import InputText from 'primevue/inputtext'
import { computed, ref, useId, watch } from 'vue'
import { sameData } from '@/model/garden/same'
import { doseOf, readAmount, type AmountSetting, type Manner } from '@/model/amounts/amount'
import { amountQuestionText, comesToText, doseInManner, noBaseText } from '@/text/base/amounts'
import type { Sentence } from '@/text/base/problems.en'
import FieldFrame from './FieldFrame.vue'

const {
  label,
  name = '',
  dose,
  manner,
  setting,
  problem = null,
  hint = '',
} = defineProps<{
  label: string
  /** For screen readers, where the label alone does not say of what. */
  name?: string
  /** g per litre of mix. */
  dose: number
  /** As the grower last gave it; null for the usual way. */
  manner: Manner | null
  setting: AmountSetting
  problem?: Sentence | null
  hint?: string
}>()
const emit = defineEmits<{ set: [dose: number, manner: Manner] }>()

const id = useId()
const shown = computed(() => doseInManner(dose, manner, setting))
const text = ref(shown.value.words)
const read = computed(() => readAmount(text.value, setting.system, shown.value.manner))
const typedDose = computed(() => (read.value.ok ? doseOf(read.value.amount, setting) : null))
const isModel = (typed: number | null) =>
  typed !== null && Math.abs(typed - dose) <= 0.006 * Math.max(dose, typed, 1e-6)

/** The dose last sent on: its coming back is no change from outside. */
let sent: number | null = null
const writing = ref(false)
// Do not rewrite under the fingers that type; what changed from outside is shown at once.
watch([() => dose, () => setting], ([now], [before]) => {
  const ours = now === before || now === sent
  if (!(ours && writing.value) && !isModel(typedDose.value)) text.value = shown.value.words
})
function typed(value: string | undefined) {
  text.value = value ?? ''
  if (!read.value.ok || typedDose.value === null) return
  const { manner: next } = read.value.amount
  if (isModel(typedDose.value) && sameData(next, shown.value.manner)) return
  sent = typedDose.value
  emit('set', sent, next)
}
const said = computed<Sentence | null>(() => {
  if (!read.value.ok) return amountQuestionText(read.value.question, setting.system)
  return typedDose.value === null ? noBaseText(read.value.amount.manner) : problem
})
const comesTo = computed(() =>
  read.value.ok && typedDose.value !== null ? comesToText(read.value.amount, setting) : '',
)
const beneath = computed(() => [comesTo.value, hint].filter(Boolean).join(' · '))
</script>

<template>
  <FieldFrame :id="id" :label="label" :problem="said" :hint="beneath">
    <InputText
      :id="id"
      :model-value="text"
      autocomplete="off"
      :aria-label="name || undefined"
      :invalid="said !== null"
      :aria-invalid="said !== null"
      :aria-describedby="said || beneath ? `${id}-said` : undefined"
      fluid
      @update:model-value="typed"
      @focus="writing = true"
      @blur="writing = false"
    />
  </FieldFrame>
</template>
