import { describe, expect, test } from 'vitest'
import type { Finding } from '@/core/appraisal'
import type { WaterAim, WaterTreatment } from '@/core/irrigation'
import { isBetter, rainFirst, worthIn, type TriedWater } from './waterWorth'

const AIM: WaterAim = { low: 0.8, high: 2, act: 3 }
const BAND = { low: 5.5, high: 6.5 }
const fault: Finding = { topic: 'ph-high', severity: 'watch' }
const note: Finding = { topic: 'dust', severity: 'note' }
const water = (change: Partial<TriedWater> = {}): TriedWater => ({
  treatment: { rain: 0, acid: null },
  alkalinity: 4,
  endPH: 7,
  findings: [fault],
  ...change,
})
const rain = (share: number): WaterTreatment => ({ rain: share, acid: null })
const acid = (toPH: number): WaterTreatment => ({ rain: 0, acid: { id: 'sulfuric35', toPH } })

describe('a water that is better than the plain one', () => {
  test('leaves less to be said, however hard it is', () => {
    expect(isBetter(water({ findings: [] }), water(), AIM)).toBe(true)
    expect(isBetter(water({ findings: [] }), water({ alkalinity: 1 }), AIM)).toBe(true)
  })
  test('or as little, where that of the tap is too hard, it suits, and a meter shows it', () => {
    const soft = { alkalinity: 1.5, endPH: 6.9 }
    expect(isBetter(water(soft), water(), AIM)).toBe(true)
    // At the limit nothing has to be done; at the upper end of what suits it suits.
    expect(isBetter(water(soft), water({ alkalinity: 3 }), AIM)).toBe(false)
    expect(isBetter(water({ ...soft, alkalinity: 2 }), water(), AIM)).toBe(true)
    expect(isBetter(water({ ...soft, alkalinity: 2.1 }), water(), AIM)).toBe(false)
    // A twentieth of pH is seen, less is not, up or down.
    expect(isBetter(water({ ...soft, endPH: 6.96 }), water(), AIM)).toBe(false)
    expect(isBetter(water({ ...soft, endPH: 7.06 }), water(), AIM)).toBe(true)
  })
  test('never one of which more is to be said, or anything graver', () => {
    const soft = { alkalinity: 1.5, endPH: 6 }
    expect(isBetter(water({ ...soft, findings: [fault, note, fault] }), water(), AIM)).toBe(false)
    const graver: Finding = { ...fault, topic: 'salts-high' }
    expect(isBetter(water({ ...soft, findings: [graver] }), water(), AIM)).toBe(false)
  })
})

describe('waters in order', () => {
  const first = (...of: TriedWater[]) => [...of].sort(worthIn(BAND, AIM))[0]
  /** Whichever way round they come. */
  const comesFirst = (a: TriedWater, b: TriedWater) => {
    expect(first(a, b)).toBe(a)
    expect(first(b, a)).toBe(a)
  }
  test('least to be said before all else', () =>
    comesFirst(water({ findings: [], alkalinity: 9 }), water({ alkalinity: 1 })))
  test('then the alkalinity nearest to what suits, from above and from below', () => {
    comesFirst(water({ alkalinity: 2.5 }), water({ alkalinity: 4 }))
    comesFirst(water({ alkalinity: 0.7 }), water({ alkalinity: 0.2 }))
    comesFirst(water({ alkalinity: 1 }), water({ alkalinity: 2.2, endPH: 6 }))
  })
  test('then pH nearest to its band, to a tenth', () => {
    const at = (endPH: number, share: number) => water({ alkalinity: 1, endPH, treatment: rain(share) })
    comesFirst(at(6.6, 1), at(7.2, 0.25))
    comesFirst(at(5.4, 1), at(5, 0.25))
    // A hundredth nearer is no nearer: less rain water is less trouble.
    comesFirst(at(6.71, 0.25), at(6.7, 0.5))
  })
  test('then the least rain water, then the mildest acid', () => {
    const same = (treatment: WaterTreatment) => water({ alkalinity: 1, endPH: 6, treatment })
    comesFirst(same(rain(0.25)), same(rain(0.5)))
    comesFirst(same(acid(6.5)), same(acid(5.8)))
    comesFirst(same(acid(5.8)), same(rain(0)))
  })
  test('of two offers the one that leaves less to be said; of equals rain, for nobody burns himself on it', () => {
    const [butt, can] = [water({ treatment: rain(0.5) }), water({ treatment: acid(6) })]
    expect([can, butt].sort(rainFirst)).toEqual([butt, can])
    expect([butt, can].sort(rainFirst)).toEqual([butt, can])
    const better = { ...can, findings: [] }
    expect([butt, better].sort(rainFirst)).toEqual([better, butt])
  })
})
