import { bodyOf as sidesOf, type Body } from '@/core/geometry'
import { TRADE_SIZES } from '@/core/filling/tradeSizes'
import type { BedSpec, Vessel, Settings } from './schemas'
import { startingVessel } from './startingVessel'
import { vesselRow, type VesselKind } from './vesselKinds'

/** The shape that has the sides: of a heaped bed the one under its mound. */
export const bodyOf = ({ shape }: Pick<Vessel, 'shape'>): Body => sidesOf(shape)

/** The same vessel with another body. */
export const withBody = (vessel: Vessel, body: Body): Vessel => ({
  ...vessel,
  shape: vessel.shape.kind === 'mounded' ? { ...vessel.shape, body } : body,
})

/** Beds built of boards have straight sides: the base follows the top. */
export const hasStraightSides = ({ kind }: Pick<Vessel, 'kind'>): boolean =>
  vesselRow(kind).hasStraightSides ?? false

/** The same body with one length changed, cm. While sides are straight the base follows the top. */
export function withLength(body: Body, key: string, value: number, straight: boolean): Body {
  const base = key.startsWith('top') ? key.replace('top', 'base') : null
  const lengths = body as unknown as Record<string, number>
  const follows = base !== null && body.kind !== 'roundPot' && (straight || lengths[key] === lengths[base])
  return { ...body, [key]: value, ...(follows ? { [base]: value } : {}) } as Body
}

/** A bed made another kind: a usual size of it, as many as before, with sides as they usually are. */
export function ofKind(
  { vessel, wall }: BedSpec,
  kind: VesselKind,
  units?: Settings['units'],
): Partial<BedSpec> {
  return {
    vessel: { ...startingVessel(kind, units), count: vessel.count },
    // Only cloth comes and goes with the shape.
    wall: vesselRow(kind).wall === 'fabric' ? 'fabric' : wall === 'fabric' ? 'plastic' : wall,
  }
}

/** Where water leaves, as one choice. */
export const OUTLETS = ['drainHoles', 'sideHoles', 'closed', 'onPaving', 'coarse', 'loam', 'clay'] as const
export type Outlet = (typeof OUTLETS)[number]
export const outletOf = ({ base }: Pick<Vessel, 'base'>): Outlet =>
  base.kind === 'onSoil' ? base.texture : base.kind
export function baseOf(outlet: Outlet): Vessel['base'] {
  if (outlet === 'coarse' || outlet === 'loam' || outlet === 'clay')
    return { kind: 'onSoil', texture: outlet }
  return outlet === 'sideHoles' ? { kind: 'sideHoles', height: 4 } : { kind: outlet }
}

/** The trade size a shape is, by its id; null where it is none. */
export const tradeSizeOf = (shape: Vessel['shape']): string | null =>
  TRADE_SIZES.find((t) => JSON.stringify(t.shape) === JSON.stringify(shape))?.id ?? null

/** Stands where its weight matters to the building. */
export const isAloft = ({ standing }: Pick<BedSpec, 'standing'>): boolean =>
  standing !== 'ground' && standing !== 'paving'

/** Is borne by a hook, a bracket or a rail. */
export const isHung = ({ standing }: Pick<BedSpec, 'standing'>): boolean =>
  standing === 'railing' || standing === 'bracket' || standing === 'hung'
