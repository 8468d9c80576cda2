import { limeById, materialById } from '@/core/data'
import { evaluate, type Evaluation, type MixInContainer } from '@/core/evaluate'
import { broadSide, containerVolumes, footWidth, shapeHeight, type Container } from '@/core/geometry'
import { blend, preparedMaterial } from '@/core/mixing'
import { containerProfile, type ContainerProfile } from '@/core/water'
import { overMix, usualSaucer, type WateringCase } from '@/core/watering'
import { MOVING_LIMITS, waterIn, type Moved } from '@/core/water/moving'
import { crownArea, tippingWindSpeed } from '@/core/weight'

/** Eight short lessons, in the order they build on each other. */
export const LESSONS = ['depth', 'gravel', 'sand', 'saucer', 'buckets', 'lime', 'gale', 'feed'] as const
export type Lesson = (typeof LESSONS)[number]

/** One thing and what it came to, in the core's units; what they are is the text's to say. */
export interface LessonFigure {
  name: string
  value: number
}

export interface LessonAnswer {
  /** Which of the three guesses is right, 0 to 2. */
  right: 0 | 1 | 2
  figures: LessonFigure[]
}

/** Lessons that pour water: they take a moment, in the worker. */
export const POURED: ReadonlySet<Lesson> = new Set(['gravel', 'saucer'])

/** Depths of the first lesson, cm. */
export const TRAY = 6
export const TUB = 40
const SAND = { material: 'sand_sharp', share: 0.25 } as const
const GRAVEL = { material: 'gravel_pea', thickness: 5 } as const
const LIME_DOSE = 4
/** What stands in the wind where no crop is known: cm and cm2. */
const SOME_CROWN = { height: 80, area: 2500 } as const
/** How much of three buckets is left: hardly less than three, or still most of them. */
const BUCKETS = { all: 2.95, most: 2.6 } as const
/** Share of the way of pH made in a week: nearly all, or a good part. */
const LIMED = { nearlyAll: 0.85, some: 0.25 } as const
/** How much more wind a watered pot withstands: much, or a little. */
const STEADIER = { much: 0.25, little: 0.05 } as const
/** Smallest difference called one: points of air, share of a figure. */
const SAME = { air: 0.01, share: 0.03 } as const

/** A straight pot of some depth without a lip, for looking at a mix alone. */
export const column = (height: number): Container => ({
  shape: { kind: 'roundPot', topDiameter: 30, baseDiameter: 30, height },
  headspace: 0,
  base: { kind: 'drainHoles' },
})

/** A mix drained in a straight pot of some depth. */
export const drainedIn = (
  height: number,
  { totalPorosity, waterAt }: Evaluation['blend'],
): ContainerProfile => containerProfile(column(height), [{ top: height, totalPorosity, waterAt }])

function depth({ blend: mixed }: Evaluation): LessonAnswer {
  const air = (height: number) => drainedIn(height, mixed).airFilledPorosity
  const [tray, tub] = [air(TRAY), air(TUB)]
  return {
    right: tub - tray > SAME.air ? 1 : 2,
    figures: [
      { name: 'tray', value: tray },
      { name: 'tub', value: tub },
    ],
  }
}

/** The mix with a quarter of sand; null where that cannot be blended. */
export function withSand({ parts }: MixInContainer): Evaluation['blend'] | null {
  const all = parts.reduce((sum, p) => sum + p.parts, 0)
  const more = {
    material: preparedMaterial(materialById(SAND.material)!),
    parts: (all * SAND.share) / (1 - SAND.share),
  }
  const sandy = blend([...parts, more])
  return sandy.ok ? sandy.value : null
}

