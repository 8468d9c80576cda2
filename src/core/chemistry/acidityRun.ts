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
} from './fertilizerAcid'
import type { BufferedMix } from './lime'
import { partsOfLime, solubleShare, type Dissolving } from './dissolving'
import { CHEMISTRY_LIMITS as L } from './limits'
import { emptyPace, nothingTried, type AtWork, type Pace, type Tried } from './acidityStep'
import { temperatureCourse, type TemperatureClock, type TemperatureCourse } from './temperature'

/** Steps, days: as long as pH moves by about `move` in one. */
const STEP = { shortest: 0.02, longest: 3, growth: 1.6, move: 0.05 } as const

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
  /** The stretch of water that a step lies in; -1 before the first. */
  private stretch = -1
  private readonly limes: Dissolving[]
  private readonly working: AtWork[]
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

  /** Days of warmth from one day to another, by each Q10 and reference that anything goes by; and those of a step. */
  private readonly clocks: { q10: number; reference: number; worth: TemperatureClock }[] = []
  private readonly warmth: number[] = []
  private readonly warmthOfLime: number[]
  private readonly warmthOfLife: number
  private readonly life: TemperatureClock
  private readonly pace: Pace
  private readonly tried: Tried
  /** Charge that a step lacks which ends at a pH. */
  private readonly lack = (at: number) => this.lackAt(at)

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
    this.working = (input.acids ?? []).flatMap((dose, of) => {
      const one = workingDressing(dose)
      return one ? [{ one, of, warmth: this.clockOf(one.q10, one.reference) }] : []
    })
    this.perDay = input.waterAlkalinity ?? 0
    this.stretches = input.water ?? []
    this.lag = nitrifierLag(mix.liveShare ?? 0)
    this.byLime = (input.limes ?? []).map(() => 0)
    this.byAcid = (input.acids ?? []).map(() => 0)
    this.pH = mix.pH
    this.warmthOfLime = this.limes.map((l) => this.clockOf(l.q10, 20))
    this.warmthOfLife = this.clockOf(LIFE_Q10, 20)
    this.life = this.clocks[this.warmthOfLife]!.worth
    this.pace = emptyPace(this.limes.length, this.working.length)
    this.tried = nothingTried(this.limes.length, this.working.length)
  }

  private clockOf(q10: number, reference: number): number {
    const known = this.clocks.findIndex((c) => c.q10 === q10 && c.reference === reference)
    if (known >= 0) return known
    return this.clocks.push({ q10, reference, worth: this.temperature.clock(q10, reference) }) - 1
  }

  /** Days on which something begins, the first first. */
  private starts(): Days[] {
    const all = [...this.limes, ...this.working.map((w) => w.one), ...this.stretches]
    return all.map((one) => one.from).sort((a, b) => a - b)
  }

  course(days: Days, every: Days): AcidityState[] {
    const starts = this.starts()
    let begun = 0
    const states = [this.state(0)]
    /** pH units a day in the last step: where to look first for the next. */
    let drift = 0
    let day = 0
    let dt: Days = STEP.shortest
    let next = Math.min(every, days)
    while (day < days) {
      while (begun < starts.length && starts[begun]! <= day) begun++
      const to = Math.min(day + dt, next, starts[begun] ?? Infinity)
      const long = to - day
      this.saturate()
      this.setPace(day, to)
      const reached = this.reached(drift)
      if (Math.abs(reached - this.pH) > FAR && long > STEP.shortest + 1e-9) {
        dt = Math.max(STEP.shortest, long / 4)
        continue
      }
      drift = (reached - this.pH) / long
      this.take(reached)
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
  private reached(drift: number): number {
    const guess = this.pH + Math.min(FAR, Math.max(-FAR, drift * this.pace.dt))
    return pHWhere(this.lack, this.balance.slope(this.pH), guess)
  }

  private setPace(from: Days, to: Days) {
    const { pace, warmth, clocks, limes, working, stretches } = this
    const dt = to - from
    for (let i = 0; i < clocks.length; i++) warmth[i] = clocks[i]!.worth(from, to)
    const life = warmth[this.warmthOfLife]!
    const warmDays = this.life(0, (from + to) / 2)
    while (this.stretch + 1 < stretches.length && stretches[this.stretch + 1]!.from <= from) this.stretch++
    const { alkalinity, drained } = stretches[this.stretch] ?? NO_WATER
    pace.before = this.pH
    pace.dt = dt
    pace.brought = (this.perDay + alkalinity) * dt
    pace.drained = drained * dt
    pace.carbon = L.carbonSupply.value * life
    pace.nitrify = L.nitrifies.value * life * grown(warmDays, this.lag)
    pace.takeUp = L.takenUp.value * life * grown(warmDays, L.rootsLag.value)
    // Warmth counts for what was given by then: a step never spans the day on which something is given.
    for (let i = 0; i < limes.length; i++) {
      const { rate, from: since } = limes[i]!
      pace.limes[i] = since <= from ? rate * warmth[this.warmthOfLime[i]!]! : 0
    }
    pace.limes[limes.length] = L.fineCalcite.value * dt
    for (let i = 0; i < working.length; i++) {
      const { one, warmth: clock } = working[i]!
      const exponent = one.from <= from ? one.rate * warmth[clock]! : 0
      pace.released[i] = one.oxidises ? exponent : one.left * gone(exponent)
    }
    this.tried.at = NaN
  }

  /** How far undissolved carbonate is from its equilibrium, 1 at full rate. */
  private easeAt(at: number): number {
    const ease = ramp(at, this.equilibrium, L.fullRatePH.value)
    return ease * ease * ease
  }
  /**
   * Calcite laid down less what dissolved of it again in a step, mmol of charge per litre; `over` is the charge above
   * the equilibrium.
   */
  private laidIn(ease: number, over: number): number {
    const { pace } = this
    const due = (over * Math.LN2 * pace.dt) / L.laidDown.value
    // Bicarbonate of the water brings its own carbon.
    const laid = this.isHydrated ? Math.min(due, pace.carbon + pace.brought) : due
    return laid - this.laidDown * gone(pace.limes[this.limes.length]! * ease)
  }

  /** Charge that a step lacks which ends at a pH, mmol per litre; what the step comes to is in `tried`. */
  private lackAt(at: number): number {
    const { limes, working, pace, tried, balance } = this
    const ease = this.easeAt(at)
    const baseEase = ramp(at, L.solubleNone.value, L.solubleFull.value)
    const alkalinity = balance.alkalinity(at)
    const charge = balance.given(at, alkalinity)
    tried.at = at
    tried.drained = pace.drained > 0 ? pace.drained * alkalinity : 0
    tried.laid = this.laidIn(ease, at > this.top ? charge - this.atTop : 0)
    let change = pace.brought - tried.drained - tried.laid
    for (let i = 0; i < limes.length; i++) {
      const lime = limes[i]!
      const dissolved = lime.left * gone(pace.limes[i]! * (lime.soluble ? baseEase : ease))
      tried.dissolved[i] = dissolved
      change += dissolved
    }
    for (let i = 0; i < working.length; i++) {
      const made = acidStep(working[i]!.one, pace.released[i]!, pace, at)
      tried.made[i] = made
      change -= made
    }
    tried.change = change
    return charge - this.charge - change
  }

  /** Takes a step that ends at a pH. */
  private take(at: number) {
    const { tried, limes, working } = this
    if (tried.at !== at) this.lackAt(at)
    this.pH = at
    this.charge += tried.change
    this.fromWater += this.pace.brought
    this.drained += tried.drained
    this.laidDown += tried.laid
    for (let i = 0; i < limes.length; i++) {
      const lime = limes[i]!
      const dissolved = tried.dissolved[i]!
      lime.left -= dissolved
      if (lime.of < 0) this.fromOwn += dissolved
      else this.byLime[lime.of]! += dissolved
      this.reacted += dissolved
    }
    for (let i = 0; i < working.length; i++) {
      const { one, of } = working[i]!
      takeStep(one)
      this.byAcid[of]! += tried.made[i]!
      this.acid += tried.made[i]!
    }
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
