import { describe, expect, test } from 'vitest'
import { materialFiguresSchema, missingSources, TABLES } from '@/model/sheets/tableSchemas'
import {
  cropById,
  CROPS,
  FRAMES,
  framesFor,
  LIMES,
  MATERIALS,
  mayBeOffered,
  PURPOSES,
  purposeOf,
  SOIL_FROM,
  takes,
  type PurposeQuestion,
} from '.'
import cropsFile from './crops.json'
import figuresFile from './cropFigures.json'
import materialFiguresFile from './materialFigures.json'
import materialsFile from './materials.json'
import { DRESSINGS } from './dressings'
import { GROWTH } from './growth'
import { PREP_STEPS } from '../preparing'
import { SEASONS } from './seasons'
import { citationOf, SOURCES } from './sources'

const once = (list: readonly { id: string; name: string }[]) => {
  expect(new Set(list.map((m) => m.id)).size).toBe(list.length)
  expect(new Set(list.map((m) => m.name)).size).toBe(list.length)
}

describe('data tables', () => {
  test('fit their schemas, and every source is listed', () => {
    for (const [file, table] of [
      ['materials.json', materialsFile],
      ['materialFigures.json', materialFiguresFile],
      ['crops.json', cropsFile],
      ['cropFigures.json', figuresFile],
      ['seasons.json', SEASONS],
      ['growth.json', GROWTH],
      ['dressings.json', DRESSINGS],
      ['preparation.json', PREP_STEPS],
      ['sources.json', SOURCES],
    ] as const) {
      const result = TABLES[file].safeParse(table)
      expect(result.error?.issues[0], file).toBeUndefined()
      if (file !== 'sources.json') expect(missingSources(table, SOURCES), file).toEqual([])
    }
  })
  test('hold at least 40 materials, 60 dressings and 90 crops, each once', () => {
    expect(MATERIALS.length).toBeGreaterThanOrEqual(40)
    expect(DRESSINGS.length).toBeGreaterThanOrEqual(60)
    expect(CROPS.length).toBeGreaterThanOrEqual(90)
    for (const list of [MATERIALS, DRESSINGS, CROPS]) once(list)
  })
  test('a broken row is reported by name', () => {
    const row = structuredClone(materialFiguresFile[0]!)
    row.properties.waterAt50Cm.value = row.properties.waterAt50Cm.high = 0.99
    const result = materialFiguresSchema.safeParse(row)
    expect(result.error?.issues[0]?.message).toBe('peat_fine: water at 50 cm is above that at 10')
    expect(missingSources([{ source: 'nobody' }], SOURCES)).toEqual(['nobody'])
  })
  test('every step of getting ready is for things the tables have, each once', () => {
    const known = new Set([...MATERIALS, ...DRESSINGS, ...LIMES].map((m) => m.id))
    for (const s of PREP_STEPS)
      expect(
        s.appliesTo.filter((id) => !known.has(id)),
        s.id,
      ).toEqual([])
    expect(new Set(PREP_STEPS.map((s) => s.id)).size).toBe(PREP_STEPS.length)
  })
  test('a material is its row and its figures', () => {
    expect(materialFiguresFile.map((f) => f.material)).toEqual(materialsFile.map((m) => m.id))
    for (const [i, row] of materialsFile.entries()) {
      const { material, ...figures } = materialFiguresFile[i]!
      expect(MATERIALS[i]).toEqual({ ...row, ...figures })
      expect(material).toBe(row.id)
    }
  })
  test('a crop is its row and its figures', () => {
    expect(figuresFile.map((f) => f.crop)).toEqual(cropsFile.map((c) => c.id))
    for (const [i, row] of cropsFile.entries()) {
      const { crop, ...figures } = figuresFile[i]!
      expect(CROPS[i]).toEqual({ ...row, ...figures })
      expect(crop).toBe(row.id)
    }
  })
  test('every crop has its season once, and what stays for years has its cold', () => {
    expect(SEASONS.map((s) => s.crop)).toEqual(CROPS.map((c) => c.id))
    for (const c of CROPS.filter((c) => c.perennial))
      expect(SEASONS.find((s) => s.crop === c.id)!.standsTo, c.id).not.toBeNull()
  })
  test('every crop has its growth once; leaf grows, and what stays bears in some months', () => {
    expect(GROWTH.map((g) => g.crop).sort()).toEqual(CROPS.map((c) => c.id).sort())
    for (const c of CROPS) {
      const g = GROWTH.find((row) => row.crop === c.id)!
      expect(g.leafAtPlanting, c.id).toBeLessThan(c.properties.canopyArea.value)
      if (c.perennial) expect(g.harvestMonths.length, c.id).toBeGreaterThan(0)
      const { initial, development, middle, late } = g.stages
      const total = initial + development + middle + late
      // Picking goes on after the first harvest; a year is all there is.
      if (!c.perennial) expect(total, c.id).toBeGreaterThan(c.properties.daysToMaturity.low * 0.9)
      expect(total, c.id).toBeLessThanOrEqual(366)
    }
  })
  test('an organic part holds no more carbon than wood or char can', () => {
    for (const m of MATERIALS) {
      const carbon = m.properties.nitrogen.value * (m.properties.carbonToNitrogen?.value ?? 0)
      expect(carbon, m.id).toBeLessThanOrEqual(m.family === 'char' ? 0.85 : 0.6)
    }
  })
  test('a neutralising value agrees with the calcium and magnesium it comes from', () => {
    // Wood ash holds sulfate and silicate besides; the rest are carbonates or hydroxide.
    for (const lime of LIMES.filter((l) => l.id !== 'wood_ash')) {
      const fromMetals = 100.0869 * (lime.calcium / 40.078 + lime.magnesium / 24.305)
      expect(Math.abs(fromMetals - lime.calciumCarbonateEquivalent.value), lime.id).toBeLessThan(0.03)
    }
  })
  test('a source key reads as a citation, a family key as what it is', () => {
    expect(citationOf('fao-56')).toContain('Irrigation and Drainage Paper 56')
    expect(citationOf('family:bark')).toContain('bark')
  })
})

