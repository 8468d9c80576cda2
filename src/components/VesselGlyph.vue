<script setup lang="ts">
/** Outline of a container, small; the fill is only a hint of mix. Drawn by hand, or else a usual one in section. */
import { defineAsyncComponent } from 'vue'
import type { VesselKind } from '@/model/garden/schemas'

const VesselSilhouette = defineAsyncComponent(() => import('./bed/VesselSilhouette.vue'))
const { kind } = defineProps<{ kind: VesselKind }>()
const PATHS: Partial<Record<VesselKind, { wall: string; mix: string }>> = {
  roundPot: { wall: 'M12 8l6 40h28l6-40', mix: 'M13 16h38l-5 32H18z' },
  box: { wall: 'M4 22l4 24h48l4-24', mix: 'M5 28h54l-3 18H8z' },
  raisedBed: { wall: 'M5 24v24M59 24v24M5 30h54M5 40h54', mix: 'M5 27h54v21H5z' },
  oval: { wall: 'M8 16q2 32 12 32h24q10 0 12-32', mix: 'M9 24q2 24 11 24h24q9 0 11-24z' },
  gutter: { wall: 'M4 22q4 24 28 24t28-24', mix: 'M7 28q6 18 25 18t25-18z' },
  freeBed: { wall: 'M6 8h52v18H36v22H6z', mix: 'M10 12h44v10H32v22H10z' },
  heapedBed: { wall: 'M5 30v18M59 30v18M5 40h54', mix: 'M5 34q27-28 54 0v14H5z' },
  fabricBag: { wall: 'M14 10q-5 20 1 38h34q6-18 1-38', mix: 'M13 18q-3 16 2 30h34q5-14 2-30z' },
}
</script>

<template>
  <svg class="vessel" viewBox="0 0 64 56" aria-hidden="true">
    <template v-if="PATHS[kind]">
      <path class="mix" :d="PATHS[kind].mix" />
      <path class="wall" :d="PATHS[kind].wall" />
    </template>
    <VesselSilhouette v-else :kind="kind" />
  </svg>
</template>

<style scoped>
.vessel {
  width: 64px;
  height: 56px;
  flex: none;
}
.mix,
:deep(.mix) {
  fill: color-mix(in srgb, #6b5136 55%, var(--sheet));
}
.wall,
:deep(.wall) {
  fill: none;
  stroke: var(--ink);
  stroke-width: 3;
  stroke-linecap: round;
  stroke-linejoin: round;
}
</style>
