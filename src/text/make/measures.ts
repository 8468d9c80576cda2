import type { Evaluation } from '@/core/evaluate'
import type { Job } from '@/model/garden/schemas'
import type { Quantities } from '@/model/make/quantities'
import type { ShoppingLine } from '@/model/make/shoppingList'
import type { VesselChoice } from '@/model/make/vessels'
import { levelSpoons, METRIC_SPOONS, US_SPOONS, type SpoonMeasure, isRounded } from '@/core/batch'
import { isMeasurable, measureText } from '@/core/mixing'
import { LITRES } from '@/core/units'
import type { CardLine, Measured, BatchCard } from '@/model/make/batchCard'
import { VESSEL_NAMES } from '../bed/vessels'
import { counted, numberText, lowerFirst } from '../base/counted'
import { bedTitle, shortName } from '../base/titles'
import {
  doseWeightText,
  spoonfulText,
  volumeText,
  waterText,
  type UnitSystem,
  percentText,
  pHText,
} from '../base/units'

/** "2½ buckets", "½ bucket"; sums no scoop can measure read as "2.1 buckets". */
export const bucketsText = (twelfths: number) => {
  const shown = isMeasurable(twelfths)
    ? measureText(twelfths)
    : (twelfths / 12).toFixed(1).replace(/\.0$/, '')
  return plural(shown, 'bucket', 'buckets')
}

/** "2½ buckets + 4 scoops": one line of a batch. */
export function measureOfLine(
  {
    twelfths,
    scoopTwelfths,
    litres,
  }: {
    twelfths: number
    scoopTwelfths: number
    litres: number
  },
  units: UnitSystem,
): string {
  if (twelfths === 0 && scoopTwelfths === 0) return `${volumeText(litres, units)} by the mark`
  const scoops = plural(measureText(scoopTwelfths), 'scoop', 'scoops')
  return [twelfths > 0 && bucketsText(twelfths), scoopTwelfths > 0 && scoops].filter(Boolean).join(' + ')
}

/** Is a line measured by the litre mark, not in whole buckets and scoops? */
const isByMark = (line: { twelfths: number; scoopTwelfths: number }): boolean =>
  line.twelfths === 0 && line.scoopTwelfths === 0

/** Where a dose goes into part of a batch only: two piles, and which is which. */
export function pileText(
  { into, beds }: Pick<Extract<CardLine, { kind: 'dose' }>, 'into' | 'beds'>,
  units: UnitSystem,
): string {
  const whose = beds ? `for ${beds.map((b) => bedTitle(b.spec)).join(' and ')}` : ''
  if (into === null) return whose && `all of this batch is ${whose}`
  return `only into ${volumeText(into, units)} of this batch${whose && `, ${whose}`}; keep the rest apart`
}

const plural = (n: string, one: string, many: string) =>
  `${n} ${n === '1' || /^[¼⅓½⅔¾]$/.test(n) ? one : many}`

/** "¾ cup + 1 tablespoon, level"; nothing for none of any. */
export function spoonText({ jugs, cups, tablespoons, teaspoons }: SpoonMeasure, units: UnitSystem): string {
  const times = (n: number, one: string, many: string) =>
    n > 0 ? plural(measureText(Math.round(n * 12)), one, many) : ''
  const words = [
    units === 'us' ? times(jugs, 'quart', 'quarts') : times(jugs, 'litre', 'litres'),
    times(cups, 'cup', 'cups'),
    times(tablespoons, 'tablespoon', 'tablespoons'),
    times(teaspoons, 'teaspoon', 'teaspoons'),
  ].filter(Boolean)
  return words.length ? `${words.join(' + ')}, level` : ''
}

/** Less than a quarter teaspoon: no spoon measures it, but a tenth of a known mixture does. */
const TOO_LITTLE =
  'too little for a spoon: weigh it, or stir ten times as much into ten spoons of dry sand and give one'

/** Spoons for a dose, in the grower's own spoons. */
export const doseSpoons = (grams: number, bulkDensity: number, units: UnitSystem) =>
  spoonsOf(grams, bulkDensity, units) || TOO_LITTLE

/** The same; nothing where it is too little for a spoon. */
export const spoonsOf = (grams: number, bulkDensity: number, units: UnitSystem) =>
  spoonText(levelSpoons(grams, bulkDensity, units === 'us' ? US_SPOONS : METRIC_SPOONS), units)

/** A bucket or so, in round figures of the grower's own, litres. */
export const aBucket = (units: UnitSystem) => (units === 'metric' ? 10 : 3 * LITRES.usGallon)
/**
 * "640 g in all; 2 tablespoons, level for 10 L": a dose for the whole job, and for a bucketful by the spoon. Null
 * litres leave out the first.
 */
