import { areaAt, shapeHeight } from '../geometry'
import { crowding, LOST_BY, type PreparedMaterial } from '../mixing'
import { lostStructure } from '../structure'
import { DRY_END, dryingLimits, retained, tensionAtBase } from '../water'
import { gaussLegendre } from './gauss'
import type { FinderProblem } from './problem'

/** Depths at which water is computed above the saturated base. */
export const NODES = 12
const CLASSES = 8

/** What is linear in the shares to the end comes first, what packing and drying ask for next, water by depth last. */
const PACKED = 7
/**
 * Places of the sums in a row of features. A row is summed as far as it is needed: up to `crowding` for what the shares
 * alone decide, up to `water` for what packing decides, whole for air and water by depth.
 */
export const AT = {
  buffer: 0,
  bufferedPH: 1,
  salts: 2,
  porosity: 3,
  lost: 4,
  cost: 5,
  density: 6,
  /** Eight: how crowded each size class finds it. */
  crowding: PACKED,
  easy: PACKED + CLASSES,
  /** Water where the pores lost on stirring, and on firming, have emptied. */
  fine: PACKED + CLASSES + 1,
  narrow: PACKED + CLASSES + 2,
  /** Twelve: water at each depth. */
  water: PACKED + CLASSES + 3,
} as const
export const WIDTH = AT.water + NODES

/** Everything of a container and a shelf that is linear in the loose shares, laid out flat. */
export interface Features {
  count: number
  /** One row of WIDTH for each material. */
  rows: Float64Array
  /** Which size classes a material has, a bit for each. */
  classes: Uint8Array
  density: Float64Array
  compressibility: Float64Array
  /** Share of the mix volume at each depth, the saturated foot left out. */
  depthWeights: Float64Array
  /** Share of the mix volume below the lowest hole, always full. */
  foot: number
  /** Open to the ground, where the water judged is that above the wilting point. */
  inGround: boolean
}

/**
 * Rows of features for the materials of a problem. Water is computed at twelve Gauss points of height above the
 * saturated foot, each weighted with the container's own area there; that stays within half a point of
 * `containerProfile`. Fractions, kg/L, mmol_c, money per loose litre (NaN where unknown).
 * Range: containers that can be filled. Errors: none; the caller has checked the container.
 */
export function featuresOf(
  problem: FinderProblem,
  materials: readonly PreparedMaterial[],
  prices: readonly (number | null)[],
): Features {
  const { container } = problem
  const floor = problem.floor ?? 0
  const top = shapeHeight(container.shape) - container.headspace
  const base = problem.base ?? tensionAtBase(container)
  const start = Math.min(top, Math.max(floor, -base))
  const { nodes, weights } = gaussLegendre(NODES)
  const heights = nodes.map((t) => start + t * (top - start))
  const above = weights.map((w, k) => w * (top - start) * areaAt(container.shape, heights[k]!))
  const below = weights.reduce(
    (sum, w, k) => sum + w * (start - floor) * areaAt(container.shape, floor + nodes[k]! * (start - floor)),
    0,
  )
  const volume = above.reduce((s, v) => s + v, 0) + below
  const easy = container.base.kind === 'onSoil' ? DRY_END.wilting : dryingLimits(container).easy
  const rows = new Float64Array(materials.length * WIDTH)
  const classes = new Uint8Array(materials.length)
  materials.forEach(({ material, retention, beta }, i) => {
    const p = material.properties
    const row = rows.subarray(i * WIDTH, (i + 1) * WIDTH)
    row.set(crowding(material.sizeShares, p.looseEnvelopeFraction.value, beta), AT.crowding)
    heights.forEach((z, k) => (row[AT.water + k] = retained(retention, z + base)))
    row[AT.easy] = retained(retention, easy)
    row[AT.porosity] = p.totalPorosity.value
    row[AT.density] = p.dryBulkDensity.value
    row[AT.buffer] = p.bufferCapacity.value
    row[AT.bufferedPH] = p.bufferCapacity.value * p.pH.value
    row[AT.salts] = p.totalPorosity.value * p.electricalConductivity.value
    row[AT.cost] = prices[i] ?? NaN
    row[AT.fine] = retained(retention, LOST_BY.stirring)
    row[AT.narrow] = retained(retention, LOST_BY.pressing)
    row[AT.lost] = lostStructure(material, 2, problem.temperature ?? 15)
    material.sizeShares.forEach((share, k) => {
      if (share > 0) classes[i]! |= 1 << k
    })
  })
  return {
    count: materials.length,
    rows,
    classes,
    density: Float64Array.from(materials, (m) => m.material.properties.dryBulkDensity.value),
    compressibility: Float64Array.from(materials, (m) => m.material.properties.compressibility.value),
    depthWeights: Float64Array.from(above, (v) => v / volume),
    foot: below / volume,
    inGround: container.base.kind === 'onSoil',
  }
}
