<script setup lang="ts">
/** Where parts come from, asked only of those whose figures or safety turn on it. */
import { cropFields as words } from '@/text/components/bed'
import { computed } from 'vue'
import type { Material } from '@/core/data'
import type { Job, OriginOf } from '@/model/garden/schemas'
import { originQuestions } from '@/text/mix/origins'
import ChoiceField from '../field/ChoiceField.vue'

const { materials, origins } = defineProps<{
  /** What the mix is made of. */
  materials: readonly Material[]
  origins: Job['origins']
}>()
const emit = defineEmits<{ set: [origins: Job['origins']] }>()

const asked = computed(() => originQuestions(materials, origins))
const set = (of: OriginOf, answer: string | null) =>
  emit('set', { ...origins, [of]: answer } as Job['origins'])
</script>

<template>
  <details v-for="q in asked" :key="q.of">
    <summary>{{ q.heading }}</summary>
    <ChoiceField
      :label="q.label"
      :model-value="q.answer"
      :options="q.options"
      clearable
      :placeholder="words.notSaid"
      @update:model-value="set(q.of, $event)"
    />
  </details>
</template>

<style scoped>
summary {
  cursor: pointer;
  color: var(--clay);
  padding: 8px 0;
}
</style>
