import { computed, ref, watch, type ComputedRef, type Ref } from 'vue'
import type { Outcome } from '@/core/outcome'
import { problemField, problemText, type Sentence } from '@/text/base/problems.en'
import type { UnitSystem } from '@/text/base/units'

interface Own {
  name: string
  retired: boolean
}

export interface OwnDraft<O extends Own, Row> {
  draft: Ref<O | null>
  /** The whole row it makes, or what is wrong; null while nothing is written. */
  row: ComputedRef<Outcome<Row> | null>
  trouble: ComputedRef<Sentence | null>
  /** The sentence of what is wrong, where it belongs beside one of these fields. */
  beside: (...fields: string[]) => Sentence | null
  /** Hands the draft on as a record, under a name, retired or not; nothing happens where it makes no row. */
  kept: (retired: boolean | undefined, hand: (own: O) => void) => void
}

/**
 * Something of the grower's own being described: a copy that shares nothing with the record until it is kept. Records
 * are plain data. `nameless` is what it is called where no name is given.
 */
export function useOwnDraft<O extends Own, Row>(
  from: () => O | null,
  complete: (own: O) => Outcome<Row>,
  units: () => UnitSystem,
  nameless: string,
): OwnDraft<O, Row> {
  const copyOf = (of: O): O => JSON.parse(JSON.stringify(of)) as O
  const draft = ref(null) as Ref<O | null>
  watch(from, (now) => (draft.value = now && copyOf(now)), { immediate: true })
  const row = computed(() => draft.value && complete(draft.value))
  const wrong = computed(() => (row.value && !row.value.ok ? row.value.problem : null))
  const trouble = computed(() => wrong.value && problemText(wrong.value, units()))
  return {
    draft,
    row,
    trouble,
    beside: (...fields) =>
      wrong.value && fields.includes(problemField(wrong.value) ?? '') ? trouble.value : null,
    kept(retired, hand) {
      const own = draft.value
      if (!own || !row.value?.ok) return
      hand(copyOf({ ...own, name: own.name.trim() || nameless, retired: retired ?? own.retired }))
    },
  }
}
