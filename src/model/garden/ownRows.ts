import { DRESSINGS } from '@/core/data/dressings'
import { MATERIALS, type Dressing, type DressingFamily, type Material, type OwnRows } from '@/core/data'
import { completeDressing } from '@/core/own/ownDressing'
import { completeLime } from '@/core/own/ownLime'
import { completeMaterial } from '@/core/own/ownMaterial'
import { fail, succeed, type Outcome } from '@/core/outcome'
import { agedMaterial, learnedDressing, learnedMaterial } from '@/core/data/learned'
import { learnedOf, ownDressingsOf, ownMaterialsOf, type Garden } from './garden'
import type { LearnedShelf, OwnDressingRecord, OwnMaterialRecord } from './schemas'

/**
 * A material of the grower's own as a whole row. Errors: those of `completeMaterial`, a bucket of nothing.
 */
export function materialOfOwn(own: OwnMaterialRecord): Outcome<Material> {
  const { bucket } = own
  if (bucket && !(bucket.litres > 0))
    return fail({ code: 'size-not-positive', field: 'bucketLitres', value: bucket.litres })
  if (bucket && !(bucket.kg > 0))
    return fail({ code: 'size-not-positive', field: 'bucketKg', value: bucket.kg })
  const whole = completeMaterial({
    id: own.id,
    name: own.name.trim() || 'My material',
    family: own.family,
    like: own.likeId ?? undefined,
    feel: own.feel ?? undefined,
    asBought: bucket ? { bulkDensity: bucket.kg / bucket.litres, wetness: own.wetness } : undefined,
    screenedOut: own.screenedOut,
    known: {
      ...(own.pH === null ? {} : { pH: { low: own.pH - 0.3, value: own.pH, high: own.pH + 0.3 } }),
      ...(own.salts === null ? {} : { electricalConductivity: own.salts }),
    },
  })
  const { figures, sizeShares } = own
  if (!whole.ok || figures.length === 0) return whole
  return succeed(
    agedMaterial(whole.value, { properties: figures, ...(sizeShares.length > 0 ? { sizeShares } : {}) }),
  )
}

/** Shares of nitrogen in a soluble feed that makes a mix acid, and in one that does not. Source: common practice. */
const FORMS = {
  acid: { nitrate: 0.2, ammonium: 0.4, urea: 0.4, organic: 0 },
  neutral: { nitrate: 0.85, ammonium: 0.15, urea: 0, organic: 0 },
}

/** The family whose rows it is most like: an organic feed by the element it has most of. */
function familyOf({ kind, label }: OwnDressingRecord): Exclude<DressingFamily, 'lime'> {
  if (kind === 'soluble') return 'soluble'
  if (kind === 'coated') return 'crf'
  const { nitrogen, phosphate, potash } = label
  const most = Math.max(nitrogen, phosphate, potash)
  if (kind === 'organic')
    return most === nitrogen ? 'organic_N' : most === phosphate ? 'organic_P' : 'organic_K'
  return most === potash ? 'mineral_K' : most === phosphate ? 'phosphate' : 'soluble'
}

/**
 * A feed or lime of the grower's own as a whole row. Errors: those of `completeDressing` and `completeLime`; a feed of
 * nothing; a spoon or cup of nothing.
 */
export function dressingOfOwn(own: OwnDressingRecord): Outcome<Dressing> {
  const { weighed, label } = own
  const bulkDensity = weighed ? weighed.grams / weighed.millilitres : undefined
  if (weighed && !(weighed.millilitres > 0))
    return fail({ code: 'size-not-positive', field: 'weighedMillilitres', value: weighed.millilitres })
  if (weighed && !(weighed.grams > 0))
    return fail({ code: 'size-not-positive', field: 'weighedGrams', value: weighed.grams })
  const name = own.name.trim() || 'My feed'
  if (own.kind === 'lime')
    return completeLime({
      id: own.id,
      name,
      like: own.limeLike,
      calciumCarbonateEquivalent: own.neutralizing,
      grind: own.grind ?? undefined,
      bulkDensity,
    })
  if (!(label.nitrogen + label.phosphate + label.potash > 0))
    return fail({ code: 'size-not-positive', field: 'label', value: 0 })
  return completeDressing({
    id: own.id,
    name,
    family: familyOf(own),
    label,
    bulkDensity,
    ...(own.kind === 'coated' ? { longevityMonths: own.months } : {}),
    ...(own.kind === 'soluble' ? { nitrogenForms: own.acidForming ? FORMS.acid : FORMS.neutral } : {}),
  })
}

