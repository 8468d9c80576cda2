import { lowerFirst } from '../base/counted'
import { cropInText } from '../base/cropInText'
import type { Judgement } from '@/core/judgement'
import { cropRow } from '@/core/data/cropTable'
import type { DoseKind } from '@/core/nutrients'
import { allOf } from '../base/labels'
import { MONTHS } from '../base/months'
import { shortName } from '../base/titles'
import { dressingName } from '../shelf/dressings'
import {
  doseText,
  intervalText,
  lengthText,
  percentText,
  pHText,
  temperatureText,
  volumeText,
  windText,
  type UnitSystem,
} from '../base/units'
import type { JudgementText } from './judgementText'
import { WATER_TEXTS } from './waterJudgements'

export type { JudgementText }

const percents = (x: number) => percentText(x)
const ec = (x: number) => `${x.toFixed(1)} dS/m`
/** Parts that last for years, and what such materials are called by. Source: common practice. */
const LASTING: Readonly<Record<string, RegExp>> = {
  bark: /bark/,
  pumice: /pumice/,
  grit: /grit/,
  loam: /^soil_/,
}
/** What else to add for years: none that is in it already. */
function lastingText(ids: readonly string[]): string {
  const others = Object.keys(LASTING).filter((name) => !ids.some((id) => LASTING[name]!.test(id)))
  return others.length > 0
    ? `add more of what lasts: ${others.join(', ')}`
    : 'give more room to what lasts, and renew the top every spring'
}
/** "What rots: peat, compost. " */
const partsThat = (what: 'goes' | 'stays', ids: readonly string[]) =>
  ids.length === 0
    ? ''
    : `${what === 'goes' ? 'What rots' : 'What lasts'}: ${ids.map((id) => lowerFirst(shortName(id))).join(', ')}. `

/** "May", "October to February": months in the order they come, runs of them by their ends. */
function monthsText(months: readonly number[]): string {
  const runs: number[][] = []
  for (const month of months) {
    const run = runs.at(-1)
    if (run && month === (run.at(-1)! % 12) + 1) run.push(month)
    else runs.push([month])
  }
  const [first, last] = [runs[0], runs.at(-1)]
  if (first && last && runs.length > 1 && first[0] === (last.at(-1)! % 12) + 1) {
    runs.pop()
    runs[0] = [...last, ...first]
  }
  const name = (month: number) => MONTHS[month - 1]!
  return runs
    .map((run) => (run.length > 1 ? `${name(run[0]!)} to ${name(run.at(-1)!)}` : name(run[0]!)))
    .join(', ')
}
const mg = (x: number) => `${x.toFixed(x < 10 && x >= 0.05 ? 1 : 0)} mg/L`

/** "Blood meal and hoof and horn". */
function namesText(ids: readonly string[]): string {
  const text = new Intl.ListFormat('en-GB').format(ids.map((id) => lowerFirst(dressingName(id))))
  return text.charAt(0).toUpperCase() + text.slice(1)
}

/** What several feeds of a kind bring together; other kinds are called by their element. */
const DOSE_KINDS: Partial<Record<DoseKind, string>> = {
  nitrogen: 'nitrogen feed',
  phosphate: 'phosphate',
  potash: 'potash',
  lime: 'lime',
  acid: 'acidifier',
}

