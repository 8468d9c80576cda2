<script setup lang="ts">
/** What is on the shelf, to be pressed into the mix or dragged onto it: with what is left and what a litre costs. */
import { shelfStrip as words } from '@/text/components/bench'
import { vRoving } from '@/composables/page/vRoving'
import MaterialSwatch from '../MaterialSwatch.vue'
import type { Material } from '@/core/data'
import { shortName } from '@/text/base/titles'
import { rateText, volumeText, type UnitSystem } from '@/text/base/units'

const { items, units } = defineProps<{
  items: readonly { material: Material; stock: number; perLitre: number | null }[]
  units: UnitSystem
}>()
const emit = defineEmits<{ pick: [materialId: string] }>()

const drag = (event: DragEvent, id: string) => event.dataTransfer?.setData('text/open-bed-material', id)
</script>

<template>
  <ul v-if="items.length" v-roving class="plain strip" :aria-label="words.onYourShelf">
    <li v-for="i in items" :key="i.material.id">
      <button
        type="button"
        draggable="true"
        :aria-label="`Add ${shortName(i.material.id)}`"
        @click="emit('pick', i.material.id)"
        @dragstart="drag($event, i.material.id)"
      >
        <MaterialSwatch :material="i.material" :size="22" />
        <span>{{ shortName(i.material.id) }}</span>
        <small
          >{{ i.stock > 0 ? words.left(volumeText(i.stock, units)) : ''
          }}{{ i.stock > 0 && i.perLitre !== null ? ', ' : ''
          }}{{ i.perLitre !== null ? rateText(i.perLitre, units) : '' }}</small
        >
      </button>
    </li>
  </ul>
</template>

<style scoped>
.strip {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 10px;
}
button {
  display: flex;
  align-items: center;
  gap: 6px;
  min-height: 44px;
  padding: 3px 9px 3px 5px;
  border: 1px solid var(--edge);
  border-radius: 99px;
  background: var(--sheet);
  color: var(--ink);
  font: inherit;
  font-size: 0.88rem;
  cursor: grab;
}
button:hover {
  border-color: var(--clay);
  background: var(--clay-wash);
}
small {
  color: var(--ink-soft);
}
</style>
