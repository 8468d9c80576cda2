<script setup lang="ts">
/** Records in a list, one of them looked at. */
import { recordList as words } from '@/text/components/record'
import type { MixRecord } from '@/model/garden/schemas'
import { dayText } from '@/text/base/dates'
import { recordCrop } from '@/text/base/records'
import ListInSight from '../frame/ListInSight.vue'
import { percentText, volumeText, type UnitSystem } from '@/text/base/units'

const { records, chosen, units } = defineProps<{
  records: readonly MixRecord[]
  /** Its id. */
  chosen: string | null
  units: UnitSystem
}>()
const emit = defineEmits<{ choose: [id: string] }>()
</script>

<template>
  <ListInSight v-slot="{ item: r }" :items="records" :keep="chosen">
    <button
      type="button"
      :class="{ on: r.id === chosen }"
      :aria-pressed="r.id === chosen"
      @click="emit('choose', r.id)"
    >
      <span
        ><strong>{{ r.jobName }}</strong
        ><small>{{ dayText(r.madeOn) }} · {{ recordCrop(r) || words.noCrop }}</small></span
      >
      <span class="num"
        >{{ volumeText(r.blendLitres, units)
        }}<small>{{ words.air(percentText(r.predicted.airFilledPorosity)) }}</small></span
      >
    </button>
  </ListInSight>
</template>

<style scoped>
button {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  width: 100%;
  padding: 9px 10px;
  border: 0;
  border-bottom: 1px solid var(--rule);
  border-left: 4px solid transparent;
  background: none;
  color: var(--ink);
  font: inherit;
  text-align: left;
  cursor: pointer;
}
button.on {
  border-left-color: var(--clay);
  background: var(--sheet);
}
small {
  display: block;
}
.num {
  text-align: right;
  white-space: nowrap;
}
</style>
