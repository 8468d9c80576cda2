<script setup lang="ts">
/** Solids, water and air by depth in one mix, drawn plain so that several can stand side by side. */
import { profileColumn as says } from '@/text/components/bench'
import { computed } from 'vue'
import type { ContainerProfile } from '@/core/water'
import { percentText } from '@/text/base/units'

const { profile, name } = defineProps<{ profile: ContainerProfile; name: string }>()

const W = 120
const H = 170
/** Outlines of the water and of the solids, from the base up. */
const shapes = computed(() => {
  const { slices } = profile
  const top = slices.at(-1)!.height
  const y = (z: number) => H - (z / top) * H
  const edge = (of: (s: (typeof slices)[number]) => number) =>
    slices.map((s) => `${(of(s) * W).toFixed(1)},${y(s.height).toFixed(1)}`).join(' ')
  const close = (points: string) => `0,${H} ${points} 0,0`
  return { solids: close(edge((s) => s.solids)), water: close(edge((s) => s.solids + s.water)) }
})
const words = computed(() =>
  says.airAtTheTopAt(name, percentText(profile.slices.at(-1)!.air), percentText(profile.slices[0]!.air)),
)
</script>

<template>
  <svg :viewBox="`0 0 ${W} ${H}`" role="img" :aria-label="words">
    <rect class="air" :width="W" :height="H" />
    <polygon class="water" :points="shapes.water" />
    <polygon class="solids" :points="shapes.solids" />
    <rect class="frame" :width="W" :height="H" />
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  max-width: 150px;
  display: block;
}
.air {
  fill: var(--sheet);
}
.water {
  fill: #5b8fae;
}
.solids {
  fill: #6b5136;
}
.frame {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
</style>
