import { once } from '@/core/testing/once'
import { cases, draws } from '@/core/testing/draws'
import { PUBLISHED } from '@/core/data'
import fc from 'fast-check'
import Papa from 'papaparse'
import { parse } from 'csv-parse/sync'
import { describe, expect, test } from 'vitest'
import { materialById } from '@/core/data'
import { CLIMATES } from '@/core/climate/climates'
import { demoGarden } from '@/demo/demoGarden'
import { randomJob } from '@/text/testing/randomJob'
import { boughtId, gatherLines, isBought, shoppingText, withBought } from '@/text/make/gather'
import { labelText } from '@/text/mix/label'
import { otherwiseTexts, phCheckText, pressText, saltCheckText, spokenText } from '@/text/make/making'
import { againstBagsText, bedCostRows, moneyRows, nudgeText } from '@/text/base/money'
import { clashText, durationText, mixingDayText, stepText } from '@/text/make/preparing'
import { packText } from '@/text/base/labels'
import { toFieldText, waterText } from '@/text/base/units'
import { leftText as countdownText } from '@/text/make/timers'
import { leftText } from '@/text/make/settle'
import { changesOf } from '../garden/commands'
import {
  DEFAULT_SETTINGS,
  dressingPackKey,
  jobKey,
  jobOf,
  recordKey,
  shelfItemOf,
  shelfKey,
  type Garden,
} from '../garden/garden'
import type { AnyData, DressingPack, InnerMix, Job, Place, ShelfItem } from '../garden/schemas'
import { dressingItem, offersFor, shelfEntry, shelfItem } from '../garden/shelfEntry'
import { draftOf, offerOf, ofKind, packOf } from '../garden/offerDraft'
import { startingJob, startingJobBed, startingPlace, startingSpec } from '../garden/starting'
import { prepareJob } from '../mix/evaluateJob'
import { byPacks } from '../mix/byPacks'
import { lineOf } from '../mix/doses'
import { shelfFromText, shelfToCsv } from '../sheets/shelfSheet'
import { madeMix, measuresAsMade, otherwiseAfter, remadeBatches, totalsAsMade } from './asMade'
import { batchCards } from './batchCard'
import { doseTotals } from './doseTotals'
import { againstBags, moneyOf, shareOut, toCents } from './money'
import { nudgesOf } from './nudges'
import { measuresOf, quantitiesOf } from './quantities'
import { recordFrom } from './recordFrom'
import { isShort, leftOver, shelfWith, shelvedOf } from './settle'
import { doseLines, mixLines, shoppingList, type DoseLine, type MixLine } from './shoppingList'
import { countIn, pressesOf } from './tally'
import { lostOnPreparing, readyId, timetable } from './timetable'
import { shoppingCsv } from '../sheets/shoppingSheet'
import { prepareTasks } from './prepareTasks'
import { phCheck, saltCheck } from './tubChecks'
import { vesselsFor } from './vessels'

const valueOf = <T>(o: { ok: true; value: T } | { ok: false; problem: { code: string } }) => {
  if (!o.ok) throw new Error(o.problem.code)
  return o.value
}
const job = once<Job>(() => ({
  ...startingJob('j', '2026-03-01T09:00:00.000Z', [
    { ...startingJobBed('f', startingSpec('fabricBag'), null), count: 6 },
  ]),
  name: 'Peppers',
  cropId: 'pepper_sweet',
  parts: [
    { materialId: 'peat_medium', twelfths: 48 },
    { materialId: 'compost_green', twelfths: 24 },
    { materialId: 'perlite_coarse', twelfths: 24 },
  ],
}))
const SHELF = once<ShelfItem[]>(() => [
  shelfItem('peat_medium', { kind: 'compressed', litres: 107 }, 31, 0),
  shelfItem('compost_green', { kind: 'loose', litres: 40 }, 6.5, 60),
  shelfItem('perlite_coarse', { kind: 'loose', litres: 100 }, 24, 35),
])
const gardenOf = (items: readonly ShelfItem[] = SHELF()): Map<string, AnyData> =>
  new Map<string, AnyData>([
    ['settings', DEFAULT_SETTINGS],
    ...items.map((i) => [shelfKey(i.materialId), i] as const),
  ])
const q = once(() => valueOf(quantitiesOf(job(), prepareJob(job(), undefined, PUBLISHED))))
const prepared = once(() => valueOf(prepareJob(job(), undefined, PUBLISHED)))
const list = once(() => shoppingList(gardenOf(), q()))

