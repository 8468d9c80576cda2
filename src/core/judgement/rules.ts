import { isDose } from '../amounts'
import { limeAt } from '../chemistry'
import { USUAL_TEMPERATURE, type Evaluation } from '../evaluate'
import { yearMean } from '../growing'
import { blend, type Blend } from '../mixing'
import type { Fraction } from '../units'
import { lostStructure } from '../structure'
import { containerProfile } from '../water'
import { SEEDLING_VOLUME } from '../filling/limits'
import type { Judgement, JudgementQuestion } from './judgement'
import { JUDGEMENT_LIMITS, WIND_MET } from './limits'
import { potTooSmall } from './roomRules'
import { tracesAmiss } from './traceRules'
import { isGrave, saltsOfSeason, saltsRise, waterIon, waterRaisesPH, softenedWater } from './waterRules'
import { airVerdict, isFed, isSlump } from './verdicts'

/** One rule: what it finds, mostly nothing or one thing. */
type Rule = (q: JudgementQuestion) => Judgement[]

const L = JUDGEMENT_LIMITS

/**
 * Does a container hold so little that it raises seedlings? Nothing grows to its crop in it.
 *
 * @example
 * isForSeedlings({ mix: { mixVolume: 0.05 } }) // true
 */
export const isForSeedlings = (e: Pick<Evaluation, 'mix'>): boolean => e.mix.mixVolume < SEEDLING_VOLUME
const familyShare = (e: Evaluation, ...families: string[]): Fraction =>
  e.blend.shares.reduce((sum, p) => sum + (families.includes(p.material.family) ? p.share : 0), 0)

const tooLittleAir: Rule = ({ evaluation: e, airWanted, container }) => {
  const air = e.mix.airFilledPorosity
  if (airVerdict(air, airWanted) !== 'low') return []
  const level = air < airWanted.low * L.graveAir.value ? 'alarm' : 'warn'
  const inGround = container.base.kind === 'onSoil'
  return [{ level, code: 'too-little-air', air, wanted: airWanted.low, depth: e.mixDepth, inGround }]
}

const footDrowned: Rule = ({ evaluation: e, container }) => {
  const slices = e.profile.slices.filter((s) => s.height > e.fill.mixHeight - e.mixDepth)
  const drowned = slices.filter((s) => s.air < L.drownedAir.value)
  const height = (e.mixDepth * drowned.length) / slices.length
  return height > e.mixDepth * L.drownedDepth.value
    ? [
        {
          level: 'warn',
          code: 'foot-drowned',
          height,
          depth: e.mixDepth,
          air: L.drownedAir.value,
          inGround: container.base.kind === 'onSoil',
        },
      ]
    : []
}

/** Where rain falls faster than plants drink, the lower part of the air band is no longer enough. */
const staysWet: Rule = ({ evaluation: e, airWanted, crop }) => {
  const months = (e.growing?.wetMonths ?? []).filter((m) => m !== e.growing?.thirstiestMonth)
  const air = e.mix.airFilledPorosity
  const { standing = [], wetMonths = [] } = e.growing ?? {}
  // Wet for half of its season, it hardly dries between; winter is no season of what stays.
  const hardlyDries = !crop?.perennial && standing.length > 0 && wetMonths.length >= standing.length / 2
  const share = hardlyDries ? L.wetSeasonAir.value : L.wetPlaceAir.value
  const better = airWanted.low + share * (airWanted.high - airWanted.low)
  return months.length > 0 && air < better && airVerdict(air, airWanted) !== 'low'
    ? [{ level: 'warn', code: 'stays-wet', months, air, better }]
    : []
}

/** Air another blend would have in the same place, above the same layers. */
function airOf({ container, evaluation: e }: JudgementQuestion, other: Blend): Fraction {
  const floor = e.fill.mixHeight - e.mixDepth
  const { totalPorosity, waterAt } = other
  const tops = floor > 0 ? [floor, e.fill.mixHeight] : [e.fill.mixHeight]
  const entryTension = floor > 0 ? e.profile.baseTension + floor : undefined
  const layers = tops.map((top) => ({
    top,
    totalPorosity,
    waterAt,
    entryTension: top === floor ? entryTension : undefined,
  }))
  return containerProfile(container, layers, 60).layers.at(-1)!.airFilledPorosity
}

