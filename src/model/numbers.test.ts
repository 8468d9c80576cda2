import { describe, expect, test } from 'vitest'
import { readNumber } from './numbers'

describe('a number as people write it', () => {
  // What each means is common practice; thousands and decimals as in English and continental books.
  const READS: [string, ReturnType<typeof readNumber>][] = [
    ['12', 12],
    [' 12.5 ', 12.5],
    ['12,5', 12.5],
    ['.5', 0.5],
    ['.25', 0.25],
    ['5.', 5],
    ['1e3', 1000],
    ['1e+3', 1000],
    ['2.5e-3', 0.0025],
    ['1e12', 1e12],
    ['1,234.5', 1234.5],
    ['1.234,5', 1234.5],
    ['1,234,567', 1_234_567],
    ['123,456,789.125', 123_456_789.125],
    // Groups of other than three, a group before which nothing may be, and letters are no number.
    ['1,2345,678', null],
    ['a1,234,567', null],
    ['1,234,567b', null],
    ['1a,234,567', null],
    ['0,234,567', null],
    ['1.234.567,8', 1_234_567.8],
    ['1234.567,8', null],
    ['1.23,5', null],
    ['1.234,', null],
    ['12.345.678,25', 12_345_678.25],
    ['1,200', { either: [1200, 1.2] }],
    ['-1,200', { either: [-1200, -1.2] }],
    ['0,125', 0.125],
    ['½', 0.5],
    ['1½', 1.5],
    ['12 ¾', 12.75],
    ['2⅛', 2.125],
    ['1/4', 0.25],
    ['10/4', 2.5],
    ['1 1/2', 1.5],
    ['2 10/4', 4.5],
    // Eleven halves, or one and a half written close; 12/2 is six, for two halves are none.
    ['11/2', { either: [5.5, 1.5] }],
    ['12/2', 6],
    ['10/2', 5],
    ['13/2', 6.5],
    ['+3', 3],
    ['-3', -3],
    ['− 3', -3],
  ]
  test.each(READS)('“%s”', (text, number) => expect(readNumber(text)).toEqual(number))
  test.each([
    // Four figures before the sign, or other than three after it, are no thousands.
    ['1234.567', 1234.567],
    ['1.2345', 1.2345],
    ['12.345', { either: [12_345, 12.345] }],
    ['1,200', 1.2],
  ] as const)('“%s” where fractions are written with a comma', (text, number) =>
    expect(readNumber(text, 'comma')).toEqual(number),
  )
  test('“12,345” where they are written with a point is twelve thousand', () =>
    expect(readNumber('12,345', 'point')).toBe(12_345))
  test.each([
    '',
    'twelve',
    '1 200',
    '1.2.3',
    '1,2,3',
    'x12',
    '12x',
    'a.5',
    '5e',
    '5e1.5',
    '1/0',
    '1//2',
    'about 1½',
    '1½ cups',
    '1/½',
    '1-2',
    '--1',
    '1e999',
    'Infinity',
  ])('“%s” is none', (text) => expect(readNumber(text)).toBeNull())
})
