import { counted, lowerFirst } from '../base/counted'
import { moneyText } from '../base/sums'
import type { Material } from '@/core/data'
import type { InnerMix } from '@/model/garden/schemas'
import type { DoseTotal } from '@/model/make/doseTotals'
import {
  paidFor,
  type Bought,
  type DoseLine,
  type MixLine,
  type PackLine,
  type ShoppingLine,
} from '@/model/make/shoppingList'
import { packStack, type PackStack } from '@/model/make/packStack'
import type { UseUp } from '@/model/make/useUp'
import { packText } from '../base/labels'
import { shortName } from '../base/titles'
import { bagText } from '../mix/recipes'
import {
  doseWeightText,
  spoonfulText,
  volumeText,
  waterText,
  weightText,
  type UnitSystem,
} from '../base/units'

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
  /** What was bought of it, as it is kept; null where nothing was. */
  bought: Bought | null
  /** How it is drawn; null for what is no material. */
  stack: PackStack | null
  /** What a tick keeps: everything still to buy. Null where nobody said how it is sold. */
  toBuy: { amount: number; paid: number | null } | null
}

/** Less water than this is not worth a word, litres. */
const LEAST_WATER = 0.25
const costText = (cost: number | null) => (cost === null ? '?' : moneyText(cost))

/** "2 × 50 L bag"; of one's own, which comes in no packs, "80 L of your own". */
const packCountText = ({ offer, count, litres }: PackLine, units: UnitSystem): string =>
  offer.pack.kind === 'own'
    ? `${volumeText(count * litres, units)} of your own`
    : offer.pack.kind === 'bulk'
      ? packText({ kind: 'bulk', litres: count * offer.pack.litres }, units)
      : `${count} × ${packText(offer.pack, units)}`

/** Places that have brought something already: they come once for all of it. */
function deliveryText({ place, delivery }: PackLine['offer'], came: Set<string>): string[] {
  if (!(delivery > 0)) return []
  if (place && came.has(place)) return ['with the same delivery']
  came.add(place)
  return [`and ${moneyText(delivery)} for delivery`]
}

function materialLine(line: ShoppingLine, units: UnitSystem, came: Set<string>): GatherLine {
  const { material, purchase, water, wettingAgent } = line
  const packs = line.packs.filter((p) => p.count > 0)
  const fromShelf = purchase.fromStock - Math.min(line.bought?.amount ?? 0, purchase.fromStock)
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
      strong: packs.map((p) => packCountText(p, units)).join(' + ') || (line.bought ? 'bought' : 'nothing'),
      small: [
        ...(line.bought && line.bought.amount > 0
          ? [`bought: ${volumeText(line.bought.amount, units)}`]
          : []),
        ...(fromShelf > 0.005 ? [`${volumeText(fromShelf, units)} from your shelf`] : []),
        ...packs.flatMap(({ offer, litres }) => [
          ...(offer.pack.kind === 'compressed' || offer.pack.kind === 'block' || offer.pack.kind === 'mass'
            ? [`each gives ${volumeText(litres, units)} loose`]
            : []),
          ...(offer.place ? [`from ${offer.place}`] : []),
          ...deliveryText(offer, came),
        ]),
        ...(line.screened > 0 ? [`${volumeText(line.screened, units)} of it is screened out`] : []),
      ],
    },
    leftover: volumeText(purchase.leftover, units),
    cost: costText(paidFor(line)),
    wet: [
      water >= LEAST_WATER ? `${waterText(water, units)} of water` : 'as it comes',
      ...(wettingAgent > 0 && material.family === 'peat'
        ? [`${spoonfulText(wettingAgent, units)} wetting agent if it is dry`]
        : []),
    ],
    bought: line.bought,
    stack: packStack(line),
    toBuy: { amount: purchase.litres, paid: purchase.cost },
  }
}

function mixLine(line: MixLine, units: UnitSystem): GatherLine {
  const { mix, litres, purchase, bought } = line
  const { origin } = mix
  const bag = origin.kind === 'bag' ? volumeText(origin.litres, units) : ''
  return {
    id: mix.id,
    what: { mix },
    name: mix.name,
    inside: bagText(mix, units),
    measure: volumeText(litres, units),
    buy: purchase
      ? {
          strong: purchase.counts[0]! > 0 || !bought ? `${purchase.counts[0]} × ${bag} bag` : 'bought',
          small: bought ? [`bought: ${volumeText(bought.amount, units)}`] : [],
        }
      : {
          sentence: origin.kind === 'ready' ? 'on hand, ready made' : 'made first, from the materials above',
        },
    leftover: purchase ? volumeText(purchase.leftover, units) : '',
    cost: purchase ? costText(paidFor(line)) : '',
    wet: ['as it comes'],
    bought,
    stack: null,
    toBuy: purchase && { amount: purchase.litres, paid: purchase.cost },
  }
}

