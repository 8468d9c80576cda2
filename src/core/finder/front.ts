import type { Candidate } from './problem'

/** Costs this close are one cost; money per litre. */
const SAME = 1e-12

/**
 * Candidates none of which is beaten by another in both cost and score: cheapest first, so scores fall as costs rise.
 * Candidates of unknown cost (NaN) never enter.
 */
export class Front {
  readonly members: Candidate[] = []

  /** First place whose cost is above `cost`. */
  private placeAfter(cost: number): number {
    let low = 0
    let high = this.members.length
    while (low < high) {
      const mid = (low + high) >> 1
      if (this.members[mid]!.figures.costPerLitre <= cost + SAME) low = mid + 1
      else high = mid
    }
    return low
  }

  /** Would something of at least this cost and score be beaten or equalled by a member? */
  beats(cost: number, score: number): boolean {
    const i = this.placeAfter(cost)
    return i > 0 && this.members[i - 1]!.score <= score
  }

  add(candidate: Candidate): void {
    const cost = candidate.figures.costPerLitre
    if (!(cost >= 0) || this.beats(cost, candidate.score)) return
    let from = this.placeAfter(cost)
    let to = from
    while (to < this.members.length && this.members[to]!.score >= candidate.score) to++
    while (from > 0 && Math.abs(this.members[from - 1]!.figures.costPerLitre - cost) <= SAME) from--
    this.members.splice(from, to - from, candidate)
  }
}
