<script setup lang="ts">
/** A list to choose from under its name: keeps the focus where it was while the list opens. */
import type { Sentence } from '@/text/base/problems.en'
import FieldFrame from './FieldFrame.vue'
import { keepFocus } from './keepFocus'

const {
  id,
  label,
  problem = null,
  hint = '',
  hideLabel = false,
} = defineProps<{
  id: string
  label: string
  problem?: Sentence | null
  hint?: string
  hideLabel?: boolean
}>()
</script>

<template>
  <FieldFrame :id="id" :label="label" :problem="problem" :hint="hint" :hide-label="hideLabel">
    <div class="box" @blur.capture="keepFocus"><slot /></div>
    <template #after><slot name="after" /></template>
  </FieldFrame>
</template>

<style scoped>
.box {
  min-width: 0;
}
</style>
