import { draws, isLong } from '@/core/testing/draws'
import fc from 'fast-check'
import { Solver } from 'odex'
import { describe, expect, test } from 'vitest'
import { shapeHeight, volumeBelow, type Container } from '../../geometry'
import { blend, type Blend } from '../../mixing'
import { anyContainer, anyParts, parts } from '../../testing/arbitraries'
import { outsideCheck } from '../../testing/outsideCheck'
import { containerProfile, waterContent, type VanGenuchten } from '..'
import {
  columnOf,
  hydraulicsOf,
  mualemConductivity,
  moveWater,
  moveWaterAtOnce,
  picturesEvery,
  shareOfDay,
  waterIn,
  type Hydraulics,
  type Moved,
  type MovingProblem,
} from '.'
import { breaksOf, type Demand } from './weather'
import { Nodes } from './nodes'
import { Stepper } from './stepper'
import { surfaceHead } from './surface'

const NONE: Demand = { arriving: 0, evaporation: 0, uptake: 0, wall: 0, saucer: 0 }
const STILL = { uptake: 0, evaporation: 0, wall: 0, saucer: 0 }
const straight = (height: number, base: Container['base'] = { kind: 'drainHoles' }): Container => ({
  shape: { kind: 'roundPot', topDiameter: 30, baseDiameter: 30, height: height + 3 },
  headspace: 3,
  base,
})
const blendOf = (amounts: Record<string, number>): Blend => {
  const mixed = blend(parts(amounts))
  if (!mixed.ok) throw new Error(mixed.problem.code)
  return mixed.value
}
const LIGHT = { peat_medium: 2, perlite_coarse: 1 }
const stuff = (amounts: Record<string, number>) => hydraulicsOf(blendOf(amounts))
const moved = (change: Partial<MovingProblem>): Moved => {
  const answer = moveWaterAtOnce({
    container: straight(25),
    layers: [{ top: 25, hydraulics: stuff(LIGHT) }],
    below: { kind: 'free' },
    begin: { kind: 'drained' },
    hours: 24,
    pulses: [],
    day: STILL,
    ...change,
  })
  if (!answer.ok) throw new Error(answer.problem.code)
  return answer.value
}
/** Mean water of the cells between two heights in the last picture. */
function meanWater({ course }: Moved, from = 0, to = Infinity, picture = course.times.length - 1) {
  let [water, volume] = [0, 0]
  course.heights.forEach((h, i) => {
    if (h < from || h > to) return
    water += waterIn(course, picture, i) * course.litres[i]!
    volume += course.litres[i]!
  })
  return water / volume
}

/** A column of one stuff with its stepper, one square cm wide or near it. */
function bare(height: number, layers: { top: number; hydraulics: Hydraulics }[], cells: number, saucer = 0) {
  const column = columnOf(
    {
      shape: { kind: 'box', topLength: 1, topWidth: 1, baseLength: 1, baseWidth: 1, height },
      headspace: 0,
      base: { kind: 'drainHoles' },
    },
    layers,
    cells,
  )
  const below =
    saucer > 0 ? ({ kind: 'saucer', area: saucer, depth: 1 } as const) : ({ kind: 'free' } as const)
  return {
    column,
    stepper: new Stepper(column, below, { share: new Float64Array(column.count), easy: 50, driest: 1500 }),
  }
}
/** Steps of a length to an hour, shorter ones where it must. */
function runTo(stepper: Stepper, hours: number, step: number, demand: Demand = NONE) {
  let now = 0
  let by = step / 100
  while (now < hours - 1e-12) {
    by = Math.min(by, hours - now)
    if (stepper.step(by, demand)) {
      now += by
      by = Math.min(step, by * 1.3)
    } else by /= 4
  }
}

