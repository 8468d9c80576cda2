import {
  MATERIAL_PROPERTIES,
  type Material,
  type MaterialProperties,
  type MaterialPropertyName,
} from '../data/types'
import { betaOfMaterial, type PreparedMaterial } from '../mixing'
import { refitRetention, withDryEnd } from '../water'
import { drawn, withValue } from './drawProperty'
import { normal, type Random } from './random'

/**
 * How properties of one material hang together: heavier is less porous, finer is wetter at every tension, and what
 * holds on to pH holds on to feed. Correlations with the deviate named; the rest of each is its own. Source: our
 * assumption.
 */
const TOGETHER: Partial<Record<MaterialPropertyName, { with: 'weight' | 'wetness' | 'age'; by: number }>> = {
  dryBulkDensity: { with: 'weight', by: 0.9 },
  moistBulkDensityAsBought: { with: 'weight', by: 0.8 },
  totalPorosity: { with: 'weight', by: -0.7 },
  waterAt10Cm: { with: 'wetness', by: 0.85 },
  waterAt50Cm: { with: 'wetness', by: 0.85 },
  waterAt100Cm: { with: 'wetness', by: 0.85 },
  waterAt1000Cm: { with: 'wetness', by: 0.85 },
  waterAt15000Cm: { with: 'wetness', by: 0.85 },
  saturatedConductivity: { with: 'wetness', by: -0.7 },
  bufferCapacity: { with: 'age', by: 0.7 },
  cationExchangeCapacity: { with: 'age', by: 0.7 },
}

/**
 * A material with its properties drawn within their ranges, ready for blending; water still falls with tension and
 * never passes the pores. Always takes the same count of numbers from the stream, whatever the material lacks.
 * Units: those of the tables.
 */
export function drawMaterial(from: PreparedMaterial, random: Random): PreparedMaterial {
  const { material } = from
  const shared = { weight: normal(random), wetness: normal(random), age: normal(random) }
  const properties = { ...material.properties } as MaterialProperties
  const values = {} as Record<MaterialPropertyName, number>
  for (const name of MATERIAL_PROPERTIES) {
    const own = normal(random)
    const p = material.properties[name]
    if (!p) continue
    const tie = TOGETHER[name]
    values[name] = drawn(p, tie ? tie.by * shared[tie.with] + Math.sqrt(1 - tie.by ** 2) * own : own)
  }
  const top = Math.min(0.98, Math.max(0.05, values.totalPorosity))
  values.totalPorosity = top
  values.waterAt10Cm = Math.min(Math.max(values.waterAt10Cm, 0), top)
  values.waterAt50Cm = Math.min(Math.max(values.waterAt50Cm, 0), values.waterAt10Cm)
  values.waterAt100Cm = Math.min(Math.max(values.waterAt100Cm, 0), values.waterAt50Cm)
  values.waterAt1000Cm = Math.min(Math.max(values.waterAt1000Cm, 0), values.waterAt100Cm)
  values.waterAt15000Cm = Math.min(Math.max(values.waterAt15000Cm, 0), values.waterAt1000Cm)
  values.looseEnvelopeFraction = Math.min(0.9, Math.max(0.05, values.looseEnvelopeFraction))
  for (const name of MATERIAL_PROPERTIES) {
    const p = material.properties[name]
    if (p) properties[name] = withValue(p, values[name])
  }
  const sizeShares = drawSizes(material, random)
  return {
    material: { ...material, properties, sizeShares },
    retention: withDryEnd(refitRetention(values, from.retention), values),
    beta: betaOfMaterial(sizeShares, values.looseEnvelopeFraction),
  }
}

function drawSizes(material: Material, random: Random): number[] {
  const { low, high } = material.sizeRange
  const shares = material.sizeShares.map((value, k) =>
    Math.max(0, drawn({ low: low[k]!, value, high: high[k]! }, normal(random))),
  )
  const sum = shares.reduce((s, v) => s + v, 0)
  return sum > 0 ? shares.map((v) => v / sum) : [...material.sizeShares]
}
