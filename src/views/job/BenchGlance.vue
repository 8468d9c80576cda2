<script setup lang="ts">
/** The figures that matter, kept in sight on a phone while the parts are changed; the gauges below say them in full. */
import { computed } from 'vue'
import { useBenchContext } from '@/composables/useBenchContext'
import { percentText, pHText, weightText } from '@/text/units'

const { answer, bands, units } = useBenchContext()
const glance = computed(() => {
  const a = answer.value
  if (!a) return []
  const off = (value: number, band: { low: number; high: number } | null) =>
    band !== null && (value < band.low || value > band.high)
  const { airFilledPorosity: air, easilyAvailableWater: water } = a.mix
  return [
    { label: 'Air', value: percentText(air), off: off(air, bands.value.airFilledPorosity) },
    {
      label: 'Water',
      value: percentText(water),
      off: off(water, bands.value.easilyAvailableWater),
    },
    { label: 'pH', value: pHText(a.lime.pH), off: off(Number(pHText(a.lime.pH)), bands.value.pH) },
    { label: 'Wet', value: weightText(a.weights.drained, units.value), off: false },
  ]
})
</script>

<template>
  <div class="glance" aria-hidden="true">
    <span v-for="g in glance" :key="g.label" :class="{ off: g.off }"
      ><small>{{ g.label }}</small
      ><b class="figure">{{ g.value }}</b></span
    >
  </div>
</template>

<style scoped>
.glance {
  order: -2;
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  position: sticky;
  top: 0;
  z-index: 5;
  margin: -8px -14px 0;
  padding: 5px 8px;
  background: var(--paper);
  border-bottom: 1px solid var(--rule);
  text-align: center;
}
small {
  display: block;
  line-height: 1;
}
.off b {
  color: var(--straw);
  text-decoration: underline wavy 1.5px;
  text-underline-offset: 3px;
}
</style>
