import { describe, expect, test } from 'vitest'
import { outsideCheck } from '../testing/outsideCheck'
import { PREP_STEPS, prepLead, prepStep, stepsFor, type PrepStep } from '.'

describe('getting ready', () => {
  test('goes on slower below freezing too, unless it is kept from it: three halves of Q10 for fifteen degrees', () => {
    const open: PrepStep = { ...prepStep('biochar_charge_compost')!, q10: 2, coldest: null }
    const at = (step: PrepStep, temperature: number) => prepLead(step, temperature).value
    expect(at(open, -10) / at(open, 5)).toBeCloseTo(2 ** 1.5, 9)
    expect(at({ ...open, coldest: 5 }, -10)).toBe(at({ ...open, coldest: 5 }, 5))
  })
  const lead = (id: string, temperature: number) => prepLead(prepStep(id)!, temperature).value
  const checks: [
    string,
    string,
    'common practice' | 'published' | 'from memory',
    { low: number; high: number },
    () => number,
  ][] = [
    [
      'charging biochar with compost in the warm, days',
      'common practice: about two weeks',
      'common practice',
      { low: 10, high: 18 },
      () => lead('biochar_charge_compost', 20),
    ],
    [
      'the same at 10 C, days',
      'common practice: twice as long in the cold',
      'common practice',
      { low: 20, high: 36 },
      () => lead('biochar_charge_compost', 10),
    ],
    [
      'sulfur at 20 C, days',
      'Janzen & Bettany 1987, Soil Sci. 144:81-89 (from memory): weeks to months by fineness',
      'from memory',
      { low: 30, high: 90 },
      () => lead('sulfur_react', 20),
    ],
    [
      'a mix with meals at 12 C, days',
      'Hartz & Johnstone 2006, HortTechnology 16:39-42 (from memory): about three weeks',
      'from memory',
      { low: 15, high: 28 },
      () => lead('meal_rest', 12),
    ],
    [
      'soaking peat, hours',
      'common practice: overnight',
      'common practice',
      { low: 6, high: 24 },
      () => 24 * lead('peat_soak', 15),
    ],
    [
      'swelling a coir block, hours',
      'common practice: an hour to a few',
      'common practice',
      { low: 1, high: 4 },
      () => 24 * lead('coir_swell', 15),
    ],
    [
      'lost on screening compost at 6 mm, share',
      'common practice: 5 to 10 % of screened compost, more of home heaps',
      'common practice',
      { low: 0.05, high: 0.2 },
      () => prepStep('compost_screen_6')!.loss!.value,
    ],
  ]
  for (const [what, source, basis, expected, computed] of checks)
    outsideCheck({
      module: 'preparing',
      what,
      source,
      basis,
      unit: what.split(', ').at(-1)!,
      expected,
      tolerance: 0,
      computed,
    })

  test('soil is heated as the California manual has it: 71 and 82 C for half an hour (Baker 1957)', () => {
    for (const [id, heat] of [
      ['soil_pasteurise_71', '[71 °C|160 °F]'],
      ['soil_pasteurise_82', '[82 °C|180 °F]'],
    ] as const) {
      const step = prepStep(id)!
      expect(step.title).toContain(heat)
      expect(step.title).toContain('30 minutes')
      expect(step.source).toBe('baker-1957')
    }
  })
  test('raw manure waits 90 and 120 days before harvest (US 7 CFR 205.203(c))', () => {
    expect(prepStep('manure_age')!.how).toMatch(
      /120 days before harvest where food touches soil, 90 where not/,
    )
  })
  test('too cold, it stalls and takes no longer than at its coldest', () => {
    const sulfur = prepStep('sulfur_react')!
    expect(prepLead(sulfur, 2)).toEqual({ ...prepLead(sulfur, 5), stalls: true })
    expect(prepLead(sulfur, 5).stalls).toBe(false)
    expect(prepLead(sulfur, 12).value).toBeGreaterThan(prepLead(sulfur, 18).value)
    for (const step of PREP_STEPS) {
      const { low, value, high } = prepLead(step, 11)
      expect(low, step.id).toBeLessThanOrEqual(value)
      expect(value, step.id).toBeLessThanOrEqual(high)
    }
  })
  test('come in their order, and only for the pack they are for', () => {
    expect(stepsFor('coir_pith', 'block').map((s) => s.id)).toEqual([
      'coir_swell',
      'coir_wash',
      'coir_buffer',
    ])
    expect(stepsFor('coir_pith', 'loose').map((s) => s.id)).toEqual(['coir_wash', 'coir_buffer'])
    expect(stepsFor('no such thing')).toEqual([])
  })
})

describe('how long it takes', () => {
  const step = {
    ...prepStep('biochar_charge_compost')!,
    lead: { low: 10, value: 14, high: 21 },
    q10: 2,
  } as PrepStep
  test('ten degrees colder take Q10 times as long, at both ends', () => {
    const cold = prepLead({ ...step, coldest: null } as PrepStep, 10)
    expect(cold).toMatchObject({ low: 20, value: 28, high: 42, stalls: false })
    expect(prepLead({ ...step, coldest: null } as PrepStep, 20)).toMatchObject({
      low: 10,
      value: 14,
      high: 21,
    })
  })
  test('below its coldest it stalls and counts no longer; a step without one never does', () => {
    const from5 = { ...step, coldest: 5 } as PrepStep
    expect(prepLead(from5, 0)).toEqual({ ...prepLead(from5, 5), stalls: true })
    expect(prepLead(from5, 5).stalls).toBe(false)
    expect(prepLead({ ...step, coldest: null } as PrepStep, -10).stalls).toBe(false)
    expect(prepLead({ ...step, coldest: null } as PrepStep, 0).value).toBeCloseTo(56, 9)
  })
  test('steps of a material come in the order they are done', () => {
    for (const id of new Set(PREP_STEPS.flatMap((s) => s.appliesTo))) {
      const orders = stepsFor(id).map((s) => s.order)
      expect(orders, id).toEqual([...orders].sort((a, b) => a - b))
    }
    expect(stepsFor('coir_pith', 'block').length).toBeGreaterThan(stepsFor('coir_pith', 'loose').length)
  })
})
