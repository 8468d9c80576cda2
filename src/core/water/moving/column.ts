import { areaAt, rimHeight, shapeHeight, volumeBelow, type Container, type Shape } from '../../geometry'
import type { Centimetres, SquareCentimetres } from '../../units'
import { SUBSOIL_TENSION } from '../containerProfile'
import { HydraulicTable, type Hydraulics } from './hydraulics'

/** A stretch of the container's depth and what fills it. */
export interface MovingLayer {
  /** Height of its top above the base, cm. Layers are listed from the bottom up. */
  top: Centimetres
  hydraulics: Hydraulics
}

/** What lies below the holes. */
export type Below =
  /** Water leaves as soon as it stands at the holes, and is gone. */
  | { kind: 'free' }
  /** A saucer: free water beside the foot of the pot, cm2, up to a depth, cm; more runs over. */
  | { kind: 'saucer'; area: SquareCentimetres; depth: Centimetres }
  /** A tray kept filled, or a wick in one: water always stands so high above the base, cm. */
  | { kind: 'keptWater'; height: Centimetres }

/** Stands for a hole through which water leaves as fast as it comes, per cm it stands above it; 1/h. */
export const OPEN_HOLE = 1e4

/**
 * A container as a stack of nodes: one in the middle of each cell, one without volume at each end, between layers and
 * at side holes. A link joins each to the one above and lies in one stuff alone, so that two stuffs meet at a node that
 * has one tension for both. Lengths in cm, areas in cm2, volumes in cm3; index 0 is the base.
 */
export interface Column {
  count: number
  height: Float64Array
  volume: Float64Array
  /** Table of the stuff below and above each node: the same but where two meet. */
  below: Uint8Array
  above: Uint8Array
  tables: HydraulicTable[]
  /** Of the link from a node to the one above it. */
  linkLength: Float64Array
  linkArea: Float64Array
  /** Nodes with a volume, from the base up: the cells; and how high each is. */
  cells: Int32Array
  cellHeight: Float64Array
  /** Layer each cell lies in. */
  cellLayer: Uint8Array
  /** Node water leaves by: the base, or one at side holes. */
  outlet: number
  /** Tension at the outlet from which water leaves there, cm; Infinity where none does. */
  outletTension: number
  surfaceArea: SquareCentimetres
  /** Lip above the mix, cm. */
  headspace: Centimetres
}

/**
 * A heap as a bed with its mound levelled out: moving water is followed in depth alone.
 * Errors: none. Source: our assumption.
 */
const levelled = (shape: Shape, rim: number): { area: (z: number) => number; top: number } =>
  shape.kind === 'mounded'
    ? {
        area: (z) => areaAt(shape.body, Math.min(z, rim)),
        // Litres of the mound as cm3, over the cm2 it lies on.
        top:
          rim +
          (1000 * (volumeBelow(shape, shapeHeight(shape)) - volumeBelow(shape.body, rim))) /
            areaAt(shape.body, rim),
      }
    : { area: (z) => areaAt(shape, Math.min(z, rim)), top: rim }

/** Tension at which water leaves a container by its outlet, cm. */
function outletOf({ base }: Container): number {
  if (base.kind === 'onSoil') return SUBSOIL_TENSION[base.texture]
  return base.kind === 'closed' ? Infinity : 0
}

/**
 * Lays a container out for moving water, in about `cellsWanted` cells, at least four a layer.
 * Range: containers and layers that `evaluate` takes. Errors: none; the caller has checked both.
 * Source: finite volumes; nodes between layers as in any scheme that keeps the tension continuous.
 */
export function columnOf(container: Container, layers: readonly MovingLayer[], cellsWanted: number): Column {
  const { shape } = container
  const rim = rimHeight(shape)
  const { area, top: whole } = levelled(shape, rim)
  const mixHeight = whole - container.headspace
  const stretch = mixHeight / (shapeHeight(shape) - container.headspace)
  const hole = container.base.kind === 'sideHoles' ? container.base.height : 0

  const nodes: { height: number; volume: number; below: number; above: number; layer: number }[] = []
  const lengths: number[] = []
  const areas: number[] = []
  let from = 0
  let outlet = 0
  const border = (height: number, below: number, above: number) =>
    nodes.push({ height, volume: 0, below, above, layer: -1 })
  const link = (a: number, b: number) => {
    lengths.push(b - a)
    areas.push(Math.max(area((a + b) / 2), 1e-6))
  }
  border(0, 0, 0)
  layers.forEach((layer, k) => {
    const to = Math.min(layer.top * stretch, mixHeight)
    if (to - from < 1e-9) return
    const stops = hole > from && hole < to ? [from, hole, to] : [from, to]
    for (let s = 1; s < stops.length; s++) {
      const [low, high] = [stops[s - 1]!, stops[s]!]
      const count = Math.max(4, Math.round((cellsWanted * (high - low)) / mixHeight))
      const dz = (high - low) / count
      for (let i = 0; i < count; i++) {
        const [z0, z1] = [low + i * dz, low + (i + 1) * dz]
        const middle = (z0 + z1) / 2
        link(i === 0 ? z0 : middle - dz, middle)
        const volume = (dz / 6) * (area(z0) + 4 * area(middle) + area(z1))
        nodes.push({ height: middle, volume: Math.max(volume, 1e-6), below: k, above: k, layer: k })
      }
      link(high - dz / 2, high)
      if (high === hole && hole > 0) outlet = nodes.length
      border(high, k, s < stops.length - 1 ? k : Math.min(k + 1, layers.length - 1))
    }
    from = to
  })
  const cells = nodes.flatMap((n, i) => (n.volume > 0 ? [i] : []))
  return {
    count: nodes.length,
    height: Float64Array.from(nodes, (n) => n.height),
    volume: Float64Array.from(nodes, (n) => n.volume),
    below: Uint8Array.from(nodes, (n) => n.below),
    above: Uint8Array.from(nodes, (n) => n.above),
    tables: layers.map((l) => new HydraulicTable(l.hydraulics)),
    linkLength: Float64Array.from(lengths),
    linkArea: Float64Array.from(areas),
    cells: Int32Array.from(cells),
    cellHeight: Float64Array.from(cells, (i) => nodes[i]!.height),
    cellLayer: Uint8Array.from(cells, (i) => nodes[i]!.layer),
    outlet,
    outletTension: outletOf(container),
    surfaceArea: area(mixHeight),
    headspace: container.headspace,
  }
}
