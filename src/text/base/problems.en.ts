import { sizeName, sizeOf } from '../bed/vessels'
import type { Note } from '@/core/outcome'
import type { Problem } from '@/core/problems'
import type { FileProblem } from '@/storage/importFile'
import type { SetAside } from '@/storage/setAside'
import { misfitText } from './misfit'
import {
  doseText,
  lengthText,
  pHText,
  percentText,
  temperatureText,
  volumeText,
  type UnitSystem,
} from './units'

export interface Sentence {
  why: string
  fix: string
}

const FIELD_NAMES: Record<string, string> = {
  topDiameter: 'width across the top',
  baseDiameter: 'width across the base',
  diameter: 'width',
  height: 'height',
  bucketLitres: 'volume weighed',
  bucketKg: 'weight of it',
  screenedOut: 'share screened out',
  calciumCarbonateEquivalent: 'neutralizing value',
  weighedMillilitres: 'volume weighed',
  weighedGrams: 'weight of it',
  headspace: 'gap below the rim',
  sideHoles: 'side-hole height',
  count: 'number of containers',
  bucket: 'bucket',
  scoop: 'scoop',
  vessel: 'mixing tub',
  wanted: 'amount of mix',
  settling: 'settling allowance',
  limeGramsPerLitre: 'amount of lime',
  bagLitres: 'bag',
  bagPrice: 'price of a bag',
  share: 'share on the label',
  moundHeight: 'mound',
  thickness: 'layer below',
  sunkBy: 'sinking',
  rootBalls: 'volume of root balls',
  label: 'sum of the label’s numbers',
  nitrogenForms: 'sum of the forms of nitrogen',
  longevityMonths: 'longevity in months',
  totalPorosity: 'porosity',
  waterAt5Cm: 'water at 5 cm',
  waterAt10Cm: 'water at 10 cm',
  waterAt50Cm: 'water at 50 cm',
  waterAt100Cm: 'water at 100 cm',
  looseEnvelopeFraction: 'packing, loose',
  dryBulkDensity: 'weight, dry',
  moistBulkDensityAsBought: 'weight, as bought',
  bufferCapacity: 'buffer capacity',
  electricalConductivity: 'salts',
}
const fieldName = (field: string) => FIELD_NAMES[field] ?? sizeName(field) ?? field

/** Told as bare numbers. */
const PLAIN = new Set([
  'count',
  'longevityMonths',
  'bucketKg',
  'screenedOut',
  'moistBulkDensityAsBought',
  'electricalConductivity',
  'calciumCarbonateEquivalent',
  'weighedMillilitres',
  'weighedGrams',
  'label',
  'nitrogenForms',
  'totalPorosity',
  'waterAt5Cm',
  'waterAt10Cm',
  'waterAt50Cm',
  'waterAt100Cm',
  'looseEnvelopeFraction',
  'dryBulkDensity',
  'bufferCapacity',
])
const NOT_LENGTHS = new Set([
  'bucketLitres',
  'bagLitres',
  'rootBalls',
  'bucket',
  'scoop',
  'vessel',
  'wanted',
  'settling',
  'limeGramsPerLitre',
])

function amount(field: string, value: number, units: UnitSystem): string {
  if (field === 'settling' || field === 'share' || sizeOf(field) === 'share') return percentText(value)
  if (field === 'bagPrice') return value.toFixed(2)
  if (field === 'limeGramsPerLitre') return doseText(value, units)
  if (sizeOf(field) === 'length') return lengthText(value, units)
  if (PLAIN.has(field) || !Object.hasOwn(FIELD_NAMES, field)) return plainNumber(value)
  return NOT_LENGTHS.has(field) ? volumeText(value, units) : lengthText(value, units)
}

type Texts = {
  [C in Problem['code']]: (p: Extract<Problem, { code: C }>, units: UnitSystem) => Sentence
}