describe('money', () => {
  test('adds up to the cent over random jobs, shelves and prices', () => {
    let jobs = 0
    fc.assert(
      fc.property(
        fc.nat(1e6),
        fc.array(fc.nat(20_000), { minLength: 12, maxLength: 12 }),
        (seed, numbers) => {
          const random = randomJob(seed)
          const quantities = quantitiesOf(random.job, prepareJob(random.job, undefined, PUBLISHED))
          if (!quantities.ok) return
          jobs++
          const garden = gardenOf(
            random.job.parts.flatMap(({ materialId }, i) =>
              materialById(materialId)
                ? [
                    {
                      ...shelfItem(
                        materialId,
                        { kind: 'loose', litres: 10 + (numbers[i % 12]! % 90) },
                        numbers[(i + 3) % 12]! / 100,
                        numbers[(i + 5) % 12]! % 120,
                      ),
                      others: [
                        {
                          pack: { kind: 'bulk' as const, litres: 500 },
                          price: 40,
                          place: '',
                          seenOn: null,
                          delivery: 35,
                        },
                      ],
                    },
                  ]
                : [],
            ),
          )
          const totals = doseTotals(random.job, quantities.value)
          for (const t of totals) garden.set(`dressingPack/${t.id}`, dressingItem(t.id, 0.5, 3.33, 0.1))
          const materials = shoppingList(garden, quantities.value)
          const doses = doseLines(garden, totals)
          const money = moneyOf(garden, materials, mixLines(random.job, quantities.value), doses)
          const cents = (of: 'paid' | 'used') =>
            money.lines.reduce((s, l) => s + Math.round(100 * (l[of] ?? 0)), 0)
          expect(Math.round(money.paid * 100)).toBe(cents('paid'))
          expect(Math.round(money.used * 100)).toBe(cents('used'))
          // What is paid is what the packs cost, whole packs and deliveries.
          for (const l of materials) {
            const paid = l.packs.reduce(
              (s, p) => s + p.count * (p.offer.price ?? 0) + (p.count > 0 ? p.offer.delivery : 0),
              0,
            )
            const line = money.lines.find((m) => m.id === l.material.id)!
            if (l.purchase.cost !== null) expect(line.paid).toBe(toCents(paid))
            // Worth before and paid is worth that went in and worth that is left, to the cent.
            if (line.paid !== null && l.purchase.litres > 0) {
              const each = paid / l.purchase.litres
              const left = l.purchase.leftover * each
              expect(Math.abs(line.used! + left - paid - l.stock * each)).toBeLessThan(0.011)
            }
          }
          if (random.job.amount === null) {
            const beds = random.job.fills.map((f, i) => quantities.value.needed[i]!.net * f.count)
            const shares = shareOut(money.used, beds)
            expect(Math.round(100 * shares.reduce((s, x) => s + x, 0))).toBe(Math.round(100 * money.used))
          }
        },
      ),
      draws(150),
    )
    expect(jobs).toBeGreaterThan((100 / 150) * cases(150))
  })
  test('is given for the litre, the bed and the pot, in the grower’s units', () => {
    const money = moneyOf(gardenOf(), list(), [], [])
    expect(money.paid).toBe(55)
    expect(moneyRows(money, q().inPlace, 'metric')[0]).toEqual([
      'Paid at the shop',
      '55.00',
      `${(55 / q().inPlace).toFixed(3)} a litre`,
    ])
    expect(moneyRows(money, q().inPlace, 'us')[0]![2]).toBe(
      `${((55 / q().inPlace) * 3.785411784).toFixed(2)} a gallon`,
    )
    expect(bedCostRows(job(), q(), 12)).toEqual([['6 × Fabric bag', '12.00', '2.00 each']])
    expect(bedCostRows({ ...job(), amount: 50 }, q(), 12)).toEqual([])
    expect(moneyOf(gardenOf([]), shoppingList(gardenOf([]), q()), [], []).missing).toEqual([
      'peat_medium',
      'compost_green',
      'perlite_coarse',
    ])
  })
  test('shares are whole cents that add up', () => {
    fc.assert(
      fc.property(fc.nat(100_000), fc.array(fc.nat(50), { minLength: 1, maxLength: 9 }), (cents, weights) => {
        const shares = shareOut(cents / 100, weights)
        const sum = Math.round(100 * shares.reduce((s, x) => s + x, 0))
        expect(sum).toBe(weights.some((w) => w > 0) ? cents : 0)
        weights.forEach((w, i) => {
          const exact = w === 0 ? 0 : (cents * w) / weights.reduce((s, x) => s + x, 0)
          expect(Math.abs(100 * shares[i]! - exact)).toBeLessThan(1.0001)
        })
      }),
    )
  })
  test('against bags: the break-even is where mixing stops being dearer', () => {
    const litres = q().inPlace
    const bag = { litres: 50, price: 15 }
    const against = againstBags(list(), litres, bag)
    expect(against).toMatchObject({ bags: Math.ceil(litres / 50), bagged: Math.ceil(litres / 50) * 15 })
    const at = (volume: number) =>
      againstBags(
        list().map((l) => ({ ...l, litres: (l.litres * volume) / litres })),
        volume,
        bag,
      )
    const edge = against.breakEven!
    expect(at(edge).mixed).toBeLessThanOrEqual(at(edge).bagged)
    expect(at(edge - 50).mixed).toBeGreaterThan(at(edge - 50).bagged)
    expect(againstBagsText(against, 'metric').text).toContain(`from ${edge} L on`)
    expect(againstBags(list(), litres, { litres: 50, price: 0.5 }).breakEven).toBeNull()
    // Bags dearer than any mixing: it is worth it from the first.
    expect(againstBags(list(), litres, { litres: 50, price: 1e6 }).breakEven).toBe(50)
  })
  /** A job of compost alone in bags of 40 L, so much of it, and its list for any other amount. */
  const compostJob = (amount: number, price: number | null) => {
    const garden = gardenOf([shelfItem('compost_green', { kind: 'loose', litres: 40 }, price, 0)])
    const only: Job = {
      ...job(),
      amount,
      parts: [{ materialId: 'compost_green', twelfths: 12 }],
      dressings: [],
      plan: { ...job().plan, rounding: 'exact' },
    }
    const ready = valueOf(prepareJob(only, undefined, PUBLISHED))
    const listFor = (litres: number) => shoppingList(garden, valueOf(measuresOf(only, ready, litres)))
    return { listFor, nudges: nudgesOf(amount, listFor(amount), listFor) }
  }
  test('P2: near the edge of a pack a little less is offered, and does what it says', () => {
    // Nothing is lost in blending one part: 81 L are three bags of 40, 80.8 are two by the hundredth nobody measures.
    const { nudges, listFor } = compostJob(81, 6.5)
    const less = nudges.find((n) => n.kind === 'less')!
    expect(less).toMatchObject({ packs: 1, saves: 6.5 })
    expect(less.litres).toBeCloseTo(81 * 0.99, 9)
    expect(listFor(less.litres)[0]!.purchase).toMatchObject({ counts: [2], cost: 13 })
    expect(nudgeText(less, 'metric')).toEqual({
      text: '1 % less needs 1 pack fewer and saves 6.50.',
      action: 'Make 80.2 L',
    })
  })
  test('P2: without prices a pack fewer is offered as that, and nothing is said to be saved', () => {
    const { nudges } = compostJob(81, null)
    const less = nudges.find((n) => n.kind === 'less')!
    expect(less).toMatchObject({ packs: 1, saves: null })
    expect(nudgeText(less, 'metric').text).toBe('1 % less needs 1 pack fewer.')
    // Carried out, nothing more is to be had by a little less.
    expect(compostJob(less.litres, null).nudges.filter((n) => n.kind === 'less')).toEqual([])
  })
  test('P2: more is offered as far as the same packs make it', () => {
    const { nudges, listFor } = compostJob(100, 6.5)
    const more = nudges.find((n) => n.kind === 'more')!
    // Three bags hold 120 L; a hundredth short of 121 is still three.
    expect(more.litres).toBeCloseTo(121, 9)
    expect(listFor(more.litres)[0]!.purchase.counts).toEqual([3])
    expect(compostJob(119.5, 6.5).nudges.filter((n) => n.kind === 'more')).toEqual([])
  })
  test('P1: a mix by packs buys just those packs', () => {
    const garden = gardenOf()
    const packs = [
      { materialId: 'peat_medium', count: 1 },
      { materialId: 'compost_green', count: 2 },
    ]
    for (const bucket of [7, 10, 12, 18.9]) {
      const told = valueOf(byPacks(garden, packs, bucket))
      const made: Job = {
        ...job(),
        parts: told.parts,
        amount: told.litres,
        plan: { ...job().plan, bucket, rounding: 'exact' },
      }
      const list = shoppingList(
        gardenOf([
          shelfItem('peat_medium', { kind: 'compressed', litres: 107 }, 31, 0),
          shelfItem('compost_green', { kind: 'loose', litres: 40 }, 6.5, 0),
        ]),
        valueOf(quantitiesOf(made, prepareJob(made, undefined, PUBLISHED))),
      )
      expect(list.map((l) => l.purchase.counts)).toEqual([[1], [2]])
    }
  })
  test('P3: a heap of one’s own is no bags; many bags of compost are a load', () => {
    const own = { ...materialById('compost_green')!, id: 'own:heap' }
    expect(shelfEntry(gardenOf([]), own).pack).toEqual({ kind: 'own' })
    const compost = materialById('compost_green')!
    const kinds = (litres: number) => offersFor(gardenOf([]), compost, litres).map((o) => o.pack.kind)
    expect([kinds(299), kinds(300)]).toEqual([['loose'], ['bulk']])
    // Said how it is bought, it is bought so.
    const told = offersFor(
      gardenOf([shelfItem('compost_green', { kind: 'loose', litres: 40 }, null, 0)]),
      compost,
      900,
    )
    expect(told.map((o) => o.pack.kind)).toEqual(['loose'])
    expect(offersFor(gardenOf([]), materialById('perlite_coarse')!, 900)[0]!.pack.kind).toBe('loose')
  })
  test('P4: a bag entered as a load is a cubic metre, and reads as one everywhere', () => {
    const bag = draftOf({
      pack: { kind: 'loose', litres: 40 },
      price: null,
      place: '',
      seenOn: null,
      delivery: 0,
    })
    const load = ofKind(bag, 'bulk')
    expect(packOf(load)).toEqual({ kind: 'bulk', litres: 1000 })
    expect([toFieldText(load.litres, 'bulkVolume', 'metric'), packText(packOf(load), 'metric')]).toEqual([
      '1',
      '1 m³ in bulk',
    ])
    expect(packOf(ofKind(load, 'loose'))).toEqual({ kind: 'loose', litres: 50 })
  })
  test('P5: two loads from one yard are delivered once, and the list says so', () => {
    const load = (id: string) => ({
      ...shelfItem(id, { kind: 'bulk', litres: 100 }, 6, 0),
      place: 'the yard',
      delivery: 45,
    })
    const lines = gatherLines(
      shoppingList(gardenOf([load('peat_medium'), load('compost_green'), ...SHELF().slice(2)]), q()),
      [],
      [],
      'metric',
    )
    const said = lines.flatMap((l) => ('small' in l.buy ? l.buy.small : [])).filter((t) => /deliver/.test(t))
    expect(said).toEqual(['and 45.00 for delivery', 'with the same delivery'])
  })
  test('P7: water is gallons or litres, however much it is', () => {
    expect([waterText(185, 'us'), waterText(185, 'metric'), waterText(1200, 'metric')]).toEqual([
      '48.9 gal',
      '185 L',
      '1200 L',
    ])
  })
})

