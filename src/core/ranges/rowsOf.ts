import type { Crop, Dressing, Learnable, LimingMaterial, Material } from '../data/types'
import type { MixInContainer } from '../evaluate'
import { preparedMaterial, type BlendPart, type PreparedMaterial } from '../mixing'
import { drawMaterial } from './drawMaterial'
import { drawRow, type Deviate } from './drawProperty'

/**
 * A row as the tables have it, before anything was learned of it.
 *
 * @example
 * unlearned({ id: 'now', unlearned: { id: 'before' } }).id // 'before'
 */
export const unlearned = <R extends Learnable<R>>(row: R): R => row.unlearned ?? row

/** A lime as a dressing has these under other names. */
const IN_DRESSING: Record<string, string> = {
  ratePerDay: 'release.ratePerDay',
  calciumCarbonateEquivalent: 'lime.calciumCarbonateEquivalent',
}

/** Deviates of one row after another. */
export type DeviatesOf = (rowId: string) => Deviate

/**
 * A mix with every row it is made of drawn from the tables' own: each once, however often it is in it, so that two
 * buckets from one bag, or a lime in two places, are one draw.
 */
export function drawMix(input: MixInContainer, deviates: DeviatesOf): MixInContainer {
  const materials = new Map<string, PreparedMaterial>()
  const rows = new Map<object, object>()
  const once = <R extends object>(of: R, draw: () => R): R => {
    let own = rows.get(of) as R | undefined
    if (!own) rows.set(of, (own = draw()))
    return own
  }
  const partOf = ({ material: { material }, parts }: BlendPart): BlendPart => {
    const { id } = material
    let own = materials.get(id)
    if (!own) materials.set(id, (own = drawMaterial(preparedMaterial(unlearned(material)), deviates(id))))
    return { material: own, parts }
  }
  const lime = (of: LimingMaterial) =>
    once(of, () => drawRow(unlearned(of), (name) => deviates(of.id)(IN_DRESSING[name] ?? name)))
  const dressing = (of: Dressing) => once(of, () => drawRow(unlearned(of), deviates(of.id)))
  const crop = (of: Crop) => once(of, () => drawRow(of, deviates(of.id)))
  return {
    ...input,
    parts: input.parts.map(partOf),
    bottomLayers: input.bottomLayers?.map((l) => ({ ...l, parts: l.parts.map(partOf) })),
    limes: input.limes.map((l) => ({ ...l, lime: lime(l.lime) })),
    dressings: input.dressings?.map((d) => ({ ...d, dressing: dressing(d.dressing) })),
    growing: input.growing && { ...input.growing, crop: crop(input.growing.crop) },
  }
}

/** Ids of every dressing and lime of a mix. */
export const dressingIdsOf = (input: MixInContainer): string[] => [
  ...new Set([...input.limes.map((l) => l.lime.id), ...(input.dressings ?? []).map((d) => d.dressing.id)]),
]

/** Every material of a mix, as the tables have it, by its id. */
export function materialsOf(input: MixInContainer): Map<string, Material> {
  const parts = [...input.parts, ...(input.bottomLayers ?? []).flatMap((l) => l.parts)]
  return new Map(parts.map(({ material: { material } }) => [material.id, unlearned(material)]))
}
