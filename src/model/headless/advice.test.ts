import { describe, expect, test } from 'vitest'
import type { Finding } from '@/core/appraisal'
import { CLIMATES } from '@/core/climate/climates'
import { runCase } from './run'

/**
 * Situations in which an adviser disagreed with what was said or offered: what comes first, and what is not offered.
 * One adviser's judgement, common practice.
 */
const pot = (topDiameter: number, baseDiameter: number, height: number) => ({
  shape: { kind: 'roundPot', topDiameter, baseDiameter, height },
  headspace: 3,
  base: { kind: 'drainHoles' },
})
const POT = pot(30, 22, 28)
const TUB = pot(50, 40, 45)
const BED = {
  shape: { kind: 'box', topLength: 240, topWidth: 120, baseLength: 240, baseWidth: 120, height: 30 },
  headspace: 4,
  base: { kind: 'onSoil', texture: 'loam' },
}
const { latitude, elevation, months } = CLIMATES.find((c) => c.id === 'cool-coast')!
const climate = { latitude, elevation, months }
/** The same with rain every day of the year. */
const drenched = { ...climate, months: months.map((m) => ({ ...m, rain: 250 })) }

interface Asked {
  mix: Record<string, number>
  container?: object
  crop: string
  plants?: number
  where?: typeof climate
  more?: object
}
function answerOf({ mix, container = POT, crop, plants = 1, where = climate, more = {} }: Asked) {
  const answer = runCase('evaluate', {
    mix: Object.entries(mix).map(([material, parts]) => ({ material, parts })),
    container,
    growing: { crop, plants, climate: where, plantingMonth: 5 },
    offers: true,
    ...more,
  })
  if (!answer.ok) throw new Error(JSON.stringify(answer))
  const { appraisal, offers } = answer.value as { appraisal: Finding[]; offers: { changes: string[] }[] }
  return {
    first: appraisal[0] && `${appraisal[0].topic} ${appraisal[0].severity}`,
    heavy: appraisal.filter((f) => f.severity !== 'note').map((f) => f.topic),
    grave: appraisal.filter((f) => f.severity === 'grave').map((f) => f.topic),
    offers: offers.flatMap((o) => o.changes),
  }
}

describe('an adviser reads what is said and offered', () => {
  test('a bag is limed and fed already: its lime is taken out, and it is hungry later, not from the first day', () => {
    const { heavy, grave, offers } = answerOf({
      mix: { potting_mix_bagged: 4, perlite_coarse: 1 },
      crop: 'tomato_determinate',
      more: { lime: { targetPH: 6.8 } },
    })
    expect(heavy).toContain('lime-already-in-bag')
    expect(grave).toEqual([])
    expect(offers).toContain('lime-less')
  })
  test('loam and compost at pH 7 are left alone: nothing grave, no sulfur, no lime', () => {
    const { grave, offers } = answerOf({
      mix: { soil_loam: 2, compost_green: 1 },
      container: BED,
      crop: 'bean_bush',
      plants: 40,
    })
    expect(grave).toEqual([])
    for (const word of ['sulfur', 'lime']) expect(offers.join()).not.toContain(word)
  })
  test('blueberries: a little below the band is fine; compost and loam cannot be made acid enough', () => {
    const fine = answerOf({
      mix: { peat_medium: 4, pine_bark_fine: 1 },
      container: TUB,
      crop: 'blueberry',
      more: { dressings: [{ dressing: 'crf_8_9', gramsPerLitre: 1.4 }] },
    })
    expect(fine.heavy).not.toContain('ph-low')
    expect(fine.offers).not.toContain('lime')
    const never = answerOf({ mix: { compost_green: 1, soil_loam: 1 }, container: TUB, crop: 'blueberry' })
    expect(never.first).toBe('ph-high grave')
    expect(never.offers.join()).not.toContain('sulfur')
    const little = answerOf({
      mix: { peat_medium: 3, pine_bark_fine: 2, compost_green: 1 },
      container: TUB,
      crop: 'blueberry',
    })
    expect(little.offers).not.toContain('more:compost_green')
  })
  test('lime and sulfur are not dosed against each other', () => {
    const { heavy, offers } = answerOf({
      mix: { peat_medium: 3, pine_bark_fine: 1 },
      container: TUB,
      crop: 'blueberry',
      more: { lime: { targetPH: 4.8 }, dressings: [{ dressing: 'sulfur_elemental', gramsPerLitre: 0.6 }] },
    })
    expect(heavy).toContain('lime-too-much')
    expect(offers.some((o) => o === 'less:sulfur_elemental' || o === 'lime-less')).toBe(true)
    expect(offers).not.toContain('lime')
  })
  test('clay in a pot is refused, seeds in soil too, half fresh chips, a fig in 3 L', () => {
    const clay = answerOf({ mix: { soil_clay_loam: 1, compost_green: 1 }, crop: 'tomato_determinate' })
    expect(clay.first).toBe('soil-in-pot grave')
    const seeds = answerOf({
      mix: { soil_loam: 1 },
      container: pot(7, 5, 7),
      crop: 'tomato_determinate',
      more: { situation: { stage: 'seed' } },
    })
    expect(seeds.first).toBe('not-clean-for-seed grave')
    const chips = answerOf({ mix: { wood_chips_fresh: 1, compost_green: 1 }, crop: 'tomato_determinate' })
    expect(chips.first).toBe('fresh-wood grave')
    const fig = answerOf({
      mix: { pine_bark_fine: 3, pumice: 1, peat_medium: 1 },
      container: pot(18, 14, 18),
      crop: 'fig',
    })
    expect(fig.first).toBe('pot-too-small grave')
  })
  test('where it rains all year a mix wants more air, and is offered it', () => {
    const wet = {
      mix: { peat_fine: 5, compost_green: 1, perlite_medium: 1 },
      crop: 'pepper_sweet',
      more: { lime: { targetPH: 6.4 }, dressings: [{ dressing: 'crf_3_4', gramsPerLitre: 3 }] },
    }
    expect(answerOf(wet).heavy).not.toContain('stays-wet')
    const { heavy, offers } = answerOf({ ...wet, where: drenched })
    expect(heavy).toContain('stays-wet')
    expect(offers.join()).toMatch(
      /more:(perlite|pumice|pine_bark|grit|rice_hulls|scoria|expanded|peat_coarse|coir_chips|bark)/,
    )
  })
  test('hydrated lime with manure gives off ammonia; a bed on a roof is asked about before all else', () => {
    const ammonia = answerOf({
      mix: { peat_medium: 3, manure_poultry_composted: 1 },
      crop: 'tomato_determinate',
      more: { lime: { gramsPerLitre: 3, calcitic: 'lime_hydrated' } },
    })
    expect(ammonia.heavy).toContain('ammonia-burn')
    const roof = answerOf({
      mix: { soil_loam: 2, compost_green: 1 },
      container: { ...BED, base: { kind: 'drainHoles' } },
      crop: 'tomato_determinate',
      plants: 6,
      more: { situation: { standing: 'roof' } },
    })
    expect(roof.first).toBe('weight-load grave')
  })
  test('bare peat: pH first, and lime with feed at once is offered', () => {
    const { first, offers } = answerOf({ mix: { peat_medium: 1 }, crop: 'tomato_determinate' })
    expect(first).toBe('ph-low grave')
    expect(offers.slice(0, 2)).toEqual(['lime', expect.stringMatching(/^more:(crf|hoof)/)])
  })
})
