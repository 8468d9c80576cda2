import { LAB_FIGURES } from '@/core/laboratory'
import type { FieldTest, Repeat, TestFigure } from '@/core/fieldTests'
import type { Averaged } from '@/core/fieldTests'
import type { Bands } from '@/core/targets'
import type { Correction } from '@/model/season/correction'
import { TEST_FIGURE_NAMES } from './fieldTests'
import { SOIL_NAMES } from './elements'
import { labFollows, type LabAsked } from './laboratory'
import { metalsFollow } from './metals'
import { soilFollows } from './soilReport'
import { counted } from '../base/counted'
import { dressingName } from '../shelf/dressings'
import { doseSpoons } from '../make/measures'
import { doseWeightText, lengthText, percentText, pHText, volumeText, type UnitSystem } from '../base/units'

type Figures = Partial<Record<TestFigure, Averaged>>

const PLACES: Partial<Record<TestFigure, (x: number, units: UnitSystem) => string>> = {
  pH: (x) => pHText(x),
  electricalConductivity: (x) => `${x.toFixed(1)} dS/m`,
  moistDensity: (x, units) => (units === 'us' ? `${(x * 8.345).toFixed(1)} lb/gal` : `${x.toFixed(2)} kg/L`),
  dryDensity: (x, units) => (units === 'us' ? `${(x * 8.345).toFixed(1)} lb/gal` : `${x.toFixed(2)} kg/L`),
  sunk: (x, units) => lengthText(x, units),
  seconds: (x) => `${x.toFixed(0)} s`,
  cmPerHour: (x, units) =>
    units === 'us' ? `${(x / 2.54).toPrecision(2)} in an hour` : `${Number(x.toPrecision(2))} cm an hour`,
  germinationIndex: (x) => `${(100 * x).toFixed(0)}`,
}

const ELEMENTS_OF_LAB: ReadonlySet<string> = new Set(LAB_FIGURES)
const BY_WEIGHT: ReadonlySet<string> = new Set(Object.keys(SOIL_NAMES))
/** What laboratories print by weight; undefined for other figures. */
const inWeight = (figure: TestFigure, value: number): string | undefined => {
  const text = value < 1 ? value.toPrecision(1) : value < 10 ? value.toFixed(1) : value.toFixed(0)
  if (BY_WEIGHT.has(figure)) return `${text} mg/kg`
  return ELEMENTS_OF_LAB.has(figure) ? `${text} mg/L` : undefined
}

/** A figure of a test in words; shares in per cent. */
export const testFigureText = (figure: TestFigure, value: number, units: UnitSystem): string =>
  PLACES[figure]?.(value, units) ??
  inWeight(figure, value) ??
  percentText(value, figure === 'carbonate' ? 1 : 0)

/** Where the model calls a figure by another name. */
const PREDICTED_AS: Partial<Record<TestFigure, string>> = {
  airFilledPorosity: 'drainTest',
  containerCapacity: 'waterHeld',
  cmPerHour: 'percolation',
}

/** What was read, each figure with how often and how far apart, and what was expected of it. */
export const testRows = (
  figures: Figures,
  expected: Readonly<Record<string, number>>,
  units: UnitSystem,
): string[][] =>
  (Object.entries(figures) as [TestFigure, Averaged][]).map(([figure, { mean, apart, count }]) => {
    const predicted = expected[PREDICTED_AS[figure] ?? figure]
    const many =
      count > 1 ? ` (${counted(count, 'reading')}, ${testFigureText(figure, apart, units)} apart)` : ''
    return [
      TEST_FIGURE_NAMES[figure],
      `${testFigureText(figure, mean, units)}${many}`,
      predicted === undefined ? '' : testFigureText(figure, predicted, units),
    ]
  })

/** Two pH further apart than this ask for a third sample. Source: common practice. */
const APART = 0.3

