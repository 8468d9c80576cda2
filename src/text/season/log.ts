import type { Entry, EntryKind } from '@/model/garden/schemas'
import type { EntryProblem } from '@/model/season/entryProblem'
import { BELOW_NOTHING } from '../base/belowNothing'
import { counted } from '../base/counted'
import { dayText } from '../base/dates'
import type { Sentence } from '../base/problems.en'
import {
  doseWeightText,
  lengthText,
  pHText,
  volumeText,
  weightText,
  type Quantity,
  type UnitSystem,
} from '../base/units'

/** What a kind of entry is called, and what is asked about it; nothing where it asks for no number. */
export const ENTRY_NAMES: Record<EntryKind, { name: string; ask: string; quantity: Quantity | null }> = {
  watered: { name: 'Watered', ask: 'How much', quantity: 'volume' },
  fed: { name: 'Fed', ask: 'How much', quantity: 'smallWeight' },
  pH: { name: 'pH read', ask: 'pH', quantity: 'number' },
  salts: { name: 'Salts read', ask: 'Salts, dS/m', quantity: 'number' },
  weight: { name: 'Weighed', ask: 'Weight with its pot', quantity: 'weight' },
  sunk: { name: 'Sunk', ask: 'Sunk below the fill line', quantity: 'length' },
  harvest: { name: 'Harvest', ask: 'Weight', quantity: 'weight' },
  leaf: { name: 'Leaf looks', ask: '', quantity: null },
  pest: { name: 'Pest', ask: '', quantity: null },
  note: { name: 'Note', ask: '', quantity: null },
}

/** What is wrong with an entry, in words; null where it can be kept. */
export function entryProblemText(problem: EntryProblem): Sentence {
  switch (problem.code) {
    case 'out-of-range':
      return {
        why: `No meter reads that in a mix: ${problem.low} to ${problem.high}.`,
        fix: 'Read it again, or check the point.',
      }
    case 'too-much':
      return { why: 'That is more than a garden takes.', fix: 'Check the unit.' }
    case 'below-nothing':
      return BELOW_NOTHING
    case 'not-whole':
      return { why: 'Pieces are counted whole.', fix: 'Type a whole number.' }
    case 'no-number':
      return { why: 'No number yet.', fix: 'Type what was read.' }
    case 'no-word':
      return { why: 'No word yet.', fix: 'Write what was seen.' }
    case 'nothing-picked':
      return { why: 'Neither weight nor number yet.', fix: 'Type one of them.' }
  }
}

/** An entry in a line, with what was expected beside what was read. */
export function entryText(e: Entry, units: UnitSystem): string {
  const { kind, value } = e
  const expected = (of: (x: number) => string) => (e.expected === null ? '' : `, ${of(e.expected)} expected`)
  const salts = (x: number) => `${x.toFixed(1)} dS/m`
  const said = ((): string => {
    switch (kind) {
      case 'watered':
        return value ? volumeText(value, units) : ''
      case 'fed':
        return value ? doseWeightText(value, units) : ''
      case 'pH':
        return `${pHText(value ?? 0)}${expected(pHText)}`
      case 'salts':
        return `${salts(value ?? 0)}${expected(salts)}`
      case 'weight':
        return weightText(value ?? 0, units)
      case 'sunk':
        return lengthText(value ?? 0, units)
      case 'harvest':
        return [value ? weightText(value, units) : '', e.count ? counted(e.count, 'piece') : '']
          .filter(Boolean)
          .join(', ')
      default:
        return ''
    }
  })()
  return [said, e.note].filter(Boolean).join('; ')
}

const FINDABLE = new WeakMap<Entry, { units: UnitSystem; text: string }>()
/** An entry as it is searched, in small letters; worked out once. */
export function entryFindable(e: Entry, units: UnitSystem): string {
  const known = FINDABLE.get(e)
  if (known?.units === units) return known.text
  const text = `${dayText(e.at)} ${ENTRY_NAMES[e.kind].name} ${entryText(e, units)}`.toLowerCase()
  FINDABLE.set(e, { units, text })
  return text
}

/** "12.4 kg and 31 pieces harvested, watered 8 times": a season so far. */
export function seasonSoFar(entries: readonly Entry[], units: UnitSystem): string {
  const of = (kind: EntryKind) => entries.filter((e) => e.kind === kind)
  const kg = of('harvest').reduce((s, e) => s + (e.value ?? 0), 0)
  const pieces = of('harvest').reduce((s, e) => s + (e.count ?? 0), 0)
  const harvested = [kg > 0 && weightText(kg, units), pieces > 0 && counted(pieces, 'piece')].filter(Boolean)
  const parts = [
    harvested.length ? `${harvested.join(' and ')} harvested` : '',
    of('watered').length ? `watered ${times(of('watered').length)}` : '',
    of('fed').length ? `fed ${times(of('fed').length)}` : '',
  ].filter(Boolean)
  return parts.length ? `So far: ${parts.join(', ')}.` : ''
}
const times = (n: number) => (n === 1 ? 'once' : n === 2 ? 'twice' : `${n} times`)
