import type { FillingDo } from '@/model/make/filling'
import type { BedSpec } from '@/model/garden/schemas'
import { dressingById } from '@/core/data/dressings'
import { LAYER_NAMES } from './labels'
import { dressingName } from './dressings'
import { doseSpoons } from './measures'
import { doseWeightText, lengthText, volumeText, type UnitSystem } from './units'

/** What to do with the hands, in a heading and a sentence or two. */
export function fillingText(
  step: FillingDo,
  spec: BedSpec,
  bucket: number,
  units: UnitSystem,
): { title: string; text: string } {
  const { headspace } = spec.vessel
  switch (step.code) {
    case 'stand':
      return {
        title: 'Stand it where it will stay',
        text: 'Level, off the ground on feet or slats so that it can drain. Full and wet it will not be moved.',
      }
    case 'holes':
      return spec.wall === 'fabric'
        ? { title: 'Open the bag out', text: 'It drains through its cloth; no holes and no saucer.' }
        : {
            title: 'See that the holes are open',
            text: 'Water has to run straight out. Cloth or mesh over them keeps the mix in.',
          }
    case 'side-holes':
      return {
        title: `Holes ${lengthText(step.height, units)} up the side`,
        text: 'Several, a finger wide. All below them stays full of water; check that they run.',
      }
    case 'no-holes':
      return {
        title: 'It has no holes',
        text: 'Drill some if you can. Without, every rain fills it, and most crops drown.',
      }
    case 'loosen-soil':
      return {
        title: 'Loosen the soil below',
        text: 'A fork’s depth, weeds out by the root. A smeared or trodden base holds water up.',
      }
    case 'layer':
      return step.kind === 'cloth'
        ? { title: 'Lay the cloth', text: 'Over the holes, up the side by a hand’s breadth.' }
        : {
            title: `${LAYER_NAMES[step.kind].one}, ${lengthText(step.thickness, units)}`,
            text: 'Laid close, level on top; shake the gaps full as the first mix goes on.',
          }
    case 'loosen-old':
      return {
        title: 'Loosen the old mix',
        text: 'Roots and weeds out, the top fork’s depth broken up, watered if it is dry.',
      }
    case 'lift': {
      const buckets = step.loose / bucket
      const many = buckets < 0.95 ? '' : `, ${buckets.toFixed(1).replace(/\.0$/, '')} buckets`
      const below = `${lengthText(step.belowRim, units)} below the rim`
      const level = step.belowRim - headspace < 0.05 ? `at the fill line, ${below}` : below
      return {
        title: `${step.of === 1 ? 'Fill' : `Lift ${step.number} of ${step.of}`}: ${volumeText(step.loose, units)} loose${many} in each`,
        text: `Level it ${level}; do not tread it. Soak it until it drains.`,
      }
    }
    case 'root-ball':
      return {
        title: 'Set the root ball',
        text: `About ${volumeText(step.litres, units)} of it, soaked first, circling roots teased out; its top at the fill line, no deeper than it grew.`,
      }
    case 'dress': {
      const dressing = dressingById(step.dressingId)
      return {
        title: `${doseWeightText(step.grams, units)} of ${dressingName(step.dressingId).toLowerCase()} in each`,
        text: `${dressing ? `${doseSpoons(step.grams, dressing.bulkDensity.value, units)}. ` : ''}Scatter it and work it into the top ${lengthText(step.depth, units)}.`,
      }
    }
    case 'dress-holes': {
      const dressing = dressingById(step.dressingId)
      return {
        title: `${doseWeightText(step.grams, units)} of ${dressingName(step.dressingId).toLowerCase()} in each, into the planting holes`,
        text: `${dressing ? `${doseSpoons(step.grams, dressing.bulkDensity.value, units)}, shared among them. ` : ''}Stir it into the bottom of the holes and cover it with a finger of mix: roots that sit in it burn.`,
      }
    }
    case 'plant':
      return {
        title: 'Plant or sow',
        text: 'At the depth it grew in its last pot; seed at two or three times its own thickness. Firm with the fingers only.',
      }
    case 'water-in':
      return {
        title: 'Water until it runs out below',
        text: `Twice, gently. Top up what sinks; leave ${lengthText(headspace, units)} of lip to water into.`,
      }
    case 'finish':
      return { title: 'Mulch, stake, label', text: 'Crop, mix and date on the label.' }
  }
}

/** What stands below side holes: the water in the gaps where the mix is known, the mix that stays wet where it is not. */
export const reservoirText = (room: number, water: number | null, units: UnitSystem): string =>
  water === null
    ? `Below the side holes ${volumeText(room, units)} of mix in each stay wet through.`
    : `Below the side holes stand ${volumeText(water, units)} of water in each, in the gaps of ${volumeText(room, units)} of mix.`
