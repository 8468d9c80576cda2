import { nextYear as words } from '@/text/composables/season'
import { computed, ref, shallowRef, toRaw } from 'vue'
import { keyOf, type Candidate, type FinderProgress, type Found } from '@/core/finder'
import type { Outcome } from '@/core/outcome'
import { freshenedJob, freshenOffers, freshenRequest, oldMixOf, reuseVerdict } from '@/model/season/nextYear'
import type { FindRequest, FoundMixes } from '@/model/find/findMixes'
import { afterFinding } from '@/model/find/nextMoves'
import { recordOf, shelfItemOf, type Garden } from '@/model/garden/garden'
import type { Job } from '@/model/garden/schemas'
import { shelfItem } from '@/model/garden/shelfEntry'
import { nextYearsJob } from '@/model/garden/starting'
import { recipeOf } from '@/model/mix/versions'
import { failureLine } from '@/text/make/tasks'
import { findInWorker } from '@/workers/core.client'
import type { GardenDoor } from '../garden/gardenDoor'
import type { JobInHand } from '../job/useJob'
import { runOnce } from '../page/useTask'

/** Less than this nobody tops up unless it was measured, cm. Source: our assumption. */
const WORTH_TOPPING = 1
/** Options that are shown. */
const SHOWN = 4

/** What becomes of a mix after its season: used again, freshened for a crop, topped up, or not used at all. */
export function useNextYear<G extends GardenDoor>(
  inHand: Pick<JobInHand<G>, 'garden' | 'job'>,
  find = findInWorker,
) {
  const answers = ref({ diseased: false, weedkiller: false, tainted: false })
  const asked = ref(false)
  const old = useOldMix(inHand)
  return {
    answers,
    asked,
    verdict: computed(() => (asked.value ? reuseVerdict(answers.value) : null)),
    old: old.mix,
    isKept: old.isKept,
    keep: old.keep,
    ...useFreshening(inHand, old, find),
    ...useToppingUp(inHand, old),
  }
}

type Hand<G extends GardenDoor> = Pick<JobInHand<G>, 'garden' | 'job'>

/** The old mix as it is now, and how it goes on the shelf. */
function useOldMix<G extends GardenDoor>({ garden, job }: Hand<G>) {
  const record = computed(() =>
    job.value?.recordId ? recordOf(garden.records, job.value.recordId) : undefined,
  )
  const mix = computed(() =>
    job.value && record.value
      ? oldMixOf(garden.records, job.value, record.value, new Date().toISOString())
      : null,
  )
  const id = computed(() => (mix.value?.ok ? mix.value.value.material.id : null))
  return {
    mix,
    id,
    isKept: computed(() => id.value !== null && garden.records.has(`material/${id.value}`)),
    /** The old mix among the grower's materials, with what is left of it on hand. */
    keep() {
      if (!mix.value?.ok) return
      const { material, litres } = mix.value.value
      garden.run({ type: 'ownMaterial/set', material })
      const before = shelfItemOf(garden.records, material.id)
      const stock = Math.round(litres * 10) / 10
      const item = before ? { ...before, stock } : shelfItem(material.id, { kind: 'own' }, 0, stock)
      garden.run({ type: 'shelf/set', item })
    },
  }
}

/** What to add to the old mix for the next crop, and the job that begins with it. */
function useFreshening<G extends GardenDoor>(
  { garden, job }: Hand<G>,
  old: ReturnType<typeof useOldMix>,
  find: typeof findInWorker,
) {
  const cropId = ref<string | null>(job.value?.cropId ?? null)
  const working = ref(false)
  const trouble = ref('')
  const options = shallowRef<Found[]>([])
  function nextJob(id: string): Job | null {
    const fresh = { id, createdAt: new Date().toISOString(), cropId: cropId.value }
    return job.value && old.id.value ? freshenedJob(toRaw(job.value), old.id.value, fresh) : null
  }
  async function freshen() {
    const next = nextJob('next')
    if (!next || !old.id.value) return
    if (!old.isKept.value) old.keep()
    working.value = true
    trouble.value = ''
    const oldId = old.id.value
    let request: FindRequest | null = null
    const asked = await runOnce<FinderProgress, Outcome<FoundMixes>>(async (controls) => {
      const records: Garden = toRaw(garden.records)
      const wanted = freshenRequest(records, next, oldId)
      request = wanted.ok ? wanted.value : null
      return request && find(request, controls)
    })
    working.value = false
    const found = 'value' in asked && asked.value?.ok ? asked.value.value : null
    options.value = found && request ? freshenOffers(found, request, oldId).slice(0, SHOWN) : []
    if ('failure' in asked) trouble.value = failureLine(asked.failure)
    else if (options.value.length === 0) trouble.value = words.noMixWasFoundWith
  }
  return {
    cropId,
    working,
    trouble,
    freshen,
    options,
    /** Begins next year's job with one of the mixes found and the feed it was found with; answers its id. */
    begin(candidate: Candidate): string | null {
      const id = crypto.randomUUID()
      const next = nextJob(id)
      if (!next) return null
      const look = options.value.find((f) => keyOf(f.candidate) === keyOf(candidate))?.look
      const recipe = recipeOf(afterFinding(next, candidate, look?.feeds))
      garden.run({ type: 'job/create', job: { ...next, ...recipe } })
      return id
    },
  }
}

/** A job that fills the same beds up again. */
function useToppingUp<G extends GardenDoor>({ garden, job }: Hand<G>, old: ReturnType<typeof useOldMix>) {
  /** How far the old mix has sunk, cm, as the page says it: read where that is not too old, else by its course. */
  const sunk = computed(() => {
    if (!old.mix.value?.ok) return null
    const { value, isRead } = old.mix.value.value.sunk
    return isRead || value >= WORTH_TOPPING ? Math.round(value * 10) / 10 : null
  })
  return {
    sunk,
    /** Begins it with the same mix; answers its id. */
    topUp(): string | null {
      if (!job.value || sunk.value === null) return null
      const id = crypto.randomUUID()
      const next = nextYearsJob(toRaw(job.value), id, new Date().toISOString())
      const fills = next.fills.map((f) => ({ ...f, sunkBy: sunk.value }))
      const name = words.toppedUp(job.value.name).slice(0, 120)
      garden.run({ type: 'job/create', job: { ...next, name, fills } })
      return id
    },
  }
}
