<script setup lang="ts">
/** Another bed for a job: one of the list, or a new one. */
import Button from 'primevue/button'
import { computed } from 'vue'
import type { Bed } from '@/model/garden/schemas'
import { bedTitle } from '@/text/labels'
import ChoiceField from '../field/ChoiceField.vue'

const { offered } = defineProps<{
  /** Beds of the list that are not in the job yet. */
  offered: readonly Bed[]
}>()
const emit = defineEmits<{ add: [bed: Bed]; new: [] }>()

const options = computed(() =>
  offered.map((bed) => ({
    value: bed.id,
    label: bed.vessel.count > 1 ? `${bedTitle(bed)} (${bed.vessel.count})` : bedTitle(bed),
  })),
)
function add(id: string | null) {
  const bed = offered.find((b) => b.id === id)
  if (bed) emit('add', bed)
}
</script>

<template>
  <div class="adder">
    <ChoiceField
      v-if="offered.length"
      class="list"
      label="Add one of your beds"
      hide-label
      :model-value="null"
      :options="options"
      placeholder="Add one of your beds"
      search="Search beds"
      none="No bed of that name"
      @update:model-value="add"
    />
    <Button label="A new one" icon="pi pi-plus" outlined @click="emit('new')" />
  </div>
</template>

<style scoped>
.adder {
  display: flex;
  gap: 8px;
  margin-top: 8px;
}
.list {
  flex: 1;
  min-width: 0;
}
</style>
