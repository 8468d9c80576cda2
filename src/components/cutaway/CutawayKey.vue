<script setup lang="ts">
/** What the colours of a section mean, and the same as a table. */
import { cutawayKey as says } from '@/text/components/cutaway'
import { computed, ref } from 'vue'
import type { ContainerProfile } from '@/core/water'
import { lengthText, percentText, type UnitSystem } from '@/text/base/units'
import FigureTable from '../frame/FigureTable.vue'

const { profile, units } = defineProps<{ profile: ContainerProfile; units: UnitSystem }>()
const open = ref(false)
const key = computed(() => [
  { class: 'solids', words: 'solids' },
  { class: 'water', words: 'water' },
  // On layers draining goes on for days.
  {
    class: 'air',
    words: profile.layers.length > 1 ? says.air24HoursAfterWatering : says.airWhenDrainingHasEnded,
  },
])
const HEAD = [says.heightAboveBase, 'Solids', 'Water', 'Air']
/** One slice of a dozen. */
const rows = computed(() =>
  open.value
    ? profile.slices
        .filter((_, i) => i % 12 === 6)
        .map((s) => [
          lengthText(s.height, units),
          percentText(s.solids),
          percentText(s.water),
          percentText(s.air),
        ])
    : [],
)
</script>

<template>
  <figcaption class="key">
    <span v-for="k in key" :key="k.class"><i class="swatch" :class="k.class" />{{ k.words }}</span>
    <details @toggle="open = ($event.target as HTMLDetailsElement).open">
      <summary>{{ says.asATable }}</summary>
      <FigureTable v-if="open" :head="HEAD" :rows="rows" />
    </details>
  </figcaption>
</template>

<style scoped>
.key {
  display: flex;
  gap: 14px;
  flex-wrap: wrap;
  font-size: 0.88rem;
  color: var(--ink-soft);
  justify-content: center;
}
.swatch {
  display: inline-block;
  width: 14px;
  height: 14px;
  border: 1px solid var(--ink-soft);
  margin-right: 5px;
  vertical-align: -2px;
}
.solids {
  background: #6b5136;
}
.water {
  background: var(--water);
}
.air {
  background: var(--air);
}
summary {
  cursor: pointer;
}
</style>
