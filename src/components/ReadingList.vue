<script setup lang="ts">
/**
 * Figures of a mix, each a gauge: with its likely range, and where it would stand after a change that is only looked
 * at.
 */
import { computed } from 'vue'
import type { Evaluation } from '@/core/evaluate'
import type { LikelyRange } from '@/core/ranges'
import { fromReadingsText, likelyText, type Reading } from '@/text/readings/reading'
import ReadingGauge from './ReadingGauge.vue'

const {
  readings,
  ranges,
  whatIf,
  taught = null,
} = defineProps<{
  readings: readonly Reading[]
  /** Likely ranges by figure; null while they are being drawn. */
  ranges: Record<string, LikelyRange> | null
  whatIf: Evaluation | null
  /** How many of the grower's readings stand behind a figure; null where nothing was learned. */
  taught?: ((figure: string) => number) | null
}>()

/** The last ranges known; hidden while those of the mix in hand are being drawn. */
const drawn = computed<typeof ranges>((old) => ranges ?? old ?? null)
function likelyOf({ likely }: Reading) {
  if (likely === null) return { text: null, span: null }
  if (likely.kind === 'known') return { text: likely.text, span: likely.span }
  const range = drawn.value?.[likely.figure]
  if (!range) return { text: '', span: null }
  const { write, place } = likely
  const count = taught?.(likely.figure) ?? 0
  const from = count > 0 ? `, ${fromReadingsText(count)}` : ''
  return {
    text: `${likelyText(write(range.low), write(range.high))}${from}`,
    span: place && { from: place(range.low), to: place(range.high) },
  }
}
const rows = computed(() =>
  readings.map((reading) => ({
    reading,
    likely: likelyOf(reading),
    ghost: whatIf && reading.ghost(whatIf),
  })),
)
</script>

<template>
  <div :class="{ awaiting: ranges === null }">
    <ReadingGauge
      v-for="{ reading, likely, ghost } in rows"
      :key="reading.id"
      :reading="reading"
      :likely="likely.span"
      :likely-text="likely.text"
      :ghost="ghost"
    />
  </div>
</template>
