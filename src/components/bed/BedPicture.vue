<script setup lang="ts">
/** A bed drawn in section, or what keeps it from being drawn. */
import { bedPicture as words } from '@/text/components/bed'
import type { BedSpec } from '@/model/garden/schemas'
import type { Sentence } from '@/text/base/problems.en'
import type { UnitSystem } from '@/text/base/units'
import ProblemBox from '../frame/ProblemBox.vue'
import BedDrawing from './BedDrawing.vue'

const {
  spec,
  units,
  sunkBy = null,
  problem,
} = defineProps<{
  spec: BedSpec
  units: UnitSystem
  sunkBy?: number | null
  /** Null where it can be drawn. */
  problem: Sentence | null
}>()
const emit = defineEmits<{ change: [change: Partial<BedSpec>]; sink: [cm: number] }>()
</script>

<template>
  <ProblemBox v-if="problem" :sentence="problem">
    <p class="soft">{{ words.theDrawingWaitsUntilThat }}</p>
  </ProblemBox>
  <BedDrawing
    v-else
    :spec="spec"
    :units="units"
    :sunk-by="sunkBy"
    @change="emit('change', $event)"
    @sink="emit('sink', $event)"
  />
</template>
