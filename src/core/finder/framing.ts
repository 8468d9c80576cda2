import { materialIn, type Tables } from '../data'
import { takes, type Frame } from '../data/purposes'
import type { Candidate, ShelfMaterial } from './problem'

/** Shares are whole parts over whole parts; this is less than any two of them differ. */
const ROUNDING = 1e-9

/**
 * Which recipes are put together in one of the ways allowed. One object is made for a search and used over and over.
 */
export class Framing {
  /** Of each frame the slot of each material of the shelf; -1 for none. */
  private readonly slots: number[][]
  /** Frames that the materials at hand can fill, and the slot of each of these materials in them. */
  private readonly open: { frame: Frame; slots: number[] }[] = []
  private readonly sums: number[] = []

  constructor(
    private readonly frames: readonly Frame[],
    shelf: readonly ShelfMaterial[],
  ) {
    this.slots = frames.map((frame) =>
      shelf.map(({ material: { material } }) => frame.findIndex((slot) => takes(slot, material))),
    )
  }

  /** Can these materials fill no frame, whatever their parts? */
  misses(which: readonly number[]): boolean {
    this.open.length = 0
    for (const [i, frame] of this.frames.entries()) {
      const slots = which.map((m) => this.slots[i]![m]!)
      const fits = !slots.includes(-1) && frame.every((slot, s) => slot.low <= 0 || slots.includes(s))
      if (fits) this.open.push({ frame, slots })
    }
    return this.open.length === 0
  }

  /** Do their parts, of a total, fill one of the frames found by `misses`? */
  holds(parts: readonly number[], total: number): boolean {
    return this.open.some(({ frame, slots }) => {
      for (let s = 0; s < frame.length; s++) this.sums[s] = 0
      for (let j = 0; j < slots.length; j++) this.sums[slots[j]!]! += parts[j]! / total
      return frame.every(
        (slot, s) => this.sums[s]! >= slot.low - ROUNDING && this.sums[s]! <= slot.high + ROUNDING,
      )
    })
  }
}

/**
 * Recipes in their order, but the best of each frame first, so that every way of putting a mix together is looked at.
 * Errors: none; a recipe that fills no frame keeps its place behind them.
 *
 * @example
 * bestOfEachFirst([], [], PUBLISHED) // []
 */
export function bestOfEachFirst(
  ordered: readonly Candidate[],
  frames: readonly Frame[],
  tables: Tables,
): Candidate[] {
  const firsts = new Set<Candidate>()
  for (const frame of frames) {
    const best = ordered.find((c) => fills(frame, c, tables))
    if (best) firsts.add(best)
  }
  return [...ordered.filter((c) => firsts.has(c)), ...ordered.filter((c) => !firsts.has(c))]
}

function fills(frame: Frame, { parts }: Candidate, tables: Tables): boolean {
  const total = parts.reduce((sum, p) => sum + p.parts, 0)
  const sums = frame.map(() => 0)
  for (const p of parts) {
    const row = materialIn(tables, p.id)
    const slot = row ? frame.findIndex((s) => takes(s, row)) : -1
    if (slot < 0) return false
    sums[slot]! += p.parts / total
  }
  return frame.every((s, i) => sums[i]! >= s.low - ROUNDING && sums[i]! <= s.high + ROUNDING)
}
