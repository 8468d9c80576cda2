import { describe, expect, test } from 'vitest'
import { CROPS, MATERIALS } from '@/core/data'
import { DRESSINGS } from '@/core/data/dressings'
import { cropFindable, dressingFindable, materialFindable, namesOf } from './names'
import names from './names.json'
import { search } from './search'

const material = (typed: string) => search(MATERIALS, typed, materialFindable).map((m) => m.id)
const dressing = (typed: string) => search(DRESSINGS, typed, dressingFindable).map((d) => d.id)
const crop = (typed: string) => search(CROPS, typed, cropFindable).map((c) => c.id)

describe('everything is found by its everyday names', () => {
  test.each([
    ['castings', 'vermicompost'],
    ['worm', 'vermicompost'],
    ['worm castings', 'vermicompost'],
    ['cocopeat', 'coir_pith'],
    ['coco peat', 'coir_pith'],
    ['charged biochar', 'biochar_charged'],
    ['pea gravel', 'gravel_pea'],
    ['leaf mold', 'leaf_mould'],
    ['old potting mix', 'potting_mix_recycled'],
    ['clay pebbles', 'expanded_clay'],
    ['garden soil', 'soil_loam'],
  ])('material “%s”', (typed, id) => expect(material(typed)[0]).toBe(id))
  test.each([
    ['epsom', 'magnesium_sulfate'],
    ['epsom salts', 'magnesium_sulfate'],
    ['sulphate of potash', 'potassium_sulfate'],
    ['seaweed meal', 'kelp_meal'],
    ['bone meal', 'bone_meal'],
  ])('dressing “%s”', (typed, id) => expect(dressing(typed)[0]).toBe(id))
  test.each([
    ['eggplant', 'eggplant'],
    ['aubergine', 'eggplant'],
    ['courgette', 'zucchini'],
    ['arugula', 'rocket'],
    ['bhindi', 'okra'],
    ['cilantro', 'coriander'],
  ])('crop “%s”', (typed, id) => expect(crop(typed)[0]).toBe(id))

  test('a family is its own rows, before what is only made of it; what is free of it is no answer', () => {
    const familyOf = (id: string) => MATERIALS.find((m) => m.id === id)!.family
    for (const family of ['peat', 'perlite', 'coir', 'bark', 'sand'] as const) {
      const found = material(family)
      const rows = MATERIALS.filter((m) => m.family === family).length
      expect(found.slice(0, Math.max(1, rows - 1)).map(familyOf), family).toContain(family)
      expect(found.length, family).toBeLessThanOrEqual(rows + 3)
    }
    expect(material('peat')).not.toContain('soil_loam')
    expect(material('peat-free').map(familyOf)).toContain('coir')
  })
  test('a word misspelt finds what is meant, a word of nothing finds nothing', () => {
    expect(material('vermiculte').some((id) => id.startsWith('vermiculite'))).toBe(true)
    expect(material('perlit')[0]).toMatch(/^perlite/)
    expect(crop('tomatoe')[0]).toMatch(/^tomato/)
    expect(crop('brocoli')[0]).toMatch(/broccoli/)
    expect(material('zzzzqq')).toEqual([])
    expect(material('qz')).toEqual([])
  })
  test('the exact name comes before what only holds the word, whatever is typed', () => {
    for (const [id, { names: list }] of Object.entries(names)) {
      const rows = MATERIALS.some((m) => m.id === id)
        ? material
        : DRESSINGS.some((d) => d.id === id)
          ? dressing
          : CROPS.some((c) => c.id === id)
            ? crop
            : null
      if (!rows) throw new Error(`${id} is named and not known`)
      const others = Object.entries(names).filter(([other]) => other !== id)
      for (const name of list) {
        const shared = others.some(([, o]) => o.names.some((n) => n.toLowerCase() === name.toLowerCase()))
        if (!shared) expect([name, rows(name)[0]]).toEqual([name, id])
        else expect(rows(name)).toContain(id)
      }
    }
  })
  test('every row has everyday names', () => {
    for (const { id } of [...MATERIALS, ...DRESSINGS, ...CROPS])
      expect([id, namesOf(id).length > 0]).toEqual([id, true])
  })
})