/** Sand, and in a container soil: what fills the gaps between coarser grains and holds water in its own fine ones. */
const sandLowersAir: Rule = (q) =>
  q.evaluation.blend.shares.flatMap(({ material, share }): Judgement[] => {
    const isSoil = material.family === 'soil' && q.container.base.kind !== 'onSoil'
    if ((material.family !== 'sand' && !isSoil) || share < L.sandShare.value) return []
    const rest = q.parts.filter((p) => p.material.material.id !== material.id)
    const other = rest.length ? blend(rest) : null
    if (!other?.ok) return []
    const air = q.evaluation.mix.airFilledPorosity
    const without = airOf(q, other.value)
    // Soil is there for its weight and its hold on water: it is named only where air is short.
    const counts = !isSoil || air < q.airWanted.low
    return counts && without > air + L.sandGain.value
      ? [{ level: 'warn', code: 'sand-lowers-air', material: material.id, isSoil, share, air, without }]
      : []
  })

const limeDoesLittle: Rule = ({ evaluation: e, limes }) => {
  const { gramsPerLitre, pH } = e.lime
  if (gramsPerLitre <= L.limeAsked.value || pH <= L.limePlateau.value) return []
  const halfPH = limeAt(e.blend, { choice: limes, gramsPerLitre: gramsPerLitre / 2 }, e.given).pH
  return pH - halfPH < L.limeHardly.value
    ? [{ level: 'warn', code: 'lime-does-little', gramsPerLitre, pH, halfPH }]
    : []
}

/**
 * All limes as one sum, each as a share of its own limit: the mix's own lime, lime of finished mixes and lime of lines.
 * Null where the lines alone bring lime, since a dose beyond its limit then says more.
 */
function limeBeyond({ evaluation: e }: JudgementQuestion): { gramsPerLitre: number; times: number } | null {
  if (!isDose(e.lime.gramsPerLitre)) return null
  const all = [...e.lime.doses, ...(e.given.limes ?? [])]
  const times = all.reduce((sum, d) => sum + d.gramsPerLitre / d.lime.usualLimit, 0)
  const gramsPerLitre = all.reduce(
    (sum, d) => sum + d.gramsPerLitre * d.lime.calciumCarbonateEquivalent.value,
    0,
  )
  return times > 1 ? { gramsPerLitre, times } : null
}

const limeTooMuch: Rule = (q) => {
  const beyond = limeBeyond(q)
  return beyond ? [{ level: 'alarm', code: 'lime-too-much', ...beyond }] : []
}

/** Two that undo each other: what makes a mix acid, and lime. */
const limeAgainstAcid: Rule = ({ evaluation: e }) => {
  const acid = e.given.acids?.find((a) => a.dressing.family === 'acidifier' && isDose(a.gramsPerLitre))
  return acid && isDose(e.lime.gramsPerLitre)
    ? [{ level: 'warn', code: 'lime-against-acid', dressing: acid.dressing.id, lime: e.lime.gramsPerLitre }]
    : []
}

/** Peat and coir are near enough clean (common practice), though nobody heats them. */
const CLEAN: ReadonlySet<string> = new Set(['peat', 'coir'])

const tooRich: Rule = ({ evaluation: e }) => {
  const share = familyShare(e, 'compost', 'manure')
  if (!isForSeedlings(e))
    return share > L.compost.value
      ? [{ level: 'note', code: 'much-compost', share, limit: L.compost.value }]
      : []
  const ec = e.salts.mix.electricalConductivity.saturatedExtract
  const limit = L.seedlingSalts.value
  return ec > limit || familyShare(e, 'manure') > L.seedlingManure.value
    ? [{ level: 'warn', code: 'rich-for-seedlings', share, ec, limit }]
    : []
}

const unsterileForSeeds: Rule = ({ evaluation: e }) => {
  const materials = e.blend.shares
    .filter((p) => p.material.sterileAsBought === 'n' && !CLEAN.has(p.material.family))
    .map((p) => p.material.id)
  return isForSeedlings(e) && materials.length
    ? [{ level: 'note', code: 'unsterile-for-seeds', materials }]
    : []
}

const coirWantsCalcium: Rule = ({ evaluation: e, calciumGiven }) => {
  const share = familyShare(e, 'coir')
  const calcium = e.lime.doses.reduce((sum, d) => sum + d.gramsPerLitre * 1000 * d.lime.calcium, calciumGiven)
  const wanted = L.coirCalcium.value
  return share > L.coirShare.value && calcium < wanted
    ? [{ level: 'note', code: 'coir-wants-calcium', share, calcium, wanted }]
    : []
}

const tipsInWind: Rule = ({ evaluation: e, wide, wind, liftable }) => {
  const at = e.growing?.tippingWind
  return !wide && !isForSeedlings(e) && at !== undefined && wind !== null && at < WIND_MET[wind]
    ? [
        {
          level: 'warn',
          code: 'tips-in-wind',
          at,
          met: WIND_MET[wind],
          tooHeavy: liftable !== null && e.weights.drained > liftable,
        },
      ]
    : []
}