describe('published cases of moving water', () => {
  const CELIA = 'Celia, Bouloutas & Zarba 1990, Water Resour. Res. 26:1483-1496, second case (from memory)'
  const curve: VanGenuchten = { residual: 0.102, saturated: 0.368, alpha: 0.0335, n: 2 }
  const celia = (cells: number, step: number) => {
    const hydraulics: Hydraulics = {
      totalPorosity: curve.saturated,
      waterAt: (h) => waterContent(curve, h),
      conductivityAt: (h) => {
        const m = 1 - 1 / curve.n
        const s = (1 + (curve.alpha * h) ** curve.n) ** -m
        return 0.00922 * 3600 * Math.sqrt(s) * (1 - (1 - s ** (1 / m)) ** m) ** 2
      },
    }
    const { column, stepper } = bare(100, [{ top: 100, hydraulics }], cells)
    stepper.begin((z) => (z === 100 ? 75 : 1000))
    stepper.heldTop = -75
    stepper.heldBase = -1000
    runTo(stepper, 24, step)
    // Where the head is half-way between what was there and what came.
    for (let i = column.count - 1; i > 0; i--) {
      const [a, b] = [stepper.head[i]!, stepper.head[i - 1]!]
      if (a >= -537.5 && b < -537.5)
        return (
          100 - (column.height[i]! + ((a + 537.5) / (a - b)) * (column.height[i - 1]! - column.height[i]!))
        )
    }
    return NaN
  }
  outsideCheck({
    module: 'water',
    what: 'depth of the wetting front after 24 h in a dry soil under a head of -75 cm',
    source: CELIA,
    basis: 'published',
    unit: 'cm',
    expected: 56.5,
    tolerance: 1,
    computed: () => celia(800, 0.02),
  })
  test.runIf(isLong)('a finer grid comes closer to the finest, twice as fine as much as four times', () => {
    const [coarse, fine, finest] = [celia(100, 0.02), celia(200, 0.02), celia(1600, 0.02)]
    expect(Math.abs(fine - finest)).toBeLessThan(Math.abs(coarse - finest) / 2)
    expect(Math.abs(fine - finest)).toBeLessThan(0.5)
  })

  /** Srivastava & Yeh's soil: water and conductivity exponential in the tension. */
  const [A, FULL, DRY, KS] = [0.1, 0.4, 0.06, 1]
  const gardner = (alpha: number, conductivity: number): Hydraulics => ({
    totalPorosity: FULL,
    waterAt: (h) => DRY + (FULL - DRY) * Math.exp(-alpha * Math.max(0, h)),
    conductivityAt: (h) => conductivity * Math.exp(-alpha * Math.max(0, h)),
  })
  const [LONG, BEFORE, AFTER] = [100, 0.1, 0.9]
  /** Their equation 13: conductivity over saturated by height above a water table, hours after the flow rose. */
  const srivastavaYeh = (z: number, hours: number) => {
    const [Z, L, T] = [A * z, A * LONG, (A * KS * hours) / (FULL - DRY)]
    let sum = 0
    for (let n = 1; n <= 400; n++) {
      // Roots of tan(l L) + 2 l = 0, one in each (n - 1/2, n) pi / L.
      let [low, high] = [((n - 0.5) * Math.PI) / L + 1e-12, (n * Math.PI) / L]
      for (let k = 0; k < 80; k++) {
        const middle = (low + high) / 2
        if (Math.sin(middle * L) + 2 * middle * Math.cos(middle * L) > 0 === (n % 2 === 1)) low = middle
        else high = middle
      }
      const l = (low + high) / 2
      sum += (Math.sin(l * Z) * Math.sin(l * L) * Math.exp(-l * l * T)) / (1 + L / 2 + 2 * l * l * L)
    }
    return (
      AFTER -
      (AFTER - 1) * Math.exp(-Z) -
      4 * (AFTER - BEFORE) * Math.exp((L - Z) / 2) * Math.exp(-T / 4) * sum
    )
  }
  test('their sum, at the start, is the flow before', () => {
    for (const z of [20, 50, 80])
      expect(srivastavaYeh(z, 1e-3)).toBeCloseTo(BEFORE + (1 - BEFORE) * Math.exp(-A * z), 2)
  })
  const infiltrated = (z: number, hours: number) => {
    const { column, stepper } = bare(LONG, [{ top: LONG, hydraulics: gardner(A, KS) }], 400)
    stepper.begin((h) => -Math.log(BEFORE + (1 - BEFORE) * Math.exp(-A * h)) / A)
    stepper.heldBase = 0
    runTo(stepper, hours, 0.02, { ...NONE, arriving: AFTER })
    const i = column.height.findIndex((h) => h > z)
    const part = (z - column.height[i - 1]!) / (column.height[i]! - column.height[i - 1]!)
    return stepper.head[i - 1]! + part * (stepper.head[i]! - stepper.head[i - 1]!)
  }
  for (const [z, hours] of [
    [80, 5],
    [50, 20],
    [80, 20],
    [20, 50],
  ] as const)
    outsideCheck({
      module: 'water',
      what: `infiltration above a water table, head ${z} cm up after ${hours} h`,
      source: 'Srivastava & Yeh 1991, Water Resour. Res. 27:753-762 (closed form, from memory)',
      basis: 'closed form',
      unit: 'cm',
      expected: Math.log(srivastavaYeh(z, hours)) / A,
      tolerance: 0.15,
      computed: () => infiltrated(z, hours),
    })

  /** Steady flow down through two exponential stuffs onto standing water. */
  const layered = (z: number) => {
    const layers = [
      { top: 30, hydraulics: gardner(0.2, 5) },
      { top: 60, hydraulics: gardner(0.05, 1) },
    ]
    const { column, stepper } = bare(60, layers, 480)
    stepper.begin((h) => h / 2)
    stepper.heldBase = 0
    runTo(stepper, 600, 1, { ...NONE, arriving: 0.2 })
    const i = column.height.findIndex((h) => h >= z - 1e-9)
    return stepper.head[i]!
  }
  const through = (alpha: number, conductivity: number, from: number, up: number) => {
    const steady = 0.2 / conductivity
    return Math.log(steady + (Math.exp(alpha * from) - steady) * Math.exp(-alpha * up)) / alpha
  }
  outsideCheck({
    module: 'water',
    what: 'steady flow of 0.2 cm/h through two stuffs: head where they meet',
    source: 'Gardner 1958, Soil Sci. 85:228-232, integrated by hand',
    basis: 'closed form',
    unit: 'cm',
    expected: through(0.2, 5, 0, 30),
    tolerance: 0.05,
    computed: () => layered(30),
  })
  outsideCheck({
    module: 'water',
    what: 'steady flow of 0.2 cm/h through two stuffs: head on top',
    source: 'Gardner 1958, Soil Sci. 85:228-232, integrated by hand',
    basis: 'closed form',
    unit: 'cm',
    expected: through(0.05, 1, through(0.2, 5, 0, 30), 30),
    tolerance: 0.05,
    computed: () => layered(60),
  })

  test('a general solver gives the same on the same grid', () => {
    const cells = 16
    const hydraulics = gardner(0.05, 2)
    const { column, stepper } = bare(32, [{ top: 32, hydraulics }], cells)
    stepper.begin((z) => 60 - z)
    const start = Array.from(column.cells, (i) => stepper.water[i]!)
    runTo(stepper, 10, 0.002, { ...NONE, arriving: 0.3 })
    // The same finite volumes, written out for water: nothing leaves below while the foot is not full.
    const head = (w: number) => Math.log(Math.max(1e-9, (w - DRY) / (FULL - DRY))) / 0.05
    const conduct = (w: number) => hydraulics.conductivityAt(-head(w))
    const dz = 2
    const rates = (w: number[]) => {
      const flow = w.map((x, i) =>
        i === 0 ? 0 : 0.5 * (conduct(x) + conduct(w[i - 1]!)) * ((head(x) - head(w[i - 1]!)) / dz + 1),
      )
      return w.map((_x, i) => ((i === cells - 1 ? 0.3 : flow[i + 1]!) - flow[i]!) / dz)
    }
    const solver = new Solver(cells)
    solver.absoluteTolerance = solver.relativeTolerance = 1e-8
    const there = solver.solve((_, w) => rates(w), 0, start, 10).y
    there.forEach((w, i) => expect(stepper.water[column.cells[i]!]).toBeCloseTo(w, 3))
  }, 30_000)
})

