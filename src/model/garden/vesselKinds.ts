import type { Base, Shape } from '@/core/geometry'
import type { WallMaterial } from '@/core/weight/walls'

interface VesselRow {
  /** A usual size of it, cm: one that many growers own. */
  shape: Shape
  /** Lip left free, cm. */
  headspace: number
  base: Base
  /** What its sides usually are of. */
  wall: WallMaterial
  /** Built of boards: the base follows the top. */
  hasStraightSides?: boolean
  /** What growers write for it in a sheet, beside its own name; lower case without spaces. */
  words: readonly string[]
}

const DRAINED: Base = { kind: 'drainHoles' }
const ON_SOIL: Base = { kind: 'onSoil', texture: 'loam' }

/**
 * What growers call what they fill: what is asked about a container, how a form and a sheet read it, and the size it
 * begins with follow from its row. Its names are in `src/text/bed/vessels.ts`. Sizes from memory.
 */
export const VESSELS = {
  roundPot: {
    shape: { kind: 'roundPot', topDiameter: 30, baseDiameter: 22, height: 28 },
    headspace: 3,
    base: DRAINED,
    wall: 'plastic',
    words: ['pot', 'round', 'roundpot', 'tub', 'halfbarrel', 'barrel'],
  },
  box: {
    shape: { kind: 'box', topLength: 80, topWidth: 20, baseLength: 76, baseWidth: 16, height: 18 },
    headspace: 2.5,
    base: DRAINED,
    wall: 'plastic',
    words: ['trough', 'troughorbox', 'windowbox', 'planter'],
  },
  raisedBed: {
    shape: { kind: 'box', topLength: 240, topWidth: 120, baseLength: 240, baseWidth: 120, height: 30 },
    headspace: 4,
    base: ON_SOIL,
    wall: 'timber',
    hasStraightSides: true,
    words: ['bed', 'frame'],
  },
  fabricBag: {
    shape: { kind: 'fabricBag', diameter: 38, height: 32, bulge: 0.03 },
    headspace: 3,
    base: DRAINED,
    wall: 'fabric',
    words: ['bag', 'growbag'],
  },
  oval: {
    shape: { kind: 'oval', topLength: 70, topWidth: 45, baseLength: 60, baseWidth: 36, height: 35 },
    headspace: 3,
    base: DRAINED,
    wall: 'plastic',
    words: ['ovaltub', 'bath', 'ovalplanter'],
  },
  gutter: {
    shape: { kind: 'halfCylinder', length: 100, diameter: 24 },
    headspace: 2,
    base: DRAINED,
    wall: 'plastic',
    words: ['splitbarrel', 'gutterorsplitbarrel'],
  },
  freeBed: {
    shape: {
      kind: 'polygonBed',
      corners: [
        { x: 0, y: 0 },
        { x: 240, y: 0 },
        { x: 240, y: 100 },
        { x: 100, y: 100 },
        { x: 100, y: 240 },
        { x: 0, y: 240 },
      ],
      height: 35,
    },
    headspace: 4,
    base: ON_SOIL,
    wall: 'timber',
    words: ['bedofanyoutline', 'bedsoffreeoutline'],
  },
  heapedBed: {
    shape: {
      kind: 'mounded',
      body: { kind: 'box', topLength: 200, topWidth: 80, baseLength: 200, baseWidth: 80, height: 20 },
      moundHeight: 12,
    },
    headspace: 0,
    base: ON_SOIL,
    wall: 'timber',
    hasStraightSides: true,
    words: ['mound', 'mounded'],
  },
} as const satisfies Record<string, VesselRow>

export type VesselKind = keyof typeof VESSELS
export const VESSEL_KINDS = Object.keys(VESSELS) as [VesselKind, ...VesselKind[]]
/** The row of a kind, with what only some kinds have. */
export const vesselRow = (kind: VesselKind): VesselRow => VESSELS[kind]

/** Small letters alone, and one of a thing for many. */
const squeeze = (text: string) => text.toLowerCase().replace(/[^a-z]/g, '')
const one = (word: string) => word.replace(/es$|s$/, '')
/** The kind that growers mean by a word of a sheet; undefined where it is none. */
export const vesselNamed = (word: string): VesselKind | undefined =>
  [squeeze(word), one(squeeze(word)), squeeze(word).replace(/s$/, '')]
    .map((w) => VESSEL_KINDS.find((k) => squeeze(k) === w || vesselRow(k).words.includes(w)))
    .find((kind) => kind !== undefined)
