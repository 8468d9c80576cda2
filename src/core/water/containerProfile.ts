import { shapeHeight, volumeBelow, type Container, type SubsoilTexture } from '../geometry'
import type { Centimetres, Fraction, Litres } from '../units'
import { WATER_LIMITS } from './limits'
import { DRY_END } from './retention'
import { inSlice, meanOf, Sums, type DryWater, type SliceWater, type WaterBalance } from './sums'

/** What fills a stretch of the container's depth: pores, and how they hold water at a tension. */
export interface PorousLayer {
  /** Height of its top above the base, cm. Layers are listed from the bottom up. */
  top: Centimetres
  totalPorosity: Fraction
  waterAt: (tension: Centimetres) => Fraction
  /**
   * Tension from which it takes no more water from a finer layer above, cm; where left out it takes water as that
   * layer does.
   */
  entryTension?: Centimetres
}

export interface ProfileSlice {
  /** Middle of the slice above the base, cm. */
  height: Centimetres
  volume: Litres
  tension: Centimetres
  solids: Fraction
  water: Fraction
  air: Fraction
}

export interface ContainerProfile extends WaterBalance {
  /** From the base up. */
  slices: ProfileSlice[]
  /** One for each layer given that has any thickness, from the base up. */
  layers: WaterBalance[]
  /** Height of full saturation above the base, cm: the reservoir, or zero. */
  saturatedHeight: Centimetres
  /** Tension of the top layer less its height, cm: that of its foot where it stands on the base. */
  baseTension: Centimetres
}

/**
 * Tension at the bottom of a bed open to the ground, cm, once drainage has slowed to almost nothing.
 * Source: common practice, about field capacity of the texture below; wide range (half to double).
 */
export const SUBSOIL_TENSION: Record<SubsoilTexture, Centimetres> = {
  coarse: WATER_LIMITS.subsoilCoarse.value,
  loam: WATER_LIMITS.subsoilLoam.value,
  clay: WATER_LIMITS.subsoilClay.value,
}

/**
 * Tension at the inside of the base, cm; negative under standing water.
 * Source: hydrostatics; beside each limit for soils.
 *
 * @example
 * tensionAtBase({
 *   shape: { kind: 'roundPot', topDiameter: 20, baseDiameter: 20, height: 20 },
 *   headspace: 2,
 *   base: { kind: 'sideHoles', height: 3 },
 * }) // -3
 */
export function tensionAtBase(container: Container): Centimetres {
  if (container.base.kind === 'sideHoles') return -container.base.height
  if (container.base.kind === 'onSoil') return SUBSOIL_TENSION[container.base.texture]
  if (container.base.kind === 'closed') return -shapeHeight(container.shape)
  return 0
}

/**
 * Tensions, cm, to which roots take water with ease and then with effort.
 *
 * In containers 50 and 100 cm (De Boodt & Verdonck 1972, Acta Hort. 26:37-44). A bed open to soil drains beyond 50 cm
 * before anything grows in it, and its roots go on down. There the measure is that of irrigated ground: vegetables are
 * watered at 40 kPa (common practice, tensiometers at 20 to 60); the buffer ends at twice that.
 *
 * @example
 * dryingLimits({ base: { kind: 'drainHoles' } }) // { easy: 50, buffer: 100 }
 */
export const dryingLimits = (container: Container): { easy: Centimetres; buffer: Centimetres } =>
  container.base.kind === 'onSoil'
    ? { easy: WATER_LIMITS.easyInGround.value, buffer: WATER_LIMITS.bufferInGround.value }
    : { easy: WATER_LIMITS.easyInPots.value, buffer: WATER_LIMITS.bufferInPots.value }

/**
 * Tension less height above a layer, cm, from that below it: the same where the layer goes on pulling, that of its
 * entry tension where it is coarser than what lies above.
 */
function baseAbove(base: Centimetres, to: Centimetres, entry?: Centimetres, finer = Infinity) {
  return entry !== undefined && entry < finer ? Math.min(to + base, entry) - to : base
}

/** A layer that drains beyond this gives way to whatever lies on it, cm. */
const COARSE: Centimetres = 12

/**
 * Tension less height, cm, of a mix on layers, from the base up, before it is known: layers count as coarser than the
 * mix where their entry tension is that of coarse sand or less.
 * Errors: none. Source: as `containerProfile`.
 */
export function baseOfMix(
  container: Container,
  layers: readonly { thickness: Centimetres; entryTension: Centimetres }[],
): Centimetres {
  let base = tensionAtBase(container)
  let from = 0
  for (const { thickness, entryTension } of layers) {
    base = baseAbove(base, from + thickness, entryTension, COARSE)
    from += thickness
  }
  return base
}

