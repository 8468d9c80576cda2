import type { Manner, SaidAmount } from '../garden/manner'
import { gramsIn, litresIn, type UnitSystem } from './units'

/** An amount as it was understood. */
export interface Amount {
  value: number
  manner: Manner
  /** Whose spoons and cups they are; those of the setting where left out. */
  spoons?: UnitSystem
}

/** What an amount is reckoned with. Litres of mix, g/mL, m2; null or zero where a job does not say. */
export interface AmountSetting {
  system: UnitSystem
  /** g/mL of the dressing, loosely spooned. */
  bulkDensity: number
  /** Litres of mix the job makes. */
  all: number | null
  bucket: number
  scoop: number
  tub: number
  /** Litres of mix to one part of a batch, and to a batch. */
  part: number | null
  batch: number | null
  /** Litres of mix to a bag of what there is most of. */
  bag: number | null
  /** Litres of mix in a container, and for a plant. */
  container: number | null
  plant: number | null
  /** Litres of mix under a square metre of surface. */
  area: number | null
  /** Each part of the recipe, by its id. */
  parts: ReadonlyMap<string, PartSetting>
}

/** One part of a recipe as amounts are counted by it. */
export interface PartSetting {
  /** Litres of mix that a loose litre of it makes. */
  mix: number
  /** Litres of mix that a bag or bale of it makes; null where it is bought in none. */
  bag: number | null
  /** Parts of it in the recipe, of all parts. */
  share: number
}

/** Litres of mix to one of what a manner counts by a material; null where the recipe has none of it. */
function litresByPart({ base, of, materialId }: Manner, setting: AmountSetting): number | null {
  const part = setting.parts.get(materialId!)
  if (!part) return null
  switch (base) {
    case 'volume':
      return of * part.mix
    case 'bucket':
    case 'scoop':
      return of * setting[base] * part.mix
    case 'bag':
      return part.bag === null ? null : of * part.bag
    case 'part':
      return setting.part === null || !(part.share > 0) ? null : (of * setting.part) / part.share
    default:
      return null
  }
}

/** Litres of mix that a manner counts for; null where the job does not say. */
export function litresOf(manner: Manner, setting: AmountSetting): number | null {
  if (manner.materialId !== undefined) return litresByPart(manner, setting)
  const { base, of } = manner
  if (base === 'volume') return of
  const one = setting[base]
  return one === null || !(one > 0) ? null : one * of
}

/** Grams in one of a unit, by its own weight or by the dressing's bulk density. */
const gramsInUnit = (
  unit: Manner['unit'],
  { system, bulkDensity }: Pick<AmountSetting, 'system' | 'bulkDensity'>,
): number =>
  unit === 'g' || unit === 'kg' || unit === 'oz' || unit === 'lb'
    ? gramsIn(unit)
    : litresIn(unit, system) * 1000 * bulkDensity

/** Grams an amount says for each of what it counts. */
export const gramsOf = ({ value, manner, spoons }: Amount, setting: AmountSetting): number =>
  value * gramsInUnit(manner.unit, { ...setting, system: spoons ?? setting.system })

/** An amount as a dose, g per litre of mix; null where the job does not say what it counts for. */
export function doseOf(amount: Amount, setting: AmountSetting): number | null {
  const litres = litresOf(amount.manner, setting)
  return litres === null ? null : gramsOf(amount, setting) / litres
}

/** A dose in a grower's own manner, so many of its unit; null where the job does not say what it counts for. */
export function valueIn(manner: Manner, gramsPerLitre: number, setting: AmountSetting): number | null {
  const litres = litresOf(manner, setting)
  return litres === null ? null : (gramsPerLitre * litres) / gramsInUnit(manner.unit, setting)
}

/** What a grower said, as an amount; null where only the manner was chosen. */
export function amountSaid(said: SaidAmount | undefined): Amount | null {
  if (said?.value === undefined) return null
  const { unit, base, of, materialId } = said
  const manner: Manner = materialId === undefined ? { unit, base, of } : { unit, base, of, materialId }
  return said.spoons ? { value: said.value, manner, spoons: said.spoons } : { value: said.value, manner }
}

/** Units whose size depends on whose they are. */
const SPOONS: ReadonlySet<string> = new Set(['teaspoon', 'tablespoon', 'cup'])

/** An amount as it is kept: with whose spoons it was measured. */
export const saidOf = ({ value, manner, spoons }: Amount, system: UnitSystem): SaidAmount => ({
  ...manner,
  value,
  ...(SPOONS.has(manner.unit) ? { spoons: spoons ?? system } : {}),
})
