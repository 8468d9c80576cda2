import { onScopeDispose, shallowRef, watch } from 'vue'
import { drawn, inStretches } from '@/model/stretches'

/**
 * What follows from each of many things: worked out when it is first asked for, after the page is drawn and in short
 * stretches. Until then there is no answer. All is asked anew when `work` becomes another function.
 */
export function useWhenAsked<T extends { id: string }, V>(work: () => (thing: T) => V) {
  const answers = shallowRef<ReadonlyMap<string, V>>(new Map())
  const asked = new Map<string, T>()
  let isWorking = false
  let isOver = false
  onScopeDispose(() => (isOver = true))
  watch(work, () => {
    asked.clear()
    answers.value = new Map()
  })

  async function answerAll() {
    isWorking = true
    try {
      await drawn()
      await answerAsked()
    } finally {
      isWorking = false
    }
  }
  async function answerAsked() {
    const rest = inStretches()
    while (asked.size > 0 && !isOver) {
      const answer = work()
      const found = new Map<string, V>()
      for (const [id, thing] of asked) {
        asked.delete(id)
        found.set(id, answer(thing))
        const resting = rest()
        if (!resting) continue
        await resting
        break
      }
      // Meanwhile it may have become another question.
      if (work() === answer) answers.value = new Map([...answers.value, ...found])
    }
  }
  return (thing: T): V | undefined => {
    const answer = answers.value.get(thing.id)
    if (answer === undefined && !asked.has(thing.id)) {
      asked.set(thing.id, thing)
      if (!isWorking) void answerAll()
    }
    return answer
  }
}
