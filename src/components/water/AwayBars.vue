<script setup lang="ts">
/** A stay away as days on a line: how long the crop lasts as it is and with each change, against the days away. */
import { awayBars as words } from '@/text/components/water'
import { computed, ref } from 'vue'
import type { UnitSystem } from '@/text/base/units'
import { daysText } from '@/text/water/wateringPlan'
import QuantityField from '../field/QuantityField.vue'

const { rows, units } = defineProps<{
  /** As it is first, then each change; days until it is thirsty. */
  rows: readonly { name: string; days: number; within: boolean; beware: string }[]
  units: UnitSystem
}>()
/** Days away, as they are set: a week to begin with. */
const away = ref(7)
const most = computed(() => Math.max(away.value, ...rows.map((r) => r.days)) * 1.05)
/** One that is not thirsty in the days that are followed lasts longer than anybody asks here. */
const lasts = (r: { days: number; within: boolean }) => !r.within || r.days >= away.value
const across = (days: number) => `${Math.min(100, (100 * days) / most.value)}%`
</script>

<template>
  <div>
    <QuantityField v-model="away" class="days" :label="words.daysAway" quantity="days" :units="units" />
    <div class="bars">
      <div v-for="r in rows" :key="r.name" class="row-of">
        <span class="name">{{ r.name }}<small v-if="r.beware">{{ r.beware }}</small></span>
        <span class="track" aria-hidden="true">
          <i class="bar" :class="{ lasts: lasts(r) }" :style="{ width: across(r.days) }" />
          <i v-if="away > 0" class="mark" :style="{ left: across(away) }" />
        </span>
        <span class="says"
          ><strong>{{ daysText(r.days, r.within) }}</strong>
          {{ lasts(r) ? words.lasts : words.thirstyBefore }}</span
        >
      </div>
    </div>
    <p class="soft">{{ words.helps }}</p>
  </div>
</template>

<style scoped>
.days {
  max-width: 160px;
  margin-bottom: 12px;
}
.row-of {
  display: grid;
  grid-template-columns: 220px minmax(80px, 1fr) 190px;
  gap: 12px;
  align-items: center;
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
}
.name small {
  display: block;
}
.track {
  position: relative;
  height: 18px;
  background: var(--sheet);
  border-radius: 4px;
}
.bar {
  position: absolute;
  inset: 0 auto 0 0;
  border-radius: 4px;
  background: var(--straw-wash);
  border: 1.5px solid var(--straw);
}
.bar.lasts {
  background: var(--leaf-wash);
  border-color: var(--leaf);
}
.mark {
  position: absolute;
  top: -6px;
  bottom: -6px;
  width: 2.5px;
  background: var(--clay);
}
@media (max-width: 760px) {
  .row-of {
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 2px 10px;
  }
  .track {
    grid-column: 1 / -1;
    grid-row: 2;
  }
}
</style>
