import type { Repeat } from '@/core/fieldTests'
import {
  readSoil,
  SOIL_ELEMENTS,
  SOIL_FIELD,
  SOIL_METHODS,
  type SoilElement,
  type SoilGrade,
  type SoilMethod,
  type SoilReading,
} from '@/core/laboratory'
import { numberText } from '../base/counted'
import { inUnits, type UnitSystem } from '../base/units'
import { ELEMENT_NAMES } from './elements'

export const SOIL_METHOD_NAMES: Record<SoilMethod, string> = {
  mehlich3: 'Mehlich-3',
  bray: 'Bray P1',
  olsen: 'Olsen',
  morgan: 'Modified Morgan',
}
const GRADE_NAMES: Record<SoilGrade, string> = {
  veryLow: 'very low',
  low: 'low',
  enough: 'enough',
  high: 'high',
  veryHigh: 'far too high',
}

/** What to give where an element is low, and to leave where it is high. Source: extension tables (from memory). */
const DO: Record<SoilElement, { low: string; high: string }> = {
  phosphorus: {
    low: 'Give [20 to 40 g/m²|0.6 to 1.2 oz/sq yd] of bone meal or triple superphosphate, or [2 to 3 cm|an inch] of compost.',
    high: 'Give no compost, manure, bone meal or complete feed until it has fallen: nitrogen and potassium alone.',
  },
  potassium: {
    low: 'Give [20 to 40 g/m²|0.6 to 1.2 oz/sq yd] of potassium sulfate.',
    high: 'Give no manure, wood ash or compost of grass; watch magnesium.',
  },
  magnesium: {
    low: 'Give dolomite where pH is low, else [30 to 50 g/m²|0.9 to 1.5 oz/sq yd] of Epsom salts.',
    high: 'Lime with limestone, not dolomite.',
  },
  calcium: {
    low: 'Lime where pH is low, else give [100 to 200 g/m²|3 to 6 oz/sq yd] of gypsum.',
    high: 'It seldom harms: go by pH.',
  },
  sulfur: {
    low: 'Give potassium sulfate or gypsum in place of other salts.',
    high: 'Mostly gypsum: harmless, but it counts as salt.',
  },
  nitrate: {
    low: 'Give [10 g/m²|0.3 oz/sq yd] of nitrogen in two goes, as the crop grows.',
    high: 'Give no nitrogen until it has fallen.',
  },
  boron: {
    low: 'Give [1 to 2 g/m²|0.03 to 0.06 oz/sq yd] of borax once, weighed: twice as much harms.',
    high: 'Give none; find where it comes from (water, compost).',
  },
  manganese: {
    low: 'Mostly pH is too high: bring it below 6.5 first.',
    high: 'pH is too low, or the soil was wet: lime to 6.',
  },
  iron: {
    low: 'Mostly pH is too high: bring it below 6.5 first.',
    high: 'pH is too low, or the soil is wet.',
  },
}

const figureText = (x: number) => numberText(x, x < 10 ? 1 : 0)
function readingText({ element, value, grade, wanted }: SoilReading, units: UnitSystem): string {
  const name = ELEMENT_NAMES[element]
  const band = `${figureText(wanted.low)} to ${figureText(wanted.high)} is enough`
  const advice =
    grade === 'enough'
      ? ''
      : ` ${inUnits(DO[element][grade.toLowerCase().endsWith('low') ? 'low' : 'high'], units)}`
  return `${name} ${figureText(value)} mg/kg is ${GRADE_NAMES[grade]}${grade === 'enough' ? '' : ` (${band})`}.${advice}`
}

/** What a report on field soil asks for, a sentence for each element. */
export function soilFollows(repeats: readonly Repeat[], units: UnitSystem): string[] {
  const last = repeats.at(-1) ?? {}
  const method = SOIL_METHODS[Math.round(last.soilMethod ?? 0)]!
  const read = readSoil(
    Object.fromEntries(
      SOIL_ELEMENTS.flatMap((e) => {
        const value = last[SOIL_FIELD[e]]
        return value === undefined ? [] : [[e, value]]
      }),
    ),
    method,
  )
  if (read.length === 0) return []
  return [
    ...read.map((r) => readingText(r, units)),
    'This is for vegetables in soil. What your laboratory advises for your ground comes first.',
  ]
}
