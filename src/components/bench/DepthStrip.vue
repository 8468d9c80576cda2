<script setup lang="ts">
/** The same mix in straight pots of other depths: what a container does to it. */
import { depthStrip as words } from '@/text/components/bench'
import { computed, ref } from 'vue'
import { containerProfile } from '@/core/water'
import { lengthText, percentText, type UnitSystem } from '@/text/base/units'
import ProfileColumn from './ProfileColumn.vue'

const { totalPorosity, waterAt, here, units } = defineProps<{
  totalPorosity: number
  waterAt: (tension: number) => number
  /** Depth of the mix in the container in hand, cm. */
  here: number
  units: UnitSystem
}>()

/** Computed when somebody looks. */
const open = ref(false)
const DEPTHS = [6, 12, 20, 35, 60]
/** Three depths that are not this one, shallow to deep. */
const columns = computed(() =>
  DEPTHS.filter((d) => Math.abs(d - here) > 0.25 * here)
    .slice(0, 5)
    .filter((_, i, all) => all.length <= 3 || i !== (here > 30 ? 0 : all.length - 1))
    .slice(0, 3)
    .map((depth) => {
      const profile = containerProfile(
        {
          shape: { kind: 'roundPot', topDiameter: 20, baseDiameter: 20, height: depth },
          headspace: 0,
          base: { kind: 'drainHoles' },
        },
        [{ top: depth, totalPorosity, waterAt }],
        40,
      )
      return { depth, profile }
    }),
)
</script>

<template>
  <details class="depths" @toggle="open = ($event.target as HTMLDetailsElement).open">
    <summary>{{ words.theSameMixInOther }}</summary>
    <ul v-if="open" class="plain">
      <li v-for="c in columns" :key="c.depth">
        <ProfileColumn :profile="c.profile" :name="lengthText(c.depth, units)" />
        <span
          ><strong>{{ lengthText(c.depth, units) }}</strong>
          {{ words.deepAir(percentText(c.profile.airFilledPorosity)) }}</span
        >
      </li>
    </ul>
  </details>
</template>

<style scoped>
summary {
  cursor: pointer;
  color: var(--clay);
  padding: 4px 0;
}
ul {
  display: flex;
  gap: 24px;
}
li {
  width: 110px;
  font-size: 0.9rem;
}
</style>
