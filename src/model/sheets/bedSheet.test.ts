import { describe, expect, test } from 'vitest'
import { sheetProblemText } from '@/text/base/fields'
import { bedsFromText, bedsToCsv, SHEET_COLUMNS, type SheetProblem } from './bedSheet'
import { FIRMNESSES } from '@/core/filling'
import { bedSchema, STANDINGS, VESSEL_KINDS, type Bed } from '@/model/garden/schemas'
import { startingBed } from '@/model/garden/starting'

const NOW = '2026-03-01T09:00:00.000Z'
const read = (text: string, units: 'metric' | 'us' = 'metric') => {
  let n = 0
  return bedsFromText(text, units, { newId: () => `b${++n}`, createdAt: NOW })
}
const whyOf = ({ why }: SheetProblem) =>
  'problem' in why ? why.problem.code : 'refusal' in why ? why.refusal.problem.code : why.column
/** Everything a sheet carries, under names that a spreadsheet or a careless reader would change. */
const NAMES = [' Bed, "one" ', '=2+3', "'=2+3", '+49', '-', '@home', 'two\nlines', "'quoted'"]
const all: Bed[] = VESSEL_KINDS.map((kind, i) => ({
  ...startingBed(`b${i + 1}`, NOW, kind),
  name: NAMES[i % NAMES.length]!,
  rootBalls: i * 1.5,
  carried: i % 2 === 0,
  layers: [
    { kind: 'gravel', thickness: 3.3 },
    { kind: 'cloth', thickness: 0 },
    { kind: 'material', materialId: 'expanded_clay', thickness: 2.5 },
  ],
  cover: i % 2 === 0 ? { materialId: 'bark_mulch_shredded', thickness: 4 } : null,
  firmness: FIRMNESSES[i % 3]!,
  standing: STANDINGS[i % STANDINGS.length]!,
}))

describe('a sheet of beds', () => {
  test.each(['metric', 'us'] as const)('goes out and comes back the same, %s', (units) => {
    const { beds, problems } = read(bedsToCsv(all, units), units)
    expect(problems).toEqual([])
    beds.forEach((bed, i) => {
      expect(bedSchema.parse(bed)).toEqual(bed)
      expect(bed).toEqual(all[i])
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
  test('takes a layer or cover by the name of its material, and says what it wants where there is none such', () => {
    const { beds } = read('name,layers,cover\nA,gravel 3; Expanded clay 2,Bark mulch 4')
    expect(beds).toEqual([])
    const { beds: named } = read(
      'name,layers,cover,filling\nA,gravel 3; expanded_clay 2,bark_mulch_shredded 4,pressed',
    )
    expect(named[0]).toMatchObject({
      layers: [
        { kind: 'gravel', thickness: 3 },
        { kind: 'material', materialId: 'expanded_clay', thickness: 2 },
      ],
      cover: { materialId: 'bark_mulch_shredded', thickness: 4 },
      firmness: 'pressed',
    })
    for (const [column, cell] of [
      ['layers', 'marble 3'],
      ['cover', 'gravel 3'],
      ['cover', 'bark_mulch_shredded'],
      ['filling', 'stamped'],
    ] as const)
      expect(whyOf(read(`name,${column}\nA,${cell}`).problems[0]!), cell).toBe(column)
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
    const told = problems.map((p) => [p.row, whyOf(p)])
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
  test('cells beyond the last column, too many rows and unclear thousands are reported', () => {
    expect(read('name,length\nPot,30,7').problems.map(whyOf)).toEqual(['surplus'])
    expect(read('name;length\nPot;1,200').problems.map(whyOf)).toEqual(['length'])
    expect(read('name;length\nPot;1,200').problems[0]!.why).toMatchObject({
      wanted: 'a number that can be read in one way, not 1200 or 1.2',
    })
    const long = read(`name\n${'Pot\n'.repeat(50_000)}`)
    expect([long.beds.length, long.problems.map(whyOf)]).toEqual([0, ['rows']])
    expect(sheetProblemText(long.problems[0]!, 'metric')).toBe(
      'Too many rows: 500 rows at the most at once. Split the sheet.',
    )
  })
  test('what a record could not hold is reported in its row', () => {
    const corners = Array.from({ length: 201 }, (_, i) => `${i},${i * i}`).join(' ')
    const { beds, problems } = read(
      `name\tshape\tcorners\n${'x'.repeat(121)}\tpot\t\nOdd\tfree bed\t${corners}`,
    )
    expect(beds).toEqual([])
    expect(problems.map((p) => sheetProblemText(p, 'metric'))).toEqual([
      expect.stringContaining('longer than 120 letters'),
      expect.stringContaining('Row 3 (Odd): The outline is full: 200 are the most.'),
    ])
  })
  test('formulas are guarded on the way out, and the file says that it is UTF-8', () => {
    const csv = bedsToCsv(all, 'metric')
    expect(csv.startsWith('\uFEFF')).toBe(true)
    for (const guarded of ["'=2+3", "''=2+3", "'+49", "'@home"]) expect(csv).toContain(`"${guarded}"`)
  })
  test('a heading that is none is reported with the columns there are', () => {
    expect(read('name,colour\nx,blue').problems[0]!.why).toMatchObject({ column: 'stranger', text: 'colour' })
    for (const text of ['30,28', '']) {
      const { beds, problems } = read(text)
      expect(beds).toEqual([])
      expect(problems[0]!.why).toMatchObject({ column: 'heading', wanted: SHEET_COLUMNS.join(', ') })
    }
  })
})
