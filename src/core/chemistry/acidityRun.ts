import type { Days, Fraction } from '../units'
import type { AcidityInput, AcidityState, WaterStretch } from './acidityState'
import { calciteEquilibrium, chargeBalance, pHWhere } from './charge'
import {
  acidStep,
  gone,
  grown,
  LIFE_Q10,
  nitrifierLag,
  ramp,
  takeStep,
  workingDressing,
  type LifePace,
} from './fertilizerAcid'
import type { BufferedMix } from './lime'
import { partsOfLime, solubleShare, type Dissolving } from './dissolving'
import { CHEMISTRY_LIMITS as L } from './limits'
import { temperatureCourse, type TemperatureCourse } from './temperature'

/** Steps, days: as long as pH moves by about `move` in one. */
const STEP = { shortest: 0.02, longest: 3, growth: 1.6, move: 0.05 } as const

/** How far each thing gets in one step, before the pH at its end is known. */
interface Pace extends LifePace {
  dt: Days
  /** Alkalinity the water of the step brings, mmol of charge per litre of mix, and litres that drain from a litre. */
  brought: number
  drained: number
  /** Hydroxide that carbon dioxide can turn to calcite, mmol of charge per litre. */
  carbon: number
  /** Exponents of dissolving limes at full rate; of the laid-down calcite last. */
  limes: number[]
  /** Share of each dressing given up in this step; for sulfur its exponent at full rate. */
  released: (number | null)[]
}

const NO_WATER: WaterStretch = { from: 0, alkalinity: 0, drained: 0 }

/** A step that moves the pH further is taken again, shorter. */
const FAR = 3 * STEP.move

/** One mix followed through time: what has happened so far, and how the next step is found. */
export class AcidityRun {
  private readonly balance
  private readonly temperature
  private readonly own: number
  private readonly water: Fraction
  private equilibrium = calciteEquilibrium()
  /** Acid that it was last worked out with. */
  private saturatedBy = NaN
  private top = 0
  private atTop = 0
  private readonly stretches: readonly WaterStretch[]
  /** Carbon dioxide has to keep up with hydroxide. */
  private readonly isHydrated: boolean
  private readonly limes: Dissolving[]
  private readonly working
  private readonly perDay: number
  private readonly lag: Days
  private readonly byLime: number[]
  private readonly byAcid: number[]
  private fromWater = 0
  private fromOwn = 0
  private drained = 0
  private laidDown = 0
  private acid = 0
  private reacted = 0
  private charge = 0
  private pH: number

  /** Days of warmth in a step, by each Q10 and reference that anything in it goes by. */
  private readonly clocks: { q10: number; reference: number }[] = []
  private readonly warmth: number[] = []
  private readonly clockOfLime: number[]
  private readonly clockOfWorking: number[]
  private readonly clockOfLife: number

  constructor(mix: BufferedMix, input: AcidityInput, temperature?: TemperatureCourse) {
    const given = (input.limes ?? []).filter((dose) => dose.gramsPerLitre > 0)
    this.isHydrated = given.some(({ lime }) => solubleShare(lime) > 0)
    this.balance = chargeBalance(mix, this.isHydrated ? L.carbonatedTo.value : undefined)
    this.temperature = temperature ?? temperatureCourse(input.temperature ?? 20)
    this.own = mix.pH
    this.water = mix.waterContent ?? L.waterContent.value
    this.limes = (input.limes ?? []).flatMap((dose, of) => partsOfLime(dose, of))
    if (mix.carbonate)
      this.limes.push({
        of: -1,
        left: mix.carbonate,
        rate: L.ownCarbonate.value,
        q10: 1.3,
        soluble: false,
        from: 0,
      })
    this.working = (input.acids ?? []).map(workingDressing)
    this.perDay = input.waterAlkalinity ?? 0
    this.stretches = input.water ?? []
    this.lag = nitrifierLag(mix.liveShare ?? 0)
    this.byLime = (input.limes ?? []).map(() => 0)
    this.byAcid = this.working.map(() => 0)
    this.pH = mix.pH
    this.clockOfLime = this.limes.map((l) => this.clockOf(l.q10, 20))
    this.clockOfWorking = this.working.map((w) => (w ? this.clockOf(w.q10, w.reference) : -1))
    this.clockOfLife = this.clockOf(LIFE_Q10, 20)
  }

