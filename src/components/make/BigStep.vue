<script setup lang="ts">
/**
 * One measure of a batch as large as the screen allows, for a gloved hand: every filling of the bucket is counted by a
 * press on the large button, and the next measure comes by itself.
 */
import { common } from '@/text/base/common'
import { bigStep as words } from '@/text/components/make'
import Button from 'primevue/button'
import { computed } from 'vue'
import type { CardLine } from '@/model/make/batchCard'
import { pressesOf } from '@/model/make/tally'
import { capital, lineName, pressText } from '@/text/make/making'
import { doseSpoons, measureOfLine, pileText } from '@/text/make/measures'
import { doseWeightText, volumeText, type UnitSystem } from '@/text/base/units'

const { line, at, of, batch, count, left, speaks, units } = defineProps<{
  line: CardLine
  /** Which measure of how many, counted from zero. */
  at: number
  of: number
  /** "Batch 2 of 3, 1 to go after it". */
  batch: string
  /** Fillings that are in. */
  count: number
  /** The left hand holds the phone. */
  left: boolean
  /** The browser can speak. */
  speaks: boolean
  units: UnitSystem
}>()
const emit = defineEmits<{ press: []; back: []; say: [] }>()
const presses = computed(() => pressesOf(line))
const amount = computed(() =>
  line.kind === 'measure' ? measureOfLine(line, units) : doseWeightText(line.grams, units),
)
const beside = computed(() =>
  line.kind === 'measure'
    ? volumeText(line.litres, units)
    : [doseSpoons(line.grams, line.bulkDensity, units), pileText(line, units)].filter(Boolean).join('; '),
)
const next = computed(() =>
  presses.value.length < 2
    ? words.itIsIn
    : words.isIn(capital(pressText(presses.value, Math.min(count, presses.value.length - 1)))),
)
</script>

<template>
  <div class="big no-print" :class="{ left }">
    <h2 id="batch-title" class="where"><span>{{ batch }}</span><small>{{ common.of(at + 1, of) }}</small></h2>
    <p class="amount figure">{{ amount }}</p>
    <p class="name">{{ lineName(line) }}</p>
    <p class="soft">{{ beside }}</p>
    <p v-if="presses.length > 1" class="tally" role="img" :aria-label="words.ofIn(count, presses.length)">
      <span
        v-for="(p, i) in presses"
        :key="i"
        :class="{ in: i < count, part: p.twelfths < 12, scoop: p.tool === 'scoop' }"
      />
    </p>
    <div class="acts">
      <button type="button" class="press" @click="emit('press')">{{ next }}</button>
      <div class="small">
        <Button :label="words.back" icon="pi pi-undo" outlined @click="emit('back')" />
        <Button v-if="speaks" :label="words.sayIt" icon="pi pi-volume-up" outlined @click="emit('say')" />
      </div>
    </div>
  </div>
</template>

<style scoped>
.big {
  background: var(--sheet);
  border: 1px solid var(--rule);
  border-radius: var(--round);
  padding: 14px 18px;
  margin-bottom: 12px;
  display: flex;
  flex-direction: column;
  min-height: min(46vh, 460px);
}
.big p {
  margin: 0;
}
.where {
  display: flex;
  justify-content: space-between;
  font-size: 1.1rem;
  margin: 0;
}
.big .amount {
  font-size: clamp(2.2rem, 9vw, 3.6rem);
  line-height: 1.1;
  margin-top: 12px;
}
.name {
  font-size: clamp(1.4rem, 6vw, 2rem);
}
.tally {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  padding-top: 12px;
}
.tally span {
  width: 14px;
  height: 34px;
  border: 2px solid var(--edge);
  border-radius: 3px;
}
.tally .part {
  height: 20px;
  align-self: end;
}
.tally .scoop {
  border-radius: 50%;
  height: 14px;
  align-self: end;
}
.tally .in {
  background: var(--clay);
  border-color: var(--clay);
}
.acts {
  margin-top: auto;
  padding-top: 16px;
  display: flex;
  gap: 12px;
}
.left .acts {
  flex-direction: row-reverse;
}
.press {
  flex: 1;
  min-height: 110px;
  font: 600 1.5rem var(--slab);
  color: var(--sheet);
  background: var(--clay);
  border: 0;
  border-radius: var(--round);
  cursor: pointer;
}
.small {
  display: flex;
  flex-direction: column;
  justify-content: space-between;
  gap: 8px;
}
.small .p-button {
  min-height: 51px;
}
</style>
