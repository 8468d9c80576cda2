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

const lengthsOf = (body: Body) => body as unknown as Record<string, number>
/** Lengths that are alike but for the rounding of a field, as a share. */
const ALIKE = 0.005

/** How much of its top the base of a body is; one for straight sides, NaN where it has no such base. */
function taperOf(body: Body, top: string): number {
  const lengths = lengthsOf(body)
  return lengths[top.replace('top', 'base')]! / lengths[top]!
}

/**
 * A vessel's body with one length changed, cm. The base follows the top while nobody has set it: where sides are
 * straight, and where it tapers as this kind usually does.
 */
export function withLength(vessel: Pick<Vessel, 'kind' | 'shape'>, key: string, value: number): Body {
  const body = bodyOf(vessel)
  const changed = { ...body, [key]: value } as Body
  if (!key.startsWith('top') || body.kind === 'roundPot') return changed
  const base = key.replace('top', 'base')
  const taper = taperOf(body, key)
  const usual = taperOf(bodyOf(startingVessel(vessel.kind)), key)
  const alike = lengthsOf(body)[base] === lengthsOf(body)[key]
  if (hasStraightSides(vessel) || alike) return { ...changed, [base]: value } as Body
  return value > 0 && Math.abs(taper / usual - 1) < ALIKE
    ? ({ ...changed, [base]: value * usual } as Body)
    : changed
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