const slumps: Rule = ({ evaluation: e, crop, airWanted }) => {
  const later = e.seasons.find((s) => s.years === 3) ?? e.seasons.at(-1)
  if (!crop?.perennial || !later) return []
  const { years, volumeLost: lost, airFilledPorosity: air } = later
  if (!isSlump(lost) && air >= airWanted.low - L.slumpAir.value) return []
  const temperature = yearMean(e.given.temperature ?? USUAL_TEMPERATURE)
  type Part = Evaluation['blend']['shares'][number]
  const rotted = ({ material }: Part) => lostStructure(material, years, temperature)
  const most = Math.max(...e.blend.shares.map((s) => s.share * rotted(s)))
  const isGoing = (s: Part) => rotted(s) >= L.goneHalf.value
  const ids = (of: (share: Evaluation['blend']['shares'][number]) => boolean) =>
    e.blend.shares.filter(of).map((s) => s.material.id)
  const wanted = airWanted.low
  return [
    {
      level: 'warn',
      code: 'slumps',
      years,
      lost,
      air,
      wanted,
      going: ids(isGoing),
      staying: ids((s) => !isGoing(s)),
      losing: ids((s) => s.share * rotted(s) >= most),
    },
  ]
}

const nitrogenForRoots: Rule = ({ evaluation: { growing }, crop }) => {
  const mgPerLitre = growing?.feeding.earlyNitrogen ?? 0
  const limit = L.rootNitrogen.value
  return crop?.kind === 'root veg' && mgPerLitre > limit
    ? [{ level: 'warn', code: 'nitrogen-for-roots', mgPerLitre, limit }]
    : []
}

const blossomEndRot: Rule = ({ evaluation: e, crop, waterEvery }) => {
  const { growing } = e
  if (!crop || isForSeedlings(e) || !growing?.thirstiestMonth || !/blossom end rot/i.test(crop.notes))
    return []
  const days = growing.watering[growing.thirstiestMonth - 1]!.days.value
  const keeps = waterEvery ?? 1
  return days < keeps - L.daysSlack.value
    ? [{ level: 'warn', code: 'blossom-end-rot', days, keeps, crop: crop.id }]
    : []
}

/** How grave a flag is: boron that comes slowly from feeds within their limits is a note. */
const levelOf = (flag: Evaluation['flags'][number]): Judgement['level'] =>
  flag.code === 'boron-high'
    ? flag.soon || flag.overdosed.length > 0
      ? 'alarm'
      : 'note'
    : flag.code === 'dose-above-limit' ||
        flag.code === 'doses-add-up' ||
        (flag.code === 'salts-high' && isGrave(flag.yieldKept))
      ? 'alarm'
      : 'warn'
/** One fault, one remedy: high boron speaks for trace feeds beyond their limit, too much lime for each lime in it. */
const saidAlready = (q: JudgementQuestion, flag: Evaluation['flags'][number]): boolean => {
  const { flags, given } = q.evaluation
  if (flag.code === 'doses-add-up') return flag.of === 'lime' && limeBeyond(q) !== null
  if (flag.code !== 'dose-above-limit') return false
  const { dressing } = flag
  const isLime = given.limes?.some((d) => d.lime.id === dressing) ?? false
  return (
    (isLime && limeBeyond(q) !== null) ||
    flags.some((f) => f.code === 'boron-high' && f.overdosed.includes(dressing))
  )
}

/** Nitrogen that wood takes at first, and that the season gives back before the crop misses it. */
const isMadeGood = ({ growing }: Evaluation, flag: Evaluation['flags'][number]) =>
  flag.code === 'drawdown-uncovered' && growing !== null && isFed(growing.feeding.met.nitrogen)

/** Salts so little above their limit that the bench calls them within. */
const isWithinSlack = (flag: Evaluation['flags'][number]) =>
  flag.code === 'salts-high' && flag.where === 'mix' && flag.ec <= flag.limit + L.saltsSlack.value

const feedFlags: Rule = (q) =>
  q.evaluation.flags
    .filter((flag) => !saidAlready(q, flag) && !isWithinSlack(flag) && !isMadeGood(q.evaluation, flag))
    .map((flag) => saltsOfSeason(flag, q))
    .map((flag): Judgement => ({ level: levelOf(flag), ...flag }))

/** In the order they are shown within a level. */
export const RULES: readonly Rule[] = [
  potTooSmall,
  tooLittleAir,
  footDrowned,
  staysWet,
  sandLowersAir,
  limeDoesLittle,
  limeTooMuch,
  limeAgainstAcid,
  waterRaisesPH,
  softenedWater,
  waterIon,
  saltsRise,
  tooRich,
  unsterileForSeeds,
  coirWantsCalcium,
  (q) => (isForSeedlings(q.evaluation) ? [] : tracesAmiss(q)),
  tipsInWind,
  slumps,
  nitrogenForRoots,
  blossomEndRot,
  feedFlags,
]
