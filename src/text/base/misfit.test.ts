import { expect, test } from 'vitest'
import { z } from 'zod/mini'
import { misfitIn } from '@/model/garden/schemas/misfit'
import { misfitText } from './misfit'
import { refusalText } from './refusals'

const schema = z.object({
  parts: z.int().check(z.minimum(1), z.maximum(99)),
  litres: z.number().check(z.gt(0), z.lt(500)),
  name: z.string().check(z.maxLength(5)),
  kind: z.enum(['pot', 'bed']),
  isFull: z.boolean(),
  madeOn: z.iso.date(),
  layers: z.array(z.object({ depth: z.number() })).check(z.minLength(1), z.maxLength(2)),
})
const good = {
  parts: 3,
  litres: 20,
  name: 'Tubs',
  kind: 'pot',
  isFull: true,
  madeOn: '2026-05-01',
  layers: [{ depth: 4 }],
}
/** What is said of a record in which some fields are otherwise: where, and what. */
const said = (change: object) => {
  const given = { ...good, ...change }
  const read = schema.safeParse(given)
  if (read.success) return null
  const { path, misfit } = misfitIn(given, read.error.issues)
  return `${path.join('.')}: ${misfitText(misfit)}`
}

test('what does not fit is named by its place and in words of our own', () => {
  expect(said({})).toBeNull()
  for (const [change, sentence] of [
    [{ parts: 0 }, 'parts: it is less than 1'],
    [{ parts: 100 }, 'parts: it is more than 99'],
    [{ parts: 1.5 }, 'parts: it is not a whole number'],
    [{ parts: '3' }, 'parts: it is not a number'],
    [{ parts: undefined }, 'parts: it is missing'],
    // A limit that is itself refused: nothing is less than itself.
    [{ litres: 0 }, 'litres: it must be more than 0'],
    [{ litres: 500 }, 'litres: it must be less than 500'],
    [{ name: 'Blueberries' }, 'name: it has more than 5 letters'],
    [{ name: 5 }, 'name: it is not a text'],
    [{ kind: 'jug' }, 'kind: it must be “pot” or “bed”'],
    [{ isFull: 'yes' }, 'isFull: it must be true or false'],
    [{ madeOn: '2026-02-30' }, 'madeOn: it is not a day of the calendar'],
    [{ layers: [] }, 'layers: it has fewer than 1 item'],
    [{ layers: [{ depth: 1 }, { depth: 2 }, { depth: 3 }] }, 'layers: it has more than 2 items'],
    [{ layers: {} }, 'layers: it is not a list'],
    [{ layers: [{}] }, 'layers.0.depth: it is missing'],
    [{ layers: ['sand'] }, 'layers.0: it is not a record'],
  ] as const)
    expect(said(change), JSON.stringify(change)).toBe(sentence)
})
test('a grower reads it of the field as it is called on the page', () => {
  const of = (problem: Parameters<typeof refusalText>[0]['problem'], field = 'stock') =>
    refusalText({ key: 'shelf/peat', path: [field], problem }).why
  const number = { code: 'too-little', of: 'number', limit: 0 } as const
  expect(of({ ...number, isOpen: false })).toBe('The stock is less than 0.')
  expect(of({ ...number, isOpen: true })).toBe('The stock must be more than 0.')
  expect(of({ ...number, code: 'too-much', limit: 9, isOpen: true })).toBe('The stock must be less than 9.')
  expect(of({ code: 'not-whole' }, 'twelfths')).toBe('The number of parts is not a whole number.')
  expect(of({ code: 'missing' }, 'madeOn')).toBe('The day it was mixed is missing.')
})
