import { limeAt, JUDGED_AFTER, type LimeChoice } from '../chemistry'
import type { Band, Crop } from '../data/types'
import type { Evaluation } from '../evaluate'
import type { Container } from '../geometry'
import { blend, type BlendPart } from '../mixing'
import type { FeedFlag } from '../nutrients'
import type { Centimetres, Days, Fraction } from '../units'
import { containerProfile } from '../water'
import { SEEDLING_VOLUME } from './limits'

/** Something the numbers say that a grower should hear, as plain data; ranked by `level`. */
export type Judgement = { level: 'alarm' | 'warn' | 'note' } & (
  | { code: 'too-little-air'; air: Fraction; wanted: Fraction; depth: Centimetres }
  | { code: 'foot-drowned'; height: Centimetres; depth: Centimetres; air: Fraction }
  | { code: 'sand-lowers-air'; material: string; share: Fraction; air: Fraction; without: Fraction }
  | { code: 'lime-does-little'; gramsPerLitre: number; pH: number; halfPH: number }
  | { code: 'water-raises-ph'; from: number; to: number; weeks: number; most: number }
  | { code: 'hard-water-for-acid'; alkalinity: number; limit: number; most: number }
  | { code: 'rich-for-seedlings'; share: Fraction; ec: number; limit: number }
  | { code: 'unsterile-for-seeds'; materials: string[] }
  | { code: 'coir-wants-calcium'; share: Fraction; calcium: number; wanted: number }
  | { code: 'tips-in-wind'; at: number; met: number }
  | { code: 'slumps'; years: number; lost: Fraction; air: Fraction; wanted: Fraction }
  | { code: 'blossom-end-rot'; days: Days; keeps: Days; crop: string }
  | { code: 'much-compost'; share: Fraction; limit: Fraction }
  | FeedFlag
)
export type JudgementCode = Judgement['code']

/** Mean winds met several times a year, m/s; gusts go half as far again. Source: common practice. */
export const WIND_MET = { sheltered: 8, open: 14, exposed: 20 } as const
export type WindExposure = keyof typeof WIND_MET

/** Salts seedlings bear in the saturated extract, dS/m. Source: Warncke & Krauskopf, greenhouse media: 0.75-2 acceptable for seedlings (from memory). */
export const SEEDLING_SALTS = 2
/** Compost and manure beyond this share of a mix bring salts and slump. Source: common practice, a third at most. */
export const MOST_COMPOST: Fraction = 0.4
/** Air below which roots of nearly everything suffer. Source: common practice; Handreck & Black name 7 % as the least (from memory). */
const DROWNED: Fraction = 0.04
/** Calcium a coir mix wants from lime, gypsum or nitrate, mg/L. Source: common practice, buffered coir. */
const COIR_CALCIUM = 300
/** Above it lime works against its own ceiling. */
const PLATEAU = 7
/** Half the lime that gets as near as this was as good, pH. */
const HARDLY = 0.3
/** Crops that want a pH no higher than this are of sour ground, and water this hard undoes it in the end, meq/L. Source: common practice. */
const ACID = 5.6
const HARD_WATER = 2
/** A creep of pH through the season worth a word. */
const CREEP = 0.4

export interface JudgementQuestion {
  evaluation: Evaluation
  container: Container
  parts: readonly BlendPart[]
  limes: readonly LimeChoice[]
  crop?: Crop
  airWanted: Band
  pHWanted: Band
  /** Where it stands; null where nobody said. */
  wind: WindExposure | null
  /** Bed of the ground: no wind tips it. */
  wide: boolean
  /** Days between the waterings that can be kept; null where nobody said. */
  waterEvery: Days | null
  /** Alkalinity of the water, meq/L. */
  waterAlkalinity: number
  /** Elemental calcium of what is given beside lime, mg/L. */
  calciumGiven: number
}

const CLEAN: ReadonlySet<string> = new Set(['peat', 'coir'])
const familyShare = (e: Evaluation, ...families: string[]) =>
  e.blend.shares.reduce((s, p) => s + (families.includes(p.material.family) ? p.share : 0), 0)

/**
 * What stands out in a mix for its pot, crop and place, the gravest first: rules that read the numbers of the evaluation and
 * carry them. Fractions, cm, dS/m, mg/L, m/s, days. Sources beside each limit; errors none.
 */
