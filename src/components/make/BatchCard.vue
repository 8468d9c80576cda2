<script setup lang="ts">
/** One batch: each measure ticked as it goes in, and on to the next when all is in. */
import { common } from '@/text/base/common'
import { batchCard as says } from '@/text/components/make'
import Button from 'primevue/button'
import { tickOf } from '@/model/garden/commands'
import type { BatchCard } from '@/model/make/batchCard'
import { batchTitle } from '@/text/make/measures'
import { volumeText, type UnitSystem } from '@/text/base/units'
import BatchCardLine from '../BatchCardLine.vue'

const { card, fills, ticks, units, last } = defineProps<{
  card: BatchCard
  /** How many containers it fills, in words. */
  fills: string
  ticks: ReadonlySet<string>
  units: UnitSystem
  /** Every batch is done. */
  last: boolean
}>()
const emit = defineEmits<{ tick: [id: string, done: boolean]; ready: []; next: [] }>()
</script>

<template>
  <div class="batch no-print">
    <h2 id="batch-title">
      {{ common.of(batchTitle(card), card.of) }}
      <small>{{
        says.gives(
          card.short ? says.aShortOne : '',
          volumeText(card.blendLitres, units),
          fills ? says.fills(fills) : '',
        )
      }}</small>
    </h2>
    <p v-if="card.mix" class="soft">
      {{ says.madeFirstItGoesInto }}
      <Button :label="common.iHaveReady(card.mix.name)" text size="small" @click="emit('ready')" />
    </p>
    <ul class="plain">
      <BatchCardLine
        v-for="line in card.lines"
        :key="line.id"
        :line="line"
        :units="units"
        :done="ticks.has(tickOf(card.index, line.id))"
        @tick="emit('tick', line.id, $event)"
      />
    </ul>
    <div v-if="card.done === card.lines.length" class="row after">
      <strong>{{ says.allInTurnItUntil }}</strong>
      <Button
        :label="last ? common.writeItDown : says.nextBatch"
        icon="pi pi-arrow-right"
        icon-pos="right"
        @click="emit('next')"
      />
    </div>
  </div>
</template>

<style scoped>
.batch {
  background: var(--sheet);
  border: 1px solid var(--rule);
  border-radius: var(--round);
  padding: 14px 18px;
  margin-bottom: 12px;
}
.after {
  justify-content: space-between;
  margin-top: 12px;
}
@media (max-width: 900px) {
  .batch {
    padding: 10px 12px;
    margin-inline: -6px;
  }
}
</style>
