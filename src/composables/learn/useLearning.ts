import { common } from '@/text/base/common'
import { learning as words } from '@/text/composables/learn'
import { computed, ref, shallowRef, toRaw, type ComputedRef } from 'vue'
import { learnRequest } from '@/model/learn/batches'
import { shelfOfTaught, type Taught } from '@/model/learn/learn'
import { newReadings, readingsOfGarden } from '@/model/learn/readings'
import { learnedOf } from '@/model/garden/garden'
import type { LearnedShelf } from '@/model/garden/schemas'
import type { Outcome } from '@/core/outcome'
import { failureLine } from '@/text/make/tasks'
import { learnInWorker } from '@/workers/core.client'
import { runOnce } from '../page/useTask'
import type { GardenDoor } from '../garden/gardenDoor'

type Choices = Pick<LearnedShelf, 'without' | 'trusted'>

/** What a garden's readings teach, worked out in the worker; kept on the shelf when the grower says so. */
export function useLearning(garden: GardenDoor, run = learnInWorker) {
  const learned: ComputedRef<LearnedShelf | undefined> = computed(() => learnedOf(garden.records))
  const all = computed(() => readingsOfGarden(garden.records))
  const { working, trouble, work } = useTeaching(garden, run)
  /** What the readings teach, not kept yet. */
  const preview = shallowRef<Taught | null>(null)
  const choices = (): Choices => ({
    without: [...(learned.value?.without ?? [])],
    trusted: [...(learned.value?.trusted ?? [])],
  })
  const set = (after: LearnedShelf | null, what: string) =>
    garden.run({ type: 'learned/set', learned: after, what })
  async function learn(change: Choices, what: string) {
    const taught = await work(change)
    if (taught) set(shelfOfTaught(taught, change, new Date().toISOString()), what)
    preview.value = null
  }
  return {
    learned,
    all,
    fresh: computed(() => newReadings(garden.records)),
    /** What was learned from is no more, or was left out since. */
    isStale: computed(() => {
      const there = new Set(all.value.map((r) => r.id))
      return (learned.value?.from ?? []).some((id) => !there.has(id))
    }),
    working,
    trouble,
    preview,
    /** Works out what all readings teach, to be shown before it is kept. */
    async look() {
      preview.value = await work(choices())
    },
    /** What is said of every reading, those left out too; nothing is kept. */
    tell: async () => (await work({ without: [], trusted: [] }))?.readings ?? null,
    /** Keeps what is shown, for every figure worked out from then on. */
    keep() {
      if (!preview.value) return
      set(shelfOfTaught(preview.value, choices(), new Date().toISOString()), words.learningFromReadings)
      preview.value = null
    },
    learn: () => learn(choices(), words.learningFromReadings),
    ...choosing(learned, choices, learn),
    forgetAll: () => set(null, words.forgettingAllThatWasLearned),
  }
}

/** Asks the worker what readings teach, and says why where there is no answer. */
function useTeaching(garden: GardenDoor, run: typeof learnInWorker) {
  const working = ref(false)
  /** Why nothing was learned; empty while all is well. */
  const trouble = ref('')
  async function work({ without, trusted }: Choices): Promise<Taught | null> {
    working.value = true
    trouble.value = ''
    const left = new Set(without)
    const asked = await runOnce<number, Outcome<Taught>>((controls) => {
      const readings = readingsOfGarden(toRaw(garden.records)).filter((r) => !left.has(r.id))
      return run(learnRequest(toRaw(garden.records), readings, trusted), controls)
    })
    working.value = false
    if ('value' in asked && asked.value?.ok) return asked.value.value
    trouble.value = 'failure' in asked ? failureLine(asked.failure) : words.whatTheReadingsTeachCould
    return null
  }
  return { working, trouble, work }
}

/** Which readings count, and which questioned one is right after all: each choice learns anew. */
const choosing = (
  learned: ComputedRef<LearnedShelf | undefined>,
  choices: () => Choices,
  learn: (change: Choices, what: string) => Promise<void>,
) => ({
  /** Leaves a reading out, or takes it in again. */
  leaveOut(id: string, out: boolean) {
    const { without, trusted } = choices()
    const others = without.filter((w) => w !== id)
    const what = out ? common.forgettingAReading : words.takingAReadingInAgain
    return learn({ without: out ? [...others, id] : others, trusted }, what)
  },
  /** Says that a questioned reading is right. */
  trust(id: string) {
    const { without, trusted } = choices()
    const all = [...trusted.filter((t) => t !== id), id]
    return learn({ without, trusted: all }, words.sayingAReadingIsRight)
  },
  /** Leaves out every reading that had a say in a row. */
  forgetRow(id: string) {
    const { without, trusted } = choices()
    const row = learned.value?.rows.find((r) => r.id === id)
    const all = [...new Set([...without, ...(row?.from ?? [])])]
    return learn({ without: all, trusted }, words.forgettingWhatWasLearned)
  },
})
export type LearningInHand = ReturnType<typeof useLearning>