describe('buying', () => {
  test('a batch may be what one bag makes', () => {
    const bags = vesselsFor(job(), list(), PUBLISHED).filter((v) => v.bag !== undefined)
    expect(bags.map((b) => b.id)).toEqual(['bag:peat_medium', 'bag:perlite_coarse'])
    for (const bag of bags) {
      const plan = valueOf(
        quantitiesOf(
          { ...job(), plan: { ...job().plan, vessel: bag.litres } },
          prepareJob({ ...job(), plan: { ...job().plan, vessel: bag.litres } }, undefined, PUBLISHED),
        ),
      ).plan
      const [id] = [bag.id.slice('bag:'.length)]
      const first = plan.batches[0]!.measures.find((m) => m.id === id)!
      expect(first.litres).toBeLessThanOrEqual(bag.bag! * 1.06)
    }
  })
  test('what is ticked counts as stock, is paid once, and can be unticked', () => {
    const lines = gatherLines(list(), [], [], 'metric')
    const peat = lines.find((l) => boughtId(l) === 'peat_medium')!
    expect(isBought(peat)).toBe(false)
    const bought = withBought([], peat, true)
    expect(bought).toMatchObject([{ id: 'peat_medium', paid: 31 }])
    const after = shoppingList(gardenOf(), q(), { lost: new Map(), bought })
    const line = gatherLines(after, [], [], 'metric').find((l) => boughtId(l) === 'peat_medium')!
    expect(isBought(line)).toBe(true)
    expect(line.cost).toBe('31.00')
    expect(moneyOf(gardenOf(), after, [], []).paid).toBe(55)
    expect(withBought(bought, line, false)).toEqual([])
    expect(shoppingText('Peppers', gatherLines(after, [], [], 'metric'))).toMatch(
      /^Peppers\n\[x\] Sphagnum peat/,
    )
  })
  test('the sheet for the shop says how many of which pack, of each thing that is bought', () => {
    const garden = gardenOf([shelfItem('compost_green', { kind: 'loose', litres: 40 }, 6.5, 0)])
    const lines = shoppingList(garden, q())
    const compost = lines.find((l) => l.material.id === 'compost_green')!
    const csv = shoppingCsv({ lines, mixes: [], doses: [] }, ({ kind }) => `pack:${kind}`, 'metric')
    const row = csv.split('\n').find((line) => line.includes(compost.material.name))!
    expect(row).toContain(`,${Math.ceil(compost.litres / 40)},pack:loose,`)
  })
  test('on the sheet a finished mix and a feed have their packs, their grams, what is left and what they cost', () => {
    const mix = (name: string, origin: MixLine['mix']['origin']) => ({ name, origin })
    const bag = { counts: [3], leftover: 20, cost: 27 }
    const mixes = [
      { mix: mix('Bag mix', { kind: 'bag', litres: 40, price: 9 }), litres: 100, purchase: bag },
      { mix: mix('Own mix', { kind: 'made' }), litres: 60, purchase: null },
      { mix: mix('Ready mix', { kind: 'ready' }), litres: 30, purchase: null },
    ] as unknown as MixLine[]
    const packs = [
      { kg: 5, count: 0 },
      { kg: 1, count: 2 },
      { kg: 0.5, count: 1 },
    ]
    const doses = [
      { name: 'Bone meal', grams: 2300, purchase: { packs, cost: 9.5 } },
      { name: 'Kelp meal', grams: 40, purchase: { packs: [{ kg: 1, count: 0 }], cost: 0 } },
      { name: 'Lime', grams: 500, purchase: null },
    ] as unknown as DoseLine[]
    const csv = shoppingCsv(
      { lines: [], mixes, doses },
      (p) => `${p.kind} ${'kg' in p ? p.kg : ''}`,
      'metric',
    )
    const rows = parse(csv, { bom: true, columns: true }) as Record<string, string>[]
    const rowOf = (name: string) => rows.find((r) => r.material === name)!
    const cell = (row: Record<string, string>, column: string) =>
      row[Object.keys(row).find((c) => c === column || c.startsWith(`${column},`))!]
    expect(['packs', 'pack', 'left over', 'cost'].map((c) => cell(rowOf('Bag mix'), c))).toEqual([
      '3',
      'loose ',
      '20.0',
      '27.00',
    ])
    expect(cell(rowOf('Own mix'), 'packs')).toBe('made first')
    expect(cell(rowOf('Ready mix'), 'packs')).toBe('on hand')
    expect(['grams', 'packs', 'pack', 'cost'].map((c) => cell(rowOf('Bone meal'), c))).toEqual([
      '2300',
      '2 + 1',
      'mass 1 + mass 0.5',
      '9.50',
    ])
    expect(['packs', 'pack'].map((c) => cell(rowOf('Kelp meal'), c))).toEqual(['0', 'mass 1'])
    expect(['grams', 'packs', 'cost'].map((c) => cell(rowOf('Lime'), c))).toEqual(['500', '', ''])
  })
  test('one list for two jobs is that of both, in fewer packs', () => {
    const both = shoppingList(gardenOf([]), [q(), q()])
    const alone = shoppingList(gardenOf([]), q())
    for (const [i, l] of both.entries()) {
      expect(l.litres).toBeCloseTo(2 * alone[i]!.litres, 9)
      expect(l.purchase.counts[0]!).toBeLessThanOrEqual(2 * alone[i]!.purchase.counts[0]!)
    }
  })
  test('what is screened out at home is bought on top', () => {
    const screened = { ...job(), readyAdded: [readyId('compost_screen_6', 'compost_green')] }
    expect(lostOnPreparing(screened).get('compost_green')).toBeCloseTo(0.12, 9)
    const more = shoppingList(gardenOf(), q(), { lost: lostOnPreparing(screened), bought: [] })
    const line = more.find((l) => l.material.id === 'compost_green')!
    expect(line.screened).toBeCloseTo(line.litres / 0.88 - line.litres, 9)
    // Whole bags of 40 L for what is not on hand, what is thrown out counted in: by hand.
    for (const stock of [0, 10, 1000]) {
      const garden = gardenOf([shelfItem('compost_green', { kind: 'loose', litres: 40 }, 6.5, stock)])
      const l = shoppingList(garden, q(), { lost: lostOnPreparing(screened), bought: [] }).find(
        (x) => x.material.id === 'compost_green',
      )!
      const need = line.litres / 0.88
      expect(l.purchase.fromStock).toBeCloseTo(Math.min(stock, need), 6)
      expect(l.purchase.litres).toBe(40 * Math.ceil(Math.max(0, need - stock) / 40))
    }
  })
  test('what everyone cleans loses its share unasked, and none where the step is left out', () => {
    // An old mix is sieved as a rule: 15 % stay in the sieve (preparation.json).
    expect(lostOnPreparing(job()).get('potting_mix_recycled')).toBeCloseTo(0.15, 9)
    const left = { ...job(), readyLeft: [readyId('old_mix_refresh', 'potting_mix_recycled')] }
    expect(lostOnPreparing(left).has('potting_mix_recycled')).toBe(false)
  })
  test('2026-11-29: what is screened twice loses a share of what the first left, not the sum', () => {
    const twice = {
      ...job(),
      readyAdded: [
        readyId('compost_screen_12', 'compost_green'),
        readyId('compost_screen_6', 'compost_green'),
      ],
    }
    // 8 % thrown out by the coarse screen, then 12 % of the 92 % that is left.
    expect(lostOnPreparing(twice).get('compost_green')).toBeCloseTo(1 - 0.92 * 0.88, 9)
  })
  test('a pack entered in fields comes back the same', () => {
    for (const pack of [
      { kind: 'loose', litres: 50 },
      { kind: 'compressed', litres: 107, swell: 1.8 },
      { kind: 'block', kg: 5, litresPerKg: 13 },
      { kind: 'mass', kg: 25 },
      { kind: 'bulk', litres: 500 },
    ] as const) {
      const offer = {
        pack,
        price: 12,
        place: 'yard',
        seenOn: '2026-03-01',
        delivery: pack.kind === 'bulk' ? 30 : 0,
      }
      expect(offerOf(draftOf(offer))).toEqual(offer)
    }
    expect(
      offerOf(draftOf({ pack: { kind: 'own' }, price: null, place: '', seenOn: null, delivery: 0 })).price,
    ).toBe(0)
  })
})

