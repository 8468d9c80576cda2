<script setup lang="ts">
/** A year of watering: for each month as many drops as waterings in a week, each as large as what is given. */
import { monthDrops as words } from '@/text/components/water'
import { computed } from 'vue'
import { wateringsAWeek, type MonthPlan } from '@/core/watering'
import { MONTHS } from '@/text/base/months'
import { volumeText, type UnitSystem } from '@/text/base/units'
import { rhythmText } from '@/text/water/wateringPlan'

const { months, chosen, units } = defineProps<{
  months: readonly MonthPlan[]
  /** The month looked at closely, 1 to 12. */
  chosen: number
  units: UnitSystem
}>()
const emit = defineEmits<{ choose: [month: number] }>()

/** Height of the largest drop, px. */
const LARGEST = 30
const most = computed(() => Math.max(...months.map((m) => m.litres), 1e-9))
const columns = computed(() =>
  months.map((m) => {
    // A drop is a body: its height goes with the cube root of what it holds.
    const size = Math.max(10, LARGEST * Math.cbrt(m.litres / most.value))
    return {
      month: m.month,
      drops: m.within ? wateringsAWeek(m) : 0,
      size,
      often: m.within ? rhythmText(m) : words.nothing,
      litres: m.within ? volumeText(m.litres, units) : '–',
    }
  }),
)
</script>

<template>
  <ol class="months plain" :aria-label="words.wateringsByMonth">
    <li v-for="c in columns" :key="c.month">
      <button
        type="button"
        :class="{ on: c.month === chosen }"
        :aria-pressed="c.month === chosen"
        :aria-label="words.ofMonth(MONTHS[c.month - 1]!, c.often, c.litres)"
        @click="emit('choose', c.month)"
      >
        <b>{{ MONTHS[c.month - 1]!.slice(0, 3) }}</b>
        <span class="drops">
          <svg v-for="i in c.drops" :key="i" :width="c.size * 0.72" :height="c.size" viewBox="0 0 18 25">
            <path d="M9 1C6 7 1.500 11 1.500 16.500a7.500 7.500 0 0 0 15 0C16.500 11 12 7 9 1z" />
          </svg>
        </span>
        <span class="figure">{{ c.litres }}</span>
        <small>{{ c.often }}</small>
      </button>
    </li>
  </ol>
</template>

<style scoped>
.months {
  display: grid;
  grid-auto-flow: column;
  grid-auto-columns: minmax(74px, 1fr);
  gap: 4px;
  overflow-x: auto;
  padding: 3px;
}
button {
  display: flex;
  flex-direction: column;
  align-items: center;
  gap: 4px;
  width: 100%;
  height: 100%;
  padding: 6px 2px 8px;
  border: 1.5px solid transparent;
  border-radius: 8px;
  background: var(--sheet);
  color: var(--ink);
  font: inherit;
  cursor: pointer;
}
button.on {
  border-color: var(--clay);
}
.drops {
  display: flex;
  flex-wrap: wrap;
  justify-content: center;
  align-content: flex-end;
  gap: 2px;
  flex: 1;
  min-height: 54px;
  max-width: 104px;
}
path {
  fill: var(--water);
}
small {
  line-height: 1.2;
}
</style>
