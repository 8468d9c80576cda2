<script setup lang="ts">
/** A usual container of a kind in section, within a glyph. */
import { computed } from 'vue'
import type { VesselKind } from '@/model/garden/schemas'
import { vesselRow } from '@/model/garden/vesselKinds'
import { silhouetteIn } from './yard'

const { kind } = defineProps<{ kind: VesselKind }>()
const drawn = computed(() => {
  const { shape, headspace } = vesselRow(kind)
  return silhouetteIn(shape, headspace, { width: 58, height: 46 })
})
</script>

<template>
  <g>
    <polygon class="mix" :points="drawn.mix" />
    <polyline class="wall" :points="drawn.wall" />
  </g>
</template>
