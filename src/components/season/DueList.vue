<script setup lang="ts">
/** What the season asks for, by date: ticked when it is done. */
import { dueList as words } from '@/text/components/season'
import { computed } from 'vue'
import type { RouteLocationRaw } from 'vue-router'
import FoldBox from '../frame/FoldBox.vue'
import TickLine from '../frame/TickLine.vue'

const { rows, locked } = defineProps<{
  rows: readonly {
    id: string
    title: string
    text: string
    when: string
    done: boolean
    late: boolean
    /** The day worked out, in words, where the grower has put it on another. */
    movedFrom?: string
    /** A page that says more. */
    link?: { to: RouteLocationRaw; label: string }
  }[]
  /** Nothing can be ticked yet. */
  locked: boolean
}>()
const emit = defineEmits<{ tick: [id: string, done: boolean] }>()

/** What was done when the page came is folded away; what is ticked now stays under the hand. */
const doneBefore = new Set(rows.filter((r) => r.done).map((r) => r.id))
const groups = computed(() =>
  [false, true]
    .map((folded) => ({ folded, rows: rows.filter((r) => doneBefore.has(r.id) === folded) }))
    .filter((g) => g.rows.length > 0),
)
</script>

<template>
  <div>
    <component
      :is="g.folded ? FoldBox : 'div'"
      v-for="g in groups"
      :id="g.folded ? 'due-done' : undefined"
      :key="String(g.folded)"
      :title="g.folded ? words.done(g.rows.length) : undefined"
    >
      <ol class="plain">
        <TickLine
          v-for="d in g.rows"
          :key="d.id"
          :title="d.title"
          :text="d.text"
          :done="d.done"
          :disabled="locked"
          @update:done="emit('tick', d.id, $event)"
        >
          <span class="when"
            >{{ d.when }}<small v-if="d.late">{{ words.pastItsDay }}</small
            ><small v-if="d.movedFrom" class="moved">{{ words.moved(d.movedFrom) }}</small
            ><RouterLink v-if="d.link" :to="d.link.to">{{ d.link.label }}</RouterLink></span
          >
        </TickLine>
      </ol>
    </component>
  </div>
</template>

<style scoped>
.when {
  text-align: right;
  white-space: nowrap;
  font-variant-numeric: tabular-nums;
}
.when small {
  display: block;
  color: var(--alarm);
}
.when a {
  display: block;
}
.when .moved {
  color: var(--ink-soft);
}
@media (max-width: 900px) {
  .when {
    width: 100%;
    padding-left: 38px;
    text-align: left;
  }
  .when small {
    display: inline;
    margin-left: 8px;
  }
}
</style>
