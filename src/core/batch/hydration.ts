import type { Material, MaterialFamily, Pack } from '../data/types'
import type { Fraction, Litres } from '../units'

/**
 * Moisture at which a material is pleasant to mix, as a share of the water it holds at 100 cm: damp like a wrung-out
 * sponge for organic parts, fully swollen for coir, just enough to lay the dust for dry minerals.
 * Source: our assumption, set on common practice (a 5 kg coir block takes 20-30 L, a 107 L peat bale 20-40 L).
 */
export const WORKABLE_SHARE: Record<MaterialFamily, Fraction> = {
  peat: 0.6,
  coir: 1,
  bark: 0.6,
  wood: 0.6,
  compost: 0.6,
  manure: 0.6,
  char: 0.6,
  mix: 0.6,
  perlite: 0.2,
  vermiculite: 0.2,
  mineral: 0.2,
  aggregate: 0.2,
  hull: 0,
  soil: 0,
  sand: 0,
}

/** Water by weight left in a dried block as sold, share of its dry weight. Source: common practice, 10-20 %. */
const BLOCK_MOISTURE = 0.15

/**
 * Non-ionic wetting agent for peat and bark that shed water, mL per loose litre: 3 US fl oz per cubic yard.
 * Source: common practice (label rates, from memory).
 */
export const WETTING_AGENT_ML_PER_LITRE = 0.116

/**
 * Water to bring one loose litre of a material from as bought to workable, litres (1 kg = 1 L).
 * Never negative: wet material is used as it is. Range: fresh, not rained-on stock.
 * Source: mass balance; moistures of the tables.
 *
 * @example
 * waterToWorkable(materialById('coir_pith'), { kind: 'block', kg: 5 }) // 0.3588
 */
export function waterToWorkable(material: Material, pack: Pack): Litres {
  const p = material.properties
  const dry = p.dryBulkDensity.value
  const has = pack.kind === 'block' ? dry * BLOCK_MOISTURE : p.moistBulkDensityAsBought.value - dry
  return Math.max(0, WORKABLE_SHARE[material.family] * p.waterAt100Cm.value - has)
}

/**
 * Does it shed water once dry, so that a drop of wetting agent helps?
 * Source: common practice.
 *
 * @example
 * shedsWaterWhenDry(materialById('peat_fine')) // true
 */
export const shedsWaterWhenDry = (material: Material): boolean =>
  material.family === 'peat' || material.family === 'bark'
