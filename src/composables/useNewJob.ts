import { useRouter } from 'vue-router'
import { specOf } from '@/model/garden/garden'
import type { Bed, Job, VesselKind } from '@/model/garden/schemas'
import { nextYearsJob, startingBed, startingJob, startingJobBed } from '@/model/garden/starting'
import { useGarden } from '@/stores/garden'

/** Ways to begin a job; each leads to its first station. */
export function useNewJob() {
  const garden = useGarden()
  const router = useRouter()
  const now = () => new Date().toISOString()
  const open = (job: Job) => router.push({ name: 'job', params: { garden: garden.name, jobId: job.id } })
  async function begin(bed: Bed, isNew: boolean) {
    const fill = startingJobBed(crypto.randomUUID(), specOf(bed), bed.id)
    const job = startingJob(crypto.randomUUID(), now(), [fill])
    garden.run({ type: 'job/create', job, beds: isNew ? [bed] : undefined })
    await open(job)
  }
  return {
    /** For a new bed of a kind. */
    forKind: (kind: VesselKind) => begin(startingBed(crypto.randomUUID(), now(), kind), true),
    /** For a bed of the list. */
    forBed: (bed: Bed) => begin(bed, false),
    /** The same once more, for another year. */
    async again(job: Job) {
      const next = nextYearsJob(job, crypto.randomUUID(), now())
      garden.run({ type: 'job/create', job: next })
      await open(next)
    },
  }
}
