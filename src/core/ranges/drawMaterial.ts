import {
  MATERIAL_PROPERTIES,
  type Material,
  type MaterialProperties,
  type MaterialPropertyName,
} from '../data/types'
import { betaOfMaterial, type PreparedMaterial } from '../mixing'
import { refitRetention, withDryEnd } from '../water'
import { drawn, withValue, type Deviate } from './drawProperty'

/** What several properties of one material have in common. */
const SHARED = ['weight', 'wetness', 'age'] as const

/**
 * How properties of one material hang together: heavier is less porous, finer is wetter at every tension, and what
 * holds on to pH holds on to feed. Correlations with the deviate named; the rest of each is its own. Source: our
 * assumption.
 */
const TOGETHER: Partial<Record<MaterialPropertyName, { with: (typeof SHARED)[number]; by: number }>> = {
  dryBulkDensity: { with: 'weight', by: 0.9 },
  moistBulkDensityAsBought: { with: 'weight', by: 0.8 },
  totalPorosity: { with: 'weight', by: -0.7 },
  waterAt5Cm: { with: 'wetness', by: 0.85 },
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
 * What the deviate of a property is made of: its own, and the one it shares with others.
 *
 * @example
 * deviatesOfProperty('pH') // [{ name: 'pH', by: 1 }]
 */
export function deviatesOfProperty(name: MaterialPropertyName): { name: string; by: number }[] {
  const tie = TOGETHER[name]
  return tie
    ? [
        { name: tie.with, by: tie.by },
        { name, by: Math.sqrt(1 - tie.by ** 2) },
      ]
    : [{ name, by: 1 }]
}

/**
 * A material with its properties drawn within their ranges, ready for blending; water still falls with tension and
 * never passes the pores. Always asks for the same deviates in the same order, whatever the material lacks.
 * Units: those of the tables.
 */
export function drawMaterial(from: PreparedMaterial, deviate: Deviate): PreparedMaterial {
  const { material } = from
  const deviates = new Map<string, number>()
  for (const name of [...SHARED, ...MATERIAL_PROPERTIES]) deviates.set(name, deviate(name))
  const properties = { ...material.properties } as MaterialProperties
  const values = {} as Record<MaterialPropertyName, number>
  for (const name of MATERIAL_PROPERTIES) {
    const p = material.properties[name]
    if (!p) continue
    values[name] = drawn(
      p,
      deviatesOfProperty(name).reduce((sum, { name: of, by }) => sum + by * deviates.get(of)!, 0),
    )
  }
  const top = Math.min(0.98, Math.max(0.05, values.totalPorosity))
  values.totalPorosity = top
  values.waterAt5Cm = Math.min(Math.max(values.waterAt5Cm, 0), top)
  values.waterAt10Cm = Math.min(Math.max(values.waterAt10Cm, 0), values.waterAt5Cm)
  values.waterAt50Cm = Math.min(Math.max(values.waterAt50Cm, 0), values.waterAt10Cm)
  values.waterAt100Cm = Math.min(Math.max(values.waterAt100Cm, 0), values.waterAt50Cm)
  values.waterAt1000Cm = Math.min(Math.max(values.waterAt1000Cm, 0), values.waterAt100Cm)
  values.waterAt15000Cm = Math.min(Math.max(values.waterAt15000Cm, 0), values.waterAt1000Cm)
  values.looseEnvelopeFraction = Math.min(0.9, Math.max(0.05, values.looseEnvelopeFraction))
  for (const name of MATERIAL_PROPERTIES) {
    const p = material.properties[name]
    if (p) properties[name] = withValue(p, values[name])
  }
  const sizeShares = drawSizes(material, deviate)
  return {
    material: { ...material, properties, sizeShares },
    retention: withDryEnd(refitRetention(values, from.retention), values),
    beta: betaOfMaterial(sizeShares, values.looseEnvelopeFraction),
  }
}

function drawSizes(material: Material, deviate: Deviate): number[] {
  const { low, high } = material.sizeRange
  const shares = material.sizeShares.map((value, k) =>
    Math.max(0, drawn({ low: low[k]!, value, high: high[k]! }, deviate(`size${k}`))),
  )
  const sum = shares.reduce((s, v) => s + v, 0)
  return sum > 0 ? shares.map((v) => v / sum) : [...material.sizeShares]
}
