import { counted, lowerFirst } from '../base/counted'
import type { BatchPlan } from '@/core/batch'
import type { Evaluation } from '@/core/evaluate'
import type { Job, Reading } from '@/model/garden/schemas'
import type { Sentence } from '../base/problems.en'
import type { MadeMix } from '@/model/make/asMade'
import type { CardLine } from '@/model/make/batchCard'
import type { PHCheck, SaltCheck } from '@/model/make/tubChecks'
import type { Press } from '@/model/make/tally'
import { measureText } from '@/core/mixing'
import { mixIn } from '@/model/mix/innerMix'
import { dressingName } from '../shelf/dressings'
import { shortName } from '../base/titles'
import { doseSpoons, lineText, measuredName } from './measures'
import { doseWeightText, percentText, pHText, volumeText, type UnitSystem } from '../base/units'

/** With a large first letter. */
export const capital = (text: string): string => text.replace(/^./, (c) => c.toUpperCase())

const nameOf = (job: Job, id: string) => mixIn(job, id)?.name ?? shortName(id)

/** What was made otherwise than a plan has it, a sentence for each measure. */
export const otherwiseTexts = (job: Job, plan: BatchPlan, units: UnitSystem): string[] =>
  [...job.otherwise]
    .sort((a, b) => a.batch - b.batch)
    .map(({ batch, materialId, litres, instead }) => {
      const of =
        litres > 0
          ? `${volumeText(litres, units)} of ${nameOf(job, materialId)}`
          : `no ${nameOf(job, materialId)}`
      const other =
        instead && instead.litres > 0
          ? `, ${volumeText(instead.litres, units)} of ${nameOf(job, instead.materialId)} in its place`
          : ''
      const planned = plan.batches[batch]?.measures.find((m) => m.id === materialId)?.litres ?? 0
      return `Batch ${batch + 1}: ${of} instead of ${volumeText(planned, units)}${other}.`
    })

/** What changes between two states of a mix, as far as it shows: "air 17 % instead of 15 %". */
function changeText(after: Evaluation, before: Evaluation): string {
  const pairs: [string, string, string][] = [
    ['air', percentText(after.mix.airFilledPorosity), percentText(before.mix.airFilledPorosity)],
    ['easy water', percentText(after.mix.easilyAvailableWater), percentText(before.mix.easilyAvailableWater)],
    ['pH', pHText(after.lime.pH), pHText(before.lime.pH)],
  ]
  const changed = pairs.filter(([, is, was]) => is !== was)
  return changed.length === 0
    ? 'Air, water and pH stay as they were.'
    : `${changed.map(([what, is, was]) => `${what} ${is} instead of ${was}`).join(', ')}.`.replace(
        /^./,
        (c) => c.toUpperCase(),
      )
}

/** What a batch made otherwise gives and becomes. */
export const remadeText = (made: MadeMix, planned: number, before: Evaluation, units: UnitSystem): string =>
  `${volumeText(made.blendLitres, units)} of mix instead of ${volumeText(planned, units)}. ${changeText(made.evaluation, before)}`

/** One filling in words: "bucket 2 of 5", "½ bucket", "scoop". */
export function pressText(presses: readonly Press[], at: number): string {
  const { tool, twelfths } = presses[at]!
  const name = tool === 'bucket' ? 'bucket' : 'scoop'
  if (twelfths < 12) return `${measureText(twelfths)} ${name}`
  const whole = presses.filter((p) => p.tool === tool && p.twelfths === 12)
  const n = presses.slice(0, at + 1).filter((p) => p.tool === tool && p.twelfths === 12).length
  return whole.length === 1 ? `a ${name}` : `${name} ${n} of ${whole.length}`
}

/** A line as it is said aloud. */
export const spokenText = (line: CardLine, units: UnitSystem): string =>
  lineText(line, units)
    .replaceAll('½', ' and a half')
    .replaceAll('¼', ' and a quarter')
    .replaceAll('¾', ' and three quarters')
    .replaceAll('⅓', ' and a third')
    .replaceAll('⅔', ' and two thirds')
    .replace(/(^|[ (])\s*and (a half|a quarter|three quarters|a third|two thirds)/g, '$1$2')
    .replaceAll(' L', ' litres')
    .replaceAll(' g ', ' grams ')
    .replace(/ +/g, ' ')
    .trim()

/** What a line is called. */
export const lineName = (line: CardLine): string =>
  line.kind === 'measure' ? measuredName(line.what) : line.name

/** What then, where nothing stirred in brings it right. */
const STUCK = {
  'too-limy':
    'Nothing stirred in brings that down in time: mix it half and half with a batch without lime, or grow in it what likes lime.',
  'too-acid': 'More lime at once than this does harm: wait, and read it again before you give the rest.',
} as const

/** What a pH read at the tub says, and what to stir in. */
export function phCheckText(check: PHCheck, value: number, units: UnitSystem) {
  const { expected, goesTo, target, add, stuck, again, withIt } = check
  const off = value - expected
  const beside =
    Math.abs(off) < 0.15
      ? `As expected (${pHText(expected)}).`
      : `${pHText(expected)} was expected: ${pHText(Math.abs(off))} ${off < 0 ? 'lower' : 'higher'}.`
  const goes = `By itself this batch goes to ${pHText(goesTo)} in six weeks.`
  if (!add)
    return { text: `${beside} ${goes} ${stuck ? STUCK[stuck] : 'Nothing has to be added.'}`, action: '' }
  const spoons = `, ${doseSpoons(add.grams, add.bulkDensity, units)}`
  const amount = `${doseWeightText(add.grams, units)} of ${lowerFirst(dressingName(add.dressingId))}${spoons}`
  return {
    text: `${beside} ${goes} Stir in ${amount}: then it goes to ${pHText(withIt)}${withIt < target + 0.25 ? '' : ', slowly'}. ${stuck ? `${STUCK[stuck]} ` : ''}Read it again in ${counted(
      Math.round(again / 7),
      'week',
    )
      .replace(/^2 /, 'two ')
      .replace(/^6 /, 'six ')}.`,
    action: 'It is in',
  }
}

/** What salts read at the tub say. */
export function saltCheckText({ expected, most, isTooMuch }: SaltCheck): string {
  const beside = `${expected.toFixed(1)} dS/m was expected.`
  if (most === null) return beside
  return isTooMuch
    ? `${beside} That is more than this crop takes (${most.toFixed(1)}). After filling, flush each container with its own volume of water. Let it drain and read again. Leave the feed out of the next batches.`
    : `${beside} This crop takes up to ${most.toFixed(1)}.`
}

/** A reading with what follows from it. */
export interface ReadRow {
  id: string
  title: string
  text: string
  /** What a press does; nothing where there is nothing to do. */
  action: string
}

/** Values a meter gives. */
const READ_LIMITS = { pH: [2.5, 9], salts: [0, 30], day: [0, 365] } as const
/** What is wrong with a reading as it is typed; null where nothing is. */
export function readingProblem(kind: keyof typeof READ_LIMITS, value: number): Sentence | null {
  const [low, high] = READ_LIMITS[kind]
  return value >= low && value <= high
    ? null
    : { why: `No meter reads that in a mix: ${low} to ${high}.`, fix: 'Read it again, or check the point.' }
}

/** "pH 5.4, read on day 7". */
export const readingTitle = ({ kind, value, day }: Reading): string =>
  kind === 'pH'
    ? `pH ${pHText(value)}${day > 0 ? `, ${day === 1 ? 'a day' : `${day} days`} after mixing` : ', just mixed'}`
    : `Salts ${value.toFixed(1)} dS/m`
