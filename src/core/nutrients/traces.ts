import type { Temperature } from '../chemistry/temperature'
import { cropNeeds, TRACES, type Trace } from '../data/nutrition'
import type { Crop, MaterialFamily } from '../data/types'
import type { Blend } from '../mixing'
import type { Centimetres, Days, Fraction, Litres } from '../units'
import { averagedDose, supplyOfDressings, type DressingDose } from './supply'

/** Whether a crop gets a trace, and what stands in the way where not. */
export interface TraceState {
  trace: Trace
  state: 'short' | 'enough' | 'tooMuch'
  /** What makes it so: nothing in the mix brings it, or pH. */
  because: 'source' | 'pH' | null
}

/** mg in a litre that acid extracts, of each trace. Source: order of DTPA extracts (from memory); low confidence. */
type Amounts = Readonly<Record<Trace, number>>
/** In the order of `TRACES`. */
const amounts = (mg: readonly number[]): Amounts =>
  Object.fromEntries(TRACES.map((trace, i) => [trace, mg[i]!])) as Amounts
const BARE = amounts([2, 0.5, 0.2, 0.005, 0.05, 0.003])
const IN_PARTS: Partial<Record<MaterialFamily, Amounts>> = {
  peat: amounts([8, 1.5, 0.8, 0.02, 0.15, 0.004]),
  coir: amounts([4, 1, 0.6, 0.1, 0.6, 0.005]),
  bark: amounts([10, 12, 3, 0.2, 0.4, 0.006]),
  wood: amounts([3, 5, 1, 0.1, 0.2, 0.003]),
  compost: amounts([60, 25, 15, 4, 2.5, 0.1]),
  manure: amounts([60, 30, 25, 6, 2.5, 0.12]),
  soil: amounts([40, 25, 3, 3, 0.8, 0.08]),
  mix: amounts([20, 8, 3, 1.5, 0.5, 0.05]),
}

/** pH at which the amounts above count in full. */
const REFERENCE_PH = 6
/** Factor for each unit of pH above it, and below. Source: availability charts of soilless mixes (from memory). */
const BY_PH: Readonly<Record<Trace, { above: number; below: number }>> = {
  iron: { above: 0.2, below: 1.5 },
  manganese: { above: 0.2, below: 3 },
  zinc: { above: 0.35, below: 1.5 },
  copper: { above: 0.6, below: 1.2 },
  boron: { above: 0.6, below: 1 },
  molybdenum: { above: 2, below: 0.25 },
}
/** mg in reach in a litre from which a trace begins to harm. Source: our assumption, order of published limits. */
const HARMS_FROM: Amounts = amounts([300, 80, 60, 20, 6, 10])
const SEASON: Days = 140
/** Day after which the pH of the first days, of lime just mixed in, no longer counts. Source: our assumption. */
const SETTLED: Days = 21

/**
 * Share of a trace in reach at a pH, of what is in reach at pH 6.
 * Range: pH 4 to 8.5. Source: as `BY_PH`.
 *
 * @example
 * traceShareAt('iron', 7) // 0.2
 */
export function traceShareAt(trace: Trace, pH: number): Fraction {
  const { above, below } = BY_PH[trace]
  const off = pH - REFERENCE_PH
  return off > 0 ? above ** off : below ** -off
}

/** What traces are asked of: a blend with its dressings, a crop in it, and the course of pH. */
export interface TraceQuestion {
  blend: Blend
  doses: readonly DressingDose[]
  crop: Crop
  plants: number
  /** Litres in one container. */
  mixVolume: Litres
  temperature: Temperature
  /** Height of the mix, cm. */
  depth: Centimetres
  /** The course of its pH. */
  acidity: readonly { day: Days; pH: number }[]
}

/**
 * Traces in classes: short, enough or too much. Compared are what parts and feeds bring over a season, at the pH that
 * keeps most of it back, and what the crop takes up; the sure answer is the class, not the milligrams.
 * Range: first season. Errors: none. Source: mass balance on rows of low confidence; availability by pH (from memory).
 */
export function tracesOf(question: TraceQuestion): TraceState[] {
  const { blend, crop, plants, mixVolume, temperature } = question
  const doses = question.doses.map((d) => ({ ...d, gramsPerLitre: averagedDose(d, question.depth) }))
  const pHs = question.acidity.filter((s) => s.day >= SETTLED).map((s) => s.pH)
  const nitrogen = (crop.properties.seasonNitrogen.value * plants) / mixVolume
  const fed = supplyOfDressings(doses, temperature)(SEASON).charge
  const chelates = doses.flatMap((d) =>
    d.dressing.chelateHolds
      ? [{ holds: d.dressing.chelateHolds, fed: supplyOfDressings([d], temperature)(SEASON).charge }]
      : [],
  )
  const kept = 1 - blend.blendingLoss
  const needs = cropNeeds(crop).traces
  return TRACES.map((trace): TraceState => {
    const parts = blend.shares.reduce(
      (sum, { material, share }) => sum + (share / kept) * (IN_PARTS[material.family] ?? BARE)[trace],
      0,
    )
    const there = parts + fed[trace]
    const low = needs[trace][0] * nitrogen
    // A chelate keeps its metal in reach as long as it holds.
    const reachAt = (pH: number) =>
      chelates.reduce(
        (sum, c) => (pH <= c.holds ? sum + c.fed[trace] * (1 - traceShareAt(trace, pH)) : sum),
        there * traceShareAt(trace, pH),
      )
    const reach = [Math.min(...pHs), Math.max(...pHs)].map(reachAt)
    if (Math.min(...reach) < low) return { trace, state: 'short', because: there < low ? 'source' : 'pH' }
    if (Math.max(...reach) > HARMS_FROM[trace])
      return { trace, state: 'tooMuch', because: there > HARMS_FROM[trace] ? 'source' : 'pH' }
    return { trace, state: 'enough', because: null }
  })
}
