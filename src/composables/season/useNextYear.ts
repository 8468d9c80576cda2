import { nextYear as words } from '@/text/composables/season'
import { computed, ref, toRaw } from 'vue'
import type { Candidate } from '@/core/finder'
import { freshenedJob, freshenRequest, freshest, oldMixOf, reuseVerdict } from '@/model/season/nextYear'
import type { FoundMixes } from '@/model/find/findMixes'
import { afterFinding } from '@/model/find/nextMoves'
import { recordOf, shelfItemOf, type Garden } from '@/model/garden/garden'
import type { Job } from '@/model/garden/schemas'
import { shelfItem } from '@/model/garden/shelfEntry'
import { nextYearsJob } from '@/model/garden/starting'
import { readingsOf } from '@/model/season/readings'
import { seasonLog } from '@/model/season/seasonLog'
import { recipeOf } from '@/model/mix/versions'
import { findInWorker } from '@/workers/core.client'
import type { GardenDoor } from '../garden/gardenDoor'
import type { JobInHand } from '../job/useJob'

/** Options that are shown. */
const SHOWN = 4

/** What becomes of a mix after its season: used again, freshened for a crop, topped up, or not used at all. */
export function useNextYear<G extends GardenDoor>(
  { garden, job }: Pick<JobInHand<G>, 'garden' | 'job'>,
  find = findInWorker,
) {
  const answers = ref({ diseased: false, weedkiller: false, tainted: false })
  const asked = ref(false)
  const cropId = ref<string | null>(job.value?.cropId ?? null)
  const record = computed(() =>
    job.value?.recordId ? recordOf(garden.records, job.value.recordId) : undefined,
  )
  const old = computed(() =>
    job.value && record.value
      ? oldMixOf(garden.records, job.value, record.value, new Date().toISOString())
      : null,
  )
  const verdict = computed(() => (asked.value ? reuseVerdict(answers.value) : null))
  const oldId = computed(() => (old.value?.ok ? old.value.value.material.id : null))
  const isKept = computed(() => oldId.value !== null && garden.records.has(`material/${oldId.value}`))
  const working = ref(false)
  const trouble = ref('')
  const found = ref<FoundMixes | null>(null)
  /** The last sinking that was read, cm. */
  const sunk = computed(() => {
    const log = job.value && seasonLog(garden.records, job.value)
    return log ? (readingsOf('sunk', log).at(-1)?.value ?? null) : null
  })

  /** The old mix among the grower's materials, with what is left of it on hand. */
  function keep() {
    if (!old.value?.ok) return
    const { material, litres } = old.value.value
    garden.run({ type: 'ownMaterial/set', material })
    const before = shelfItemOf(garden.records, material.id)
    const stock = Math.round(litres * 10) / 10
    garden.run({
      type: 'shelf/set',
      item: before ? { ...before, stock } : shelfItem(material.id, { kind: 'own' }, 0, stock),
    })
  }
  const nextJob = (id: string): Job | null =>
    job.value && oldId.value
      ? freshenedJob(toRaw(job.value), oldId.value, {
          id,
          createdAt: new Date().toISOString(),
          cropId: cropId.value,
        })
      : null

  /** Works out what to add to the old mix for the next crop. */
  async function freshen() {
    const next = nextJob('next')
    if (!next || !oldId.value) return
    if (!isKept.value) keep()
    working.value = true
    trouble.value = ''
    try {
      const records: Garden = toRaw(garden.records)
      const request = freshenRequest(records, next, oldId.value)
      const answer = request.ok ? await find(request.value) : null
      found.value = answer?.ok ? answer.value : null
      if (!found.value || found.value.found.length === 0) trouble.value = words.noMixWasFoundWith
    } catch {
      trouble.value = words.whatToAddCouldNot
    } finally {
      working.value = false
    }
  }
  return {
    answers,
    asked,
    cropId,
    old,
    verdict,
    isKept,
    working,
    trouble,
    sunk,
    keep,
    freshen,
    options: computed(() =>
      found.value && oldId.value ? freshest(found.value.found, oldId.value).slice(0, SHOWN) : [],
    ),
    /** Begins next year's job with one of the mixes found; answers its id. */
    begin(candidate: Candidate): string | null {
      const id = crypto.randomUUID()
      const next = nextJob(id)
      if (!next) return null
      garden.run({ type: 'job/create', job: { ...next, ...recipeOf(afterFinding(next, candidate)) } })
      return id
    },
    /** Begins a job that fills the same beds up again with the same mix; answers its id. */
    topUp(): string | null {
      if (!job.value || sunk.value === null) return null
      const id = crypto.randomUUID()
      const next = nextYearsJob(toRaw(job.value), id, new Date().toISOString())
      const fills = next.fills.map((f) => ({ ...f, sunkBy: sunk.value }))
      garden.run({
        type: 'job/create',
        job: { ...next, name: `${job.value.name}, topped up`.slice(0, 120), fills },
      })
      return id
    },
  }
}
