<script setup lang="ts">
/** Steps of getting ready with their days, ticked when they are done. */
import { common } from '@/text/base/common'
import { prepSteps as words } from '@/text/components/make'
import Button from 'primevue/button'
import { useBriefly } from '@/composables/page/useBriefly'
import CheckField from '../field/CheckField.vue'
import TickLine from '../frame/TickLine.vue'
import type { StepRow } from '@/text/make/preparing'

const { steps } = defineProps<{ steps: readonly StepRow[] }>()
const emit = defineEmits<{
  tick: [id: string, done: boolean]
  time: [step: StepRow]
  leave: [step: StepRow]
}>()
const { whole, isBrief } = useBriefly('prep-steps', () => steps)
/** Steps of some hours are timed; longer ones have their day. */
const LONGEST_TIMED = 1.5
const isTimed = (s: StepRow) => s.prep.phase === 'before' && s.days <= LONGEST_TIMED && !s.done
</script>

<template>
  <ol class="plain">
    <TickLine
      v-for="s in steps"
      :key="s.id"
      :title="s.title"
      :text="s.text"
      :done="s.done"
      :brief="isBrief(s)"
      @update:done="emit('tick', s.id, $event)"
    >
      <span class="end">
        <span>{{ s.when }}</span>
        <small>{{ words.takes(s.takes) }}<template v-if="s.late">{{ words.pastItsDay }}</template></small>
        <span v-if="!isBrief(s)" class="acts no-print">
          <Button
            v-if="isTimed(s)"
            :label="words.timeIt"
            icon="pi pi-stopwatch"
            text
            size="small"
            :aria-label="words.timeIt2(s.title)"
            @click="emit('time', s)"
          />
          <Button
            :label="words.notNeeded"
            text
            size="small"
            :aria-label="words.notNeeded2(s.title)"
            @click="emit('leave', s)"
          />
        </span>
      </span>
    </TickLine>
  </ol>
  <CheckField v-if="steps.length > 1" v-model="whole" class="no-print" :label="common.everyStepInFull" />
</template>

<style scoped>
.end {
  display: flex;
  flex-direction: column;
  align-items: flex-end;
  text-align: right;
  white-space: nowrap;
  font-variant-numeric: tabular-nums;
}
.acts {
  display: flex;
}
@media (max-width: 900px) {
  .end {
    width: 100%;
    padding-left: 38px;
    align-items: flex-start;
    text-align: left;
  }
}
</style>
