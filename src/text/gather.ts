import type { Material } from '@/core/data'
import type { InnerMix } from '@/model/garden/schemas'
import type { DoseTotal } from '@/model/make/doseTotals'
import type { DoseLine, MixLine, ShoppingLine } from '@/model/make/shoppingList'
import type { UseUp } from '@/model/make/useUp'
import { packText, shortName } from './labels'
import { bagText } from './recipes'
import { doseWeightText, spoonfulText, volumeText, weightText, type UnitSystem } from './units'

/** A line of what to gather, in words. */
export interface GatherLine {
  id: string
  /** What its sign is drawn from. */
  what: { material: Material } | { mix: InnerMix } | { dose: string }
  name: string
  /** What is in it, where it is a finished mix. */
  inside: string
  measure: string
  /** What to buy, strong and then small; or a sentence that takes the rest of the line. */
  buy: { strong: string; small: string[] } | { sentence: string }
  leftover: string
  cost: string
  wet: string[]
}

/** Less water than this is not worth a word, litres. */
const LEAST_WATER = 0.25
const costText = (cost: number | null) => (cost === null ? '?' : cost.toFixed(2))

function materialLine(line: ShoppingLine, units: UnitSystem): GatherLine {
  const { material, pack, purchase, water, wettingAgent } = line
  const packs = purchase.counts[0]!
  return {
    id: material.id,
    what: { material },
    name: shortName(material.id),
    inside:
      line.beside <= 0
        ? ''
        : line.beside < line.litres - 1e-9
          ? `${volumeText(line.beside, units)} of it under or on the mix`
          : 'under or on the mix',
    measure: volumeText(line.litres, units),
    buy: {
      strong: packs > 0 ? `${packs} × ${packText(pack, units)}` : 'nothing',
      small: [
        ...(purchase.fromStock > 0 ? [`${volumeText(purchase.fromStock, units)} from your shelf`] : []),
        ...(pack.kind !== 'loose' && packs > 0
          ? [`each gives ${volumeText(line.packLitres, units)} loose`]
          : []),
      ],
    },
    leftover: volumeText(purchase.leftover, units),
    cost: costText(purchase.cost),
    wet: [
      water >= LEAST_WATER ? `${volumeText(water, units)} of water` : 'as it comes',
      ...(wettingAgent > 0 && material.family === 'peat'
        ? [`${spoonfulText(wettingAgent, units)} wetting agent if it is dry`]
        : []),
    ],
  }
}

function mixLine({ mix, litres, purchase }: MixLine, units: UnitSystem): GatherLine {
  const { origin } = mix
  const bag = origin.kind === 'bag' ? volumeText(origin.litres, units) : ''
  return {
    id: mix.id,
    what: { mix },
    name: mix.name,
    inside: bagText(mix, units),
    measure: volumeText(litres, units),
    buy: purchase
      ? { strong: `${purchase.counts[0]} × ${bag} bag`, small: [] }
      : {
          sentence: origin.kind === 'ready' ? 'on hand, ready made' : 'made first, from the materials above',
        },
    leftover: purchase ? volumeText(purchase.leftover, units) : '',
    cost: purchase ? costText(purchase.cost) : '',
    wet: ['as it comes'],
  }
}

const DOSE_WHERE: Record<DoseTotal['place']['kind'], string> = {
  throughout: 'weighed or spooned for each batch, see Make',
  top: 'into the top at filling, see Fill',
  hole: 'into the planting holes, see Fill',
  heldBack: 'put on later, see Season',
}
function doseLine(line: DoseLine, units: UnitSystem): GatherLine {
  const { id, name, grams, place, purchase } = line
  const where = DOSE_WHERE[place.kind]
  return {
    id: `${id} ${place.kind}`,
    what: { dose: id },
    name,
    inside: '',
    measure: doseWeightText(grams, units),
    buy: purchase
      ? {
          strong:
            purchase.packs > 0
              ? `${purchase.packs} × ${weightText(purchase.pack.kg, units)} pack`
              : 'nothing',
          small: [
            ...(purchase.fromStock > 0
              ? [`${doseWeightText(purchase.fromStock * 1000, units)} from your shelf`]
              : []),
            where,
          ],
        }
      : { sentence: where },
    leftover: purchase ? doseWeightText(purchase.leftover * 1000, units) : '',
    cost: purchase ? costText(purchase.cost) : '',
    wet: purchase ? ['as it comes'] : [],
  }
}

/** Everything to gather for a job, as the list shows it. */
export const gatherLines = (
  materials: readonly ShoppingLine[],
  mixes: readonly MixLine[],
  doses: readonly DoseLine[],
  units: UnitSystem,
): GatherLine[] => [
  ...materials.map((l) => materialLine(l, units)),
  ...mixes.map((l) => mixLine(l, units)),
  ...doses.map((l) => doseLine(l, units)),
]

/** "a pack of peat: makes 190 L", "all the peat on hand: makes 95 L". */
export const useUpText = ({ materialId, what, mix }: UseUp, units: UnitSystem): string =>
  `${what === 'pack' ? 'a pack of' : 'all on hand of'} ${shortName(materialId).toLowerCase()}: makes ${volumeText(mix, units)}`