describe('feed and finished mixes bought', () => {
  /** Bone meal in packs of a kilogram at 4.50, 0.2 kg of it on the shelf. */
  const pack: DressingPack = {
    dressingId: 'bone_meal',
    kg: 1,
    price: 4.5,
    place: '',
    seenOn: null,
    others: [],
    stock: 0.2,
  }
  const garden = (): Garden => new Map<string, AnyData>([...gardenOf(), [dressingPackKey('bone_meal'), pack]])
  const total = (id: string, grams: number) => ({
    id,
    name: id,
    bulkDensity: 0.9,
    grams,
    place: { kind: 'throughout' as const },
    isLime: false,
  })
  const totals = [total('bone_meal', 900), total('kelp_meal', 100), total('bone_meal', 600)]
  const had = { id: 'bone_meal', amount: 0.3, paid: 2, lot: 'B' }
  test('one feed in two places is bought once: what both take less what is on hand, in whole packs', () => {
    const [first, kelp, second] = doseLines(garden(), totals)
    // 1.5 kg less 0.2: two packs, 0.7 kg left.
    expect(first!.purchase).toMatchObject({ need: 1.5, fromStock: 0.2, bought: 2, cost: 9 })
    expect(first!.purchase!.leftover).toBeCloseTo(0.7, 9)
    expect(first!.purchase!.packs).toEqual([{ kg: 1, price: 4.5, count: 2 }])
    expect(first!.stock).toBe(0.2)
    // Of one with neither pack nor price nothing is known to buy.
    expect([kelp!.purchase, second!.purchase]).toEqual([null, null])
    // What was bought already counts as on hand: 1.5 less 0.2 and 0.3 is one pack.
    const [after] = doseLines(garden(), totals, [had])
    expect(after!.bought).toEqual(had)
    expect(after!.purchase).toMatchObject({ need: 1.5, fromStock: 0.5, bought: 1, cost: 4.5, leftover: 0 })
  })
  test('money: bags are paid whole, and what goes in is worth its share of them', () => {
    const mix = {
      id: 'mix:a',
      name: 'Bag mix',
      origin: { kind: 'bag', litres: 40, price: 9 },
    } as unknown as InnerMix
    const bags = {
      counts: [3],
      litres: 120,
      leftover: 20,
      cost: 27,
      fromStock: 0,
    } as unknown as MixLine['purchase']
    const mixes: MixLine[] = [
      { mix, litres: 100, bought: null, purchase: bags },
      { mix: { ...mix, id: 'mix:b', origin: { kind: 'made' } }, litres: 50, bought: null, purchase: null },
    ]
    const { lines, paid, used } = moneyOf(garden(), [], mixes, doseLines(garden(), totals))
    // 100 of 120 L that cost 27; 1.5 of 2 kg that cost 9.
    expect(lines).toEqual([
      { id: 'mix:a', paid: 27, used: 22.5 },
      { id: 'bone_meal', paid: 9, used: 6.75 },
    ])
    expect([paid, used]).toEqual([36, 29.25])
    // Off the shelf alone it is worth what it costs to buy; paid is nothing.
    const plenty = new Map<string, AnyData>([
      ...garden(),
      [dressingPackKey('bone_meal'), { ...pack, stock: 9 }],
    ])
    expect(moneyOf(plenty, [], [], doseLines(plenty, totals)).lines).toEqual([
      { id: 'bone_meal', paid: 0, used: 6.75 },
    ])
  })
  test('what is left of a feed, of what was bought, and of a stuff that went in though it was not listed', () => {
    const doses = doseLines(garden(), totals, [had])
    const left = leftOver(garden(), [], doses, new Map([['compost_green', 25]]))
    expect(left.find((l) => l.id === 'bone_meal')).toMatchObject({
      unit: 'kg',
      had: 0.2,
      bought: 0.3,
      used: 1.5,
      left: expect.closeTo(-1, 9) as number,
      leftIfBought: expect.closeTo(0, 9) as number,
    })
    // 60 L were on hand.
    expect(left.find((l) => l.id === 'compost_green')).toMatchObject({
      unit: 'litres',
      had: 60,
      used: 25,
      left: 35,
    })
    expect(left.find((l) => l.id === 'kelp_meal')).toBeUndefined()
    const shelf = shelfWith(
      garden(),
      new Map([
        ['bone_meal', 0.70049],
        ['compost_green', -3],
        ['no such', 1],
      ]),
    )
    expect(shelf.dressings).toEqual([{ ...pack, stock: 0.7 }])
    expect(shelf.materials).toMatchObject([{ materialId: 'compost_green', stock: 0 }])
  })
})