const WHOLE = new WeakMap<OwnMaterialRecord | OwnDressingRecord, Outcome<Material> | Outcome<Dressing>>()
function once<O extends OwnMaterialRecord | OwnDressingRecord, R>(
  own: O,
  work: (own: O) => Outcome<R>,
): Outcome<R> {
  const known = WHOLE.get(own)
  if (known) return known as Outcome<R>
  const row = work(own)
  WHOLE.set(own, row as Outcome<Material>)
  return row
}

let last: { records: readonly object[]; rows: OwnRows } | null = null

/** Every own row of a garden, retired ones too; one that cannot be completed is left out. The same for the same. */
export function ownRowsOf(garden: Garden): OwnRows {
  const materials = ownMaterialsOf(garden)
  const dressings = ownDressingsOf(garden)
  const records = [...materials, ...dressings]
  if (last && last.records.length === records.length && records.every((r, i) => r === last!.records[i]))
    return last.rows
  const sound = <R>(outcome: Outcome<R>): R[] => (outcome.ok ? [outcome.value] : [])
  const rows = {
    materials: materials.flatMap((m) => sound(once(m, materialOfOwn))),
    dressings: dressings.flatMap((d) => sound(once(d, dressingOfOwn))),
  }
  last = { records, rows }
  return rows
}

/** Rows that stand in for those of the tables and the grower's own: what `keepOwnRows` takes. */
let lastInUse: { own: OwnRows; learned: LearnedShelf | undefined; rows: OwnRows } | null = null

/**
 * Every row a garden's figures are worked out with, beside the tables: the grower's own, and whatever readings have
 * changed. The same for the same.
 */
export function rowsInUse(garden: Garden): OwnRows {
  const own = ownRowsOf(garden)
  const learned = learnedOf(garden)
  if (!learned) return own
  if (lastInUse?.own === own && lastInUse.learned === learned) return lastInUse.rows
  const taught = new Map(learned.rows.map((r) => [r.id, r]))
  const withOwn = <R extends { id: string }>(mine: readonly R[], tables: readonly R[]) => [
    ...mine,
    ...tables.filter((r) => taught.has(r.id)),
  ]
  const rows: OwnRows = {
    materials: withOwn(own.materials, MATERIALS).map((row) => {
      const figures = taught.get(row.id)
      return figures ? learnedMaterial(row, figures) : row
    }),
    dressings: withOwn(own.dressings, DRESSINGS).map((row) => {
      const figures = taught.get(row.id)
      return figures ? learnedDressing(row, figures) : row
    }),
    learning: learned.learning,
  }
  lastInUse = { own, learned, rows }
  return rows
}

/** The grower's own rows, then those of the tables; all as readings have them. */
function everyRow<R extends { id: string }>(own: readonly R[], inUse: readonly R[], tables: readonly R[]) {
  const now = new Map(inUse.map((r) => [r.id, r]))
  return [...own, ...tables].map((r) => now.get(r.id) ?? r)
}
export const everyMaterial = (garden: Garden): Material[] =>
  everyRow(ownRowsOf(garden).materials, rowsInUse(garden).materials, MATERIALS)
export const everyDressing = (garden: Garden): Dressing[] =>
  everyRow(ownRowsOf(garden).dressings, rowsInUse(garden).dressings, DRESSINGS)

const withoutRetired = <R extends { id: string }>(
  rows: readonly R[],
  records: readonly { id: string; retired: boolean }[],
): R[] => {
  const gone = new Set(records.filter((r) => r.retired).map((r) => r.id))
  return rows.filter((r) => !gone.has(r.id))
}

/** Materials to choose from: the grower's own that are not retired, then those of the tables. */
export const materialsToChoose = (garden: Garden): Material[] =>
  withoutRetired(everyMaterial(garden), ownMaterialsOf(garden))

/** Dressings to choose from, likewise; limes are among them. */
export const dressingsToChoose = (garden: Garden): Dressing[] =>
  withoutRetired(everyDressing(garden), ownDressingsOf(garden))