/** What a pH, salts or air mean for what grows there. */
function againstBands(figures: Figures, bands: Bands): string[] {
  const said: string[] = []
  const { pH, airFilledPorosity: air } = figures
  const band = bands.pH
  if (pH && pH.mean < band.low)
    said.push(`Below what is wanted (${pHText(band.low)} to ${pHText(band.high)}).`)
  if (pH && pH.mean > band.high)
    said.push(
      `Above what is wanted (${pHText(band.low)} to ${pHText(band.high)}): no lime, no ash; acid feed or sulfur brings it down.`,
    )
  if (air) {
    const { low, high } = bands.airFilledPorosity
    if (air.mean < low)
      said.push(
        `Too little air (${percentText(low)} and more are wanted): more of something coarse, or a deeper pot.`,
      )
    else if (air.mean > high)
      said.push(
        `More air than is wanted (${percentText(high)}): it will dry fast. A finer part or a shallower pot holds more water.`,
      )
    else said.push('Enough air for what grows there.')
  }
  return said
}

/** What a pH asks for, over the whole mix: how much of what, how it is given, and when to look again. */
export function correctionText(
  { goesTo, add, withIt, litres, planted }: Correction,
  units: UnitSystem,
): string {
  if (!add) return `By itself it goes to ${pHText(goesTo)} in six weeks: nothing to give.`
  const spoons = `, ${doseSpoons(add.grams, add.bulkDensity, units)},`
  const amount = `${doseWeightText(add.grams, units)}${spoons} of ${dressingName(add.dressingId).toLowerCase()}`
  const how = planted ? 'scratched into the top and watered in' : 'turned in evenly'
  return `By itself it goes to ${pHText(goesTo)} in six weeks. Give ${amount} over all ${volumeText(litres, units)}, ${how}: then it goes to ${pHText(withIt)}. Look again in two weeks.`
}

function dropText(seconds: number): string {
  if (seconds < 5) return 'It wets well.'
  if (seconds < 60) return 'It sheds water slightly: water in two goes, a quarter of an hour apart.'
  if (seconds < 600)
    return 'It sheds water strongly: never let it dry out, soak it from below before use, or stir in a wetting agent.'
  return 'It sheds water badly: soak it from below for an hour, and use a wetting agent when mixing.'
}

function percolationText(cmPerHour: number): string {
  if (cmPerHour >= 150) return 'Water goes straight through: as it should in a container.'
  if (cmPerHour >= 10) return 'It takes its time; most beds and large pots bear that.'
  return 'Too slow for a container: something fine closes the gaps. Loosen the top, clear the holes, and leave the fines out next time.'
}

function beanText(
  { suspectPots = 0, suspectTwisted = 0, cleanTwisted = 0 }: Repeat,
  missable: number | undefined,
): string {
  if (cleanTwisted > 0 && suspectTwisted > 0)
    return 'Clean pots are twisted too: heat, salt or virus, or the clean mix is not clean. The test says nothing; do it again with another clean mix.'
  if (suspectTwisted >= 2)
    return `${suspectTwisted} of ${suspectPots} are twisted and none of the clean ones: do not use this load for food crops. Tell the supplier, and ask your extension service.`
  if (suspectTwisted === 1)
    return 'One is twisted: not enough to say. Do it again with more pots, or send some to a laboratory, before you use it.'
  return `Nothing twisted. Up to ${percentText(missable ?? 0)} of plants could still be harmed without showing here; a load can be tainted in patches.`
}

function cressText(index: number): string {
  if (index > 0.8) return 'Ripe: fit for pots.'
  if (index >= 0.5) return 'Not quite ripe: let it lie for some weeks, or use little of it.'
  return 'Not fit for pots. Thin the extract to a third and try again: where that helps it is salts; where not, let it ripen.'
}

function carbonateText(share: number): string {
  if (share < 0.005)
    return 'No lime that fizzes. Dolomite hardly does: for plants that want it acid, read the pH of a potful after a month.'
  if (share < 0.03) return 'Some lime: it holds pH up. Not for blueberries and their like.'
  return 'Much lime: pH will not come down whatever is given. Only for what likes it limy.'
}