  private clockOf(q10: number, reference: number): number {
    const known = this.clocks.findIndex((c) => c.q10 === q10 && c.reference === reference)
    return known >= 0 ? known : this.clocks.push({ q10, reference }) - 1
  }

  course(days: Days, every: Days): AcidityState[] {
    const starts = [...this.limes, ...this.working, ...this.stretches]
      .flatMap((one) => (one ? [one.from] : []))
      .concat(Infinity)
      .sort((a, b) => a - b)
    const states = [this.state(0)]
    /** pH units a day in the last step: where to look first for the next. */
    let drift = 0
    let day = 0
    let dt: Days = STEP.shortest
    let next = Math.min(every, days)
    while (day < days) {
      while (starts[0]! <= day) starts.shift()
      const to = Math.min(day + dt, next, starts[0]!)
      this.saturate()
      const pace = this.paceOf(day, to)
      const reached = this.reached(pace, drift)
      if (Math.abs(reached - this.pH) > FAR && pace.dt > STEP.shortest + 1e-9) {
        dt = Math.max(STEP.shortest, pace.dt / 4)
        continue
      }
      drift = (reached - this.pH) / pace.dt
      this.pH = reached
      this.charge += this.step(reached, pace)
      day = to
      const wanted = STEP.move / Math.max(Math.abs(drift), 1e-9)
      dt = Math.min(STEP.longest, STEP.growth * Math.max(dt, STEP.shortest), Math.max(STEP.shortest, wanted))
      if (day < next) continue
      states.push(this.state(day))
      next = Math.min(next + every, days)
    }
    return states
  }

  /** Where calcite neither dissolves nor is laid down, by the calcium that acid has left in the water. */
  private saturate() {
    if (this.acid === this.saturatedBy) return
    this.saturatedBy = this.acid
    const salts = (L.acidCalcium.value * Math.max(0, this.acid)) / (2 * this.water)
    this.equilibrium = calciteEquilibrium(
      undefined,
      Math.min(L.gypsumCalcium.value, L.calciumInWater.value + salts),
    )
    this.top = Math.max(this.equilibrium, this.own)
    this.atTop = this.balance.at(this.top)
  }

  /** The pH at which the charge of a step comes out even. */
  private reached(pace: Pace, drift: number): number {
    const lack = (at: number) => this.balance.at(at) - this.charge - this.changeAt(at, pace)
    const guess = this.pH + Math.min(FAR, Math.max(-FAR, drift * pace.dt))
    return pHWhere(lack, this.balance.slope(this.pH), guess)
  }

  private paceOf(from: Days, to: Days): Pace {
    const { temperature, warmth } = this
    this.clocks.forEach(({ q10, reference }, i) => {
      warmth[i] = temperature.worth(q10, reference, from, to)
    })
    /** Days of warmth for what was given by then: a step never spans the day on which something is given. */
    const worth = (clock: number, since: Days) => (since <= from ? warmth[clock]! : 0)
    const life = warmth[this.clockOfLife]!
    const warmDays = temperature.worth(LIFE_Q10, 20, 0, (from + to) / 2)
    const { alkalinity, drained } = this.stretches.findLast((s) => s.from <= from) ?? NO_WATER
    return {
      before: this.pH,
      dt: to - from,
      brought: (this.perDay + alkalinity) * (to - from),
      drained: drained * (to - from),
      carbon: L.carbonSupply.value * life,
      limes: [
        ...this.limes.map((l, i) => l.rate * worth(this.clockOfLime[i]!, l.from)),
        L.fineCalcite.value * (to - from),
      ],
      released: this.working.map((w, i) => {
        if (!w) return null
        const exponent = w.rate * worth(this.clockOfWorking[i]!, w.from)
        return w.oxidises ? exponent : w.left * gone(exponent)
      }),
      nitrify: L.nitrifies.value * life * grown(warmDays, this.lag),
      takeUp: L.takenUp.value * life * grown(warmDays, L.rootsLag.value),
    }
  }