const TEXTS: Texts = {
  'not-a-number': (p) => ({
    why: `The ${fieldName(p.field)} is not a number.`,
    fix: 'Type digits, for example 30 or 12.5.',
  }),
  'size-not-positive': (p, u) => ({
    why: `The ${fieldName(p.field)} is ${amount(p.field, p.value, u)}.`,
    fix: 'It must be more than 0: measure the inside and type it here.',
  }),
  'size-too-large': (p, u) => ({
    why: `The ${fieldName(p.field)} is ${amount(p.field, p.value, u)}, larger than the maximum, ${amount(p.field, p.limit, u)}.`,
    fix: 'Check the unit: was it millimetres, or a comma in the wrong place?',
  }),
  'size-negative': (p, u) => ({
    why: `The ${fieldName(p.field)} is ${amount(p.field, p.value, u)}, less than zero.`,
    fix: 'Type 0 or more.',
  }),
  'headspace-fills-container': (p, u) => ({
    why: `A gap of ${lengthText(p.headspace, u)} below the rim leaves no room for mix in a container ${lengthText(p.height, u)} high.`,
    fix: 'Leave 2.5 to 5 cm (1 to 2 in) free at the top.',
  }),
  'hole-above-mix': (p, u) => ({
    why: `Side holes at ${lengthText(p.holeHeight, u)} are above the mix, which ends at ${lengthText(p.mixHeight, u)}.`,
    fix: 'Holes a few centimetres up are usual; everything below them stays full of water.',
  }),
  'layers-fill-container': (p, u) => ({
    why: `Layers of ${lengthText(p.thickness, u)} together leave no room for mix, which ends at ${lengthText(p.mixHeight, u)}.`,
    fix: 'Make a layer thinner, or take one out.',
  }),
  'outline-crosses-itself': () => ({
    why: 'The outline of the bed crosses itself.',
    fix: 'List its corners in order, walking once round it.',
  }),
  'count-not-whole': (p) => ({
    why: `${Number.isFinite(p.value) ? p.value : 'That'} is not a number of containers.`,
    fix: 'Type a whole number, 1 or more.',
  }),
  'no-parts': () => ({ why: 'There is nothing in the mix yet.', fix: 'Add a material from the shelf.' }),
  'part-not-positive': (p) => ({
    why: `The part of ${p.material} is ${p.value}.`,
    fix: 'Give it a quarter part or more, or take it out.',
  }),
  'unknown-material': (p) => ({
    why: `The mix asks for “${p.material}”, which is not in the material tables.`,
    fix: 'Take it out of the mix, or import the garden it came from.',
  }),
  'pH-out-of-range': (p) => ({
    why: `pH ${pHText(p.value)} is outside what lime can be worked out for.`,
    fix: `Aim between ${pHText(p.low)} and ${pHText(p.high)}.`,
  }),
  'target-above-lime-ceiling': (p, u) => ({
    why: `No sensible amount of lime reaches pH ${pHText(p.target)} in six weeks: even ${doseText(p.limit, u)} ends at ${pHText(p.reachable)}.`,
    fix: 'Ground lime stops dissolving near pH 7.4. Aim lower.',
  }),
  'vessel-too-small': (p, u) => ({
    why: `A mixing tub of ${volumeText(p.vessel, u)} is too small for this mix and bucket.`,
    fix: `Use a smaller bucket, or a tub, tarp or barrow of at least ${volumeText(p.smallest, u)}.`,
  }),
  'amount-negative': (p, u) => ({
    why: `The ${fieldName(p.field)} is ${amount(p.field, p.value, u)}, less than zero.`,
    fix: 'Type 0 or more.',
  }),
  'unknown-dressing': (p) => ({
    why: `“${p.dressing}” is not a lime, fertilizer or other dressing in the tables.`,
    fix: 'Check its id, or describe it from its label.',
  }),
  'no-place': () => ({
    why: 'How much it drinks is not known: no crop is chosen, or no place with its weather.',
    fix: 'Choose a crop under Containers, and a climate under Place.',
  }),
  'unknown-crop': (p) => ({
    why: `“${p.crop}” is not a crop in the tables.`,
    fix: 'Check its id, or leave the crop out and give the targets wanted.',
  }),
  'part-not-measurable': (p) => ({
    why: `${plainNumber(p.value)} parts of ${p.material} cannot be measured with a bucket.`,
    fix: 'Use whole, half, third or quarter parts.',
  }),
  'unknown-mix': (p) => ({
    why: `The recipe asks for a mix called “${p.mix}”, which is not there.`,
    fix: 'Take it out, or add the mix it means.',
  }),
  'mix-contains-itself': (p) => ({
    why: `A mix would contain itself: ${p.path.map((id) => `“${id}”`).join(' in ')}.`,
    fix: 'Take one of them out of the other.',
  }),
  'shares-do-not-add-up': (p) => ({
    why:
      p.open > 0
        ? `The shares given come to ${percentText(p.sum)} already: nothing is left for ${p.open === 1 ? 'the one' : `the ${p.open}`} without.`
        : `The shares come to ${percentText(p.sum)}, not to the whole.`,
    fix: 'Check them against the label, or leave one empty: it takes what is left.',
  }),
  'unknown-family': (p) => ({
    why: `“${p.family}” is not a family of materials or dressings Open Bed knows.`,
    fix: 'Choose one from the list, or leave it out and let the nearest be found.',
  }),
  'value-out-of-range': (p, u) => ({
    why: `The ${fieldName(p.field)} is ${amount(p.field, p.value, u)}; between ${amount(p.field, p.low, u)} and ${amount(p.field, p.high, u)} is what we accept.`,
    fix: 'Check the figure and its unit: fractions run from 0 to 1.',
  }),
  'no-dressing-for-target': (p) => ({
    why: `Nothing among the dressings given brings ${p.wanted}.`,
    fix: 'Add one that does, or take the target away.',
  }),
  'target-out-of-reach': (p) => ({
    why: `${p.quantity} ${plainNumber(p.target)} cannot be reached: the most sensible dose ends at ${plainNumber(p.reachable)}.`,
    fix: 'Choose another material to begin with, or a nearer target.',
  }),
  'too-cold-to-emerge': (p, u) => ({
    why: `Its seed does not come up below ${temperatureText(p.least, u)}.`,
    fix: 'Give it a warmer place until it is up.',
  }),
  'too-warm-to-emerge': (p, u) => ({
    why: `Its seed does not come up above ${temperatureText(p.most, u)}.`,
    fix: 'Give it a cooler place until it is up.',
  }),
  'nothing-to-choose-from': () => ({
    why: 'There is nothing to choose from: no target above 0, or the rules leave no material.',
    fix: 'Set a target, put more on the shelf, or drop a rule.',
  }),
  'rules-contradict': (p) => ({
    why: `“${p.material}” has to be used, but other rules do not let it in.`,
    fix: 'Drop one of the two rules.',
  }),
}

