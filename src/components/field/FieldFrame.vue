<script setup lang="ts">
/** A control under its name, and the line said beneath it: a hint, or what is wrong. */
import { fieldFrame as words } from '@/text/components/field'
import type { Sentence } from '@/text/base/problems.en'
import TermHint from '../frame/TermHint.vue'

const {
  label,
  id,
  problem = null,
  hint = '',
  unit = '',
  hideLabel = false,
  term = '',
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
  /** A term of the list of words that the name holds: a "?" beside it says what it means. */
  term?: string
}>()
</script>

<template>
  <div class="field">
    <span v-if="term"><label :for="id">{{ label }}</label><TermHint :term="term" /> </span>
    <label v-else :for="id" :class="{ 'visually-hidden': hideLabel }">{{ label }}</label>
    <slot />
    <p v-if="problem || hint || unit" :id="`${id}-said`" class="said" :class="{ wrong: problem }">
      <template v-if="problem"><strong>{{ problem.why }}</strong> {{ problem.fix }}</template>
      <template v-else
        >{{ hint }}<span v-if="unit" class="visually-hidden"> {{ words.in(unit) }}</span></template
      >
    </p>
    <slot name="after" />
  </div>
</template>
