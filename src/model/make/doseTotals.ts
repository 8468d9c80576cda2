import { volumeBetween } from '@/core/geometry'
import type { MixNeeded } from '@/core/filling'
import { dressingIn } from '@/core/data/dressings'
import { mixNeededFor } from '@/model/garden/mixNeededFor'
import { dosesIn, blendedDoses, litresOf } from './blendedDoses'
import { bedsOfLine } from '@/model/garden/pile'
import { limeIn, type Tables } from '@/core/data'
import type { Quantities } from './quantities'
import type { DressingPlace, Job, DressingLine, JobBed } from '@/model/garden/schemas'
export interface DoseTotal {
  id: string
  name: string
  bulkDensity: number
  grams: number
  place: DressingPlace
  isLime: boolean
}
/** Grams of each lime and dressing over the whole job, wherever they go. */
export function doseTotals(job: Job, quantities: Quantities): DoseTotal[] {
  const { tables } = quantities
  const stirredIn = [
    ...quantities.first.flatMap(({ mix, plan }) => dosesIn(mix, plan.blendLitres, tables)),
    ...blendedDoses(job, quantities),
  ]
  const blended = new Map<string, DoseTotal>()
  for (const dose of stirredIn) {
    const { dressingId: id, name, bulkDensity, gramsPerLitre } = dose
    const grams = gramsPerLitre * litresOf(dose) + (blended.get(id)?.grams ?? 0)
    const place = { kind: 'throughout' } as const
    blended.set(id, { id, name, bulkDensity, grams, place, isLime: limeIn(tables, id) !== undefined })
  }
  const later = job.dressings.flatMap((line): DoseTotal[] => {
    const dressing = dressingIn(tables, line.dressingId)
    if (!dressing || line.place.kind === 'throughout' || !(line.gramsPerLitre > 0)) return []
    const grams = dosesToEach(job, line, tables).reduce((sum, d) => sum + d.grams * d.fill.count, 0)
    const { id, name } = dressing
    return [
      {
        id,
        name,
        bulkDensity: dressing.bulkDensity.value,
        grams: grams * line.share,
        place: line.place,
        isLime: limeIn(tables, id) !== undefined,
      },
    ]
  })
  return [...blended.values(), ...later]
}

/**
 * Grams of a line that goes on top, into the hole or on later, for one container of each bed that can be worked out.
 */
export const dosesToEach = (
  job: Pick<Job, 'fills'>,
  line: DressingLine,
  tables: Tables,
): { fill: JobBed; grams: number }[] =>
  bedsOfLine(job, line).flatMap((fill) => {
    const needed = mixNeededFor(fill, tables)
    return needed.ok ? [{ fill, grams: dosePerContainer(line, fill, needed.value) }] : []
  })

/** Grams of a dressing that goes on top or is held back, for one container. */
export function dosePerContainer(line: DressingLine, fill: JobBed, needed: MixNeeded): number {
  const { place, gramsPerLitre } = line
  if (place.kind === 'throughout') return 0
  const { shape } = fill.spec.vessel
  const from = place.kind === 'top' ? Math.max(needed.floor, needed.mixHeight - place.depth) : needed.floor
  return gramsPerLitre * volumeBetween(shape, from, needed.mixHeight) * needed.closeness
}
