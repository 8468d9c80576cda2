import type { Fraction, Litres } from '../units'

/** Air and water of one layer, or of all together; fractions of its own volume. */
export interface WaterBalance {
  mixVolume: Litres
  totalPorosity: Fraction
  /** Container capacity: mean water once free drainage has ended. */
  containerCapacity: Fraction
  /** Air-filled porosity at container capacity. */
  airFilledPorosity: Fraction
  /** Easily available water: given up between 10 and 50 cm of tension, whatever the height of the mix. */
  easilyAvailableWater: Fraction
  /** Water given up between the drained state of this container and the easy limit of `dryingLimits`. */
  drainedToEasy: Fraction
  /** Water given up between the easy limit and the buffer limit. */
  waterBufferingCapacity: Fraction
  /** Plant-available water: given up between the drained state and the wilting point, 15,000 cm. */
  plantAvailableWater: Fraction
  /** Water still held at the buffer limit. */
  heldWater: Fraction
}

/** Water at the foot, the middle and the top of a slice, and where it ends to be easy, buffering and available. */
export interface SliceWater {
  foot: Fraction
  middle: Fraction
  top: Fraction
}
export interface DryWater {
  /** Water at 10 and at 50 cm. */
  range: readonly [Fraction, Fraction]
  easy: Fraction
  buffer: Fraction
  wilting: Fraction
}
/**
 * Mean over a slice by Simpson's rule.
 *
 * @example
 * meanOf({ foot: 0.6, middle: 0.5, top: 0.1 }, (w) => w) // 0.45
 */
export const meanOf = ({ foot, middle, top }: SliceWater, of: (water: Fraction) => Fraction) =>
  (of(foot) + 4 * of(middle) + of(top)) / 6

/** Litres of a slice; its pores are for the caller to say. */
export const inSlice = (volume: Litres, water: SliceWater, dry: DryWater) => ({
  volume,
  pores: 0,
  water: volume * meanOf(water, (w) => w),
  range: volume * (dry.range[0] - dry.range[1]),
  easy: volume * meanOf(water, (w) => Math.max(0, w - dry.easy)),
  buffer: volume * meanOf(water, (w) => Math.max(0, Math.min(w, dry.easy) - dry.buffer)),
  held: volume * meanOf(water, (w) => Math.min(w, dry.buffer)),
  available: volume * meanOf(water, (w) => Math.max(0, w - dry.wilting)),
})

/** Litres added up over a stretch of depth. */
export class Sums {
  volume = 0
  pores = 0
  water = 0
  range = 0
  easy = 0
  buffer = 0
  held = 0
  available = 0
  add(slice: ReturnType<typeof inSlice>) {
    this.volume += slice.volume
    this.pores += slice.pores
    this.water += slice.water
    this.range += slice.range
    this.easy += slice.easy
    this.buffer += slice.buffer
    this.held += slice.held
    this.available += slice.available
  }
  balance(): WaterBalance {
    // Rounding may leave -1e-17 of air in a saturated pot.
    const share = (x: number) => Math.max(0, x / this.volume)
    return {
      mixVolume: this.volume,
      totalPorosity: share(this.pores),
      containerCapacity: share(this.water),
      airFilledPorosity: share(this.pores - this.water),
      easilyAvailableWater: share(this.range),
      drainedToEasy: share(this.easy),
      waterBufferingCapacity: share(this.buffer),
      plantAvailableWater: share(this.available),
      heldWater: share(this.held),
    }
  }
}
