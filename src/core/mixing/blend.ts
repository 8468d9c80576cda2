import type { Material, MaterialFamily } from '../data/types'
import { MMOLC_PER_GRAM_CACO3 } from '../chemistry/lime'
import { fail, succeed, type Outcome } from '../outcome'
import type { Centimetres, Fraction } from '../units'
import { DRY_END, dryEndAt, fitRetention, macroporesFullAt, withDryEnd, type Retention } from '../water'
import { compressionLoss, interlockLoss } from './compression'
import { betaOfMaterial, packingLoss } from './packing'

/** A material with the two things worked out from it that every blend needs. */
export interface PreparedMaterial {
  material: Material
  retention: Retention
  /** Packing of one of its size classes alone. */
  beta: Fraction
}

/**
 * Fits the curve and the packing of a material once, for many blends.
 * Units: those of the tables. Errors: none; a row of the tables has been checked.
 *
 * @example
 * prepareMaterial(materialById('peat_medium')).retention.saturated // 0.93
 */
export function prepareMaterial(material: Material): PreparedMaterial {
  const p = material.properties
  return {
    material,
    retention: withDryEnd(
      fitRetention({
        totalPorosity: p.totalPorosity.value,
        waterAt5Cm: p.waterAt5Cm.value,
        waterAt10Cm: p.waterAt10Cm.value,
        waterAt50Cm: p.waterAt50Cm.value,
        waterAt100Cm: p.waterAt100Cm.value,
      }).curve,
      { waterAt1000Cm: p.waterAt1000Cm.value, waterAt15000Cm: p.waterAt15000Cm.value },
    ),
    beta: betaOfMaterial(material.sizeShares, p.looseEnvelopeFraction.value),
  }
}

export interface BlendPart {
  material: PreparedMaterial
  /** Any unit of loose volume; only the ratios count. */
  parts: number
}

export interface Blend {
  /** Loose shares, summing to 1, in the order given (equal materials are gathered). */
  shares: { material: Material; share: Fraction }[]
  /** Lost on blending, as a share of the summed loose volume: fines falling into gaps. */
  packingLoss: Fraction
  /** Lost on blending: soft parts give way to hard grains and are pressed by heavy ones. */
  compressionLoss: Fraction
  /** Both together, the s of the other equations where nothing is pressed. */
  blendingLoss: Fraction
  totalPorosity: Fraction
  /** kg per litre of blend. */
  dryBulkDensity: number
  /** mmol of charge per litre of blend and pH unit. */
  bufferCapacity: number
  /** Carbonate of its parts that dissolves within a season, mmol of charge per litre of blend. */
  carbonate: number
  /** pH before any lime. */
  pH: number
  /** Water it holds when moist, at 10 cm of tension. */
  waterContent: Fraction
  /** Share of the parts that is full of nitrifiers: compost, manure, soil, used mix. */
  liveShare: Fraction
  /** mmol of charge per litre of blend. */
  cationExchangeCapacity: number
  /** dS/m in a saturated extract, before any fertilizer. */
  electricalConductivity: number
  /** cm/h when every pore is full; known within a factor of ten at best. */
  saturatedConductivity: number
  /** Volume fraction of water in the blend at a tension in cm. */
  waterAt: (tension: Centimetres) => Fraction
}

/** Families full of nitrifiers as they come. Source: common practice. */
const LIVE: ReadonlySet<MaterialFamily> = new Set(['compost', 'manure', 'soil', 'mix'])