export function judge(q: JudgementQuestion): Judgement[] {
  const { evaluation: e, crop } = q
  const found: Judgement[] = []
  const { airFilledPorosity: air, mixVolume } = e.mix
  const seedlings = mixVolume < SEEDLING_VOLUME

  if (air < q.airWanted.low - 0.005)
    found.push({
      level: air < q.airWanted.low / 2 ? 'alarm' : 'warn',
      code: 'too-little-air',
      air,
      wanted: q.airWanted.low,
      depth: e.mixDepth,
    })
  const mixSlices = e.profile.slices.filter((s) => s.height > e.fill.mixHeight - e.mixDepth)
  const drowned = mixSlices.filter((s) => s.air < DROWNED)
  const height = drowned.length ? (e.mixDepth * drowned.length) / mixSlices.length : 0
  if (height > e.mixDepth / 3)
    found.push({ level: 'warn', code: 'foot-drowned', height, depth: e.mixDepth, air: DROWNED })

  for (const { material, share } of e.blend.shares) {
    if (material.family !== 'sand' || share < 0.06) continue
    const rest = q.parts.filter((p) => p.material.material.id !== material.id)
    const other = rest.length ? blend(rest) : null
    if (!other?.ok) continue
    const without = airOf(q.container, e, other.value)
    if (without > air + 0.01)
      found.push({ level: 'warn', code: 'sand-lowers-air', material: material.id, share, air, without })
  }

  const grams = e.lime.gramsPerLitre
  if (grams > 1 && e.lime.pH > PLATEAU) {
    const half = limeAt(e.blend, q.limes, grams / 2, JUDGED_AFTER).pH
    if (e.lime.pH - half < HARDLY)
      found.push({
        level: 'warn',
        code: 'lime-does-little',
        gramsPerLitre: grams,
        pH: e.lime.pH,
        halfPH: half,
      })
  }
  const last = e.acidity.at(-1)
  const settled = e.acidity.find((s) => s.day >= JUDGED_AFTER)
  if (!seedlings && last && settled && last.pH - settled.pH > CREEP && last.pH > q.pHWanted.high + 0.05)
    found.push({
      level: 'warn',
      code: 'water-raises-ph',
      from: settled.pH,
      to: last.pH,
      weeks: Math.round(last.day / 7),
      most: q.pHWanted.high,
    })
  else if (q.crop && q.pHWanted.high <= ACID && q.waterAlkalinity >= HARD_WATER)
    found.push({
      level: 'warn',
      code: 'hard-water-for-acid',
      alkalinity: q.waterAlkalinity,
      limit: HARD_WATER,
      most: q.pHWanted.high,
    })

  const rich = familyShare(e, 'compost', 'manure')
  const ec = e.salts.mix.electricalConductivity.saturatedExtract
  if (seedlings) {
    if (ec > SEEDLING_SALTS || familyShare(e, 'manure') > 0.05)
      found.push({ level: 'warn', code: 'rich-for-seedlings', share: rich, ec, limit: SEEDLING_SALTS })
    // Peat and coir are near enough clean (common practice), though nobody heats them.
    const unsterile = e.blend.shares
      .filter((p) => p.material.sterileAsBought === 'n' && !CLEAN.has(p.material.family))
      .map((p) => p.material.id)
    if (unsterile.length > 0) found.push({ level: 'note', code: 'unsterile-for-seeds', materials: unsterile })
  } else if (rich > MOST_COMPOST)
    found.push({ level: 'note', code: 'much-compost', share: rich, limit: MOST_COMPOST })

  const coir = familyShare(e, 'coir')
  const calcium = e.lime.doses.reduce((s, d) => s + d.gramsPerLitre * 1000 * d.lime.calcium, q.calciumGiven)
  if (coir > 0.3 && calcium < COIR_CALCIUM)
    found.push({ level: 'note', code: 'coir-wants-calcium', share: coir, calcium, wanted: COIR_CALCIUM })

  const tips = e.growing?.tippingWind
  if (!q.wide && !seedlings && tips !== undefined && q.wind !== null && tips < WIND_MET[q.wind])
    found.push({ level: 'warn', code: 'tips-in-wind', at: tips, met: WIND_MET[q.wind] })

  const later = e.seasons.find((s) => s.years === 3) ?? e.seasons.at(-1)
  if (
    crop?.perennial &&
    later &&
    (later.volumeLost > 0.2 || later.airFilledPorosity < q.airWanted.low - 0.02)
  )
    found.push({
      level: 'warn',
      code: 'slumps',
      years: later.years,
      lost: later.volumeLost,
      air: later.airFilledPorosity,
      wanted: q.airWanted.low,
    })

  const g = e.growing
  if (crop && g && g.thirstiestMonth !== null && /blossom end rot/i.test(crop.notes)) {
    const { days } = g.watering[g.thirstiestMonth - 1]!
    const keeps = q.waterEvery ?? 1
    if (days.value < keeps)
      found.push({ level: 'warn', code: 'blossom-end-rot', days: days.value, keeps, crop: crop.id })
  }
  for (const flag of e.flags)
    found.push({
      level: flag.code === 'boron-high' || flag.code === 'dose-above-limit' ? 'alarm' : 'warn',
      ...flag,
    })
  const RANK = { alarm: 0, warn: 1, note: 2 }
  return found.sort((a, b) => RANK[a.level] - RANK[b.level])
}

/** Air another blend would have in the same place, above the same layers. */
function airOf(
  container: Container,
  e: Evaluation,
  other: { totalPorosity: number; waterAt: (tension: number) => number },
): Fraction {
  const floor = e.fill.mixHeight - e.mixDepth
  const layers = [
    ...(floor > 0 ? [{ top: floor, totalPorosity: other.totalPorosity, waterAt: other.waterAt }] : []),
    { top: e.fill.mixHeight, totalPorosity: other.totalPorosity, waterAt: other.waterAt },
  ]
  return containerProfile(container, layers, 60).layers.at(-1)!.airFilledPorosity
}

/** What an answered warning is known by: its rule, and the thing it warns of where there can be several. */
export function judgementKey(j: Judgement): string {
  if (j.code === 'sand-lowers-air') return `${j.code} ${j.material}`
  if (j.code === 'dose-above-limit') return `${j.code} ${j.dressing}`
  if (j.code === 'salts-high') return `${j.code} ${j.where}`
  return j.code
}

/** How much is said against a mix: an alarm counts for three warnings, a note for nothing. */
export const severityOf = (judgements: readonly Judgement[]): number =>
  judgements.reduce((sum, { level }) => sum + (level === 'alarm' ? 3 : level === 'warn' ? 1 : 0), 0)
