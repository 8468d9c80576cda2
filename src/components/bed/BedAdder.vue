<script setup lang="ts">
/** Another bed for a job: one of the list, or a new one. */
import { common } from '@/text/base/common'
import { bedAdder as words } from '@/text/components/bed'
import Button from 'primevue/button'
import { computed } from 'vue'
import type { Bed } from '@/model/garden/schemas'
import { bedTitle } from '@/text/base/titles'
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
      :label="words.addOneOfYourBeds"
      hide-label
      :model-value="null"
      :options="options"
      :placeholder="words.addOneOfYourBeds"
      :search="common.searchBeds"
      :none="words.noBedOfThatName"
      @update:model-value="add"
    />
    <Button :label="words.aNewOne" icon="pi pi-plus" outlined @click="emit('new')" />
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
