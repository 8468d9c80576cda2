import type { FillingDo, Pile } from '@/model/make/filling'
import type { BedSpec } from '@/model/garden/schemas'
import { plantingDepth } from '@/core/data/planting'
import { measureText } from '@/core/mixing/measures'
import { lowerFirst } from '../base/counted'
import { layerName } from '../base/labels'
import { shortName } from '../base/titles'
import { dressingName } from '../shelf/dressings'
import { doseSpoons } from '../make/measures'
import { doseWeightText, lengthText, volumeText, type UnitSystem } from '../base/units'

/** How hard the hand goes down on a lift. */
const FIRMLY: Record<BedSpec['firmness'], string> = {
  loose: 'Do not press or tread it.',
  firmed: 'Firm it with the fingertips before the next.',
  pressed: 'Press it down with the palms or a board before the next.',
}

const isSown = (cropId: string) => plantingDepth(cropId).way === 'seed'

/** How deep a crop is set. */
export function depthText(cropId: string | null, units: UnitSystem): string {
  if (cropId === null)
    return 'At the depth it grew in its last pot; seed at two or three times its own thickness.'
  const depth = plantingDepth(cropId)
  switch (depth.way) {
    case 'rootBall':
      return 'The top of its root ball level with the mix, no deeper than it grew.'
    case 'stem':
      return 'Deep: bury the stem up to its lowest leaves; it roots along it.'
    case 'hole':
      return `Drop it into a hole ${lengthText(depth.depth, units)} deep and water it in; leave the hole open.`
    case 'crown':
      return 'Its crown, where leaves meet roots, level with the mix: buried it rots, above it dries.'
    case 'graft':
      return 'As deep as it grew, the swelling of the graft well clear of the mix and of any mulch.'
    case 'deeper':
      return `${lengthText(depth.depth, units)} deeper than it grew: it sends up more stems.`
    case 'seed':
      return `${rangeText(depth, units)} deep; as seedlings, no deeper than they grew.`
    case 'below':
      return `${rangeText(depth, units)} of mix over its top.`
  }
}
const rangeText = ({ low, high }: { low: number; high: number }, units: UnitSystem) =>
  `${lengthText(low, units)} to ${lengthText(high, units)}`

/** Which pile a bed is filled from, where there is more than one. */
function pileName(pile: Pile | null): string {
  if (!pile) return ''
  const names = pile.dressingIds.map((id) => lowerFirst(dressingName(id)))
  return names.length > 0 ? `From the pile with ${names.join(' and ')}. ` : 'From the pile without feed. '
}

interface Filled {
  spec: BedSpec
  /** Litres to its mark. */
  bucket: number
  /** Drained, it is more than one person lifts. */
  tooHeavy: boolean
  units: UnitSystem
}
interface Said {
  title: string
  text: string
}
type Rows = { [C in FillingDo['code']]: (step: Extract<FillingDo, { code: C }>, of: Filled) => Said }

/** "2½ buckets", to the quarter as a hand fills them; a scoopful or less in litres. */
function bucketfuls(litres: number, bucket: number, units: UnitSystem): string {
  const quarters = Math.round((4 * litres) / bucket)
  if (quarters < 2) return volumeText(litres, units)
  return `${measureText(3 * quarters)} ${quarters > 4 ? 'buckets' : 'bucket'}`
}

/** What is written beside a part of the picture; nothing for what has no place in it. */
export function fillingMark(step: FillingDo, bucket: number, units: UnitSystem): Said | null {
  switch (step.code) {
    case 'lift':
      return {
        title: bucketfuls(step.loose, bucket, units),
        text: `to ${lengthText(step.belowRim, units)} below the rim`,
      }
    case 'layer':
      return step.layer.kind === 'cloth'
        ? { title: 'Cloth', text: 'over the holes' }
        : { title: lengthText(step.layer.thickness, units), text: layerName(step.layer).toLowerCase() }
    case 'cover':
      return {
        title: lengthText(step.thickness, units),
        text: lowerFirst(shortName(step.materialId)),
      }
    default:
      return null
  }
}

/** The picture in a sentence, for who does not see it. */
export const fillingPictureText = (done: number, of: number, next: Said | null): string =>
  next
    ? `The container in section: ${done} of ${of} parts are in. Next: ${next.title}, ${next.text}.`
    : `The container in section: ${done === of ? 'everything is in' : `${done} of ${of} parts are in`}.`

