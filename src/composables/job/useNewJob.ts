import { useRouter, type Router } from 'vue-router'
import { startTiles } from '@/text/components/today'
import { specOf } from '@/model/garden/garden'
import type { Bed, Job, VesselKind } from '@/model/garden/schemas'
import {
  nextYearsJob,
  startingAmount,
  startingBed,
  startingJob,
  startingJobBed,
  startingSpec,
} from '@/model/garden/starting'
import type { GardenDoor } from '../garden/gardenDoor'
import { useGarden } from '@/stores/garden'

export interface NewJobs {
  /** For a new bed of a kind. */
  forKind: (kind: VesselKind) => Promise<void>
  /** A batch of mix, whatever it goes into: judged in a usual pot. */
  batch: () => Promise<void>
  /** For a bed of the list. */
  forBed: (bed: Bed) => Promise<void>
  /** The same once more, for another year. */
  again: (job: Job) => Promise<void>
}

/** Ways to begin a job; each leads to its first station. */
export function useNewJob(
  garden: Pick<GardenDoor, 'run' | 'settings'> & { name: string } = useGarden(),
  router: Pick<Router, 'push'> = useRouter(),
): NewJobs {
  const now = () => new Date().toISOString()
  const open = (job: Job) => router.push({ name: 'job', params: { garden: garden.name, jobId: job.id } })
  async function batch() {
    const { units } = garden.settings
    const pot = startingJobBed(crypto.randomUUID(), startingSpec('roundPot', units), null)
    const name = startTiles.batchOfMix
    const job = {
      ...startingJob(crypto.randomUUID(), now(), [pot], units),
      name,
      amount: startingAmount(units),
    }
    garden.run({ type: 'job/create', job })
    await router.push({ name: 'mix', params: { garden: garden.name, jobId: job.id } })
  }
  async function begin(bed: Bed, isNew: boolean) {
    const fill = startingJobBed(crypto.randomUUID(), specOf(bed), bed.id)
    const job = startingJob(crypto.randomUUID(), now(), [fill], garden.settings.units)
    garden.run({ type: 'job/create', job, beds: isNew ? [bed] : undefined })
    await open(job)
  }
  return {
    forKind: (kind) => begin(startingBed(crypto.randomUUID(), now(), kind, garden.settings.units), true),
    batch,
    forBed: (bed) => begin(bed, false),
    async again(job) {
      const next = nextYearsJob(job, crypto.randomUUID(), now())
      garden.run({ type: 'job/create', job: next })
      await open(next)
    },
  }
}
