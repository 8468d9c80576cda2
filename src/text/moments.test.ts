import { describe, expect, test } from 'vitest'
import { cropById, MATERIALS, materialById, PUBLISHED } from '@/core/data'
import { DRESSINGS, dressingById, dressingIn } from '@/core/data/dressings'
import { cropFit, mixNeeded } from '@/core/filling'
import { TRADE_SIZES } from '@/core/filling/tradeSizes'
import { once, valueOf } from '@/core/testing/once'
import { containerOf } from '@/model/garden/garden'
import { startingJob, startingJobBed, startingSpec } from '@/model/garden/starting'
import { judgementKey } from '@/core/judgement'
import { readLabel } from '@/model/amounts/labelDose'
import { draftOf, offerOf } from '@/model/garden/offerDraft'
import { STANDINGS, VESSEL_KINDS, type Job } from '@/model/garden/schemas'
import { vesselNamed } from '@/model/garden/vesselKinds'
import { OUTLETS, outletOf, withLength } from '@/model/garden/vessel'
import { lineOf, usualLine } from '@/model/mix/doses'
import { prepareJob } from '@/model/mix/evaluateJob'
import { evaluatePrepared, judgementsOf } from '@/model/mix/prepare'
import { bedsFromText } from '@/model/sheets/bedSheet'
import { FIRMNESS_NAMES, STANDING_NAMES, WALL_NAMES } from './base/labels'
import { fitTexts } from './bed/targets'
import { dressingChoices } from './base/choices'
import { volumeRangeText } from './base/units'
import { baseWords, OUTLET_NAMES, tradeSizeName, VESSEL_NAMES } from './bed/vessels'
import { fillingText } from './bed/filling'
import { doseSpoons } from './make/measures'
import { overdoseText } from './mix/doses'
import { isReachable, labelCode } from './mix/label'
import { releaseText } from './mix/labelDose'
import { judgementText } from './mix/judgements'
import { jobAmountText } from './mix/recipes'
import { bewareText, namesOf } from './shelf/names'
import { search } from './shelf/search'

/** A pot of peat and perlite with its lime, as most begin. */
const job = once<Job>(() => ({
  ...startingJob('j', '2027-03-01T09:00:00.000Z', [startingJobBed('f', startingSpec('fabricBag'), null)]),
  parts: [
    { materialId: 'peat_medium', twelfths: 24 },
    { materialId: 'perlite_coarse', twelfths: 12 },
  ],
}))
/** What is said of a job, by code. */
function saidOf(change: Partial<Job>) {
  const prepared = valueOf(prepareJob({ ...job(), ...change }, undefined, PUBLISHED))
  return judgementsOf(prepared, valueOf(evaluatePrepared(prepared)))
}
const codes = (change: Partial<Job>) => saidOf(change).map((j) => j.code)
const line = (id: string, gramsPerLitre: number, n = 1) => ({
  ...lineOf(id, gramsPerLitre),
  id: `${id} ${n}`,
})

