<script setup lang="ts">
/** Reference evapotranspiration, month by month: how thirsty the air is. */
import { thirstBars as words } from '@/text/components/place'
import { computed } from 'vue'
import { MONTHS } from '@/text/base/months'
import { waterDepthText, type UnitSystem } from '@/text/base/units'

const { reference, units } = defineProps<{
  /** mm a day, January to December. */
  reference: readonly number[]
  units: UnitSystem
}>()
const least = computed(() => Math.min(...reference))
const most = computed(() => Math.max(...reference))
/** A month of one millimetre fills the height where none is thirstier. */
const top = computed(() => Math.max(most.value, 1))
</script>

<template>
  <div class="bars" aria-hidden="true">
    <span v-for="(mm, i) in reference" :key="i" class="bar">
      <i :style="{ height: `${(mm / top) * 100}%` }" />
      <small>{{ MONTHS[i]!.slice(0, 1) }}</small>
    </span>
  </div>
  <p class="soft">
    {{
      words.aLawnWouldUseA(
        waterDepthText(least, units),
        waterDepthText(most, units),
        MONTHS[reference.indexOf(most)]!,
      )
    }}
  </p>
</template>

<style scoped>
.bars {
  display: flex;
  gap: 6px;
  height: 150px;
  align-items: flex-end;
}
.bar {
  flex: 1;
  height: 100%;
  display: flex;
  flex-direction: column;
  justify-content: flex-end;
  align-items: center;
}
.bar i {
  width: 100%;
  background: var(--straw);
  border-radius: 3px 3px 0 0;
}
</style>
