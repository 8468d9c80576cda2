import type { Twelfths } from '../mixing'
import type { Fraction, Litres } from '../units'
import { BATCH_LIMITS } from './limits'
import { actionsOf, measuresBetween, type Kinds, type Measure, type Tools } from './measuring'

export interface BatchRequest {
  /** The recipe: parts in twelfths of a part. */
  parts: { id: string; twelfths: Twelfths }[]
  /** Share of the loose volume lost when stirred together. */
  blendingLoss: Fraction
  /** Blended mix wanted in all, litres. */
  wanted: Litres
  /** What the grower measures with, litres to its mark. */
  bucket: Litres
  /** The smaller measure, a jug or a scoop, litres; a tenth of the bucket where left out. */
  scoop?: Litres
  /** Tub, tarp or barrow, litres it would hold brim-full. */
  vessel: Litres
  /** How much of the vessel may be filled and still be turned. */
  turnFraction?: Fraction
  /** What may be made, as shares of what is wanted; half a percent less to a twentieth more where left out. */
  within?: { low: Fraction; high: Fraction }
}

const L = BATCH_LIMITS
/** Two thirds full still turns with a spade. */
export const TURN_FRACTION = L.turn.value

/** One batch as it would be measured. */
export interface Sized {
  measures: Measure[]
  loose: Litres
  blend: Litres
  actions: number
}

/** A job as it is split: what it is measured with, and how much of it the vessel takes at once. */
export interface BatchJob extends Pick<BatchRequest, 'parts' | 'wanted' | 'vessel'> {
  tools: Tools
  /** Blend the vessel has room for, litres. */
  room: Litres
  /** Share of the loose parts that is left once they are blended. */
  kept: number
  shares: number[]
  within: { low: Fraction; high: Fraction }
}
export function jobOf(
  { parts, blendingLoss, wanted, bucket, vessel, turnFraction, within }: BatchRequest,
  scoop: Litres,
): BatchJob {
  const recipe = parts.reduce((s, p) => s + p.twelfths, 0)
  return {
    parts,
    wanted,
    vessel,
    tools: { bucket, scoop },
    room: vessel * (turnFraction ?? TURN_FRACTION),
    kept: 1 - blendingLoss,
    shares: parts.map((p) => p.twelfths / recipe),
    within: within ?? { low: 1 - L.slack.value, high: 1 + L.tolerable.value },
  }
}

/**
 * The fewest batches there can be.
 *
 * @example
 * fewest({ wanted: 100, room: 40 }) // 3
 */
export const fewest = ({ wanted, room }: Pick<BatchJob, 'wanted' | 'room'>) =>
  Math.ceil(wanted / room - L.slack.value)

/** Places in the search after which what was found is good enough: recipes of many parts have more ways than matter. */
const MOST_TRIED = 40_000
const SMALL = 1e-9

/** Parts that are alike in the recipe are measured alike: so many of one share. */
interface Alike {
  share: Fraction
  /** Which parts, in the order of the recipe. */
  parts: number[]
}
function alikeParts({ shares, parts }: BatchJob): Alike[] {
  const groups = new Map<Twelfths, Alike>()
  parts.forEach(({ twelfths }, i) => {
    const group = groups.get(twelfths) ?? { share: shares[i]!, parts: [] }
    group.parts.push(i)
    groups.set(twelfths, group)
  })
  // The largest first: it narrows the rest the most.
  return [...groups.values()].sort((a, b) => b.share - a.share)
}

/**
 * The batch of fewest actions, then of least mix, that blends to between two volumes: each part within a twentieth of
 * its share of that very batch, equal parts measured alike. Null where these measures cannot. Litres of blend.
 *
 * Branch and bound: each part chosen narrows what the batch may come to, and with it the measures of the next.
 */
export function batchBetween(job: BatchJob, low: Litres, high: Litres, kinds: Kinds): Sized | null {
  const { kept, tools, room } = job
  const most = Math.min(high, room)
  if (!(most >= low - SMALL)) return null
  const miss = L.partMiss.value
  const [from, to] = [low / kept, most / kept]
  const groups = alikeParts(job)
  const choices = groups.map(({ share }) =>
    measuresBetween(from * share * (1 - miss), to * share * (1 + miss), tools, kinds),
  )
  if (choices.some((c) => c.length === 0)) return null
  const workOf = (k: number, m: Measure) => groups[k]!.parts.length * actionsOf(m)
  /** Fewest actions of the parts from one on. */
  const ahead = choices.map((_, k) => choices.slice(k).reduce((sum, c, i) => sum + workOf(k + i, c[0]!), 0))
  let best: { measures: Measure[]; actions: number; loose: Litres } | null = null
  let tried = 0
  const chosen: Measure[] = []
  const choose = (k: number, [a, b]: [Litres, Litres], loose: Litres, actions: number) => {
    if (k === groups.length) {
      if (loose < a - SMALL || loose > b + SMALL) return
      if (!best || actions < best.actions || (actions === best.actions && loose < best.loose - SMALL))
        best = { measures: [...chosen], actions, loose }
      return
    }
    const { share, parts } = groups[k]!
    for (const m of choices[k]!) {
      if (best && actions + workOf(k, m) + (ahead[k + 1] ?? 0) > best.actions) return
      if (tried++ > MOST_TRIED && best) return
      const next: [Litres, Litres] = [
        Math.max(a, m.litres / share / (1 + miss)),
        Math.min(b, m.litres / share / (1 - miss)),
      ]
      if (next[0] > next[1] + SMALL) continue
      chosen[k] = m
      choose(k + 1, next, loose + parts.length * m.litres, actions + workOf(k, m))
    }
  }
  choose(0, [from, to], 0, 0)
  if (!best) return null
  const found: { measures: Measure[]; actions: number; loose: Litres } = best
  const measures: Measure[] = []
  groups.forEach(({ parts }, k) => parts.forEach((i) => (measures[i] = found.measures[k]!)))
  return { measures, loose: found.loose, blend: found.loose * kept, actions: found.actions }
}