describe('the shelf as stock', () => {
  test('what was bought goes on it, what went in comes off, and undo has both', () => {
    const garden = gardenOf()
    const bought = [{ id: 'peat_medium', amount: 203, paid: 31, lot: 'A7' }]
    expect(shelvedOf(garden, bought).materials).toMatchObject([{ materialId: 'peat_medium', stock: 203 }])
    const ticked = { ...job(), bought }
    const with2 = shoppingList(garden, q(), { lost: new Map(), bought })
    const left = leftOver(garden, with2, [])
    const peat = left.find((l) => l.id === 'peat_medium')!
    expect(peat.left).toBeCloseTo(203 - peat.used, 9)
    const record = recordFrom(ticked, q(), {
      id: 'r',
      madeOn: '2026-04-01',
      note: '',
      jobName: 'Peppers',
      money: moneyOf(garden, with2, [], []),
    })
    expect(record.measured.find((m) => m.materialId === 'peat_medium')).toMatchObject({ lot: 'A7' })
    expect(record.paid).toBe(55)
    garden.set(jobKey('j'), ticked)
    const shelf = shelfWith(garden, new Map(left.map((l) => [l.id, Math.max(0, l.left)])))
    const changes = changesOf(garden, { type: 'job/finish', jobId: 'j', record, shelf })
    expect(changes.map((c) => c.key)).toEqual([
      recordKey('r'),
      jobKey('j'),
      shelfKey('peat_medium'),
      shelfKey('compost_green'),
      shelfKey('perlite_coarse'),
    ])
    for (const c of changes) garden.set(c.key, c.after!)
    expect((garden.get(jobKey('j')) as Job).bought).toEqual([])
    for (const c of [...changes].reverse()) {
      if (c.before) garden.set(c.key, c.before)
      else garden.delete(c.key)
    }
    expect(shelfItemOf(garden, 'compost_green')!.stock).toBe(60)
    expect(jobOf(garden, 'j')!.bought).toEqual(bought)
  })
  test('never goes below zero without a question', () => {
    const left = leftOver(gardenOf(), list(), [])
    const perlite = left.find((l) => l.id === 'perlite_coarse')!
    expect(isShort(perlite)).toBe(true)
    const said = leftText(perlite, 'metric')
    expect(said.question).toMatch(/more went in than there was\. What is left of it\?$/)
    expect(said.answers.map((a) => a.value)).toEqual(['none', 'bought'])
    expect(perlite.leftIfBought).toBeCloseTo(perlite.left + 100, 9)
    expect(isShort(left.find((l) => l.id === 'compost_green')!)).toBe(false)
    // What nobody keeps count of is not asked about.
    expect(left.some((l) => l.id === 'peat_medium')).toBe(false)
    for (const item of shelfWith(gardenOf(), new Map([['perlite_coarse', -3]])).materials)
      expect(item.stock).toBe(0)
  })
  const find = (name: string) =>
    materialById(name) ?? (name === 'Pumice' ? materialById('pumice') : undefined)
  test('a sheet of it goes out and comes in the same, in both units', () => {
    const items: ShelfItem[] = [
      {
        ...SHELF()[0]!,
        place: 'yard, by the gate',
        seenOn: '2026-02-03',
        others: [
          { pack: { kind: 'loose', litres: 50 }, price: 9.5, place: '=shop', seenOn: null, delivery: 0 },
          { pack: { kind: 'bulk', litres: 1000 }, price: 60, place: '', seenOn: null, delivery: 45 },
        ],
      },
      { ...SHELF()[1]!, stock: 12.5 },
      shelfItem('coir_pith', { kind: 'block', kg: 5, litresPerKg: 14 }, null, 0),
      shelfItem('leaf_mould', { kind: 'own' }, 0, 0),
    ]
    for (const units of ['metric', 'us'] as const) {
      const text = shelfToCsv(items, (id) => id, units)
      const { items: back, problems } = shelfFromText(text, { garden: new Map(), find, units })
      expect(problems).toEqual([])
      expect(back).toEqual(items)
      // Another library reads the same rows.
      const other = Papa.parse<Record<string, string>>(text.slice(1), { header: true })
      expect(other.errors).toEqual([])
      expect(other.data).toHaveLength(6)
    }
  })
  test('what is wrong in a sheet is reported by row and column, and the rest is taken', () => {
    const text = [
      'material,sold as,size,price,seen on,on hand',
      'Pumice,bag,20,11,,5',
      'Moon dust,bag,20,1,,',
      'pumice,carton,20,1,,',
      'peat_medium,pressed bale,1.2.3,1,,',
      'peat_fine,bag,0,1,,',
      'perlite_fine,bag,10,-4,,',
      'perlite_medium,bag,10,4,soon,',
    ].join('\n')
    const { items, problems } = shelfFromText(text, { garden: new Map(), find, units: 'metric' })
    expect(items).toMatchObject([{ materialId: 'pumice', stock: 5, price: 11 }])
    expect(problems.map((p) => [p.row, 'column' in p.why ? p.why.column : ''])).toEqual([
      [3, 'material'],
      [4, 'sold as'],
      [5, 'size'],
      [6, 'size'],
      [7, 'price'],
      [8, 'seen on'],
    ])
    expect(shelfFromText('a,b\n1,2', { garden: new Map(), find, units: 'metric' }).problems).toMatchObject([
      { row: 1 },
    ])
  })
  test('a row without stock leaves what is on hand as it was', () => {
    const { items } = shelfFromText('material,sold as,size\ncompost_green,bag,60', {
      garden: gardenOf(),
      find,
      units: 'metric',
    })
    expect(items[0]).toMatchObject({ stock: 60, pack: { kind: 'loose', litres: 60 } })
  })
})

