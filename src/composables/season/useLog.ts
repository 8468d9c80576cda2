import { common } from '@/text/base/common'
import { log as says } from '@/text/composables/season'
import { computed, ref, toRaw, watchEffect } from 'vue'
import { entriesOf, recordOf, testsOf } from '@/model/garden/garden'
import type { Entry, EntryKind } from '@/model/garden/schemas'
import { drawn, inStretches } from '@/model/stretches'
import { dayOf, expectedOn } from '@/model/season/log'
import { entryProblem } from '@/model/season/entryProblem'
import { isDay, isoDay } from '@/text/base/dates'
import { bedTitle } from '@/text/base/titles'
import { entryFindable, entryProblemText, seasonSoFar } from '@/text/season/log'
import type { GardenDoor } from '../garden/gardenDoor'
import type { JobInHand } from '../job/useJob'

/** A line being written: new, or one of the log being changed. Numbers are NaN while nobody typed any. */
export interface EntryDraft {
  /** Of the line that is changed; null for a new one. */
  of: Entry | null
  kind: EntryKind
  day: string
  value: number
  count: number
  note: string
}

const known = (x: number) => (Number.isNaN(x) ? null : x)

type Hand<G extends GardenDoor> = JobInHand<G>

/** The log of a job: what is written, what there is, and what was expected beside it. */
export function useLog<G extends GardenDoor>(inHand: Hand<G>) {
  const found = useLines(inHand)
  const { garden, job, units } = inHand
  const { add, expectedAt, noted, takeBack } = useNoting(inHand, found)
  return {
    ...found,
    ...useDraft(inHand, { add, expectedAt, all: found.all }),
    ...useLogSearch(inHand, found),
    noted,
    takeBack,
    soFar: computed(() => seasonSoFar(found.all.value, units.value)),
    tests: computed(() => testsOf(garden.records).filter((t) => t.jobId === job.value?.id)),
    watered: () => add({ kind: 'watered', value: null, count: null, note: '' }, new Date().toISOString()),
    /** Lines read from a sheet, each with what was expected on its day. */
    take: (entries: Entry[]) =>
      garden.run({
        type: 'entries/put',
        entries: entries.map((e) => ({ ...e, expected: expectedAt(e.kind, e.at) })),
        what: says.linesOfTheLog(entries.length),
      }),
  }
}

/** The lines there are, and the beds they are about. */
function useLines<G extends GardenDoor>({ garden, job }: Hand<G>) {
  const bedOptions = computed(() =>
    (job.value?.fills ?? []).map((f) => ({ value: f.id, label: bedTitle(f.spec) })),
  )
  return {
    /** Beds that what is written is about; none for all of them. */
    beds: ref<string[]>([]),
    bedOptions,
    bedName: (fillId: string | null) =>
      bedOptions.value.find((b) => b.value === fillId)?.label ?? common.allBeds,
    record: computed(() => (job.value?.recordId ? recordOf(garden.records, job.value.recordId) : undefined)),
    all: computed(() => (job.value ? entriesOf(garden.records, job.value.id) : [])),
  }
}
type Lines = ReturnType<typeof useLines>

/** How a line goes into the log, with what was expected on its day. */
function useNoting<G extends GardenDoor>({ garden, job, evaluation }: Hand<G>, { beds, record }: Lines) {
  const expectedAt = (kind: EntryKind, at: string) =>
    evaluation.value?.ok && job.value
      ? expectedOn(evaluation.value.value, kind, dayOf(job.value, record.value, at))
      : null
  /** What was noted last on this page. */
  const noted = ref<{ ids: string[]; kind: EntryKind } | null>(null)
  function add(of: Pick<Entry, 'kind' | 'value' | 'count' | 'note'>, at: string) {
    const jobId = job.value!.id
    const expected = expectedAt(of.kind, at)
    const about = beds.value.length === 0 ? [null] : beds.value
    const entries = about.map((fillId) => ({
      id: crypto.randomUUID(),
      jobId,
      fillId,
      at,
      ...of,
      expected,
    }))
    garden.run({ type: 'entries/put', entries, what: says.aLineOfTheLog })
    noted.value = { ids: entries.map((e) => e.id), kind: of.kind }
  }
  /** Takes back what was noted last, wherever the history has gone since. */
  function takeBack() {
    for (const entryId of noted.value?.ids ?? []) garden.run({ type: 'entry/remove', entryId })
    noted.value = null
  }
  return { add, expectedAt, noted, takeBack }
}

