import { describe, expect, test } from 'vitest'
import { dressingItem, shelfItem } from '@/model/garden/shelfEntry'
import { limeIn, materialById, materialIn } from '@/core/data'
import { looseLitresOfPack } from '@/core/batch'
import { dressingIn } from '@/core/data/dressings'
import { demoGarden } from '@/demo/demoGarden'
import { exportFile } from '@/storage/exportFile'
import { previewImport } from '@/storage/importFile'
import { doseTotals } from '../make/doseTotals'
import { quantitiesOf } from '../make/quantities'
import { recordFrom } from '../make/recordFrom'
import { doseLines } from '../make/shoppingList'
import { mixCost } from '../mix/cost'
import { prepareJob } from '../mix/evaluateJob'
import { readFragment, sharedRecipe, shareFragment } from '../mix/share'
import { lineOf } from '../mix/doses'
import { changesOf } from './commands'
import { jobsOf, type Garden } from './garden'
import { dressingOfOwn, materialOfOwn } from './ownRows'
import { dressingsToChoose, materialsToChoose, tablesOf } from './tables'
import type { AnyData, Job, OwnDressingRecord, OwnMaterialRecord } from './schemas'
import { startingOwnDressing, startingOwnMaterial } from './starting'

const AT = '2026-05-01T08:00:00.000Z'
const compost: OwnMaterialRecord = {
  ...startingOwnMaterial('own:compost', AT),
  name: 'Heap by the shed',
  pH: 7.4,
  bucket: { litres: 10, kg: 6 },
}
const feed: OwnDressingRecord = {
  ...startingOwnDressing('own:feed', AT),
  name: 'All-round 4-4-4',
}
const shells: OwnDressingRecord = {
  ...startingOwnDressing('own:shells', AT),
  name: 'Mussel grit',
  kind: 'lime',
  limeLike: 'oyster_shell',
  neutralizing: 0.9,
  grind: 'grit',
}
const demo = demoGarden()
const withOwn = (...more: AnyData[]): Garden => {
  let garden: Garden = new Map<string, AnyData>(demo)
  for (const change of [
    changesOf(garden, { type: 'ownMaterial/set', material: compost }),
    changesOf(garden, { type: 'ownDressing/set', dressing: feed }),
    changesOf(garden, { type: 'ownDressing/set', dressing: shells }),
  ].flat())
    garden = new Map([...garden, [change.key, change.after!]])
  for (const data of more) garden = new Map([...garden, [`material/${(data as OwnMaterialRecord).id}`, data]])
  return garden
}
const valueOf = <T>(outcome: { ok: true; value: T } | { ok: false; problem: object }): T => {
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.problem))
  return outcome.value
}

describe('a material of the grower’s own', () => {
  test('takes what is known and estimates the rest, with its ranges and sources', () => {
    const { properties: p } = valueOf(materialOfOwn(compost))
    expect(p.pH).toMatchObject({ value: 7.4, kind: 'measured' })
    expect(p.moistBulkDensityAsBought.value).toBeCloseTo(0.6, 9)
    expect(p.dryBulkDensity.value).toBeLessThan(0.6)
    expect(p.waterAt10Cm).toMatchObject({ kind: 'estimated', source: 'family:compost' })
    const wet = valueOf(materialOfOwn({ ...compost, wetness: 'wet' }))
    expect(wet.properties.dryBulkDensity.value).toBeLessThan(p.dryBulkDensity.value)
    const like = valueOf(materialOfOwn({ ...compost, likeId: 'vermicompost', pH: null }))
    expect(like.properties.pH).toMatchObject({
      source: 'like:vermicompost',
      value: materialById('vermicompost')!.properties.pH.value,
    })
  })
  test('is airier where it feels coarse, and a pack of it gives less where some is screened out', () => {
    const at10 = (feel: OwnMaterialRecord['feel']) =>
      valueOf(materialOfOwn({ ...compost, feel })).properties.waterAt10Cm.value
    expect(at10('coarse')).toBeLessThan(at10(null))
    expect(at10('fine')).toBeGreaterThan(at10(null))
    const pack = { kind: 'loose', litres: 50 } as const
    const screened = valueOf(materialOfOwn({ ...compost, screenedOut: 0.2 }))
    expect(looseLitresOfPack(screened, pack)).toBeCloseTo(40, 9)
  })
  test('that cannot be is reported by the field it is typed in', () => {
    const field = (change: Partial<OwnMaterialRecord>) => {
      const row = materialOfOwn({ ...compost, ...change })
      return row.ok ? 'fine' : 'field' in row.problem ? row.problem.field : row.problem.code
    }
    expect(field({ pH: 14 })).toBe('pH')
    expect(field({ bucket: { litres: 0, kg: 5 } })).toBe('bucketLitres')
    expect(field({ bucket: { litres: 10, kg: -1 } })).toBe('bucketKg')
    expect(field({ bucket: { litres: 1, kg: 50 } })).toBe('moistBulkDensityAsBought')
    expect(field({ screenedOut: 0.95 })).toBe('screenedOut')
    expect(field({ salts: 300 })).toBe('electricalConductivity')
    expect(field({ likeId: 'moon_dust' })).toBe('unknown-material')
    expect(field({})).toBe('fine')
  })
})

