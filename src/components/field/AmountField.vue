<script setup lang="ts">
/**
 * An amount of a dressing as people say it, and what it comes to beneath. What the grower typed stays as typed,
 * wherever it goes and whatever the rest of the job becomes; what is not understood is asked about, and nothing changes
 * meanwhile.
 */
import InputText from 'primevue/inputtext'
import { computed, ref, useId, watch } from 'vue'
import { sameData } from '@/model/garden/same'
import { doseOf, readAmount, saidOf, type AmountSetting, type SaidAmount } from '@/model/amounts/amount'
import { amountQuestionText, comesToText, doseInManner, noBaseText } from '@/text/base/amounts'
import type { Sentence } from '@/text/base/problems.en'
import { partNamed } from '@/text/shelf/partNamed'
import FieldFrame from './FieldFrame.vue'

const {
  label,
  name = '',
  dose,
  said: kept,
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
  said: SaidAmount | null
  setting: AmountSetting
  problem?: Sentence | null
  hint?: string
}>()
const emit = defineEmits<{ set: [dose: number, said: SaidAmount] }>()

const id = useId()
const shown = computed(() => doseInManner(dose, kept, setting))
const text = ref(shown.value.words)
const read = computed(() =>
  readAmount(text.value, { system: setting.system, usual: shown.value.manner, named: partNamed(setting) }),
)
const typedDose = computed(() => (read.value.ok ? doseOf(read.value.amount, setting) : null))
const typedSaid = computed(() => (read.value.ok ? saidOf(read.value.amount, setting.system) : null))

// What is typed is what is kept; only a change from outside, an undo or another recipe, writes the field anew.
watch(
  () => shown.value.words,
  (words) => {
    if (!sameData(typedSaid.value, kept)) text.value = words
  },
)
function typed(value: string | undefined) {
  text.value = value ?? ''
  if (typedSaid.value === null || typedDose.value === null || sameData(typedSaid.value, kept)) return
  emit('set', typedDose.value, typedSaid.value)
}
const trouble = computed<Sentence | null>(() => {
  if (!read.value.ok) return amountQuestionText(read.value.question, setting.system)
  return typedDose.value === null ? noBaseText(read.value.amount.manner) : problem
})
const comesTo = computed(() =>
  read.value.ok && typedDose.value !== null ? comesToText(read.value.amount, setting) : '',
)
const beneath = computed(() => [comesTo.value, hint].filter(Boolean).join(' · '))
</script>

<template>
  <FieldFrame :id="id" :label="label" :problem="trouble" :hint="beneath">
    <InputText
      :id="id"
      :model-value="text"
      autocomplete="off"
      :aria-label="name || undefined"
      :invalid="trouble !== null"
      :aria-invalid="trouble !== null"
      :aria-describedby="trouble || beneath ? `${id}-said` : undefined"
      fluid
      @update:model-value="typed"
    />
  </FieldFrame>
</template>
