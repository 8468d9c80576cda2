<script setup lang="ts">
/** What is poured, on what, and what the days are like. */
import { common } from '@/text/base/common'
import { pouringFields as words } from '@/text/components/water'
import { computed } from 'vue'
import { POUR_TIMES, type BelowKind, type Pouring } from '@/model/water/pouring'
import { MONTHS } from '@/text/base/months'
import type { UnitSystem } from '@/text/base/units'
import { BEGIN_NAMES, BELOW_NAMES, TIMES_NAMES } from '@/text/water/watering'
import ChoiceField from '../field/ChoiceField.vue'
import QuantityField from '../field/QuantityField.vue'
import FoldBox from '../frame/FoldBox.vue'

const { pouring, belows, grows, units } = defineProps<{
  pouring: Pouring
  belows: readonly BelowKind[]
  /** A crop and a place are known, so that its month says what it drinks. */
  grows: boolean
  units: UnitSystem
}>()
const emit = defineEmits<{ change: [part: Partial<Pouring>] }>()

/** A field of the pouring, kept inside what can be followed. */
const field = (name: 'litres' | 'minutes' | 'days' | 'rain', low: number, high: number) =>
  computed({
    get: () => pouring[name],
    set: (value: number) =>
      Number.isFinite(value) && emit('change', { [name]: Math.min(high, Math.max(low, value)) }),
  })
const [litres, minutes] = [field('litres', 0, 2000), field('minutes', 0.2, 24 * 60)]
const [days, rain] = [field('days', 1, 14), field('rain', 0, 200)]
const uses = computed({ get: () => pouring.uses, set: (v: number) => emit('change', { uses: v }) })
const choice = <K extends 'times' | 'begin' | 'below' | 'month'>(name: K) =>
  computed<Pouring[K] | null>({
    get: () => pouring[name],
    set: (value) => value !== null && emit('change', { [name]: value }),
  })
const [times, begin, below, month] = [choice('times'), choice('begin'), choice('below'), choice('month')]
const options = <V extends string>(names: Record<V, string>, of: readonly V[]) =>
  of.map((value) => ({ value, label: names[value] }))
const TIMES = options(TIMES_NAMES, POUR_TIMES)
const BEGINS = options(BEGIN_NAMES, ['drained', 'thirsty', 'dry'])
const MONTH_OPTIONS = MONTHS.map((label, i) => ({ value: i + 1, label }))
</script>

<template>
  <div class="fields">
    <QuantityField v-model="litres" :label="words.waterEachTime" quantity="volume" :units="units" />
    <FoldBox id="pouring" :title="words.howAndOnWhat">
      <QuantityField v-model="minutes" :label="words.pouredOver" quantity="minutes" :units="units" />
      <ChoiceField v-model="times" :label="words.when" :options="TIMES" />
      <ChoiceField v-model="begin" :label="words.theMixIs" :options="BEGINS" />
      <ChoiceField
        v-if="belows.length > 1"
        v-model="below"
        :label="common.below"
        :options="options(BELOW_NAMES, belows)"
      />
      <ChoiceField v-if="grows" v-model="month" :label="words.inAUsual" :options="MONTH_OPTIONS" />
      <QuantityField
        v-model="uses"
        :label="words.usedInADay"
        quantity="volume"
        :units="units"
        optional
        :hint="grows ? words.emptyWhatThisCropTakes : words.emptyNothingIsTaken"
      />
      <QuantityField v-model="rain" :label="words.rainOnTheSecondDay" quantity="rain" :units="units" />
      <QuantityField
        v-model="days"
        :label="words.followedFor"
        quantity="days"
        :units="units"
        :hint="words.from1To14Days"
      />
      <slot />
    </FoldBox>
  </div>
</template>

<style scoped>
.fields,
.fields :deep(.inside) {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(10.5rem, 1fr));
  gap: 12px 16px;
  align-items: start;
}
.fields > .fold {
  grid-column: 1 / -1;
}
</style>
