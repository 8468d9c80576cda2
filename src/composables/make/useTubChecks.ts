import { common } from '@/text/base/common'
import { tubChecks as words } from '@/text/composables/make'
import { computed, toRaw, type ComputedRef } from 'vue'
import type { Correction, Job, Reading } from '@/model/garden/schemas'
import type { MadeMix } from '@/model/make/asMade'
import type { BatchCard } from '@/model/make/batchCard'
import { phCheck, saltCheck } from '@/model/make/tubChecks'
import { phCheckText, readingTitle, saltCheckText, type ReadRow } from '@/text/make/making'
import { problemText } from '@/text/base/problems.en'
import type { GardenDoor } from '../garden/gardenDoor'
import type { JobInHand } from '../job/useJob'

type Keep = (change: Partial<Pick<Job, 'readings' | 'corrections'>>, what: string) => void

/** Readings of the batch at hand, what each asks for, and what was put in because of them. */
export function useTubChecks(
  inHand: JobInHand<GardenDoor>,
  card: ComputedRef<BatchCard | undefined>,
  remade: ComputedRef<ReadonlyMap<number, MadeMix>>,
  keep: Keep,
) {
  const batch = useBatch(inHand, card, remade)
  return {
    rows: useRows(inHand, batch),
    corrections: batch.corrections,
    ...noting(inHand, batch, keep),
  }
}

/** The batch at hand with its readings, and what one of them asks for. */
function useBatch(
  { job, bands, quantities, tables }: JobInHand<GardenDoor>,
  card: ComputedRef<BatchCard | undefined>,
  remade: ComputedRef<ReadonlyMap<number, MadeMix>>,
) {
  const index = computed(() => (card.value && !card.value.mix ? card.value.index : null))
  const readings = computed(() => (job.value?.readings ?? []).filter((r) => r.batch === index.value))
  const corrections = computed(() => (job.value?.corrections ?? []).filter((c) => c.batch === index.value))
  const evaluation = computed(() => {
    if (index.value === null || !quantities.value?.ok) return null
    return remade.value.get(index.value)?.evaluation ?? quantities.value.value.asMeasured
  })
  /** A reading with those before it since anything was put in: they are of the same mix. */
  const togetherWith = (reading: Reading) => {
    const put = corrections.value.filter((c) => c.at < reading.at).at(-1)?.at ?? ''
    return [...readings.value.filter((r) => r.kind === 'pH' && r.at > put && r.at < reading.at), reading]
  }
  const checkOf = (reading: Reading) =>
    phCheck(
      {
        job: job.value!,
        bands: bands.value,
        evaluation: evaluation.value!,
        blendLitres: card.value!.blendLitres,
        tables: tables.value,
      },
      togetherWith(reading),
      // What was put in before it was read is in what was read.
      corrections.value.filter((c) => c.at < reading.at),
    )
  return { index, readings, corrections, evaluation, checkOf }
}
type Batch = ReturnType<typeof useBatch>

/** Each reading in words, with what it asks for where nothing was done about it yet. */
const useRows = (
  { bands, units }: JobInHand<GardenDoor>,
  { readings, corrections, evaluation, checkOf }: Batch,
) =>
  computed((): ReadRow[] => {
    if (!evaluation.value) return []
    const last = readings.value.findLast((r) => r.kind === 'pH')
    return readings.value.map((reading) => {
      const head = { id: reading.id, title: readingTitle(reading) }
      if (reading.kind === 'salts') {
        const check = saltCheck(bands.value, evaluation.value!, reading.value)
        return { ...head, text: saltCheckText(check), action: '' }
      }
      const check = checkOf(reading)
      if (!check.ok) return { ...head, text: problemText(check.problem, units.value).why, action: '' }
      const said = phCheckText(check.value, reading.value, units.value)
      const isAnswered = reading !== last || corrections.value.some((c) => c.at >= reading.at)
      return { ...head, text: said.text, action: isAnswered ? '' : said.action }
    })
  })

/** Keeps a reading, forgets it, and notes what was put in because of it. */
function noting({ job, bands }: JobInHand<GardenDoor>, batch: Batch, keep: Keep) {
  const { index, readings, evaluation, checkOf } = batch
  /** What the tables lead to expect of a reading; null where that cannot be worked out. */
  function expectedOf(reading: Reading): number | null {
    if (reading.kind === 'salts') return saltCheck(bands.value, evaluation.value!, reading.value).expected
    const check = checkOf(reading)
    return check.ok ? check.value.expected : null
  }
  const now = () => ({ id: crypto.randomUUID(), batch: index.value!, at: new Date().toISOString() })
  return {
    read(kind: Reading['kind'], value: number, day: number) {
      const reading: Reading = { ...now(), day: kind === 'pH' ? day : 0, kind, value, expected: null }
      const all = [...toRaw(job.value!.readings), { ...reading, expected: expectedOf(reading) }]
      keep({ readings: all }, 'reading')
    },
    forget: (id: string) =>
      keep({ readings: toRaw(job.value!.readings).filter((r) => r.id !== id) }, common.forgettingAReading),
    correct(id: string) {
      const reading = readings.value.find((r) => r.id === id)
      const check = reading && checkOf(reading)
      if (!check?.ok || !check.value.add) return
      const { dressingId, grams } = check.value.add
      const correction: Correction = { ...now(), dressingId, grams }
      keep({ corrections: [...toRaw(job.value!.corrections), correction] }, words.whatWasPutInAfter)
    },
  }
}
