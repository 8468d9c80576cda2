<script setup lang="ts">
/** The beds of a job: which is looked at, how many of each, what they take. */
import { fillList as words } from '@/text/components/bed'
import Button from 'primevue/button'
import { cropName } from '@/core/data/cropTable'
import type { JobBed } from '@/model/garden/schemas'
import { bedTitle } from '@/text/base/titles'
import { volumeText, type UnitSystem } from '@/text/base/units'
import VesselGlyph from '../VesselGlyph.vue'

const { rows, chosen, units } = defineProps<{
  /** With the litres all of them take, null where that cannot be said yet. */
  rows: { fill: JobBed; litres: number | null }[]
  chosen: string
  units: UnitSystem
}>()
const emit = defineEmits<{ choose: [fillId: string]; remove: [fillId: string] }>()
</script>

<template>
  <ul class="plain fills">
    <li v-for="{ fill, litres } in rows" :key="fill.id" :class="{ on: fill.id === chosen }">
      <button type="button" class="row" :aria-pressed="fill.id === chosen" @click="emit('choose', fill.id)">
        <VesselGlyph :kind="fill.spec.vessel.kind" />
        <span class="words">
          <strong>{{ fill.count > 1 ? `${fill.count} × ` : '' }}{{ bedTitle(fill.spec) }}</strong>
          <small class="soft">
            {{ litres === null ? words.somethingIsWrongWithIt : volumeText(litres, units)
            }}{{ fill.sunkBy === null ? '' : words.toppingUp
            }}{{ fill.cropId ? `, ${cropName(fill.cropId)}` : '' }}
          </small>
        </span>
      </button>
      <Button
        v-if="rows.length > 1"
        icon="pi pi-times"
        text
        :aria-label="`Leave out ${bedTitle(fill.spec)}`"
        :title="words.leaveItOutOfThis"
        @click="emit('remove', fill.id)"
      />
    </li>
  </ul>
</template>

<style scoped>
.fills li {
  display: flex;
  align-items: center;
  border: 1px solid var(--rule);
  border-radius: var(--round);
  background: var(--sheet);
  margin-top: 6px;
}
.fills li.on {
  border-color: var(--clay);
  box-shadow: inset 0 0 0 1px var(--clay);
}
.row {
  flex: 1;
  display: flex;
  align-items: center;
  gap: 10px;
  padding: 4px 8px;
  background: none;
  border: 0;
  font: inherit;
  color: var(--ink);
  text-align: left;
  cursor: pointer;
  min-height: 48px;
  min-width: 0;
}
.row :deep(.vessel) {
  width: 40px;
  height: 35px;
}
.words {
  display: flex;
  flex-direction: column;
  min-width: 0;
}
</style>
