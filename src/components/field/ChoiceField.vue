<script setup lang="ts" generic="V extends string | number | null">
/**
 * One of a list under its name; with `search` a box to find it by typing, by any of its words, the exact one first.
 */
import Select from 'primevue/select'
import { useId } from 'vue'
import type { Sentence } from '@/text/base/problems.en'
import ChoiceFrame from './ChoiceFrame.vue'
import { FOUND_FIELD, useFound, type Option } from './useFound'

const {
  label,
  options,
  name = '',
  search = '',
  none = '',
  placeholder = '',
  clearable = false,
  problem = null,
  hint = '',
  hideLabel = false,
} = defineProps<{
  label: string
  options: readonly Option<V>[]
  /** For screen readers, where the label alone does not say of what. */
  name?: string
  /** What the search box says; without it there is none. */
  search?: string
  /** Said where the search finds nothing. */
  none?: string
  placeholder?: string
  clearable?: boolean
  problem?: Sentence | null
  hint?: string
  hideLabel?: boolean
}>()
const model = defineModel<V | null>({ required: true })
const id = useId()
const { typed, shown } = useFound(() => options)
</script>

<template>
  <ChoiceFrame :id="id" :label="label" :problem="problem" :hint="hint" :hide-label="hideLabel">
    <Select
      v-model="model"
      :input-id="id"
      :options="shown"
      option-label="label"
      option-value="value"
      :filter="search !== ''"
      :auto-filter-focus="search !== ''"
      :filter-fields="[FOUND_FIELD]"
      reset-filter-on-hide
      :filter-placeholder="search"
      :empty-filter-message="none"
      :placeholder="placeholder"
      :show-clear="clearable"
      :aria-label="name || label"
      :invalid="problem !== null"
      fluid
      @filter="typed = $event.value"
      @hide="typed = ''"
    />
    <template #after><slot /></template>
  </ChoiceFrame>
</template>
