import type { Body, Outlet } from '@/model/garden/vessel'
import type { Quantity } from './units'

/** A length a shape asks for. */
export interface ShapeField {
  key: string
  label: string
  hint: string
  quantity: Quantity
}
const field = (key: string, label: string, hint: string, quantity: Quantity = 'length'): ShapeField => ({
  key,
  label,
  hint,
  quantity,
})
const HEIGHT = field('height', 'Height', 'inside, base to rim')
const TOP = [
  field('topLength', 'Length', 'inside, at the top'),
  field('topWidth', 'Width', 'inside, at the top'),
]
const BASE = [
  field('baseLength', 'Length at the base', 'the same if it is straight'),
  field('baseWidth', 'Width at the base', 'the same if it is straight'),
]
const FIELDS: Record<Body['kind'], ShapeField[]> = {
  roundPot: [
    field('topDiameter', 'Width across the top', 'inside'),
    field('baseDiameter', 'Width across the base', 'inside'),
    HEIGHT,
  ],
  box: [...TOP, ...BASE, HEIGHT],
  oval: [...TOP, ...BASE, HEIGHT],
  fabricBag: [
    field('diameter', 'Width', 'across the rim'),
    HEIGHT,
    field('bulge', 'Bulge', 'wider at half height, by this share', 'percent'),
  ],
  halfCylinder: [
    field('length', 'Length', 'inside'),
    field('diameter', 'Width', 'inside; it is half as deep'),
  ],
  polygonBed: [HEIGHT],
}

/** The lengths asked for, by shape; with straight sides the base is not asked about. */
export const shapeFields = ({ kind }: Body, straight: boolean): ShapeField[] =>
  FIELDS[kind].filter((f) => !(straight && BASE.includes(f)))

/** Where water leaves, in words. */
export const OUTLET_NAMES: Record<Outlet, string> = {
  drainHoles: 'Holes in the base',
  sideHoles: 'Holes up the side (reservoir)',
  closed: 'No holes at all',
  onPaving: 'Open below, on paving',
  coarse: 'Open to gravelly or sandy soil',
  loam: 'Open to loam',
  clay: 'Open to clay',
}
export const CLOTH_OUTLET = 'Drains through the cloth'

/** The same under a drawing. */
export const BASE_WORDS = {
  drainHoles: 'holes in the base',
  sideHoles: 'reservoir below the side holes',
  onSoil: 'open to the soil',
  onPaving: 'open, on paving',
  closed: 'no holes',
} as const