/** Shares by which a soil in a jar is called. Clay swells in the jar: some eight tenths of it are counted. */
const CLAY_SEEN = 0.8
function soilText(sand: number, clay: number): string {
  const soil = clay * CLAY_SEEN > 0.27 ? 'clay loam' : sand > 0.55 ? 'sandy loam' : 'loam'
  return `Nearest of the tables: ${soil}. Choose that as the soil of your mix.`
}

/** What tests of water, ripeness and grain say, whatever they are done on. */
function materialFollows(test: FieldTest, figures: Figures, repeats: readonly Repeat[]): string[] {
  const said: string[] = []
  const at = (figure: TestFigure) => figures[figure]?.mean
  const seconds = at('seconds')
  if (test === 'dropTest' && seconds !== undefined) said.push(dropText(seconds))
  const through = at('cmPerHour')
  if (through !== undefined) said.push(percolationText(through))
  if (test === 'beanTest') said.push(beanText(repeats.at(-1) ?? {}, at('missable')))
  const index = at('germinationIndex')
  if (index !== undefined) {
    const last = repeats.at(-1)!
    if (last.upInWater! < 0.85 * last.seeds!)
      said.push('Less than 85 % came up in plain water: the seed is poor. Do it again with fresh seed.')
    else said.push(cressText(index))
  }
  const carbonate = at('carbonate')
  if (carbonate !== undefined) said.push(carbonateText(carbonate))
  const fines = at('fines')
  if (fines !== undefined)
    said.push(
      fines > 0.3
        ? `${percentText(fines)} is dust that fills the gaps: sieve it off before a pot mix, or use less of it.`
        : 'Few fines: it opens a mix.',
    )
  const [sand, clay] = [at('sand'), at('clay')]
  if (sand !== undefined && clay !== undefined) said.push(soilText(sand, clay))
  return said
}

/**
 * What follows from a test, a sentence each. `bands` are those of the job it was done for; null for a material alone.
 * `topUp` is what a bed takes to be full again, in words.
 */
export function testFollows(
  test: FieldTest,
  figures: Figures,
  repeats: readonly Repeat[],
  {
    bands,
    units,
    expectedLoss = null,
    nitrogenExpected = null,
    topUp = '',
    correction = null,
    lab = null,
    onMix = true,
  }: {
    bands: Bands | null
    units: UnitSystem
    expectedLoss?: number | null
    /** Nitrogen a laboratory was to find, mg/L of a saturated extract. */
    nitrogenExpected?: number | null
    topUp?: string
    correction?: Correction | null
    /** What a laboratory report is read by: the crop's group, and what is to be given. */
    lab?: LabAsked | null
    /** It is of a mix or bed; else of a material alone. */
    onMix?: boolean
  },
): string[] {
  const said: string[] = bands ? againstBands(figures, bands) : []
  const at = (figure: TestFigure) => figures[figure]?.mean
  if (test === 'laboratory') said.push(...labFollows(repeats, { asked: lab, nitrogenExpected }, units))
  if (test === 'soilReport') said.push(...soilFollows(repeats, units))
  if (test === 'metals') said.push(...metalsFollow(figures, onMix))
  const { pH } = figures
  if (pH && correction) said.push(correctionText(correction, units))
  if (pH && pH.count === 2 && pH.apart > APART)
    said.push(`The two differ by ${pHText(pH.apart)}: take a third sample from the pooled grabs.`)
  const loss = at('blendingLoss')
  if (loss !== undefined && expectedLoss !== null)
    said.push(
      Math.abs(loss - expectedLoss) < 0.03
        ? 'As expected: what you measure out is enough.'
        : `${percentText(loss)} is lost where ${percentText(expectedLoss)} were expected: once learned from, the next list measures out ${loss > expectedLoss ? 'more' : 'less'}.`,
    )
  const sunk = at('sunk')
  if (sunk !== undefined)
    said.push(`It sank by ${lengthText(Math.max(0, sunk), units)}.${topUp ? ` ${topUp}` : ''}`)
  said.push(...materialFollows(test, figures, repeats))
  return said
}
