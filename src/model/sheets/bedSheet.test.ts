import { describe, expect, test } from 'vitest'
import { bedsFromText, bedsToCsv, SHEET_COLUMNS } from './bedSheet'
import { bedSchema, VESSEL_KINDS, type Bed } from '@/model/garden/schemas'
import { startingBed } from '@/model/garden/starting'

const NOW = '2026-03-01T09:00:00.000Z'
const read = (text: string, units: 'metric' | 'us' = 'metric') => {
  let n = 0
  return bedsFromText(text, units, () => `b${++n}`, NOW)
}
/** Everything a sheet carries; layers are not among it. */
const all: Bed[] = VESSEL_KINDS.map((kind, i) => ({
  ...startingBed(`b${i + 1}`, NOW, kind),
  name: `Bed, "${kind}"`,
  rootBalls: i,
}))

describe('a sheet of beds', () => {
  test.each(['metric', 'us'] as const)('goes out and comes back the same, %s', (units) => {
    const { beds, problems } = read(bedsToCsv(all, units), units)
    expect(problems).toEqual([])
    beds.forEach((bed, i) => {
      expect(bedSchema.parse(bed)).toEqual(bed)
      // Three decimals of the grower's unit are kept.
      const [out, back] = [all[i]!, bed].map((b) =>
        JSON.stringify(b, (_k, v) => (typeof v === 'number' ? Math.round(v * 100) / 100 : v)),
      )
      expect(back).toBe(out)
    })
    expect(beds).toHaveLength(VESSEL_KINDS.length)
  })
  test('takes forty rows pasted from a spreadsheet, words for shapes, and usual values for what is left out', () => {
    const rows = Array.from({ length: 40 }, (_, i) => `Pot ${i + 1}\tpot\t${i + 1}\t${20 + i}\t${18 + i}`)
    const { beds, problems } = read(['name\tshape\tcount\tlength\theight', ...rows].join('\n'))
    expect(problems).toEqual([])
    expect(beds).toHaveLength(40)
    expect(beds[39]).toMatchObject({
      name: 'Pot 40',
      vessel: {
        kind: 'roundPot',
        count: 40,
        headspace: 3,
        shape: { topDiameter: 59, baseDiameter: 59, height: 57 },
      },
    })
    expect(new Set(beds.map((b) => b.id)).size).toBe(40)
  })
  test('reads decimal commas and semicolons, and any case in headings', () => {
    const { beds } = read('Name;Shape;Length;Height\nSalad;Trough;80,5;20')
    expect(beds[0]!.vessel.shape).toMatchObject({ kind: 'box', topLength: 80.5, height: 20 })
  })
  test('says which row, which column and what was wanted; the others stand', () => {
    const { beds, problems } = read(
      [
        'name,shape,count,length,height,lip,water leaves,corners',
        'good,pot,1,30,28,3,,',
        'text,pot,1,wide,28,3,,',
        'shapeless,cube,1,30,28,3,,',
        'negative,pot,1,-30,28,3,,',
        'deep,pot,1,30,1000,3,,',
        'full of lip,pot,1,30,28,30,,',
        'half,pot,0.5,30,28,3,,',
        'leaky,pot,1,30,28,3,tap,',
        'crossed,free bed,1,,30,3,,"0,0 100,100 100,0 0,100"',
        'odd,free bed,1,,30,3,,"0,0 100"',
      ].join('\n'),
    )
    expect(beds.map((b) => b.name)).toEqual(['good'])
    const told = problems.map((p) => [p.row, 'problem' in p.why ? p.why.problem.code : p.why.column])
    expect(told).toEqual([
      [3, 'length'],
      [4, 'shape'],
      [5, 'size-not-positive'],
      [6, 'size-too-large'],
      [7, 'headspace-fills-container'],
      [8, 'count-not-whole'],
      [9, 'water leaves'],
      [10, 'outline-crosses-itself'],
      [11, 'corners'],
    ])
  })
  test('a heading that is none is reported with the columns there are', () => {
    for (const text of ['30,28', 'name,colour\nx,blue', '']) {
      const { beds, problems } = read(text)
      expect(beds).toEqual([])
      expect(problems[0]!.why).toMatchObject({ column: 'heading', wanted: SHEET_COLUMNS.join(', ') })
    }
  })
})
