import { lowerFirst } from '../base/counted'
import { moneyText } from '../base/sums'
import {
  isMet,
  meetsAll,
  STEP_OF,
  type Candidate,
  type Relaxation,
  type Without,
  type TargetName,
  type Found,
  type Look,
} from '@/core/finder'
import { verdictFrom } from '@/model/mix/verdict'
import { shortName } from '../base/titles'
import { partsText } from './recipes'
import { alsoText, verdictText } from './topics'
import { percentText, rateFigure, rateUnit, type UnitSystem } from '../base/units'

export const WITHOUT_NAMES: Record<Without, string> = {
  peat: 'peat',
  soil: 'soil',
  floating: 'anything that floats',
  unsterile: 'anything not clean as bought',
  animal: 'manure',
}
const TARGET_WORDS: Record<TargetName, string> = {
  airFilledPorosity: 'air',
  easilyAvailableWater: 'water',
  pH: 'pH',
  electricalConductivity: 'salts',
  drainedDensity: 'weight',
  structureLost: 'lasting',
  drainedToEasy: 'water between waterings',
}
const byTarget: Record<TargetName, (distance: number) => string> = {
  airFilledPorosity: (d) => `${(d * 100).toFixed(d < 0.01 ? 1 : 0)} points`,
  easilyAvailableWater: (d) => `${(d * 100).toFixed(d < 0.01 ? 1 : 0)} points`,
  pH: (d) => d.toFixed(1),
  electricalConductivity: (d) => `${d.toFixed(1)} dS/m`,
  drainedDensity: (d) => `${d.toFixed(2)} kg/L`,
  structureLost: (d) => percentText(d),
  drainedToEasy: (d) => `${(d * 100).toFixed(d < 0.01 ? 1 : 0)} points`,
}
/** A recipe found, as it is written out. */
export const foundText = ({ parts }: Pick<Candidate, 'parts'>): string =>
  partsText(
    parts.toSorted((a, b) => b.parts - a.parts).map((p) => ({ materialId: p.id, twelfths: p.parts * 12 })),
  )

/** "meets all of it", or by how much it misses what. */
export function fitText({ misses }: Candidate): string {
  const words = (Object.entries(misses) as [TargetName, number][])
    .filter(([, m]) => !isMet(m))
    .sort((a, b) => b[1] - a[1])
    .map(([target, miss]) => `${TARGET_WORDS[target]} by ${byTarget[target](miss * STEP_OF[target])}`)
  return words.length ? `misses ${words.join(', ')}` : 'meets all of it'
}

/** When giving up no single wish helps the others: the one band out of reach, or all of them together. */
export function onlyText(best: Candidate | null): string {
  const missed = best ? Object.entries(best.misses).filter(([, m]) => !isMet(m)) : []
  return missed.length === 1
    ? `Only ${TARGET_WORDS[missed[0]![0] as TargetName]} is out of reach; everything else is met as it is.`
    : 'No single rule or target: together they cannot be met.'
}

/** What a grower could give up, and what that would buy. */
export function givenUpText({ givenUp, best }: Relaxation): string {
  const to = meetsAll(best) ? 'everything else can be met' : `it comes nearer: ${fitText(best)}`
  if (givenUp.kind === 'target') return `Without the target for ${TARGET_WORDS[givenUp.target]}, ${to}.`
  const { rule, what } = givenUp
  switch (rule) {
    case 'without':
      return `With ${WITHOUT_NAMES[what as Without]} allowed, ${to}.`
    case 'mustUse':
      return `Without having to use ${lowerFirst(shortName(String(what)))}, ${to}.`
    case 'useUp':
      return `Without using up ${lowerFirst(shortName(String(what)))}, ${to}.`
    case 'mustNotUse':
      return `With ${lowerFirst(shortName(String(what)))} allowed, ${to}.`
    case 'maxCostPerLitre':
      return `For more than ${moneyText(Number(what))} a litre, ${to}.`
    case 'maxPacks':
      return `With more than ${what} packs, ${to}.`
    case 'oneGrade':
      return `With two grades of a material, ${to}.`
    case 'minFamilies':
      return `With fewer kinds of material, ${to}.`
    case 'maxMaterials':
      return `With more than ${what} materials, ${to}.`
    case 'maxParts':
      return `With finer parts, ${to}.`
  }
}

/** What the bench would say of a recipe: its verdict, then in a few words what else there is. */
export function saidText({ findings, verdicts }: Look, cropName: string | null): string {
  const also = alsoText(findings)
  return `${verdictText(verdictFrom(findings, verdicts), cropName)}${also ? ` Also: ${also}.` : ''}`
}

/** "7 of 10": in how many lots of such materials every band is met. */
export const chanceText = (chance: number): string => `${Math.round(chance * 10)} of 10`

/** The same of the mix in hand, in a sentence. */
export const chanceSentence = (chance: number): string =>
  `Bags differ: about ${Math.round(chance * 10)} in 10 batches would meet every target.`

/** How many ways meet all of it, over what was found. */
export function foundHeading(found: readonly Found[]): string {
  if (found.length === 0) return 'No recipe keeps these rules'
  const ways = found.filter((f) => meetsAll(f.candidate)).length
  if (ways === 0) return 'Nothing meets all of it'
  return ways === 1 ? 'One way meets all of it' : `${ways} ways meet all of it`
}

/** What lies where on the picture of cost against fit: the best fit, and the cheapest where that is another. */
export function fitSentence(
  points: readonly { found: Found; rank: number; cost: number }[],
  units: UnitSystem,
): string {
  const best = points.reduce<(typeof points)[number] | undefined>(
    (a, b) => (a && a.rank < b.rank ? a : b),
    undefined,
  )
  const cheapest = points[0]
  if (!best || !cheapest) return ''
  const named = (p: typeof best) =>
    `${foundText(p.found.candidate)}, at ${rateFigure(p.cost, units)} ${rateUnit(units)}`
  return best === cheapest
    ? `Nothing found is both cheaper and better than number ${best.rank}: ${named(best)}.`
    : `Best: number ${best.rank}, ${named(best)}. Cheapest: number ${cheapest.rank}, ${named(cheapest)}, and it ${fitText(cheapest.found.candidate)}.`
}
