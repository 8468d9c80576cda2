import { z } from 'zod/mini'
import { FIRMNESSES } from '@/core/filling/firmness'
import { WALL_MATERIALS } from '@/core/weight/walls'
import { GARDEN_LIMITS } from '../limits'
import { vesselRow, type VesselKind } from '../vesselKinds'
import { id, name, number } from './basics'
import { layerSchema, vesselSchema } from './vessel'
import { startingVessel } from '../startingVessel'

export const STANDINGS = [
  'ground',
  'paving',
  'balcony',
  'roof',
  'wall',
  'railing',
  'bracket',
  'hung',
] as const

/** What sides have been or been treated with: what lets a bed be doubted, and what clears it. */
export const SIDES_WERE = [
  'notSaid',
  'sound',
  'copperTimber',
  'arsenicTimber',
  'sleepers',
  'paint',
  'pallet',
  'galvanised',
  'lead',
  'glaze',
  'drum',
  'tyres',
] as const

/** How one field is typed, chosen and written in a cell; `own` where its form and its cells are made by hand. */
export type FieldInput =
  | { kind: 'text' }
  | { kind: 'choice'; of: readonly string[] }
  | { kind: 'measure'; quantity: 'volume' | 'length' | 'load' }
  | { kind: 'yesNo' }
  | { kind: 'own' }

interface FieldRow<S extends z.ZodMiniType, C extends z.ZodMiniType> {
  /** As it is stored; a default is what records from before the field have. */
  schema: S
  /** The usual answer, by what is filled. */
  usual: (kind: VesselKind, units: 'metric' | 'us') => z.output<S>
  input: FieldInput
  /** Its column in a sheet of beds; a vessel has several. */
  column: string
  /** Whether another answer means another amount of mix. */
  takesMix: boolean
  /** As the headless door takes it and what it says of it; left out where no case needs it. */
  inCase?: { schema: C; says: string }
}
const row = <S extends z.ZodMiniType, C extends z.ZodMiniType = never>(fields: FieldRow<S, C>) => fields

/**
 * All that is asked about a container or bed, in the order in which it is stored and written. Schema, form, sheet,
 * headless door and what a change means follow from these rows; their words are in `src/text/bed/bedFields.ts`.
 */
export const BED_FIELDS = {
  name: row({ schema: name, usual: () => '', input: { kind: 'text' }, column: 'name', takesMix: false }),
  vessel: row({
    schema: vesselSchema,
    usual: startingVessel,
    input: { kind: 'own' },
    column: 'shape',
    takesMix: true,
  }),
  /** What its sides are of. */
  wall: row({
    schema: z.enum(WALL_MATERIALS),
    usual: (kind) => vesselRow(kind).wall,
    input: { kind: 'choice', of: WALL_MATERIALS },
    column: 'sides',
    takesMix: false,
  }),
  /** What its sides were before, or were treated with. */
  sidesWere: row({
    schema: z._default(z.enum(SIDES_WERE), 'notSaid'),
    usual: () => 'notSaid' as const,
    input: { kind: 'choice', of: SIDES_WERE },
    column: 'sides were',
    takesMix: false,
  }),
  /** What it stands on. */
  standing: row({
    schema: z.enum(STANDINGS),
    usual: () => 'ground' as const,
    input: { kind: 'choice', of: STANDINGS },
    column: 'stands on',
    takesMix: false,
  }),
  /** What its floor bears, kg/m2; 0 where nobody said. */
  bears: row({
    schema: z._default(z.number(), 0),
    usual: () => 0,
    input: { kind: 'measure', quantity: 'load' },
    column: 'floor bears',
    takesMix: false,
  }),
  /** Under the mix, from the base up. */
  layers: row({
    schema: z.array(layerSchema).check(z.maxLength(GARDEN_LIMITS.layers.value)),
    usual: () => [],
    input: { kind: 'own' },
    column: 'layers',
    takesMix: true,
  }),
  /** On the mix; null for nothing. cm. */
  cover: row({
    schema: z._default(z.nullable(z.object({ materialId: id, thickness: number })), null),
    usual: () => null,
    input: { kind: 'own' },
    column: 'cover',
    takesMix: false,
  }),
  /** How the mix is put in. */
  firmness: row({
    schema: z._default(z.enum(FIRMNESSES), 'loose'),
    usual: () => 'loose' as const,
    input: { kind: 'choice', of: FIRMNESSES },
    column: 'filling',
    takesMix: true,
    inCase: {
      schema: z._default(z.enum(FIRMNESSES), 'loose'),
      says: 'How the mix is put in: firmed and pressed, more goes in and air goes out.',
    },
  }),
  /** Litres of roots planted with their own soil, in each. */
  rootBalls: row({
    schema: number,
    usual: () => 0,
    input: { kind: 'measure', quantity: 'volume' },
    column: 'root balls',
    takesMix: true,
    inCase: { schema: z._default(number.check(z.minimum(0)), 0), says: 'Litres of roots planted with each.' },
  }),
  /** Has to be lifted once filled. */
  carried: row({
    schema: z.boolean(),
    usual: () => false,
    input: { kind: 'yesNo' },
    column: 'carried',
    takesMix: false,
  }),
}

type Rows = typeof BED_FIELDS
/** The schema of a field as a case of the headless door takes it. */
export type CaseSchema<F extends BedField> = NonNullable<Rows[F]['inCase']>['schema']
export type BedField = keyof Rows
export const BED_FIELD_NAMES = Object.keys(BED_FIELDS) as BedField[]

/** A container or bed with all that is asked about it. */
export const bedSpecSchema = z.object(
  Object.fromEntries(BED_FIELD_NAMES.map((f) => [f, BED_FIELDS[f].schema])) as {
    [F in BedField]: Rows[F]['schema']
  },
)
export type BedSpec = z.infer<typeof bedSpecSchema>

/** All that is asked about a bed, at its usual answer. */
export const startingSpec = (kind: VesselKind, units: 'metric' | 'us' = 'metric'): BedSpec =>
  Object.fromEntries(BED_FIELD_NAMES.map((f) => [f, BED_FIELDS[f].usual(kind, units)])) as BedSpec

/** A bed without what belongs to the list or the job. */
export const specOf = (bed: BedSpec): BedSpec =>
  Object.fromEntries(BED_FIELD_NAMES.map((f) => [f, bed[f]])) as BedSpec
