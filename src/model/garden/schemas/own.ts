import { z } from 'zod/mini'
import { GRINDS, MATERIAL_FAMILIES, WETNESSES } from '@/core/data/types'
import { LONGEST_NOTE } from '../limits'
import { name, number, text } from './basics'

const ownId = z.string().check(z.maxLength(80), z.regex(/^own:.+/))

/** A material of the grower's own, as described; what is left out is estimated. */
export const ownMaterialSchema = z.object({
  id: ownId,
  name,
  createdAt: z.iso.datetime(),
  family: z.enum(MATERIAL_FAMILIES),
  /** The row of the tables it is most like; null for a mean of its family. */
  likeId: z.nullable(z.string().check(z.maxLength(80))),
  pH: z.nullable(number),
  /** Salts in the saturated extract, dS/m. */
  salts: z.nullable(number),
  /** A filled bucket: its litres, and the kg in it as bought. */
  bucket: z.nullable(z.object({ litres: number, kg: number })),
  wetness: z.enum(WETNESSES),
  feel: z.nullable(z.enum(['coarse', 'fine'])),
  /** Share thrown out on screening, fraction of the volume. */
  screenedOut: number,
  /** A mix of a record that has aged: the record, and the figures worked out for it; none for anything else. */
  madeOf: z.nullable(z.string().check(z.maxLength(80))),
  figures: z
    .array(z.object({ name: z.string().check(z.maxLength(60)), low: number, value: number, high: number }))
    .check(z.maxLength(60)),
  sizeShares: z.array(number).check(z.maxLength(12)),
  /** Where it came from, and anything else. */
  note: text(LONGEST_NOTE),
  /** No longer offered; what it is in keeps it. */
  retired: z.boolean(),
})

const OWN_DRESSING_KINDS = ['soluble', 'coated', 'organic', 'mineral', 'lime'] as const

/** A feed or lime of the grower's own, as its label tells. */
export const ownDressingSchema = z.object({
  id: ownId,
  name,
  createdAt: z.iso.datetime(),
  kind: z.enum(OWN_DRESSING_KINDS),
  /** Percent N, P2O5 and K2O, as on the bag. */
  label: z.object({ nitrogen: number, phosphate: number, potash: number }),
  /** Coated: the label's months. */
  months: number,
  /** Soluble: most of its nitrogen is ammonium or urea (acid-forming), or nitrate. */
  acidForming: z.boolean(),
  /** Limes: the one of the tables it is a kind of, its calcium carbonate equivalent as a fraction, its grind. */
  limeLike: z.string().check(z.maxLength(80)),
  neutralizing: number,
  grind: z.nullable(z.enum(GRINDS)),
  /** So many grams fill so many mL; null where nobody weighed it. */
  weighed: z.nullable(z.object({ millilitres: number, grams: number })),
  note: text(LONGEST_NOTE),
  retired: z.boolean(),
})

export type OwnMaterialRecord = z.infer<typeof ownMaterialSchema>
export type OwnDressingRecord = z.infer<typeof ownDressingSchema>
