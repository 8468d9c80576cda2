<script setup lang="ts" generic="T extends { id: string }">
/**
 * A list of any length: only its first lines are there, and more come as its end is scrolled to. Whoever does not
 * scroll presses the button at the end.
 */
import { atOnce } from '@/text/base/atOnce'
import { useIntersectionObserver } from '@vueuse/core'
import Button from 'primevue/button'
import { computed, ref, watch } from 'vue'

const {
  items,
  keep = null,
  lines = 40,
  onDemand = false,
} = defineProps<{
  items: readonly T[]
  /** Id of the one that has to be there, however far down it is. */
  keep?: string | null
  /** Lines that come at once: more than a screen, few enough to draw between two frames. */
  lines?: number
  /** More come when the button is pressed, and not before. */
  onDemand?: boolean
}>()
/** Lines that a press adds. */
const MORE = 40
defineSlots<{ default(props: { item: T }): unknown }>()

const shown = ref(lines)
const end = ref<HTMLElement | null>(null)
const there = computed(() => items.slice(0, shown.value))
const more = computed(() => items.length - there.value.length)
const grow = () => (shown.value += Math.max(lines, MORE))
useIntersectionObserver(end, ([entry]) => !onDemand && entry?.isIntersecting && grow(), {
  rootMargin: '600px',
})
watch(
  () => [items.length, keep] as const,
  () => {
    const at = keep === null ? -1 : items.findIndex((item) => item.id === keep)
    shown.value = Math.max(lines, at + 1)
  },
  { immediate: true },
)
</script>

<template>
  <ul class="plain">
    <li v-for="item in there" :key="item.id"><slot :item="item" /></li>
    <li v-if="more > 0" ref="end">
      <Button
        :label="atOnce.showMoreOf(Math.min(more, Math.max(lines, MORE)), more)"
        text
        size="small"
        @click="grow"
      />
    </li>
  </ul>
</template>