const MINUTE = 60_000
/** A day as a moment: now for today; for another noon, and a minute later for each line there is of it. */
function momentOf(day: string, lines: readonly Entry[]): string {
  if (day === isoDay(new Date())) return new Date().toISOString()
  const there = lines.filter((e) => isoDay(new Date(e.at)) === day).length
  return new Date(new Date(`${day}T12:00`).getTime() + there * MINUTE).toISOString()
}
const draftOf = (of: Entry): EntryDraft => ({
  of,
  kind: of.kind,
  day: isoDay(new Date(of.at)),
  value: of.value ?? NaN,
  count: of.count ?? NaN,
  note: of.note,
})

/** A line being written or changed. */
function useDraft<G extends GardenDoor>(
  { garden }: Hand<G>,
  { add, expectedAt, all }: Pick<ReturnType<typeof useNoting>, 'add' | 'expectedAt'> & Pick<Lines, 'all'>,
) {
  const draft = ref<EntryDraft | null>(null)
  const written = computed(() => {
    const d = draft.value
    return d && { kind: d.kind, note: d.note.trim(), value: known(d.value), count: known(d.count) }
  })
  const problem = computed(() => {
    const found = written.value && entryProblem(written.value)
    return found && entryProblemText(found)
  })
  return {
    draft,
    problem,
    dayProblem: computed(() =>
      draft.value && !isDay(draft.value.day) ? { why: says.thisIsNotADay, fix: says.typeAYearOfFour } : null,
    ),
    begin: (kind: EntryKind) =>
      (draft.value = { of: null, kind, day: isoDay(new Date()), value: NaN, count: NaN, note: '' }),
    change: (of: Entry) => (draft.value = draftOf(of)),
    keep() {
      const d = draft.value
      if (!d || !written.value || problem.value || !isDay(d.day)) return
      if (d.of) {
        const at = isoDay(new Date(d.of.at)) === d.day ? d.of.at : momentOf(d.day, all.value)
        const expected = at === d.of.at ? d.of.expected : expectedAt(d.kind, at)
        const entry = { ...toRaw(d.of), ...written.value, at, expected }
        garden.run({ type: 'entries/put', entries: [entry], what: says.changingALineOfThe })
      } else add(written.value, momentOf(d.day, all.value))
      draft.value = null
    },
    /** Takes away the line that is being changed. */
    removeDraft() {
      if (draft.value?.of) garden.run({ type: 'entry/remove', entryId: draft.value.of.id })
      draft.value = null
    },
  }
}

/** The lines that are shown: those of the chosen beds, by what is searched for. */
function useLogSearch<G extends GardenDoor>({ units }: Hand<G>, { all, beds, bedName, bedOptions }: Lines) {
  const search = ref('')
  // Words to search by are put together a few at a time, before anybody searches.
  watchEffect(async (onCleanup) => {
    const [list, system] = [all.value, units.value]
    let wanted = true
    onCleanup(() => (wanted = false))
    await drawn()
    const rest = inStretches()
    for (const e of list) {
      if (!wanted) return
      entryFindable(e, system)
      await rest()
    }
  })
  const isOf = (e: Entry) => beds.value.length === 0 || e.fillId === null || beds.value.includes(e.fillId)
  const says = (e: Entry, wanted: string) =>
    entryFindable(e, units.value).includes(wanted) ||
    (bedOptions.value.length > 1 && bedName(e.fillId).toLowerCase().includes(wanted))
  return {
    search,
    shown: computed(() => {
      const wanted = search.value.trim().toLowerCase()
      return all.value.filter((e) => isOf(e) && (wanted === '' || says(e, wanted)))
    }),
  }
}