function sand(input: MixInContainer, { blend: mixed, mixDepth }: Evaluation): LessonAnswer | null {
  const sandy = withSand(input)
  if (!sandy) return null
  const air = (of: typeof mixed) => drainedIn(mixDepth, of).airFilledPorosity
  const [before, after] = [air(mixed), air(sandy)]
  return {
    right: after > before + SAME.air ? 0 : after < before - SAME.air ? 1 : 2,
    figures: [
      { name: 'airBefore', value: before },
      { name: 'airAfter', value: after },
      { name: 'weightBefore', value: mixed.dryBulkDensity },
      { name: 'weightAfter', value: sandy.dryBulkDensity },
    ],
  }
}

function buckets({ blend: mixed }: Evaluation): LessonAnswer {
  const made = 3 * (1 - mixed.blendingLoss)
  return {
    right: made > BUCKETS.all ? 0 : made > BUCKETS.most ? 1 : 2,
    figures: [
      { name: 'measured', value: 3 },
      { name: 'made', value: made },
      { name: 'lost', value: mixed.blendingLoss },
    ],
  }
}

function lime(input: MixInContainer): LessonAnswer | null {
  const limes = input.limeGramsPerLitre > 0 ? input.limes : [{ lime: limeById('lime_calcitic')!, share: 1 }]
  const dose = input.limeGramsPerLitre > 0 ? input.limeGramsPerLitre : LIME_DOSE
  const answer = evaluate({ ...input, limes, limeGramsPerLitre: dose }, { slices: 20, years: [] })
  if (!answer.ok) return null
  const at = (day: number) => answer.value.acidity.find((s) => s.day >= day)?.pH ?? NaN
  const [start, week, six] = [answer.value.blend.pH, at(7), at(42)]
  const share = (week - start) / Math.max(0.01, six - start)
  return {
    right: share > LIMED.nearlyAll ? 0 : share > LIMED.some ? 1 : 2,
    figures: [
      { name: 'dose', value: dose },
      { name: 'pHStart', value: start },
      { name: 'pHWeek', value: week },
      { name: 'pHSix', value: six },
    ],
  }
}

function gale({ container, growing }: MixInContainer, { weights, mix }: Evaluation): LessonAnswer {
  const crop = growing?.crop.properties
  const height = crop?.canopyHeight.value ?? SOME_CROWN.height
  const area = crop ? crownArea(height, crop.canopyArea.value * (growing?.plants ?? 1)) : SOME_CROWN.area
  const empty = growing?.emptyWeight ?? 0
  const tips = (weight: number) =>
    tippingWindSpeed({
      weight: weight + empty,
      baseWidth: footWidth(container.shape),
      potHeight: shapeHeight(container.shape),
      potArea: broadSide(container.shape),
      canopyHeight: height,
      canopyArea: area,
    })
  const wet = tips(weights.drained)
  const thirsty = tips(weights.drained - mix.drainedToEasy * mix.mixVolume)
  const more = wet / thirsty - 1
  return {
    right: more > STEADIER.much ? 0 : more > STEADIER.little ? 1 : 2,
    figures: [
      { name: 'windThirsty', value: thirsty },
      { name: 'windWet', value: wet },
      { name: 'kgWet', value: weights.drained },
    ],
  }
}

function feed(evaluation: Evaluation, most: number): LessonAnswer {
  const { salts } = evaluation
  const own = salts.mix.fromDressings
  const dose = own > 0 ? own : USUAL_FEED
  const once = salts.mix.fromParts + dose
  const twice = once + dose
  return {
    right: twice > most ? 2 : 1,
    figures: [
      { name: 'saltsOnce', value: once },
      { name: 'saltsTwice', value: twice },
      { name: 'saltsMost', value: most },
    ],
  }
}
/** Salts of a full dose of feed where the mix has none yet, dS/m. Source: our assumption. */
const USUAL_FEED = 1

