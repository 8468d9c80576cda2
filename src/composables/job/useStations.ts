import { toValue, type MaybeRefOrGetter } from 'vue'
import { useRoute, useRouter, type RouteLocationRaw } from 'vue-router'

/** Ways between the pages of a job. */
export function useStations(jobId: MaybeRefOrGetter<string>) {
  const router = useRouter()
  const route = useRoute()
  const to = (name: string, id = toValue(jobId)): RouteLocationRaw => ({
    name,
    params: { garden: route.params.garden, jobId: id },
  })
  return {
    /** Where a page of the job is, by the name of its route. */
    to,
    go: (name: string, id?: string) => router.push(to(name, id)),
  }
}