describe('doses at the moment of giving', () => {
  test('D3: three lines of a feed are warned of as one line of them all', () => {
    const { limit } = dressingById('blood_meal')!.dose
    const one = [line('blood_meal', 1.2 * limit)]
    const three = [1, 2, 3].map((n) => line('blood_meal', 0.4 * limit, n))
    for (const dressings of [one, three])
      expect(saidOf({ dressings })).toContainEqual(
        expect.objectContaining({
          level: 'alarm',
          code: 'dose-above-limit',
          gramsPerLitre: expect.closeTo(1.2 * limit, 9),
        }),
      )
    // In the top it lies on what is all through; held back, it comes when the first is used up.
    const top = { ...line('blood_meal', 0.7 * limit, 2), place: { kind: 'top' as const, depth: 5 } }
    const later = { ...line('blood_meal', 0.7 * limit, 3), place: { kind: 'heldBack' as const, from: 60 } }
    const first = line('blood_meal', 0.7 * limit)
    expect(codes({ dressings: [first, top] })).toContain('dose-above-limit')
    expect(codes({ dressings: [first, later] })).not.toContain('dose-above-limit')
  })
  test('D3: two nitrogen feeds within their limits add up to one beyond it; a feed and a potash do not', () => {
    const share = (id: string, of: number) => line(id, of * dressingById(id)!.dose.limit)
    const said = saidOf({ dressings: [share('blood_meal', 0.7), share('hoof_horn', 0.7)] })
    const sum = said.find((j) => j.code === 'doses-add-up')!
    expect(sum).toMatchObject({ level: 'alarm', of: 'nitrogen', times: expect.closeTo(1.4, 6) })
    expect(judgementText(sum, 'metric').says).toMatch(
      /^Blood meal and hoof and horn.* come to 1\.4 times the nitrogen feed one mix takes/,
    )
    expect(codes({ dressings: [share('blood_meal', 0.7), share('kelp_meal', 0.7)] })).not.toContain(
      'doses-add-up',
    )
    expect(codes({ dressings: [share('blood_meal', 0.5), share('hoof_horn', 0.5)] })).not.toContain(
      'doses-add-up',
    )
  })
  test('D4: a great deal of compost tea is worked out, and warned of by its own row', () => {
    const { limit } = dressingById('compost_tea')!.dose
    expect(codes({ dressings: [line('compost_tea', 80)] })).not.toContain('dose-above-limit')
    expect(codes({ dressings: [line('compost_tea', limit * 1.01)] })).toContain('dose-above-limit')
    expect(overdoseText(dressingById('compost_tea'), 80, 'metric')).toBe('')
    expect(overdoseText(dressingById('compost_tea'), limit + 1, 'metric')).toMatch(
      /^More than 200 g\/L: waterlogging/,
    )
  })
  test('D5: lime by the cupful is worked out, and what it does is said', () => {
    const said = saidOf({ lime: { ...job().lime, mode: 'fixed', gramsPerLitre: 26 } })
    // Half limestone, half dolomite, each with 10 g/L as its limit.
    expect(said).toContainEqual(
      expect.objectContaining({ level: 'alarm', code: 'lime-too-much', times: expect.closeTo(2.6, 6) }),
    )
    expect(codes({ lime: { ...job().lime, mode: 'fixed', gramsPerLitre: 9.9 } })).not.toContain(
      'lime-too-much',
    )
    // Lime of the mix and lime of a line are one sum.
    expect(
      codes({
        lime: { ...job().lime, mode: 'fixed', gramsPerLitre: 6 },
        dressings: [line('oyster_shell', 0.6 * dressingById('oyster_shell')!.dose.limit)],
      }),
    ).toContain('lime-too-much')
  })
  test('D3, D5: too much lime has one voice, whatever else is over its limit', () => {
    const over = (id: string, times: number) => line(id, times * dressingById(id)!.dose.limit)
    const own = (gramsPerLitre: number) => ({
      lime: { ...job().lime, mode: 'fixed' as const, gramsPerLitre },
    })
    const ofLime = ['lime-too-much', 'dose-above-limit oyster_shell', 'doses-add-up lime']
    const said = (change: Partial<Job>) =>
      saidOf(change)
        .map(judgementKey)
        .filter((key) => ofLime.includes(key))
    // A feed beyond its limit hides nothing of the lime.
    expect(said({ ...own(26), dressings: [over('blood_meal', 1.2)] })).toEqual(['lime-too-much'])
    // The mix's own lime and a line, both beyond: one sum.
    expect(said({ ...own(26), dressings: [over('oyster_shell', 1.2)] })).toEqual(['lime-too-much'])
    expect(said({ ...own(1), dressings: [over('oyster_shell', 1.2)] })).toEqual(['lime-too-much'])
    // Lines alone: the line that is beyond, or the two that add up.
    expect(said({ ...own(0), dressings: [over('oyster_shell', 1.2)] })).toEqual([
      'dose-above-limit oyster_shell',
    ])
    expect(said({ ...own(0), dressings: [over('oyster_shell', 0.6), over('eggshell', 0.6)] })).toEqual([
      'doses-add-up lime',
    ])
    // Six tenths and three tenths of what a mix takes: within it.
    expect(said({ ...own(6), dressings: [over('oyster_shell', 0.3)] })).toEqual([])
  })
  test('D6: a frit at its usual dose is no alarm; borax is, and is named', () => {
    const { low, high, limit } = dressingById('fte_mix')!.dose
    for (const dose of [low, high, limit])
      expect(codes({ dressings: [line('fte_mix', dose)] })).not.toContain('boron-high')
    // Beyond its limit it is an alarm with one voice: what the boron does, and to halve the frit.
    const boron = (dressings: Job['dressings']) =>
      saidOf({ dressings }).filter((j) => ['boron-high', 'dose-above-limit', 'doses-add-up'].includes(j.code))
    const over = boron([line('fte_mix', 2 * limit)])
    expect(over).toEqual([
      expect.objectContaining({ level: 'alarm', code: 'boron-high', soon: false, overdosed: ['fte_mix'] }),
    ])
    expect(judgementText(over[0]!, 'metric').does).not.toMatch(/borate|borax/)
    expect(judgementText(over[0]!, 'metric').does).toMatch(/halve it/)
    // Slow boron of a coated feed, which is no trace feed: a note, and the feed's own limit stays its own.
    const { limit: most } = dressingById('crf_12_14')!.dose
    expect(boron([line('crf_12_14', 1.2 * most), line('fte_mix', limit)])).toEqual(
      expect.arrayContaining([
        expect.objectContaining({ level: 'alarm', code: 'dose-above-limit', dressing: 'crf_12_14' }),
        expect.objectContaining({ level: 'note', code: 'boron-high', overdosed: [] }),
      ]),
    )
    const at = saidOf({ dressings: [line('borax', 0.02)] }).find((j) => j.code === 'boron-high')!
    // 0.02 g/L at 11.3 % is 2.3 mg, all of it within days.
    expect(at).toMatchObject({
      level: 'alarm',
      soon: true,
      dressing: 'borax',
      mgPerLitre: expect.closeTo(2.26, 2),
    })
    expect(judgementText(at, 'metric').does).toContain('borax')
  })
  test('D7: a label is read as it stands on the bag, and how soon it works is said', () => {
    expect(readLabel('20-16-15')).toEqual({ nitrogen: 20, phosphate: 16, potash: 15 })
    expect(releaseText(dressingById('soluble_20_20_20')!)).toMatch(/dissolves at once/)
    expect(releaseText(dressingById('crf_5_6')!)).toMatch(/over \d.* months/)
    expect(releaseText(dressingById('bone_meal')!)).toMatch(/slowly, half of it in about \d+ months/)
    const over = dressingById('soluble_20_20_20')!
    expect(overdoseText(over, over.dose.limit * 3, 'us')).toMatch(/^More than .*oz\/(gal|cu ft)/)
  })
  test('D8: any number of limes, each a line of its own, found by everyday names', () => {
    const choices = dressingChoices(DRESSINGS, MATERIALS)
    const found = (typed: string) =>
      search(choices, typed, (c) => ({ name: c.label, words: c.words })).map((c) => c.value)
    expect(found('shell')).toEqual(expect.arrayContaining(['oyster_shell', 'eggshell']))
    expect(found('dolomite')).toContain('lime_dolomitic')
    const pH = (dressings: Job['dressings']) => {
      const prepared = valueOf(
        prepareJob({ ...job(), lime: { ...job().lime, mode: 'none' }, dressings }, undefined, PUBLISHED),
      )
      return valueOf(evaluatePrepared(prepared)).lime.pH
    }
    const [bare, one, two, three] = [
      pH([]),
      pH([line('lime_calcitic', 2)]),
      pH([line('lime_calcitic', 2), line('lime_dolomitic', 2)]),
      pH([line('lime_calcitic', 2), line('lime_dolomitic', 2), line('eggshell', 2)]),
    ]
    expect(bare < one! && one! < two! && two! < three!).toBe(true)
    // A lime's line never takes the place of the lime the mix is given.
    expect(usualLine('lime_calcitic', [], PUBLISHED)!.id).not.toBe('lime_calcitic')
  })
  test('D11: any material can be given as a dressing, by the cup or as a layer', () => {
    for (const id of ['vermicompost', 'rock_dust', 'compost_green']) {
      const row = dressingIn(PUBLISHED, id)!
      expect(usualLine(id, [], PUBLISHED)).toMatchObject({ dressingId: id })
      expect(row.bulkDensity).toBe(materialById(id)!.properties.moistBulkDensityAsBought)
    }
    // A litre of castings in ten gives a tenth of what a litre of it gives in a season of 20 weeks.
    const castings = materialById('vermicompost')!.properties
    const row = dressingIn(PUBLISHED, 'vermicompost')!
    const grams = 100 * castings.moistBulkDensityAsBought.value
    const season = 1 - Math.exp(-0.015 * 140)
    expect(grams * row.analysis.nitrogen!.value * 1000 * season).toBeCloseTo(
      castings.nitrogenFirstSeason!.value / 10,
      9,
    )
    // No id means both a material and a dressing.
    const dressings = new Set(DRESSINGS.map((d) => d.id))
    expect(MATERIALS.filter((m) => dressings.has(m.id))).toEqual([])
  })
  test('D12: a mix at its target is limed with nothing, not with a pinch', () => {
    const bare = valueOf(
      evaluatePrepared(
        valueOf(prepareJob({ ...job(), lime: { ...job().lime, mode: 'none' } }, undefined, PUBLISHED)),
      ),
    ).lime.pH
    const dose = (target: number) =>
      valueOf(prepareJob({ ...job(), lime: { ...job().lime, target } }, undefined, PUBLISHED)).lime.own
        .gramsPerLitre
    expect(dose(bare + 0.01)).toBe(0)
    expect(dose(bare + 1)).toBeGreaterThan(0.1)
  })
})

