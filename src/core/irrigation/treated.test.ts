import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { acidForWater, WATER_ACIDS } from '../chemistry'
import { broughtByWater } from '../nutrients/waterNutrients'
import { conductivityOf } from '../nutrients/electricalConductivity'
import { draws } from '../testing/draws'
import { outsideCheck } from '../testing/outsideCheck'
import { treatedWater, UNTREATED, WATER_TREATMENT_LIMITS, type IrrigationWater, type WaterTreatment } from '.'

const tap: IrrigationWater = {
  alkalinity: 5,
  conductivity: 0.8,
  softened: false,
  ions: { sodium: 60 },
  acidified: null,
}
const acid = (id: 'phosphoric75' | 'sulfuric35' | 'nitric61', toPH = 6): WaterTreatment => ({
  rain: 0,
  acid: { id, toPH },
})
test('acid is for alkalinity: water without any is left as it is', () => {
  const soft: IrrigationWater = { ...tap, alkalinity: 0 }
  expect(treatedWater(soft, acid('phosphoric75'))).toEqual({ ...soft, ions: { sodium: 60 } })
})
const waters: fc.Arbitrary<IrrigationWater> = fc.record({
  alkalinity: fc.double({ min: 0.1, max: 12, noNaN: true }),
  conductivity: fc.double({ min: 0, max: 3, noNaN: true }),
  softened: fc.boolean(),
  ions: fc.record({ sodium: fc.double({ min: 0, max: 500, noNaN: true }) }),
  acidified: fc.constant(null),
})
const treatments: fc.Arbitrary<WaterTreatment> = fc.record({
  rain: fc.double({ min: 0, max: 1, noNaN: true }),
  acid: fc.option(
    fc.record({
      id: fc.constantFrom(
        'phosphoric75' as const,
        'sulfuric35' as const,
        'nitric61' as const,
        'citric' as const,
      ),
      toPH: fc.double({ min: 5.5, max: 6.8, noNaN: true }),
    }),
  ),
})

describe('water mixed with rain', () => {
  outsideCheck({
    module: 'irrigation',
    what: 'three parts of tap water of 5 meq/L to seven of rain',
    source: 'worked by hand: 0.3 x 5, rain without alkalinity',
    basis: 'closed form',
    unit: 'meq/L',
    expected: 1.5,
    tolerance: 0.001,
    computed: () => treatedWater(tap, { rain: 0.7, acid: null }).alkalinity,
  })
  test('every figure lies between those of tap and rain, in the share of each', () => {
    const half = treatedWater(tap, { rain: 0.5, acid: null })
    expect(half.ions.sodium).toBe(30)
    expect(half.conductivity).toBeCloseTo((0.8 + 0.03) / 2, 12)
    expect(treatedWater(tap, UNTREATED)).toEqual(tap)
    // What an acid left in the tap's share comes with that share, and no more.
    const acidified = { neutralised: 2, adds: { nitrogen: 12, phosphorus: 8, sulfur: 4 } }
    expect(treatedWater({ ...tap, acidified }, { rain: 0.75, acid: null }).acidified).toEqual({
      neutralised: 0.5,
      adds: { nitrogen: 3, phosphorus: 2, sulfur: 1 },
    })
    const softened = { ...tap, softened: true }
    expect(treatedWater(softened, { rain: 0.5, acid: null }).softened).toBe(true)
    expect(treatedWater(softened, { rain: 1, acid: null })).toMatchObject({ softened: false, alkalinity: 0 })
  })
})

