import { expect, test } from 'vitest'
import { TOPICS } from '@/core/appraisal'
import { TOPIC_TEXTS } from './topics'

test('every topic has one short sentence of its own', () => {
  const texts = Object.values(TOPIC_TEXTS)
  expect(Object.keys(TOPIC_TEXTS).sort()).toEqual(Object.keys(TOPICS).sort())
  expect(new Set(texts).size).toBe(texts.length)
  for (const text of texts) {
    expect(text).toMatch(/^[A-Z].*[^.]\.$/)
    expect(text.length).toBeLessThanOrEqual(110)
  }
})
