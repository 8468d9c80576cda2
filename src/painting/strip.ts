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

/** Air at three depths, in words, at the height it belongs to. */
export function marksOf(layout: SectionLayout, { slices }: ContainerProfile) {
  if (slices.length === 0) return []
  const at = (t: number) => slices[Math.min(slices.length - 1, Math.floor(t * slices.length))]!
  return [
    { t: 0.92, words: says.nearTheTop },
    { t: 0.5, words: 'halfway' },
    { t: 0.05, words: at(0.05).air < WET_FOOT ? says.theWetFoot : says.atTheFoot },
  ].map(({ t, words }) => ({ y: layout.y(layout.mixHeight * t), air: percentText(at(t).air), words }))
}
