<script setup lang="ts">
/**
 * Feeds as stock for an injector: what goes into one tank or two, and whether the feed comes out as strong as meant.
 */
import { feedView as words } from '@/text/views/feedView'
import { computed, ref } from 'vue'
import { checkStrength, drawnFor, feedFromStock, feedSolution, stocksFor, type FeedPart } from '@/core/liquid'
import {
  bucketTestText,
  checkText,
  clashText,
  stockLines,
  tooStrongText,
  usualCan,
} from '@/text/season/liquidFeed'
import { volumeText, type UnitSystem } from '@/text/base/units'
import ChoiceField from '../field/ChoiceField.vue'
import QuantityField from '../field/QuantityField.vue'

const { parts, water, units } = defineProps<{
  /** What goes into one can, g per litre of feed. */
  parts: readonly FeedPart[]
  /** dS/m of the water. */
  water: number
  units: UnitSystem
}>()

const RATIOS = [16, 64, 100, 128, 200].map((value) => ({ value, label: String(value) }))
const ratio = ref(100)
const litres = ref(usualCan(units) / 2)
const read = ref(NaN)
const stocks = computed(() => stocksFor(parts, ratio.value))
const clash = computed(() => clashText(stocks.value.clashes, stocks.value.tanks.length))
const solution = computed(() => feedSolution(parts))
const check = computed(() =>
  Number.isNaN(read.value) || solution.value.conductivity <= 0
    ? ''
    : checkText(
        checkStrength({
          read: read.value,
          water,
          adds: solution.value.conductivity,
          ratio: ratio.value,
        }),
        ratio.value,
      ),
)
const bucket = computed(() => usualCan(units))
</script>

<template>
  <div class="pair">
    <ChoiceField
      :label="words.ratio"
      :model-value="ratio"
      :options="RATIOS"
      @update:model-value="$event && (ratio = $event)"
    />
    <QuantityField v-model="litres" :label="words.stockLitres" quantity="volume" :units="units" />
  </div>
  <p v-if="clash">{{ clash }}</p>
  <section v-for="(tank, i) in stocks.tanks" :key="i" :aria-label="words.tank('AB'[i]!)">
    <h4>{{ words.tank('AB'[i]!) }}</h4>
    <ul>
      <li v-for="text in stockLines(tank, litres, units)" :key="text">{{ text }}</li>
    </ul>
    <p v-if="tank.tooStrong.length" class="warn">{{ tooStrongText(tank) }}</p>
  </section>
  <p v-if="stocks.tanks.length">{{ words.makes(volumeText(feedFromStock(litres, ratio), units)) }}</p>
  <p class="soft">{{ bucketTestText(bucket, drawnFor(bucket, ratio), units) }}</p>
  <QuantityField v-model="read" :label="words.meterReads" quantity="number" :units="units" optional />
  <p v-if="check" role="status">{{ check }}</p>
</template>

<style scoped>
h4 {
  margin: 8px 0 2px;
}
.warn {
  color: var(--alarm);
}
</style>
