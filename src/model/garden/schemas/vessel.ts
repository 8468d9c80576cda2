import { z } from 'zod/mini'
import { LAYER_KINDS } from '@/core/filling/layerKinds'
import { containerSchemas } from '../shapes'
import { VESSEL_KINDS } from '../vesselKinds'
import { id, number } from './basics'

const { shape, base } = containerSchemas(z.object)
export const shapeSchema = shape

/** What is filled: a shape the core knows, under the name the grower gave it, so many times. */
export const vesselSchema = z.object({
  kind: z.enum(VESSEL_KINDS),
  shape: shapeSchema,
  headspace: number,
  base,
  count: number,
})

/** Under the mix: what people usually lay there, or any material of the shelf; cm. */
export const layerSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.enum(LAYER_KINDS), thickness: number }),
  z.object({ kind: z.literal('material'), materialId: id, thickness: number }),
])
