import { DRESSINGS } from '@/core/data/dressings'
import { learnedDressing, learnedMaterial } from '@/core/data/learned'
import { MATERIALS, type Dressing, type Material, type Tables } from '@/core/data'
import { learnedOf, ownDressingsOf, ownMaterialsOf, type Garden } from './garden'
import { once } from './once'
import { dressingOfOwn, materialOfOwn } from './ownRows'
import type { LearnedShelf, OwnDressingRecord, OwnMaterialRecord } from './schemas'
import type { Outcome } from '@/core/outcome'

/** Records and rows never change in place, so what follows from one is the same as long as it is. */
const WHOLE_MATERIALS = new WeakMap<OwnMaterialRecord, Material[]>()
const WHOLE_DRESSINGS = new WeakMap<OwnDressingRecord, Dressing[]>()
const LEARNED = new WeakMap<LearnedShelf, WeakMap<Material | Dressing, Material | Dressing>>()
const TABLES = new WeakMap<Garden, Tables>()

const sound = <R>(outcome: Outcome<R>): R[] => (outcome.ok ? [outcome.value] : [])

/** The grower's own rows, retired ones too, before readings changed them; one that cannot be completed is left out. */
const ownMaterials = (garden: Garden) =>
  ownMaterialsOf(garden).flatMap((m) => once(WHOLE_MATERIALS, m, (own) => sound(materialOfOwn(own))))
const ownDressings = (garden: Garden) =>
  ownDressingsOf(garden).flatMap((d) => once(WHOLE_DRESSINGS, d, (own) => sound(dressingOfOwn(own))))

/** What readings have made of rows: the grower's own, and those published that they speak of. */
function asLearned<R extends Material | Dressing>(
  own: readonly R[],
  published: readonly R[],
  learned: LearnedShelf | undefined,
  change: (row: R, figures: LearnedShelf['rows'][number]) => R,
): R[] {
  if (!learned) return [...own]
  const taught = new Map(learned.rows.map((r) => [r.id, r]))
  const changed = once(LEARNED, learned, () => new WeakMap())
  return [...own, ...published.filter((r) => taught.has(r.id))].map((row) => {
    const figures = taught.get(row.id)
    return figures ? (once(changed, row, () => change(row, figures)) as R) : row
  })
}

/**
 * The tables a garden's figures are worked out with. Made once for a garden; the rows in them are the same as long as
 * what they come from is.
 */
export const tablesOf = (garden: Garden): Tables =>
  once(TABLES, garden, () => {
    const learned = learnedOf(garden)
    return {
      materials: asLearned(ownMaterials(garden), MATERIALS, learned, learnedMaterial),
      dressings: asLearned(ownDressings(garden), DRESSINGS, learned, learnedDressing),
      learning: learned?.learning ?? null,
    }
  })

const sameRows = (a: readonly object[], b: readonly object[]) =>
  a.length === b.length && a.every((row, i) => row === b[i])

/** Do two tables hold the same rows? */
export const sameTables = (a: Tables, b: Tables): boolean =>
  a === b ||
  (a.learning === b.learning && sameRows(a.materials, b.materials) && sameRows(a.dressings, b.dressings))

/** Own rows, then the published ones; all as readings have them. */
function everyRow<R extends { id: string }>(own: readonly R[], now: readonly R[], published: readonly R[]) {
  const byId = new Map(now.map((r) => [r.id, r]))
  return [...own, ...published].map((r) => byId.get(r.id) ?? r)
}
export const everyMaterial = (garden: Garden): Material[] =>
  everyRow(ownMaterials(garden), tablesOf(garden).materials, MATERIALS)
export const everyDressing = (garden: Garden): Dressing[] =>
  everyRow(ownDressings(garden), tablesOf(garden).dressings, DRESSINGS)

const withoutRetired = <R extends { id: string }>(
  rows: readonly R[],
  records: readonly { id: string; retired: boolean }[],
): R[] => {
  const gone = new Set(records.filter((r) => r.retired).map((r) => r.id))
  return rows.filter((r) => !gone.has(r.id))
}

/** Materials to choose from: the grower's own that are not retired, then the published ones. */
export const materialsToChoose = (garden: Garden): Material[] =>
  withoutRetired(everyMaterial(garden), ownMaterialsOf(garden))

/** Dressings to choose from, likewise; limes are among them. */
export const dressingsToChoose = (garden: Garden): Dressing[] =>
  withoutRetired(everyDressing(garden), ownDressingsOf(garden))
