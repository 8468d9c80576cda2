<script setup lang="ts">
/** One figure against the band wanted: the value in words first, a scale, and why on request. */
import { readingGauge as says } from '@/text/components/shared'
import { computed, defineAsyncComponent, ref } from 'vue'
import { vTextContent } from '@/composables/page/vTextContent'
import type { Reading, Span } from '@/text/readings/reading'
import FigureTable from './frame/FigureTable.vue'
import GaugeScale from './GaugeScale.vue'

/** Pictures of an explanation come when it is opened. */
const WeekBars = defineAsyncComponent(() => import('./picture/WeekBars.vue'))
const WeekLine = defineAsyncComponent(() => import('./picture/WeekLine.vue'))

const { reading, likely, likelyText, ghost } = defineProps<{
  reading: Reading
  /** The range that eight in ten sets of such materials fall in, on the scale; null while it is not known. */
  likely: Span | null
  /** The same in words. An empty text keeps its place free; null takes none. */
  likelyText: string | null
  /** Where it would stand after a change that is only looked at. */
  ghost: { position: number; text: string } | null
}>()

/** The explanation of a figure is put together when somebody asks for it. */
const open = ref(false)
const VERDICTS = {
  good: { mark: '✓', words: 'within' },
  low: { mark: '▼', words: 'below' },
  high: { mark: '▲', words: 'above' },
  plain: { mark: '', words: '' },
}
const shown = computed(() => VERDICTS[reading.verdict])
/** The range comes with the figure and is never waited for. */
const sure = computed(() => reading.likely?.kind === 'known')
const why = computed(() => (open.value ? reading.why() : []))
/** Beside the range, where it moves nothing when it comes and goes. */
const would = computed(() => (ghost && ghost.text !== reading.value ? `→ ${ghost.text}` : ''))
</script>

<template>
  <section class="gauge" :class="reading.verdict" :aria-label="reading.label">
    <div class="head">
      <span class="label">{{ reading.label }}</span>
      <span v-if="shown.mark" class="verdict"
        ><span aria-hidden="true">{{ shown.mark }}</span> {{ shown.words }}</span
      >
    </div>
    <div class="line">
      <strong v-text-content="reading.value" class="figure" />
      <span class="wanted">{{ reading.wanted }}</span>
    </div>
    <div v-if="likelyText !== null || ghost" class="line">
      <span v-text-content="likelyText || '\u00a0'" class="likely" :class="{ sure }" />
      <span v-if="ghost" v-text-content="would" class="would" />
    </div>
    <GaugeScale
      v-if="reading.position !== null"
      :position="reading.position"
      :band="reading.band"
      :likely="likely"
      :sure="sure"
      :ghost="ghost?.position ?? null"
    />
    <p v-if="reading.advice" class="advice">{{ reading.advice }}</p>
    <details @toggle="open = ($event.target as HTMLDetailsElement).open">
      <summary :aria-label="says.whyThis(reading.label)">{{ says.why }}</summary>
      <p class="term">{{ reading.term }}</p>
      <template v-for="(part, i) in why" :key="i">
        <p v-if="typeof part === 'string'">{{ part }}</p>
        <WeekBars v-else-if="'byWeek' in part" :rows="part.byWeek" :label="part.label" />
        <WeekLine v-else-if="'course' in part" :course="part.course" :label="part.label" />
        <FigureTable v-else class="weeks" :head="part.head" :rows="part.rows" />
      </template>
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
  color: var(--ink-soft);
  font-size: 0.86rem;
  line-height: 1.2;
  white-space: nowrap;
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
/* The last ranges are hidden where they stand while those of another mix are worked out. */
.awaiting .likely:not(.sure),
.undecided .would {
  visibility: hidden;
}
.would {
  color: var(--clay);
  font-size: 1rem;
  font-weight: 600;
  line-height: 1;
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
@media (max-width: 760px) {
  .gauge {
    padding: 6px 0 3px;
  }
}
.weeks {
  font-size: 0.88rem;
}
.weeks :deep(:is(th, td)) {
  padding: 2px 6px 2px 0;
}
</style>
