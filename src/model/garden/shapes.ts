import { z } from 'zod'
import type { Shape } from '@/core/geometry'
import { GARDEN_LIMITS } from './limits'

/** Any real number: whether it makes sense is for the core to say, next to the field it was typed in. */
const number = z.number()

/**
 * Shapes, bases and places of dressings, once for the grower's records and once for the headless door: `object` is
 * `z.object` where unknown fields are let fall, and `z.strictObject` where they are reported.
 */
export function containerSchemas(object: typeof z.object | typeof z.strictObject) {
  const tapered = {
    topLength: number,
    topWidth: number,
    baseLength: number,
    baseWidth: number,
    height: number,
  }
  const bodies = [
    object({ kind: z.literal('roundPot'), topDiameter: number, baseDiameter: number, height: number }),
    object({ kind: z.literal('box'), ...tapered }),
    object({ kind: z.literal('oval'), ...tapered }),
    object({ kind: z.literal('fabricBag'), diameter: number, height: number, bulge: number }),
    object({ kind: z.literal('halfCylinder'), length: number, diameter: number }),
    object({
      kind: z.literal('polygonBed'),
      corners: z.array(object({ x: number, y: number })).max(GARDEN_LIMITS.corners.value),
      height: number,
    }),
  ] as const
  const shape = z.discriminatedUnion('kind', [
    ...bodies,
    object({ kind: z.literal('mounded'), body: z.discriminatedUnion('kind', bodies), moundHeight: number }),
  ])
  const base = z.discriminatedUnion('kind', [
    object({ kind: z.literal('drainHoles') }),
    object({ kind: z.literal('sideHoles'), height: number }),
    object({ kind: z.literal('onSoil'), texture: z.enum(['coarse', 'loam', 'clay']) }),
    object({ kind: z.literal('onPaving') }),
    object({ kind: z.literal('closed') }),
  ])
  return { shape, base }
}

/** The core's shapes and these say the same: a shape added to one only does not compile. */
type Same<A, B> = [A] extends [B] ? ([B] extends [A] ? true : never) : never
type Read = z.infer<ReturnType<typeof containerSchemas>['shape']>
void (true satisfies Same<Shape['kind'], Read['kind']>)

/** Where a dressing goes; `depth` and `from` say which numbers are taken. */
export const dressingPlaceSchemas = (
  object: typeof z.object | typeof z.strictObject,
  { depth, from }: Record<'depth' | 'from', z.ZodNumber> = { depth: number, from: number },
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
