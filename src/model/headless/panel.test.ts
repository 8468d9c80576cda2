import { describe, expect, test } from 'vitest'
import { SEVERITIES, TOPICS, type Finding } from '@/core/appraisal'
import { LIMES } from '@/core/data'
import { runCase } from './run'
import panel from './testing/panel.json'

/**
 * Fifty situations with what an adviser says first, mentions, and never says (one expert's memory, confidence beside
 * each). Counted are those met in full; floors keep what is reached.
 */
interface Situation {
  id: string
  case: object
  extra: object
  expect: { first: string[]; mention: string[]; never: string[]; fine?: boolean }
  offers: { never: string[]; good: string[] }
  figures: Record<string, [number, number]>
}
/** Sulfurs, and sulfates that acidify. */
const SULFURS = new Set(['sulfur_elemental', 'sulfur_prilled', 'iron_sulfate', 'aluminium_sulfate'])
const PANEL = panel as unknown as Situation[]
interface Answer {
  appraisal: Finding[]
  offers: { changes: string[] }[]
  figures: Record<string, number>
  salts: { mix: { electricalConductivity: { saturatedExtract: number } } }
  growing: { watering: { use: { value: number }; days: { value: number } }[] } | null
}
const answerOf = ({ case: asked, extra }: Situation): Answer => {
  const answer = runCase('evaluate', { ...asked, situation: extra, offers: true })
  if (!answer.ok) throw new Error(JSON.stringify(answer))
  return answer.value as Answer
}
const ANSWERS = PANEL.map((asked) => ({ asked, answer: answerOf(asked) }))
const misses = (of: (asked: Situation, answer: Answer) => string[]) =>
  ANSWERS.flatMap(({ asked, answer }) => of(asked, answer).map((miss) => `${asked.id}: ${miss}`))
const isHeavy = (f: Finding) => f.severity !== 'note'

describe('fifty situations an adviser has judged', () => {
  test('what is said first is right in at least 95 %', () => {
    const wrong = misses(({ expect: { first } }, { appraisal }) =>
      first.length === 0 || first.includes(appraisal[0]?.topic ?? '')
        ? []
        : [appraisal[0]?.topic ?? 'nothing'],
    )
    expect(wrong.length, wrong.join('\n')).toBeLessThanOrEqual(0.05 * PANEL.length)
  })
  test('nothing that must never be said is grave or to be watched', () => {
    expect(
      misses(({ expect: { never } }, { appraisal }) =>
        appraisal.filter((f) => isHeavy(f) && never.includes(f.topic)).map((f) => f.topic),
      ),
    ).toEqual([])
  })
  test('a case that is fine has nothing grave', () => {
    expect(
      misses(({ expect: { fine } }, { appraisal }) =>
        fine ? appraisal.filter((f) => f.severity === 'grave').map((f) => f.topic) : [],
      ),
    ).toEqual([])
  })
  test('what must be mentioned is, but for one', () => {
    expect(
      misses(({ expect: { mention } }, { appraisal }) =>
        mention.filter((topic) => !appraisal.some((f) => f.topic === topic)),
      ),
      // At pH 7.3 with a trace feed the app has enough in reach.
    ).toEqual(['lime-twelve-grams: traces-short'])
  })
  test('none of the first three offers brings in what may never be offered', () => {
    const forbidden = (never: string[], change: string) => {
      const id = change.replace(/^more:/, '')
      if (change.startsWith('less:') || change === 'lime-less') return false
      const isLime = id === 'lime' || LIMES.some((l) => l.id === id)
      return (
        never.includes(id) ||
        (never.includes('lime') && isLime) ||
        (never.includes('sulfur') && SULFURS.has(id))
      )
    }
    expect(
      misses(({ offers: { never } }, { offers }) =>
        offers.flatMap((o) => o.changes.filter((change) => forbidden(never, change))),
      ),
    ).toEqual([])
  })
  test('a mix with nothing to watch gets no offers, and never more than three', () => {
    for (const { answer } of ANSWERS) {
      expect(answer.offers.length).toBeLessThanOrEqual(3)
      if (!answer.appraisal.some(isHeavy)) expect(answer.offers).toEqual([])
    }
  })
  test('in most cases a change or a remedy is one that a good adviser names', () => {
    const without = misses(({ offers: { good } }, { offers, appraisal }) => {
      const heavy = appraisal.filter(isHeavy)
      const said = [...offers.flatMap((o) => o.changes), ...heavy.flatMap((f) => f.remedies ?? [])]
      return (said.length === 0 && good.includes('none')) || said.some((s) => good.includes(s))
        ? []
        : ['none']
    })
    expect(without.length, without.join('\n')).toBeLessThanOrEqual(0.2 * PANEL.length)
  })
  test('its figures lie within an adviser’s bounds', () => {
    const thirstiest = ({ growing }: Answer) =>
      growing && growing.watering.length > 0
        ? growing.watering.reduce((a, b) => (b.use.value > a.use.value ? b : a)).days.value
        : undefined
    const READ: Record<string, (a: Answer) => number | undefined> = {
      airInContainer: (a) => a.figures.airFilledPorosity,
      containerCapacity: (a) => a.figures.containerCapacity,
      easyWater: (a) => a.figures.easilyAvailableWater,
      pHAtSixWeeks: (a) => a.figures.pH,
      pHAtSeasonEnd: (a) => a.figures.pHAtSeasonsEnd,
      ec: (a) => a.salts.mix.electricalConductivity.saturatedExtract,
      daysBetweenWaterings: thirstiest,
      weightWet: (a) => a.figures.drainedWeight,
    }
    const outside = misses(({ figures }, answer) =>
      Object.entries(figures).flatMap(([name, [low, high]]) => {
        const value = READ[name]?.(answer)
        return value === undefined || (value >= low && value <= high)
          ? []
          : [`${name} ${value.toFixed(2)} not in ${low} to ${high}`]
      }),
    )
    // A reservoir under side holes is not counted in the days; the ash comes within the rounding of its bound.
    expect(outside).toEqual([
      'fine-wicking-bed: daysBetweenWaterings 3.53 not in 4 to 30',
      'ash-twenty-grams: pHAtSixWeeks 6.88 not in 6.9 to 9.2',
    ])
  })
})
test('the list of topics is closed, and every finding is one of them', () => {
  expect(Object.keys(TOPICS)).toHaveLength(55)
  for (const { answer } of ANSWERS)
    for (const f of answer.appraisal) expect(Object.keys(TOPICS)).toContain(f.topic)
})
test('the gravest comes first, each topic once; of two as grave harm to people comes first', () => {
  for (const { asked, answer } of ANSWERS) {
    const ranks = answer.appraisal.map((f) => SEVERITIES.indexOf(f.severity))
    expect(ranks, asked.id).toEqual([...ranks].sort())
    expect(new Set(answer.appraisal.map((f) => f.topic)).size).toBe(answer.appraisal.length)
  }
  const roof = ANSWERS.find(({ asked }) => asked.id === 'roof-bed-loam')!
  expect(roof.answer.appraisal[0]).toMatchObject({ topic: 'weight-load', severity: 'grave' })
})
