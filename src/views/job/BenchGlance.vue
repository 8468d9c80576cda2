<script setup lang="ts">
/** The figures that matter, kept in sight on a phone while the parts are changed; the gauges below say them in full. */
import { computed } from 'vue'
import { useBenchContext } from '@/composables/bench/useBenchContext'
import { verdictsOf, type Verdict } from '@/core/judgement'
import { waterJudged } from '@/core/targets'
import { percentText, pHText, weightText } from '@/text/base/units'

const { answer, bands, crop, units } = useBenchContext()
const glance = computed(() => {
  const a = answer.value
  if (!a) return []
  const verdicts = verdictsOf(a, bands.value, crop.value?.perennial ?? false)
  const isOff = (verdict: Verdict) => verdict === 'low' || verdict === 'high'
  return [
    { label: 'Air', value: percentText(a.mix.airFilledPorosity), off: isOff(verdicts.air) },
    { label: 'Water', value: percentText(waterJudged(a.mix, bands.value)), off: isOff(verdicts.water) },
    { label: 'pH', value: pHText(a.lime.pH), off: isOff(verdicts.pH) },
    { label: 'Wet', value: weightText(a.weights.drained, units.value), off: isOff(verdicts.weight) },
  ]
})
</script>

<template>
  <div class="glance" aria-hidden="true">
    <span v-for="g in glance" :key="g.label" :class="{ off: g.off }"
      ><small>{{ g.label }}</small><b class="figure">{{ g.value }}</b></span
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