describe('the first hours of draining', () => {
  const CELLS = 15
  const HEIGHT = 30
  const DZ = HEIGHT / CELLS
  const hydraulics = stuff(LIGHT)
  const TIMES = [0.25, 0.5, 1, 2, 4, 8]
  const START = 0.5
  const answer = moved({
    container: straight(HEIGHT),
    layers: [{ top: HEIGHT, hydraulics }],
    begin: { kind: 'even', tension: START },
    hours: 8,
    cells: CELLS,
    pictures: [0, ...TIMES],
  })
  /** Water in the mix in a picture, cm. */
  const storage = (picture: number) => {
    const { heights } = answer.course
    return heights.reduce((sum, _h, i) => sum + waterIn(answer.course, picture, i), 0) * DZ
  }

  test('a solver of the registry keeps the same water in the mix, within 0.02 cm, from the first quarter hour', () => {
    // The same finite volumes in heads, written out: Gragg-Bulirsch-Stoer steps of odex in place of our own.
    const table = columnOf(straight(HEIGHT), [{ top: HEIGHT, hydraulics }], CELLS).tables[0]!
    const at = (values: Float64Array, tension: number) => {
      const u = Math.log(Math.max(tension, 0.02) / 0.01) / (Math.log(1e9) / 2000)
      const k = Math.floor(u)
      const slope = values[k + 1]! - values[k]!
      return { value: values[k]! + (u - k) * slope, slope: -slope }
    }
    const rates = (tensions: number[]) => {
      const flow = tensions.map((h, i) => {
        const conduct = at(table.conductivity, h).value
        // Out of the foot only where it would be above zero there; the lowest half cell lies above it.
        if (i === 0) return Math.max(0, conduct * (1 - h / (DZ / 2)))
        const mean = (conduct + at(table.conductivity, tensions[i - 1]!).value) / 2
        return mean * ((tensions[i - 1]! - h) / DZ + 1)
      })
      return tensions.map((h, i) => {
        const capacity = at(table.water, h).slope / ((Math.log(1e9) / 2000) * h) + 1e-6
        return (flow[i]! - (flow[i + 1] ?? 0)) / DZ / capacity
      })
    }
    const solver = new Solver(CELLS)
    solver.absoluteTolerance = solver.relativeTolerance = 1e-5
    let state = Array.from({ length: CELLS }, () => START)
    TIMES.forEach((hours, k) => {
      state = solver.solve((_, h) => rates(h), k === 0 ? 0 : TIMES[k - 1]!, state, hours).y
      const there = state.reduce((sum, h) => sum + at(table.water, h).value, 0) * DZ
      expect(Math.abs(storage(k + 1) - there), `after ${hours} h`).toBeLessThan(0.02)
    })
  }, 60_000)

  test('its cells together hold the litres of the column', () => {
    const all = answer.course.litres.reduce((a, b) => a + b)
    expect(all).toBeCloseTo(volumeBelow(straight(HEIGHT).shape, HEIGHT), 9)
    expect(answer.course.litres[0]).toBeCloseTo(all / CELLS, 9)
  })
  test('a heap on a bed is levelled out over the whole bed: as many litres, so much deeper', () => {
    const body = {
      kind: 'box' as const,
      topLength: 100,
      topWidth: 50,
      baseLength: 100,
      baseWidth: 50,
      height: 20,
    }
    const shape = { kind: 'mounded' as const, body, moundHeight: 8 }
    const column = columnOf(
      { shape, headspace: 0, base: { kind: 'drainHoles' } },
      [{ top: shapeHeight(shape), hydraulics: stuff(LIGHT) }],
      24,
    )
    // Half of the mound's own box: 4 cm more on all of it.
    expect(column.height.at(-1)).toBeCloseTo(24, 9)
    expect(column.surfaceArea).toBeCloseTo(5000, 9)
    expect(column.volume.reduce((a, b) => a + b, 0)).toBeCloseTo(24 * 5000, 6)
  })
  test('its nodes: ends, a side hole and the border of two stuffs without volume, each between the stuffs it lies in', () => {
    const column = columnOf(
      straight(25, { kind: 'sideHoles', height: 4 }),
      [
        { top: 10, hydraulics: stuff({ gravel_pea: 1 }) },
        { top: 25, hydraulics: stuff(LIGHT) },
      ],
      25,
    )
    const nodes = Array.from(column.height, (height, i) => ({
      height,
      below: column.below[i],
      above: column.above[i],
      volume: column.volume[i]!,
    }))
    expect(nodes.filter((n) => n.volume === 0).map(({ volume: _, ...n }) => n)).toEqual([
      { height: 0, below: 0, above: 0 },
      { height: 4, below: 0, above: 0 },
      { height: 10, below: 0, above: 1 },
      { height: 25, below: 1, above: 1 },
    ])
    expect(column.height[column.outlet]).toBe(4)
    // Cells of a centimetre lie in their own stuff; links join every node to the next, and add up to the depth.
    for (const n of nodes.filter((m) => m.volume > 0)) {
      expect([n.below, n.above]).toEqual(n.height < 10 ? [0, 0] : [1, 1])
    }
    expect(column.cells).toHaveLength(25)
    expect(Array.from(column.cellLayer)).toEqual(Array.from(column.cellHeight, (h) => (h < 10 ? 0 : 1)))
    expect(column.linkLength.reduce((a, b) => a + b, 0)).toBeCloseTo(25, 9)
    column.linkLength.forEach((length, i) =>
      expect(length).toBeCloseTo(column.height[i + 1]! - column.height[i]!, 9),
    )
  })
  test('every picture balances by itself: what is in the mix and what has drained', () => {
    const area = answer.course.litres[0]! / DZ
    answer.course.times.forEach((_t, k) => {
      expect(storage(k) + answer.course.drained[k]! / area).toBeCloseTo(storage(0), 4)
    })
  })
})

