import type { QuickFigures, RankedMove } from '@/core/finder'
import { measureText } from '@/core/mixing'
import { shortName } from './labels'
import { percentText, pHText, rateFigure, rateUnit, type UnitSystem } from './units'

const partsText = (parts: number) => {
  const twelfths = Math.max(1, Math.round(parts * 12))
  return `${measureText(twelfths)} ${twelfths > 12 ? 'parts' : 'part'}`
}

const lowered = (name: string) => name.replace(/^./, (c) => c.toLowerCase())

/** "Swap half a part of compost for coarse perlite". */
export function moveText({ move }: RankedMove, nameOf: (id: string) => string = shortName): string {
  const lower = (id: string) => (id.startsWith('mix:') ? `“${nameOf(id)}”` : lowered(nameOf(id)))
  switch (move.kind) {
    case 'add':
      return `Add ${partsText(move.parts)} of ${lower(move.material)}`
    case 'takeAway':
      return `Take away ${partsText(move.parts)} of ${lower(move.material)}`
    case 'swap':
      return `Swap ${partsText(move.parts)} of ${lower(move.from)} for ${lower(move.to)}`
  }
}

const FIGURES: { key: keyof QuickFigures; label: string; write: (x: number) => string; least: number }[] = [
  { key: 'airFilledPorosity', label: 'air', write: (x) => percentText(x), least: 0.01 },
  { key: 'easilyAvailableWater', label: 'water', write: (x) => percentText(x), least: 0.01 },
  { key: 'pH', label: 'pH before lime', write: pHText, least: 0.1 },
  { key: 'electricalConductivity', label: 'salts', write: (x) => `${x.toFixed(1)} dS/m`, least: 0.2 },
]
/** "air 11 → 16 %, easy water 18 → 21 %": what changes enough to be seen, most at stake first. */
export function changeText(before: QuickFigures, after: QuickFigures, units: UnitSystem): string {
  const seen = FIGURES.filter((f) => Math.abs(after[f.key] - before[f.key]) >= f.least)
  const words = seen.slice(0, 3).map(({ key, label, write }) => {
    const [from, to] = [write(before[key]), write(after[key])]
    const unit = /[^\d.,]*$/.exec(to)?.[0] ?? ''
    return `${label} ${from.endsWith(unit) ? from.slice(0, from.length - unit.length) : from} → ${to}`
  })
  const weight = after.drainedDensity / before.drainedDensity - 1
  if (Math.abs(weight) >= 0.08)
    words.push(`${percentText(Math.abs(weight))} ${weight < 0 ? 'lighter' : 'heavier'}`)
  const cost = after.costPerLitre - before.costPerLitre
  if (Number.isFinite(cost) && Math.abs(cost) >= 0.002)
    words.push(`${rateFigure(Math.abs(cost), units)} ${rateUnit(units)} ${cost < 0 ? 'cheaper' : 'dearer'}`)
  return words.join(', ')
}
