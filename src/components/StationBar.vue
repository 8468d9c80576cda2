<script setup lang="ts">
/** The stations of a job in the work's order: which are done, which is next, which this is. */
import { stationBar as words } from '@/text/components/shared'
import { nextTick, onMounted, ref, watch } from 'vue'
import type { RouteLocationRaw } from 'vue-router'

const { stations } = defineProps<{
  stations: readonly {
    id: string
    title: string
    to: RouteLocationRaw
    here: boolean
    done: boolean
    next: boolean
  }[]
}>()
const MARK = { done: '✓', next: '●', open: '○' }
const stateOf = (s: { done: boolean; next: boolean }) => (s.done ? 'done' : s.next ? 'next' : 'open')

const bar = ref<HTMLElement | null>(null)
/** The present station is in sight where the bar is wider than the screen. */
async function showHere() {
  await nextTick()
  const here = bar.value?.querySelector<HTMLElement>('.here')
  if (!bar.value || !here) return
  bar.value.scrollLeft = here.offsetLeft - (bar.value.clientWidth - here.offsetWidth) / 2
}
onMounted(showHere)
watch(() => stations.findIndex((s) => s.here), showHere)
</script>

<template>
  <nav ref="bar" class="stations" :aria-label="words.stationsOfThisJob">
    <RouterLink
      v-for="s in stations"
      :key="s.id"
      :to="s.to"
      :class="{ here: s.here, done: s.done, next: s.next }"
      :aria-current="s.here ? 'step' : undefined"
    >
      <span aria-hidden="true" class="mark">{{ MARK[stateOf(s)] }}</span>{{ s.title
      }}<span class="visually-hidden">{{ stateOf(s) === 'open' ? '' : `, ${stateOf(s)}` }}</span>
    </RouterLink>
  </nav>
</template>

<style scoped>
.stations {
  /* What is hidden from the eye inside it is cut off with it. */
  position: relative;
  display: flex;
  gap: 4px;
}
a {
  display: flex;
  align-items: center;
  gap: 6px;
  padding: 7px 13px;
  color: var(--ink);
  text-decoration: none;
  border-radius: 99px;
  border: 1.5px solid transparent;
  white-space: nowrap;
}
a:hover {
  border-color: var(--clay);
}
.here {
  background: var(--clay);
  color: var(--clay-ink);
  font-weight: 600;
}
.next:not(.here) {
  border-color: var(--clay);
}
.mark {
  font-size: 0.85em;
}
@media (max-width: 900px) {
  .stations {
    order: 3;
    width: 100%;
    overflow-x: auto;
    scrollbar-width: none;
  }
  a {
    min-height: 44px;
    padding: 8px 10px;
    gap: 4px;
  }
}
</style>