describe('water in a container', () => {
  test('is made nowhere and lost nowhere, whatever is poured', () => {
    const base = fc.constantFrom<Container['base']>(
      { kind: 'drainHoles' },
      { kind: 'onSoil', texture: 'loam' },
      { kind: 'onPaving' },
      { kind: 'closed' },
    )
    fc.assert(
      fc.property(
        anyContainer,
        base,
        anyParts,
        anyParts,
        fc.double({ min: 0.05, max: 0.9, noNaN: true }),
        fc.double({ min: 0.01, max: 2, noNaN: true }),
        fc.double({ min: 0, max: 60, noNaN: true }),
        fc.constantFrom('free', 'saucer', 'keptWater' as const),
        fc.constantFrom(15, 80),
        (container, at, mix, under, layer, share, saucer, below, tension) => {
          const [upper, lower] = [blend(mix), blend(under)]
          if (!upper.ok || !lower.ok) return
          const height = shapeHeight(container.shape) - container.headspace
          const litres = (share * height * 500) / 1000
          const answer = moveWaterAtOnce({
            container: { ...container, base: at },
            layers: [
              { top: layer * height, hydraulics: hydraulicsOf(lower.value) },
              { top: height, hydraulics: hydraulicsOf(upper.value) },
            ],
            below:
              below === 'free'
                ? { kind: 'free' }
                : below === 'saucer'
                  ? { kind: 'saucer', area: 10 * saucer, depth: 3 }
                  : { kind: 'keptWater', height: 1 },
            begin: { kind: 'even', tension },
            hours: 72,
            cells: 40,
            pulses: [
              { start: 1, hours: 0.1, litres },
              { start: 30, hours: 2, litres: litres / 2 },
            ],
            day: { uptake: litres / 4, evaporation: litres / 10, wall: litres / 20, saucer: 0.05 },
          })
          expect(answer.ok).toBe(true)
          if (!answer.ok) return
          expect(answer.value.book.error).toBeLessThan(1e-4)
          const { course } = answer.value
          for (let k = 0; k < course.times.length; k++)
            for (let i = 0; i < course.heights.length; i++) {
              const water = waterIn(course, k, i)
              if (!(water >= 0 && water <= course.pores[i]! + 1e-4)) throw new Error(`water ${water}`)
            }
        },
      ),
      { ...draws(120), endOnFailure: true },
    )
  }, 120_000)

  test('comes to the rest that the profile tells, with taper, over soil, below side holes', () => {
    for (const base of [
      { kind: 'drainHoles' },
      { kind: 'onSoil', texture: 'coarse' },
      { kind: 'sideHoles', height: 5 },
    ] as const) {
      const container: Container = {
        shape: { kind: 'roundPot', topDiameter: 30, baseDiameter: 20, height: 28 },
        headspace: 3,
        base,
      }
      const hydraulics = stuff(LIGHT)
      const rest = containerProfile(container, [{ top: 25, ...hydraulics }])
      const soaked = moved({
        container,
        layers: [{ top: 25, hydraulics }],
        begin: { kind: 'even', tension: 20 },
        hours: 24 * 300,
        pictures: picturesEvery(24, 24 * 300),
        pulses: [{ start: 0, hours: 1, litres: 12 }],
      })
      expect(meanWater(soaked)).toBeCloseTo(rest.containerCapacity, 2)
      // What starts drained stays so.
      const still = moved({ container, layers: [{ top: 25, hydraulics }] })
      expect(meanWater(still)).toBeCloseTo(rest.containerCapacity, 3)
    }
  })
  test('rises from water kept below to what hangs above it', () => {
    const hydraulics = stuff(LIGHT)
    const { course } = moved({
      below: { kind: 'keptWater', height: 2 },
      begin: { kind: 'even', tension: 60 },
      hours: 24 * 60,
      pictures: picturesEvery(24, 24 * 60),
    })
    for (const [i, h] of course.heights.entries())
      expect(waterIn(course, course.times.length - 1, i)).toBeCloseTo(hydraulics.waterAt(h - 2), 2)
  })
  test('a closed pot keeps all of it; what does not fit runs over its rim', () => {
    const { book, course } = moved({
      container: straight(25, { kind: 'closed' }),
      begin: { kind: 'even', tension: 50 },
      hours: 48,
      pulses: [{ start: 0, hours: 1, litres: 20 }],
    })
    expect(book.drained).toBe(0)
    expect(book.overSurface).toBeGreaterThan(1)
    // Litres: what was there and what was given is in the mix, on it, or over the rim.
    expect(book.inMix + book.standing + book.overSurface).toBeCloseTo(book.atStart + book.given, 2)
    expect(course.onSurface.at(-1)).toBeCloseTo(3, 1)
  })
  test('a saucer fills, runs over at its rim, and gives back', () => {
    const saucer = { kind: 'saucer', area: 400, depth: 3 } as const
    const wet = moved({ below: saucer, pulses: [{ start: 0, hours: 0.2, litres: 4 }] })
    expect(wet.course.inSaucer.at(-1)).toBeCloseTo(3, 1)
    expect(wet.book.drained).toBeGreaterThan(1)
    // Left standing a week while plants drink, it is drunk empty.
    const week = moved({
      below: saucer,
      hours: 7 * 24,
      pulses: [{ start: 0, hours: 0.2, litres: 4 }],
      day: { ...STILL, uptake: 0.8 },
    })
    expect(week.course.inSaucer.at(-1)).toBe(0)
    const emptied = moved({
      hours: 7 * 24,
      pulses: [{ start: 0, hours: 0.2, litres: 4 }],
      day: { ...STILL, uptake: 0.8 },
    })
    expect(week.hoursThirsty).toBeLessThanOrEqual(emptied.hoursThirsty)
    const foot = (m: Moved) => m.course.hoursShortOfAir[0]!
    expect(foot(week)).toBeGreaterThan(foot(emptied) + 48)
  })
  test('a dry surface gives less and less; a plant without water stops', () => {
    const dry = moved({
      hours: 24 * 40,
      pictures: picturesEvery(24, 24 * 40),
      day: { ...STILL, evaporation: 0.4 },
    })
    const days = Array.from(dry.course.evaporated)
    expect(days[1]! - days[0]!).toBeGreaterThan(0.35)
    expect(days[40]! - days[39]!).toBeLessThan(0.2)
    const thirsty = moved({
      hours: 24 * 30,
      pictures: picturesEvery(24, 24 * 30),
      day: { ...STILL, uptake: 1 },
    })
    expect(thirsty.firstThirst).not.toBeNull()
    // Nobody wilts who was not thirsty before; without a plant nobody does at all.
    expect(thirsty.firstWilting!).toBeGreaterThan(thirsty.firstThirst!)
    expect([dry.firstThirst, dry.firstWilting]).toEqual([null, null])
    expect(moved({ hours: 24, day: { ...STILL, uptake: 0.1 } }).firstWilting).toBeNull()
    expect(thirsty.hoursThirsty).toBeGreaterThan(100)
    expect(thirsty.book.takenUp).toBeLessThan(10)
  })
  test('a saucer gives to the air all that is asked of it until its last film, as much less as that is thinner', () => {
    const given = (deep: number, demand: Demand) => {
      const { stepper } = bare(10, [{ top: 10, hydraulics: stuff(LIGHT) }], 4, 50)
      // At rest on the free water: nothing moves but what is given off.
      stepper.begin((height) => height - deep)
      expect(stepper.step(0.001, demand)).toBe(true)
      return stepper.passed.fromSaucer
    }
    const demand: Demand = { ...NONE, saucer: 2 }
    expect(given(0.5, demand)).toBeCloseTo(0.002, 6)
    // A film of 0.01 cm of the 0.02: half of it.
    expect(given(0.01, demand)).toBeCloseTo(0.001, 4)
  })
  test('roots in soaked mix have water in plenty and no air; half dry by the logarithm they take half', () => {
    const { column } = bare(10, [{ top: 10, hydraulics: stuff(LIGHT) }], 4)
    const share = new Float64Array(column.count)
    const [foot, head] = [column.cells[0]!, column.cells.at(-1)!]
    share[foot] = 0.25
    share[head] = 0.75
    const nodes = new Nodes(column, { share, easy: 50, driest: 1500 })
    nodes.head.fill(-50)
    nodes.head[foot] = 1
    nodes.evaluate()
    expect(nodes.rootsMoist).toBeCloseTo(1, 12)
    // At 50 cm this light mix has more air than roots want.
    expect(nodes.air[head]).toBeGreaterThan(0.2)
    expect(nodes.rootsAble).toBeCloseTo(0.75, 12)
    nodes.head.fill(-Math.sqrt(50 * 1500))
    nodes.evaluate()
    expect(nodes.rootsMoist).toBeCloseTo(0.5, 12)
    nodes.head.fill(-1500)
    nodes.evaluate()
    expect(nodes.rootsMoist).toBeCloseTo(0, 12)
  })
  test('water that falls faster than the surface takes it stands on it: so deep that the litres agree', () => {
    const column = columnOf({ ...straight(10), headspace: 5 }, [{ top: 10, hydraulics: stuff(LIGHT) }], 4)
    const nodes = new Nodes(column, { share: new Float64Array(column.count), easy: 50, driest: 1500 })
    nodes.head.fill(0)
    nodes.evaluate()
    const top = column.count - 1
    const [area, length] = [column.linkArea[top - 1]!, column.linkLength[top - 1]!]
    const lets = column.tables[column.below[top]!]!.fullConductivity
    // Darcy below a pond h over full mix at rest: what arrives goes down at K (h / L + 1), and stays in the pond.
    const [hours, deep] = [0.02, 3]
    const arriving = area * lets * (deep / length + 1) + (column.surfaceArea * deep) / hours
    expect(surfaceHead(nodes, hours, { ...NONE, arriving })).toBeCloseTo(deep, 6)
  })
  test('more water drunk means sooner thirst; soaked roots stop for want of air', () => {
    const first = (uptake: number) => moved({ hours: 24 * 20, day: { ...STILL, uptake } }).firstThirst!
    expect(first(1.2)).toBeLessThan(first(0.7))
    const drowned = moved({
      container: straight(25, { kind: 'closed' }),
      begin: { kind: 'even', tension: -1 },
      day: { ...STILL, uptake: 0.5 },
    })
    expect(drowned.hoursShortOfAir).toBeGreaterThan(20)
    expect(drowned.book.takenUp).toBeLessThan(0.4)
  })
  test('refuses what cannot be', () => {
    const problem: MovingProblem = {
      container: straight(25),
      layers: [{ top: 25, hydraulics: stuff(LIGHT) }],
      below: { kind: 'free' },
      begin: { kind: 'drained' },
      hours: 24,
      pulses: [],
      day: STILL,
    }
    for (const change of [
      { hours: 0 },
      { hours: 1e6 },
      { pulses: [{ start: 0, hours: 1, litres: -1 }] },
      { pulses: [{ start: 0, hours: 0, litres: 1 }] },
      { layers: [] },
    ])
      expect(moveWaterAtOnce({ ...problem, ...change }).ok).toBe(false)
    // Told its progress, and stopped between.
    const run = moveWater({
      ...problem,
      hours: 24 * 60,
      pulses: Array.from({ length: 60 }, (_, d) => ({ start: 24 * d, hours: 0.1, litres: 2 })),
    })
    const turn = run.next()
    expect(turn.done).toBe(false)
    expect(turn.value).toBeGreaterThan(0)
    run.return(undefined as never)
  })
})

