import type { Fraction, Litres } from '../../units'

/** Pictures of a run: one after each stretch of time, the start first. */
export interface Course {
  /** Hours from the start, of each picture. */
  times: Float64Array
  /** Middle of each cell above the base, cm, and its litres. */
  heights: Float64Array
  litres: Float64Array
  /** Porosity of each cell. */
  pores: Float64Array
  /** Water by picture, then by cell; volume fraction. */
  water: Float32Array
  /** Hours each cell had too little air. */
  hoursShortOfAir: Float32Array
  /** Depth of water on the surface and, above the base, in the saucer, cm. */
  onSurface: Float32Array
  inSaucer: Float32Array
  /** Litres since the start. */
  given: Float32Array
  drained: Float32Array
  takenUp: Float32Array
  evaporated: Float32Array
  overSurface: Float32Array
}

/** What became of the water, litres. */
export interface WaterBook {
  atStart: Litres
  given: Litres
  takenUp: Litres
  /** From the surface, through walls and from the saucer. */
  evaporated: Litres
  drained: Litres
  overSurface: Litres
  inMix: Litres
  /** On the surface and in the saucer. */
  standing: Litres
  /** Made and lost by the method, summed over steps without sign, as a share of all that passed: at most 1e-4. */
  error: number
}

export interface Moved {
  course: Course
  book: WaterBook
  /** Hours in which half of the roots or more stood in mix with less than a tenth of air. */
  hoursShortOfAir: number
  /** Hours of daylight in which plants took up less than nine tenths of what they would, for want of water. */
  hoursThirsty: number
  /** When first so, and when it was first less than half, hours; null where never. */
  firstThirst: number | null
  firstWilting: number | null
  /** Drunk and given to the air until then, or in all where it never came, litres. */
  usedByThirst: Litres
  /** Steps of time and iterations it took, and bytes of arrays held while it ran. */
  effort: { steps: number; iterations: number; bytes: number }
}

/**
 * The water of a cell in a picture; volume fraction.
 *
 * @example
 * waterIn({ heights: [1, 3], water: [0.1, 0.2, 0.3, 0.4] }, 1, 0) // 0.3
 */
export const waterIn = (course: Pick<Course, 'heights' | 'water'>, picture: number, cell: number): Fraction =>
  course.water[picture * course.heights.length + cell]!

/**
 * Times of pictures so many hours apart.
 *
 * @example
 * picturesEvery(12, 24) // [0, 12, 24]
 */
export const picturesEvery = (every: number, hours: number): number[] =>
  Array.from({ length: Math.floor(hours / every + 1e-9) + 1 }, (_, k) => k * every)
