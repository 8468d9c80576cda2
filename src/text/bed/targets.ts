import { cropRow } from '@/core/data/cropTable'
import type { Crop } from '@/core/data'
import type { CropFit } from '@/core/filling'
import type { Reason, Target, TargetConflict } from '@/core/targets'
import { LIFT_LIMIT } from '@/core/weight'
import { cropInText } from '../base/cropInText'
import { lengthText, percentText, pHText, volumeText, weightText, type UnitSystem } from '../base/units'

export const TARGET_NAMES: Record<Target, { label: string; term: string }> = {
  airFilledPorosity: { label: 'Air after draining', term: 'air-filled porosity at container capacity' },
  easilyAvailableWater: { label: 'Easy water', term: 'easily available water' },
  plantAvailableWater: { label: 'Water for plants', term: 'plant-available water, drained to wilting' },
  pH: { label: 'pH', term: 'six weeks after mixing' },
  electricalConductivity: { label: 'Salts', term: 'electrical conductivity, saturated extract' },
  drainedWeight: { label: 'Weight just after watering', term: 'mix and the water it keeps' },
  daysBetweenWaterings: { label: 'Days between waterings', term: 'in the thirstiest month' },
}

export const cropNamed = (id: string) => cropRow(id)?.name ?? id
/** Why a band is what it is. */
export function reasonText(reason: Reason, units: UnitSystem): string {
  switch (reason.code) {
    case 'crop':
      return reason.end === 'both'
        ? `what ${cropInText(cropNamed(reason.crop))} likes`
        : `${reason.end === 'low' ? 'no less, for' : 'no more, for'} ${cropInText(cropNamed(reason.crop))}`
    case 'most-vegetables':
      return 'what most vegetables like; no crop is chosen'
    case 'pots':
      return 'what pots should hold: 20 to 30 % is ideal (De Boodt & Verdonck 1972), 15 % enough'
    case 'ground':
      return 'what ground for vegetables should hold; more is no fault (common practice)'
    case 'soil-bed':
      return 'a large bed of soil holds water as ground does; more is no fault (common practice)'
    case 'height':
      return `set for ${lengthText(reason.height, units)} of mix: a shallow mix holds less air, and plants in it need less; a deep one more`
    case 'soilless':
      return `${reason.by} lower at the least, for an organic mix without soil (Lucas & Davis 1961)`
    case 'carried':
      return `it has to be lifted: ${weightText(LIFT_LIMIT, units)} is the most for one (NIOSH)`
    case 'can-water-every':
      return reason.days === 1 ? 'you can water every day' : `you can water every ${reason.days} days`
    case 'grower':
      return 'moved by you'
  }
}

/** Two crops of one mix that cannot both be pleased. */
export const conflictText = (c: TargetConflict): string =>
  c.target === 'pH'
    ? `${cropNamed(c.low.crop)} wants pH ${pHText(c.low.most)} at most, ${cropNamed(c.high.crop)} ${pHText(c.high.least)} at least: give them beds of their own.`
    : `${cropNamed(c.low.crop)} wants ${percentText(c.low.most)} air at most, ${cropNamed(c.high.crop)} ${percentText(c.high.least)} at least: give them mixes of their own.`

/** How a crop fits its container, in sentences. */
export function fitTexts(crop: Crop, fit: CropFit, units: UnitSystem): string[] {
  const words: string[] = []
  if (fit.tooShallow)
    words.push(
      `${crop.name} wants at least ${lengthText(fit.tooShallow.wanted, units)} of depth; this has ${lengthText(fit.tooShallow.there, units)}.`,
    )
  if (fit.raising)
    return [
      `For raising ${cropInText(crop.name)}: ${fit.plants === 1 ? 'one' : fit.plants} in each, to be moved on before the roots fill it.`,
    ]
  const { byRoot, bySpace, count } = fit.room
  const a = crop.properties
  if (fit.tooSmall)
    words.push(
      `One plant wants at least ${volumeText(fit.tooSmall.wanted, units)}; each of these holds ${volumeText(fit.tooSmall.there, units)}.`,
    )
  else if (fit.crowded)
    words.push(
      `${fit.plants} in each is more than have room: ${byRoot} by root room (${volumeText(a.minRootVolume.value, units)} a plant), ${bySpace} by space (${lengthText(a.spacing.value, units)} apart). They will want more water and feed.`,
    )
  else
    words.push(
      `Room for ${count} ${count === 1 ? 'plant' : 'plants'} in each: ${byRoot} by root room (${volumeText(a.minRootVolume.value, units)} a plant), ${bySpace} by space (${lengthText(a.spacing.value, units)} apart).`,
    )
  return words
}
