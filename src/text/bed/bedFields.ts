import type { BedSpec } from '@/model/garden/schemas'
import { isAloft } from '@/model/garden/vessel'
import { BED_FIELDS, type BedField } from '@/model/garden/schemas/bedFields'
import { FIRMNESS_NAMES, STANDING_NAMES, WALL_NAMES } from '../base/labels'
import { SIDES_NAMES, SIDES_SAY } from './sides'

/** The words of one field: its label, what it is called in a sentence, its choices, and a hint for the answer given. */
interface FieldWords<T> {
  label: string
  name: string
  hint?: (value: T) => string
  choices?: T extends string ? Record<T, string> : never
  /** Asked of some beds only; of all where left out. */
  askedOf?: (spec: BedSpec) => boolean
}

/** What sides are asked about, by what they are of. Source: common practice; local rules on treated timber. */
const WALL_HINTS: Partial<Record<BedSpec['wall'], string>> = {
  timber: 'Railway sleepers, old treated timber, paint or pallets? Say so.',
  metal: 'A drum, galvanised or old and soldered? Say so.',
  plastic: 'A drum or tyres? Say so.',
}

/** What each field of a bed is called. `src/model/garden/schemas/bedFields.ts` says what it is. */
export const BED_WORDS: { [F in BedField]: FieldWords<BedSpec[F]> } = {
  name: { label: 'Name', name: 'name' },
  vessel: { label: 'Shape', name: 'shape' },
  wall: { label: 'Sides of', name: 'sides', choices: WALL_NAMES, hint: (wall) => WALL_HINTS[wall] ?? '' },
  sidesWere: {
    label: 'Its sides were',
    name: 'what its sides were',
    choices: SIDES_NAMES,
    hint: (was) => SIDES_SAY[was],
    askedOf: ({ wall }) => wall !== 'fabric',
  },
  standing: { label: 'Stands on', name: 'place it stands on', choices: STANDING_NAMES },
  bears: {
    label: 'Its floor bears',
    name: 'load its floor bears',
    hint: (load) =>
      load > 0
        ? ''
        : 'Nothing where you do not know. Ask whoever built it, the owner or a structural engineer.',
    askedOf: isAloft,
  },
  layers: { label: 'Under the mix', name: 'list of layers under the mix' },
  cover: { label: 'On the mix', name: 'cover' },
  firmness: {
    label: 'The mix is put in',
    name: 'filling',
    hint: (firmness) => FIRMNESS_NAMES[firmness].hint,
    choices: {
      loose: FIRMNESS_NAMES.loose.one,
      firmed: FIRMNESS_NAMES.firmed.one,
      pressed: FIRMNESS_NAMES.pressed.one,
    },
  },
  rootBalls: {
    label: 'Root balls planted in it',
    name: 'volume of root balls',
    hint: () => 'roots with their own soil, in each',
  },
  carried: { label: 'Has to be lifted once filled', name: 'lifting' },
}

/** A field as a form draws it: what it is, its words, the answer given. */
export interface ShownField {
  field: BedField
  label: string
  hint: string
  input: (typeof BED_FIELDS)[BedField]['input']
  options: { value: string; label: string }[]
}

/** The fields of a bed that a form draws from their rows alone, in their order. */
export const plainFields = (spec: BedSpec): ShownField[] =>
  (Object.keys(BED_FIELDS) as BedField[])
    .filter((f) => !['own', 'text'].includes(BED_FIELDS[f].input.kind))
    .filter((f) => (BED_WORDS[f] as FieldWords<unknown>).askedOf?.(spec) ?? true)
    .map((field) => {
      const { label, hint, choices } = BED_WORDS[field] as FieldWords<unknown>
      const options = Object.entries((choices ?? {}) as Record<string, string>)
      return {
        field,
        label,
        hint: hint?.(spec[field]) ?? '',
        input: BED_FIELDS[field].input,
        options: options.map(([value, label]) => ({ value, label })),
      }
    })
