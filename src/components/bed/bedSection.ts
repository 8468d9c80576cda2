import { common } from '@/text/base/common'
import { bedSection as words } from '@/text/components/bed'
import { shapeHeight } from '@/core/geometry'
import { containerOf } from '@/model/garden/garden'
import type { BedSpec, Layer as Lying } from '@/model/garden/schemas'
import { layerName } from '@/text/base/labels'
import { lengthText, type UnitSystem } from '@/text/base/units'
import { bodyOf } from '@/model/garden/vessel'
import { widestOf, type SectionLayout } from '../../painting/section'

type Layer = Lying & { from: number; to: number }

/** Levels of a bed in section, cm above its base. */
export interface Levels {
  total: number
  /** From the base up. */
  layers: Layer[]
  /** Top of the layers. */
  floor: number
  fillLine: number
  /** Surface of old mix that stays; null where none does. */
  oldTop: number | null
  /** Null where there are none. */
  sideHoles: number | null
}

export function levelsOf({ vessel, layers }: BedSpec, sunkBy: number | null): Levels {
  const total = shapeHeight(containerOf(vessel).shape)
  let top = 0
  const stacked = layers.map((layer): Layer => {
    const from = top
    top = Math.min(from + Math.max(0, layer.thickness), total)
    return { ...layer, from, to: top }
  })
  const fillLine = Math.max(0, total - vessel.headspace)
  return {
    total,
    layers: stacked,
    floor: top,
    fillLine,
    oldTop: sunkBy === null ? null : Math.max(top, Math.min(fillLine, fillLine - sunkBy)),
    sideHoles: vessel.base.kind === 'sideHoles' ? vessel.base.height : null,
  }
}

/** What lies between two heights, as the points of a polygon. */
export function bandPoints(layout: SectionLayout, from: number, to: number): string {
  const steps = Array.from({ length: 13 }, (_, i) => from + ((to - from) * i) / 12)
  return [
    ...steps.map((z) => `${layout.left(z)},${layout.y(z)}`),
    ...steps.map((z) => `${layout.right(z)},${layout.y(z)}`).reverse(),
  ].join(' ')
}

/** A line of the drawing that can be moved: where it lies, between what, and what a new place means. */
export interface Handle {
  id: string
  label: string
  value: number
  low: number
  high: number
  valueText: string
  /** The bed once it is there, or how far old mix has sunk. */
  moved: (height: number) => { change: Partial<BedSpec> } | { sunkBy: number }
}
/** A tenth of a millimetre is more than anybody measures. */
const tidy = (cm: number) => Math.round(cm * 100) / 100

/** Everything that can be moved on the drawing of a bed. */
export function handlesOf(spec: BedSpec, levels: Levels, sunkBy: number | null, units: UnitSystem): Handle[] {
  const { total, layers, floor, fillLine, oldTop, sideHoles } = levels
  const { vessel } = spec
  const handles: Handle[] = layers.flatMap((layer, index): Handle[] =>
    layer.kind === 'cloth'
      ? []
      : [
          {
            id: `layer-${index}`,
            label: words.topOfThe(layerName(layer).toLowerCase()),
            value: layer.to,
            low: layer.from,
            high: Math.max(layer.from, fillLine - 1),
            valueText: lengthText(layer.thickness, units),
            moved: (top) => ({
              change: {
                layers: spec.layers.map((l, i) =>
                  i === index ? { ...l, thickness: tidy(top - layer.from) } : l,
                ),
              },
            }),
          },
        ],
  )
  if (sideHoles !== null)
    handles.push({
      id: 'side-holes',
      label: words.sideHoles,
      value: sideHoles,
      low: 0,
      high: Math.max(0, fillLine - 1),
      valueText: words.aboveTheBase(lengthText(sideHoles, units)),
      moved: (height) => ({
        change: { vessel: { ...vessel, base: { kind: 'sideHoles', height: tidy(height) } } },
      }),
    })
  if (oldTop !== null && sunkBy !== null)
    handles.push({
      id: 'old-mix',
      label: words.surfaceOfTheOldMix,
      value: oldTop,
      low: floor,
      high: fillLine,
      valueText: words.sunkBy(lengthText(sunkBy, units)),
      moved: (height) => ({ sunkBy: tidy(fillLine - height) }),
    })
  handles.push({
    id: 'fill-line',
    label: words.fillLine,
    value: fillLine,
    low: Math.min(floor + 1, total),
    high: total,
    valueText: words.lipOf(lengthText(vessel.headspace, units)),
    moved: (height) => ({ change: { vessel: { ...vessel, headspace: tidy(total - height) } } }),
  })
  return handles
}

/** Words written in the drawing, centred on a height between two levels. */
export interface Mark {
  id: string
  text: string
  /** Height it stands at, and the height whose middle it stands in. */
  at: number
  across: number
  /** px it is moved down. */
  shift: number
}

/** How thick the layers are, and how much mix lies on them. */
export function insideMarks({ layers, floor, fillLine, oldTop }: Levels, units: UnitSystem): Mark[] {
  const marks = layers
    .filter((l) => l.to > l.from)
    .map((l, i): Mark => ({
      id: `layer-${i}`,
      text: `${layerName(l)} ${lengthText(l.thickness, units)}`,
      at: (l.from + l.to) / 2,
      across: (l.from + l.to) / 2,
      shift: 5,
    }))
  if (fillLine - floor <= 4) return marks
  const topping = oldTop !== null
  return [
    ...marks,
    {
      id: 'mix',
      text: topping
        ? words.toTopUp(lengthText(fillLine - oldTop, units))
        : common.ofMix(lengthText(fillLine - floor, units)),
      at: topping ? oldTop : (fillLine + floor) / 2,
      across: fillLine,
      shift: topping ? -8 : 5,
    },
  ]
}

/** Its width across the top, or how much of a long one is drawn. */
export function widthText(spec: BedSpec, layout: Pick<SectionLayout, 'cutShort'>, units: UnitSystem): string {
  const { shape } = spec.vessel
  const body = bodyOf(spec.vessel)
  const width = lengthText(widestOf(shape), units)
  // Seen from its end: how long it is, is said beside.
  if (body.kind === 'halfCylinder') return words.acrossAndLong(width, lengthText(body.length, units))
  return `${width} ${layout.cutShort ? words.longDrawnInPart : 'inside'}`
}