describe('what a stuff lets through', () => {
  test('Mualem over van Genuchten’s own curve is their closed form', () => {
    const curve: VanGenuchten = { residual: 0, saturated: 0.43, alpha: 0.02, n: 2.5 }
    const m = 1 - 1 / curve.n
    const k = mualemConductivity((h) => waterContent(curve, h), 10)
    for (const h of [5, 20, 60, 150]) {
      const s = (1 + (curve.alpha * h) ** curve.n) ** -m
      expect(k(h) / (10 * Math.sqrt(s) * (1 - (1 - s ** (1 / m)) ** m) ** 2)).toBeCloseTo(1, 1)
    }
    expect(k(0)).toBe(10)
  })
  outsideCheck({
    module: 'water',
    what: 'pea gravel lets hardly anything through at 2 cm of tension',
    source:
      'gravel of capillary barriers, alpha 4.9 /cm, n 2.19, Ks 1 cm/s (Khire, Benson & Bosscher 2000, from memory), within a factor of ten',
    basis: 'from memory',
    unit: 'log10 cm/h',
    expected: { low: -2.9, high: -0.9 },
    tolerance: 0,
    usedToSet: 'exponent of touching grains',
    computed: () => Math.log10(stuff({ gravel_pea: 1 }).conductivityAt(2)),
  })
  test('the day’s share of sun runs from zero to one, and breaks fall on its ends', () => {
    expect([0, 6, 9, 12, 18, 24].map(shareOfDay).map((x) => +x.toFixed(3))).toEqual([0, 0, 0.146, 0.5, 1, 1])
    expect(breaksOf([{ start: 1, hours: 0.5, litres: 1 }], 20, 6)).toEqual([1, 1.5, 12, 20])
  })
})
