<script setup lang="ts">
/**
 * A number with its unit. The model is in the core's unit; what is typed stays as typed. Every readable number is
 * sent on at once, sensible or not, so that nothing is lost: `problem` says beside the field what the core thinks of
 * it.
 */
import InputText from 'primevue/inputtext'
import { computed, ref, useId, watch } from 'vue'
import { fromFieldText, takesUnits } from '@/text/base/fieldText'
import { notANumberText, understoodText } from '@/text/base/fields'
import type { Sentence } from '@/text/base/problems.en'
import { QUANTITIES, toFieldText, type Quantity, type UnitSystem } from '@/text/base/units'
import FieldFrame from './FieldFrame.vue'

const {
  label,
  quantity,
  units,
  problem = null,
  hint = '',
  hideLabel = false,
  optional = false,
  term = '',
} = defineProps<{
  label: string
  quantity: Quantity
  units: UnitSystem
  problem?: Sentence | null
  hint?: string
  hideLabel?: boolean
  /** May be left empty: the model is NaN then. */
  optional?: boolean
  /** A term of the list of words that the label holds. */
  term?: string
}>()
const model = defineModel<number>({ required: true })

const id = useId()
const text = ref(toFieldText(model.value, quantity, units))
const unreadable = ref(false)
const unit = computed(() => QUANTITIES[quantity][units].unit)
/** Does a number read from the field say what the model says? */
const isModel = (typed: number) =>
  toFieldText(typed, quantity, units) === toFieldText(model.value, quantity, units)

watch([model, () => units], () => {
  // Only when it changed from outside: do not rewrite under the fingers that type.
  const typed =
    text.value.trim() === '' ? (optional ? NaN : null) : fromFieldText(text.value, quantity, units)
  if (typed !== null && isModel(typed)) return
  text.value = toFieldText(model.value, quantity, units)
  unreadable.value = false
})

function typed(value: string | undefined) {
  text.value = value ?? ''
  if (optional && text.value.trim() === '') {
    unreadable.value = false
    model.value = NaN
    return
  }
  const number = fromFieldText(text.value, quantity, units)
  unreadable.value = number === null
  if (number !== null && !isModel(number)) model.value = number
}

/** What was understood, where units of another kind were typed. */
const understood = computed(() => understoodText(text.value, quantity, units))
const said = computed<Sentence | null>(() =>
  unreadable.value ? notANumberText(text.value, model.value, quantity, units) : problem,
)
</script>

<template>
  <FieldFrame
    :id="id"
    :label="label"
    :problem="said"
    :hint="understood || hint"
    :unit="understood ? '' : unit"
    :hide-label="hideLabel"
    :term="term"
  >
    <span class="box">
      <InputText
        :id="id"
        :model-value="text"
        :inputmode="takesUnits(quantity) ? 'text' : 'decimal'"
        autocomplete="off"
        :invalid="said !== null"
        :aria-invalid="said !== null"
        :aria-describedby="said || understood || hint || unit ? `${id}-said` : undefined"
        @update:model-value="typed"
      />
      <span v-if="unit && !understood" class="unit" aria-hidden="true">{{ unit }}</span>
    </span>
  </FieldFrame>
</template>

<style scoped>
.box {
  position: relative;
  display: block;
}
.box :deep(input) {
  width: 100%;
  padding-right: 3.4rem;
  font-size: 1.05rem;
}
.unit {
  position: absolute;
  right: 0.8rem;
  top: 50%;
  transform: translateY(-50%);
  color: var(--ink-soft);
  pointer-events: none;
}
</style>
