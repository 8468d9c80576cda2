import { expect, test } from 'vitest'
import { CAUTION_LIST, ruleOf } from './cautions'

test('a caution is its rule and what follows it, nothing lost; a point inside a name ends no rule', () => {
  expect(CAUTION_LIST.length).toBeGreaterThan(15)
  for (const caution of CAUTION_LIST) {
    const { rule, rest } = ruleOf(caution)
    expect([rule, rest].filter(Boolean).join(' '), caution.id).toBe(caution.text)
    expect(rule, caution.id).toMatch(/[.!?]$/)
  }
  const of = (text: string) => ruleOf({ id: '', title: '', text, ask: '' })
  expect(of('It may carry E. coli: wait. Wear gloves.')).toEqual({
    rule: 'It may carry E. coli: wait.',
    rest: 'Wear gloves.',
  })
})

/** What somebody does, or leaves. */
const DOES =
  /\b(wet|damp|open|take|clean|spread|wear|have|buy|fill|air|weigh|sow|test|goggles|gloves|do not|never|days before|modest doses|get|keep|ask|stand|use)\b/i

test('the rule of each caution says what to do: the rest is one press away', () => {
  for (const caution of CAUTION_LIST) expect(ruleOf(caution).rule, caution.id).toMatch(DOES)
})
