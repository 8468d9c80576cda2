import { expect, test } from 'vitest'
import { TOPICS } from '@/core/appraisal'
import { TOPIC_TEXTS, verdictText } from './topics'

test('every topic has one short sentence of its own', () => {
  const texts = Object.values(TOPIC_TEXTS)
  expect(Object.keys(TOPIC_TEXTS).sort()).toEqual(Object.keys(TOPICS).sort())
  expect(new Set(texts).size).toBe(texts.length)
  for (const text of texts) {
    expect(text).toMatch(/^[A-Z].*[^.]\.$/)
    expect(text.length).toBeLessThanOrEqual(110)
  }
})

test('the verdict is the gravest finding; good only where nothing is to be watched and every gauge is within', () => {
  const within = { air: 'good', pH: 'good', weight: 'plain' } as never
  const off = { air: 'good', pH: 'high' } as never
  const note = { topic: 'dust', severity: 'note' } as const
  expect(verdictText([{ topic: 'salts-high', severity: 'grave' }, note], within, 'Tomato')).toEqual({
    severity: 'grave',
    text: TOPIC_TEXTS['salts-high'],
  })
  expect(verdictText([note], within, 'Tomato').text).toBe('Good for tomato here.')
  expect(verdictText([], within, null).text).toBe('Good here.')
  expect(verdictText([note], off, 'Tomato').text).toBe(
    'It will do for tomato here; one figure is outside what is wanted.',
  )
  const two = { air: 'low', pH: 'high', weight: 'plain' } as never
  expect(verdictText([], two, null).text).toBe('It will do here; 2 figures are outside what is wanted.')
})
