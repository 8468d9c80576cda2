import fc from 'fast-check'
import jsQR from 'jsqr'
import { describe, expect, test } from 'vitest'
import { draws } from '@/core/testing/draws'
import { qrSquares } from './qr'

/** What a camera's program reads of the squares, drawn three points each with the quiet zone a code needs. */
function readBack({ size, path }: { size: number; path: string }): string | null {
  const [scale, quiet] = [3, 4]
  const width = (size + 2 * quiet) * scale
  const picture = new Uint8ClampedArray(width * width * 4).fill(255)
  for (const [, x, y] of path.matchAll(/M(\d+) (\d+)/g))
    for (let dx = 0; dx < scale; dx++)
      for (let dy = 0; dy < scale; dy++) {
        const at = ((Number(y) + quiet) * scale + dy) * width + (Number(x) + quiet) * scale + dx
        picture.fill(0, at * 4, at * 4 + 3)
      }
  return jsQR(picture, width, width)?.data ?? null
}

describe('a code on a label', () => {
  test('another program reads what went in', () => {
    const link = fc.webUrl({ withFragments: true, withQueryParameters: true })
    fc.assert(
      fc.property(link, (text) => {
        expect(readBack(qrSquares(text)!)).toBe(text)
      }),
      draws(50),
    )
    expect(readBack(qrSquares('http://Gärten.example/my#é')!)).toBe('http://Gärten.example/my#é')
  })
  test('what does not fit the largest code is no code: counted in bytes, not letters', () => {
    // 2,953 bytes at the least correction: ISO/IEC 18004, table 7.
    expect(qrSquares('a'.repeat(2953))?.size).toBe(177)
    expect(qrSquares('a'.repeat(2954))).toBeNull()
    expect(qrSquares('é'.repeat(1476))).not.toBeNull()
    expect(qrSquares('é'.repeat(1477))).toBeNull()
  })
})
