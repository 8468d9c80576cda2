import type { Material, MaterialProperties, Property } from '@/core/data'
import { citationOf } from '@/core/data/sources'
import { percentText } from '../base/units'

interface Figure {
  key: keyof MaterialProperties
  label: string
  term: string
  /** How it is written: as it is with its unit, as a percentage, or as a small percentage with two figures. */
  as: 'number' | 'percent' | 'fine'
  unit: string
}
/** `as`: a unit, or how a share is written. */
const figure = (key: Figure['key'], label: string, term: string, as = ''): Figure =>
  as === 'percent' || as === 'fine'
    ? { key, label, term, as, unit: '' }
    : { key, label, term, as: 'number', unit: as }

/** Figures of a material in the order they are shown. */
const FIGURES: readonly Figure[] = [
  figure('dryBulkDensity', 'Weight, dry', 'dry bulk density', 'kg/L'),
  figure('moistBulkDensityAsBought', 'Weight, as bought', 'moist bulk density', 'kg/L'),
  figure('totalPorosity', 'Pores', 'effective total porosity', 'percent'),
  figure('waterAt5Cm', 'Water at 5 cm', 'volumetric, 5 cm tension', 'percent'),
  figure('waterAt10Cm', 'Water at 10 cm', 'volumetric, 10 cm tension', 'percent'),
  figure('waterAt50Cm', 'Water at 50 cm', 'volumetric, 50 cm tension', 'percent'),
  figure('waterAt100Cm', 'Water at 100 cm', 'volumetric, 100 cm tension', 'percent'),
  figure('waterAt1000Cm', 'Water at 1,000 cm', 'volumetric, 0.1 MPa', 'percent'),
  figure('waterAt15000Cm', 'Water at wilting', 'volumetric, 15,000 cm (1.5 MPa)', 'percent'),
  figure('looseEnvelopeFraction', 'Packing, loose', 'envelope volume fraction', 'percent'),
  figure('pH', 'pH', 'in the mix'),
  figure('bufferCapacity', 'Buffer capacity', 'buffer capacity', 'mmol/L per pH'),
  figure('cationExchangeCapacity', 'Hold on feed', 'cation exchange capacity', 'mmol/L'),
  figure('electricalConductivity', 'Salts', 'EC, saturated extract', 'dS/m'),
  figure('nitrogen', 'Nitrogen', 'total, of dry weight', 'fine'),
  figure('phosphorus', 'Phosphorus', 'P, of dry weight', 'fine'),
  figure('potassium', 'Potassium', 'K, of dry weight', 'fine'),
  figure('calcium', 'Calcium', 'Ca, of dry weight', 'fine'),
  figure('magnesium', 'Magnesium', 'Mg, of dry weight', 'fine'),
  figure('nitrogenFirstSeason', 'Nitrogen, first season', 'given, or taken if below 0', 'mg/L'),
  figure('structuralHalfLife', 'Half rotted in', 'half-life of its structure', 'years'),
  figure('saturatedConductivity', 'Lets water through', 'saturated conductivity', 'cm/h'),
  figure('volumeFactorOnWetting', 'Swelling on wetting', 'loose litres per litre bought'),
  figure('looseLitresPerKgDry', 'Loose litres per kg', 'from a dry block', 'L/kg'),
]

function write(x: number, as: Figure['as']): string {
  if (as === 'percent') return percentText(x)
  return as === 'fine' ? `${Number((x * 100).toPrecision(2))} %` : String(Number(x.toPrecision(3)))
}

/** What a figure of a material is called, how its number is written, and its unit. */
export function figureWords(key: keyof MaterialProperties) {
  const found = FIGURES.find((f) => f.key === key)
  return {
    label: found?.label ?? key,
    unit: found?.unit ?? '',
    write: (x: number) => write(x, found?.as ?? 'number'),
  }
}

/** A material's figures in words, with their ranges and how sure they are. */
export const materialFigures = ({ properties }: Material) =>
  FIGURES.flatMap(({ key, label, term, as, unit }) => {
    const property: Property | undefined = properties[key]
    if (!property) return []
    const { low, value, high, confidence, kind } = property
    return [
      {
        label,
        term,
        best: `${write(value, as)} ${unit}`.trim(),
        range: `${write(low, as)} to ${write(high, as)}`,
        sure: confidence,
        isMeasured: kind === 'measured',
      },
    ]
  })

/** Citations behind a material's figures, each once, with the figures that lean on it. */
export function materialSources({ properties }: Material): [citation: string, figures: string[]][] {
  const found = new Map<string, string[]>()
  for (const { key, label } of FIGURES) {
    const property = properties[key]
    if (!property) continue
    const citation = citationOf(property.source)
    found.set(citation, [...(found.get(citation) ?? []), label.toLowerCase()])
  }
  return [...found]
}
