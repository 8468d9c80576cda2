import { z } from 'zod/mini'
import { bedSpecSchema, type BedSpec } from './bedFields'
import { id, number } from './basics'
import type { layerSchema, vesselSchema } from './vessel'

export const bedSchema = z.extend(bedSpecSchema, { id, createdAt: z.iso.datetime() })

/** One kind of bed in a job: from the list of beds, or described in the job alone. */
export const jobBedSchema = z.object({
  id,
  /** The bed of the list it follows; null where it stands alone. */
  bedId: z.nullable(id),
  /** As it is, or as it last was where the list no longer has it. */
  spec: bedSpecSchema,
  /** How many of them are filled in this job. */
  count: number,
  /** Topping up: old mix has sunk so far below the fill line, cm; null where it starts empty. */
  sunkBy: z.nullable(number),
  /** What grows in it; null for the crop of the job. */
  cropId: z._default(z.nullable(id), null),
  /** Plants in each of them; null for as many as the job says. */
  plants: z._default(z.nullable(number), null),
})

export { STANDINGS } from './bedFields'
export type { BedSpec }
export { shapeSchema, vesselSchema } from './vessel'
export { VESSEL_KINDS, type VesselKind } from '../vesselKinds'
export type Vessel = z.infer<typeof vesselSchema>
export type Layer = z.infer<typeof layerSchema>
export type Bed = z.infer<typeof bedSchema>
export type JobBed = z.infer<typeof jobBedSchema>