  /** Dissolved of one lime in a step, by how fast undissolved carbonate and soluble bases go at its end. */
  private dissolved(i: number, pace: Pace, ease: number, baseEase: number): number {
    const lime = this.limes[i]!
    return lime.left * gone(pace.limes[i]! * (lime.soluble ? baseEase : ease))
  }
  /** How far undissolved carbonate is from its equilibrium, 1 at full rate. */
  private easeAt(at: number): number {
    return ramp(at, this.equilibrium, L.fullRatePH.value) ** 3
  }
  /** Charge above the equilibrium at a pH, mmol per litre. */
  private overAt(at: number): number {
    return at > this.top ? this.balance.at(at) - this.atTop : 0
  }
  /** Calcite laid down less what dissolved of it again in a step, mmol of charge per litre. */
  private laidIn(pace: Pace, ease: number, over: number): number {
    const due = (over * Math.LN2 * pace.dt) / L.laidDown.value
    // Bicarbonate of the water brings its own carbon.
    const laid = this.isHydrated ? Math.min(due, pace.carbon + pace.brought) : due
    return laid - this.laidDown * gone(pace.limes[this.limes.length]! * ease)
  }

  /** Base less acid of a step that ends at a pH, mmol of charge per litre. */
  private changeAt(at: number, pace: Pace): number {
    const { limes, working } = this
    const ease = this.easeAt(at)
    const baseEase = ramp(at, L.solubleNone.value, L.solubleFull.value)
    let change = pace.brought
    if (pace.drained > 0) change -= pace.drained * this.balance.alkalinity(at)
    change -= this.laidIn(pace, ease, this.overAt(at))
    for (let i = 0; i < limes.length; i++) change += this.dissolved(i, pace, ease, baseEase)
    for (let i = 0; i < working.length; i++) {
      const one = working[i]
      if (one) change -= acidStep(one, pace.released[i]!, pace, at)
    }
    return change
  }

  /** Takes a step that ends at a pH. Answers with base less acid of it, as `changeAt` does. */
  private step(at: number, pace: Pace): number {
    const change = this.changeAt(at, pace)
    const ease = this.easeAt(at)
    const baseEase = ramp(at, L.solubleNone.value, L.solubleFull.value)
    this.fromWater += pace.brought
    if (pace.drained > 0) this.drained += pace.drained * this.balance.alkalinity(at)
    this.laidDown += this.laidIn(pace, ease, this.overAt(at))
    for (const [i, lime] of this.limes.entries()) {
      const dissolved = this.dissolved(i, pace, ease, baseEase)
      lime.left -= dissolved
      if (lime.of < 0) this.fromOwn += dissolved
      else this.byLime[lime.of]! += dissolved
      this.reacted += dissolved
    }
    for (const [i, one] of this.working.entries()) {
      if (!one) continue
      const made = acidStep(one, pace.released[i]!, pace, at)
      takeStep(one)
      this.byAcid[i]! += made
      this.acid += made
    }
    return change
  }

  private state(day: Days): AcidityState {
    return {
      day,
      pH: this.pH,
      reacted: this.reacted,
      residual: this.limes.reduce((sum, l) => sum + (l.of < 0 ? 0 : l.left), this.laidDown),
      fromOwn: this.fromOwn,
      drained: this.drained,
      acid: this.acid,
      fromWater: this.fromWater,
      laidDown: this.laidDown,
      byLime: [...this.byLime],
      byAcid: [...this.byAcid],
    }
  }
}
