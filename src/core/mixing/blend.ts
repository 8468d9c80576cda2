import type { Material } from '../data/types'
import { fail, succeed, type Outcome } from '../outcome'
import type { Centimetres, Fraction } from '../units'
import { fitRetention, waterContent, type VanGenuchten } from '../water'
import { compressionLoss } from './compression'
import { betaOfMaterial, packingLoss } from './packing'

/** A material with the two things worked out from it that every blend needs. */
export interface PreparedMaterial {
  material: Material
  retention: VanGenuchten
  /** Packing of one of its size classes alone. */
  beta: Fraction
}

/** Fits the curve and the packing of a material once, for many blends. */
export function prepareMaterial(material: Material): PreparedMaterial {
  const p = material.properties
  return {
    material,
    retention: fitRetention({
      totalPorosity: p.totalPorosity.value,
      waterAt10Cm: p.waterAt10Cm.value,
      waterAt50Cm: p.waterAt50Cm.value,
      waterAt100Cm: p.waterAt100Cm.value,
    }).curve,
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
  /** Lost on blending: soft parts pressed by heavy ones. */
  compressionLoss: Fraction
  /** Both together, the s of the other equations. */
  blendingLoss: Fraction
  totalPorosity: Fraction
  /** kg per litre of blend. */
  dryBulkDensity: number
  /** mmol of charge per litre of blend and pH unit. */
  bufferCapacity: number
  /** pH before any lime. */
  pH: number
  /** Volume fraction of water in the blend at a tension in cm. */
  waterAt: (tension: Centimetres) => Fraction
}

/**
 * What loose parts become when stirred together.
 *
 *   theta(h) = sum f_i theta_i(h) / (1 - s)      never above the porosity
 *   porosity = (sum f_i TP_i - s) / (1 - s)
 *   pH       = sum f_i b_i pH_i / sum f_i b_i    the buffers share the charge between them
 *
 * What blending loses is air: solids and the water in fine pores all stay. That is why sand in peat can drain worse.
 * Errors: no parts; a part that is not a positive number.
 * Source: mass balance; for the buffers, linear titration curves, common practice over pH 4-7.
 */
export function blend(input: readonly BlendPart[]): Outcome<Blend> {
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
  const shares = list.map((p) => p.parts / total)
  const mean = (of: (m: Material) => number) =>
    list.reduce((sum, p, i) => sum + shares[i]! * of(p.material.material), 0)

  const packing = packingLoss(
    list.map((p, i) => ({
      share: shares[i]!,
      sizeShares: p.material.material.sizeShares,
      looseEnvelopeFraction: p.material.material.properties.looseEnvelopeFraction.value,
      beta: p.material.beta,
    })),
  )
  const compression = compressionLoss(
    list.map((p, i) => ({
      share: shares[i]!,
      dryBulkDensity: p.material.material.properties.dryBulkDensity.value,
      compressibility: p.material.material.properties.compressibility.value,
    })),
  )
  // Solids cannot be pressed away: leave at least 5 % of the blend as pores, whatever the tables say.
  const pores = mean((m) => m.properties.totalPorosity.value)
  const s = Math.min(1 - (1 - packing) * (1 - compression), (pores - 0.05) / 0.95)
  const kept = 1 - s
  const totalPorosity = (pores - s) / kept
  const buffer = mean((m) => m.properties.bufferCapacity.value)
  return succeed({
    shares: list.map((p, i) => ({ material: p.material.material, share: shares[i]! })),
    packingLoss: packing,
    compressionLoss: compression,
    blendingLoss: s,
    totalPorosity,
    dryBulkDensity: mean((m) => m.properties.dryBulkDensity.value) / kept,
    bufferCapacity: buffer / kept,
    pH: mean((m) => m.properties.bufferCapacity.value * m.properties.pH.value) / buffer,
    waterAt: (tension) => {
      let water = 0
      for (let i = 0; i < list.length; i++)
        water += shares[i]! * waterContent(list[i]!.material.retention, tension)
      return Math.min(water / kept, totalPorosity)
    },
  })
}