/**
 * Air and water by depth when free drainage has just ended.
 *
 * At rest the tension at height z is z less the height of the lowest open hole; below the hole all pores are
 * full. The container's own area weighs each depth, so taper counts. Simpson's rule within each slice.
 *
 * A coarse layer below a finer one breaks the pull: a day after watering the finer one stands at the tension from which
 * the coarse one lets next to nothing through (`entryTensionOf`), not at the height of its foot. So layers are given as
 * they stand 24 hours after watering, one mix alone at rest.
 *
 * Returns fractions of the mix volume and litres by slice. Range: tested for 2 to 100 cm of mix.
 * Leaves out: wicking, hysteresis, what drains slowly across such a break for days after; `moving` follows that.
 * Source: Fonteno 1989, Acta Hort. 238:67-74; Bilderback & Fonteno 1987, J. Environ. Hort. 5:180-182;
 * easily available water from 10 to 50 cm, so that pots of any height share one band; `drainedToEasy` and the buffering
 * capacity from the container's own drained state to the limits of `dryingLimits`.
 *
 * @example
 * containerProfile(
 *   {
 *     shape: { kind: 'roundPot', topDiameter: 20, baseDiameter: 20, height: 20 },
 *     headspace: 0,
 *     base: { kind: 'drainHoles' },
 *   },
 *   [{ top: 20, totalPorosity: 0.8, waterAt: () => 0.6 }],
 * ).airFilledPorosity // 0.2
 */
export function containerProfile(
  container: Container,
  layers: PorousLayer[],
  slicesWanted = 120,
): ContainerProfile {
  const mixHeight = shapeHeight(container.shape) - container.headspace
  /** Tension at the foot of a layer, less its height: as if it stood on a base so much lower. */
  let base = tensionAtBase(container)
  const all = new Sums()
  const each: Sums[] = []
  const slices: ProfileSlice[] = []
  let from = 0
  for (const [k, layer] of layers.entries()) {
    const to = Math.min(layer.top, mixHeight)
    if (to <= from) continue
    const count = Math.max(4, Math.round((slicesWanted * (to - from)) / mixHeight))
    const own = new Sums()
    each.push(own)
    sumLayer({ container, layer, from, dz: (to - from) / count, count, base }, [own, all], slices)
    const above = layers[k + 1]
    if (above) base = baseAbove(base, to, layer.entryTension, above.entryTension)
    from = to
  }
  return {
    ...all.balance(),
    slices,
    layers: each.map((sums) => sums.balance()),
    saturatedHeight: Math.min(mixHeight, Math.max(0, -tensionAtBase(container))),
    baseTension: base,
  }
}

/** Tensions, cm, between which water is easily available. Source: De Boodt & Verdonck 1972, Acta Hort. 26:37-44. */
export const EASY_RANGE = { from: 10, to: 50 } as const

/** A layer cut into slices of the same height, cm. */
interface CutLayer {
  container: Container
  layer: PorousLayer
  from: Centimetres
  dz: Centimetres
  count: number
  base: Centimetres
}

/** Adds a layer up slice by slice. */
function sumLayer(
  { container, layer, from, dz, count, base }: CutLayer,
  into: readonly Sums[],
  slices: ProfileSlice[],
) {
  const limits = dryingLimits(container)
  const dry: DryWater = {
    range: [layer.waterAt(EASY_RANGE.from), layer.waterAt(EASY_RANGE.to)],
    easy: layer.waterAt(limits.easy),
    buffer: layer.waterAt(limits.buffer),
    wilting: layer.waterAt(DRY_END.wilting),
  }
  let below = volumeBelow(container.shape, from)
  let foot = layer.waterAt(from + base)
  for (let i = 0; i < count; i++) {
    const z0 = from + i * dz
    const above = volumeBelow(container.shape, z0 + dz)
    const water: SliceWater = {
      foot,
      middle: layer.waterAt(z0 + dz / 2 + base),
      top: layer.waterAt(z0 + dz + base),
    }
    const volume = above - below
    const mean = meanOf(water, (w) => w)
    const slice = inSlice(volume, water, dry)
    slice.pores = volume * layer.totalPorosity
    for (const sums of into) sums.add(slice)
    slices.push({
      height: z0 + dz / 2,
      volume,
      tension: z0 + dz / 2 + base,
      solids: 1 - layer.totalPorosity,
      water: mean,
      air: Math.max(0, layer.totalPorosity - mean),
    })
    below = above
    foot = water.top
  }
}

/**
 * Water that stands below the lowest hole, litres: what fills the gaps there, not the room itself.
 * Errors: none; zero where nothing stands. Source: geometry and the pores of each layer.
 */
export const standingWater = ({ slices, saturatedHeight }: ContainerProfile): Litres =>
  slices.reduce((sum, s) => sum + (s.height < saturatedHeight ? s.volume * s.water : 0), 0)
