import { computed, ref, toRaw, watch } from 'vue'
import type { Outcome } from '@/core/outcome'
import type { Watered, WateringCase } from '@/core/watering'
import {
  answerOf,
  answerOfPoured,
  casesOfLesson,
  LESSONS,
  POURED,
  type Lesson,
  type LessonAnswer,
} from '@/model/water/lessons'
import { sidesOf, type LessonSide } from '@/model/water/lessonSides'
import type { Settings } from '@/model/garden/schemas'
import { waterInWorker } from '@/workers/core.client'
import type { GardenDoor } from '../garden/gardenDoor'
import type { JobInHand } from '../job/useJob'
import { useTask } from '../page/useTask'

/** Salts most crops bear, dS/m, where no band says otherwise. */
const USUAL_MOST = 3

type SettableDoor = GardenDoor & { setSettings: (change: Partial<Settings>) => void }

const pouredAnswer = (
  lesson: Lesson,
  found: { of: WateringCase[]; value: Outcome<Watered[]> } | null,
): LessonAnswer | null => {
  if (!found?.value.ok) return null
  const moved = found.value.value.map((w) => w.moved)
  return answerOfPoured(lesson, moved, found.of)
}

/** The lessons on a job's own mix: a guess first, then what it comes to. */
export function useLessons(
  { garden, prepared, evaluation, bands }: JobInHand<SettableDoor>,
  run = waterInWorker,
) {
  const lesson = ref<Lesson>(LESSONS.find((l) => !garden.settings.lessonsSeen.includes(l)) ?? LESSONS[0])
  const guess = ref<number | null>(null)
  const ready = computed(() =>
    prepared.value?.ok && evaluation.value?.ok
      ? { input: toRaw(prepared.value.value.input), evaluation: evaluation.value.value }
      : null,
  )
  const poured = useTask<WateringCase[], number, Outcome<Watered[]>>((cases, controls) =>
    run({ cases, draws: 0 }, controls),
  )
  /** The water is poured while the grower thinks. */
  watch(
    [lesson, ready],
    () => {
      if (ready.value && POURED.has(lesson.value))
        poured.start(casesOfLesson(lesson.value, ready.value.input))
      else poured.cancel()
    },
    { immediate: true },
  )
  const answer = computed<LessonAnswer | null>(() => {
    if (!ready.value) return null
    if (POURED.has(lesson.value)) return pouredAnswer(lesson.value, poured.answer.value)
    const most = bands.value.electricalConductivity?.high ?? USUAL_MOST
    return answerOf(lesson.value, ready.value.input, ready.value.evaluation, most)
  })
  const sides = computed<LessonSide[] | null>(() => {
    if (!ready.value) return null
    const found = POURED.has(lesson.value) ? poured.answer.value?.value : null
    return sidesOf(lesson.value, ready.value, found?.ok ? found.value.map((w) => w.moved) : [])
  })
  const seen = computed(() => new Set(garden.settings.lessonsSeen))
  function take(number: number) {
    guess.value = number
    if (!seen.value.has(lesson.value))
      garden.setSettings({ lessonsSeen: [...garden.settings.lessonsSeen, lesson.value] })
  }
  function go(to: Lesson) {
    lesson.value = to
    guess.value = null
  }
  return {
    lesson,
    guess,
    answer,
    /** The two containers compared, where there are two. */
    sides,
    seen,
    take,
    go,
    ready: computed(() => ready.value !== null),
    next: computed(() => LESSONS[LESSONS.indexOf(lesson.value) + 1] ?? null),
    failure: poured.failure,
    again: poured.again,
  }
}