describe('the timetable', () => {
  const place = once<Place>(() => startingPlace(CLIMATES[0]!))
  const at = (over: Partial<Job>, today = '2026-04-10', where: Place | undefined = place()) => {
    const one = { ...job(), ...over }
    const quantities = valueOf(quantitiesOf(one, prepareJob(one, undefined, PUBLISHED)))
    return timetable({
      job: one,
      place: where,
      list: shoppingList(gardenOf([]), quantities),
      doses: doseTotals(one, quantities),
      today,
    })
  }
  test('works back from the mixing day: the evening before for peat, the day itself for the bag of perlite', () => {
    const table = at({ mixOn: '2026-04-20' })
    expect(table.before.map((s) => [s.id, s.begin, s.ready])).toEqual([
      ['peat_soak:peat_medium', '2026-04-19', '2026-04-20'],
      ['perlite_rinse:perlite_coarse', '2026-04-20', '2026-04-20'],
    ])
    expect(table).toMatchObject({ said: true, buyBy: '2026-04-18', clashes: [] })
    expect(table.offered.map((o) => o.id)).toContain('compost_screen_12:compost_green')
    const said = stepText(table.before[0]!, 'metric')
    expect(said).toMatchObject({ takes: '12 hours', when: '19 Apr to 20 Apr 2026' })
    expect(said.text).toMatch(/About \d+(\.\d)? L of water\.$/)
  })
  test('without a day: so that it is ready by planting, and never before what takes longest', () => {
    expect(at({ plantMonth: 6 }).mixOn).toBe('2026-06-15')
    expect(at({ plantMonth: null })).toMatchObject({
      mixOn: '2026-04-11',
      said: false,
      planted: { said: false },
    })
    const charged = at({ parts: [...job().parts, { materialId: 'biochar_raw', twelfths: 6 }] })
    // Two weeks at 20 C, longer in a cool April.
    expect(charged.before[0]).toMatchObject({ about: 'biochar_raw', begin: '2026-04-10' })
    expect(charged.mixOn > '2026-04-24').toBe(true)
    expect(charged.mixOn).toBe(charged.earliest)
  })
  test('several steps of one material follow each other', () => {
    const washed = at({
      mixOn: '2026-04-20',
      parts: [{ materialId: 'coir_pith', twelfths: 48 }, ...job().parts],
      readyAdded: ['coir_wash:coir_pith', 'coir_buffer:coir_pith'],
    })
    const coir = washed.before.filter((s) => s.about === 'coir_pith')
    expect(coir.map((s) => [s.prep.id, s.begin, s.ready])).toEqual([
      ['coir_swell', '2026-04-18', '2026-04-18'],
      ['coir_wash', '2026-04-18', '2026-04-19'],
      ['coir_buffer', '2026-04-19', '2026-04-20'],
    ])
  })
  test('a step may be begun sooner, with what comes before it; never too late to be over', () => {
    const own = (on: string, over: Partial<Job> = {}) =>
      at({ mixOn: '2026-04-20', movedDays: [{ step: 'peat_soak:peat_medium', on }], ...over })
    const sooner = own('2026-04-15')
    expect(sooner.before[0]).toMatchObject({
      begin: '2026-04-15',
      ready: '2026-04-16',
      movedFrom: '2026-04-19',
      late: false,
    })
    // The day before the first step.
    expect(sooner.buyBy).toBe('2026-04-14')
    expect(own('2026-04-25').before[0]).toMatchObject({ begin: '2026-04-19' })
    // Begun sooner than today, and not needed before: nothing is late, and the soonest mixing day is as it was.
    const past = own('2026-04-02')
    expect(past.clashes).toEqual([])
    expect(past.earliest).toBe(at({ mixOn: '2026-04-20' }).earliest)
  })
  test('tells what clashes: begun too late, planted too soon, too cold', () => {
    const late = at({ mixOn: '2026-04-10' })
    expect(late.clashes.map((c) => c.code)).toEqual(['begun-too-late'])
    expect(clashText(late.clashes[0]!, 'metric').fix).toBe(
      'Begun today, it can be mixed on 11 Apr 2026 at the earliest.',
    )
    expect(at({ mixOn: '2026-04-10', readySteps: ['peat_soak:peat_medium'] }).clashes).toEqual([])
    const sour = at({
      mixOn: '2026-04-20',
      plantMonth: 5,
      dressings: [lineOf('sulfur_elemental', 1)],
    })
    expect(sour.clashes.map((c) => c.code)).toContain('planted-too-soon')
    expect(sour.after[0]).toMatchObject({ prep: { id: 'sulfur_react' }, begin: '2026-04-20' })
    const cold = { ...place(), months: place().months.map((m) => ({ ...m, tMin: -4, tMax: 4 })) }
    const frozen = at({ mixOn: '2026-01-20', dressings: [lineOf('sulfur_elemental', 1)] }, '2026-01-02', cold)
    expect(frozen.clashes.map((c) => c.code)).toContain('too-cold')
    for (const c of [...late.clashes, ...sour.clashes, ...frozen.clashes])
      expect(clashText(c, 'us').why.length).toBeGreaterThan(20)
  })
  test('D10: what is held back is not in the mix: nothing rests for it, and the mixing day stays', () => {
    const held = { ...lineOf('alfalfa_meal', 4), place: { kind: 'heldBack' as const, from: 150 } }
    const without = at({ plantMonth: 6, dressings: [] })
    const stirred = at({ plantMonth: 6, dressings: [lineOf('alfalfa_meal', 4)] })
    const later = at({ plantMonth: 6, dressings: [held] })
    // Stirred in, it heats and rests for some weeks before planting.
    expect([stirred.after.length > without.after.length, stirred.mixOn < without.mixOn]).toEqual([true, true])
    expect([later.mixOn, later.after]).toEqual([without.mixOn, without.after])
  })
  test('usual steps can be left out and others added; what is ticked stays ticked', () => {
    const left = at({ readyLeft: ['peat_soak:peat_medium'], readySteps: ['perlite_rinse:perlite_coarse'] })
    expect(left.before.map((s) => [s.id, s.done])).toEqual([['perlite_rinse:perlite_coarse', true]])
    expect(left.offered.map((o) => o.id)).toContain('peat_soak:peat_medium')
  })
  test('the grower’s own compost wants what the one it is like wants', () => {
    const one = { ...job(), mixOn: '2026-04-20' }
    const quantities = valueOf(quantitiesOf(one, prepareJob(one, undefined, PUBLISHED)))
    const own = shoppingList(gardenOf([]), quantities).map((l) =>
      l.material.id === 'peat_medium' ? { ...l, material: { ...l.material, id: 'own:peat' } } : l,
    )
    const given = { job: one, place: place(), list: own, doses: [], today: '2026-04-10' }
    expect(timetable(given).before.map((s) => s.id)).not.toContain('peat_soak:own:peat')
    const likes = new Map([['own:peat', 'peat_coarse']])
    expect(timetable({ ...given, likes }).before.map((s) => s.id)).toContain('peat_soak:own:peat')
  })
  test('goes into a calendar: what is open, each with a name that stays, and the mixing day', () => {
    const table = at({ mixOn: '2026-04-20', readySteps: ['perlite_rinse:perlite_coarse'] })
    const tasks = prepareTasks({ jobId: 'j', name: 'Peppers' }, table, (s) => stepText(s, 'metric'), {
      title: 'Buy',
      text: '',
    })
    expect(tasks.map((t) => [t.uid, t.on])).toEqual([
      ['j-buy@open-bed', '2026-04-18'],
      ['j-ready-peat-soak-peat-medium@open-bed', '2026-04-19'],
      ['j-mix@open-bed', '2026-04-20'],
    ])
  })
  test('says its days and how long things take as people do', () => {
    expect([10 / 1440, 1 / 24, 0.5, 1, 3, 14, 70, 180].map(durationText)).toEqual([
      '10 minutes',
      'an hour',
      '12 hours',
      '24 hours',
      '3 days',
      '2 weeks',
      '2 months',
      '6 months',
    ])
    expect(mixingDayText(at({ plantMonth: 6 }))).toBe(
      'No mixing day yet: as if it were mixed on 15 Jun 2026. Planted about 15 Jun 2026, the middle of the month you chose.',
    )
  })
})