describe('a feed or lime of the grower’s own', () => {
  test('comes from its label: forms of nitrogen, months, neutralizing value and grind', () => {
    const soluble = (acidForming: boolean) =>
      valueOf(dressingOfOwn({ ...feed, kind: 'soluble', acidForming })).nitrogenForms!
    expect(soluble(true).nitrate).toBeLessThan(soluble(false).nitrate)
    const coated = valueOf(dressingOfOwn({ ...feed, kind: 'coated', months: 9 }))
    expect(coated.release).toMatchObject({ kind: 'coated', longevityMonths: 9 })
    const lime = valueOf(dressingOfOwn(shells))
    expect(lime.lime!.calciumCarbonateEquivalent.value).toBe(0.9)
    expect(lime.lime!.sieveShares[0]).toBeGreaterThan(0.5)
    expect(lime.family).toBe('lime')
    expect(
      valueOf(dressingOfOwn({ ...feed, weighed: { millilitres: 250, grams: 200 } })).bulkDensity.value,
    ).toBe(0.8)
  })
  test('is of the family its kind and its largest number make it', () => {
    const family = (kind: OwnDressingRecord['kind'], nitrogen: number, phosphate: number, potash: number) =>
      valueOf(dressingOfOwn({ ...feed, kind, label: { nitrogen, phosphate, potash } })).family
    for (const [kind, ofNitrogen, ofPhosphate, ofPotash] of [
      ['organic', 'organic_N', 'organic_P', 'organic_K'],
      ['mineral', 'soluble', 'phosphate', 'mineral_K'],
      ['soluble', 'soluble', 'soluble', 'soluble'],
      ['coated', 'crf', 'crf', 'crf'],
    ] as const) {
      expect(family(kind, 12, 4, 4), kind).toBe(ofNitrogen)
      expect(family(kind, 4, 12, 5), kind).toBe(ofPhosphate)
      expect(family(kind, 4, 5, 12), kind).toBe(ofPotash)
    }
  })
  test('of nothing, or of more than there is, is reported', () => {
    const field = (change: Partial<OwnDressingRecord>) => {
      const row = dressingOfOwn({ ...feed, ...change })
      return row.ok ? 'fine' : 'field' in row.problem ? row.problem.field : row.problem.code
    }
    expect(field({ label: { nitrogen: 0, phosphate: 0, potash: 0 } })).toBe('label')
    expect(field({ label: { nitrogen: 60, phosphate: 60, potash: 0 } })).toBe('label')
    expect(field({ kind: 'coated', months: 0 })).toBe('longevityMonths')
    expect(field({ kind: 'lime', neutralizing: 3 })).toBe('calciumCarbonateEquivalent')
    expect(field({ kind: 'lime', limeLike: 'gypsum' })).toBe('unknown-dressing')
    expect(field({ weighed: { millilitres: 0, grams: 5 } })).toBe('weighedMillilitres')
    expect(field({ weighed: { millilitres: 5, grams: -5 } })).toBe('weighedGrams')
  })
})

