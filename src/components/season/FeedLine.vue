<script setup lang="ts">
/** One liquid feed of a job: what goes into the can, how much each bed gets and when, what it brings. */
import { feedView as words } from '@/text/views/feedView'
import Button from 'primevue/button'
import { computed } from 'vue'
import type { LiquidFeeds } from '@/composables/season/useLiquidFeed'
import { bedTitle } from '@/text/base/titles'
import {
  ammoniumText,
  bringsText,
  canText,
  meterText,
  seasonText,
  toEachLitres,
  whenText,
} from '@/text/season/liquidFeed'
import { feedName } from '@/text/shelf/dressings'
import type { UnitSystem } from '@/text/base/units'

const { feed, can, water, units } = defineProps<{
  feed: LiquidFeeds['lines']['value'][number]
  /** Litres of the can. */
  can: number
  /** dS/m of the water; null where nobody knows. */
  water: number | null
  units: UnitSystem
}>()
const emit = defineEmits<{ change: []; remove: [] }>()
const name = computed(() => feedName(feed.dressing.id))
const season = computed(() => seasonText(feed.dressing, feed.season.grams, feed.season.money, units))
const cold = computed(() => ammoniumText(feed.solution, units))
</script>

<template>
  <li class="feed">
    <h3>{{ name }}</h3>
    <p class="can figure">{{ canText(feed.dressing, feed.line.gramsPerLitre, can, units) }}</p>
    <p v-for="(bed, i) in feed.beds" :key="i">
      <template v-if="feed.beds.length > 1">{{ bedTitle(bed.spec) }}: </template>
      {{ toEachLitres(bed.litres, bed.count, units) }}
    </p>
    <p>{{ whenText(feed.line, feed.from, feed.to) }} {{ season }}</p>
    <p class="soft">{{ bringsText(feed.solution) }}. {{ meterText(feed.solution, water) }} {{ cold }}</p>
    <div class="row no-print">
      <Button :label="words.change" :aria-label="words.changeNamed(name)" outlined @click="emit('change')" />
      <Button :label="words.remove" :aria-label="words.removeNamed(name)" text @click="emit('remove')" />
    </div>
  </li>
</template>

<style scoped>
.feed {
  padding: 10px 0 12px;
  border-bottom: 1px solid var(--rule);
}
.feed p {
  margin: 0 0 4px;
}
.can {
  font-size: 1.25rem;
}
</style>
