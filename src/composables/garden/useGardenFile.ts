import { computed } from 'vue'
import { isStale } from '@/model/garden/isStale'
import type { Garden } from '@/model/garden/garden'
import type { FileRead } from '@/storage/importFile'
import type { useGarden } from '@/stores/garden'
import { fileProblemText, type Sentence } from '@/text/base/problems.en'
import { failureText } from '@/text/make/tasks'
import { previewInWorker } from '@/workers/core.client'
import { useTask } from '../page/useTask'

/** A file of a garden: read beside the page, looked at, then brought in as one step. */
export function useGardenFile(garden: ReturnType<typeof useGarden>) {
  let lookedAt: Garden = new Map()
  const reading = useTask<File, number, FileRead>((file, controls) => {
    lookedAt = garden.records
    return previewInWorker(file, lookedAt, controls)
  })
  const read = computed(() => reading.answer.value)
  const preview = computed(() => (read.value?.value.ok ? read.value.value.preview : null))
  const trouble = computed<Sentence | null>(() =>
    reading.failure.value
      ? failureText(reading.failure.value)
      : read.value && !read.value.value.ok
        ? fileProblemText(read.value.value.problem)
        : null,
  )
  return {
    reading,
    read,
    preview,
    trouble,
    /**
     * Brings in what was looked at: answers how many records, null where the garden did not take them, or 'stale'
     * where it has changed since; then it is read again.
     */
    bringIn(): number | null | 'stale' {
      if (!preview.value) return null
      if (isStale(preview.value, lookedAt, garden.records)) {
        reading.again()
        return 'stale'
      }
      const changes = [...preview.value.added, ...preview.value.changed]
      const refusal = garden.run({
        type: 'garden/import',
        changes: changes.map((c) => ({ key: c.key, after: c.after! })),
      })
      if (refusal) return null
      reading.cancel()
      return changes.length
    },
  }
}
