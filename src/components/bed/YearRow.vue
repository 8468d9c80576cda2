<script setup lang="ts">
/** What a bed grows in a year, said by the grower or as planned, and whether its family comes too soon. */
import { computed } from 'vue'
import type { Wait } from '@/core/rotation'
import { CROPS } from '@/core/data'
import { cropChoices } from '@/text/base/choices'
import { cropName, waitText } from '@/text/bed/years'
import { yearsView as words } from '@/text/views/yearsView'
import ChoiceField from '../field/ChoiceField.vue'

const { row, isAhead } = defineProps<{
  row: { year: number; cropId: string | null; said: string | null; planned: string | null; wait: Wait | null }
  /** A year to come: nothing is planned, where before nothing is known. */
  isAhead: boolean
}>()
const emit = defineEmits<{ say: [cropId: string | null] }>()

const NONE = '-'
const CHOICES = cropChoices(CROPS)
const options = computed(() => {
  const unsaid = isAhead ? words.nothingPlanned : words.notKnown
  return [
    { value: NONE, label: row.planned === null ? unsaid : words.asPlanned(cropName(row.planned)), words: [] },
    ...CHOICES,
  ]
})
</script>

<template>
  <li class="year">
    <ChoiceField
      :label="words.cropIn(String(row.year))"
      :model-value="row.said ?? NONE"
      :options="options"
      @update:model-value="emit('say', $event === NONE ? null : $event)"
    />
    <span v-if="row.wait" :class="['says', row.wait.state]">{{ waitText(row.cropId!, row.wait) }}</span>
  </li>
</template>

<style scoped>
.year {
  display: grid;
  grid-template-columns: 240px minmax(0, 1fr);
  gap: 4px 16px;
  align-items: end;
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
}
.says {
  padding-bottom: 8px;
}
.tooEarly {
  font-weight: 600;
}
@media (max-width: 760px) {
  .year {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
