import { Solver } from 'odex'
import { acidPerGram, alkalinityPerGram, type AcidityInput, type BufferedMix } from '../chemistry'
import { LIMES } from '../data'
import { dressingById } from '../data/dressings'

/** What is put in, g per litre; water in mmol of charge per litre and day. */
export interface Work {
  calcitic?: number
  hydrated?: number
  ammoniumSulfate?: number
  water?: number
  /** Litres that drain from a litre of mix in a day. */
  drained?: number
}

const CALCITIC = LIMES.find((l) => l.id === 'lime_calcitic')!
const HYDRATED = LIMES.find((l) => l.id === 'lime_hydrated')!
const SULFATE = dressingById('ammonium_sulfate')!

/** The same as `acidityCourse` takes it. */
export const asInput = (work: Work): AcidityInput => ({
  limes: [
    { lime: CALCITIC, gramsPerLitre: work.calcitic ?? 0 },
    { lime: HYDRATED, gramsPerLitre: work.hydrated ?? 0 },
  ],
  acids: [{ dressing: SULFATE, gramsPerLitre: work.ammoniumSulfate ?? 0 }],
  water: [{ from: 0, alkalinity: work.water ?? 0, drained: work.drained ?? 0 }],
})

const clamp = (x: number) => Math.min(1, Math.max(0, x))

/** Charge of a litre at a pH, by sums written out: the buffer summed in small steps, the ions one by one. */
function chargeOf(
  { bufferCapacity: b, waterContent = 0.4 }: BufferedMix,
  pH: number,
  isHydrated: boolean,
): number {
  const strength = (p: number) => 1 - 0.9 * clamp(Math.max(3.2 - p, p - 7.8))
  // Straight pieces: the mean of both ends is exact.
  const ends = [...new Set([5, ...[2.2, 3.2, 7.8, 8.8].filter((e) => (e - 5) * (e - pH) < 0), pH])]
  ends.sort((x, y) => (pH > 5 ? x - y : y - x))
  let exchange = 0
  for (let i = 1; i < ends.length; i++)
    exchange += (ends[i]! - ends[i - 1]!) * strength((ends[i]! + ends[i - 1]!) / 2)
  return b * exchange + waterContent * ionsAt(pH, isHydrated)
}

/** Charge of the ions of a litre of water, mmol; carbonate stays as at pH 8.6 while hydroxide waits. */
function ionsAt(pH: number, isHydrated: boolean): number {
  const hydrogen = 10 ** -pH
  const carbonated = isHydrated ? Math.max(hydrogen, 10 ** -8.6) : hydrogen
  const bicarbonate = (10 ** -6.35 * 10 ** -1.47 * 0.004) / carbonated
  const carbonate = (bicarbonate * 10 ** -10.33) / carbonated
  return 1000 * (1e-14 / hydrogen - hydrogen + bicarbonate + 2 * carbonate)
}

type Nine = [number, number, number, number, number, number, number, number, number]

/** pH of a mix some days after work began, by a general solver, at 20 C. */
export function solvedByOdex(mix: BufferedMix, work: Work, day: number): number {
  const isHydrated = (work.hydrated ?? 0) > 0
  const chargeAt = (pH: number) => chargeOf(mix, pH, isHydrated)
  const own = chargeAt(mix.pH)
  /** Of what else the salt does, freed so far: acid from pH 4 up, base from 7.2 down. */
  const worked = (freed: number, pH: number) => freed * (freed > 0 ? clamp(pH - 3) : clamp(8.2 - pH))
  const pHOf = (charge: number, freed: number) => {
    let [low, high] = [-1, 14]
    for (let i = 0; i < 50; i++) {
      const middle = (low + high) / 2
      if (chargeAt(middle) - own + worked(freed, middle) < charge) low = middle
      else high = middle
    }
    return (low + high) / 2
  }
  const equilibriumAt = (acid: number) => {
    const calcium = Math.min(15, 3 + Math.max(0, acid) / 4 / (mix.waterContent ?? 0.4))
    return (1.47 + 6.35 + 10.33 - Math.log10(0.004) - Math.log10((0.6 * calcium) / 1000) - 8.48) / 2
  }
  const nitrogen = ((work.ammoniumSulfate ?? 0) * 0.21 * 1000) / 14.007
  const rest = (work.ammoniumSulfate ?? 0) * acidPerGram(SULFATE) - 1.5 * nitrogen
  const lag = 14 - 11 * clamp((mix.liveShare ?? 0) / 0.1)
  const grown = (t: number, half: number) => (t / half) ** 4 / (1 + (t / half) ** 4)
  const solver = new Solver(9)
  solver.absoluteTolerance = solver.relativeTolerance = 1e-8
  const slope = (t: number, y: number[]) => {
    const [calcite, base, laid, bagged, ammonium, nitrate, charge, own0, made] = y as Nine
    const freed = rest * (1 - bagged)
    const pH = pHOf(charge, freed)
    const equilibrium = equilibriumAt(made + worked(freed, pH))
    const atTop = chargeAt(Math.max(equilibrium, mix.pH)) - own
    const ease = clamp((equilibrium - pH) / (equilibrium - 5.4)) ** 3
    const over = Math.max(0, chargeAt(pH) - own - atTop)
    const dissolves = CALCITIC.ratePerDay.value * ease * calcite
    const reacts = HYDRATED.ratePerDay.value * clamp((12.5 - pH) / 0.5) * base
    const again = 0.2 * ease * laid
    const lays = Math.min((Math.LN2 / 0.1) * over, isHydrated ? 5 : Infinity)
    const native = 0.05 * ease * own0
    const frees = 5 * bagged
    const nitrifies = 0.06 * grown(t, lag) * clamp((pH - 4) / 2.5) * ammonium
    const roots = 0.03 * grown(t, 21) * clamp((pH - 3.5) / 1.5)
    const acid = 2 * nitrifies + 1.5 * roots * ammonium - 0.5 * roots * nitrate
    return [
      -dissolves,
      -reacts,
      lays - again,
      -frees,
      nitrogen * frees - nitrifies - roots * ammonium,
      nitrifies - roots * nitrate,
      dissolves +
        reacts +
        again +
        native -
        lays +
        (work.water ?? 0) -
        (work.drained ?? 0) * ionsAt(pH, isHydrated) -
        acid,
      -native,
      acid,
    ]
  }
  const start = [
    (work.calcitic ?? 0) * alkalinityPerGram(CALCITIC),
    (work.hydrated ?? 0) * alkalinityPerGram(HYDRATED),
    0,
    1,
    0,
    0,
    0,
    mix.carbonate ?? 0,
    0,
  ]
  const end = solver.solve(slope, 0, start, day).y
  return pHOf(end[6]!, rest * (1 - end[3]!))
}
