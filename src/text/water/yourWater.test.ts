import { describe, expect, test } from 'vitest'
import { rainYear } from '@/core/irrigation'
import { canOfWater, rainYearText, treatmentName, waterLine } from './yourWater'

describe('a water by its name', () => {
  for (const [rain, name] of [
    [0, 'tap water as it comes'],
    [0.25, '1 part rain water to 3 parts tap water'],
    [1 / 3, '1 part rain water to 2 parts tap water'],
    [0.5, 'half rain water, half tap water'],
    [0.4, '40 % rain water'],
    [1, 'rain water'],
  ] as const)
    test(name, () => expect(treatmentName({ rain, acid: null })).toBe(name))
  test('with acid it says which, and to what pH', () => {
    expect(treatmentName({ rain: 0, acid: { id: 'sulfuric35', toPH: 6.2 } })).toBe(
      'tap water brought to pH 6.2 with sulfuric acid',
    )
  })
  test('alkalinity is given in the unit of reports too: 50 mg/L to a meq', () => {
    expect(waterLine({ alkalinity: 4, conductivity: 0.6 })).toBe(
      'alkalinity 4.0 meq/L (200 mg/L as calcium carbonate), salts 0.60 dS/m',
    )
  })
})

describe('what goes into a can', () => {
  test('the parts of rain and tap make up the can', () => {
    expect(canOfWater({ rain: 0.25, acid: null }, { alkalinity: 4, can: 10 }, 'metric')).toBe(
      '2.5 L of rain water and 7.5 L of tap water.',
    )
    expect(canOfWater({ rain: 1, acid: null }, { alkalinity: 4, can: 10 }, 'metric')).toBe('')
  })
  test('acid is for what the rain leaves of the alkalinity: half of it with half rain', () => {
    // 86.5 mL to 1,000 L and meq/L, to pH 5.8: a can of 10 L with 4 meq/L takes 3.5 mL, with 2 meq/L 1.7.
    const acid = { id: 'sulfuric35' as const, toPH: 5.8 }
    const text = (rain: number) => canOfWater({ rain, acid }, { alkalinity: 4, can: 10 }, 'metric')
    expect(text(0)).toMatch(
      /^3\.[45] mL of sulfuric acid \(35 %, unused and clean\) in 10 L of water\. It adds 50 mg\/L/,
    )
    expect(text(0.5)).toMatch(/^5 L of rain water and 5 L of tap water\. 1\.7 mL of sulfuric acid/)
    expect(canOfWater({ rain: 0, acid }, { alkalinity: 4, can: 10 }, 'us')).toContain('fl oz of sulfuric')
  })
})

test('a barrel that lasts says so, one that does not names its worst month', () => {
  const twelve = (of: (i: number) => number) => Array.from({ length: 12 }, (_, i) => of(i))
  const q = { rain: twelve((i) => (i === 6 ? 0 : 80)), use: twelve(() => 5), roof: 20, barrel: 50 }
  expect(rainYearText(rainYear({ ...q, use: twelve(() => 0) }))).toContain('no day without')
  expect(rainYearText(rainYear(q))).toMatch(/days without, \d+ of them in July/)
})
