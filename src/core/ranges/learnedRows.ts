import type { LearnedFigures, LearnedProperty, Learning } from '../data/learned'
import { MATERIAL_PROPERTIES, type Dressing, type Material, type Property } from '../data/types'
import { preparedMaterial } from '../mixing'
import { deviatesOfProperty, drawMaterial } from './drawMaterial'
import { drawn, drawRow } from './drawProperty'
import { leftOf } from './law'
import type { Learned } from './learn'

/** A row as readings have it. */
export interface LearnedRow extends LearnedFigures {
  id: string
}

/** Nineteen in twenty lie below. */
const NINE_IN_TEN = 1.6449
/** A property is named where its mean moved by this, in deviations of the tables, or its spread fell to that. */
const TELLS = { moved: 0.1, spread: 0.95 }
const places = (x: number) => Number(x.toPrecision(5))

/** A property at a mean and a deviation, both in deviations of the tables. */
const learnedProperty = (name: string, p: Property, mean: number, left: number): LearnedProperty => ({
  name,
  low: places(drawn(p, mean - NINE_IN_TEN * left)),
  value: places(drawn(p, mean)),
  high: places(drawn(p, mean + NINE_IN_TEN * left)),
})

/** Mean and deviation that are left of a sum of deviates of one row. */
function lawOf(learning: Learning, row: string, of: readonly { name: string; by: number }[]) {
  const line = learning.names.map(() => 0)
  let mean = 0
  let apart = 0
  for (const { name, by } of of) {
    const j = learning.names.indexOf(`${row}/${name}`)
    if (j === -1) {
      apart += by ** 2
      continue
    }
    line[j] = by
    mean += by * learning.mean[j]!
  }
  return { mean, left: Math.sqrt((learning.spread ?? 1) ** 2 * apart + leftOf(learning, line) ** 2) }
}

const tells = ({ mean, left }: { mean: number; left: number }) =>
  Math.abs(mean) > TELLS.moved || left < TELLS.spread

/** What was learned of a material; null where that is nothing to speak of. `material` is the tables' own row. */
export function learnedOfMaterial(material: Material, learning: Learning): LearnedRow | null {
  const { id } = material
  const properties = MATERIAL_PROPERTIES.flatMap((name) => {
    const p = material.properties[name]
    const law = p && lawOf(learning, id, deviatesOfProperty(name))
    return p && law && tells(law) ? [learnedProperty(name, p, law.mean, law.left)] : []
  })
  const at = (name: string) => learning.mean[learning.names.indexOf(`${id}/${name}`)] ?? 0
  const moved = material.sizeShares.some((_, k) => Math.abs(at(`size${k}`)) > TELLS.moved)
  if (properties.length === 0 && !moved) return null
  const { sizeShares } = drawMaterial(preparedMaterial(material), at).material
  return { id, properties, ...(moved ? { sizeShares: sizeShares.map(places) } : {}) }
}

/** The same of a dressing or lime. */
export function learnedOfDressing(dressing: Dressing, learning: Learning): LearnedRow | null {
  const properties: LearnedProperty[] = []
  drawRow(dressing, (path) => {
    const law = lawOf(learning, dressing.id, [{ name: path, by: 1 }])
    if (tells(law)) properties.push(learnedProperty(path, propertyAt(dressing, path), law.mean, law.left))
    return 0
  })
  return properties.length > 0 ? { id: dressing.id, properties } : null
}

/** A reading has a say in a row where the row moves it by this, in its errors. */
const HAS_A_SAY = 0.1

/** Readings that had a say in a row, of those a learning is made of. */
export const readingsBehind = ({ learning, taught }: Learned, row: string): string[] =>
  taught.filter((_, i) => {
    const moves = learning.names.reduce(
      (sum, name, j) => (name.startsWith(`${row}/`) ? sum + learning.slopes[i]![j]! ** 2 : sum),
      0,
    )
    return moves > HAS_A_SAY ** 2 * learning.noise[i]![i]!
  })

const propertyAt = (row: unknown, path: string): Property =>
  path.split('.').reduce((at, key) => (at as Record<string, unknown>)[key], row) as Property
