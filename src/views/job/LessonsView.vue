<script setup lang="ts">
/** Eight short lessons on the grower's own mix: guess, then see, then a thing that can be done about it. */
import { common } from '@/text/base/common'
import { lessonsView as says } from '@/text/views/lessonsView'
import Button from 'primevue/button'
import { computed, nextTick, useTemplateRef } from 'vue'
import FigureTable from '@/components/frame/FigureTable.vue'
import ProblemBox from '@/components/frame/ProblemBox.vue'
import DotRows from '@/components/picture/DotRows.vue'
import type { DotRow } from '@/components/picture/dotRows'
import LessonPicture from '@/components/water/LessonPicture.vue'
import StationFrame from '@/components/frame/StationFrame.vue'
import { useJob } from '@/composables/job/useJob'
import { useLessons } from '@/composables/water/useLessons'
import { useStations } from '@/composables/job/useStations'
import { LESSONS, type Lesson } from '@/model/water/lessons'
import {
  cameOf,
  figureRows,
  LESSON_DOTS,
  LESSON_SIDES,
  LESSON_TEXTS,
  lessonFigure,
  questionText,
} from '@/text/water/lessons'
import { failureText } from '@/text/make/tasks'

const { jobId } = defineProps<{ jobId: string }>()
const inHand = useJob(() => jobId)
const { job, units } = inHand
const { to } = useStations(() => jobId)
const { lesson, guess, answer, sides, seen, take, go, ready, next, failure, again } = useLessons(inHand)
const words = computed(() => LESSON_TEXTS[lesson.value])
/** What each side is called, which guess points at it, and what it came to. */
const names = computed(() =>
  (LESSON_SIDES[lesson.value] ?? []).map(({ name, guess: number, says: here, figure }) => {
    const found = guess.value !== null && answer.value && lessonFigure(answer.value, figure, units.value)
    return {
      name,
      guess: number,
      says: here,
      figure: found ? `${found.label}: ${found.text}` : '',
    }
  }),
)
/** Guesses without a side to point at. */
const others = computed(() =>
  words.value.guesses.flatMap((text, i) =>
    sides.value && names.value.some((n) => n.guess === i) ? [] : [{ text, number: i }],
  ),
)
/** The other lessons: their figures as dots on one scale. */
const dots = computed(() => {
  const shown = LESSON_DOTS[lesson.value]
  if (!shown || !answer.value) return null
  const found = (name: string) => lessonFigure(answer.value!, name, units.value)
  const limit = shown.limit ? found(shown.limit) : null
  return {
    rows: shown.figures.flatMap((name, i): DotRow[] => {
      const f = found(name)
      const isOther = i > 0
      return f ? [{ id: name, name: f.label, dots: [f.value], at: f.value, text: f.text, isOther }] : []
    }),
    limit: limit && { at: limit.value, text: `${limit.label}: ${limit.text}` },
    zero: shown.fromNought,
  }
})
const title = useTemplateRef<HTMLElement>('title')
async function turnTo(other: Lesson) {
  go(other)
  await nextTick()
  title.value?.focus()
}
</script>

<template>
  <StationFrame v-if="job">
    <div class="row head">
      <h2>{{ common.lessons }}</h2>
      <RouterLink :to="to('mix')">{{ common.backToTheBench }}</RouterLink>
    </div>
    <p class="soft">{{ says.onTheMixOfThis }}</p>
    <p v-if="!ready">
      {{ says.thereIsNoMixTo }} <RouterLink :to="to('mix')">{{ common.putSomethingInIt }}</RouterLink>
      {{ common.first }}
    </p>
    <div v-else class="lessons">
      <nav :aria-label="common.lessons">
        <ol class="plain">
          <li v-for="l in LESSONS" :key="l">
            <button
              type="button"
              class="pick"
              :aria-current="l === lesson ? 'true' : undefined"
              :aria-label="seen.has(l) ? says.seen(LESSON_TEXTS[l].title) : undefined"
              @click="turnTo(l)"
            >
              <i class="pi" :class="seen.has(l) ? 'pi-check' : 'pi-circle'" aria-hidden="true" />
              {{ LESSON_TEXTS[l].title }}
            </button>
          </li>
        </ol>
      </nav>
      <section class="card" aria-labelledby="lesson-title">
        <h3 id="lesson-title" ref="title" tabindex="-1">{{ words.title }}</h3>
        <p>{{ questionText(lesson, units) }}</p>
        <LessonPicture
          v-if="sides"
          :key="lesson"
          :sides="sides"
          :names="names"
          :poured="guess !== null && answer !== null"
          :guess="guess"
          @guess="take"
        />
        <div class="guesses" role="group" :aria-label="says.yourGuess">
          <Button
            v-for="o in others"
            :key="o.text"
            :label="o.text"
            :outlined="guess !== o.number"
            :aria-pressed="guess === o.number"
            @click="take(o.number)"
          />
        </div>
        <ProblemBox v-if="failure" :sentence="failureText(failure)">
          <Button :label="common.tryAgain" outlined size="small" @click="again" />
        </ProblemBox>
        <div v-else-if="guess !== null" role="status" class="answer">
          <p v-if="!answer" class="soft">{{ common.pouring }}</p>
          <template v-else>
            <p class="came">{{ cameOf(lesson, guess, answer) }}</p>
            <DotRows
              v-if="dots"
              :rows="dots.rows"
              :label="says.onOneScale(words.title)"
              :zero="dots.zero"
              :limit="dots.limit"
            />
            <FigureTable :rows="figureRows(answer, units)" :caption="says.onYourMix" />
            <p class="sentence">{{ words.sentence }}</p>
            <p>
              <RouterLink :to="to(words.change.at)">{{ words.change.does }}</RouterLink>
            </p>
          </template>
        </div>
        <Button
          v-if="guess !== null && next"
          :label="says.nextLesson"
          icon="pi pi-arrow-right"
          @click="turnTo(next)"
        />
      </section>
    </div>
  </StationFrame>
</template>

<style scoped>
.head {
  justify-content: space-between;
}
.lessons {
  display: grid;
  grid-template-columns: 17rem minmax(0, 44rem);
  gap: 24px;
  align-items: start;
}
.pick {
  display: flex;
  gap: 10px;
  align-items: center;
  width: 100%;
  min-height: 44px;
  padding: 6px 10px;
  border: 0;
  border-left: 4px solid transparent;
  background: none;
  color: var(--ink);
  font: inherit;
  text-align: left;
  cursor: pointer;
}
.pick[aria-current] {
  border-left-color: var(--clay);
  background: var(--sheet);
  font-weight: 600;
}
h3 {
  margin-bottom: 6px;
}
.guesses {
  display: flex;
  flex-direction: column;
  gap: 8px;
  align-items: flex-start;
  margin: 12px 0;
}
.guesses :deep(.p-button) {
  text-align: left;
}
.answer {
  margin: 14px 0;
}
.came,
.sentence {
  font-weight: 600;
}
.sentence {
  margin-top: 12px;
}
@media (max-width: 760px) {
  .lessons {
    grid-template-columns: minmax(0, 1fr);
  }
  nav {
    order: 1;
  }
}
</style>