const plainNumber = (x: number) => String(Number(x.toPrecision(3)))

/** Why something cannot be worked out, and what to do, in the grower's words and units. */
export function problemText(problem: Problem, units: UnitSystem): Sentence {
  // The table is keyed by the code, so the entry fits the problem; the compiler cannot follow that far.
  const write = TEXTS[problem.code] as (p: Problem, units: UnitSystem) => Sentence
  return write(problem, units)
}

/** The field a problem belongs beside, or null for problems of the whole. */
export function problemField(problem: Problem): string | null {
  switch (problem.code) {
    case 'headspace-fills-container':
      return 'headspace'
    case 'hole-above-mix':
      return 'sideHoles'
    case 'outline-crosses-itself':
      return 'outline'
    case 'layers-fill-container':
      return 'thickness'
    case 'count-not-whole':
      return 'count'
    case 'vessel-too-small':
      return 'vessel'
    case 'pH-out-of-range':
    case 'target-above-lime-ceiling':
      return 'limeTarget'
    default:
      return 'field' in problem ? problem.field : null
  }
}

export function noteText(note: Note, units: UnitSystem): string {
  switch (note.code) {
    case 'target-already-passed':
      return `The mix is at pH ${pHText(note.pH)} already, at or above the ${pHText(note.target)} wanted: no lime. Lime never lowers pH.`
    case 'acid-outlasts-lime':
      return `The feed makes more acid than ${doseText(note.limit, units)} of lime can neutralize, so lime is given as if it did not: pH ${pHText(note.pH)} in six weeks. Give less ammonium, water with hard water, or lime again on top later.`
    case 'lime-at-its-limit':
      return `${doseText(note.limit, units)}, the most lime that is sensible at once, brings it to pH ${pHText(note.pH)} in six weeks, not to ${pHText(note.target)}. Look again then, and lime on top if it has to be more.`
    case 'no-acid-needed':
      return `The mix will be at pH ${pHText(note.pH)}, at or below the ${pHText(note.target)} wanted: nothing to make it more acid.`
    case 'no-drainage':
      return 'No holes: everything in it stays wet through. Drill some, or grow only what lives in a bog.'
    case 'charge-not-met':
      return `These dressings miss what is wanted of some nutrient by ${percentText(note.largestMiss)}.`
    case 'layer-stalls-drainage':
      return `The ${lengthText(note.thickness, units)} of layers below drain the mix, a day after watering, only as ${lengthText(Math.max(0, note.pull), units)} more of mix would. The same depth of mix drains better and gives roots more room.`
    case 'wider-below':
      return 'It is wider at its base than at its top: right for a jar, else the two widths have changed places.'
    case 'cover-at-rim':
      return `The cover is ${lengthText(note.thickness, units)} thick and the rim stands ${lengthText(note.headspace, units)} above the mix: water runs off over it. Leave a larger gap, or lay it thinner.`
    case 'dose-above-usual-limit':
      return `${doseText(note.gramsPerLitre, units)} of it is more than the usual limit of ${doseText(note.limit, units)}: add half, test the pH after a fortnight, then decide.`
    case 'measures-rounded':
      return `Measures are rounded to the bucket and scoop: shares differ from the recipe by up to ${percentText(note.largestShareError, 1)} of the mix.`
    case 'not-with-these-tools':
      return notWithTheseText(note, units)
    case 'bed-drained-by-soil':
      return 'Open below: judged as the soil underneath drains it, a day or two after a soaking.'
  }
}

