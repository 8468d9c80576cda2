<script setup lang="ts">
/** Several lines of words under their name; the box grows with them. */
import Textarea from 'primevue/textarea'
import { useId } from 'vue'
import FieldFrame from './FieldFrame.vue'

const {
  label,
  most = undefined,
  rows = 3,
  placeholder = '',
  hint = '',
  fixed = false,
} = defineProps<{
  label: string
  /** Letters at the most. */
  most?: number
  rows?: number
  placeholder?: string
  hint?: string
  /** Keeps its size, for a text that may be long. */
  fixed?: boolean
}>()
const model = defineModel<string>({ required: true })
const id = useId()
</script>

<template>
  <FieldFrame :id="id" :label="label" :hint="hint">
    <Textarea
      :id="id"
      :model-value="model"
      :rows="rows"
      :auto-resize="!fixed"
      :maxlength="most"
      :placeholder="placeholder"
      fluid
      @update:model-value="model = $event ?? ''"
    />
  </FieldFrame>
</template>