describe('made otherwise', () => {
  const index = 1
  const plannedPeat = q().plan.batches[index]!.measures.find((m) => m.id === 'peat_medium')!.litres
  const short = {
    materialId: 'peat_medium',
    litres: plannedPeat / 2,
    instead: { materialId: 'coir_pith', litres: plannedPeat / 2 },
    onward: false,
  }
  test('a batch that ran short is worked out as it went in, its lime too', () => {
    const otherwise = otherwiseAfter([], q().plan, index, short)
    expect(otherwise).toEqual([
      {
        batch: 1,
        materialId: 'peat_medium',
        litres: plannedPeat / 2,
        instead: { materialId: 'coir_pith', litres: plannedPeat / 2 },
      },
    ])
    const made = { ...job(), otherwise }
    const remade = remadeBatches(made, q(), prepared())
    const cards = batchCards(made, q(), remade)
    const plain = batchCards(job(), q())
    const litres = (card: (typeof cards)[number]) =>
      card.lines.reduce((s, l) => s + (l.kind === 'measure' ? l.litres : 0), 0)
    expect(litres(cards[index]!)).toBeCloseTo(litres(plain[index]!), 9)
    expect(cards[index]!.lines.map((l) => l.id)).toContain('peat_medium>coir_pith')
    const lime = (card: (typeof cards)[number]) =>
      card.lines.reduce((s, l) => s + (l.kind === 'dose' && l.id.startsWith('lime') ? l.grams : 0), 0)
    // Coir is less sour than peat: it wants less lime; the other batches as planned.
    expect(lime(cards[index]!)).toBeLessThan(0.8 * lime(plain[index]!))
    expect(cards[0]).toEqual(plain[0])
    // The lime of the card is what the mix as made asks for.
    const alone = valueOf(madeMix(prepared(), measuresAsMade(q().plan.batches[index]!, index, otherwise)))
    expect(lime(cards[index]!)).toBeCloseTo(alone.limeGramsPerLitre * alone.blendLitres, 6)
    expect(otherwiseTexts(made, q().plan, 'metric')[0]).toMatch(
      /^Batch 2: .* of Sphagnum peat, medium instead of .*, .* of Coir pith in its place\.$/,
    )
  })
  test('the batches after it go the same way where the grower says so, by proportion', () => {
    const all = otherwiseAfter([], q().plan, 0, { ...short, litres: 0, instead: null, onward: true })
    expect(all.map((o) => o.batch)).toEqual(q().plan.batches.map((_, i) => i))
    expect(totalsAsMade(q().plan, all).some((t) => t.id === 'peat_medium')).toBe(false)
    // Said again as planned, nothing is otherwise.
    const again = otherwiseAfter(all, q().plan, 0, {
      ...short,
      litres: q().plan.batches[0]!.measures[0]!.litres,
      instead: null,
      onward: true,
    })
    expect(again).toEqual([])
  })
  test('is recorded as it was made, and changing the plan takes it away', () => {
    const otherwise = otherwiseAfter([], q().plan, index, short)
    const made = { ...job(), otherwise, tally: { of: '1:peat_medium', count: 2 } }
    const remade = remadeBatches(made, q(), prepared())
    const all = valueOf(madeMix(prepared(), totalsAsMade(q().plan, otherwise)))
    const record = recordFrom(made, q(), {
      id: 'r',
      madeOn: '2026-04-01',
      note: '',
      jobName: '',
      made: all,
      remade,
    })
    const of = (id: string) => record.measured.find((m) => m.materialId === id)?.litres
    expect(of('coir_pith')).toBeCloseTo(plannedPeat / 2, 9)
    expect(of('peat_medium')).toBeCloseTo(
      q().plan.totals.find((t) => t.id === 'peat_medium')!.litres - plannedPeat / 2,
      9,
    )
    expect(record.predicted.pH).toBe(all.evaluation.lime.pH)
    expect(record.limes.reduce((s, l) => s + l.grams, 0)).toBeLessThan(
      recordFrom(job(), q(), { id: 'r', madeOn: '2026-04-01', note: '', jobName: '' }).limes.reduce(
        (s, l) => s + l.grams,
        0,
      ),
    )
    const garden: Garden = new Map([[jobKey('j'), made]])
    const [change] = changesOf(garden, { type: 'job/plan', jobId: 'j', plan: { bucket: 8 } })
    expect(change!.after).toMatchObject({ otherwise: [], tally: null })
  })
  test('nothing measured at all is a problem, not a mix', () => {
    expect(madeMix(prepared(), []).ok).toBe(false)
  })
})