/** What each judgement says, and what to do about it. */
const TEXTS: {
  [C in Judgement['code']]: (j: Extract<Judgement, { code: C }>, units: UnitSystem) => JudgementText
} = {
  ...WATER_TEXTS,
  'too-little-air': (j, units) => ({
    says: `Too little air: ${percents(j.air)} after draining where ${percents(j.wanted)} is the least wanted, in ${lengthText(j.depth, units)} of depth.`,
    does: `More of something coarse and stiff (bark, coarse perlite, pumice), less of what is fine; or a ${j.inGround ? 'higher bed' : 'deeper container'}.`,
    source: 'crop table; profile of this container',
  }),
  'foot-drowned': (j, units) => ({
    says: `The lowest ${lengthText(j.height, units)} of ${lengthText(j.depth, units)} keep under ${percents(j.air)} air: roots stop there.`,
    does: `A coarser mix or a ${j.inGround ? 'higher bed' : 'deeper container'}. Gravel below does not help: it only lifts the wet zone.`,
    source: 'retention at rest; common practice',
  }),
  'stays-wet': (j) => ({
    says: `In ${monthsText(j.months)} more rain falls on it than plants use: it stays wet, with ${percents(j.air)} air.`,
    does: `A faster mix, ${percents(j.better)} air or more; feet under the pot, no saucer, or a place out of the rain.`,
    source: 'rain of your place against water use; common practice',
  }),
  'sand-lowers-air': (j) => ({
    says: `${shortName(j.material)} takes air away here: ${percents(j.air)} with it, ${percents(j.without)} without.`,
    does: j.isSoil
      ? 'In a pot its fine pores stay full of water, which in open ground would drain on down. Half as much, with something coarse in its place; or a bed open to soil.'
      : 'Its grains fill the gaps. Leave it out, or keep it for weight and put something coarse beside it.',
    source: 'packing of the grain sizes',
  }),
  'lime-too-much': (j, units) => ({
    says: `All lime together is ${doseText(j.gramsPerLitre, units)} as calcium carbonate, ${j.times.toFixed(1)} times what a mix takes.`,
    does: 'Give the lime the mix asks for, and check the unit it was typed in. Above pH 7.5 iron and manganese are out of reach.',
    source: 'lime table; the shares of each limit added up',
  }),
  'lime-does-little': (j, units) => ({
    says: `${doseText(j.gramsPerLitre, units)} of lime brings pH ${pHText(j.pH)}; half of it would bring ${pHText(j.halfPH)}.`,
    does: 'Ground lime stops dissolving near pH 7.4. Give half, and look again in six weeks.',
    source: 'lime course',
  }),
  'lime-against-acid': (j, units) => ({
    says: `${dressingName(j.dressing)} makes it more acid and ${doseText(j.lime, units)} of lime undoes it.`,
    does: 'Give one or the other: leave it out where the mix is acid enough already, or set the lime to none.',
    source: 'charge balance',
  }),
  'pot-too-small': (j, units) => ({
    says: `Too little root room: ${volumeText(j.room, units)} for one ${cropInText(cropRow(j.crop)?.name ?? j.crop)}, where ${volumeText(j.wanted, units)} is usual. It would stay at ${percents(j.share)} of its size and need water all day long.`,
    does: 'No mix makes up for it: take a larger container, fewer plants, or a smaller crop.',
    source: 'Poorter et al. 2012',
  }),
  'rich-for-seedlings': (j) => ({
    says: `For seedlings this is rich: salts ${ec(j.ec)} where ${ec(j.limit)} is the most, compost and manure ${percents(j.share)}.`,
    does: 'Sow in a lean mix and prick out into this; or keep the compost to a fifth and let it be old.',
    source: 'saturated extract guide for seedlings (from memory)',
  }),
  'unsterile-for-seeds': (j, units) => ({
    says: `Seeds may meet damping-off and weeds in ${j.materials.map((m) => lowerFirst(shortName(m))).join(', ')}.`,
    does: `Heat soil, sand or old mix to ${temperatureText(71, units)} for 30 minutes (never compost, bark or castings), or take parts that are clean as bought.`,
    source: 'Baker 1957',
  }),
  'coir-wants-calcium': (j) => ({
    says: `Coir is ${percents(j.share)} of it and holds calcium fast; only ${mg(j.calcium)} is given where ${mg(j.wanted)} is wanted.`,
    does: 'Coir that was buffered by its maker, a gram or two of gypsum for each litre, or ground limestone if pH allows.',
    source: 'common practice',
  }),
  'traces-short': (j) => ({
    says: [
      j.unsupplied.length > 0 ? `Nothing in it brings enough ${allOf(j.unsupplied)}.` : '',
      j.heldBack.length > 0 ? `At pH ${j.pH.toFixed(1)} plants reach too little ${allOf(j.heldBack)}.` : '',
    ]
      .filter(Boolean)
      .join(' '),
    does:
      j.unsupplied.length > 0
        ? 'A tenth of compost, or a feed with trace elements at its label’s rate.'
        : 'Bring the pH into the crop’s range; chelated iron helps for a while.',
    source: 'common practice; availability by pH from memory',
  }),
  'traces-harm': (j) => ({
    says: `So much ${allOf(j.traces)} is available that leaves may spot and edges burn, at pH ${j.pH.toFixed(1)} most of all.`,
    does: 'Leave out the trace feed; where pH is low, lime.',
    source: 'common practice',
  }),
  'tips-in-wind': (j, units) => ({
    says: `Drained and full grown it begins to tip in a wind of ${windText(j.at, units)}; your place sees ${windText(j.met, units)} several times a year.`,
    does: j.tooHeavy
      ? 'A wider pot, or a tie to the wall: it is too heavy to lift as it is.'
      : 'A third of loam or grit for weight, a wider pot, or a tie to the wall.',
    source: 'statics; winds from common practice',
  }),
  slumps: (j) => ({
    says: `After ${j.years} years ${percents(j.lost)} of it is gone and air is at ${percents(j.air)} (${percents(j.wanted)} wanted).`,
    does: `${partsThat('goes', j.going.length > 0 ? j.going : j.losing)}${partsThat(
      'stays',
      j.staying.filter((id) => !j.losing.includes(id)),
    )}For years in the same mix, ${lastingText([...j.going, ...j.staying])}.`,
    source: 'rot of each part, packed again',
  }),
  'nitrogen-for-roots': (j) => ({
    says: `For a root crop this is rich: ${mg(j.mgPerLitre)} of available nitrogen in the first days, ${mg(j.limit)} is much.`,
    does: 'It makes leaf, and forked or hairy roots. Leave the nitrogen out at mixing, and feed a little once roots swell.',
    source: 'common practice',
  }),
  'blossom-end-rot': (j) => ({
    says: `In the thirstiest month it wants water ${intervalText(j.days)}; you can keep ${intervalText(j.keeps)}.`,
    does: 'From wet to dry and back is the usual cause of blossom end rot, not want of lime. More mix for each plant, mulch, shade, or a drip line.',
    source: 'watering interval; common practice',
  }),
  'much-compost': (j) => ({
    says: `Compost and manure are ${percents(j.share)} of it; beyond ${percents(j.limit)} salts and slump grow.`,
    does: 'Swap some for bark, peat or coir, and feed instead.',
    source: 'common practice',
  }),
  'ammonium-when-cold': (j, units) => ({
    says: `${percents(j.share)} of the available nitrogen is ammonium, in a mix near ${temperatureText(j.temperature, units)}.`,
    does: 'Cold mix turns it slowly and roots burn. Half of it as nitrate, or wait for warmth.',
    source: 'common practice',
  }),
  'boron-high': (j) => ({
    says: `Boron ${mg(j.mgPerLitre)} ${j.soon ? 'within a month' : 'over the season'} where ${mg(j.limit)} is plenty.`,
    does: j.soon
      ? `Most of it is in the ${lowerFirst(dressingName(j.dressing))}: leave that out, or take a tenth. Beans and strawberries suffer first. Never dose it by the pinch.`
      : j.overdosed.length
        ? `It comes slowly, and ${lowerFirst(namesText(j.overdosed))} is more than a mix takes: halve it, with no other trace feed beside it.`
        : `It comes slowly, most of it from the ${lowerFirst(dressingName(j.dressing))}: no other trace feed beside it.`,
    source: 'Bunt 1988 (from memory)',
  }),
  'salts-high': (j) => ({
    says: `Salts ${ec(j.ec)} ${j.where === 'top' ? 'in the dressed top' : 'in the mix'}: it would cost ${percents(1 - j.yieldKept)} of the crop.`,
    does: 'Less feed at the start, some of it later; flush with plain water before planting.',
    source: 'Maas & Hoffman 1977',
  }),
  'phosphorus-for-sensitive': (j) => ({
    says: `Phosphorus ${mg(j.mgPerLitre)} over the season; heaths tolerate ${mg(j.limit)}.`,
    does: 'No bone meal, phosphate or compost for berries of this kind.',
    source: 'Handreck & Black (from memory)',
  }),
  'calcium-to-magnesium': (j) => ({
    says: `Calcium to magnesium is ${j.ratio.toFixed(1)} to 1, outside ${j.low} to ${j.high}.`,
    does:
      j.ratio > j.high
        ? 'Dolomite for part of the lime, or Epsom salts.'
        : 'Ground limestone or gypsum for part of the dolomite.',
    source: 'common practice',
  }),
  'dose-above-limit': (j, units) => ({
    says: `${doseText(j.gramsPerLitre, units)} of ${lowerFirst(dressingName(j.dressing))}; ${doseText(j.limit, units)} is where trouble begins.`,
    does: 'Halve it, and give the rest later if it is missed.',
    source: 'dressing table',
  }),
  'doses-add-up': (j) => ({
    says: `${namesText(j.dressings)} come to ${j.times.toFixed(1)} times the ${DOSE_KINDS[j.of] ?? j.of} one mix takes, though each alone is within its limit.`,
    does: 'Choose one of them, or give each so much less.',
    source: 'dressing table; the shares of each limit added up',
  }),
  'drawdown-uncovered': (j) => ({
    says: `Rotting wood and bark tie up ${mg(j.drawdown)} of nitrogen in the first month and only ${mg(j.supplied)} comes in.`,
    does: 'A gram of a nitrogen meal or a coated fertilizer for each litre, or aged bark.',
    source: 'Handreck 1992 index, as a range',
  }),
  'char-uncharged': (j) => ({
    says: `Uncharged biochar is ${percents(j.share)} of it: it takes up some ${mg(j.takes)} of nitrogen at first and raises the pH.`,
    does: 'Charge it before mixing: damp, one to one with ripe compost for a fortnight, or a day or more in dilute feed. Then choose the charged one here.',
    source: 'common practice',
  }),
  'crystals-swell': (j, units) => ({
    says: `Water crystals swell to ${percents(j.share)} of the volume: put in dry, they lift the surface by ${lengthText(j.lift, units)}.`,
    does: 'Swell them first, an hour or two in water, drain, and stir them in swollen. They are slippery, and dry ones are not for children.',
    source: 'Bowman and others 1990, from memory; common practice',
  }),
}

/** Is it said of the water? Its own page shows what each way of treating it does. */
export const isOfWater = ({ code }: Judgement): boolean => Object.hasOwn(WATER_TEXTS, code)

/** A judgement in words: what the numbers say, and what to do about it. */
export function judgementText(j: Judgement, units: UnitSystem): JudgementText {
  const say = TEXTS[j.code] as (j: Judgement, units: UnitSystem) => JudgementText
  return say(j, units)
}
