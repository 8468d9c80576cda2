import { describe, expect, test } from 'vitest'
import { METAL_STEPS, METALS, PUBLISHED_LIMITS, readMetals } from '.'

describe('metals', () => {
  test('care begins above its step and not on it, and so does stop', () => {
    for (const metal of METALS) {
      const { care, stop } = METAL_STEPS[metal]
      const at = (value: number) => readMetals({ [metal]: value }, 'soil')[0]!.grade
      expect([care, care * 1.001, stop, stop * 1.001].map(at), metal).toEqual([
        'fine',
        'care',
        'care',
        'stop',
      ])
    }
  })
  test('no published limit for soil lies below where care begins by more than rounding, but those of farm land', () => {
    for (const { metal, of, value, name } of PUBLISHED_LIMITS)
      if (of === 'soil' && !name.includes('farm'))
        expect(value, `${metal} ${name}`).toBeGreaterThanOrEqual(METAL_STEPS[metal].care)
  })
  test('what is passed and what is kept make up all limits of its kind', () => {
    const [lead] = readMetals({ lead: 120 }, 'soil')
    expect(lead!.passes.map((l) => l.value)).toEqual([70, 80, 80])
    expect(lead!.keeps.every((l) => l.value >= 120)).toBe(true)
    expect(lead!.passes.length + lead!.keeps.length).toBe(
      PUBLISHED_LIMITS.filter((l) => l.metal === 'lead' && l.of === 'soil').length,
    )
    // Compost is held to limits of compost: 120 keeps what the EU allows in soil improvers, to the milligram.
    expect(readMetals({ lead: 120 }, 'compost')[0]!.passes).toEqual([])
    expect(readMetals({ lead: 121 }, 'compost')[0]!.passes.map((l) => l.name)).toEqual([
      'EU 2019/1009, soil improver',
    ])
  })
  test('whatever order they are tested in, the gravest comes first, and of two alike the one farther over', () => {
    for (const a of METALS)
      for (const b of METALS)
        for (const c of METALS) {
          if (new Set([a, b, c]).size < 3) continue
          const found = readMetals(
            { [a]: METAL_STEPS[a].care, [b]: METAL_STEPS[b].stop * 3, [c]: METAL_STEPS[c].stop * 2 },
            'soil',
          )
          expect(found.map((r) => r.metal)).toEqual([b, c, a])
        }
  })
  test('the gravest comes first, and what was not tested is left out', () => {
    expect(readMetals({ copper: 10, lead: 500, cadmium: 2 }, 'soil').map((r) => [r.metal, r.grade])).toEqual([
      ['lead', 'stop'],
      ['cadmium', 'care'],
      ['copper', 'fine'],
    ])
    expect(readMetals({}, 'soil')).toEqual([])
  })
  test('every limit has a name and a year that can be looked up', () => {
    for (const { name, year, value } of PUBLISHED_LIMITS) {
      expect(name).not.toBe('')
      expect(year).toBeGreaterThan(1980)
      expect(value).toBeGreaterThan(0)
    }
  })
})
