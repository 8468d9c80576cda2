<script setup lang="ts">
/** One measure of a batch, big enough for a glove: press anywhere on it when it is in. */
import { computed } from 'vue'
import type { CardLine } from '@/model/make/batchCard'
import { doseSpoons, lineText, measuredName, measureOfLine, pileText } from '@/text/make/measures'
import { doseWeightText, volumeText, type UnitSystem } from '@/text/base/units'
import BucketGlyph from './BucketGlyph.vue'
import { bucketsOf } from './make/buckets'

const { line, units, done } = defineProps<{ line: CardLine; units: UnitSystem; done: boolean }>()
const emit = defineEmits<{ tick: [done: boolean] }>()

const buckets = computed(() => bucketsOf(line))
</script>

<template>
  <li>
    <label class="line" :class="{ done }">
      <input
        type="checkbox"
        :checked="done"
        :aria-label="lineText(line, units)"
        @change="emit('tick', ($event.target as HTMLInputElement).checked)"
      />
      <span class="words">
        <strong class="figure">{{
          line.kind === 'measure' ? measureOfLine(line, units) : doseWeightText(line.grams, units)
        }}</strong>
        <span>{{ line.kind === 'measure' ? measuredName(line.what) : line.name }}</span>
        <small>{{
          line.kind === 'measure'
            ? volumeText(line.litres, units)
            : doseSpoons(line.grams, line.bulkDensity, units)
        }}</small>
        <small v-if="line.kind === 'dose' && pileText(line, units)" class="pile">{{
          pileText(line, units)
        }}</small>
      </span>
      <span class="glyphs">
        <BucketGlyph v-for="(g, i) in buckets.glyphs" :key="i" :twelfths="g" :tint="buckets.tint" />
      </span>
    </label>
  </li>
</template>

<style scoped>
.line {
  display: flex;
  align-items: center;
  gap: 14px;
  min-height: 64px;
  padding: 8px 6px;
  border-bottom: 1px solid var(--rule);
  cursor: pointer;
}
input {
  width: 30px;
  height: 30px;
  flex: none;
  accent-color: var(--clay);
}
.words {
  flex: 1;
  display: grid;
  grid-template-columns: minmax(8.5rem, auto) 1fr;
  column-gap: 12px;
  align-items: baseline;
}
.words small {
  grid-column: 2;
}
.figure {
  font-size: 1.25rem;
}
.done .words {
  color: var(--ink-soft);
  text-decoration: line-through;
}
.glyphs {
  display: flex;
  gap: 3px;
  flex-wrap: wrap;
  justify-content: flex-end;
}
@media (max-width: 760px) {
  .words {
    grid-template-columns: 1fr;
  }
  .words small {
    grid-column: 1;
  }
}
</style>
