import { measureText } from '@/core/mixing/measures'
import type { BenchMove, MoveFigures, NextMoves } from '@/model/find/nextMoves'
import { dressingName } from '../shelf/dressings'
import { TOPIC_NAMES } from './topics'
import { lowerFirst } from '../base/counted'
import { shortName } from '../base/titles'
import {
  doseText,
  intervalText,
  percentText,
  pHText,
  rateFigure,
  rateUnit,
  weightText,
  windText,
  type UnitSystem,
} from '../base/units'

/** Keys that make the next moves, the first for the first. */
export const MOVE_KEYS = ['a', 'b', 'c', 'd', 'e']

const partsText = (parts: number) => {
  const twelfths = Math.max(1, Math.round(parts * 12))
  return `${measureText(twelfths)} ${twelfths > 12 ? 'parts' : 'part'}`
}

/** "Swap half a part of compost for coarse perlite". */
export function moveText(
  { change }: Pick<BenchMove, 'change'>,
  units: UnitSystem,
  nameOf: (id: string) => string = shortName,
): string {
  const lower = (id: string) => (id.startsWith('mix:') ? `“${nameOf(id)}”` : lowerFirst(nameOf(id)))
  switch (change.kind) {
    case 'add':
      return `Add ${partsText(change.parts)} of ${lower(change.material)}`
    case 'takeAway':
      return `Take away ${partsText(change.parts)} of ${lower(change.material)}`
    case 'swap':
      return `Swap ${partsText(change.parts)} of ${lower(change.from)} for ${lower(change.to)}`
    case 'lime': {
      const [from, to] = [change.from, change.to].map((g) => (g > 0 ? doseText(g, units) : 'none'))
      return change.to > 0
        ? `Give ${change.to < change.from ? 'less' : 'more'} lime: ${to} instead of ${from}`
        : `Leave the lime out: ${from} is too much`
    }
    case 'limeAndDress':
      return `${moveText({ change: change.lime }, units)}, and ${lowerFirst(moveText({ change: change.dress }, units))}`
    case 'undress':
      return change.to > 0
        ? `Give half the ${lowerFirst(dressingName(change.dressingId))}: ${doseText(change.to, units)}`
        : `Leave out the ${lowerFirst(dressingName(change.dressingId))}`
    case 'dress':
      return `Give ${doseText(change.gramsPerLitre, units)} of ${lowerFirst(dressingName(change.dressingId))}`
  }
}

interface Shown {
  key: keyof MoveFigures
  label: string
  write: (x: number, units: UnitSystem) => string
  /** A difference that can be seen. */
  least: number
}
const FIGURES: readonly Shown[] = [
  { key: 'air', label: 'air', write: (x) => percentText(x), least: 0.01 },
  { key: 'water', label: 'water', write: (x) => percentText(x), least: 0.01 },
  { key: 'pH', label: 'pH', write: pHText, least: 0.1 },
  { key: 'fed', label: 'fed', write: (x) => percentText(x), least: 0.05 },
  { key: 'wind', label: 'tips at', write: windText, least: 0.5 },
  { key: 'salts', label: 'salts', write: (x) => `${x.toFixed(1)} dS/m`, least: 0.2 },
]
/** Figures named for one move at most. */
const MOST_TOLD = 4
/** Shares of weight, days and cost that can be seen. */
const SEEN = { weight: 0.08, days: 0.15, cost: 0.03 }

/** "air 11 → 16 %, water 18 → 21 %": what changes enough to be seen, most at stake first. */
export function changeText(before: MoveFigures, after: MoveFigures, units: UnitSystem): string {
  const words = FIGURES.flatMap(({ key, label, write, least }) => {
    const [from, to] = [before[key], after[key]]
    if (from === null || to === null || Math.abs(to - from) < least) return []
    const [was, is] = [write(from, units), write(to, units)]
    if (was === is) return []
    const unit = /[^\d.,]*$/.exec(is)?.[0] ?? ''
    return [`${label} ${was.endsWith(unit) ? was.slice(0, was.length - unit.length) : was} → ${is}`]
  }).slice(0, MOST_TOLD)
  if (before.days !== null && after.days !== null && Math.abs(after.days / before.days - 1) >= SEEN.days)
    words.push(`water ${intervalText(after.days)}`)
  const [heavy, was] = [weightText(after.weight, units), weightText(before.weight, units)]
  if (heavy !== was && Math.abs(after.weight / before.weight - 1) >= SEEN.weight)
    words.push(`${heavy} instead of ${was}`)
  const cost = after.cost - before.cost
  if (Number.isFinite(cost) && Math.abs(cost) >= SEEN.cost * before.cost)
    words.push(`${rateFigure(Math.abs(cost), units)} ${rateUnit(units)} ${cost < 0 ? 'cheaper' : 'dearer'}`)
  return words.join(', ')
}

const namesOf = (mends: BenchMove['mends'], gone: boolean) =>
  mends.filter((m) => m.gone === gone).map((m) => TOPIC_NAMES[m.topic])

/** "clears: too acid; eases: potassium short"; nothing where nothing is mended. */
export function mendsText({ mends }: Pick<BenchMove, 'mends'>): string {
  const [clears, eases] = [namesOf(mends, true), namesOf(mends, false)]
  return [
    ...(clears.length > 0 ? [`clears: ${clears.join(', ')}`] : []),
    ...(eases.length > 0 ? [`eases: ${eases.join(', ')}`] : []),
  ].join('; ')
}

/** What stands in the place of a list of moves where there is none. */
export function noMovesText({ standing, notes }: NextMoves, widest: boolean): string {
  if (standing.faults > 0)
    return widest
      ? 'No single change helps. The finder may know a whole other mix.'
      : 'No single change from your shelf helps. Look among every material, or ask the finder.'
  return notes > 0
    ? 'Every figure meets its target. What is listed below needs no other mix.'
    : 'Every figure meets its target. Nothing to improve.'
}