describe('own rows in a garden', () => {
  test('are found by their ids, offered first, and no more once retired; what they are in keeps them', () => {
    const garden = withOwn()
    const tables = tablesOf(garden)
    expect(materialIn(tables, 'own:compost')?.name).toBe('Heap by the shed')
    expect(dressingIn(tables, 'own:feed')?.label).toEqual({ nitrogen: 4, phosphate: 4, potash: 4 })
    expect(limeIn(tables, 'own:shells')?.name).toBe('Mussel grit')
    expect(materialsToChoose(garden)[0]!.id).toBe('own:compost')
    expect(dressingsToChoose(garden).map((d) => d.id)).toContain('own:feed')
    const retired = withOwn({ ...compost, retired: true })
    expect(materialsToChoose(retired).map((m) => m.id)).not.toContain('own:compost')
    expect(tablesOf(retired).materials.map((m) => m.id)).toContain('own:compost')
  })
  test('go into the figures of a mix, its lime and its cost', () => {
    const garden = new Map<string, AnyData>(withOwn())
    const base = jobsOf(garden).find((j) => j.parts.length > 1)!
    const job: Job = {
      ...base,
      parts: [
        { materialId: 'peat_medium', twelfths: 36 },
        { materialId: 'own:compost', twelfths: 12 },
      ],
      mixes: [],
      lime: { ...base.lime, mode: 'fixed', gramsPerLitre: 4, limeId: 'own:shells', dolomiteShare: 0 },
      dressings: [lineOf('own:feed', 3)],
    }
    const prepared = valueOf(prepareJob(job, undefined, tablesOf(garden)))
    expect(prepared.lime.limes.map((l) => l.lime.id)).toContain('own:shells')
    garden.set('shelf/own:compost', shelfItem('own:compost', { kind: 'loose', litres: 40 }, 4, 0))
    garden.set('shelf/peat_medium', shelfItem('peat_medium', { kind: 'loose', litres: 40 }, 8, 0))
    const plain = mixCost(garden, job, prepared)
    expect(plain.missingDoses.sort()).toEqual(['own:feed', 'own:shells'])
    garden.set('dressingPack/own:feed', dressingItem('own:feed', 2, 10, 0))
    garden.set('dressingPack/own:shells', dressingItem('own:shells', 10, 5, 0))
    const priced = mixCost(garden, job, prepared)
    // 3 g at 5.00 a kg and 4 g at 0.50 a kg in each litre.
    expect(priced.perLitre! - plain.perLitre!).toBeCloseTo(3 * 0.005 + 4 * 0.0005, 9)
    expect(priced.missingDoses).toEqual([])
    // A lime of one's own is lime in the record too.
    const quantities = valueOf(quantitiesOf(job, prepareJob(job, undefined, tablesOf(garden))))
    const limes = doseTotals(job, quantities).filter((d) => d.isLime)
    expect(limes.map((d) => d.id)).toEqual(['own:shells'])
    const record = (of: Job) =>
      recordFrom(of, quantities, { id: 'r', madeOn: '2026-05-01', note: '', jobName: 'Job' })
    expect(record(job).limes.map((l) => l.limeId)).toEqual(['own:shells'])
    // What a set amount fills nobody said.
    expect([record(job).filled.length, record({ ...job, amount: 40 }).filled]).toEqual([job.fills.length, []])
  })
  test('are weighed out of stock first, then in whole packs, and what is left over is shown', () => {
    const garden = new Map<string, AnyData>(withOwn())
    garden.set('dressingPack/own:feed', dressingItem('own:feed', 2, 9, 0.5))
    const total = (grams: number) => ({
      id: 'own:feed',
      name: 'x',
      bulkDensity: 1,
      grams,
      place: { kind: 'throughout' as const },
      isLime: false,
    })
    const of = (...grams: number[]) => doseLines(garden, grams.map(total)).map((l) => l.purchase)
    expect(of(400)).toMatchObject([{ packs: [{ count: 0 }], fromStock: 0.4, cost: 0 }])
    expect(of(2600)).toMatchObject([{ packs: [{ count: 2 }], cost: 18 }])
    expect(of(2600)[0]!.leftover).toBeCloseTo(1.9, 9)
    // What goes to two places is bought once.
    expect(of(2000, 600)).toMatchObject([{ packs: [{ count: 2 }] }, null])
    expect(doseLines(garden, [{ ...total(5), id: 'gypsum' }])[0]!.purchase).toBeNull()
  })
  test('go out in the garden file and come back, and along with a shared recipe that has them', () => {
    const garden = withOwn()
    const file = exportFile(garden, [], AT)
    const steps = previewImport(file, new Map())
    let step = steps.next()
    while (!step.done) step = steps.next()
    if (!step.value.ok) throw new Error(JSON.stringify(step.value.problem))
    const back = new Map(step.value.preview.added.map((c) => [c.key, c.after]))
    expect(back.get('material/own:compost')).toEqual(compost)
    expect(back.get('dressing/own:shells')).toEqual(shells)
    const base = jobsOf(garden)[0]!
    const recipe = {
      ...base,
      parts: [{ materialId: 'own:compost', twelfths: 12 }],
      mixes: [],
      dressings: [lineOf('own:feed', 2)],
    }
    const own = { materials: [compost], dressings: [feed, shells] }
    const read = readFragment(`#${shareFragment(sharedRecipe(recipe, 'Mine', '', own))}`)
    if (!read?.ok) throw new Error(JSON.stringify(read))
    // Only what is in the recipe goes along.
    expect(read.shared.own).toEqual({ materials: [compost], dressings: [feed] })
    expect(read.unknown).toEqual([])
  })
})
