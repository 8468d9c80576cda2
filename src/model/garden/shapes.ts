import { z } from 'zod/mini'
import { BODIES, type BodyKind } from '@/core/geometry/bodies'
import type { Shape } from '@/core/geometry/shape'
import { GARDEN_LIMITS } from './limits'

/** Any real number: whether it makes sense is for the core to say, next to the field it was typed in. */
const number = z.number()
const KINDS = Object.keys(BODIES) as BodyKind[]

/**
 * Shapes, bases and places of dressings, once for the grower's records and once for the headless door: `object` is
 * `z.object` where unknown fields are let fall, and `z.strictObject` where they are reported.
 */
export function containerSchemas(object: typeof z.object | typeof z.strictObject) {
  const corners = z.array(object({ x: number, y: number })).check(z.maxLength(GARDEN_LIMITS.corners.value))
  const bodies = KINDS.map((kind) =>
    object({
      kind: z.literal(kind),
      ...(kind === 'polygonBed' ? { corners } : {}),
      ...Object.fromEntries(Object.keys(BODIES[kind].sizes).map((key) => [key, number])),
    }),
  ) as unknown as [z.core.$ZodTypeDiscriminable, ...z.core.$ZodTypeDiscriminable[]]
  const body = z.discriminatedUnion('kind', bodies)
  const shape = z.discriminatedUnion('kind', [
    ...bodies,
    object({ kind: z.literal('mounded'), body, moundHeight: number }),
  ])
  const base = z.discriminatedUnion('kind', [
    object({ kind: z.literal('drainHoles') }),
    object({ kind: z.literal('sideHoles'), height: number }),
    object({ kind: z.literal('onSoil'), texture: z.enum(['coarse', 'loam', 'clay']) }),
    object({ kind: z.literal('onPaving') }),
    object({ kind: z.literal('closed') }),
  ])
  // One row of the core's table makes both the schema and the type: TypeScript cannot follow it through the loop.
  return { shape: shape as unknown as z.ZodMiniType<Shape, Shape>, base }
}

/** Where a dressing goes; `depth` and `from` say which numbers are taken. */
export const dressingPlaceSchemas = (
  object: typeof z.object | typeof z.strictObject,
  { depth, from }: Record<'depth' | 'from', z.core.$ZodType<number, number>> = {
    depth: number,
    from: number,
  },
) =>
  z.discriminatedUnion('kind', [
    object({ kind: z.literal('throughout') }),
    /** Into the top so many cm at filling. */
    object({ kind: z.literal('top'), depth }),
    /** Into the planting holes at filling; counted over all the mix. */
    object({ kind: z.literal('hole') }),
    /** Not yet: put on so many days after planting. */
    object({ kind: z.literal('heldBack'), from }),
  ])