describe('what a material is for', () => {
  const pot = { tender: false, litres: 20, inGround: false, carried: false }
  const may = (id: string, change: Partial<typeof pot> = {}) =>
    mayBeOffered(
      MATERIALS.find((m) => m.id === id)!,
      { ...pot, ...change },
    )
  test('mulch, layers, dressings and what is raw are never parts of a mix that is offered', () => {
    for (const id of ['bark_mulch_shredded', 'gravel_pea', 'rock_dust', 'biochar_raw', 'wood_chips_fresh'])
      expect(may(id), id).toBe(false)
    for (const id of ['peat_medium', 'perlite_coarse', 'compost_green']) expect(may(id), id).toBe(true)
  })
  test('soil belongs in large containers and in the ground, never where a floor has to bear it', () => {
    expect([may('soil_loam', { litres: 59 }), may('soil_loam', { litres: 60 })]).toEqual([false, true])
    expect(may('soil_loam', { inGround: true })).toBe(true)
    expect(may('soil_loam', { litres: 400, carried: true })).toBe(false)
  })
  test('a large bed on soil is filled by the load; seeds get nothing with germs in it', () => {
    expect(may('peat_medium', { inGround: true, litres: 199 })).toBe(true)
    expect(may('peat_medium', { inGround: true, litres: 200 })).toBe(false)
    expect(may('compost_green', { inGround: true, litres: 749 })).toBe(true)
    expect(may('compost_green', { tender: true })).toBe(false)
    expect(may('vermiculite_fine', { tender: true })).toBe(true)
  })
})

describe('what a mix is for', () => {
  const pot: PurposeQuestion = {
    stage: undefined,
    inGround: false,
    carried: false,
    reservoir: false,
    litres: 12,
  }
  const crop = (id: string) => {
    const { kind, moisture, perennial, pH, properties } = cropById(id)!
    return { kind, moisture, perennial, pH, rootVolume: properties.minRootVolume.value }
  }
  const of = (change: Partial<PurposeQuestion>) => purposeOf({ ...pot, ...change })
  test('seeds and cuttings first, then what the crop cannot do without, then the container', () => {
    expect(of({})).toBe('season')
    expect(of({ stage: 'seed', crop: crop('blueberry') })).toBe('sow')
    expect(of({ stage: 'cutting' })).toBe('root-cuttings')
    expect(of({ crop: crop('blueberry'), inGround: true })).toBe('acid')
    expect(of({ crop: crop('rosemary'), inGround: true })).toBe('bed-on-soil')
    expect(of({ crop: crop('rosemary'), reservoir: true })).toBe('dry')
    expect(of({ crop: crop('basil'), reservoir: true })).toBe('reservoir')
    expect(of({ crop: crop('lettuce'), carried: true })).toBe('aloft')
    expect(of({ crop: crop('fig') })).toBe('years')
    expect(of({ crop: crop('strawberry') })).toBe('season')
    expect([1, 2].map((years) => of({ years }))).toEqual(['season', 'years'])
    expect([199, 200].map((litres) => of({ litres }))).toEqual(['season', 'bed-on-paving'])
  })
  test('every frame can be filled to the whole, by materials of the tables', () => {
    for (const purpose of PURPOSES)
      for (const frame of FRAMES[purpose]) {
        const sum = (end: 'low' | 'high') => frame.reduce((s, slot) => s + slot[end], 0)
        expect(sum('low'), purpose).toBeLessThanOrEqual(1)
        expect(sum('high'), purpose).toBeGreaterThanOrEqual(1)
        for (const slot of frame)
          expect(
            MATERIALS.some((m) => takes(slot, m)),
            purpose,
          ).toBe(true)
      }
  })
  test('no frame takes what is for something else, and soil only where it is borne and not in a small pot', () => {
    for (const purpose of PURPOSES)
      for (const slot of FRAMES[purpose].flat())
        for (const id of [
          'wood_chips_fresh',
          'gravel_pea',
          'rock_dust',
          'biochar_raw',
          'potting_mix_recycled',
        ])
          expect(
            takes(
              slot,
              MATERIALS.find((m) => m.id === id)!,
            ),
            `${purpose} ${id}`,
          ).toBe(false)
    const soil = MATERIALS.find((m) => m.id === 'soil_loam')!
    const hasSoil = (change: Partial<PurposeQuestion>) =>
      framesFor({ ...pot, ...change }).some((frame) => frame.some((slot) => takes(slot, soil)))
    const olive = crop('olive')
    expect([SOIL_FROM - 1, SOIL_FROM].map((litres) => hasSoil({ crop: olive, litres }))).toEqual([
      false,
      true,
    ])
    expect(hasSoil({ crop: olive, litres: 300, carried: true })).toBe(false)
    expect(hasSoil({ litres: 30, inGround: true })).toBe(true)
    // Seeds get nothing that brings weeds and damping-off.
    for (const id of ['soil_loam', 'compost_green', 'manure_cattle_composted'])
      for (const slot of FRAMES.sow.flat())
        expect(
          takes(
            slot,
            MATERIALS.find((m) => m.id === id)!,
          ),
          id,
        ).toBe(false)
  })
})
