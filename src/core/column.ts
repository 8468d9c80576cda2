import type { Container, ContainerVolumes } from './geometry'
import { blend, type Blend, type BlendPart } from './mixing'
import { fail, succeed, type Note, type Outcome } from './outcome'
import { containerProfile, tensionAtBase, type ContainerProfile } from './water'
import { entryTensionOf, hydraulicsOf } from './water/moving/hydraulics'

/** A layer under the mix: gravel, bark, another mix. */
export interface BottomLayer {
  /** cm. */
  thickness: number
  parts: readonly BlendPart[]
  /** Do its gaps fill with the mix above, so that it pulls as that does? Not where left out. */
  bridged?: boolean
}

/** Centimetres of a layer that do not pull on the mix, from which it is said. */
const WORTH_TELLING = 1

/** What a column is laid out from. */
interface Laid {
  container: Container
  /** From the base up. */
  bottomLayers?: readonly BottomLayer[]
}

/** A mix with what lies under it, from the base up: the mix last; `tops` in cm above the base. */
export interface Column {
  blends: Blend[]
  tops: number[]
  /** Top of the layers under the mix, cm. */
  floor: number
}
/** Lays a mix on its layers. Errors: a layer not above zero; layers that leave no room for mix. */
export function columnOf(
  { bottomLayers }: Laid,
  { mixHeight }: ContainerVolumes,
  mix: Blend,
): Outcome<Column> {
  const column: Column = { blends: [], tops: [], floor: 0 }
  for (const layer of bottomLayers ?? []) {
    if (!(layer.thickness > 0))
      return fail({ code: 'size-not-positive', field: 'thickness', value: layer.thickness })
    const below = blend(layer.parts)
    if (!below.ok) return below
    column.floor += layer.thickness
    if (column.floor >= mixHeight)
      return fail({ code: 'size-too-large', field: 'thickness', value: column.floor, limit: mixHeight })
    column.blends.push(below.value)
    column.tops.push(column.floor)
  }
  column.blends.push(mix)
  column.tops.push(mixHeight)
  return succeed(column)
}

/** Air and water by depth. Between two layers water waits for its entry tension, unless something bridges them. */
export const profileOf = (
  { container, bottomLayers }: Laid,
  { blends, tops }: Column,
  slices: number,
): ContainerProfile =>
  containerProfile(
    container,
    blends.map((b, i) => ({
      top: tops[i]!,
      totalPorosity: b.totalPorosity,
      waterAt: b.waterAt,
      entryTension:
        blends.length > 1 && !bottomLayers?.[i]?.bridged ? entryTensionOf(hydraulicsOf(b)) : undefined,
    })),
    slices,
  )

/** What stands in the way of drainage, or helps it. */
export function drainageNotes({ container }: Laid, { floor }: Column, profile: ContainerProfile): Note[] {
  const notes: Note[] = []
  const pull = profile.baseTension + floor
  if (floor > 0 && floor + tensionAtBase(container) - pull > WORTH_TELLING)
    notes.push({ code: 'layer-stalls-drainage', thickness: floor, pull })
  if (container.base.kind === 'onSoil' && pull > WORTH_TELLING + floor)
    notes.push({ code: 'bed-drained-by-soil', texture: container.base.texture })
  return notes
}
