<script setup lang="ts">
/** One figure against the band wanted: the value in words first, a scale, and why on request. */
import { computed, ref } from 'vue'
import { vWords } from '@/composables/vWords'

const {
  label,
  term,
  value,
  wanted,
  position,
  band,
  verdict,
  advice = '',
  likely = null,
  likelyText = null,
  sure = false,
  ghost = null,
} = defineProps<{
  label: string
  /** The field's own term. */
  term: string
  value: string
  /** The band in words, for example "peppers like 15-30 %". */
  wanted: string
  /** Where the value lies on the scale, 0 to 1; null draws no scale. */
  position: number | null
  band: { from: number; to: number } | null
  verdict: 'good' | 'low' | 'high' | 'plain'
  advice?: string
  /** The range eight sets of materials in ten fall in, on the scale; null while it is not known. */
  likely?: { from: number; to: number } | null
  /** The same in words, "likely 14-21 %". An empty text keeps its place free; null takes none. */
  likelyText?: string | null
  /** The range comes with the figure and is never waited for. */
  sure?: boolean
  /** Where it would stand after a change that is only looked at. */
  ghost?: { position: number; text: string } | null
}>()

/** The reckoning behind a figure is worked out when somebody asks for it. */
const open = ref(false)
const VERDICTS = {
  good: { mark: '✓', words: 'within' },
  low: { mark: '▼', words: 'below' },
  high: { mark: '▲', words: 'above' },
  plain: { mark: '', words: '' },
}
const shown = computed(() => VERDICTS[verdict])
const onScale = (x: number) => Math.min(1, Math.max(0, x))
const percent = (x: number) => `${onScale(x) * 100}%`
/** Shifted, not placed: a mark that moves lays nothing out anew. */
const shift = (x: number) => ({ transform: `translateX(${(onScale(x) * 100).toFixed(2)}%)` })
/** A stretch of the scale, cut off at its ends. */
const stretch = ({ from, to }: { from: number; to: number }) => ({
  left: percent(from),
  width: percent(onScale(to) - onScale(from)),
})
</script>

<template>
  <section class="gauge" :class="verdict" :aria-label="label">
    <div class="head">
      <span class="label">{{ label }}</span>
      <span v-if="shown.mark" class="verdict"
        ><span aria-hidden="true">{{ shown.mark }}</span> {{ shown.words }}</span
      >
    </div>
    <div class="line">
      <span class="value"
        ><strong v-words="value" class="figure" /><span v-if="ghost && ghost.text !== value" class="would">
          → {{ ghost.text }}</span
        >
        <span v-if="likelyText !== null" v-words="likelyText || '\u00a0'" class="likely" :class="{ sure }"
      /></span>
      <span class="wanted">{{ wanted }}</span>
    </div>
    <div v-if="position !== null" class="scale" aria-hidden="true">
      <span v-if="band" class="band" :style="stretch(band)" />
      <span v-if="likely" class="likely-span" :class="{ sure }" :style="stretch(likely)" />
      <span class="mark glide" :style="shift(position)"><span class="needle" /></span>
      <span v-if="ghost" class="mark" :style="shift(ghost.position)"><span class="needle ghost" /></span>
    </div>
    <p v-if="advice" class="advice">{{ advice }}</p>
    <details @toggle="open = ($event.target as HTMLDetailsElement).open">
      <summary>Why?</summary>
      <p class="term">{{ term }}</p>
      <slot v-if="open" />
    </details>
  </section>
</template>

<style scoped>
.gauge {
  contain: layout style;
  padding: 9px 0 7px;
  border-bottom: 1px solid var(--rule);
}
.head,
.line {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  gap: 0 10px;
  flex-wrap: wrap;
}
.label {
  font-weight: 600;
}
.figure {
  font-size: 1.5rem;
  line-height: 1.15;
  white-space: nowrap;
}
.likely {
  display: block;
  color: var(--ink-soft);
  font-size: 0.86rem;
  line-height: 1.2;
  white-space: nowrap;
}
.likely-span {
  position: absolute;
  top: 3px;
  height: 3px;
  background: var(--ink);
  opacity: 0.75;
}
.wanted {
  color: var(--ink-soft);
  font-size: 0.92rem;
  text-align: right;
}
.verdict {
  font-size: 0.9rem;
  font-weight: 600;
  white-space: nowrap;
}
.good .verdict {
  color: var(--leaf);
}
.low .verdict,
.high .verdict {
  color: var(--straw);
}
.scale {
  position: relative;
  height: 9px;
  margin: 6px 0 4px;
  background: color-mix(in srgb, var(--rule) 55%, transparent);
  border-radius: 5px;
  /* A mark is as wide as the scale and shifted along it; what would stick out at its end is nothing. */
  overflow-x: clip;
}
.band {
  position: absolute;
  inset-block: 0;
  background: var(--leaf-wash);
  border-inline: 2px solid var(--leaf);
}
/* While the ranges of another mix are being drawn those of the last one are hidden where they are. */
.awaiting .likely:not(.sure),
.awaiting .likely-span:not(.sure) {
  visibility: hidden;
}
.mark {
  position: absolute;
  inset: -4px 0;
}
.needle {
  display: block;
  width: 4px;
  height: 17px;
  margin-left: -2px;
  background: var(--ink);
  border-radius: 2px;
}
/* Hollow: not yet so. */
.needle.ghost {
  background: var(--sheet);
  border: 2px solid var(--clay);
  width: 8px;
  margin-left: -4px;
  box-sizing: border-box;
}
.would {
  color: var(--clay);
  font-weight: 600;
  white-space: nowrap;
}
.advice {
  margin: 4px 0 0;
  font-size: 0.92rem;
}
details {
  font-size: 0.9rem;
}
summary {
  cursor: pointer;
  color: var(--clay);
  width: fit-content;
  padding: 2px 0;
}
.term {
  font-style: italic;
  color: var(--ink-soft);
  margin: 2px 0;
}
</style>
