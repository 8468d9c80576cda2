import { describe, expect, test } from 'vitest'
import { CROPS, cropById } from '../data'
import { outsideCheck } from '../testing/outsideCheck'
import { inRootRoom, sizeInRoom } from '.'

describe('plants in little root room (S13)', () => {
  const kiwi = cropById('kiwi')!
  outsideCheck({
    module: 'climate',
    what: 'growth when the pot is twice as large',
    source: 'Poorter et al. 2012, Funct. Plant Biol. 39:839-850 (from memory)',
    basis: 'published',
    unit: 'times',
    expected: 1.43,
    tolerance: 0.01,
    usedToSet: 'size by root room',
    computed: () => sizeInRoom(kiwi, 20) / sizeInRoom(kiwi, 10),
  })
  test('with the room of its row every crop is full grown, and no more with more', () => {
    for (const crop of CROPS) {
      const { value } = crop.properties.minRootVolume
      expect(sizeInRoom(crop, value)).toBe(1)
      expect(inRootRoom(crop, 3 * value)).toBe(crop)
    }
  })
  test('leaf, nitrogen and height shrink together, height by the root of the leaf', () => {
    const small = inRootRoom(kiwi, 15).properties
    const size = sizeInRoom(kiwi, 15)
    expect(size).toBeLessThan(0.6)
    expect(small.canopyArea.value / kiwi.properties.canopyArea.value).toBeCloseTo(size, 12)
    expect(small.seasonNitrogen.high / kiwi.properties.seasonNitrogen.high).toBeCloseTo(size, 12)
    expect(small.canopyHeight.value / kiwi.properties.canopyHeight.value).toBeCloseTo(Math.sqrt(size), 12)
    expect(small.minRootVolume).toBe(kiwi.properties.minRootVolume)
  })
})
