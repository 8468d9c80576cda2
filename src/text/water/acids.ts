import { acidForWater, WATER_ACIDS, type WaterAcid } from '@/core/chemistry'
import { numberText } from '../base/counted'
import { doseWeightText, liquidText, type UnitSystem } from '../base/units'

/** Acids for water, in a sentence. */
export const ACID_NAMES: Record<WaterAcid['id'], string> = {
  phosphoric75: 'phosphoric acid (75 %)',
  sulfuric35: 'sulfuric acid (35 %, unused and clean)',
  nitric61: 'nitric acid (61 %)',
  citric: 'citric acid',
}
export const acidOf = (id: WaterAcid['id']): WaterAcid => WATER_ACIDS.find((a) => a.id === id)!

/** "3 mL of sulfuric acid (35 %, unused and clean)": what brings so much water to a pH. meq/L, litres. */
export function acidAmount(
  { id, toPH }: { id: WaterAcid['id']; toPH: number },
  { alkalinity, litres }: { alkalinity: number; litres: number },
  units: UnitSystem,
): string {
  const acid = acidOf(id)
  const amount = (acidForWater(acid, alkalinity, toPH).per100Litres * litres) / 100
  const measured = acid.density === null ? doseWeightText(amount, units) : liquidText(amount, units)
  return `${measured} of ${ACID_NAMES[id]}`
}
/** What it leaves in the water: "adds 37 mg/L of sulfur"; nothing of an acid that rots. */
export function acidAdds({ id, toPH }: { id: WaterAcid['id']; toPH: number }, alkalinity: number): string {
  const { adds } = acidForWater(acidOf(id), alkalinity, toPH)
  const element = acidOf(id).adds?.element
  return element ? `It adds ${numberText(adds)} mg/L of ${element}.` : ''
}
