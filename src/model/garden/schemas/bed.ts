import { z } from 'zod'
import { FIRMNESSES } from '@/core/filling/firmness'
import { LAYER_KINDS } from '@/core/filling/layers'
import { WALL_MATERIALS } from '@/core/weight/emptyWeight'
import { GARDEN_LIMITS } from '../limits'
import { containerSchemas } from '../shapes'
import { id, name, number } from './basics'

const { shape, base } = containerSchemas(z.object)
export const shapeSchema = shape

/** What growers call them: what is asked about a container, and how it is drawn, follows from this. */
export const VESSEL_KINDS = [
  'roundPot',
  'box',
  'raisedBed',
  'fabricBag',
  'oval',
  'gutter',
  'freeBed',
  'heapedBed',
] as const

/** What is filled: a shape the core knows, under the name the grower gave it, so many times. */
export const vesselSchema = z.object({
  kind: z.enum(VESSEL_KINDS),
  shape: shapeSchema,
  headspace: number,
  base,
  count: number,
})

export const WALLS = WALL_MATERIALS
export const STANDINGS = [
  'ground',
  'paving',
  'balcony',
  'roof',
  'wall',
  'railing',
  'bracket',
  'hung',
] as const

/** Under the mix: what people usually lay there, or any material of the shelf; cm. */
const layerSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.enum(LAYER_KINDS), thickness: number }),
  z.object({ kind: z.literal('material'), materialId: id, thickness: number }),
])

/** A container or bed with all that is asked about it. */
export const bedSpecSchema = z.object({
  name,
  vessel: vesselSchema,
  /** What its sides are of. */
  wall: z.enum(WALLS),
  /** What it stands on. */
  standing: z.enum(STANDINGS),
  /** Under the mix, from the base up. */
  layers: z.array(layerSchema).max(GARDEN_LIMITS.layers.value),
  /** On the mix; null for nothing. cm. */
  cover: z.object({ materialId: id, thickness: number }).nullable().default(null),
  /** How the mix is put in. */
  firmness: z.enum(FIRMNESSES).default('loose'),
  /** Litres of roots planted with their own soil, in each. */
  rootBalls: number,
  /** Has to be lifted once filled. */
  carried: z.boolean(),
})

export const bedSchema = bedSpecSchema.extend({ id, createdAt: z.iso.datetime() })

/** One kind of bed in a job: from the list of beds, or described in the job alone. */
export const jobBedSchema = z.object({
  id,
  /** The bed of the list it follows; null where it stands alone. */
  bedId: id.nullable(),
  /** As it is, or as it last was where the list no longer has it. */
  spec: bedSpecSchema,
  /** How many of them are filled in this job. */
  count: number,
  /** Topping up: old mix has sunk so far below the fill line, cm; null where it starts empty. */
  sunkBy: number.nullable(),
  /** What grows in it; null for the crop of the job. */
  cropId: id.nullable().default(null),
  /** Plants in each of them; null for as many as the job says. */
  plants: number.nullable().default(null),
})

export type Vessel = z.infer<typeof vesselSchema>
export type VesselKind = Vessel['kind']
export type BedSpec = z.infer<typeof bedSpecSchema>
export type Layer = z.infer<typeof layerSchema>
export type Bed = z.infer<typeof bedSchema>
export type JobBed = z.infer<typeof jobBedSchema>
