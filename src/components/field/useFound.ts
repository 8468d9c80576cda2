import { computed, ref, type ComputedRef, type Ref } from 'vue'
import { search } from '@/text/shelf/search'

/** What can be chosen, with the other words it is found by. */
export interface Option<V> {
  value: V
  label: string
  words?: readonly string[]
}

/** What a select filters by: an option that is found answers to whatever is typed, another to nothing. */
export const FOUND_FIELD = 'answersTo'

/**
 * The options of a select in the order they are found in, the rest after them, so that one chosen earlier keeps its
 * label while another is looked for.
 */
export function useFound<V>(options: () => readonly Option<V>[]): {
  typed: Ref<string>
  shown: ComputedRef<(Option<V> & { answersTo: string })[]>
} {
  const typed = ref('')
  const shown = computed(() => {
    const all = options()
    const found = search(all, typed.value, (o) => ({ name: o.label, words: o.words ?? [] }))
    const isFound = new Set(found)
    return [
      ...found.map((o) => ({ ...o, answersTo: typed.value })),
      ...all.filter((o) => !isFound.has(o)).map((o) => ({ ...o, answersTo: '' })),
    ]
  })
  return { typed, shown }
}