/** A scoop as people name it: 250 mL, ½ cup, 1 quart. */
const scoopText = (litres: number, units: UnitSystem): string =>
  units === 'metric' && litres < 1 ? `${Math.round(litres * 1000)} mL` : volumeText(litres, units)

/** What to measure with, or how much to make, where bucket and scoop cannot measure a job. */
function notWithTheseText(
  { scoop, amount }: Extract<Note, { code: 'not-with-these-tools' }>,
  units: UnitSystem,
): string {
  const ways = [
    scoop === null ? '' : `a scoop or cup of ${scoopText(scoop, units)}`,
    amount === null ? '' : `${volumeText(amount, units)} of mix`,
  ].filter(Boolean)
  const way = ways.length > 0 ? ` It works with ${ways.join(', or for ')}.` : ''
  return `Your bucket and scoop cannot measure this to a twentieth: each part goes by the litre mark.${way}`
}

export function fileProblemText(problem: FileProblem): Sentence {
  switch (problem.code) {
    case 'file-not-json':
      return {
        why: `The file cannot be read: it is damaged or not an Open Bed file (${problem.message}).`,
        fix: 'Choose the .json file that “Save everything to a file” made. Nothing was changed.',
      }
    case 'file-not-ours':
      return {
        why: `The file is not an Open Bed garden: trouble at “${problem.where}”.`,
        fix: 'Choose the .json file that “Save everything to a file” made. Nothing was changed.',
      }
    case 'file-newer':
      return {
        why: `The file was made by a newer Open Bed (file version ${problem.version}; this one reads up to ${problem.known}).`,
        fix: 'Update Open Bed, then open the file again. Nothing was changed.',
      }
  }
}

export function unreadableText(why: SetAside['why']): string {
  switch (why.code) {
    case 'not-ours':
      return `“${why.key}” is not a kind of record Open Bed knows.`
    case 'broken':
      return `“${why.key}” is damaged at ${why.where}: ${misfitText(why.misfit)}.`
    case 'newer-version':
      return `“${why.key}” was made by a newer Open Bed (version ${why.version}; this one reads up to ${why.known}).`
    case 'overwritten':
      return `“${why.key}” lost to a later edit in another tab.`
  }
}
