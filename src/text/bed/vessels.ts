import { BODIES, type Body, type BodyKind, type BodySizes, type SizeRow } from '@/core/geometry/bodies'
import type { BedSpec, VesselKind } from '@/model/garden/schemas'
import type { Outlet } from '@/model/garden/vessel'
import { measureText } from '@/core/mixing/measures'
import { CM_PER_INCH } from '@/core/units'
import { lengthText, type Quantity, type UnitSystem } from '../base/units'

export const VESSEL_NAMES: Record<VesselKind, { one: string; many: string; hint: string }> = {
  roundPot: { one: 'Round pot', many: 'round pots', hint: 'pots, tubs, half-barrels' },
  box: { one: 'Trough or box', many: 'troughs', hint: 'window boxes, planters' },
  raisedBed: { one: 'Raised bed', many: 'raised beds', hint: 'frames on soil or paving' },
  fabricBag: { one: 'Fabric bag', many: 'fabric bags', hint: 'felt and woven bags' },
  oval: { one: 'Oval tub', many: 'oval tubs', hint: 'baths, oval planters' },
  gutter: { one: 'Gutter or split barrel', many: 'gutters', hint: 'half a cylinder, lying' },
  freeBed: { one: 'Bed of any outline', many: 'beds of free outline', hint: 'L, U, hexagon, your own' },
  heapedBed: { one: 'Heaped bed', many: 'heaped beds', hint: 'mounded above its rim' },
}

/** A size as it is sold, in the inches of US shops where it is named by its rim. */
export const tradeSizeName = (name: string, units: UnitSystem): string =>
  units === 'us'
    ? name.replace(
        /(\d+) cm rim/,
        (_, cm: string) => `${measureText(Math.round((Number(cm) / CM_PER_INCH) * 2) * 6)} in rim`,
      )
    : name

type Words = readonly [label: string, hint: string]
type SizeWords = { [K in BodyKind]: Record<Exclude<keyof BodySizes[K], 'corners'>, Words> }

const HEIGHT: Words = ['Height', 'inside, base to rim']
const TAPERED = {
  topLength: ['Length', 'inside, at the top'],
  topWidth: ['Width', 'inside, at the top'],
  baseLength: ['Length at the base', 'the same if it is straight'],
  baseWidth: ['Width at the base', 'the same if it is straight'],
  height: HEIGHT,
} as const satisfies SizeWords['box']
/** What each size of a shape is called, and how it is measured. */
const SIZES: SizeWords = {
  roundPot: {
    topDiameter: ['Width across the top', 'inside'],
    baseDiameter: ['Width across the base', 'inside'],
    height: HEIGHT,
  },
  box: TAPERED,
  oval: TAPERED,
  fabricBag: {
    diameter: ['Width', 'across the rim'],
    height: HEIGHT,
    bulge: ['Bulge', 'wider at half height, by this share'],
  },
  halfCylinder: {
    length: ['Length', 'inside'],
    diameter: ['Width', 'inside; it is half as deep'],
  },
  polygonBed: { height: HEIGHT },
}

/** What a size is called in a sentence; undefined where no shape has one of that key. */
export const sizeName = (key: string): string | undefined =>
  (Object.values(SIZES) as Record<string, Words>[]).find((words) => key in words)?.[key]![0].toLowerCase()
/** Whether a key is a size of some shape, and what it counts. */
export const sizeOf = (key: string): 'length' | 'share' | undefined =>
  Object.values(BODIES)
    .map(({ sizes }) => (sizes as Partial<Record<string, SizeRow>>)[key])
    .find((row) => row !== undefined)?.of

/** A size a shape asks for. */
export interface ShapeField {
  key: string
  label: string
  hint: string
  quantity: Quantity
}

/** The sizes asked for, by shape; with straight sides the base is not asked about. */
export const shapeFields = ({ kind }: Body, straight: boolean): ShapeField[] =>
  Object.entries(BODIES[kind].sizes)
    .filter(
      ([key]) => !(straight && key.startsWith('base') && key.replace('base', 'top') in BODIES[kind].sizes),
    )
    .map(([key, { of }]) => {
      const [label, hint] = (SIZES[kind] as Record<string, Words>)[key]!
      return { key, label, hint, quantity: of === 'share' ? 'percent' : 'length' }
    })

/** The sizes of a vessel in one line: "width across the top 62 cm, height 42 cm"; an outline by its height alone. */
export const sizesText = (body: Body, straight: boolean, units: UnitSystem): string =>
  shapeFields(body, straight)
    .filter(({ quantity }) => quantity === 'length')
    .map(({ key, label }) => {
      const value = (body as unknown as Record<string, number>)[key]!
      return `${label.toLowerCase()} ${lengthText(value, units)}`
    })
    .join(', ')

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

/** What stands under the drawing of a bed: cloth drains everywhere. */
export const baseWords = ({ wall, vessel }: Pick<BedSpec, 'wall' | 'vessel'>): string =>
  wall === 'fabric' && vessel.base.kind === 'drainHoles'
    ? CLOTH_OUTLET.toLowerCase()
    : BASE_WORDS[vessel.base.kind]

/** The same under a drawing. */
const BASE_WORDS = {
  drainHoles: 'holes in the base',
  sideHoles: 'reservoir below the side holes',
  onSoil: 'open to the soil',
  onPaving: 'open, on paving',
  closed: 'no holes',
} as const
