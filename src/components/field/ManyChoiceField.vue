<script setup lang="ts">
/** Several of a list under its name, found by typing. */
import MultiSelect from 'primevue/multiselect'
import { useId } from 'vue'
import ChoiceFrame from './ChoiceFrame.vue'
import { FOUND_FIELD, useFound, type Option } from './useFound'

const {
  label,
  options,
  name = '',
  search,
  none,
  placeholder = '',
  most = undefined,
  hint = '',
  chips = false,
} = defineProps<{
  label: string
  options: readonly Option<string>[]
  /** For screen readers, where the label alone does not say of what. */
  name?: string
  search: string
  none: string
  placeholder?: string
  /** As many as may be chosen. */
  most?: number
  hint?: string
  chips?: boolean
}>()
const model = defineModel<string[]>({ required: true })
const id = useId()
const { typed, shown } = useFound(() => options)
</script>

<template>
  <ChoiceFrame :id="id" :label="label" :hint="hint">
    <MultiSelect
      v-model="model"
      :input-id="id"
      :options="shown"
      option-label="label"
      option-value="value"
      filter
      auto-filter-focus
      :filter-fields="[FOUND_FIELD]"
      reset-filter-on-hide
      :show-toggle-all="false"
      :selection-limit="most"
      :display="chips ? 'chip' : 'comma'"
      :placeholder="placeholder"
      :filter-placeholder="search"
      :empty-filter-message="none"
      :aria-label="name || label"
      fluid
      @filter="typed = $event.value"
      @hide="typed = ''"
    />
    <template #after><slot /></template>
  </ChoiceFrame>
</template>
