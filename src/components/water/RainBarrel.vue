<script setup lang="ts">
/** Rain from a roof in a barrel: how far it goes by the month, for the beds that get it. */
import { yourWaterView as words } from '@/text/views/yourWaterView'
import { computed } from 'vue'
import { barrelFor, rainYear } from '@/core/irrigation'
import type { Place } from '@/model/garden/schemas'
import { cautionById } from '@/text/base/cautions'
import { MONTHS } from '@/text/base/months'
import type { Sentence } from '@/text/base/problems.en'
import type { UnitSystem } from '@/text/base/units'
import { barrelText, rainMonthText, rainYearText } from '@/text/water/yourWater'
import CautionList from '../CautionList.vue'
import QuantityField from '../field/QuantityField.vue'

const { place, use, whose, units, beside } = defineProps<{
  place: Place
  /** Litres wanted in a day, January to December. */
  use: readonly number[]
  /** The beds it is for. */
  whose: string
  units: UnitSystem
  beside: (field: keyof Place) => Sentence | null
}>()
const emit = defineEmits<{ set: [change: Partial<Place>, field: string] }>()
/** Share of what is wanted that a barrel is looked for to give. */
const ENOUGH = 0.9
const wrong = computed(() => beside('roof') ?? beside('barrel'))
const asked = computed(() => ({
  rain: place.months.map((m) => m.rain),
  use,
  roof: place.roof ?? NaN,
}))
const year = computed(() =>
  place.roof === undefined || place.barrel === undefined || wrong.value
    ? null
    : rainYear({ ...asked.value, barrel: place.barrel }),
)
const larger = computed(() =>
  year.value && year.value.share < ENOUGH ? barrelText(barrelFor(asked.value, ENOUGH), units) : '',
)
const top = computed(() => Math.max(1e-9, ...(year.value?.months.map((m) => m.wanted) ?? [])))
const high = (litres: number) => `${(100 * litres) / top.value}%`
const kept = (x: number) => (Number.isNaN(x) ? undefined : x)
const CAUTIONS = [cautionById('roofWater')]
</script>

<template>
  <p class="soft">{{ whose }}</p>
  <div class="pair">
    <QuantityField
      :label="words.roof"
      quantity="area"
      :units="units"
      optional
      :problem="beside('roof')"
      :model-value="place.roof ?? NaN"
      @update:model-value="emit('set', { roof: kept($event) }, 'roof')"
    />
    <QuantityField
      :label="words.barrel"
      quantity="volume"
      :units="units"
      optional
      :problem="beside('barrel')"
      :model-value="place.barrel ?? NaN"
      @update:model-value="emit('set', { barrel: kept($event) }, 'barrel')"
    />
  </div>
  <template v-if="year">
    <p role="status">{{ rainYearText(year) }} {{ larger }}</p>
    <figure>
      <ul class="plain bars" :aria-label="words.bars">
        <li v-for="(m, i) in year.months" :key="i">
          <span class="visually-hidden">{{ rainMonthText(i, m, units) }}</span>
          <i class="wanted" :style="{ height: high(m.wanted) }" aria-hidden="true">
            <i class="used" :style="{ height: m.wanted > 0 ? `${(100 * m.used) / m.wanted}%` : '0' }" />
          </i>
          <small aria-hidden="true">{{ MONTHS[i]!.slice(0, 3) }}</small>
        </li>
      </ul>
      <figcaption class="soft">
        <i class="key used" aria-hidden="true" /> {{ words.given }}
        <i class="key wanted" aria-hidden="true" /> {{ words.needed }}
      </figcaption>
    </figure>
  </template>
  <CautionList :heading="words.beforeRain" :cautions="CAUTIONS" />
</template>

<style scoped>
figure {
  margin: 8px 0 12px;
}
.bars {
  display: flex;
  gap: 4px;
  height: 150px;
}
.bars li {
  flex: 1;
  min-width: 0;
  display: flex;
  flex-direction: column;
  justify-content: flex-end;
  text-align: center;
}
.wanted {
  display: flex;
  flex-direction: column;
  justify-content: flex-end;
  border: 1.5px solid var(--ink-soft);
  border-bottom-width: 2px;
}
.used {
  display: block;
  background: var(--water);
}
.key {
  display: inline-block;
  width: 14px;
  height: 14px;
  margin-left: 8px;
  vertical-align: -2px;
}
@media (max-width: 760px) {
  .pair {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
