import { strip as says } from '@/text/components/cutaway'
import type { ContainerProfile } from '@/core/water'
import { percentText } from '@/text/base/units'
import type { SectionLayout } from './section'

/** The exact strip beside a section: solids, and all but air, by depth. px. */
export interface Strip {
  x: number
  wide: number
  top: number
  bottom: number
  /** Points of the polygons. */
  solids: string
  wet: string
}

/** A point every four pixels or so: as close as the eye. Null where there is nothing to draw. */
export function stripOf(layout: SectionLayout, profile: ContainerProfile, narrow: boolean): Strip | null {
  const { slices } = profile
  if (slices.length === 0) return null
  const x = Math.max(layout.right(layout.mixHeight), layout.right(0)) + (narrow ? 10 : 16)
  const wide = narrow ? 30 : 46
  const [top, bottom] = [layout.y(layout.mixHeight), layout.y(0)]
  const each = Math.max(1, Math.round((4 * slices.length) / (bottom - top)))
  const rows = slices.filter((_, i) => i % each === 0 || i === slices.length - 1)
  type Slice = (typeof slices)[number]
  const upTo = (share: (s: Slice) => number) => {
    const at = (s: Slice) => (x + share(s) * wide).toFixed(1)
    const edge = rows.map((s) => `${at(s)},${layout.y(s.height).toFixed(1)}`)
    return `${x},${bottom} ${at(rows[0]!)},${bottom} ${edge.join(' ')} ${at(rows.at(-1)!)},${top} ${x},${top}`
  }
  return { x, wide, top, bottom, solids: upTo((s) => s.solids), wet: upTo((s) => s.solids + s.water) }
}

/** Less air than this at the foot is called wet, fraction. */
const WET_FOOT = 0.03

/**
 * Air at three depths of the mix, in words, at the height it belongs to. The foot is that of the mix, cm above the
 * base: on layers the wet zone is there, not at the base.
 */
export function marksOf(layout: SectionLayout, { slices }: ContainerProfile, floor = 0) {
  if (slices.length === 0) return []
  const heightOf = (t: number) => floor + (layout.mixHeight - floor) * t
  const at = (t: number) =>
    slices[Math.min(slices.length - 1, Math.floor((heightOf(t) / layout.mixHeight) * slices.length))]!
  const wet = floor > 0 ? says.wetOnTheLayers : says.theWetFoot
  return [
    { t: 0.92, words: says.nearTheTop },
    { t: 0.5, words: 'halfway' },
    { t: 0.05, words: at(0.05).air < WET_FOOT ? wet : says.atTheFoot },
  ].map(({ t, words }) => ({ y: layout.y(heightOf(t)), air: percentText(at(t).air), words }))
}