describe('water with acid', () => {
  outsideCheck({
    module: 'irrigation',
    what: 'sulfur that sulfuric acid leaves for each meq/L taken out',
    source: 'half a mole of sulfur, 32.06 g/mol, to a mole of charge',
    basis: 'closed form',
    unit: 'mg/L',
    expected: 16.03,
    tolerance: 0.05,
    computed: () => {
      const { acidified } = treatedWater(tap, acid('sulfuric35'))
      return acidified!.adds.sulfur / acidified!.neutralised
    },
  })
  outsideCheck({
    module: 'irrigation',
    what: 'conductivity gained by 3 meq/L of bicarbonate turned to sulfate with its calcium',
    source: 'the same ions in the conductivity of a solution, bicarbonate 44.5 mS cm2 a mole of charge',
    basis: 'closed form',
    unit: 'dS/m',
    expected: { low: 0.04, high: 0.13 },
    tolerance: 0,
    computed: () => {
      const { neutralised } = treatedWater(tap, acid('sulfuric35')).acidified!
      return ((treatedWater(tap, acid('sulfuric35')).conductivity - tap.conductivity) / neutralised) * 3
    },
  })
  test('sulfate carries more current than bicarbonate, phosphate less; none as much as the acid alone would', () => {
    const gained = (id: 'phosphoric75' | 'sulfuric35' | 'nitric61') =>
      treatedWater(tap, acid(id)).conductivity - tap.conductivity
    expect(gained('sulfuric35')).toBeGreaterThan(0)
    expect(gained('nitric61')).toBeGreaterThan(0)
    expect(gained('phosphoric75')).toBeLessThan(0)
    const ions = {
      potassium: 0,
      ammonium: 0,
      magnesium: 0,
      sodium: 0,
      chloride: 0,
      phosphate: 0,
      nitrate: 0,
      calcium: 3,
      sulfate: 3,
    }
    expect(gained('sulfuric35')).toBeLessThan(conductivityOf(ions))
  })
  test('what is left and what was taken out make up what there was, and the acid is that of the dose', () => {
    fc.assert(
      fc.property(waters, treatments, (water, treatment) => {
        const treated = treatedWater(water, treatment)
        const before = water.alkalinity * (1 - treatment.rain)
        expect(treated.alkalinity + (treated.acidified?.neutralised ?? 0)).toBeCloseTo(before, 9)
        expect(treated.alkalinity).toBeGreaterThanOrEqual(0)
        expect(treated.ions.sodium!).toBeCloseTo(water.ions.sodium! * (1 - treatment.rain), 9)
        if (!treatment.acid || before === 0) return
        const dose = acidForWater(
          WATER_ACIDS.find((a) => a.id === treatment.acid!.id)!,
          before,
          treatment.acid.toPH,
        )
        const adds = Object.values(treated.acidified!.adds).reduce((s, x) => s + x, 0)
        expect(adds).toBeCloseTo(dose.adds, 9)
      }),
      draws(200),
    )
  })
  test('the calcium of the water stays, and with it comes what the acid leaves', () => {
    const brought = (water: IrrigationWater) =>
      broughtByWater(
        {
          amounts: [{ from: 0, given: 0.1, alkalinity: 0.1 * water.alkalinity }],
          conductivity: water.conductivity,
          acidified: water.acidified ?? undefined,
        },
        30,
      )
    const [plain, sulfuric, phosphoric, nitric] = [
      tap,
      treatedWater(tap, acid('sulfuric35')),
      treatedWater(tap, acid('phosphoric75')),
      treatedWater(tap, acid('nitric61')),
    ].map(brought)
    for (const b of [sulfuric!, phosphoric!, nitric!]) {
      expect(b.calcium).toBeCloseTo(plain!.calcium, 9)
      expect(b.magnesium).toBeCloseTo(plain!.magnesium, 9)
    }
    const litres = 30 * 0.1
    expect(phosphoric!.phosphorus).toBeCloseTo(
      litres * treatedWater(tap, acid('phosphoric75')).acidified!.adds.phosphorus,
      9,
    )
    expect(nitric!.nitrogen).toBeCloseTo(
      litres * treatedWater(tap, acid('nitric61')).acidified!.adds.nitrogen,
      9,
    )
    expect(sulfuric!.sulfur).toBeGreaterThan(plain!.sulfur)
    expect([plain!.nitrogen, plain!.phosphorus]).toEqual([0, 0])
  })
  test('acid to pH 6 leaves a third of the alkalinity', () => {
    const { alkalinity } = treatedWater(tap, acid('sulfuric35', WATER_TREATMENT_LIMITS.toPH.value))
    expect(alkalinity / tap.alkalinity).toBeGreaterThan(0.28)
    expect(alkalinity / tap.alkalinity).toBeLessThan(0.34)
  })
})