/**
 * What loose parts become when stirred together.
 *
 *   theta(h) = (sum f_i theta_i(h) - lost pores still full at h) / (1 - s)      never above the porosity
 *   porosity = (sum f_i TP_i - s) / (1 - s)
 *   pH       = sum f_i b_i pH_i / sum f_i b_i    the buffers share the charge between them
 *   EC       = sum f_i TP_i EC_i / (sum f_i TP_i - s)   each part brings the salts of its own pore water
 *   K        = prod K_i^f_i ((TP_mix / TP_parts))^3     geometric mean, less for the pores lost (Kozeny-Carman's cube)
 *
 * `pressed` is the share of its volume it loses besides, on being firmed into a container: 1 - s is less by as much.
 * Solids and the water in fine pores all stay. Stirring loses pores that empty by 50 cm, firming (`pressed`) pores that
 * empty by 10 cm, of each width alike. That is why sand in peat can drain worse.
 * Errors: no parts; a part that is not a positive number.
 * Source: mass balance; for the buffers, linear titration curves, common practice over pH 4-7; K: our assumption.
 *
 * @example
 * blend([
 *   { material: preparedMaterial(materialById('peat_medium')), parts: 3 },
 *   { material: preparedMaterial(materialById('perlite_coarse')), parts: 1 },
 * ]).value.totalPorosity // 0.8642
 */
export function blend(input: readonly BlendPart[], pressed: Fraction = 0): Outcome<Blend> {
  const gathered = gather(input)
  if (!gathered.ok) return gathered
  const list = gathered.value
  const mean = (of: (m: Material) => number) =>
    list.reduce((sum, p) => sum + p.share * of(p.material.material), 0)
  const loss = lossesOf(list, pressed)
  const kept = 1 - loss.all
  const { pores } = loss
  const totalPorosity = (pores - loss.all) / kept
  const buffer = mean((m) => m.properties.bufferCapacity.value)
  const waterAt = waterCurve(
    list.map((p) => p.material.retention),
    list.map((p) => p.share / kept),
    { totalPorosity, stirred: loss.stirred / kept, pressed: (loss.all - loss.stirred) / kept },
  )
  return succeed({
    shares: list.map((p) => ({ material: p.material.material, share: p.share })),
    packingLoss: loss.packing,
    compressionLoss: loss.compression,
    blendingLoss: loss.stirred,
    totalPorosity,
    dryBulkDensity: mean((m) => m.properties.dryBulkDensity.value) / kept,
    bufferCapacity: buffer / kept,
    carbonate:
      (1000 *
        MMOLC_PER_GRAM_CACO3 *
        mean((m) => m.properties.dryBulkDensity.value * (m.properties.carbonate?.value ?? 0))) /
      kept,
    pH: mean((m) => m.properties.bufferCapacity.value * m.properties.pH.value) / buffer,
    cationExchangeCapacity: mean((m) => m.properties.cationExchangeCapacity.value) / kept,
    electricalConductivity:
      mean((m) => m.properties.totalPorosity.value * m.properties.electricalConductivity.value) /
      (pores - loss.all),
    saturatedConductivity:
      Math.exp(mean((m) => Math.log(m.properties.saturatedConductivity.value))) *
      (totalPorosity / pores) ** 3,
    waterContent: waterAt(10),
    liveShare: mean((m) => (LIVE.has(m.family) ? 1 : 0)),
    waterAt,
  })
}

/** A material with its share of the loose parts. */
interface Share {
  material: PreparedMaterial
  share: Fraction
}
/** Equal materials in one, in the order given. */
function gather(input: readonly BlendPart[]): Outcome<Share[]> {
  if (input.length === 0) return fail({ code: 'no-parts' })
  const gathered = new Map<string, BlendPart>()
  for (const part of input) {
    const id = part.material.material.id
    if (!(part.parts > 0 && Number.isFinite(part.parts)))
      return fail({ code: 'part-not-positive', material: id, value: part.parts })
    const seen = gathered.get(id)
    gathered.set(id, seen ? { ...part, parts: seen.parts + part.parts } : part)
  }
  const list = [...gathered.values()]
  const total = list.reduce((sum, p) => sum + p.parts, 0)
  return succeed(list.map((p) => ({ material: p.material, share: p.parts / total })))
}

