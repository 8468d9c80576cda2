import { dressingIn } from '@/core/data/dressings'
import { materialIn, type Dressing, type Tables } from '@/core/data'
import { pipeOf } from '@/core/fieldTests'
import { preparedMaterial } from '@/core/mixing'
import { dressingIdsOf, unlearned, type MeasuredBatch } from '@/core/ranges'
import { containerOf, jobOf, placeOf, recordOf, type Garden } from '../garden/garden'
import { asDosed } from '../amounts/asDosed'
import type { Job, MixRecord } from '../garden/schemas'
import { tablesOf } from '../garden/tables'
import { prepare } from '../mix/prepare'
import { questionOfJob } from '../mix/questionOfJob'
import type { DoseLine, MixQuestion } from '../mix/question'
import type { GardenReading } from './readings'

/** Depth a material alone is taken to stand at where the test names none, cm. */
const ALONE = 20
const THROUGHOUT = { kind: 'throughout' } as const

/** What went into a recorded mix, grams for each litre of it; what was put into one batch counts for that batch. */
function dosesOf(record: MixRecord, job: Job, batch: number | null, before: string): DoseLine[] {
  const { blendLitres, batchCount } = record
  const perLitre = (grams: number, litres: number) => (litres > 0 ? grams / litres : 0)
  const corrections = record.corrections.filter((c) => c.at < before && (batch === null || c.batch === batch))
  return [
    ...record.limes.map((l) => ({
      dressingId: l.limeId,
      gramsPerLitre: perLitre(l.grams, blendLitres),
      place: THROUGHOUT,
    })),
    ...record.dressings
      .filter((d) => d.place.kind === 'throughout')
      .map((d) => ({
        dressingId: d.dressingId,
        gramsPerLitre: perLitre(d.grams, blendLitres),
        place: THROUGHOUT,
      })),
    ...job.dressings.filter((d) => d.place.kind === 'top'),
    ...corrections.map((c) => ({
      dressingId: c.dressingId,
      // Readings of the whole mix see what each batch got, spread over all of it.
      gramsPerLitre: perLitre(c.grams, batch === null ? blendLitres : blendLitres / Math.max(1, batchCount)),
      place: THROUGHOUT,
    })),
  ]
}

/** A recorded mix as the core is asked about it: what was measured, with what went in before a moment. */
export function questionOfRecord(
  garden: Garden,
  record: MixRecord,
  job: Job,
  { batch = null, before = '9' }: { batch?: number | null; before?: string } = {},
): MixQuestion {
  const asked = questionOfJob(asDosed(garden, job), placeOf(garden), tablesOf(garden))
  const { calcitic, dolomitic } = asked.recipe.lime
  const doses = dosesOf(record, job, batch, before)
  // The two limes of a recipe go in as they did when it was planned: as lime, not among the feeds, whose salts count.
  const isLime = (d: DoseLine) => d.dressingId === calcitic || d.dressingId === dolomitic
  const grams = (of: (d: DoseLine) => boolean) =>
    doses.filter(of).reduce((sum, d) => sum + d.gramsPerLitre, 0)
  const limed = grams(isLime)
  return {
    ...asked,
    bed: { ...asked.bed, container: containerOf(record.vessel) },
    recipe: {
      ...asked.recipe,
      lines: record.measured.map((m) => ({ id: m.materialId, parts: m.litres })),
      lime: {
        ...asked.recipe.lime,
        aim: limed > 0 ? { kind: 'dose', gramsPerLitre: limed } : { kind: 'none' },
        dolomite: {
          kind: 'share',
          share: limed > 0 ? grams((d) => d.dressingId === dolomitic) / limed : 0,
        },
      },
      dressings: doses.filter((d) => !isLime(d)),
    },
  }
}

function inputOf(
  garden: Garden,
  { of, at }: GardenReading,
): { key: string; input: MeasuredBatch['input'] } | null {
  if ('materialId' in of) {
    const material = materialIn(tablesOf(garden), of.materialId)
    if (!material) return null
    const parts = [{ material: preparedMaterial(unlearned(material)), parts: 1 }]
    return {
      key: `material ${of.materialId}`,
      input: { container: pipeOf(ALONE), parts, limes: [], limeGramsPerLitre: 0 },
    }
  }
  const record = recordOf(garden, of.recordId)
  const job = record && jobOf(garden, record.jobId)
  if (!record || !job) return null
  const prepared = prepare(questionOfRecord(garden, record, job, { batch: of.batch, before: at }))
  return prepared.ok ? { key: `record ${record.id}`, input: prepared.value.input } : null
}

/** What the worker learns from: mixes with their readings, and the rows of what was put into them. */
export interface LearnRequest {
  batches: MeasuredBatch[]
  dressings: Dressing[]
}

/**
 * Readings as the core learns from them, those of one mix in one state together. A reading of a mix that is no longer
 * known, or cannot be worked out, is left out. `trusted` are those the grower says are right.
 */
export function learnRequest(
  garden: Garden,
  readings: readonly GardenReading[],
  trusted: readonly string[] = [],
): LearnRequest {
  const batches = new Map<string, MeasuredBatch & { readings: MeasuredBatch['readings'][number][] }>()
  const isTrusted = new Set(trusted)
  for (const reading of readings) {
    const { of, at, id, measurement } = reading
    // What was put in after a reading makes another state of the same mix.
    const record = 'recordId' in of ? recordOf(garden, of.recordId) : undefined
    const added = record?.corrections.filter((c) => c.at < at).length ?? 0
    const state = 'recordId' in of ? `${of.recordId} ${of.batch ?? ''} ${added}` : of.materialId
    let batch = batches.get(state)
    if (!batch) {
      const found = inputOf(garden, reading)
      if (!found) continue
      batches.set(state, (batch = { ...found, readings: [] }))
    }
    batch.readings.push({ id, measurement, trusted: isTrusted.has(id) })
  }
  const list = [...batches.values()]
  const ids = new Set(list.flatMap((b) => dressingIdsOf(b.input)))
  return { batches: list, dressings: [...ids].flatMap((id) => unlearnedDressing(id, tablesOf(garden)) ?? []) }
}

function unlearnedDressing(id: string, tables: Tables): Dressing | undefined {
  const row = dressingIn(tables, id)
  return row && unlearned(row)
}
