import { computed, ref, watch, type Ref } from 'vue'

/** One of a list of cards at a time: it begins where the work is, and moves on only by the grower’s own hand. */
export function useFirstOpen<T>(cards: Ref<readonly T[]>, isDone: (card: T) => boolean) {
  const chosen = ref(0)
  watch(
    () => cards.value.length,
    () => {
      const open = cards.value.findIndex((c) => !isDone(c))
      chosen.value = open === -1 ? 0 : open
    },
    { immediate: true },
  )
  return {
    chosen,
    card: computed<T | undefined>(() => cards.value[Math.min(chosen.value, cards.value.length - 1)]),
    allDone: computed(() => cards.value.length > 0 && cards.value.every(isDone)),
  }
}
