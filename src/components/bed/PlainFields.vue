<script setup lang="ts">
/** Fields of a bed that are drawn from their rows: a choice, a number or a yes. */
import { computed } from 'vue'
import type { BedSpec } from '@/model/garden/schemas'
import { plainFields } from '@/text/bed/bedFields'
import type { Sentence } from '@/text/base/problems.en'
import type { UnitSystem } from '@/text/base/units'
import CheckField from '../field/CheckField.vue'
import ChoiceField from '../field/ChoiceField.vue'
import QuantityField from '../field/QuantityField.vue'

const { spec, units, beside } = defineProps<{
  spec: BedSpec
  units: UnitSystem
  beside: (field: string) => Sentence | null
}>()
const emit = defineEmits<{ change: [change: Partial<BedSpec>] }>()

const fields = computed(() => plainFields(spec))
const set = (field: keyof BedSpec, value: unknown) => value !== null && emit('change', { [field]: value })
</script>

<template>
  <template v-for="{ field, label, hint, input, options } in fields" :key="field">
    <ChoiceField
      v-if="input.kind === 'choice'"
      :label="label"
      :model-value="spec[field] as string"
      :options="options"
      :hint="hint"
      @update:model-value="set(field, $event)"
    />
    <QuantityField
      v-else-if="input.kind === 'measure'"
      :label="label"
      :quantity="input.quantity"
      :units="units"
      :problem="beside(field)"
      :model-value="spec[field] as number"
      :hint="hint"
      @update:model-value="set(field, $event)"
    />
    <CheckField
      v-else
      class="beside-field"
      :label="label"
      :model-value="spec[field] as boolean"
      @update:model-value="set(field, $event)"
    />
  </template>
</template>
