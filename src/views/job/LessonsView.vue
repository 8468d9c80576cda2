<script setup lang="ts">
/** Eight short lessons on the grower's own mix: guess, then see, then a thing that can be done about it. */
import { common } from '@/text/base/common'
import { lessonsView as says } from '@/text/views/lessonsView'
import Button from 'primevue/button'
import { computed, nextTick, useTemplateRef } from 'vue'
import FigureTable from '@/components/frame/FigureTable.vue'
import ProblemBox from '@/components/frame/ProblemBox.vue'
import StationFrame from '@/components/frame/StationFrame.vue'
import { useJob } from '@/composables/job/useJob'
import { useLessons } from '@/composables/water/useLessons'
import { useStations } from '@/composables/job/useStations'
import { LESSONS, type Lesson } from '@/model/water/lessons'
import { cameOf, figureRows, LESSON_TEXTS, questionText } from '@/text/water/lessons'
import { failureText } from '@/text/make/tasks'

const { jobId } = defineProps<{ jobId: string }>()
const inHand = useJob(() => jobId)
const { job, units } = inHand
const { to } = useStations(() => jobId)
const { lesson, guess, answer, seen, take, go, ready, next, failure, again } = useLessons(inHand)
const words = computed(() => LESSON_TEXTS[lesson.value])
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
        <div class="guesses" role="group" :aria-label="says.yourGuess">
          <Button
            v-for="(text, i) in words.guesses"
            :key="text"
            :label="text"
            :outlined="guess !== i"
            :aria-pressed="guess === i"
            @click="take(i)"
          />
        </div>
        <ProblemBox v-if="failure" :sentence="failureText(failure)">
          <Button :label="common.tryAgain" outlined size="small" @click="again" />
        </ProblemBox>
        <div v-else-if="guess !== null" role="status" class="answer">
          <p v-if="!answer" class="soft">{{ common.pouring }}</p>
          <template v-else>
            <p class="came">{{ cameOf(lesson, guess, answer) }}</p>
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
}
</style>