/** What a lesson that pours water follows: first as it is, then with the one thing changed. */
export function casesOfLesson(lesson: Lesson, input: MixInContainer): WateringCase[] {
  const plant = { day: { uptake: 0, evaporation: 0, wall: 0, saucer: 0 } }
  const { mixVolume } = sizeOf(input.container)
  const plain: WateringCase = {
    input: { ...input, bottomLayers: [] },
    below: { kind: 'free' },
    begin: 'thirsty',
    days: lesson === 'gravel' ? 1 : 2,
    pulses: [{ start: 1, hours: 0.3, litres: mixVolume / 2 }],
    plant,
  }
  if (lesson === 'gravel') {
    const gravel = { material: preparedMaterial(materialById(GRAVEL.material)!), parts: 1 }
    const under = [{ thickness: Math.min(GRAVEL.thickness, mixHeight(input) / 3), parts: [gravel] }]
    return [plain, { ...plain, input: { ...input, bottomLayers: under } }]
  }
  return [plain, { ...plain, below: usualSaucer(input.container.shape) }]
}
const mixHeight = ({ container }: MixInContainer) => shapeHeight(container.shape) - container.headspace
const sizeOf = (container: Container) => {
  const fill = containerVolumes(container)
  return fill.ok ? fill.value : { mixVolume: 10 }
}

/** What was followed, as the lesson's answer. */
export function answerOfPoured(
  lesson: Lesson,
  [plain, other]: readonly Moved[],
  cases: readonly WateringCase[],
): LessonAnswer {
  if (lesson === 'gravel') {
    const floor = cases[1]!.input.bottomLayers![0]!.thickness
    const [a, b] = [airOf(plain!, 0), airOf(other!, floor)]
    return {
      right: b.litres > a.litres * (1 + SAME.share) ? 0 : b.litres < a.litres * (1 - SAME.share) ? 1 : 2,
      figures: [
        { name: 'mixPlain', value: a.mix },
        { name: 'mixGravel', value: b.mix },
        { name: 'litresPlain', value: a.litres },
        { name: 'litresGravel', value: b.litres },
        { name: 'sharePlain', value: a.litres / a.mix },
        { name: 'shareGravel', value: b.litres / b.mix },
      ],
    }
  }
  const [free, full] = [airlessShare(plain!), airlessShare(other!)]
  return {
    right: full > free + MUCH ? 2 : full > free + SAME.air ? 1 : 0,
    figures: [
      { name: 'shortFree', value: free },
      { name: 'shortSaucer', value: full },
      { name: 'saucerLeft', value: other!.course.inSaucer.at(-1)! },
    ],
  }
}

/** A tenth of the mix more without air is much. */
const MUCH = 0.1

/** Share of the mix with too little air for roots at the end. */
const airlessShare = (moved: Moved): number => {
  const last = moved.course.times.length - 1
  const air = (i: number) => moved.course.pores[i]! - waterIn(moved.course, last, i)
  return overMix(moved, 0, (i) => (air(i) < MOVING_LIMITS.airForRoots.value ? 1 : 0))
}

/** Litres of mix above a floor, and of air in them at the end. */
function airOf({ course }: Moved, floor: number): { mix: number; litres: number } {
  const last = course.times.length - 1
  let [mix, litres] = [0, 0]
  course.heights.forEach((h, i) => {
    if (h < floor) return
    mix += course.litres[i]!
    litres += (course.pores[i]! - waterIn(course, last, i)) * course.litres[i]!
  })
  return { mix, litres }
}

/**
 * The answer of a lesson that pours nothing; null where the mix cannot give one. `most` is the salt the crop takes,
 * dS/m.
 */
export function answerOf(
  lesson: Lesson,
  input: MixInContainer,
  evaluation: Evaluation,
  most: number,
): LessonAnswer | null {
  switch (lesson) {
    case 'depth':
      return depth(evaluation)
    case 'sand':
      return sand(input, evaluation)
    case 'buckets':
      return buckets(evaluation)
    case 'lime':
      return lime(input)
    case 'gale':
      return gale(input, evaluation)
    case 'feed':
      return feed(evaluation, most)
    case 'gravel':
    case 'saucer':
      return null
  }
}
