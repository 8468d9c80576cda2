<script setup lang="ts">
/** The next moves and what stands out: worked out when the hand rests, and marked as of an older mix until then. */
import { onKeyStroke } from '@vueuse/core'
import { computed } from 'vue'
import JudgementList from '@/components/bench/JudgementList.vue'
import NextMoves from '@/components/bench/NextMoves.vue'
import { useBenchContext } from '@/composables/bench/useBenchContext'
import { isTyping } from '@/composables/page/isTyping'
import { useDelayedByFrame } from '@/composables/page/useDelayedByFrame'
import { failureLine } from '@/text/make/tasks'
import { MOVE_KEYS } from '@/text/mix/moves'

const { garden, delayedJob, delayedAnswer, units, nameOf, source, next, later, take, look } =
  useBenchContext()
const movesStale = useDelayedByFrame(next.stale)
const judgedStale = useDelayedByFrame(later.stale)
const failed = computed(() => next.failure.value && failureLine(next.failure.value))
const judgements = computed(() => later.value.value?.judgements ?? [])

// A letter makes a next move, unless something else has the keyboard.
onKeyStroke(
  (event) => MOVE_KEYS.includes(event.key.toLowerCase()),
  (event) => {
    if (
      isTyping(event) ||
      event.ctrlKey ||
      event.metaKey ||
      event.altKey ||
      document.querySelector('[role=dialog]')
    )
      return
    take(MOVE_KEYS.indexOf(event.key.toLowerCase()))
  },
)
</script>

<template>
  <NextMoves
    v-if="delayedJob && delayedJob.parts.length"
    :moves="next.value.value"
    :name-of="nameOf"
    :stale="movesStale"
    :units="units"
    :widest="source === 'all'"
    :failed="failed"
    @again="next.again()"
    @take="take"
    @preview="look = $event === null ? null : { kind: 'move', index: $event }"
    @widen="source = source === 'all' ? 'shelf' : 'all'"
  />
  <JudgementList
    v-if="delayedAnswer && delayedJob"
    :class="{ stale: judgedStale }"
    :judgements="judgements"
    :answered="delayedJob.dismissed"
    :units="units"
    :water="{ name: 'tap', params: { garden: garden.name } }"
    @answer="(code, reason) => garden.run({ type: 'warning/answer', jobId: delayedJob!.id, code, reason })"
  />
</template>

<style scoped>
.stale {
  opacity: 0.5;
  transition: opacity 0s 0.25s;
}
</style>