describe('words and sizes at the moment of work', () => {
  test('B8: below a quarter teaspoon it is weighed; from there on there are one or two measures', () => {
    const said = (grams: number) => doseSpoons(grams, 1, 'metric')
    // Half of a quarter of a 5 mL teaspoon is where the quarter begins.
    expect(said(0.62)).toMatch(/^too little for a spoon: weigh it/)
    expect(said(0.63)).toBe('¼ teaspoon, level')
    for (let grams = 1; grams < 3000; grams *= 1.07)
      expect(said(grams).replace(', level', '').split(' + ').length).toBeLessThan(3)
    // Four fifths of a metric cup, which was 12 tablespoons and 2¾ teaspoons.
    expect(said(200)).toBe('¾ cup + 1 tablespoon, level')
  })
  test('T7: a bed on soil has no holes and nothing below to run out of; a bag drains through its cloth', () => {
    const of = (kind: 'raisedBed' | 'fabricBag' | 'roundPot') => {
      const spec = startingSpec(kind)
      const water = fillingText(
        { code: 'water-in' },
        { spec, bucket: 10, tooHeavy: false, units: 'metric' },
      ).title
      return [baseWords(spec), water]
    }
    expect(of('raisedBed')).toEqual(['open to the soil', 'Water until it is wet all the way down'])
    expect(of('fabricBag')).toEqual(['drains through the cloth', 'Water until it runs out below'])
    expect(of('roundPot')).toEqual(['holes in the base', 'Water until it runs out below'])
  })
  test('T8: Fill says a pot is too heavy only where the bench says so', () => {
    const spec = startingSpec('roundPot')
    const stand = (tooHeavy: boolean) =>
      fillingText({ code: 'stand' }, { spec, bucket: 10, tooHeavy, units: 'us' }).text
    expect(stand(true)).toContain('too heavy for one to move')
    expect(stand(false)).not.toMatch(/heavy|moved/)
  })
  test('T9: the head of a job tells what is made: the set amount, else what the beds take', () => {
    expect(jobAmountText({ ...job(), amount: 40 }, 'metric', PUBLISHED)).toBe('40 L of mix to make')
    expect(jobAmountText(job(), 'metric', PUBLISHED)).toMatch(/^\d+(\.\d)? L of mix$/)
  })
  test('T10: sizes in US units are US sizes, and a range has one unit', () => {
    const names = TRADE_SIZES.map((t) => tradeSizeName(t.name, 'us'))
    expect(names.filter((n) => /\bcm\b/.test(n))).toEqual([])
    expect(names).toContain('Round pot, 8 in rim')
    expect(tradeSizeName('Round pot, 20 cm rim', 'metric')).toBe('Round pot, 20 cm rim')
    // 2.6 quarts and 4.36: the second is over a gallon, and still quarts.
    expect(volumeRangeText(2.46, 4.13, 'us')).toBe('2.6 to 4.36 qt')
    expect(volumeRangeText(20, 30, 'us')).toBe('5.28 to 7.93 gal')
    expect(volumeRangeText(2.46, 4.13, 'metric')).toBe('2.46 to 4.13 L')
  })
  test('T13: no name shows an id', () => {
    for (const { id } of [...MATERIALS, ...DRESSINGS])
      for (const text of [...namesOf(id), bewareText(id)]) expect(text).not.toMatch(/[a-z]_[a-z]/)
  })
  test('T14: nothing typed is not known; zero is for nothing', () => {
    const told = draftOf({
      pack: { kind: 'loose', litres: 40 },
      price: null,
      place: '',
      seenOn: null,
      delivery: 0,
    })
    expect(told.price).toBeNaN()
    expect(offerOf(told).price).toBeNull()
    expect(offerOf({ ...told, price: 0 }).price).toBe(0)
    expect(offerOf({ ...told, price: 6.5 }).price).toBe(6.5)
  })
  test('T15: every word the app has for a vessel, wall, place and firmness is taken by a sheet', () => {
    for (const kind of VESSEL_KINDS)
      for (const word of [kind, VESSEL_NAMES[kind].one, VESSEL_NAMES[kind].many])
        expect(vesselNamed(word), word).toBe(kind)
    const read = (column: string, word: string) => {
      const sheet = `name,shape,${column}\nA,trough,"${word}"`
      const { beds, problems } = bedsFromText(sheet, 'metric', {
        newId: () => 'b',
        createdAt: '2027-01-01T00:00:00.000Z',
      })
      expect(problems, `${column}: ${word}`).toEqual([])
      return beds[0]!
    }
    for (const [wall, word] of Object.entries(WALL_NAMES)) expect(read('sides', word).wall).toBe(wall)
    for (const standing of STANDINGS)
      expect(read('stands on', STANDING_NAMES[standing]).standing, standing).toBe(standing)
    for (const [firmness, { one }] of Object.entries(FIRMNESS_NAMES))
      expect(read('filling', one).firmness).toBe(firmness)
    for (const outlet of OUTLETS)
      expect(outletOf(read('water leaves', OUTLET_NAMES[outlet]).vessel), outlet).toBe(outlet)
  })
  test('T16: a tray of 72 lettuces is for raising them, and says nothing of depth and room', () => {
    const inch = 2.54
    const spec = startingSpec('box')
    const plan = valueOf(
      mixNeeded({
        container: {
          ...containerOf(spec.vessel),
          headspace: 0.5,
          shape: {
            kind: 'box',
            topLength: 20 * inch,
            topWidth: 10 * inch,
            baseLength: 20 * inch,
            baseWidth: 10 * inch,
            height: 2.5 * inch,
          },
        },
      }),
    )
    const lettuce = cropById('lettuce')!
    const fit = cropFit(lettuce, plan, 72)
    expect(fit).toMatchObject({ raising: true, tooShallow: null, crowded: false, plants: 72 })
    expect(fitTexts(lettuce, fit, 'us')).toEqual([
      'For raising lettuce: 72 in each, to be moved on before the roots fill it.',
    ])
    // Six of them are grown in it, and it is too shallow for that.
    expect(cropFit(lettuce, plan, 2).raising).toBe(false)
  })
  test('T18: the base follows the top until somebody sets it', () => {
    const box = startingSpec('box').vessel
    const wider = withLength(box, 'topLength', 100)
    // 76 of 80 at first: as much narrower at the base of 100.
    expect(wider).toMatchObject({ topLength: 100, baseLength: 95 })
    const typed = { ...box, shape: withLength({ ...box, shape: wider }, 'baseLength', 70) }
    expect(withLength(typed, 'topLength', 120)).toMatchObject({ topLength: 120, baseLength: 70 })
    const bed = startingSpec('raisedBed').vessel
    expect(withLength(bed, 'topWidth', 90)).toMatchObject({ topWidth: 90, baseWidth: 90 })
    const pot = startingSpec('roundPot').vessel
    expect(withLength(pot, 'topDiameter', 40)).toMatchObject({ topDiameter: 40, baseDiameter: 22 })
  })
  test('T21: a code says the recipe in words, and links only where a phone can follow', () => {
    const label = {
      title: 'Pepper',
      lines: ['Row 1', '2 peat', 'pH about 6.4; lime 3 g/L', 'Mixed 1 Apr 2027'],
    }
    const code = labelCode(label, '2 peat, 1 perlite', 'https://garden.example/my/recipe#x')
    expect(code.split('\n')).toEqual([
      'Pepper',
      'Row 1',
      '2 peat, 1 perlite',
      'pH about 6.4; lime 3 g/L',
      'Mixed 1 Apr 2027',
      'https://garden.example/my/recipe#x',
    ])
    expect(labelCode(label, '2 peat', null)).not.toContain('http')
    const reach = [
      'https://garden.example',
      'http://192.168.1.20:4311',
      'http://localhost:4311',
      'http://127.0.0.1',
      'garden',
    ]
    expect(reach.map(isReachable)).toEqual([true, true, false, false, false])
  })
  test('what is judged of a plain mix has none of the above', () => {
    const said: string[] = codes({})
    for (const code of ['dose-above-limit', 'doses-add-up', 'lime-too-much', 'boron-high'])
      expect(said).not.toContain(code)
  })
})
