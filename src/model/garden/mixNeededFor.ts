import { materialIn } from '@/core/data/materials'
import type { Tables } from '@/core/data'
import { pressedLoss } from '@/core/filling/firmness'
import { natureOfMaterial, type FillerLayer } from '@/core/filling/layers'
import { mixNeeded, type MixNeeded } from '@/core/filling/mixNeeded'
import type { Outcome } from '@/core/outcome'
import { containerOf } from './garden'
import type { BedSpec, JobBed, Layer } from './schemas'

/** A layer as far as volumes go; one of a material that is no more counts as solid. */
function fillerOf(layer: Layer, tables: Tables): FillerLayer {
  const { kind, thickness } = layer
  const row = kind === 'material' ? materialIn(tables, layer.materialId) : undefined
  return { kind, thickness, nature: row && natureOfMaterial(row) }
}

function workedOut({ spec, sunkBy }: Pick<JobBed, 'spec' | 'sunkBy'>, tables: Tables): Outcome<MixNeeded> {
  const { layers, rootBalls, firmness, cover } = spec
  return mixNeeded({
    container: containerOf(spec.vessel),
    layers: layers.map((layer) => fillerOf(layer, tables)),
    rootBalls,
    sunkBy,
    pressed: pressedLoss(firmness),
    cover: cover?.thickness,
  })
}

/** By bed and by how far it sank: a bed that changes is another bed, and one that does not is asked about often. */
const KNOWN = new WeakMap<BedSpec, Map<number | null, Outcome<MixNeeded>>>()

/** What one container of a job's bed takes. Errors: those of `mixNeeded`. The bed must not be changed in place. */
export function mixNeededFor(
  { spec, sunkBy }: Pick<JobBed, 'spec' | 'sunkBy'>,
  tables: Tables,
): Outcome<MixNeeded> {
  // A material of one's own may change under the bed that has it.
  if (spec.layers.some((l) => l.kind === 'material')) return workedOut({ spec, sunkBy }, tables)
  const bySinking = KNOWN.get(spec) ?? new Map<number | null, Outcome<MixNeeded>>()
  KNOWN.set(spec, bySinking)
  const known = bySinking.get(sunkBy)
  if (known) return known
  const needed = workedOut({ spec, sunkBy }, tables)
  bySinking.set(sunkBy, needed)
  return needed
}
