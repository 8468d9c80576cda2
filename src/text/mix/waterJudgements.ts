import { acidForWater } from '@/core/chemistry'
import { USUAL_LEACHING } from '@/core/growing'
import { WATER_TREATMENT_LIMITS } from '@/core/irrigation'
import type { Judgement } from '@/core/judgement'
import { MOST_LEACHED, type WaterIon } from '@/core/nutrients'
import { LITRES } from '@/core/units'
import { cautionById, ruleOf } from '../base/cautions'
import { inUnits, percentText, pHText, type UnitSystem } from '../base/units'
import { acidAdds, acidAmount, acidOf } from '../water/acids'
import type { JudgementText } from './judgementText'

const L = WATER_TREATMENT_LIMITS

const ec = (x: number) => `${x.toFixed(1)} dS/m`
/** How much of an acid brings water to pH 6: "18 mL of sulfuric acid in 100 L". meq/L. */
function acidText(alkalinity: number, units: UnitSystem): string {
  const id = alkalinity > L.mostForPhosphoric.value ? 'sulfuric35' : 'phosphoric75'
  const toPH = L.toPH.value
  if (acidForWater(acidOf(id), alkalinity, toPH).per100Litres < L.leastAcid.value) return ''
  const litres = units === 'metric' ? 100 : 100 * LITRES.usGallon
  const amount = `${acidAmount({ id, toPH }, { alkalinity, litres }, units)} in ${inUnits('[100 L|100 gallons]', units)}`
  return `Or acidify it: ${amount} brings the water to pH ${toPH}. ${acidAdds({ id, toPH }, alkalinity)} ${ruleOf(cautionById('waterAcid')).rule} `
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
