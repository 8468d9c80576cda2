import fc from 'fast-check'
import { expect, test } from 'vitest'
import { draws } from '@/core/testing/draws'
import { fromFragment, toFragment } from './fragment'

test('what goes into a link comes out of it, in letters a link may hold', () => {
  fc.assert(
    fc.property(fc.jsonValue(), (data) => {
      const link = toFragment('mix', data)
      expect(link).toMatch(/^mix=[\w-]+$/)
      expect(fromFragment('mix', `#${link}`)).toEqual({ ok: true, text: JSON.stringify(data) })
    }),
    draws(50),
  )
})
test('a link about something else is none, and one that is cut or spoilt cannot be read', () => {
  const link = toFragment('mix', { parts: ['peat', 'grit'] })
  expect(fromFragment('away', link)).toBeNull()
  expect(fromFragment('mix', '')).toBeNull()
  for (const broken of ['mix=', 'mix=%%%', link.slice(0, -6), 'mix=AAAA'])
    expect(fromFragment('mix', broken), broken).toEqual({ ok: false })
})
test('a megabyte is read and a byte more is not: JSON of a text is two quotes longer', () => {
  const of = (letters: number) => fromFragment('mix', toFragment('mix', 'x'.repeat(letters)))
  expect(of(1_000_000 - 2)).toMatchObject({ ok: true })
  expect(of(1_000_000 - 1)).toEqual({ ok: false })
})
