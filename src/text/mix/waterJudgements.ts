import { acidForWater, WATER_ACIDS, type WaterAcid } from '@/core/chemistry'
import { USUAL_LEACHING } from '@/core/growing'
import type { Judgement } from '@/core/judgement'
import { MOST_LEACHED, type WaterIon } from '@/core/nutrients'
import { inUnits, percentText, pHText, type UnitSystem } from '../base/units'
import type { JudgementText } from './judgementText'

/** pH that water is brought to: a guard of alkalinity is left. Source: common practice. */
const WATER_PH = 6
/** Phosphoric acid on more alkalinity than this gives too much phosphate, meq/L. Source: common practice. */
const MOST_FOR_PHOSPHORIC = 1.5

const ec = (x: number) => `${x.toFixed(1)} dS/m`
const ACID_NAMES: Record<WaterAcid['id'], string> = {
  phosphoric75: 'phosphoric acid 75 %',
  sulfuric35: 'sulfuric acid 35 %, unused and clean',
  nitric61: 'nitric acid 61 %',
  citric: 'citric acid',
}

/** Less acid nobody measures, mL or g to 100 L. */
const LEAST_ACID = 2
const GALLONS = 26.417
const ML_PER_FL_OZ = 29.574
const GRAMS_PER_OZ = 28.35

/** How much of an acid brings water to pH 6: "18 mL of sulfuric acid in 100 L". meq/L. */
function acidText(alkalinity: number, units: UnitSystem): string {
  const id = alkalinity > MOST_FOR_PHOSPHORIC ? 'sulfuric35' : 'phosphoric75'
  const acid = WATER_ACIDS.find((a) => a.id === id)!
  const { per100Litres, adds } = acidForWater(acid, alkalinity, WATER_PH)
  if (per100Litres < LEAST_ACID) return ''
  const small = per100Litres / GALLONS / (acid.density ? ML_PER_FL_OZ : GRAMS_PER_OZ)
  const amount = inUnits(
    `[${per100Litres.toFixed(0)} mL|${(small * 100).toFixed(1)} fl oz] of ${ACID_NAMES[id]} in [100 L|100 gallons]`,
    units,
  )
  return `Or acidify it: ${amount} brings the water to pH ${WATER_PH} and adds ${adds.toFixed(0)} mg/L of ${acid.adds!.element}. Goggles, gloves and sleeves; acid into water, never water into acid; plastic, not metal; check with a meter. `
}

const ION_HARM: Record<WaterIon, string> = {
  sodium: 'burns leaf edges and closes soil',
  chloride: 'burns leaf tips and edges',
  boron: 'burns the edges of old leaves, and no leaching takes it out soon',
}

/** What is said of the water: each judgement, and what to do about it. */
export const WATER_TEXTS = {
  'water-raises-ph': (
    j: Extract<Judgement, { code: 'water-raises-ph' }>,
    units: UnitSystem,
  ): JudgementText => ({
    says: `Your water lifts pH from ${pHText(j.from)} to ${pHText(j.to)} within ${j.weeks} weeks; ${pHText(j.most)} is the most for it.`,
    does: `Use rain water. ${acidText(j.alkalinity, units)}Less lime at the start only puts it off; an ammonium feed works against it.`,
    source: 'alkalinity of the water against the buffer; carbonate equilibrium at 20 °C',
  }),
  'salts-rise': (j: Extract<Judgement, { code: 'salts-rise' }>): JudgementText => ({
    says: `Salts rise from ${ec(j.from)} to ${ec(j.to)} by week ${j.week}: that would cost ${percentText(1 - j.yieldKept)} of the crop. ${ec(j.limit)} is the most for it.`,
    does:
      j.leaching <= MOST_LEACHED
        ? `Water until ${percentText(Math.max(j.leaching, USUAL_LEACHING))} of it drains, each time; or mix the water with rain water.`
        : 'Your water is too salty to be leached out: use rain water, or mix it with rain water.',
    source: 'mixed tank; Maas & Hoffman 1977',
  }),
  'hard-water-for-acid': (
    j: Extract<Judgement, { code: 'hard-water-for-acid' }>,
    units: UnitSystem,
  ): JudgementText => ({
    says: `Your water has ${j.alkalinity.toFixed(1)} meq/L of alkalinity; for a crop that wants pH ${pHText(j.most)} at most, ${j.limit} is much.`,
    does: `Use rain water where you can. ${acidText(j.alkalinity, units)}Test the pH each spring: it creeps up year by year.`,
    source: 'common practice; carbonate equilibrium at 20 °C',
  }),
  'softened-water': (): JudgementText => ({
    says: 'Softened water carries sodium in place of calcium and magnesium: it burns leaf edges and seals soil.',
    does: 'Take water from before the softener, or rain water.',
    source: 'common practice; Ayers & Westcot 1985',
  }),
  'water-ion': (j: Extract<Judgement, { code: 'water-ion' }>): JudgementText => ({
    says: `Your water has ${j.has < 10 ? j.has.toFixed(1) : j.has.toFixed(0)} mg/L of ${j.ion}; from ${j.limit < 10 ? j.limit.toFixed(1) : j.limit.toFixed(0)} it ${ION_HARM[j.ion]}.`,
    does: j.stop
      ? 'Use rain water or another well.'
      : `Mix it with rain water: ${percentText(1 - j.limit / j.has)} of rain brings it to the limit. Keep it off the leaves.`,
    source: 'FAO-29 (Ayers & Westcot 1985)',
  }),
}
