<script setup lang="ts">
/**
 * A number with its unit. The model is in the core's unit; what is typed stays as typed. Every readable number is sent on
 * at once, sensible or not, so that nothing is lost: `problem` says beside the field what the core thinks of it.
 */
import InputText from 'primevue/inputtext'
import { computed, ref, useId, watch } from 'vue'
import { fromFieldText, QUANTITIES, toFieldText, type Quantity, type UnitSystem } from '@/text/units'
import type { Sentence } from '@/text/problems.en'

const {
  label,
  quantity,
  units,
  problem = null,
  hint = '',
} = defineProps<{
  label: string
  quantity: Quantity
  units: UnitSystem
  problem?: Sentence | null
  hint?: string
}>()
const model = defineModel<number>({ required: true })

const id = useId()
const text = ref(toFieldText(model.value, quantity, units))
const unreadable = ref(false)
const unit = computed(() => QUANTITIES[quantity][units].unit)

watch([model, () => units], () => {
  // Only when it changed from outside: do not rewrite under the fingers that type.
  const typed = fromFieldText(text.value, quantity, units)
  if (typed === null || toFieldText(typed, quantity, units) !== toFieldText(model.value, quantity, units)) {
    text.value = toFieldText(model.value, quantity, units)
    unreadable.value = false
  }
})

function typed(value: string | undefined) {
  text.value = value ?? ''
  const number = fromFieldText(text.value, quantity, units)
  unreadable.value = number === null
  if (number !== null && toFieldText(number, quantity, units) !== toFieldText(model.value, quantity, units))
    model.value = number
}

const said = computed<Sentence | null>(() =>
  unreadable.value
    ? {
        why: text.value.trim() === '' ? 'Nothing typed here yet.' : `“${text.value}” is not a number.`,
        fix: `Still counting with ${toFieldText(model.value, quantity, units)}${unit.value ? ` ${unit.value}` : ''}.`,
      }
    : problem,
)
</script>

<template>
  <div class="field">
    <label :for="id">{{ label }}</label>
    <span class="box">
      <InputText
        :id="id"
        :model-value="text"
        inputmode="decimal"
        autocomplete="off"
        :invalid="said !== null"
        :aria-invalid="said !== null"
        :aria-describedby="`${id}-said`"
        @update:model-value="typed"
      />
      <span v-if="unit" class="unit" aria-hidden="true">{{ unit }}</span>
    </span>
    <p :id="`${id}-said`" class="said" :class="{ wrong: said }">
      <template v-if="said"
        ><strong>{{ said.why }}</strong> {{ said.fix }}</template
      >
      <template v-else
        >{{ hint }}<span v-if="unit" class="visually-hidden"> in {{ unit }}</span></template
      >
    </p>
  </div>
</template>

<style scoped>
.field {
  display: flex;
  flex-direction: column;
  gap: 3px;
  min-width: 0;
}
label {
  font-weight: 600;
  font-size: 0.95rem;
}
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
.said {
  margin: 0;
  font-size: 0.88rem;
  color: var(--ink-soft);
}
.said.wrong {
  color: var(--alarm);
}
</style>
