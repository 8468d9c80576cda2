import { describe, expect, test } from 'vitest'
import { outsideCheck } from '../testing/outsideCheck'
import { alkalinityFrom, conductivityFrom, tapShare, waterAim } from '.'

describe('alkalinity as it is reported', () => {
  for (const [what, unit, value, expected] of [
    ['200 mg/L as calcium carbonate', 'carbonate', 200, 4],
    ['61 mg/L of bicarbonate', 'bicarbonate', 61, 1],
    ['1 German degree of carbonate hardness', 'german', 1, 0.357],
    ['1 English degree', 'english', 1, 0.285],
    ['1 French degree', 'french', 1, 0.2],
  ] as const)
    outsideCheck({
      module: 'irrigation',
      what: `${what} in meq/L`,
      source: 'definitions of the degrees; 50 mg/L of calcium carbonate or 61 of bicarbonate a meq',
      basis: 'closed form',
      unit: 'meq/L',
      expected,
      tolerance: expected * 0.002,
      computed: () => alkalinityFrom(value, unit),
    })
})

describe('salts as they are reported', () => {
  for (const [what, unit, value, expected] of [
    ['550 µS/cm', 'uScm', 550, 0.55],
    ['55 mS/m', 'mSm', 55, 0.55],
    ['640 mg/L of dissolved solids', 'solids', 640, 1],
  ] as const)
    test(`${what} is ${expected} dS/m`, () => expect(conductivityFrom(value, unit)).toBeCloseTo(expected, 12))
})

describe('water to a container', () => {
  test('small containers bear less alkalinity than large ones, ground the most, acid crops the least', () => {
    const act = (litres: number) => waterAim({ litres, inGround: false, acid: false }).act
    expect([0.02, 0.3, 1, 10, 40].map(act)).toEqual([1.5, 2, 2.5, 3.5, 4.5])
    expect(act(0.04)).toBe(1.5)
    expect(act(0.0401)).toBe(2)
    expect(waterAim({ litres: 40, inGround: true, acid: false }).act).toBeGreaterThan(act(40))
    expect(waterAim({ litres: 40, inGround: true, acid: true }).act).toBeLessThan(act(0.01))
  })
  outsideCheck({
    module: 'irrigation',
    what: 'tap of 5 meq/L and rain of 0.05 to 1.5: share of tap',
    source: 'worked by hand: 1.45 / 4.95',
    basis: 'closed form',
    unit: 'share',
    expected: 0.293,
    tolerance: 0.0005,
    computed: () => tapShare([{ tap: 5, rain: 0.05, most: 1.5 }])!,
  })
  test('the figure that is passed first decides; rain that passes one mends nothing', () => {
    const alkaline = { tap: 5, rain: 0, most: 2.5 }
    const salty = { tap: 1, rain: 0, most: 0.25 }
    expect(tapShare([alkaline, salty])).toBe(0.25)
    expect(tapShare([{ tap: 1, rain: 0, most: 2 }])).toBe(1)
    expect(tapShare([{ tap: 5, rain: 1, most: 0.5 }])).toBeNull()
    // Mixed so, no figure is passed.
    const share = tapShare([alkaline])!
    expect(share * alkaline.tap + (1 - share) * alkaline.rain).toBeCloseTo(alkaline.most, 12)
  })
})