export function doseInHand(
  gramsPerLitre: number,
  bulkDensity: number,
  litres: number | null,
  units: UnitSystem,
): string {
  const spoons = spoonsOf(gramsPerLitre * aBucket(units), bulkDensity, units)
  return [
    litres === null ? '' : `${doseWeightText(gramsPerLitre * litres, units)} in all`,
    spoons && `${spoons} for ${volumeText(aBucket(units), units)}`,
  ]
    .filter(Boolean)
    .join('; ')
}

/** What a bucket is filled with. */
export const measuredName = (what: Measured): string =>
  'mix' in what ? what.mix.name : shortName(what.material.id)

/** A whole line of a batch card in words. */
export function lineText(line: CardLine, units: UnitSystem): string {
  return line.kind === 'measure'
    ? `${measureOfLine(line, units)} ${measuredName(line.what)}${isByMark(line) ? '' : ` (${volumeText(line.litres, units)})`}`
    : `${doseWeightText(line.grams, units)} ${lowerFirst(line.name)} (${doseSpoons(line.grams, line.bulkDensity, units)})${pileText(line, units) && `, ${pileText(line, units)}`}`
}

/** Parts of a container as people say them. */
const SHARES = [
  [1 / 10, 'a tenth'],
  [1 / 8, 'an eighth'],
  [1 / 6, 'a sixth'],
  [1 / 5, 'a fifth'],
  [1 / 4, 'a quarter'],
  [1 / 3, 'a third'],
  [1 / 2, 'half'],
  [2 / 3, 'two thirds'],
  [3 / 4, 'three quarters'],
] as const

/** "14 round pots", "3 of “Leeks”", "a quarter of the raised bed": what a batch fills of some containers. */
function fillsOf({ spec, count }: Job['fills'][number], filled: number): string {
  const { one, many } = VESSEL_NAMES[spec.vessel.kind]
  const name = spec.name.trim()
  if (filled >= 0.95) {
    const whole = Math.round(filled)
    if (count === 1) return name ? `“${name}”` : `the ${one.toLowerCase()}`
    return name ? `${numberText(whole)} of “${name}”` : counted(whole, one.toLowerCase(), many)
  }
  const [, share] = SHARES.reduce((a, b) => (Math.abs(b[0] - filled) < Math.abs(a[0] - filled) ? b : a))
  const of = name ? `“${name}”` : `${count === 1 ? 'the' : 'one'} ${one.toLowerCase()}`
  return filled < SHARES[0][0] / 2 ? `less than ${SHARES[0][1]} of ${of}` : `${share} of ${of}`
}

/**
 * "14 round pots": how many containers of each bed a batch fills, settling counted; nothing for a mix that goes into
 * another.
 */
export function batchFillsText(
  card: Pick<BatchCard, 'mix' | 'blendLitres' | 'of'>,
  job: Job,
  q: Pick<Quantities, 'needed'>,
): string {
  if (card.mix) return ''
  const all = job.fills.reduce((sum, bed) => sum + bed.count, 0)
  if (card.of === 1 && job.amount === null) return all === 1 ? 'it' : `all ${all}`
  const settled = card.blendLitres / (1 + job.plan.settling)
  return job.fills
    .flatMap((bed, i) => {
      const each = q.needed[i]?.net ?? 0
      const filled = settled / each
      return each > 0 && filled < MANY ? [fillsOf(bed, filled)] : []
    })
    .join(', or ')
}
/** More containers than this from one batch nobody counts. */
const MANY = 1000

/** "Batch 2", or of a finished mix "Base mix, batch 2". */
export const batchTitle = ({ mix, index }: Pick<BatchCard, 'mix' | 'index'>): string =>
  `${mix ? `${mix.name}, batch` : 'Batch'} ${index + 1}`

/** "Batch 2 of 3, 1 to go after it". */
export const batchPlaceText = (card: Pick<BatchCard, 'mix' | 'index' | 'of'>, after: number): string =>
  `${batchTitle(card)} of ${card.of}, ${after > 0 ? `${after} to go after it` : 'the last'}`

/** Batches that are measured alike, one after the other, as they stand on paper. */
export interface AlikeBatches {
  title: string
  lines: { line: CardLine; text: string; measure: string; name: string; more: string }[]
  /** How many of them: each line is ticked so often. */
  count: number
}

