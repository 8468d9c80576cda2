import { computed, ref, type ComputedRef } from 'vue'
import { countProblem } from '@/core/amounts'
import type { MixNeeded } from '@/core/filling'
import { bedsOf, specOf } from '@/model/garden/garden'
import { mixNeededFor } from '@/model/garden/mixNeededFor'
import type { Bed, BedSpec, JobBed } from '@/model/garden/schemas'
import { startingBed, startingJobBed } from '@/model/garden/starting'
import { bedTitle } from '@/text/base/titles'
import { problemText, type Sentence } from '@/text/base/problems.en'
import type { JobInHand } from './useJob'

export interface JobBeds {
  /** The bed looked at: the one chosen, or the one the mix is judged in. */
  chosen: ComputedRef<JobBed | null>
  choose: (id: string) => void
  /** Each bed with the litres all of it takes; null where that or the number of them is wrong. */
  rows: ComputedRef<{ fill: JobBed; litres: number | null }[]>
  /** Beds that can be counted. */
  counted: ComputedRef<{ name: string; count: number; plan: MixNeeded; isOnSoil: boolean }[]>
  /** Whether all of them can. */
  whole: ComputedRef<boolean>
  /** What is wrong with the number of the chosen one. */
  wrongCount: ComputedRef<Sentence | null>
  /** Beds of the list that are not in the job yet. */
  offered: ComputedRef<Bed[]>
  add: (bed: Bed) => void
  addNew: () => void
  change: (change: Partial<BedSpec>) => void
  set: (change: Partial<Pick<JobBed, 'count' | 'sunkBy' | 'cropId' | 'plants'>>) => void
  keepInList: () => void
  remove: (id: string) => void
}

/** A name that tells a new bed from those there are; empty where its kind alone does. */
function nameBeside(bed: Bed, beds: readonly JobBed[]): string {
  const taken = new Set(beds.map((f) => bedTitle(f.spec)))
  const title = bedTitle(bed)
  if (!taken.has(title)) return ''
  let n = 2
  while (taken.has(`${title} ${n}`)) n++
  return `${title} ${n}`
}

/** A bed that can be counted, with what it takes; nothing for one that cannot be worked out. */
const countedBed = ({ fill, plan }: { fill: JobBed; plan: MixNeeded | null }) =>
  plan
    ? [
        {
          name: bedTitle(fill.spec),
          count: fill.count,
          plan,
          isOnSoil: fill.spec.vessel.base.kind === 'onSoil',
        },
      ]
    : []

/** The beds of a job: which are in it, what they take, and what can be done with them. */
export function useJobBeds({ garden, job, lead, tables, units }: JobInHand): JobBeds {
  const looking = ref<string | null>(null)
  const beds = computed(() => job.value?.fills ?? [])
  const chosen = computed(() => beds.value.find((b) => b.id === looking.value) ?? lead.value)
  const worked = computed(() =>
    beds.value.map((fill) => {
      const needed = mixNeededFor(fill, tables.value)
      return { fill, plan: needed.ok && !countProblem(fill.count) ? needed.value : null }
    }),
  )
  const counted = computed(() => worked.value.flatMap(countedBed))
  const jobId = () => job.value!.id
  const ofChosen = <T>(act: (bed: JobBed) => T) => chosen.value && act(chosen.value)

  function addToJob(bed: Bed, isNew: boolean) {
    const fill = startingJobBed(crypto.randomUUID(), specOf(bed), bed.id)
    garden.run({ type: 'jobBed/add', jobId: jobId(), fill, bed: isNew ? bed : undefined })
    looking.value = fill.id
  }
  return {
    chosen,
    choose: (id) => (looking.value = id),
    rows: computed(() =>
      worked.value.map(({ fill, plan }) => ({ fill, litres: plan && plan.net * fill.count })),
    ),
    counted,
    whole: computed(() => counted.value.length === beds.value.length),
    wrongCount: computed(() => {
      const wrong = countProblem(chosen.value?.count ?? 1)
      return wrong && problemText(wrong, units.value)
    }),
    offered: computed(() => {
      const taken = new Set(beds.value.map((b) => b.bedId))
      return bedsOf(garden.records).filter((b) => !taken.has(b.id))
    }),
    add: (bed) => addToJob(bed, false),
    addNew() {
      const kind = chosen.value?.spec.vessel.kind ?? 'roundPot'
      const bed = startingBed(crypto.randomUUID(), new Date().toISOString(), kind, units.value)
      addToJob({ ...bed, name: nameBeside(bed, beds.value) }, true)
    },
    change: (change) =>
      ofChosen(({ id }) => garden.run({ type: 'jobBed/spec', jobId: jobId(), fillId: id, change })),
    set: (change) =>
      ofChosen(({ id }) => garden.run({ type: 'jobBed/change', jobId: jobId(), fillId: id, change })),
    keepInList: () =>
      ofChosen(({ id }) => {
        const fresh = { bedId: crypto.randomUUID(), createdAt: new Date().toISOString() }
        garden.run({ type: 'jobBed/list', jobId: jobId(), fillId: id, ...fresh })
      }),
    remove: (id) => garden.run({ type: 'jobBed/remove', jobId: jobId(), fillId: id }),
  }
}
