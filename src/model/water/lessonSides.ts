import type { Evaluation, MixInContainer } from '@/core/evaluate'
import type { Container } from '@/core/geometry'
import type { ContainerProfile } from '@/core/water'
import type { WateringCase } from '@/core/watering'
import { waterIn, type Moved } from '@/core/water/moving'
import { casesOfLesson, column, drainedIn, TRAY, TUB, withSand, type Lesson } from './lessons'

/** A stretch of mix from one height to another, cm, and the share of its pores that water fills. */
export interface WetBand {
  from: number
  to: number
  share: number
}
/** One of the two containers a lesson compares. */
export interface LessonSide {
  container: Container
  /** Height of what lies under the mix, cm. */
  floor: number
  /** It stands in a saucer. */
  hasSaucer: boolean
  /** Moments there are to show: 1 where the water has come to rest. */
  moments: number
  /** The wetness of the mix at a moment from 0, and the depth of water in the saucer, cm. */
  at: (moment: number) => { bands: WetBand[]; saucer: number }
}

/** Bands about the middles of slices: each ends half-way to the next. */
function bandsOf(heights: ArrayLike<number>, shareOf: (i: number) => number): WetBand[] {
  const n = heights.length
  const between = (i: number) => (heights[i - 1]! + heights[i]!) / 2
  return Array.from({ length: n }, (_, i) => ({
    from: i === 0 ? Math.max(0, heights[0]! - (n > 1 ? between(1) - heights[0]! : heights[0]!)) : between(i),
    to: i === n - 1 ? heights[i]! + (n > 1 ? heights[i]! - between(i) : heights[i]!) : between(i + 1),
    share: shareOf(i),
  }))
}

function resting(container: Container, { slices }: ContainerProfile): LessonSide {
  const bands = bandsOf(
    slices.map((s) => s.height),
    (i) => slices[i]!.water / Math.max(1e-9, slices[i]!.water + slices[i]!.air),
  )
  return { container, floor: 0, hasSaucer: false, moments: 1, at: () => ({ bands, saucer: 0 }) }
}

function pouredSide({ input, below }: WateringCase, moved: Moved | undefined): LessonSide {
  const floor = (input.bottomLayers ?? []).reduce((sum, l) => sum + l.thickness, 0)
  const side = { container: input.container, floor, hasSaucer: below.kind !== 'free' }
  if (!moved) return { ...side, moments: 0, at: () => ({ bands: [], saucer: 0 }) }
  const { course } = moved
  return {
    ...side,
    moments: course.times.length,
    at: (moment) => ({
      bands: bandsOf(course.heights, (i) => waterIn(course, moment, i) / Math.max(1e-9, course.pores[i]!)),
      saucer: course.inSaucer[moment]!,
    }),
  }
}

/**
 * The two containers a lesson compares, in the order of its first two guesses; null for a lesson that compares none.
 * `moved` is what was poured, where it is done.
 */
export function sidesOf(
  lesson: Lesson,
  { input, evaluation }: { input: MixInContainer; evaluation: Evaluation },
  moved: readonly Moved[],
): LessonSide[] | null {
  const { blend, mixDepth } = evaluation
  switch (lesson) {
    case 'depth':
      return [TRAY, TUB].map((height) => resting(column(height), drainedIn(height, blend)))
    case 'sand': {
      const sandy = withSand(input)
      const pot = column(mixDepth)
      return sandy && [blend, sandy].map((mix) => resting(pot, drainedIn(mixDepth, mix)))
    }
    case 'gravel':
    case 'saucer':
      return casesOfLesson(lesson, input).map((c, i) => pouredSide(c, moved[i]))
    default:
      return null
  }
}