/** The picture of a line in a sentence. */
export const stackText = ({ need, there, packs, left }: PackStack, units: UnitSystem): string =>
  [
    `${volumeText(need, units)} needed`,
    there > 0 ? `${volumeText(there, units)} there already` : '',
    packs.length > 0 ? `${counted(packs.length, 'pack')} to buy` : '',
    left > 0 ? `${volumeText(left, units)} left over` : 'nothing left over',
  ]
    .filter(Boolean)
    .join(', ')

const DOSE_WHERE: Record<DoseTotal['place']['kind'], string> = {
  throughout: 'by weight or spoon: see Make',
  top: 'into the top at filling, see Fill',
  hole: 'into the planting holes, see Fill',
  heldBack: 'put on later, see Season',
}
function doseLine(line: DoseLine, units: UnitSystem): GatherLine {
  const { id, name, grams, place, purchase, bought } = line
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
            purchase.packs
              .filter((p) => p.count > 0)
              .map(({ count, kg }) => `${count} × ${weightText(kg, units)} pack`)
              .join(' + ') || (bought ? 'bought' : 'nothing'),
          small: [
            ...(bought && bought.amount > 0
              ? [`bought: ${doseWeightText(bought.amount * 1000, units)}`]
              : []),
            ...(purchase.fromStock - (bought?.amount ?? 0) > 0
              ? [
                  `${doseWeightText((purchase.fromStock - (bought?.amount ?? 0)) * 1000, units)} from your shelf`,
                ]
              : []),
            where,
          ],
        }
      : { sentence: where },
    leftover: purchase ? doseWeightText(purchase.leftover * 1000, units) : '',
    cost: purchase ? costText(paidFor(line)) : '',
    bought,
    stack: null,
    toBuy: purchase && { amount: purchase.bought, paid: purchase.cost },
    wet: purchase ? ['as it comes'] : [],
  }
}

/** Everything to gather for a job, as the list shows it. */
export const gatherLines = (
  materials: readonly ShoppingLine[],
  mixes: readonly MixLine[],
  doses: readonly DoseLine[],
  units: UnitSystem,
): GatherLine[] => {
  const came = new Set<string>()
  return [
    ...materials.map((l) => materialLine(l, units, came)),
    ...mixes.map((l) => mixLine(l, units)),
    ...doses.map((l) => doseLine(l, units)),
  ]
}

/** "a pack of peat: makes 190 L", "all the peat on hand: makes 95 L". */
export const useUpText = ({ materialId, what, mix }: UseUp, units: UnitSystem): string =>
  `${what === 'pack' ? 'a pack of' : 'all on hand of'} ${lowerFirst(shortName(materialId))}: makes ${volumeText(mix, units)}`

/** By what a line is ticked: the id of its material, mix or dressing. */
export const boughtId = ({ what }: GatherLine): string =>
  'material' in what ? what.material.id : 'mix' in what ? what.mix.id : what.dose

/** Everything kept of buying with one line ticked or unticked. */
export function withBought(bought: readonly Bought[], line: GatherLine, done: boolean): Bought[] {
  const id = boughtId(line)
  const rest = bought.filter((b) => b.id !== id)
  if (!done || !line.toBuy) return rest
  const had = line.bought ?? { amount: 0, paid: 0, lot: '' }
  const { amount, paid } = line.toBuy
  return [
    ...rest,
    {
      id,
      amount: had.amount + amount,
      paid: had.paid === null || paid === null ? null : had.paid + paid,
      lot: had.lot,
    },
  ]
}

/** Ticked, and nothing more to buy. */
export const isBought = ({ bought, toBuy }: GatherLine): boolean =>
  bought !== null && toBuy !== null && toBuy.amount <= 0

/** The list as plain text, to send to somebody who goes to the shop. */
export const shoppingText = (title: string, lines: readonly GatherLine[]): string =>
  [
    title,
    ...lines.map((line) => {
      const buy = 'strong' in line.buy ? [line.buy.strong, ...line.buy.small].join(', ') : line.buy.sentence
      return `${isBought(line) ? '[x]' : '[ ]'} ${line.name}: ${line.measure}; ${buy}`
    }),
  ].join('\n')
