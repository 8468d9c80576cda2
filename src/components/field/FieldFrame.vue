<script setup lang="ts">
/** A control under its name, and the line said beneath it: a hint, or what is wrong. */
import { fieldFrame as words } from '@/text/components/field'
import type { Sentence } from '@/text/base/problems.en'

const {
  label,
  id,
  problem = null,
  hint = '',
  unit = '',
  hideLabel = false,
} = defineProps<{
  label: string
  /** Of the control inside; its line beneath is `<id>-said`. */
  id: string
  problem?: Sentence | null
  hint?: string
  /** Read out after the hint. */
  unit?: string
  /** The name is there for screen readers alone. */
  hideLabel?: boolean
}>()
</script>

<template>
  <div class="field">
    <label :for="id" :class="{ 'visually-hidden': hideLabel }">{{ label }}</label>
    <slot />
    <p v-if="problem || hint || unit" :id="`${id}-said`" class="said" :class="{ wrong: problem }">
      <template v-if="problem"
        ><strong>{{ problem.why }}</strong> {{ problem.fix }}</template
      >
      <template v-else
        >{{ hint }}<span v-if="unit" class="visually-hidden"> {{ words.in(unit) }}</span></template
      >
    </p>
    <slot name="after" />
  </div>
</template>