/** A line as it stands on paper: the measure large, then of what, then what it comes to. */
const printedLine = (line: CardLine, units: UnitSystem): AlikeBatches['lines'][number] =>
  line.kind === 'measure'
    ? {
        line,
        text: lineText(line, units),
        measure: measureOfLine(line, units),
        name: measuredName(line.what),
        more: isByMark(line) ? '' : volumeText(line.litres, units),
      }
    : {
        line,
        text: lineText(line, units),
        measure: doseWeightText(line.grams, units),
        name: line.name,
        more: [doseSpoons(line.grams, line.bulkDensity, units), pileText(line, units)]
          .filter(Boolean)
          .join('; '),
      }

/** Batches of a job for paper: what is measured alike stands once, with a box to tick for each. */
export function alikeBatches(cards: readonly BatchCard[], units: UnitSystem): AlikeBatches[] {
  const groups: { first: BatchCard; last: BatchCard; lines: AlikeBatches['lines'] }[] = []
  const inWords = (lines: AlikeBatches['lines']) => lines.map((l) => l.text).join('\n')
  for (const card of cards) {
    const lines = card.lines.map((line) => printedLine(line, units))
    const group = groups.at(-1)
    const alike = group && group.first.mix === card.mix && inWords(group.lines) === inWords(lines)
    if (alike) group.last = card
    else groups.push({ first: card, last: card, lines })
  }
  return groups.map(({ first, last, lines }) => {
    const count = last.index - first.index + 1
    const litres = volumeText(first.blendLitres, units)
    return {
      title:
        count === 1
          ? `${batchTitle(first)}: ${litres}`
          : `${batchTitle(first).replace(/([Bb])atch/, '$1atches')} to ${last.index + 1}, each ${litres}`,
      lines,
      count,
    }
  })
}

/** Less water than this is not worth a word, litres. */
const LEAST_WATER = 0.25

/** What has to be wetted before mixing, and how. */
export const soakingText = (list: readonly ShoppingLine[], units: UnitSystem) =>
  list
    .filter((l) => l.water >= LEAST_WATER)
    .map(({ material, packs, water, wettingAgent }) => {
      const { pack } = (packs.find((p) => p.count > 0) ?? packs[0]!).offer
      const how =
        material.family === 'peat'
          ? `, warm if you can, hours before; ${spoonfulText(wettingAgent, units)} of wetting agent if it sheds water`
          : pack.kind === 'block'
            ? ' to swell the block, an hour or more; then fluff it up'
            : ''
      return {
        id: material.id,
        name: shortName(material.id),
        words: `${waterText(water, units)} of water${how}.`,
      }
    })

const VESSEL_WORDS = { tub: 'A tub', barrow: 'A barrow', tarp: 'A tarp' } as const
/** What a job is mixed in, as a choice: "A tub, 65 L", "A 50 L bag of compost at a time". */
export const vesselText = ({ id, litres, bag }: VesselChoice, units: UnitSystem): string =>
  id === 'tub' || id === 'barrow' || id === 'tarp'
    ? `${VESSEL_WORDS[id]}, ${volumeText(litres, units)}`
    : `${shortName(id.slice('bag:'.length))}: a pack of ${volumeText(bag!, units)} loose at a time`

/** Which way whole measures are rounded, as a choice. */
export const ROUNDING_NAMES = [
  { value: 'more' as const, label: 'Up' },
  { value: 'less' as const, label: 'Down' },
  { value: 'exact' as const, label: 'Exactly, by the mark' },
]

/** Less over than this is not worth a word. */
const HARDLY_OVER = 0.005

/** "7 % to settle", "5 % over by whole measures": what more is made than stays in place, and why. */
export function overText({ plan, toBlend }: Quantities, settling: number): string[] {
  const over = plan.blendLitres / toBlend - 1
  return [
    ...(settling > 0 ? [`${percentText(settling)} goes when it settles`] : []),
    ...(Math.abs(over) >= HARDLY_OVER
      ? [`${percentText(Math.abs(over))} ${over > 0 ? 'over' : 'short'} from rounding to whole measures`]
      : []),
  ]
}

/** What rounding to the grower's measures makes of a mix; nothing where it hardly shows. */
export function asMeasuredText({ plan, asMeasured, asWritten }: Quantities): string {
  if (!isRounded(plan)) return ''
  const air = (e: Evaluation) => percentText(e.mix.airFilledPorosity, 1)
  const pairs = [
    ['air', air(asMeasured), air(asWritten)],
    ['pH', pHText(asMeasured.lime.pH), pHText(asWritten.lime.pH)],
  ].filter(([, is, was]) => is !== was)
  return pairs.length === 0
    ? ''
    : `As these buckets measure it: ${pairs.map(([what, is, was]) => `${what} ${is} instead of ${was}`).join(', ')}.`
}
