<script setup lang="ts">
/** Two containers side by side: one is pointed at for a guess, then both are watered. */
import { lessonPicture as words } from '@/text/components/water'
import { usePreferredReducedMotion, useRafFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { sectionWidth, shapeHeight } from '@/core/geometry'
import type { LessonSide } from '@/model/water/lessonSides'
import LessonSection from './LessonSection.vue'

const { sides, names, poured, guess } = defineProps<{
  sides: readonly LessonSide[]
  /** Of each side: its name, the guess that points at it, what it came to. */
  names: readonly { name: string; guess: number | null; says: string; figure: string }[]
  /** The guess is made and the answer is there. */
  poured: boolean
  guess: number | null
}>()
const emit = defineEmits<{ guess: [number: number] }>()

/** Room for a container, px; seconds the pouring is shown in. */
const ROOM = { width: 200, height: 160 }
const SECONDS = 3
const scale = computed(() =>
  Math.min(
    ...sides.map(({ container: { shape } }) => {
      const tall = shapeHeight(shape)
      const wide = Math.max(sectionWidth(shape, 0), sectionWidth(shape, tall))
      return Math.min(ROOM.width / wide, ROOM.height / tall)
    }),
  ),
)
const motion = usePreferredReducedMotion()
/** How far the pouring is, 0 to 1; at its end at once where nothing may move. */
const part = ref(0)
const { pause, resume } = useRafFn(
  ({ delta }) => {
    part.value = Math.min(1, part.value + delta / 1000 / SECONDS)
    if (part.value >= 1) pause()
  },
  { immediate: false },
)
watch(
  () => poured,
  (is) => {
    pause()
    part.value = is && motion.value !== 'reduce' && sides.some((s) => s.moments > 1) ? 0 : 1
    if (is && part.value < 1) resume()
  },
  { immediate: true },
)
const momentOf = (side: LessonSide) => (poured ? Math.round(part.value * (side.moments - 1)) : null)
</script>

<template>
  <div class="sides" role="group" :aria-label="words.twoSides">
    <component
      :is="names[i]!.guess === null ? 'div' : 'button'"
      v-for="(side, i) in sides"
      :key="i"
      class="side"
      :type="names[i]!.guess === null ? undefined : 'button'"
      :aria-pressed="names[i]!.guess === null ? undefined : guess === names[i]!.guess"
      :aria-label="
        names[i]!.guess === null
          ? undefined
          : [`${names[i]!.name}: ${names[i]!.says}`, names[i]!.figure].filter(Boolean).join('. ')
      "
      @click="names[i]!.guess !== null && emit('guess', names[i]!.guess!)"
    >
      <LessonSection :side="side" :scale="scale" :moment="momentOf(side)" />
      <strong>{{ names[i]!.name }}</strong>
      <span v-if="names[i]!.says" class="says">{{ names[i]!.says }}</span>
      <span v-if="names[i]!.figure" class="figure">{{ names[i]!.figure }}</span>
    </component>
  </div>
</template>

<style scoped>
.sides {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 14px;
  max-width: 38rem;
  margin: 12px 0;
}
.side {
  display: flex;
  flex-direction: column;
  align-items: center;
  justify-content: flex-end;
  gap: 2px;
  padding: 8px;
  border: 2px solid var(--rule);
  border-radius: var(--round);
  background: var(--sheet);
  color: var(--ink);
  font: inherit;
  text-align: center;
}
button.side {
  cursor: pointer;
}
button.side:hover {
  border-color: var(--clay);
}
button.side[aria-pressed='true'] {
  border-color: var(--clay);
  background: var(--clay-wash);
}
.says {
  color: var(--ink-soft);
  font-size: 0.92rem;
}
.figure {
  font: 600 1.05rem var(--slab);
}
</style>
