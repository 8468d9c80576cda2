<script setup lang="ts">
/** Words or a date under their name. */
import InputText from 'primevue/inputtext'
import { useId } from 'vue'
import type { Sentence } from '@/text/base/problems.en'
import FieldFrame from './FieldFrame.vue'

const {
  label,
  type = 'text',
  placeholder = '',
  most = undefined,
  problem = null,
  hint = '',
  hideLabel = false,
  focused = false,
} = defineProps<{
  label: string
  type?: 'text' | 'date' | 'search'
  placeholder?: string
  /** Letters at the most. */
  most?: number
  problem?: Sentence | null
  hint?: string
  hideLabel?: boolean
  /** Takes the keyboard when it comes. */
  focused?: boolean
}>()
const model = defineModel<string>({ required: true })
const id = useId()
defineExpose({ focus: () => document.getElementById(id)?.focus() })
</script>

<template>
  <FieldFrame :id="id" :label="label" :problem="problem" :hint="hint" :hide-label="hideLabel">
    <InputText
      :id="id"
      :model-value="model"
      :type="type === 'date' ? 'date' : 'text'"
      :placeholder="placeholder"
      :maxlength="most"
      :autofocus="focused"
      autocomplete="off"
      :invalid="problem !== null"
      :aria-invalid="problem !== null"
      :aria-describedby="problem || hint ? `${id}-said` : undefined"
      fluid
      @update:model-value="model = $event ?? ''"
    />
  </FieldFrame>
</template>
