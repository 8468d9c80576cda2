<script setup lang="ts">
/** A mix to begin from for each school of practice: what it is good at, what it gives up. */
import { common } from '@/text/base/common'
import { starterDialog as words } from '@/text/components/bench'
import Button from 'primevue/button'
import { starterRecipe, STARTERS, type Starter } from '@/model/mix/starterMixes'
import { dayText } from '@/text/base/dates'
import { dosesText, partsText } from '@/text/mix/recipes'
import type { UnitSystem } from '@/text/base/units'
import DialogFrame from '../frame/DialogFrame.vue'

const { units } = defineProps<{ units: UnitSystem }>()
const visible = defineModel<boolean>('visible', { required: true })
const emit = defineEmits<{ begin: [starter: Starter] }>()

function begin(starter: Starter) {
  visible.value = false
  emit('begin', starter)
}
</script>

<template>
  <DialogFrame v-model:visible="visible" :header="common.mixesToBeginFrom" width="54rem">
    <p class="soft">
      {{ words.oneForEachSchoolOf(dayText(STARTERS[0]!.workedOn)) }}
    </p>
    <ul class="plain">
      <li v-for="s in STARTERS" :key="s.id">
        <div>
          <h3>{{ s.name }}</h3>
          <p class="parts">
            {{ partsText(s.parts) }}{{ s.pH === null ? '' : `; ${dosesText(starterRecipe(s), units)}` }}
          </p>
          <p>{{ words.for(s.forWhat, s.goodAt) }} <em>{{ words.givesUp }}</em> {{ s.givesUp }}</p>
        </div>
        <Button
          :label="common.beginWithIt"
          size="small"
          outlined
          :aria-label="common.beginWith(s.name)"
          @click="begin(s)"
        />
      </li>
    </ul>
  </DialogFrame>
</template>

<style scoped>
li {
  display: flex;
  gap: 18px;
  align-items: center;
  justify-content: space-between;
  padding: 10px 0;
  border-bottom: 1px solid var(--rule);
}
h3,
p {
  margin: 0;
}
.plain :deep(.p-button) {
  white-space: nowrap;
  flex: none;
}
.parts {
  font-weight: 600;
}
@media (max-width: 600px) {
  li {
    flex-direction: column;
    align-items: flex-start;
    gap: 8px;
  }
}
</style>
