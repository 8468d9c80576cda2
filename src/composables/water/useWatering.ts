import { watering as words } from '@/text/composables/water'
import { StorageSerializers, useSessionStorage, watchDebounced } from '@vueuse/core'
import { computed, shallowRef, toRaw, toValue, watch, type ComputedRef, type MaybeRefOrGetter } from 'vue'
import type { Evaluation, MixInContainer } from '@/core/evaluate'
import type { Outcome } from '@/core/outcome'
import { floorOf, type Watered, type WateringCase, type WatchRequest } from '@/core/watering'
import { compare } from '@/model/mix/compare'
import { mixSources } from '@/model/mix/mixSources'
import {
  caseOf,
  changesFor,
  usualMonth,
  usualPouring,
  type Pouring,
  type WaterChange,
} from '@/model/water/pouring'
import { sourceName } from '@/text/mix/recipes'
import { changeName, type WateredSide } from '@/text/water/watering'
import { waterInWorker } from '@/workers/core.client'
import type { JobInHand } from '../job/useJob'
import { useTask } from '../page/useTask'

/** Waits for the hand to rest before it pours, ms. */
const REST = 250
const MIX = 'mix:'

interface Side {
  title: string
  input: MixInContainer
  of: WateringCase
}

/**
 * Water poured on a job's mix, alone or beside the same with one thing changed or another mix. Runs in the worker as
 * the hand rests: first the mixes themselves, then their ranges.
 */
export function useWatering(inHand: JobInHand, jobId: MaybeRefOrGetter<string>, run = waterInWorker) {
  const poured = usePouring(inHand, toValue(jobId))
  const { beside, offered, asked } = useBeside(inHand, poured)
  return { ...poured.shown, beside, offered, ...useRuns(inHand, asked, run) }
}

/** How water is poured: as usual for the mix, with what the grower has changed. */
function usePouring({ prepared, evaluation }: JobInHand, jobId: string) {
  const kept = useSessionStorage<Partial<Pouring> | null>(`open-bed-water-${jobId}`, null, {
    serializer: StorageSerializers.object,
  })
  const ready = computed(() =>
    prepared.value?.ok && evaluation.value?.ok
      ? { input: toRaw(prepared.value.value.input), evaluation: evaluation.value.value as Evaluation }
      : null,
  )
  const usual = computed<Pouring | null>(
    () =>
      ready.value && {
        litres: usualPouring(ready.value.evaluation, ready.value.input),
        minutes: 2,
        times: 'once',
        days: 3,
        begin: 'thirsty',
        below: 'free',
        rain: 0,
        uses: NaN,
        month: usualMonth(ready.value.evaluation),
      },
  )
  // A number that was left empty comes back from storage as null.
  const pouring = computed<Pouring | null>(() => {
    if (!usual.value) return null
    const all = { ...usual.value, ...kept.value }
    return { ...all, uses: all.uses ?? NaN }
  })
  const change = (part: Partial<Pouring>) => (kept.value = { ...kept.value, ...part })
  return { ready, shown: { pouring, change } }
}
type Poured = ReturnType<typeof usePouring>

/** The mix itself, and what is shown beside it: the same changed, or another in the same place. */
function useBeside(inHand: JobInHand, { ready, shown: { pouring } }: Poured) {
  const { garden, job, units } = inHand
  const beside = shallowRef<string | null>(null)
  const others = computed(() =>
    job.value ? mixSources(garden.records, job.value).filter((s) => s.kind !== 'bench' && !s.problem) : [],
  )
  const offered = computed(() => {
    if (!ready.value || !pouring.value) return []
    const changes = changesFor(ready.value.input, pouring.value)
    return [
      ...changes.map((c) => ({ value: c as string, label: words.thisMix(changeName(c, units.value)) })),
      ...others.value.map((s) => ({ value: MIX + s.id, label: sourceName(s) })),
    ]
  })
  function otherSide(own: NonNullable<typeof ready.value>, poured: Pouring): Side | null {
    const wanted = beside.value
    if (wanted === null || !offered.value.some((o) => o.value === wanted)) return null
    const source = others.value.find((s) => MIX + s.id === wanted)
    if (source) return mixBeside(inHand, source, poured)
    const what = wanted as WaterChange
    const of = caseOf(own.input, own.evaluation, poured, what)
    return { title: capital(changeName(what, units.value)), input: of.input, of }
  }
  const asked = computed<Side[] | null>(() => {
    if (!ready.value || !pouring.value) return null
    const of = caseOf(ready.value.input, ready.value.evaluation, pouring.value)
    const other = otherSide(ready.value, pouring.value)
    return [{ title: other ? words.asItIs : words.thisMix2, input: of.input, of }, ...(other ? [other] : [])]
  })
  return { beside, offered, asked }
}

function mixBeside(
  { garden, job, place }: JobInHand,
  source: ReturnType<typeof mixSources>[number],
  poured: Pouring,
): Side | null {
  if (!job.value) return null
  const rival = { id: source.id, name: '', recipe: source.recipe, corners: [] }
  const [found] = compare(garden.records, job.value, place.value, [rival])
  if (!found?.input || !found.answer.ok) return null
  const of = caseOf(toRaw(found.input), found.answer.value, poured)
  return { title: sourceName(source), input: of.input, of }
}

/** What is asked for, run in the worker: the mixes themselves, then their ranges. */
function useRuns({ tables }: JobInHand, asked: ComputedRef<Side[] | null>, run: typeof waterInWorker) {
  const request = (sides: Side[], draws: number): WatchRequest => ({
    cases: sides.map((s) => s.of),
    draws,
    learning: toRaw(tables.value.learning),
  })
  const best = useTask<Side[], number, Outcome<Watered[]>>((sides, c) => run(request(sides, 0), c))
  const drawn = useTask<Side[], number, Outcome<Watered[]>>((sides, c) => run(request(sides, DRAWS), c))
  watch(asked, (sides) => {
    drawn.cancel()
    if (!sides) best.cancel()
  })
  watchDebounced(asked, (sides) => sides && best.start(sides), { debounce: REST, immediate: true })
  watch(best.answer, (found) => found?.value.ok && drawn.start(found.of))

  /** What was found, with ranges as soon as they are in; the last answer stays while another is worked out. */
  const last = shallowRef<{ of: Side[]; answer: Outcome<Watered[]> } | null>(null)
  watch(best.answer, (found) => found && (last.value = { of: found.of, answer: found.value }))
  return {
    sides: computed<WateredSide[]>(() => {
      if (!last.value?.answer.ok) return []
      const ranged = drawn.answer.value
      const { of, answer } = last.value
      const withRanges = ranged?.of === of && ranged.value.ok ? ranged.value.value : null
      return answer.value.map((watered, i) => ({
        title: of[i]!.title,
        parts: of[i]!.input.parts,
        floor: floorOf(of[i]!.input),
        below: of[i]!.of.below,
        watered: { ...watered, ranges: withRanges?.[i]?.ranges ?? {} },
      }))
    }),
    containers: computed(() => last.value?.of.map((s) => s.input.container) ?? []),
    days: computed(() => last.value?.of[0]?.of.days ?? 1),
    problem: computed(() => (last.value && !last.value.answer.ok ? last.value.answer.problem : null)),
    working: computed(() => best.status.value === 'running'),
    drawing: computed(() => drawn.status.value === 'running'),
    failure: computed(() => best.failure.value ?? drawn.failure.value),
    again: () => best.again(),
  }
}

/** Draws of the mix behind a likely range. */
const DRAWS = 16
const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)
