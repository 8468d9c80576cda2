import { expect, test } from 'vitest'
import { TOPICS, type Finding, type Topic } from '@/core/appraisal'
import { verdictFrom } from '@/model/mix/verdict'
import { alsoText, TOPIC_TEXTS, verdictText } from './topics'

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
  const says = (findings: Finding[], verdicts: never, crop: string | null) =>
    verdictText(verdictFrom(findings, verdicts), crop)
  expect(verdictFrom([{ topic: 'salts-high', severity: 'grave' }, note], within)).toEqual({
    first: { topic: 'salts-high', severity: 'grave' },
    off: 0,
  })
  expect(says([{ topic: 'salts-high', severity: 'grave' }, note], within, 'Tomato')).toBe(
    TOPIC_TEXTS['salts-high'],
  )
  expect(says([note], within, 'Tomato')).toBe('Good for tomato here.')
  expect(says([], within, null)).toBe('Good here.')
  expect(says([note], off, 'Tomato')).toBe(
    'It will do for tomato here; one figure is outside what is wanted.',
  )
  const two = { air: 'low', pH: 'high', weight: 'plain' } as never
  expect(says([], two, null)).toBe('It will do here; 2 figures are outside what is wanted.')
})

test('what else there is comes in a few words: neither the first nor notes, three at the most', () => {
  const say = (topic: Topic, severity: Finding['severity'] = 'watch'): Finding => ({ topic, severity })
  expect(alsoText([say('ph-low'), say('air-low'), say('dust', 'note'), say('slumps')])).toBe(
    'too little air, sinks in time',
  )
  expect(alsoText([say('ph-low')])).toBe('')
  expect(alsoText([say('ph-low'), say('air-low'), say('slumps'), say('drawdown'), say('ph-high')])).toBe(
    'too little air, sinks in time, wood takes up nitrogen',
  )
})
