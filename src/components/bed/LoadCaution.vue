<script setup lang="ts">
/** What a full, soaked bed may weigh on a balcony or roof before its mix is known, and who has to be asked. */

import { computed } from 'vue'
import type { ContainerVolumes } from '@/core/geometry'
import { saturatedBounds } from '@/core/weight'
import { cautionById } from '@/text/cautions'
import { loadText, weightText, type UnitSystem } from '@/text/units'
import CautionList from '../CautionList.vue'

const { plan, count, heading, units } = defineProps<{
  /** Null where it cannot be computed yet: then only the caution stands. */
  plan: Pick<ContainerVolumes, 'mixVolume' | 'footprint'> | null
  count: number
  heading: string
  units: UnitSystem
}>()
const bounds = computed(() => (plan ? saturatedBounds(plan) : null))
</script>

<template>
  <div class="load">
    <p v-if="bounds">
      Soaked, {{ count > 1 ? 'each weighs' : 'it weighs' }} {{ weightText(bounds.weight.low, units) }} with
      the lightest peat and perlite to {{ weightText(bounds.weight.high, units) }} with soil, without pot and
      plant: {{ loadText(bounds.floorLoad.low, units) }} to {{ loadText(bounds.floorLoad.high, units) }} on
      what it stands on<template v-if="count > 1"
        >, {{ weightText(bounds.weight.low * count, units) }} to
        {{ weightText(bounds.weight.high * count, units) }} all {{ count }} together</template
      >. The mix decides.
    </p>
    <CautionList :heading="heading" :cautions="[cautionById('load')]" />
  </div>
</template>

<style scoped>
p {
  margin-bottom: 8px;
}
</style>
