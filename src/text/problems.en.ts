import type { Note } from '@/core/outcome'
import type { Problem } from '@/core/problems'
import type { FileProblem } from '@/storage/exportFile'
import type { SetAside } from '@/storage/setAside'
import { doseText, lengthText, pHText, percentText, volumeText, type UnitSystem } from './units'

export interface Sentence {
  why: string
  fix: string
}

const FIELD_NAMES: Record<string, string> = {
  topDiameter: 'width across the top',
  baseDiameter: 'width across the base',
  diameter: 'width',
  height: 'height',
  topLength: 'length',
  topWidth: 'width',
  baseLength: 'length at the base',
  baseWidth: 'width at the base',
  length: 'length',
  bulge: 'bulge',
  headspace: 'lip',
  sideHoles: 'side-hole height',
  count: 'number of containers',
  bucket: 'bucket',
  vessel: 'mixing tub',
  wanted: 'amount of mix',
  settling: 'settling allowance',
  limeGramsPerLitre: 'amount of lime',
  moundHeight: 'mound',
}
export const fieldName = (field: string) => FIELD_NAMES[field] ?? field

const NOT_LENGTHS = new Set(['bucket', 'vessel', 'wanted', 'settling', 'limeGramsPerLitre', 'count', 'bulge'])

function amount(field: string, value: number, units: UnitSystem): string {
  if (field === 'settling' || field === 'bulge') return percentText(value)
  if (field === 'limeGramsPerLitre') return doseText(value, units)
  if (field === 'count') return String(value)
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
    fix: 'It has to be more than nothing: measure the inside and type it here.',
  }),
  'size-too-large': (p, u) => ({
    why: `The ${fieldName(p.field)} is ${amount(p.field, p.value, u)}, more than the ${amount(p.field, p.limit, u)} we believe.`,
    fix: 'Check the unit: was it millimetres, or a comma in the wrong place?',
  }),
  'size-negative': (p, u) => ({
    why: `The ${fieldName(p.field)} is ${amount(p.field, p.value, u)}, below nothing.`,
    fix: 'Type 0 or more.',
  }),
  'headspace-fills-container': (p, u) => ({
    why: `A lip of ${lengthText(p.headspace, u)} leaves no room for mix in a container ${lengthText(p.height, u)} high.`,
    fix: 'Leave 2.5 to 5 cm (1 to 2 in) free at the top.',
  }),
  'hole-above-mix': (p, u) => ({
    why: `Side holes at ${lengthText(p.holeHeight, u)} are above the mix, which ends at ${lengthText(p.mixHeight, u)}.`,
    fix: 'Holes a few centimetres up are usual; everything below them stays full of water.',
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
    why: `pH ${pHText(p.value)} is outside what lime can be reckoned for.`,
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
    why: `The ${fieldName(p.field)} is ${amount(p.field, p.value, u)}, below nothing.`,
    fix: 'Type 0 or more.',
  }),
}

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
    case 'outside-tested-range':
      return `The ${note.quantity} is outside the range this was tested for.`
    case 'target-already-passed':
      return `The mix is at pH ${pHText(note.pH)} already, at or above the ${pHText(note.target)} wanted: no lime. Lime never lowers pH.`
    case 'dose-above-usual-limit':
      return `${doseText(note.gramsPerLitre, units)} of lime is more than the usual limit of ${doseText(note.limit, units)}: trace elements lock up. Add half, test the pH after a fortnight, then decide.`
    case 'measures-rounded':
      return `Measures are rounded to the bucket: shares differ from the recipe by up to ${percentText(note.largestShareError, 1)} of the mix.`
    case 'bed-drained-by-soil':
      return 'Open below: judged as the soil underneath drains it, a day or two after a soaking.'
  }
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
      return `“${why.key}” is damaged at ${why.where}: ${why.message}.`
    case 'newer-version':
      return `“${why.key}” was made by a newer Open Bed (version ${why.version}; this one reads up to ${why.known}).`
    case 'overwritten':
      return `“${why.key}” lost to a later edit in another tab.`
  }
}