describe('at the tub', () => {
  const evaluation = q().asMeasured
  const bands = prepared().bands
  const read = {
    job: job(),
    bands,
    evaluation,
    blendLitres: q().plan.batches[0]!.blendLitres,
    tables: PUBLISHED,
  }
  test('a pH lower than expected asks for lime, in grams and spoons; once it is in, for none', () => {
    const expected = valueOf(phCheck(read, [{ value: 6, day: 7 }])).expected
    const low = { value: expected - 0.6, day: 7 }
    const check = valueOf(phCheck(read, [low]))
    expect(check.add!.dressingId).toMatch(/^lime_/)
    expect(check.add!.grams).toBeGreaterThan(20)
    expect(check.withIt).toBeCloseTo(job().lime.target, 1)
    expect(phCheckText(check, low.value, 'metric').text).toMatch(
      /was expected: 0\.6 lower\. By itself .* Stir in .* (tablespoon|cup)/,
    )
    const fine = valueOf(phCheck(read, [{ value: expected, day: 7 }]))
    expect(fine.add).toBeNull()
    expect(phCheckText(fine, expected, 'us').action).toBe('')
  })
  test('T1: pH 5.0 after a fortnight with lime in it gets its grams, and a day to look again', () => {
    const check = valueOf(phCheck(read, [{ value: 5, day: 14 }]))
    expect(check.add!.grams).toBeGreaterThan(0)
    expect(check.withIt).toBeGreaterThan(check.goesTo)
    expect(phCheckText(check, 5, 'metric').text).toMatch(/Stir in .* Read it again in two weeks\.$/)
  })
  test('T1: any reading from 3 to 9 is answered with something to do, or with what then', () => {
    for (const value of [3, 4, 5, 6, 7, 8, 9])
      for (const day of [0, 14, 60]) {
        const check = valueOf(phCheck(read, [{ value, day }]))
        const { text } = phCheckText(check, value, 'us')
        expect(text.length).toBeGreaterThan(40)
        expect(text).not.toMatch(/NaN|undefined/)
      }
  })
  test('lime put in after a reading counts for the next one', () => {
    const low = { value: 4.6, day: 3 }
    const check = valueOf(phCheck(read, [low]))
    const added = check.add!
    const later = valueOf(phCheck(read, [{ value: check.withIt - 0.1, day: 42 }], [added]))
    expect(later.add).toBeNull()
  })
  test('one far too high asks for sulfur', () => {
    const check = valueOf(
      phCheck(
        {
          ...read,
          job: { ...job(), cropId: 'blueberry', lime: { ...job().lime, mode: 'none' } },
          bands: { pH: { low: 4.5, high: 5.5 } },
        },
        [{ value: 7.4, day: 40 }],
      ),
    )
    expect(check.add).toMatchObject({ dressingId: 'sulfur_elemental' })
    expect(phCheckText(check, 7.4, 'metric').text).toContain('sulfur')
  })
  test('salts are compared with what was expected and what the crop takes', () => {
    const check = saltCheck(bands, evaluation, 0.6)
    expect(check.expected).toBe(evaluation.salts.mix.electricalConductivity.oneToTwo)
    expect(saltCheck(bands, evaluation, 6)).toMatchObject({ isTooMuch: true })
    expect(saltCheck(bands, evaluation, check.most! * 0.99).isTooMuch).toBe(false)
    expect(saltCheck(bands, evaluation, check.most! * 1.01).isTooMuch).toBe(true)
    expect(saltCheckText(saltCheck(bands, evaluation, 6))).toContain('flush each container')
    expect(saltCheck({ electricalConductivity: null }, evaluation, 6)).toMatchObject({
      most: null,
      isTooMuch: false,
    })
  })
  test('big steps count every filling, and what is said aloud has no signs', () => {
    const [line] = batchCards(job(), q())[0]!.lines
    const presses = pressesOf(line!)
    const sum = presses.reduce(
      (s, p) => s + (p.twelfths / 12) * (p.tool === 'bucket' ? job().plan.bucket : job().plan.scoop),
      0,
    )
    expect(line!.kind === 'measure' && line!.litres).toBeCloseTo(sum, 9)
    expect(countIn({ of: `0:${line!.id}`, count: 2 }, 0, line!)).toBe(2)
    expect(countIn({ of: `1:${line!.id}`, count: 2 }, 0, line!)).toBe(0)
    const made = { ...line!, twelfths: 30, scoopTwelfths: 12 } as typeof line
    expect(pressesOf(made!).map((_, i, all) => pressText(all, i))).toEqual([
      'bucket 1 of 2',
      'bucket 2 of 2',
      '½ bucket',
      'a scoop',
    ])
    for (const card of batchCards(job(), q()))
      for (const l of card.lines) expect(spokenText(l, 'metric')).not.toMatch(/[½¼¾⅓⅔]/)
  })
  test('timers tell what is left, and since when they are over', () => {
    expect([65, 3600 + 61, 0, -59, -600, -9000].map(countdownText)).toEqual([
      '1:05',
      '1:01:01',
      'Time',
      'Time',
      'Time, 10 min ago',
      'Time, 2 h ago',
    ])
  })
})

test('a label says what is in a pot within its lines, with what was read before what is expected', () => {
  const garden = demoGarden()
  for (const key of garden.keys()) {
    if (!key.startsWith('job/')) continue
    const one = garden.get(key) as Job
    const quantities = quantitiesOf(one, prepareJob(one, undefined, PUBLISHED))
    if (!quantities.ok) continue
    for (const units of ['metric', 'us'] as const) {
      const label = labelText(
        { job: one, fill: one.fills[0]!, quantities: quantities.value, record: undefined },
        units,
      )
      expect(label.title.length).toBeLessThanOrEqual(20)
      for (const line of label.lines) expect(line.length, line).toBeLessThanOrEqual(27)
    }
  }
  const reading = {
    id: 'r',
    batch: 0,
    at: '2026-04-01T09:00:00.000Z',
    day: 3,
    kind: 'pH' as const,
    value: 5.9,
    expected: 6.1,
  }
  const read = labelText(
    { job: { ...job(), readings: [reading] }, fill: job().fills[0]!, quantities: q(), record: undefined },
    'metric',
  )
  expect(read.lines[2]).toMatch(/^pH 5\.9; lime /)
  expect(
    labelText({ job: job(), fill: job().fills[0]!, quantities: q(), record: undefined }, 'metric').lines[2],
  ).toMatch(/^pH about /)
})