const ROWS: Rows = {
  stand: (_step, { tooHeavy }) => ({
    title: 'Stand it where it will stay',
    text: `Level, off the ground on feet or slats so that it can drain.${tooHeavy ? ' Full and wet it is too heavy for one to move.' : ''}`,
  }),
  holes: (_step, { spec }) =>
    spec.wall === 'fabric'
      ? { title: 'Open the bag out', text: 'It drains through its cloth; no holes and no saucer.' }
      : {
          title: 'See that the holes are open',
          text: 'Water has to run straight out. Cloth or mesh over them keeps the mix in.',
        },
  'side-holes': (step, { units }) => ({
    title: `Holes ${lengthText(step.height, units)} up the side`,
    text: 'Several, a finger wide. All below them stays full of water; check that they run.',
  }),
  'no-holes': () => ({
    title: 'It has no holes',
    text: 'Drill some if you can. Without, every rain fills it, and most crops drown.',
  }),
  'loosen-soil': () => ({
    title: 'Loosen the soil below',
    text: 'A fork’s depth, weeds out by the root. A smeared or trodden base holds water up.',
  }),
  layer: (step, { units }) =>
    step.layer.kind === 'cloth'
      ? { title: 'Lay the cloth', text: 'Over the holes, up the side by a hand’s breadth.' }
      : {
          title: `${layerName(step.layer)}, ${lengthText(step.layer.thickness, units)}`,
          text: 'Laid close, level on top; shake the gaps full as the first mix goes on.',
        },
  'loosen-old': () => ({
    title: 'Loosen the old mix',
    text: 'Roots and weeds out, the top fork’s depth broken up, watered if it is dry.',
  }),
  lift: (step, { spec, bucket, units }) => {
    const many = bucketfuls(step.loose, bucket, units)
    const inLitres = volumeText(step.loose, units)
    const counted = many === inLitres ? '' : `, ${many}`
    const below = `${lengthText(step.belowRim, units)} below the rim`
    const level = step.belowRim - spec.vessel.headspace < 0.05 ? `at the fill line, ${below}` : below
    return {
      title: `${step.of === 1 ? 'Fill' : `Lift ${step.number} of ${step.of}`}: ${inLitres} loose${counted} in each`,
      text: `${pileName(step.pile)}Level it ${level}. ${FIRMLY[spec.firmness]} Soak it until it drains.`,
    }
  },
  'root-ball': (step, { units }) => ({
    title: 'Set the root ball',
    text: `About ${volumeText(step.litres, units)} of it, soaked first, circling roots teased out. ${depthText(step.cropId, units)}`,
  }),
  dress: (step, { units }) => ({
    title: `${doseWeightText(step.grams, units)} of ${lowerFirst(dressingName(step.dressingId))} in each`,
    text: `${doseSpoons(step.grams, step.bulkDensity, units)}. Scatter it and work it into the top ${lengthText(step.depth, units)}.`,
  }),
  'dress-holes': (step, { units }) => ({
    title: `${doseWeightText(step.grams, units)} of ${lowerFirst(dressingName(step.dressingId))} in each, into the planting holes`,
    text: `${doseSpoons(step.grams, step.bulkDensity, units)}, shared among them. Stir it into the bottom of the holes and cover it with a finger of mix: roots that sit in it burn.`,
  }),
  plant: (step, { units }) => ({
    title: step.cropId === null ? 'Plant or sow' : isSown(step.cropId) ? 'Sow' : 'Plant',
    text: `${depthText(step.cropId, units)} Firm with the fingers only.`,
  }),
  'water-in': (_step, { spec, units }) => ({
    title:
      spec.vessel.base.kind === 'onSoil'
        ? 'Water until it is wet all the way down'
        : 'Water until it runs out below',
    text: `Twice, gently. Top up what sinks; leave ${lengthText(spec.vessel.headspace, units)} below the rim to water into.`,
  }),
  cover: (step, { units }) => ({
    title: `Cover it with ${lowerFirst(shortName(step.materialId))}, ${lengthText(step.thickness, units)}`,
    text: `${volumeText(step.litres, units)} in each, a hand’s breadth clear of every stem.`,
  }),
  finish: (_step, { spec }) => ({
    title: spec.cover ? 'Stake, label' : 'Mulch, stake, label',
    text: 'Crop, mix and date on the label.',
  }),
}

/** What to do with the hands, in a heading and a sentence or two. */
export const fillingText = (step: FillingDo, of: Filled): Said =>
  (ROWS[step.code] as (step: FillingDo, of: Filled) => Said)(step, of)

/**
 * What stands below side holes: the water in the gaps where the mix is known, the mix that stays wet where it is not.
 */
export const reservoirText = (room: number, water: number | null, units: UnitSystem): string =>
  water === null
    ? `Below the side holes ${volumeText(room, units)} of mix in each stay wet through.`
    : `Below the side holes each holds ${volumeText(water, units)} of water, in the gaps of ${volumeText(room, units)} of mix.`
