import { expect, test } from 'vitest'
import { cropById } from '@/core/data'
import type { Evaluation } from '@/core/evaluate'
import { saltsWhy } from './salts'

const evaluation = (change: object = {}) =>
  ({
    salts: {
      mix: { electricalConductivity: { saturatedExtract: 1 } },
      course: [7, 14, 28, 56].map((day) => ({ day, saturatedExtract: 3.5 })),
    },
    growing: { crop: cropById('tomato_indeterminate') },
    ...change,
  }) as unknown as Evaluation

test('the course of salts stands beside what the crop keeps: nine tenths of a tomato at 3.5 dS/m', () => {
  const [table, limits] = saltsWhy(evaluation())
  // Maas & Hoffman 1977: threshold 2.5, a tenth lost for each dS/m.
  expect(limits).toContain('100 % up to 2.5, 90 % up to 3.5, 75 % up to 5.0 dS/m')
  const { rows } = table as { rows: string[][] }
  expect(rows.map((r) => r[0])).toEqual(['0', '4', '8'])
  expect(rows[0]).toEqual(expect.arrayContaining(['1.0', '100 %']))
  expect(rows[1]!.at(-1)).toBe('90 %')
  // Pour-through reads higher than the saturated extract, 1 : 2 lower.
  expect(Number(rows[1]![2])).toBeGreaterThan(3.5)
  expect(Number(rows[1]![3])).toBeLessThan(3.5)
  expect(saltsWhy(evaluation({ growing: null }))).toEqual([])
})