/** Share of the loose volume that goes on blending and pressing. */
function lossesOf(list: readonly Share[], pressed: Fraction) {
  const packing = packingLoss(
    list.map(({ material: { material, beta }, share }) => ({
      share,
      sizeShares: material.sizeShares,
      looseEnvelopeFraction: material.properties.looseEnvelopeFraction.value,
      beta,
    })),
  )
  const soft = list.map(({ material: { material }, share }) => ({
    share,
    dryBulkDensity: material.properties.dryBulkDensity.value,
    compressibility: material.properties.compressibility.value,
  }))
  const compression = 1 - (1 - compressionLoss(soft)) * (1 - interlockLoss(soft))
  // Solids cannot be pressed away: leave at least 5 % of the blend as pores, whatever the tables say.
  const pores = list.reduce((sum, p) => sum + p.share * p.material.material.properties.totalPorosity.value, 0)
  const atMost = (pores - 0.05) / 0.95
  const stirred = Math.min(1 - (1 - packing) * (1 - compression), atMost)
  return { packing, compression, pores, stirred, all: Math.min(1 - (1 - stirred) * (1 - pressed), atMost) }
}

/** Tensions, cm, by which the pores that are lost have emptied. Source: our assumption, set as `interlockLoss` is. */
export const LOST_BY = { stirring: 50, pressing: 10 } as const

/** Pores of a blend, and those it lost, as shares of its volume. */
interface Pores {
  totalPorosity: Fraction
  stirred: Fraction
  pressed: Fraction
}

/**
 * Water of several curves together, each weighted, less the pores that were lost, never above the porosity. Laid out
 * flat: it is asked for thousands of times.
 */
function waterCurve(curves: readonly Retention[], weights: readonly number[], pores: Pores) {
  const loose = looseCurve(curves, weights)
  const full = curves.reduce((sum, c, i) => sum + weights[i]! * c.saturated, 0)
  const most = pores.totalPorosity
  const fine = loose(LOST_BY.stirring, Math.log(LOST_BY.stirring))
  const narrow = loose(LOST_BY.pressing, Math.log(LOST_BY.pressing))
  // Of the pores between, the share that was lost.
  const stirred = Math.min(1, pores.stirred / Math.max(full - fine, 1e-9))
  const pressed = Math.min(1 - stirred, pores.pressed / Math.max(full - narrow, 1e-9))
  return (tension: Centimetres): Fraction => {
    if (tension <= 0) return most
    const held = loose(tension, Math.log(tension))
    let water = held
    if (tension < LOST_BY.stirring) water -= stirred * (held - fine)
    if (tension < LOST_BY.pressing) water -= pressed * (held - narrow)
    return water < most ? water : most
  }
}

/** Water of several curves together, each weighted, at a tension and its logarithm. */
function looseCurve(curves: readonly Retention[], weights: readonly number[]) {
  const held = curves.reduce((sum, c, i) => sum + weights[i]! * c.residual, 0)
  const wide = curves.reduce((sum, c, i) => sum + weights[i]! * (c.macropores ?? 0), 0)
  const spans = curves.map((c, i) => weights[i]! * (c.saturated - c.residual - (c.macropores ?? 0)))
  const lnAlphas = curves.map((c) => Math.log(c.alpha))
  const ns = curves.map((c) => c.n)
  const ms = curves.map((c) => 1 / c.n - 1)
  const dry = ([0, 1, 2] as const).map((k) =>
    curves.reduce((sum, c, i) => sum + weights[i]! * c.dryEnd[k], 0),
  )
  const dryEnd = [dry[0]!, dry[1]!, dry[2]!] as const
  // (1 + (alpha h)^n)^-m by logarithms: a power costs three times as much.
  return (tension: Centimetres, lnTension: number): Fraction => {
    if (tension > DRY_END.from) return dryEndAt(dryEnd, lnTension)
    let water = held + wide * macroporesFullAt(lnTension)
    for (let i = 0; i < spans.length; i++)
      water += spans[i]! * Math.exp(ms[i]! * Math.log(1 + Math.exp(ns[i]! * (lnAlphas[i]! + lnTension))))
    return water
  }
}
